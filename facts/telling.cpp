// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "telling.h"

#include <fcntl.h>
#include <sys/stat.h>
#include <unistd.h>

#include <algorithm>
#include <array>
#include <exception>
#include <string_view>

using tavlo::FileFacts;

namespace {

/// Its first bytes; none of what is no file, or cannot be read. A fifo or a device is not waited for.
std::string first_bytes(const std::string& path) {
    const int file = ::open(path.c_str(), O_RDONLY | O_CLOEXEC | O_NONBLOCK | O_NOCTTY);
    if (file < 0) return {};
    struct stat status {};
    std::array<char, 16> bytes{};
    const bool is_file = ::fstat(file, &status) == 0 && S_ISREG(status.st_mode);
    const ssize_t count = is_file ? ::read(file, bytes.data(), bytes.size()) : 0;
    ::close(file);
    return count > 0 ? std::string(bytes.data(), static_cast<std::size_t>(count)) : std::string();
}

using Teller = void (*)(const std::string&, FileFacts&);

/// What was told before something went wrong stands.
void try_to(Teller teller, const std::string& path, FileFacts& facts) noexcept {
    try {
        teller(path, facts);
    } catch (...) {  // a damaged file costs its facts, whatever a library makes of it
    }
}

/// A box of a kind that pictures (HEIF, ISO/IEC 23008-12) and sound do not have; EBML (RFC 8794); RIFF's AVI.
bool is_film(std::string_view begin) {
    const auto box = begin.substr(std::min<std::size_t>(4, begin.size()), 4);
    const auto brand = begin.substr(std::min<std::size_t>(8, begin.size()), 4);
    const bool is_media = box == "moov" || box == "mdat" || box == "wide" || box == "ftyp";
    for (const char* other : {"heic", "heix", "hevc", "mif1", "msf1", "avif", "avis", "crx ", "M4A ", "M4B "})
        if (box == "ftyp" && brand == other) return false;
    return is_media || begin.starts_with("\x1a\x45\xdf\xa3") ||
           (begin.starts_with("RIFF") && brand == "AVI ");
}

}  // namespace

FileFacts tell(const std::string& path) {
    FileFacts facts;
    const std::string begin = first_bytes(path);
    if (begin.empty()) return facts;
    if (begin.starts_with("%PDF-")) {
        try_to(tell_pdf, path, facts);
    } else if (begin.starts_with("PK\x03\x04")) {
        try_to(tell_zipped_document, path, facts);
    } else if (is_film(begin)) {
        try_to(tell_film, path, facts);
        try_to(tell_sound, path, facts);
    } else {
        try_to(tell_picture, path, facts);
        if (facts.all().empty()) try_to(tell_sound, path, facts);
    }
    return facts;
}
