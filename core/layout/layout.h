// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <memory>
#include <optional>
#include <string>
#include <unordered_map>
#include <vector>

#include "batch/batch.h"
#include "layout/structure.h"

namespace tavlo {

inline constexpr std::uint32_t own_name = UINT32_MAX;

/// One entry of a batch and the place it wants.
struct Arrival {
    EntryId entry = no_entry;
    std::uint32_t name = own_name;      ///< in Layout::names; the entry's own where it wants no other
    std::uint32_t parent = UINT32_MAX;  ///< the arrival of the folder that it comes in; none at the top
    FolderId folder = no_folder;        ///< in Layout::targets
    FolderId inside = no_folder;        ///< a folder's own node in Layout::targets
};

/// Where each entry of a batch is to arrive. Pure.
struct Layout {
    FolderTree targets;  ///< by the names wanted; 0 is the destination itself, where everything goes to one
    /// the same folders by the names they have until they are renamed; none: they are not
    std::optional<FolderTree> standing{};
    std::vector<std::string> names{};  ///< wanted where it is not the entry's own
    /// by arrival: why it cannot get there
    std::unordered_map<std::uint32_t, std::shared_ptr<const Error>> problems{};
    std::vector<Arrival> arrivals;  ///< in the batch's order, parents before children
    /// by folder of targets: entries from more than one source folder want names in it
    std::vector<bool> several_feed;
    /// folders that do not arrive themselves, and go when a move empties them
    std::vector<EntryId> dissolved;
    bool leaves = false;        ///< what arrives nowhere: it goes to the Safe, each folder whole
    bool whole_folders = true;  ///< no entry below an arriving folder was left out

    /// What is to be surveyed: the folders as they are now.
    const FolderTree& as_it_stands() const { return standing ? *standing : targets; }
    const std::string& name(const Batch& batch, const Arrival& arrival) const {
        return arrival.name == own_name ? batch.entries[arrival.entry].name : names[arrival.name];
    }
};

/// The name that something is to have.
struct Wanted {
    std::string name;
    std::shared_ptr<const Error> problem{};  ///< why none can be made for it
};
/// nullopt: it is not meant
using WantedName = std::function<std::optional<Wanted>(EntryId)>;

/// folds_case  the destination holds names that differ in case alone for one
/// wanted      the names of files and links on the way; null: their own. Folders keep theirs
Layout lay_out(const Batch& batch, const std::string& destination, const Structure& structure,
               bool folds_case, const WantedName& wanted = {});

/// A batch of which each file goes into a folder that is made for it.
struct Sorted {
    Batch batch;  ///< with those folders behind what was in it: Entry::made, parents before children
    std::vector<EntryId> folder_of{};  ///< by entry of the batch that was sorted: the one it goes into;
                                       ///< no_entry: the destination itself
};
/// folder_for  of an entry: "2031/Thurso", from the destination; empty: the destination itself
Sorted sort(const Batch& batch, const std::string& destination,
            const std::function<std::string(EntryId)>& folder_for, bool folds_case);
/// Links are sorted as what they are; source folders arrive no more than with their contents alone.
Layout lay_out_sorted(const Sorted& sorted, const std::string& destination, const WantedName& wanted = {});

/// Each thing stays in its folder, and wants another name there: what has one to want is an arrival, in the
/// batch's order; Layout::targets and Layout::standing have the batch's own folders, by the same numbers.
/// wanted  the name that an entry is to have, its own too; what is not meant is no arrival
Layout lay_out_in_place(const Batch& batch, const WantedName& wanted);

/// Each thing that is meant leaves its folder; what lies in one that is meant goes with it, and is no
/// arrival.
Layout lay_out_leaving(const Batch& batch, const std::function<bool(EntryId)>& meant);

}  // namespace tavlo
