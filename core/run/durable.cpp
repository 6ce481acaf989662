// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/durable.h"

#include <algorithm>
#include <map>

namespace tavlo {

namespace {
constexpr std::size_t few_files = 8;  // made durable one by one; more with one call for the whole file system
constexpr std::size_t most_kept_open = 32;  // folders that wait for their sync, each with a descriptor
}  // namespace

Result<void> Durable::touch(std::uint64_t device, const Handle& folder) {
    if (volumes_.contains(device)) return {};
    auto own = disk_.open_folder_in(folder, ".");
    if (!own) return failure(own.error());
    const auto volume = disk_.volume(*own);
    if (!volume) return failure(volume.error());
    volumes_.emplace(device, Known{std::make_shared<const Handle>(std::move(*own)), volume->syncs_whole});
    return {};
}

void Durable::changed(std::uint64_t device, std::shared_ptr<const Handle> folder) {
    auto& folders = changed_[device];
    const auto known = volumes_.find(device);
    if (known != volumes_.end() && known->second.whole) return;
    if (std::find(folders.begin(), folders.end(), folder) == folders.end())
        folders.push_back(std::move(folder));
    if (folders.size() < most_kept_open) return;
    for (const auto& one : folders)
        if (auto synced = sync_folder(*one); !synced && earlier_) earlier_ = synced;
    folders.clear();
}

Result<void> Durable::sync_whole(std::uint64_t device, const Known& volume) {
    changed_.erase(device);
    return disk_.sync_volume(*volume.folder);
}

/// One that was removed since has nothing that could be lost; some file systems say so, some take it.
Result<void> Durable::sync_folder(const Handle& folder) {
    auto synced = disk_.sync(folder);
    return !synced && synced.error().fault == Fault::not_found ? Result<void>{} : synced;
}

std::vector<Durable::Failed> Durable::sync_files(std::span<const StagedCopy* const> files) {
    std::map<std::uint64_t, std::vector<std::size_t>> by_device;
    for (std::size_t at = 0; at < files.size(); ++at) by_device[files[at]->fresh.device].push_back(at);
    std::vector<Failed> failed;
    for (const auto& [device, places] : by_device) {
        const auto known = volumes_.find(device);
        const bool whole = known != volumes_.end() && known->second.whole;
        if (whole && (places.size() > few_files || changed_.contains(device))) {
            if (auto synced = sync_whole(device, known->second); !synced)
                for (const auto at : places) failed.push_back({at, synced.error()});
            continue;
        }
        for (const auto at : places) {
            auto synced = disk_.sync(files[at]->staged.file());
            if (synced && !whole) synced = disk_.close_check(files[at]->staged);
            if (!synced) failed.push_back({at, synced.error()});
        }
    }
    return failed;
}

Result<void> Durable::settle() {
    Result<void> result = std::exchange(earlier_, {});
    while (!changed_.empty()) {
        const auto [device, folders] = *changed_.begin();
        changed_.erase(changed_.begin());
        const auto known = volumes_.find(device);
        if (known != volumes_.end() && known->second.whole) {
            if (auto synced = sync_whole(device, known->second); !synced && result) result = synced;
            continue;
        }
        for (const auto& folder : folders)
            if (auto synced = sync_folder(*folder); !synced && result) result = synced;
    }
    return result;
}

}  // namespace tavlo
