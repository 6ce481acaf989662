// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>
#include <string_view>

namespace tavlo {

// Letters by Unicode, whatever the locale (https://www.unicode.org/reports/tr21/). Bytes that are no UTF-8
// stay as they are.

std::string lower_case(std::string_view text);
std::string upper_case(std::string_view text);  ///< fully: "ß" becomes "SS"
/// The first letter of each word; the others stay. A word is letters, digits and marks on them.
std::string title_case(std::string_view text);
/// The first character as people sort by it: a letter as capital without its marks, a digit as "0-9",
/// anything else as "#".
std::string initial_of(std::string_view text);

}  // namespace tavlo
