// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <optional>
#include <string>

#include "files/types.h"
#include "plan/plan.h"

namespace tavlo {

/// The number of the item that stands for what has not been counted yet.
inline constexpr std::uint64_t rest_number = std::uint64_t{1} << 40;

/// An item of a run that has no result yet, as it was planned: enough to carry it out in another process.
struct PendingItem {
    std::uint64_t number = 0;               ///< in the receipt
    std::optional<std::uint64_t> parent{};  ///< the item of the folder that it comes in
    std::string source;
    std::string real{};  ///< where a followed link leads
    std::string target;
    std::string final_path;
    FileType type = FileType::file;
    Identity identity;  ///< of the source, as it was planned
    std::uint32_t mode = 0;
    std::uint32_t links = 1;
    std::string points_at{};
    Action action = Action::copy;
    Role role = Role::arrives;
    Shelf shelf = Shelf::safe;
    bool parks = false;  ///< it waits under a hidden name for the one that it wants (parked_name())
    Outcome outcome = Outcome::created;
    bool whole = false;
    bool along = false;
    bool collides = false;
    std::optional<Finding> finding{};
    Decision decision = Decision::undecided;
    FileType held_type = FileType::file;
    Identity held{};
    bool held_by_batch = false;
    bool shared = false;
    std::string elsewhere{};  ///< the place where the bytes are already
    std::string entry_of_safe{};
    std::string problem{};
    std::optional<Attributes> attributes{};  ///< of a folder that is made again
    /// in an undo: the item's number in the receipt that is undone
    std::optional<std::uint64_t> takes_back{};
};

/// An item of a plan as the journal keeps it.
PendingItem pending_item(const Plan& plan, ItemId id);

/// What a group is about to do with one item, noted before it does it: by this a later process tells on the
/// disk whether it was done.
struct Intent {
    enum class Kind : std::uint8_t { copy, link, rename, folder, take_away };
    std::uint64_t number = 0;
    Kind kind = Kind::copy;
    Identity fresh{};     ///< of what takes the name; inode 0 where it is not known before (links, folders)
    Identity expected{};  ///< of what is to be replaced
    std::string slot{};   ///< for what is replaced or taken away: a folder of the Safe, or of the trash;
                          ///< empty: a free name is taken
    std::string entry{};  ///< its Safe entry
    bool removes_source = false;  ///< a move between file systems: the source goes once the copy has its name
    std::string hash{};
    std::string name{};  ///< of what is taken away, in its slot; in those of older versions empty: its own
};

}  // namespace tavlo
