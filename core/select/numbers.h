// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <string>
#include <string_view>
#include <vector>

namespace tavlo {

/// A number that stands in a name: digits 0 to 9 that no other digit adjoins. Beyond 64 bits it counts as the
/// largest.
struct NumberInName {
    std::uint64_t value = 0;
    std::size_t at = 0;  ///< its first byte, leading zeros included
    std::size_t length = 0;
};

std::vector<NumberInName> numbers_in(std::string_view name);

/// The text with its numbers' leading zeros taken away: "permit-0041" -> "permit-41", "000" -> "0".
std::string without_leading_zeros(std::string_view text);

}  // namespace tavlo
