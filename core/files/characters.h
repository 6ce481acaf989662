// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <algorithm>
#include <string_view>

namespace tavlo {

// Characters of ASCII, whatever the locale is.

constexpr bool is_digit(char c) { return c >= '0' && c <= '9'; }

/// Whether all of it is digits, and there are any.
constexpr bool is_number(std::string_view text) {
    return !text.empty() && std::all_of(text.begin(), text.end(), is_digit);
}

/// Without the spaces, tabs and carriage returns at its ends.
constexpr std::string_view trimmed(std::string_view text) {
    constexpr std::string_view blanks = " \t\r";
    const auto first = text.find_first_not_of(blanks);
    if (first == std::string_view::npos) return {};
    return text.substr(first, text.find_last_not_of(blanks) - first + 1);
}

}  // namespace tavlo
