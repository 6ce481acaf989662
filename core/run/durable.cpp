// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/durable.h"

#include <algorithm>
#include <iterator>
#include <map>
#include <utility>

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

bool Durable::syncs_whole(std::uint64_t device) const {
    const auto known = volumes_.find(device);
    return known != volumes_.end() && known->second.whole;
}

void Durable::changed(std::uint64_t device, std::shared_ptr<const Handle> folder) {
    auto& folders = changed_[device];
    if (syncs_whole(device)) return;
    if (std::find(folders.begin(), folders.end(), folder) == folders.end())
        folders.push_back(std::move(folder));
    if (folders.size() < most_kept_open) return;
    for (const auto& one : folders)
        if (auto synced = sync_folder(disk_, *one); !synced && earlier_) earlier_ = synced;
    folders.clear();
}

/// One that was removed since has nothing that could be lost; some file systems say so, some take it.
Result<void> Durable::sync_folder(FileSystem& disk, const Handle& folder) {
    auto synced = disk.sync(folder);
    return !synced && synced.error().fault == Fault::not_found ? Result<void>{} : synced;
}

Durable::Changed Durable::take_changed() {
    Changed taken{{}, {}, std::exchange(earlier_, {})};
    for (auto& [device, folders] : std::exchange(changed_, {}))
        if (syncs_whole(device))
            taken.volumes.push_back(volumes_.at(device).folder);
        else
            std::move(folders.begin(), folders.end(), std::back_inserter(taken.folders));
    return taken;
}

Result<void> Durable::sync_names(FileSystem& disk, const Changed& changed) {
    Result<void> result = changed.earlier;
    for (const auto& volume : changed.volumes)
        if (auto synced = disk.sync_volume(*volume); !synced && result) result = synced;
    for (const auto& folder : changed.folders)
        if (auto synced = sync_folder(disk, *folder); !synced && result) result = synced;
    return result;
}

std::function<Durable::Synced()> Durable::begin(std::vector<const StagedCopy*> files) {
    struct Whole {
        std::shared_ptr<const Handle> volume;
        std::vector<std::size_t> files;
        bool names;  ///< some changed there before
    };
    std::vector<Whole> wholes;
    std::vector<std::pair<std::size_t, bool>> singles;  // place in files; what closing says counts
    std::map<std::uint64_t, std::vector<std::size_t>> by_device;
    for (std::size_t at = 0; at < files.size(); ++at) by_device[files[at]->fresh.device].push_back(at);
    for (auto& [device, places] : by_device) {
        const bool whole = syncs_whole(device);
        const bool names = whole && changed_.contains(device);
        if (!whole || (places.size() <= few_files && !names)) {
            for (const std::size_t at : places) singles.emplace_back(at, !whole);
            continue;
        }
        changed_.erase(device);
        wholes.push_back({volumes_.at(device).folder, std::move(places), names});
    }
    return [&disk = disk_, files = std::move(files), wholes = std::move(wholes), singles = std::move(singles),
            changed = take_changed()] {
        Synced done;
        for (const Whole& whole : wholes)
            if (auto synced = disk.sync_volume(*whole.volume); !synced) {
                for (const std::size_t at : whole.files) done.failed.push_back({at, synced.error()});
                if (whole.names && done.names) done.names = synced;  // an error is told but once
            }
        for (const auto& [at, closes] : singles) {
            auto synced = disk.sync(files[at]->staged.file());
            if (synced && closes) synced = disk.close_check(files[at]->staged);
            if (!synced) done.failed.push_back({at, synced.error()});
        }
        if (auto names = sync_names(disk, changed); !names && done.names) done.names = names;
        return done;
    };
}

Result<void> Durable::settle() { return sync_names(disk_, take_changed()); }

}  // namespace tavlo
