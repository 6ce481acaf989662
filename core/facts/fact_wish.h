// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include "names/pattern.h"

namespace tavlo {

/// A fact that a thing must have, and how it must be written.
struct FactWish {
    const KnownFact* fact = nullptr;
    std::string glob;  ///< glob(7), on the whole text as it would stand in a folder's name

    bool fits(const std::optional<Fact>& found) const;
};

/// "town=Thurso", "taken=2031-05-*".
/// errors  refused: there is no such fact, or it is none of a file
Result<std::vector<FactWish>> fact_wishes_from(const std::vector<std::string>& texts);

}  // namespace tavlo
