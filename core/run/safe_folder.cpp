// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/safe_folder.h"

#include <sys/random.h>
#include <unistd.h>

#include <algorithm>
#include <array>

#include "files/path.h"
#include "run/placing.h"

namespace tavlo {

namespace {

constexpr std::size_t most_in_a_slot = 1000;
constexpr int most_safes = 9;  // side by side, where somebody's own folder has the name

std::string random_number() {
    static constexpr std::string_view letters = "abcdefghjkmnpqrstuvwxyz23456789x";  // 32
    std::array<unsigned char, 10> bytes{};
    std::string text;
    if (::getrandom(bytes.data(), bytes.size(), 0) != static_cast<ssize_t>(bytes.size())) return text;
    for (const auto byte : bytes) text += letters[byte % letters.size()];
    return text;
}

std::string safe_name(int which) {
    return safe_folder_name() + (which == 1 ? "" : "-" + std::to_string(which));
}

Error not_private(const Handle& folder) {
    return {Fault::no_permission, 0, "is not a private folder of this user", folder.path()};
}

/// Privacy is asked for where it can be had; some file systems give every folder one and the same
/// permissions.
Result<void> check_private(FileSystem& disk, const Handle& folder) {
    const auto before = disk.status(folder);
    if (!before) return failure(before.error());
    const auto is_private = [](const Status& status) {
        return status.owner == ::geteuid() && (status.mode & 077U) == 0;
    };
    if (is_private(*before)) return {};
    if (before->id.inodes_last()) return failure(not_private(folder));
    (void)disk.set_mode(folder, 0700);
    const auto after = disk.status(folder);
    if (!after) return failure(after.error());
    const bool knows_one_mode_only = after->mode == before->mode;
    return is_private(*after) || knows_one_mode_only ? Result<void>{}
                                                     : Result<void>(failure(not_private(folder)));
}

}  // namespace

SafeFolder::SafeFolder(FileSystem& disk, std::string receipt, std::vector<Identity> sources)
    : disk_(disk), receipt_(std::move(receipt)), sources_(std::move(sources)) {}

Result<Handle> SafeFolder::open_private(const Handle& in, const std::string& name) {
    const auto made = disk_.make_folder(in, name, 0700);
    if (!made && made.error().fault != Fault::name_taken) return failure(made.error());
    auto opened = disk_.open_folder_in(in, name);
    if (!opened) return opened;
    const auto status = disk_.status(*opened);
    if (!status) return failure(status.error());
    const bool fixed =
        made && (status->mode != 0700 || status->owner != ::geteuid());  // asked for, and not given
    if (fixed) return opened;
    if (auto checked = check_private(disk_, *opened); !checked) return failure(checked.error());
    return opened;
}

Result<Handle> SafeFolder::open_safe(const Handle& in) {
    Error last;
    for (int which = 1; which <= most_safes; ++which) {
        auto safe = open_private(in, safe_name(which));
        if (safe && is_safe(disk_, *safe)) return safe;
        // on file systems with one set of permissions for all, an empty one tells nothing of itself
        if (safe)
            if (const auto names = disk_.list(*safe); names && names->empty()) return safe;
        if (!safe && safe.error().fault != Fault::not_a_folder) return safe;
        last = safe ? Error{Fault::name_taken, 0, "is somebody's own folder", safe->path()} : safe.error();
    }
    return failure(std::move(last));
}

/// The folders that could hold the Safe, from the top of the mount down; as levels above, as there may be
/// more than can be held open.
std::vector<std::size_t> SafeFolder::candidates(const Handle& near) {
    std::vector<std::size_t> found;
    auto at = disk_.open_folder_in(near, ".");
    if (!at) return found;
    const auto mount = disk_.mount(*at);
    std::uint64_t device = 0;
    Identity below{};
    for (std::size_t level = 0;; ++level) {
        const auto here = disk_.status(*at);
        const auto mounted = disk_.mount(*at);
        if (!here || !mount || !mounted || *mounted != *mount) break;
        if (device == 0) device = here->id.device;
        if (here->id.device != device || here->id.same_thing(below)) break;
        below = here->id;
        // all that was seen so far lies in a source
        if (std::any_of(sources_.begin(), sources_.end(),
                        [&](const Identity& source) { return source.same_thing(here->id); }))
            found.clear();
        else if (disk_.may_write(*at))
            found.push_back(level);
        if (here->mount_point) break;
        auto higher = disk_.open_folder_in(*at, "..");
        if (!higher) break;
        at = std::move(higher);
    }
    std::reverse(found.begin(), found.end());
    return found;
}

Result<Handle> SafeFolder::above(const Handle& near, std::size_t levels) {
    auto at = disk_.open_folder_in(near, ".");
    for (; at && levels > 0; --levels) at = disk_.open_folder_in(*at, "..");
    if (!at) return at;
    auto path = disk_.real_path(*at);  // for messages: else it is one of many ".."
    return path ? Handle(at->take(), std::move(*path)) : std::move(at);
}

Result<SafeFolder::Shelf> SafeFolder::find(const Handle& near) {
    Error last{Fault::no_permission, 0, "there is no folder here that could hold the Safe", near.path()};
    for (const std::size_t levels : candidates(near)) {
        const auto candidate = above(near, levels);
        auto safe = candidate ? open_safe(*candidate) : Result<Handle>(failure(candidate.error()));
        if (!safe) {
            last = safe.error();
            continue;
        }
        auto shelf = open_private(*safe, receipt_);
        if (!shelf) return failure(shelf.error());
        auto path = disk_.real_path(*shelf);
        if (!path) return failure(path.error());
        const auto status = disk_.status(*shelf);
        if (!status) return failure(status.error());
        return Shelf{std::make_shared<const Handle>(std::move(*safe)),
                     std::make_shared<const Handle>(std::move(*shelf)), std::move(*path), status->id.device};
    }
    return failure(std::move(last));
}

Result<SafeFolder::Mounted> SafeFolder::mounted(const Handle& near) {
    const auto status = disk_.status(near);
    if (!status) return failure(status.error());
    const auto mount = disk_.mount(near);
    if (!mount) return failure(mount.error());
    return Mounted(status->id.device, *mount);
}

Result<Slot> SafeFolder::slot(const Handle& near) {
    const auto place = mounted(near);
    if (!place) return failure(place.error());
    auto shelf = shelves_.find(*place);
    if (shelf == shelves_.end()) {
        auto found = find(near);
        if (!found) return failure(found.error());
        shelf = shelves_.emplace(*place, std::move(*found)).first;
    }
    const std::string number = random_number();
    if (number.empty()) return failure(Fault::io, "no random number could be had", shelf->second.path);
    if (auto made = disk_.make_folder(*shelf->second.folder, number, 0700); !made)
        return failure(made.error());
    auto folder = disk_.open_folder_in(*shelf->second.folder, number);
    if (!folder) return failure(folder.error());
    return Slot{shelf->second.folder,
                std::make_shared<const Handle>(std::move(*folder)),
                number,
                join(shelf->second.path, number),
                receipt_ + "." + number,
                shelf->second.device,
                false};
}

Result<Slot> SafeFolder::shared_slot(const Handle& near, const std::string& name) {
    const auto place = mounted(near);
    if (!place) return failure(place.error());
    const std::string key = folded(name);
    auto found = shared_.find(*place);
    const bool has_room = found != shared_.end() && found->second.names.size() < most_in_a_slot &&
                          !found->second.names.contains(key);
    if (!has_room) {
        auto fresh = slot(near);
        if (!fresh) return fresh;
        fresh->shared = true;
        if (found != shared_.end()) {
            to_tidy_.push_back(found->second.slot);
            to_tidy_.back().folder.reset();
        }
        found = shared_.insert_or_assign(*place, Shared{std::move(*fresh), {}}).first;
    }
    found->second.names.insert(key);
    Slot given = found->second.slot;
    given.entry += "-" + std::to_string(found->second.names.size());
    return given;
}

Result<Slot> SafeFolder::slot_for(const Handle& folder, const std::string& name, FileType type) {
    auto given = type == FileType::folder ? slot(folder) : shared_slot(folder, name);
    if (given) given->name = name;
    return given;
}

Result<Kept> SafeFolder::keep(const Slot& slot, const Handle& folder, const std::string& name,
                              const Identity& expected) {
    auto version = set_aside(disk_, slot, folder, name, expected);
    if (!version) return failure(version.error());
    return Kept{version->stored, version->identity, *version};
}

void SafeFolder::drop(FileSystem& disk, const Slot& slot) {
    // it fails where the slot holds something, and then it must stay; others may be about to use one that is
    // shared
    if (!slot.shared) (void)disk.remove_empty_folder(*slot.shelf, slot.number);
}

void SafeFolder::tidy() {
    for (auto& [place, shared] : shared_) to_tidy_.push_back(std::move(shared.slot));
    for (const Slot& slot : to_tidy_) (void)disk_.remove_empty_folder(*slot.shelf, slot.number);
    for (const auto& [place, shelf] : shelves_) (void)disk_.remove_empty_folder(*shelf.safe, receipt_);
    to_tidy_.clear();
    shared_.clear();
    shelves_.clear();
}

void SafeFolder::find_again(const Handle& near) {
    const auto status = disk_.status(near);
    const auto mount = disk_.mount(near);
    if (!status || !mount || shelves_.contains({status->id.device, *mount})) return;
    for (const std::size_t levels : candidates(near)) {
        const auto candidate = above(near, levels);
        for (int which = 1; candidate && which <= most_safes; ++which) {
            auto safe = disk_.open_folder_in(*candidate, safe_name(which));
            if (!safe) break;
            auto shelf = disk_.open_folder_in(*safe, receipt_);
            if (!shelf || !check_private(disk_, *shelf)) continue;
            auto path = disk_.real_path(*shelf);
            if (!path) continue;
            shelves_.emplace(std::pair(status->id.device, *mount),
                             Shelf{std::make_shared<const Handle>(std::move(*safe)),
                                   std::make_shared<const Handle>(std::move(*shelf)), std::move(*path),
                                   status->id.device});
            return;
        }
    }
}

std::vector<SafeFolder::Lying> SafeFolder::lying() {
    std::vector<Lying> found;
    for (const auto& [place, shelf] : shelves_) {
        const auto slots = disk_.list(*shelf.folder);
        for (const Name& slot : slots ? *slots : std::vector<Name>{}) {
            const auto folder = disk_.open_folder_in(*shelf.folder, slot.bytes);
            const auto names =
                folder ? disk_.list(*folder) : Result<std::vector<Name>>(failure(folder.error()));
            if (!names) continue;
            for (const Name& name : *names)
                if (const auto status = disk_.status(*folder, name.bytes))
                    found.push_back({slot.bytes, join(join(shelf.path, slot.bytes), name.bytes), *status});
            if (names->empty()) (void)disk_.remove_empty_folder(*shelf.folder, slot.bytes);
        }
    }
    return found;
}

namespace {

/// A folder of the Safe: no link, on its volume, private.
Result<Handle> step_into(FileSystem& disk, const Handle& in, const std::string& path,
                         const SafeEntry& entry) {
    auto opened = disk.open_folder_in(in, std::string(name_of(path)));
    if (!opened && opened.error().fault == Fault::not_a_folder)  // a link answers so
        return failure(Fault::changed_meanwhile, "is no longer the Safe's own folder", path);
    if (!opened) return opened;
    const auto status = disk.status(*opened);
    if (!status) return failure(status.error());
    if (status->id.device != entry.identity.device)
        return failure(Fault::unreachable, "lies on a volume that is not there now", entry.stored);
    if (auto checked = check_private(disk, *opened); !checked) return failure(checked.error());
    return opened;
}

}  // namespace

Result<void> lies_in(FileSystem& disk, const Handle& slot, const SafeEntry& entry) {
    const auto there = disk.status(slot, std::string(name_of(entry.stored)));
    if (!there) return failure(there.error());
    if (there->type == entry.type && is_expected(*there, entry.identity)) return {};
    return failure(Fault::changed_meanwhile, "is not the version that was set aside", entry.stored);
}

Result<Handle> open_shelf(FileSystem& disk, const SafeEntry& entry) {
    const std::string shelf(parent_of(parent_of(entry.stored)));
    const std::string safe(parent_of(shelf));
    const auto around = disk.open_folder(std::string(parent_of(safe)));
    if (!around) return failure(around.error());
    const auto safe_folder = step_into(disk, *around, safe, entry);
    return safe_folder ? step_into(disk, *safe_folder, shelf, entry)
                       : Result<Handle>(failure(safe_folder.error()));
}

Result<Handle> open_slot(FileSystem& disk, const Handle& shelf, const SafeEntry& entry) {
    auto folder = step_into(disk, shelf, std::string(parent_of(entry.stored)), entry);
    if (!folder) return folder;
    if (auto lies = lies_in(disk, *folder, entry); !lies) return failure(lies.error());
    return folder;
}

Result<Handle> open_slot(FileSystem& disk, const SafeEntry& entry) {
    const auto shelf = open_shelf(disk, entry);
    return shelf ? open_slot(disk, *shelf, entry) : Result<Handle>(failure(shelf.error()));
}

}  // namespace tavlo
