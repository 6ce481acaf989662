// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <fileref.h>
#include <tfile.h>
#include <tpropertymap.h>

#include <charconv>

#include "telling.h"

using tavlo::FileFacts;

namespace {

/// "2031-05-02" is 2031, "3/12" is 3; nullopt: it begins with no number above 0.
std::optional<std::uint64_t> leading_number(const std::string& text) {
    std::uint64_t number = 0;
    const auto [end, error] = std::from_chars(text.data(), text.data() + text.size(), number);
    return error == std::errc{} && number > 0 ? std::optional(number) : std::nullopt;
}

}  // namespace

void tell_sound(const std::string& path, FileFacts& facts) {
    const TagLib::FileRef file(path.c_str(), false);
    if (file.isNull()) return;
    const TagLib::PropertyMap all =
        file.file()->properties();  // of every tag that it has, where tag() may be of one alone
    const auto text = [&](const char* key) { return all[key].toString(", ").stripWhiteSpace().to8Bit(true); };
    for (const auto& [name, key] :
         {std::pair{"artist", "ARTIST"}, {"album", "ALBUM"}, {"title", "TITLE"}, {"genre", "GENRE"}})
        facts.set(name, text(key));
    for (const auto& [name, key] : {std::pair{"year", "DATE"}, {"track", "TRACKNUMBER"}})
        if (const auto number = leading_number(text(key))) facts.set(name, *number);
}
