// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <string>
#include <string_view>
#include <vector>

#include "facts/entry_facts.h"

namespace tavlo {

/// How much of a batch knows a fact.
struct FactSummary {
    std::string_view name;
    std::uint64_t known_of = 0;         ///< files and links
    std::vector<std::string> values{};  ///< the three that most have, the commonest first; of a moment years
};

/// Of each fact that one of them knows, in the order of known_facts().
std::vector<FactSummary> summarise(const Batch& batch, const EntryFacts& facts);

}  // namespace tavlo
