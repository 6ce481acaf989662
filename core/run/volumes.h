// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <map>
#include <optional>
#include <string>
#include <vector>

#include "files/file_system.h"
#include "keep/journal.h"
#include "keep/receipt.h"
#include "keep/store.h"
#include "plan/plan.h"

namespace tavlo {

/// The file systems that a plan has to do with, sources and destination, with what lies mounted in them.
std::vector<VolumeRecord> volumes_of(FileSystem& disk, const Plan& plan);

/// The volume of the nearest folder that exists at or above a path. nullopt: none can be looked at
std::optional<VolumeRecord> volume_at(FileSystem& disk, const std::string& path);

/// The volumes of a past run as they are mounted now. A number alone tells nothing: a disk that is plugged in
/// again has another one, and another disk may have its own (promise 15).
class VolumesNow {
public:
    VolumesNow(FileSystem& disk, const std::vector<VolumeRecord>& records);

    /// Those that are not there now: "ext4 8f3c… at /media/disk".
    const std::vector<VolumeRecord>& missing() const noexcept { return missing_; }
    /// Folders on those that are there.
    const std::vector<std::string>& places() const noexcept { return places_; }
    /// What was noted then, with the numbers of now; on a volume that is not there it becomes what nothing
    /// can be.
    void bring_up_to_date(Identity& id) const;
    void bring_up_to_date(ReceiptItem& item) const;
    void bring_up_to_date(PendingItem& item) const;
    void bring_up_to_date(Intent& intent) const;

private:
    std::map<std::uint64_t, std::uint64_t> now_;
    std::vector<VolumeRecord> missing_;
    std::vector<std::string> places_;
};

/// The same for one version: where it lay is where its volume is looked for.
SafeEntry entry_now(FileSystem& disk, Store& store, SafeEntry entry);
/// records  of its run
/// now      what is there where it lay
SafeEntry entry_now(const std::vector<VolumeRecord>& records, const std::optional<VolumeRecord>& now,
                    SafeEntry entry);

/// Why something waits: a volume of the run is not there.
Error waits_for(const VolumeRecord& volume);

}  // namespace tavlo
