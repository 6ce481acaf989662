// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstddef>
#include <string>
#include <string_view>
#include <vector>

namespace tavlo {

/// One thing that a pasted list asks for, and the names that fit it.
struct ListedName {
    std::string text;      ///< as it stands in the list, without quotes, bullets and blanks around it
    std::size_t line = 0;  ///< from 1
    std::vector<std::size_t> fits;  ///< indexes of the names, in their order: none, one, or several
};

/// Reads a list as people paste it, from a mail, a sheet or a file, against the names that there are.
///
/// A line is a name, or several parted by tabs, semicolons or commas; of a sheet's row (tabs) only the cells
/// that fit count. Quotes, bullets and a path before the name are taken off; empty lines say nothing. A name
/// fits, and the first of these that fits anything decides: as it stands; without regard to case; without its
/// extension; a number alone fits names that have that number, with or without leading zeros; as a part of a
/// name, numbers again without regard to leading zeros. "120-135" asks for each of these numbers (up to
/// 10,000).
///
/// text  UTF-8, or UTF-16 of either order, with a byte order mark or without; a line that is not valid UTF-8
///       is taken as the bytes that it is, as file names may be, and where that fits nothing as Latin-1 (as
///       Windows has it, code page 1252)
std::vector<ListedName> match_list(std::string_view text, const std::vector<std::string>& names);

}  // namespace tavlo
