// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <algorithm>

#include "files/path.h"
#include "plan/planner.h"

namespace tavlo {

namespace {

Entry entry_of(const Held& held) {
    Entry entry;
    entry.name = held.name;
    static_cast<FileState&>(entry.status) = held.status;
    if (!held.points_at.get().empty()) entry.extras.make().points_at = held.points_at.get();
    return entry;
}

}  // namespace

/// The one that holds the name gets another one, by an item that is put before the others in the end.
void Planner::make_room(const Item& incoming) {
    const Held& held = *held_[incoming.folder]->find(plan_.name(incoming));
    rooms_entries_.push_back(entry_of(held));
    Item& item = rooms_.emplace_back();
    item.folder = incoming.folder;
    item.action = Action::move;
    item.outcome = Outcome::renamed;
    item.role = Role::makes_room;
    item.whole = held.status.type == FileType::folder;
    const std::string& folder = plan_.targets.name(incoming.folder);
    item.add_extras().final_name =
        new_name(incoming.folder, held.name, held.status, std::string(name_of(folder)));
}

void Planner::put_rooms_first() {
    const auto rooms = static_cast<ItemId>(rooms_.size());
    if (rooms == 0) return;
    for (ItemId id = 0; id < rooms; ++id)
        rooms_[id].entry = static_cast<EntryId>(plan_.batch->entries.size() + plan_.leaving.size() + id);
    std::move(rooms_entries_.begin(), rooms_entries_.end(), std::back_inserter(plan_.leaving));
    plan_.items.insert(plan_.items.begin(), std::make_move_iterator(rooms_.begin()),
                       std::make_move_iterator(rooms_.end()));
    for (ItemId id = rooms; id < plan_.items.size(); ++id)
        if (plan_.items[id].parent != no_item) plan_.items[id].parent += rooms;
    first_arrival_ += rooms;
    for (ItemId& id : plan_.not_compared) id += rooms;
    for (ItemId& id : made_by_)
        if (id != no_item) id += rooms;
}

/// What a folder of the destination holds goes to the Safe, but for names that are wanted.
void Planner::leave(FolderId folder, const HeldFolder* held, const std::unordered_set<std::string>& wanted) {
    if (held == nullptr) return;
    std::vector<const Held*> leaving;
    for (const Held& one : held->things())
        if (!wanted.contains(held->key(one.name)) && !(folder == 0 && is_of_the_volume(one.name)))
            leaving.push_back(&one);
    for (const Held* one : leaving) {
        Item& item = plan_.items.emplace_back();
        item.entry = static_cast<EntryId>(plan_.batch->entries.size() + plan_.leaving.size());
        plan_.leaving.push_back(entry_of(*one));
        item.folder = folder;
        item.action = Action::take_away;
        item.role = Role::leaves;
        item.outcome = Outcome::removed;
        const bool holds = !one->status.mount_point && holds_mount(folder, one->name);
        if (!one->status.mount_point && !holds) continue;
        item.outcome = Outcome::failed;
        item.add_extras().problem =
            std::make_shared<const Error>(Error{Fault::refused, 0,
                                                holds ? "holds a mount of another file system, and stays"
                                                      : "is a mount of another file system, and stays",
                                                plan_.target_path(item)});
    }
}

/// What is in hand goes, and nothing of it arrives.
void Planner::decide_leaving() {
    for (std::uint32_t at = 0; at < layout_.arrivals.size(); ++at) {
        const Arrival& arrival = layout_.arrivals[at];
        Item& item = plan_.items.emplace_back();
        item.entry = arrival.entry;
        item.folder = arrival.folder;
        item.action = Action::take_away;
        item.role = Role::leaves;
        item.shelf = wishes_.shelf;
        item.outcome = Outcome::removed;
        const auto no_place = layout_.problems.find(at);
        const auto& problem =
            no_place == layout_.problems.end() ? plan_.entry(item).problem() : no_place->second;
        if (!problem) continue;
        item.outcome = Outcome::failed;
        item.add_extras().problem = problem;
    }
}

/// Something is mounted below it, at any depth.
bool Planner::holds_mount(FolderId folder, const std::string& name) const {
    const auto& mounts = survey_.root(folder).mounts;
    if (mounts.empty()) return false;
    const std::string path = join(layout_.as_it_stands().path_in_root(folder), name);
    return std::any_of(mounts.begin(), mounts.end(),
                       [&](const std::string& mount) { return mount != path && is_within(mount, path); });
}

/// What a file system keeps at its top for itself and for the desktop's trash (freedesktop.org Trash
/// specification 1.0).
bool Planner::is_of_the_volume(std::string_view name) const {
    const auto& up = survey_.roots.front().ancestors;
    const bool at_top = up.size() < 2 || up[0].device != up[1].device;
    return at_top && (name == "lost+found" || name == ".Trash" || name.starts_with(".Trash-"));
}

void Planner::leave_nothing_extra() {
    std::vector<std::unordered_set<std::string>> wanted(plan_.targets.size());
    for (const Arrival& arrival : layout_.arrivals)
        if (const HeldFolder* held = held_[arrival.folder])
            wanted[arrival.folder].insert(held->key(layout_.name(*plan_.batch, arrival)));
    for (FolderId folder = 0; folder < plan_.targets.size(); ++folder)
        leave(folder, held_[folder], wanted[folder]);
}

}  // namespace tavlo
