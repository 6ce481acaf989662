// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <memory>
#include <optional>
#include <string>
#include <vector>

#include "files/folder_tree.h"
#include "files/rare.h"
#include "files/result.h"
#include "files/types.h"

namespace tavlo {

using EntryId = std::uint32_t;
inline constexpr EntryId no_entry = UINT32_MAX;

/// Where a followed link leads: the thing that is read in its place.
struct Place {
    FolderId folder = no_folder;
    std::string name;
};

/// What few entries have, and a million can do without.
struct EntryExtras {
    std::string points_at{};                 ///< a link's text
    std::optional<Place> real{};             ///< set where a link was followed to a file
    std::shared_ptr<const Error> problem{};  ///< why it can't be taken: unreadable, a mount, …
};

/// One file, folder, link or other thing in hand. A million of them are in memory at a time: so they are small.
struct Entry {
    FolderId folder = no_folder;  ///< in Batch::folders: where it lies
    FolderId inside = no_folder;  ///< a folder's own node
    EntryId parent = no_entry;    ///< the folder of this batch that holds it
    /// A folder: everything below it is in the batch. Only then may it move by one rename.
    bool complete : 1 = true;
    bool way : 1 = false;   ///< a folder that is not in hand itself, and comes along so that its name is kept
                            ///< (keep_way())
    bool made : 1 = false;  ///< a folder that is not there: the run makes it
    bool archive : 1 = false;  ///< a whole archive, read as the folder that it stands for
    bool picked : 1 = false;   ///< a folder that was asked for as such, whole (choose_folders())
    std::string name{};
    Status status{};
    Rare<EntryExtras> extras{};

    const std::string& points_at() const { return extras.get().points_at; }
    const std::optional<Place>& real() const { return extras.get().real; }
    const std::shared_ptr<const Error>& problem() const { return extras.get().problem; }
};

/// What is in hand: an immutable snapshot, parents before children, names in byte order.
struct Batch {
    FolderTree folders;
    std::vector<Entry> entries;
    std::vector<Identity> above;    ///< every folder that a source lies in, up to the root, as things: seen
                                    ///< through links and mounts
    std::int64_t time_step_ns = 1;  ///< coarsest step of a time of change among the file systems they lie on

    /// Somebody named it, it did not just come with its folder.
    bool is_named(const Entry& entry) const {
        return !entry.way && (entry.parent == no_entry || entries[entry.parent].way);
    }

    std::string source_path(const Entry& entry) const;
    /// Where the bytes are read: the entry's own place, or where its link leads.
    Place place_of(const Entry& entry) const {
        return entry.real() ? *entry.real() : Place{entry.folder, entry.name};
    }
};

}  // namespace tavlo
