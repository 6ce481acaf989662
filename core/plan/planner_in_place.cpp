// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <algorithm>

#include "files/path.h"
#include "names/names.h"
#include "plan/planner.h"

namespace tavlo {

// New names where things are: a name that one of the batch gives up is free for another one.

bool Planner::keeps_name(std::uint32_t at) const {
    if (!layout_.standing) return false;
    return layout_.arrivals[at].name == own_name || layout_.problems.contains(at) ||
           plan_.batch->entries[layout_.arrivals[at].entry].problem() != nullptr;
}

/// Each after the one that holds the name it wants, so that it is known by then whether that one gives it up.
void Planner::decide_in_place() {
    const auto count = static_cast<std::uint32_t>(layout_.arrivals.size());
    plan_.items.resize(count);
    decided_.resize(count);
    std::vector<Rename> wanted_names;
    std::vector<std::uint32_t> wanting;
    has_.resize(count, placeless);
    for (std::uint32_t at = 0; at < count; ++at) {
        const Arrival& arrival = layout_.arrivals[at];
        Item& item = plan_.items[at];
        item.entry = arrival.entry;
        item.parent = arrival.parent == UINT32_MAX ? no_item : arrival.parent;
        item.folder = arrival.folder;
        item.inside = arrival.inside;
        item.action = Action::move;
        item.role = Role::renamed;
        item.whole = plan_.entry(item).status.type == FileType::folder;
        if (held_[item.folder] == nullptr) held_[item.folder] = folder_there(item.folder);
        if (arrival.name != own_name) item.add_extras().name = wanted(arrival);
        if (keeps_name(at)) continue;
        has_[at] = place_of(item.folder, plan_.entry(item).name);
        wanting.push_back(at);
        wanted_names.push_back({has_[at], wants_[at]});
    }
    giving_.resize(places_.size(), UINT32_MAX);
    for (const std::uint32_t at : wanting) giving_[has_[at]] = at;
    for (std::uint32_t at = 0; at < count; ++at)
        if (keeps_name(at)) decide_in_place(at);
    for (const Ordered::Step& step : order(wanted_names, places_.size()).steps)
        if (!step.parks) decide_in_place(wanting[step.which]);
    std::sort(plan_.not_compared.begin(), plan_.not_compared.end());
}

void Planner::decide_in_place(std::uint32_t at) {
    const Arrival& arrival = layout_.arrivals[at];
    Item& item = plan_.items[at];
    const Entry& entry = plan_.entry(item);
    const auto fail = [&](std::shared_ptr<const Error> why) {
        item.outcome = Outcome::failed;
        item.add_extras().problem = std::move(why);
    };
    decided_[at] = true;
    if (entry.problem()) return fail(entry.problem());
    if (const auto problem = layout_.problems.find(at); problem != layout_.problems.end())
        return fail(problem->second);
    if (arrival.name == own_name) {
        item.outcome = Outcome::skipped;
        return;
    }
    auto why = impossible_name(wanted(arrival));
    if (why.empty()) why = name_problem(wanted(arrival), volume(item.folder));
    if (!why.empty())
        return fail(std::make_shared<const Error>(
            Error{Fault::name_not_possible, 0, std::move(why), plan_.source_path(item)}));
    const Held* held = held_at(item.folder, plan_.name(item));
    if (held != nullptr && gives_up(at, *held)) held = nullptr;
    if (Claim* claim = twin_claim(at))
        settle_twin(item, at, *claim, held);
    else if (held != nullptr)
        meet_held(item, at, *held);
    if (item.inside != no_folder && arrives(item.outcome)) made_by_[item.inside] = at;
}

/// What holds the name that an arrival wants is of the batch, and will have another one.
bool Planner::gives_up(std::uint32_t at, const Held& held) {
    const Item& item = plan_.items[at];
    const PlaceId place = held.name == plan_.name(item) ? wants_[at] : place_of(item.folder, held.name);
    const std::uint32_t holder = place < giving_.size() ? giving_[place] : UINT32_MAX;
    if (holder == UINT32_MAX || keeping_[holder]) return false;
    if (decided_[holder]) return arrives(plan_.items[holder].outcome);
    misjudged_.push_back(holder);  // they want each other's names, in a ring; known in the end
    return true;
}

Rename Planner::rename_of(ItemId id) {
    const Item& item = plan_.items[id];
    if (!arrives(item.outcome)) return {};
    const std::size_t at = id - first_arrival_;  // of what makes room, beyond all
    const bool is_arrival = id >= first_arrival_ && at < has_.size();
    return {is_arrival ? has_[at] : place_of(item.folder, plan_.entry(item).name),
            is_arrival && item.extras().final_name.empty() ? wants_[at]
                                                           : place_of(item.folder, plan_.final_name(item))};
}

/// What was decided is put in an order in which it can be done.
void Planner::settle_steps() {
    std::erase_if(misjudged_,
                  [&](std::uint32_t at) { return arrives(plan_.items[first_arrival_ + at].outcome); });
    std::vector<Rename> renames;
    renames.reserve(plan_.items.size());
    std::vector<ItemId> in_case_alone;
    for (ItemId id = 0; id < plan_.items.size(); ++id) {
        renames.push_back(rename_of(id));
        const Item& item = plan_.items[id];
        if (!arrives(item.outcome)) continue;
        const std::string& old = plan_.entry(item).name;
        const std::string& wanted = plan_.final_name(item);
        if (volume(item.folder).may_fold_case && old.size() == wanted.size() && folded(old) == folded(wanted))
            in_case_alone.push_back(id);
    }
    std::vector<bool> given_up(places_.size());
    for (const Rename& rename : renames)
        if (rename.leaves != placeless) given_up[rename.leaves] = true;
    for (const ItemId id : in_case_alone)
        if (!given_up[renames[id].takes]) renames[id] = by_a_hidden_name(renames[id].leaves);
    plan_.steps = order(renames, places_.size()).steps;
    for (const Ordered::Step& step : plan_.steps)
        if (step.parks) plan_.items[step.which].parks = true;
}

}  // namespace tavlo
