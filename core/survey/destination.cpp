// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "survey/destination.h"

#include <algorithm>
#include <deque>
#include <optional>
#include <span>

#include "files/ancestors.h"
#include "files/own.h"
#include "files/parallel.h"
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

namespace {

constexpr std::size_t looked_at_in_a_turn = 512;                       // names
constexpr std::size_t looked_at_at_a_time = 32 * looked_at_in_a_turn;  // so much is held twice

/// As it stands; nullopt where it went away between the listing and the look.
Result<std::optional<Held>> look_at(FileSystem& disk, const Handle& folder, const std::string& name) {
    const auto status = disk.status(folder, name);
    if (!status && status.error().fault == Fault::not_found) return std::nullopt;
    if (!status) return failure(status.error());
    Held held{name, *status, {}};
    if (status->type == FileType::link)
        if (auto points_at = disk.read_link(folder, name)) held.points_at.make() = std::move(*points_at);
    return held;
}

/// Of some names, by several threads.
Result<void> look_at(FileSystem& disk, const Handle& folder, std::span<const Name> names,
                     AheadThreads& threads, HeldFolder& held) {
    using Looks = std::vector<Result<std::optional<Held>>>;
    std::vector<Looks> turns((names.size() + looked_at_in_a_turn - 1) / looked_at_in_a_turn);
    const auto take_turn = [&](std::size_t turn) {
        const std::size_t from = turn * looked_at_in_a_turn;
        const auto some = names.subspan(from, std::min(looked_at_in_a_turn, names.size() - from));
        turns[turn].reserve(some.size());
        for (const Name& name : some)
            if (!is_own(disk, folder, name.bytes)) turns[turn].push_back(look_at(disk, folder, name.bytes));
    };
    if (turns.size() > 1)
        Turns(threads, turns.size(), take_turn).finish();
    else if (!turns.empty())
        take_turn(0);
    for (Looks& looks : turns)
        for (auto& look : looks) {
            if (!look) return failure(look.error());
            if (*look) held.add(std::move(**look));
        }
    return {};
}

}  // namespace

Result<HeldFolder> list_held(FileSystem& disk, const Handle& folder, AheadThreads& threads) {
    const auto volume = disk.volume(folder);
    if (!volume) return failure(volume.error());
    const auto own = disk.status(folder);
    if (!own) return failure(own.error());
    const auto names = disk.list(folder);
    if (!names) return failure(names.error());
    HeldFolder held;
    held.id = own->id;
    held.folds_case = volume->folds_case;
    for (std::size_t from = 0; from < names->size(); from += looked_at_at_a_time) {
        const auto some =
            std::span(*names).subspan(from, std::min(looked_at_at_a_time, names->size() - from));
        if (auto seen = look_at(disk, folder, some, threads, held); !seen) return failure(seen.error());
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

namespace {

/// Lists folder after folder, a few of them ahead on other threads.
class Surveyor {
public:
    Surveyor(FileSystem& disk, std::vector<Destination> roots, const FolderTree& tree)
        : disk_(disk),
          tree_(tree),
          seen_{std::move(roots)},
          handles_(disk, tree),
          threads_(useful_threads() - 1),
          listings_(threads_) {
        seen_.root_of.resize(tree.size());
    }

    Result<Survey> run(const std::vector<bool>& listed_ones, const std::stop_token& stop) {
        std::uint32_t roots_met = 0;
        for (FolderId id = 0; id < tree_.size(); ++id) {
            if (stop.stop_requested()) return failure(Fault::cancelled, "stopped", "");
            const FolderId above = tree_.parent(id);
            seen_.root_of[id] = above == no_folder ? roots_met++ : seen_.root_of[above];
            if (!root_of(id).exists || (!listed_ones.empty() && !listed_ones[id])) continue;
            while (listings_.is_full() || (above != no_folder && is_asked(above)))
                if (auto taken = take(); !taken) return failure(taken.error());
            if (above != no_folder && !is_folder_there(id)) continue;
            if (auto asked = ask(id); !asked) return failure(asked.error());
        }
        while (!listings_.is_empty())
            if (auto taken = take(); !taken) return failure(taken.error());
        return std::move(seen_);
    }

private:
    Destination& root_of(FolderId id) { return seen_.roots[seen_.root_of[id]]; }
    bool is_asked(FolderId id) const { return std::find(asked_.begin(), asked_.end(), id) != asked_.end(); }

    bool is_folder_there(FolderId id) {
        const HeldFolder* holder = root_of(id).folder(tree_.path_in_root(tree_.parent(id)));
        const Held* held = holder == nullptr ? nullptr : holder->find(tree_.name(id));
        return held != nullptr && held->status.type == FileType::folder;
    }

    Result<void> ask(FolderId id) {
        auto handle = handles_.open(id);
        if (!handle) return failure(handle.error());
        asked_.push_back(id);
        listings_.ask([this, folder = std::move(*handle)] { return list_held(disk_, *folder, threads_); });
        return {};
    }

    Result<void> take() {
        const FolderId id = asked_.front();
        asked_.pop_front();
        auto listed = listings_.take();
        if (!listed) return failure(listed.error());
        root_of(id).folders.emplace(tree_.path_in_root(id), std::move(*listed));
        return {};
    }

    FileSystem& disk_;
    const FolderTree& tree_;
    Survey seen_;
    FolderHandles handles_;
    AheadThreads threads_;
    InTurn<Result<HeldFolder>> listings_;
    std::deque<FolderId> asked_;  ///< whose listings these are
};

}  // namespace

Result<Survey> survey(FileSystem& disk, std::vector<Destination> roots, const FolderTree& tree,
                      std::stop_token stop, const std::vector<bool>& matters) {
    std::vector<bool> listed_ones = matters;
    for (auto id = static_cast<FolderId>(listed_ones.size()); id-- > 0;)
        if (listed_ones[id] && tree.parent(id) != no_folder) listed_ones[tree.parent(id)] = true;
    return Surveyor(disk, std::move(roots), tree).run(listed_ones, stop);
}

}  // namespace tavlo
