// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <array>
#include <memory>
#include <optional>
#include <vector>

#include "plan/plan.h"
#include "survey/destination.h"

/// The parts of the balance: what an item comes to, as people count it.
enum class Share { created, overwrite, rename, same, skip, merge, undecided, failed, leave };
inline constexpr int share_count = 9;
Share share_of(const tavlo::Item& item);
using Shares = std::array<std::uint64_t, share_count>;  ///< items, by share of the balance

/// What a list wants to know of every item before it shows one: a plan's own items are far apart in memory.
struct ItemRows {
    Share share = Share::created;
    bool old_name = false;   ///< a row for the name that it has now, as it gets another where it is
    bool held_line = false;  ///< a row for what holds its name
};
/// By item.
std::vector<ItemRows> rows_of(const tavlo::Plan& plan);
/// As a flat list no item has a row beside its own.
/// with_held  rows for what holds a name are shown too
bool are_single(const std::vector<ItemRows>& rows, bool with_held);

/// A plan without a destination, as a flat list of its items; made off the interface's thread.
struct PlanList {
    std::shared_ptr<const tavlo::Plan> plan;
    std::vector<ItemRows> rows;  ///< by item
    bool single_rows = false;    ///< as are_single() has it
};

/// One line of the destination as it will be: what is there, what arrives, or where they meet, both.
struct OutcomeNode {
    tavlo::ItemId item = tavlo::no_item;  ///< what arrives, or wants to
    /// the folder of the targets that it stands for and that can be opened
    tavlo::FolderId folder = tavlo::no_folder;
    const tavlo::Held* held = nullptr;  ///< what is there, where nothing of the batch wants the name
};

/// One row of a list of them. Small, as there may be a million: what is shown of it is put together when it is
/// seen.
struct OutcomeRow {
    /// Leaving: of a row that arrives nowhere, but goes. OldName: below one that gets another name where it
    /// is.
    enum Kind : std::uint8_t { Existing, Arriving, HeldLine, Leaving, OldName };
    static constexpr std::uint32_t no_place = UINT32_MAX;

    OutcomeRow(Kind what, int level, const OutcomeNode& of, std::uint32_t path = no_place,
               bool leaves = false)
        : kind(what), goes(leaves), depth(static_cast<std::uint16_t>(level)), place(path), node(of) {}
    Kind kind;
    bool goes;  ///< it is there now, and goes with the folder that it lies in
    std::uint16_t depth;
    std::uint32_t place;  ///< of a folder that nobody has listed yet: a number of its path
    OutcomeNode node;
};
/// Those of an item, at the end.
/// with_held  also what holds its name
void add_rows(std::vector<OutcomeRow>& rows, const OutcomeNode& node, const ItemRows& wanted, int depth,
              bool with_held);

/// What goes with an item that leaves.
struct Weight {
    std::uint64_t files = 0;
    std::uint64_t bytes = 0;
};

/// The destination, or the folders that things lie in, merged with a plan, in natural order; made off the
/// interface's thread, never changed.
struct OutcomeTree {
    std::shared_ptr<const tavlo::Plan> plan;
    std::shared_ptr<const tavlo::Survey> survey;
    std::shared_ptr<const tavlo::Destination> destination;  ///< null where nothing goes to one
    std::vector<std::vector<OutcomeNode>> folders;  ///< by folder of the targets; 0 is the destination
    std::vector<ItemRows> rows;                     ///< by item
    bool single_rows = false;                       ///< as are_single() has it
    /// the folders that it shows: the destination, or those that things lie in
    std::vector<tavlo::FolderId> tops;
    /// of the one folder that it shows, as long as none in it is open; empty: they are made where they are shown
    std::vector<OutcomeRow> first_rows;
    std::vector<Weight> weights;    ///< by item, of a plan that removes; else empty
    Weight leaving;                 ///< of all that leaves
    std::uint64_t staying = 0;      ///< files beside what leaves, in the same folders
    std::uint64_t staying_new = 0;  ///< of those: changed within the last week
    Shares shares{};
    std::vector<std::uint64_t> arriving;  ///< by folder of the targets: items that arrive in it, however deep

    /// The balance by other wishes, before there is a plan by them (see outcomes_by()).
    std::optional<Shares> sharesBy(const tavlo::Wishes& before, const tavlo::Wishes& now) const;

    /// The folders by the names that they have now.
    const tavlo::FolderTree& standing() const { return plan->standing ? *plan->standing : plan->targets; }
    /// A folder of the batch that nobody has listed: what is in it is read when it is opened.
    bool is_unread(tavlo::FolderId folder) const;

    /// survey  as the plan was made by; of a plan that removes, the folders that things leave; null: nothing
    ///         is known of them
    static std::shared_ptr<const OutcomeTree> make(std::shared_ptr<const tavlo::Plan> plan,
                                                   std::shared_ptr<const tavlo::Survey> survey,
                                                   std::int64_t now_ns = 0);
};
