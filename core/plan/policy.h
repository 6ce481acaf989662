// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <array>
#include <optional>
#include <string>

#include "plan/decisions.h"
#include "plan/words.h"

namespace tavlo {

/// What becomes of what is in the destination and not of the batch.
enum class Clearing : std::uint8_t {
    none,   ///< it stays
    extra,  ///< it goes to the Safe, out of the destination and every folder of it that the batch merges into
    all,    ///< the destination is emptied first: all that is in it goes to the Safe
};

/// What is to be done where a name is taken.
struct Policy {
    Decision otherwise = Decision::undecided;
    std::array<std::optional<Decision>, finding_count> when{};
    /// By finding and size, ahead of `when`; of files that meet files in the destination.
    std::array<std::array<std::optional<Decision>, size_relation_count>, finding_count> when_sized{};
    NewNames new_names{};
    /// What the destination cannot hold under its name arrives under the nearest one that it can
    /// (possible_name()).
    bool adapt_names = false;

    bool operator==(const Policy&) const = default;
    /// What it says of a pair that nobody has decided about.
    /// finding  nullopt: not compared yet
    Decision decide(const Pair& pair, std::optional<Finding> finding) const;
    /// What comes of one whose bytes are there under another name: it arrives, unless it is skipped, or
    /// somebody is to say. What is said of taken names alone, but to skip, is not meant for it.
    /// decision  that was taken, by decide() or for the pair
    Outcome of_elsewhere(Decision decision, bool by_hand) const;
};

/// All that a plan is made by, besides what is in hand and what is there.
struct Wishes {
    Operation operation = Operation::copy;
    Policy policy{};
    Decisions decisions{};  ///< about single pairs, ahead of the policy
    Clearing clearing = Clearing::none;
    Shelf shelf = Shelf::safe;  ///< of what is removed
    /// A move goes on where the target cannot keep what people put into extended attributes, or into an
    /// access control list.
    bool may_lose = false;
    bool then_removes = false;    ///< sources that were packed go to the Safe
    bool look_elsewhere = false;  ///< what is known of files that are there under other names counts
};

}  // namespace tavlo
