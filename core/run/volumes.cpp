// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/volumes.h"

#include <algorithm>
#include <set>

#include "files/path.h"
#include "keep/store.h"

namespace tavlo {

namespace {

constexpr std::uint64_t nowhere = ~std::uint64_t{0} >> 1;  // the number of no device

}  // namespace

std::optional<VolumeRecord> volume_at(FileSystem& disk, const std::string& path) {
    std::string at = path;
    auto folder = disk.open_folder(at);
    while (!folder && at != "/" && !at.empty()) {
        at = std::string(parent_of(at));
        folder = disk.open_folder(at);
    }
    if (!folder) return std::nullopt;
    const auto status = disk.status(*folder);
    auto identity = disk.volume_identity(*folder);
    if (!status || !identity) return std::nullopt;
    return VolumeRecord{status->id.device, std::move(*identity), std::move(at)};
}

std::vector<VolumeRecord> volumes_of(FileSystem& disk, const Plan& plan) {
    std::vector<VolumeRecord> found;
    std::set<std::uint64_t> known;
    const auto note = [&](const std::string& path) {
        if (auto volume = volume_at(disk, path); volume && known.insert(volume->device).second)
            found.push_back(std::move(*volume));
    };
    if (!plan.destination.empty()) note(plan.destination);
    for (const FolderTree* tree : {&plan.batch->folders, &plan.targets})
        for (FolderId id = 0; id < tree->size(); ++id) {
            const Identity& identity = tree->identity(id);
            const bool is_new =
                identity.inode != 0 ? !known.contains(identity.device) : tree->parent(id) == no_folder;
            if (is_new) note(tree->path(id));
        }
    return found;
}

VolumesNow::VolumesNow(FileSystem& disk, const std::vector<VolumeRecord>& records) {
    for (const VolumeRecord& record : records) {
        const auto now = volume_at(disk, record.path);
        if (now && now->identity == record.identity) {
            now_[record.device] = now->device;
            places_.push_back(now->path);
        } else if (!now_.contains(record.device)) {
            now_[record.device] = nowhere;
            missing_.push_back(record);
        }
    }
    std::erase_if(missing_, [&](const VolumeRecord& one) { return now_.at(one.device) != nowhere; });
}

void VolumesNow::bring_up_to_date(Identity& id) const {
    if (const auto found = now_.find(id.device); found != now_.end()) id.device = found->second;
}

void VolumesNow::bring_up_to_date(ReceiptItem& item) const {
    bring_up_to_date(item.after);
    bring_up_to_date(item.linked_source);
}

void VolumesNow::bring_up_to_date(PendingItem& item) const {
    bring_up_to_date(item.identity);
    bring_up_to_date(item.held);
}

void VolumesNow::bring_up_to_date(Intent& intent) const {
    bring_up_to_date(intent.fresh);
    bring_up_to_date(intent.expected);
}

SafeEntry entry_now(const std::vector<VolumeRecord>& records, const std::optional<VolumeRecord>& now,
                    SafeEntry entry) {
    if (records.empty()) {  // of a run from before volumes were noted: the thing itself must tell
        if (now) entry.identity.device = now->device;
        return entry;
    }
    for (const VolumeRecord& record : records) {
        if (record.device != entry.identity.device) continue;
        entry.identity.device = now && now->identity == record.identity ? now->device : nowhere;
        break;
    }
    return entry;
}

SafeEntry entry_now(FileSystem& disk, Store& store, SafeEntry entry) {
    const auto records = store.volumes(entry.receipt);
    if (!records) return entry;
    const auto now = volume_at(disk, std::string(parent_of(entry.stored)));
    return entry_now(*records, now, std::move(entry));
}

Error waits_for(const VolumeRecord& volume) {
    return {Fault::unreachable, 0,
            "waits for its volume, which is not there now (" + volume.identity.text + ")", volume.path};
}

}  // namespace tavlo
