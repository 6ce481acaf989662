// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string_view>

namespace tavlo {

/// Natural order of names, as lists show them: "invoice-9" before "invoice-10", upper and lower case of ASCII
/// letters side by side; names that are alike so far by their bytes. A strict weak order over all byte
/// strings.
bool natural_less(std::string_view a, std::string_view b);

}  // namespace tavlo
