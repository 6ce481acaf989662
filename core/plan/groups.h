// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <array>
#include <functional>
#include <optional>
#include <string>
#include <vector>

#include "plan/plan.h"

namespace tavlo {

/// Collisions that are looked at, and may be decided, together.
struct CollisionGroup {
    std::optional<Finding> finding;  ///< nullopt: not compared yet
    std::string part{};              ///< what a further cut put them together by; empty without one
    std::vector<ItemId> items{};     ///< in the plan's order
    std::uint64_t incoming_bytes = 0;
    std::uint64_t held_bytes = 0;  ///< of what is there; that goes to the Safe where all of them overwrite
    /// The largest difference between the dates of a pair, and of the sizes: incoming less held.
    std::int64_t widest_gap_ns = 0;
    std::int64_t widest_bytes = 0;
    std::array<std::uint64_t, 4> decided{};  ///< by Decision
    std::uint64_t by_hand = 0;               ///< decided for the pair, not by a rule

    std::uint64_t of(Decision decision) const { return decided[static_cast<std::size_t>(decision)]; }
};

/// A collision of its own: not one that shares its folder's, and not one that could not be compared.
bool is_own_collision(const Item& item);

/// How the sizes of a pair compare; nullopt where the two are not both files.
std::optional<SizeRelation> size_relation(const Plan& plan, const Item& item);

/// The collisions of a plan by finding, in the order of Finding, those not compared yet last; within, by what
/// `part` says of each.
/// part    may be null
/// wanted  which are to be in; null: all
std::vector<CollisionGroup> collision_groups(const Plan& plan,
                                             const std::function<std::string(const Item&)>& part = {},
                                             const std::function<bool(const Item&)>& wanted = {});

/// All items that want the name of a twin, in the plan's order.
std::vector<ItemId> twins_of(const Plan& plan, ItemId item);

/// The name that a rename would come to by a scheme, as far as the destination goes; the plan may count on
/// from it.
/// of_held  the one that is there is renamed
std::string proposed_name(const Plan& plan, const Survey& survey, ItemId item, const NewNames& scheme,
                          bool of_held);

/// The decisions by which one of several twins gets the name: it overwrites what may be there, and of the
/// others those are skipped that had no decision, or one to get the name too.
std::vector<std::pair<ItemId, PairDecision>> give_name_to(const Plan& plan, ItemId twin);

/// The rule that decisions amount to: for each finding, and each relation of sizes where they differ by it,
/// what was decided for most of its pairs.
struct RuleOfDecisions {
    Policy policy{};
    std::uint64_t covered = 0;  ///< decisions that the rule takes as they were taken
    std::uint64_t taken = 0;    ///< decisions in all
};
/// nullopt  nothing was decided by hand, or what was is too mixed to make a rule of: less than nine of ten
///          would come out so
std::optional<RuleOfDecisions> rule_of_decisions(const Plan& plan);

}  // namespace tavlo
