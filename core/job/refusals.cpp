// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "job/refusals.h"

#include <fmt/format.h>

#include <algorithm>
#include <set>

#include "files/path.h"

namespace tavlo {

namespace {

/// A folder that the destination is, or lies in, by whatever way: links and mounts are seen through.
bool holds_destination(const Entry& entry, const Destination& destination) {
    for (const Identity& above : destination.ancestors)
        if (above.same_thing(entry.status.id)) return true;
    return false;
}

}  // namespace

void refuse_into_itself(const Plan& plan, const Structure& structure, const Destination& destination,
                        std::vector<Error>& refusals) {
    const auto refuse = [&](const Entry& entry) {
        refusals.push_back({Fault::refused, 0,
                            "is a folder into itself: " + printable(destination.path) + " lies in it",
                            plan.batch->source_path(entry)});
    };
    for (const Item& item : plan.items) {
        if (item.inside == no_folder || plan.entry(item).way) continue;
        const bool comes_in_folder = item.parent != no_item && !plan.entry(plan.items[item.parent]).way;
        const bool said_above =
            comes_in_folder && holds_destination(plan.entry(plan.items[item.parent]), destination);
        if (!said_above && holds_destination(plan.entry(item), destination)) refuse(plan.entry(item));
    }
    if (!structure.takes_contents() && !structure.flatten) return;
    const bool takes_subfolders = structure.subfolders != Subfolders::none;
    for (const Entry& entry :
         plan.batch->entries) {  // folders that dissolve are no items, what is below them still arrives
        if (entry.status.type != FileType::folder || !plan.batch->is_named(entry)) continue;
        const bool is_destination =
            destination.exists && destination.ancestors.front().same_thing(entry.status.id);
        if (is_destination || (takes_subfolders && holds_destination(entry, destination))) refuse(entry);
    }
}

/// Of folders in one another the outermost says it for all.
void keep_outermost(std::vector<Error>& refusals) {
    const std::vector<Error> all = refusals;
    std::erase_if(refusals, [&](const Error& one) {
        return std::any_of(all.begin(), all.end(), [&](const Error& other) {
            return other.path != one.path && is_within(one.path, other.path);
        });
    });
}

void refuse_onto_itself(const Plan& plan, std::vector<Error>& refusals) {
    const auto onto_itself = [&](const Item& item) {
        const Entry& entry = plan.entry(item);
        const auto& real = entry.real();
        const Identity& from = plan.batch->folders.identity(real ? real->folder : entry.folder);
        const Identity& into = plan.targets.identity(item.folder);
        return into.inode != 0 && from.same_thing(into) &&
               (real ? real->name : entry.name) == plan.name(item);
    };
    for (const Item& item : plan.items) {
        if (plan.leaves(item)) continue;
        const bool said_above = item.parent != no_item && onto_itself(plan.items[item.parent]);
        if (item.outcome != Outcome::failed && !said_above && onto_itself(item))
            refusals.push_back({Fault::refused, 0, "would go onto itself", plan.source_path(item)});
    }
}

/// What leaves the destination must not be a source, nor hold one, by whatever way it is reached.
void refuse_leaving_sources(const Plan& plan, const Destination& destination, Clearing clearing,
                            std::vector<Error>& refusals) {
    if (clearing == Clearing::none) return;
    if (destination.ancestors.size() == 1 && destination.exists) {
        refusals.push_back(
            {Fault::refused, 0, "is the root of the whole system, which is not emptied", destination.path});
        return;
    }
    if (plan.items.size() == plan.leaving.size()) {
        refusals.push_back(
            {Fault::refused, 0, "would only be emptied: nothing of the batch goes there", destination.path});
        return;
    }
    using Thing = std::pair<std::uint64_t, std::uint64_t>;
    const auto thing = [](const Identity& id) { return Thing(id.device, id.inode); };
    std::set<Thing> holding;  // folders that are sources, hold them, or come with them
    for (const Identity& id : plan.batch->above) holding.insert(thing(id));
    std::set<std::pair<Thing, std::string>> places;  // of sources that are no folders
    for (const Entry& entry : plan.batch->entries) {
        if (entry.status.type == FileType::folder) holding.insert(thing(entry.status.id));
        const Place place = plan.batch->place_of(entry);
        if (plan.batch->is_named(entry))
            places.emplace(thing(plan.batch->folders.identity(place.folder)), place.name);
    }
    for (const Item& item : plan.items) {
        if (item.action != Action::take_away) continue;
        const bool is_source = places.contains({thing(plan.targets.identity(item.folder)), plan.name(item)});
        if (is_source || holding.contains(thing(plan.entry(item).status.id)))
            refusals.push_back({Fault::refused, 0,
                                is_source ? "would leave the destination, and is of the batch itself"
                                          : "would leave the destination, and the batch comes out of it",
                                plan.target_path(item)});
    }
}

void refuse_without_room(const Plan& plan, const Destination& destination, std::vector<Error>& refusals) {
    const Room room = room_needed(plan, destination);
    const Volume& volume = destination.volume;
    if (room.bytes > volume.free_bytes)
        refusals.push_back({Fault::no_space, 0,
                            fmt::format("has too little room: {} bytes are needed, {} are free", room.bytes,
                                        volume.free_bytes),
                            destination.path});
    else if (room.inodes > volume.free_inodes)
        refusals.push_back({Fault::no_space, 0,
                            fmt::format("has too little room: {} new entries are needed, {} are free",
                                        room.inodes, volume.free_inodes),
                            destination.path});
}

Room room_needed(const Plan& plan, const Destination& destination) {
    Room room;
    std::set<std::pair<std::uint64_t, std::uint64_t>> linked;
    for (const Item& item : plan.items) {
        if (!arrives(item.outcome) || plan.leaves(item)) continue;
        const Status& status = plan.entry(item).status;
        if (item.action == Action::move && status.id.device == destination.volume.device) continue;
        if (status.type == FileType::file && status.links > 1 &&
            !linked.emplace(status.id.device, status.id.inode).second)
            continue;
        ++room.inodes;
        if (status.type == FileType::file) room.bytes += status.allocated_bytes;
    }
    return room;
}

}  // namespace tavlo
