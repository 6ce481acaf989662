// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/natural.h"

#include <algorithm>

#include "files/characters.h"

namespace tavlo {

namespace {

unsigned char lower(char c) { return static_cast<unsigned char>(c >= 'A' && c <= 'Z' ? c + ('a' - 'A') : c); }

std::string_view digits_at(std::string_view text, std::size_t at) {
    std::size_t end = at;
    while (end < text.size() && is_digit(text[end])) ++end;
    return text.substr(at, end - at);
}

std::string_view without_zeros(std::string_view digits) {
    const auto first = std::min(digits.find_first_not_of('0'), digits.size());
    return digits.substr(first);
}

}  // namespace

bool natural_less(std::string_view a, std::string_view b) {
    std::size_t i = 0;
    std::size_t j = 0;
    while (i < a.size() && j < b.size()) {
        if (is_digit(a[i]) && is_digit(b[j])) {
            const auto left = digits_at(a, i);
            const auto right = digits_at(b, j);
            const auto x = without_zeros(left);
            const auto y = without_zeros(right);
            if (x.size() != y.size()) return x.size() < y.size();
            if (x != y) return x < y;
            i += left.size();
            j += right.size();
            continue;
        }
        if (lower(a[i]) != lower(b[j])) return lower(a[i]) < lower(b[j]);
        ++i;
        ++j;
    }
    if ((a.size() - i == 0) != (b.size() - j == 0)) return a.size() - i == 0;
    return a < b;
}

}  // namespace tavlo
