// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/encodings.h"

#include <iconv.h>

#include <algorithm>
#include <memory>
#include <type_traits>

namespace tavlo {

namespace {

constexpr std::string_view little_mark = "\xff\xfe";
constexpr std::string_view big_mark = "\xfe\xff";
constexpr std::string_view utf8_mark = "\xef\xbb\xbf";

/// As iconv(3) does it; what it cannot read becomes U+FFFD.
std::string converted(std::string_view text, const char* from, std::size_t unit) {
    const auto close = [](iconv_t* converter) {
        ::iconv_close(*converter);
        delete converter;
    };
    const std::unique_ptr<iconv_t, decltype(close)> converter(new iconv_t(::iconv_open("UTF-8", from)),
                                                              close);
    std::string bytes(text);
    char* in = bytes.data();
    std::size_t left = bytes.size();
    std::string out;
    while (left > 0) {
        char piece[4096];
        char* into = piece;
        std::size_t room = sizeof piece;
        const auto done = ::iconv(*converter, &in, &left, &into, &room);
        const int why = errno;
        out.append(piece, sizeof piece - room);
        if (done != static_cast<std::size_t>(-1) || why == E2BIG) continue;
        out += "\xef\xbf\xbd";
        in += std::min(unit, left);
        left -= std::min(unit, left);
    }
    return out;
}

/// Half of the bytes are NUL, all at the even places or all at the odd ones, as in UTF-16 of a text that is
/// mostly ASCII.
const char* utf16_without_mark(std::string_view text) {
    std::size_t nuls[2] = {0, 0};
    for (std::size_t at = 0; at < text.size(); ++at)
        if (text[at] == '\0') ++nuls[at % 2];
    const auto many = text.size() / 3;
    if (text.size() < 4 || text.size() % 2 != 0) return nullptr;
    if (nuls[1] > many && nuls[0] == 0) return "UTF-16LE";
    return nuls[0] > many && nuls[1] == 0 ? "UTF-16BE" : nullptr;
}

}  // namespace

std::string without_utf16(std::string_view text) {
    if (text.starts_with(utf8_mark)) return std::string(text.substr(utf8_mark.size()));
    if (text.starts_with(little_mark)) return converted(text.substr(2), "UTF-16LE", 2);
    if (text.starts_with(big_mark)) return converted(text.substr(2), "UTF-16BE", 2);
    const char* guessed = utf16_without_mark(text);
    return guessed != nullptr ? converted(text, guessed, 2) : std::string(text);
}

std::string from_latin1(std::string_view text) { return converted(text, "CP1252", 1); }

}  // namespace tavlo
