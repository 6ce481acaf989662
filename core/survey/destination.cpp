// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "survey/destination.h"

#include <algorithm>

#include "files/ancestors.h"
#include "files/own.h"
#include "files/path.h"

namespace tavlo {

std::string HeldFolder::key(std::string_view name) const {
    return folds_case ? folded(name) : std::string(name);
}

void HeldFolder::add(Held held) { things_.push_back(std::move(held)); }

void HeldFolder::settle() {
    std::sort(things_.begin(), things_.end(),
              [](const Held& one, const Held& other) { return one.name < other.name; });
    folded_.clear();
    for (std::size_t at = 0; folds_case && at < things_.size(); ++at)
        folded_.emplace(key(things_[at].name), at);
}

const Held* HeldFolder::find(std::string_view name, std::size_t& near) const {
    if (!folds_case && near < things_.size()) {
        const int side = name.compare(things_[near].name);
        if (side == 0) return &things_[near];
        const std::size_t next = side > 0 ? near + 1 : near - 1;  // before the first one: beyond the last
        if (next >= things_.size()) return nullptr;
        if (things_[next].name == name) return &things_[near = next];
        if ((name < things_[next].name) == (side > 0)) return nullptr;  // it would stand between the two
    }
    const Held* found = find(name);
    if (found != nullptr) near = static_cast<std::size_t>(found - things_.data());
    return found;
}

const Held* HeldFolder::find(std::string_view name) const {
    if (folds_case) {
        const auto found = folded_.find(key(name));
        return found == folded_.end() ? nullptr : &things_[found->second];
    }
    const auto found =
        std::lower_bound(things_.begin(), things_.end(), name,
                         [](const Held& one, std::string_view other) { return one.name < other; });
    return found == things_.end() || found->name != name ? nullptr : &*found;
}

const HeldFolder* Destination::folder(const std::string& path_in_root) const {
    const auto found = folders.find(path_in_root);
    return found == folders.end() ? nullptr : &found->second;
}

Result<HeldFolder> list_held(FileSystem& disk, const Handle& folder) {
    const auto volume = disk.volume(folder);
    if (!volume) return failure(volume.error());
    const auto own = disk.status(folder);
    if (!own) return failure(own.error());
    auto names = disk.list(folder);
    if (!names) return failure(names.error());
    HeldFolder held;
    held.id = own->id;
    held.folds_case = volume->folds_case;
    for (auto& name : *names) {
        if (is_own(disk, folder, name.bytes)) continue;
        const auto status = disk.status(folder, name.bytes);
        if (!status) {
            if (status.error().fault == Fault::not_found) continue;
            return failure(status.error());
        }
        Held entry{name.bytes, *status, {}};
        if (status->type == FileType::link)
            if (auto points_at = disk.read_link(folder, name.bytes))
                entry.points_at.make() = std::move(*points_at);
        held.add(std::move(entry));
    }
    held.settle();
    return held;
}

Result<Destination> look_at_destination(FileSystem& disk, const std::string& path) {
    Destination destination;
    destination.path = path;
    std::string existing = path;
    auto handle = disk.open_folder(existing);
    while (!handle && handle.error().fault == Fault::not_found && existing != "/") {
        const auto above = disk.open_folder(std::string(parent_of(existing)));
        if (above && disk.status(*above, std::string(name_of(existing))))
            return failure(Fault::refused, "is a link that leads nowhere", existing);
        existing = std::string(parent_of(existing));
        handle = disk.open_folder(existing);
    }
    if (!handle) {
        if (handle.error().fault == Fault::not_a_folder)
            return failure(Fault::not_a_folder, "is not a folder", existing);
        return failure(handle.error());
    }
    destination.exists = existing == path;
    const auto volume = disk.volume(*handle);
    if (!volume) return failure(volume.error());
    destination.volume = *volume;
    if (volume->read_only)
        return failure(Fault::no_permission, "lies on a file system that is read-only", existing);
    if (auto may = disk.may_write(*handle); !may)
        return failure(Fault::no_permission,
                       may.error().fault == Fault::unsupported ? may.error().step
                       : destination.exists                    ? "may not be written"
                                            : "may not be written, so the destination cannot be made",
                       existing);
    if (destination.exists) {
        const auto real = disk.real_path(*handle);
        const auto mounts = disk.mounts_below(*handle);
        if (!real || !mounts) return failure(real ? mounts.error() : real.error());
        for (const auto& mount : *mounts)
            destination.mounts.push_back(mount.substr(*real == "/" ? 1 : real->size() + 1));
    }
    auto found = ancestors(disk, std::move(*handle));
    if (!found) return failure(found.error());
    destination.ancestors = std::move(*found);
    return destination;
}

Result<Survey> survey(FileSystem& disk, std::vector<Destination> roots, const FolderTree& tree,
                      std::stop_token stop, const std::vector<bool>& matters) {
    std::vector<bool> listed_ones = matters;
    for (auto id = static_cast<FolderId>(listed_ones.size()); id-- > 0;)
        if (listed_ones[id] && tree.parent(id) != no_folder) listed_ones[tree.parent(id)] = true;
    Survey seen{std::move(roots)};
    seen.root_of.resize(tree.size());
    FolderHandles handles(disk, tree);
    std::uint32_t roots_met = 0;
    for (FolderId id = 0; id < tree.size(); ++id) {
        if (stop.stop_requested()) return failure(Fault::cancelled, "stopped", "");
        const FolderId above = tree.parent(id);
        seen.root_of[id] = above == no_folder ? roots_met++ : seen.root_of[above];
        Destination& root = seen.roots[seen.root_of[id]];
        if (!root.exists || (!listed_ones.empty() && !listed_ones[id])) continue;
        if (above != no_folder) {
            const HeldFolder* holder = root.folder(tree.path_in_root(above));
            const Held* held = holder == nullptr ? nullptr : holder->find(tree.name(id));
            if (held == nullptr || held->status.type != FileType::folder) continue;
        }
        const auto handle = handles.open(id);
        if (!handle) return failure(handle.error());
        auto listed = list_held(disk, **handle);
        if (!listed) return failure(listed.error());
        root.folders.emplace(tree.path_in_root(id), std::move(*listed));
    }
    return seen;
}

}  // namespace tavlo
