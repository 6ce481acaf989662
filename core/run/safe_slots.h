// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <map>
#include <memory>
#include <string>

#include "files/file_system.h"
#include "keep/store.h"
#include "run/durable.h"
#include "run/volumes.h"

namespace tavlo {

/// The versions of the Safe as they lie on the disk now, for who goes through many: what those of one run
/// share (its volumes, its folder) is looked at once and held by handle, so that nothing can be put in its
/// place meanwhile.
class SafeSlots {
public:
    SafeSlots(FileSystem& disk, Store& store) : disk_(disk), store_(store) {}

    /// The entry with the numbers that its volume has today, as entry_now().
    SafeEntry now(SafeEntry entry);
    /// errors as open_slot()
    Result<std::shared_ptr<const Handle>> open(const SafeEntry& now);
    /// The slot of a version that has gone goes too, with settle(), where it is empty.
    void drop(const SafeEntry& gone);
    /// What has gone since is durable when this returns: only then the index may forget it.
    Result<void> settle();
    /// The folders of runs of which the Safe holds nothing any more go.
    void tidy();

private:
    Result<std::shared_ptr<const Handle>> shelf(const SafeEntry& now);

    FileSystem& disk_;
    Store& store_;
    std::string receipt_;  ///< whose volumes are known
    std::vector<VolumeRecord> records_;
    std::map<std::string, std::optional<VolumeRecord>> volumes_;    ///< by shelf
    std::map<std::string, std::shared_ptr<const Handle>> shelves_;  ///< by path
    /// Safes, by the path of a shelf that something has left
    std::map<std::string, std::unique_ptr<const Handle>> safes_to_tidy_;
    std::string slot_path_;
    std::shared_ptr<const Handle> slot_;  ///< the last one
    std::vector<SafeEntry> to_drop_;      ///< one of each slot that something has left
    Durable durable_{disk_};
};

}  // namespace tavlo
