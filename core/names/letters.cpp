// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "names/letters.h"

#include <unicode/locid.h>
#include <unicode/normalizer2.h>
#include <unicode/uchar.h>
#include <unicode/unistr.h>

#include <functional>

#include "files/path.h"

namespace tavlo {

namespace {

/// Has each stretch of valid text changed.
std::string changed(std::string_view text, const std::function<void(icu::UnicodeString&)>& change) {
    std::string out;
    std::string valid;
    const auto flush = [&] {
        if (valid.empty()) return;
        auto unicode = icu::UnicodeString::fromUTF8(valid);
        change(unicode);
        unicode.toUTF8String(out);
        valid.clear();
    };
    for (std::size_t at = 0; at < text.size();) {
        const std::size_t length = code_point_length(text, at);
        const auto one = text.substr(at, length);
        if (is_utf8(one)) {
            valid += one;
        } else {
            flush();
            out += one;
        }
        at += length;
    }
    flush();
    return out;
}

bool belongs_to_word(UChar32 c) { return u_isalnum(c) != 0 || u_getCombiningClass(c) != 0 || c == '\''; }

}  // namespace

std::string lower_case(std::string_view text) {
    return changed(text, [](icu::UnicodeString& unicode) { unicode.toLower(icu::Locale::getRoot()); });
}

std::string upper_case(std::string_view text) {
    return changed(text, [](icu::UnicodeString& unicode) { unicode.toUpper(icu::Locale::getRoot()); });
}

std::string title_case(std::string_view text) {
    return changed(text, [](icu::UnicodeString& unicode) {
        icu::UnicodeString out;
        bool in_word = false;
        for (std::int32_t at = 0; at < unicode.length();) {
            const UChar32 c = unicode.char32At(at);
            out.append(in_word || u_isalpha(c) == 0 ? c : u_totitle(c));
            in_word = belongs_to_word(c);
            at += U16_LENGTH(c);
        }
        unicode = out;
    });
}

std::string initial_of(std::string_view text) {
    if (text.empty()) return "#";
    const auto first = text.substr(0, code_point_length(text, 0));
    if (!is_utf8(first)) return "#";
    UErrorCode error = U_ZERO_ERROR;
    const icu::Normalizer2* apart = icu::Normalizer2::getNFDInstance(error);
    auto unicode = icu::UnicodeString::fromUTF8(std::string(first));
    if (U_SUCCESS(error)) unicode = apart->normalize(unicode, error);
    const UChar32 base = unicode.char32At(0);
    if (u_isdigit(base) != 0) return "0-9";
    if (u_isalpha(base) == 0) return "#";
    std::string out;
    return icu::UnicodeString(u_toupper(base)).toUTF8String(out);
}

}  // namespace tavlo
