// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <MediaInfo/MediaInfo.h>
#include <ZenLib/Ztring.h>
#include <fcntl.h>
#include <sys/stat.h>
#include <unistd.h>

#include <algorithm>
#include <array>
#include <string_view>

#include "files/handle.h"
#include "telling.h"

using tavlo::FileFacts;

namespace {

constexpr std::size_t finished = 8;  // a bit of what Open_Buffer_Continue() answers
constexpr std::uint64_t from_here = UINT64_MAX;

/// Gives the library those bytes that it asks for. By a handle: its own way of opening files would have paths
/// in the locale's letters.
bool feed(MediaInfoLib::MediaInfo& info, const std::string& path) {
    const tavlo::Handle file(::open(path.c_str(), O_RDONLY | O_CLOEXEC | O_NONBLOCK | O_NOCTTY), path);
    struct stat status {};
    if (!file.is_open() || ::fstat(file.descriptor(), &status) != 0 || !S_ISREG(status.st_mode)) return false;
    info.Open_Buffer_Init(static_cast<std::uint64_t>(status.st_size), 0);
    std::array<ZenLib::int8u, 64 * 1024> bytes{};
    for (off_t at = 0;;) {
        const ssize_t got = ::pread(file.descriptor(), bytes.data(), bytes.size(), at);
        if (got <= 0) break;
        at += got;
        if ((info.Open_Buffer_Continue(bytes.data(), static_cast<std::size_t>(got)) & finished) != 0) break;
        if (const std::uint64_t wanted = info.Open_Buffer_Continue_GoTo_Get(); wanted != from_here) {
            at = static_cast<off_t>(wanted);
            info.Open_Buffer_Init(static_cast<std::uint64_t>(status.st_size), wanted);
        }
    }
    info.Open_Buffer_Finalize();
    return true;
}

std::string in_utf8(const MediaInfoLib::String& text) { return ZenLib::Ztring(text).To_UTF8(); }

/// "2031-05-02T09:14:07+0200" and "2031-05-02 09:14:07 UTC", as they are written.
std::optional<tavlo::Moment> moment_of(std::string text) {
    if (text.starts_with("UTC ")) text.erase(0, 4);
    if (text.size() < 19 || text.starts_with("1904-01-01")) return std::nullopt;  // where its clock begins
    text.resize(19);
    text[4] = text[7] = ':';
    text[10] = ' ';
    return tavlo::moment_from(text);
}

}  // namespace

void tell_film(const std::string& path, FileFacts& facts) {
    MediaInfoLib::MediaInfo info;
    info.Option(__T("ParseSpeed"), __T("0"));
    if (!feed(info, path)) return;
    const auto told = [&](const MediaInfoLib::Char* what) {
        return in_utf8(info.Get(MediaInfoLib::Stream_General, 0, what));
    };
    // when it was taken where that is said, else when it was written
    for (const auto* when :
         {__T("com.apple.quicktime.creationdate"), __T("Recorded_Date"), __T("Encoded_Date")})
        if (const auto taken = moment_of(told(when))) {
            facts.set("taken", *taken);
            break;
        }
    facts.set("camera",
              camera_of(told(__T("com.apple.quicktime.make")), told(__T("com.apple.quicktime.model"))));
}
