// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "select/numbers.h"

#include <algorithm>
#include <charconv>

#include "files/characters.h"

namespace tavlo {

std::vector<NumberInName> numbers_in(std::string_view name) {
    std::vector<NumberInName> numbers;
    for (std::size_t at = 0; at < name.size();) {
        if (!is_digit(name[at])) {
            ++at;
            continue;
        }
        std::size_t end = at;
        while (end < name.size() && is_digit(name[end])) ++end;
        NumberInName number{0, at, end - at};
        if (std::from_chars(name.data() + at, name.data() + end, number.value).ec != std::errc())
            number.value = UINT64_MAX;
        numbers.push_back(number);
        at = end;
    }
    return numbers;
}

std::string without_leading_zeros(std::string_view text) {
    std::string out;
    out.reserve(text.size());
    for (std::size_t at = 0; at < text.size(); ++at) {
        const bool begins = is_digit(text[at]) && (at == 0 || !is_digit(text[at - 1]));
        if (begins)
            while (text[at] == '0' && at + 1 < text.size() && is_digit(text[at + 1])) ++at;
        out += text[at];
    }
    return out;
}

}  // namespace tavlo
