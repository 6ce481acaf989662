// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/planner.h"

#include <algorithm>

#include "files/path.h"
#include "names/names.h"

namespace tavlo {

Planner::Planner(const Wishes& wishes, std::shared_ptr<const Batch> batch, const Layout& layout,
                 const Survey& survey, const KnownContents& known, const std::vector<bool>& keeping)
    : layout_(layout), survey_(survey), wishes_(wishes), known_(known), keeping_(keeping) {
    plan_.operation = wishes.operation;
    if (!layout.standing) plan_.destination = survey.roots.front().path;
    plan_.batch = std::move(batch);
    plan_.targets = layout.targets;
    plan_.standing = layout.standing;
    plan_.dissolved = layout.dissolved;
    plan_.folds_case = std::any_of(survey.roots.begin(), survey.roots.end(),
                                   [](const auto& root) { return root.volume.folds_case; });
    plan_.may_lose = wishes.may_lose;
    for (FolderId id = 0; id < layout.targets.size(); ++id)
        if (const HeldFolder* held = folder_there(id)) plan_.targets.set_identity(id, held->id);
}

Plan Planner::run() && {
    find_twins();
    held_.resize(plan_.targets.size(), nullptr);
    looked_at_.resize(plan_.targets.size());
    made_by_.resize(plan_.targets.size(), no_item);
    new_names_.resize(plan_.targets.size());
    plan_.items.reserve(layout_.arrivals.size());
    if (layout_.leaves) {
        decide_leaving();
    } else if (layout_.standing) {
        decide_in_place();
    } else {
        if (wishes_.clearing == Clearing::all)
            leave(0, folder_there(0), {});
        else
            held_[0] = folder_there(0);
        first_arrival_ = static_cast<ItemId>(plan_.items.size());
        for (std::uint32_t at = 0; at < layout_.arrivals.size(); ++at) decide(at);
    }
    put_rooms_first();
    if (wishes_.clearing == Clearing::extra) leave_nothing_extra();
    settle_finals();
    if (layout_.standing && !layout_.leaves) settle_steps();
    for (ItemId id = 0; id < plan_.items.size(); ++id)
        if (plan_.items[id].collision) plan_.colliding.push_back(id);
    if (plan_.traits().removes_emptied_folders && layout_.whole_folders) mark_whole_folders();
    plan_.totals = total(plan_);
    return std::move(plan_);
}

std::string Planner::fold(FolderId folder, std::string_view name) const {
    return volume(folder).folds_case ? folded(name) : std::string(name);
}

PlaceId Planner::place_of(FolderId folder, std::string_view name) {
    return volume(folder).folds_case ? places_.at(folder, folded(name)) : places_.at(folder, name);
}

/// What stands at a name. Most are asked for in the order that they stand in, or against it.
const Held* Planner::held_at(FolderId folder, std::string_view name) {
    return held_[folder] == nullptr ? nullptr : held_[folder]->find(name, looked_at_[folder]);
}

void Planner::find_twins() {
    const auto& several = layout_.several_feed;
    if (std::find(several.begin(), several.end(), true) == several.end()) return;
    wants_.resize(layout_.arrivals.size(), placeless);
    if (layout_.standing) places_.reserve(2 * layout_.arrivals.size());
    for (std::uint32_t id = 0; id < layout_.arrivals.size(); ++id) {
        const Arrival& arrival = layout_.arrivals[id];
        if (!several[arrival.folder] || keeps_name(id)) continue;
        const PlaceId place = wants_[id] = place_of(arrival.folder, wanted(arrival));
        if (place >= claims_.size()) claims_.resize(place + 1);
        Claim& claim = claims_[place];
        ++claim.wanted_by;
        claim.any_not_folder |=
            !is_folder(arrival) || layout_.standing;  // folders that are renamed do not become one
        if (claim.first == UINT32_MAX)
            claim.first = id;
        else if (claim.second == UINT32_MAX)
            claim.second = id;
    }
}

Planner::Claim* Planner::twin_claim(std::uint32_t at) {
    if (wants_.empty() || wants_[at] == placeless) return nullptr;
    Claim& claim = claims_[wants_[at]];
    return claim.wanted_by > 1 && claim.any_not_folder ? &claim : nullptr;
}

void Planner::decide(std::uint32_t at) {
    const Arrival& arrival = layout_.arrivals[at];
    const ItemId id = first_arrival_ + at;
    Item& item = plan_.items.emplace_back();
    item.entry = arrival.entry;
    item.parent = arrival.parent == UINT32_MAX ? no_item : first_arrival_ + arrival.parent;
    item.folder = arrival.folder;
    item.inside = arrival.inside;
    if (arrival.name != own_name) item.add_extras().name = wanted(arrival);
    const bool is_way = plan_.entry(item).way;
    const bool is_made = plan_.entry(item).made;
    item.action = is_made                ? Action::make_folder
                  : plan_.traits().packs ? wishes_.then_removes ? Action::pack_away : Action::pack
                  : wishes_.operation == Operation::move && !is_way ? Action::move
                                                                    : Action::copy;
    item.role = is_made ? Role::made : is_way ? Role::on_the_way : Role::arrives;
    if (shares_folder_decision(item) || cannot_be_done(item, at)) return;
    if (item.outcome == Outcome::renamed) {  // under the nearest name that the destination can hold
        if (is_folder(arrival)) enter_folder(item, id, nullptr);
        return;
    }
    const Held* held = held_at(item.folder, plan_.name(item));
    if (is_folder(arrival) && made_by_[item.inside] != no_item) {
        item.outcome = Outcome::merged;  // with the one that another folder of the batch makes
        if (const auto& name = plan_.items[made_by_[item.inside]].extras().final_name; !name.empty())
            item.add_extras().final_name = name;
    } else if (Claim* claim = twin_claim(at)) {
        settle_twin(item, id, *claim, held);
    } else if (is_folder(arrival) && (held == nullptr || held->status.type == FileType::folder)) {
        item.outcome = held != nullptr ? Outcome::merged : Outcome::created;
    } else if (held != nullptr) {
        meet_held(item, id, *held);
    } else if (wishes_.look_elsewhere && plan_.entry(item).status.type == FileType::file) {
        meet_elsewhere(item, id);
    }
    if (is_folder(arrival)) enter_folder(item, id, held);
}

/// What comes in a folder that does not arrive does not arrive either, and for the same reason.
bool Planner::shares_folder_decision(Item& item) {
    if (item.parent == no_item) return false;
    const Item& folder = plan_.items[item.parent];
    if (folder.collision &&
        (folder.collision->finding == Finding::type || folder.collision->finding == Finding::twin)) {
        item.collision = std::make_unique<Collision>(*folder.collision);
        item.collision->shared = true;
        if (!item.collision->decided_on())
            item.collision->extras.make().decided_on = std::make_shared<const Pair>(plan_.pair(folder));
    }
    const bool stays_out = folder.outcome == Outcome::skipped || folder.outcome == Outcome::undecided ||
                           folder.outcome == Outcome::failed;
    if (!stays_out) return false;
    item.outcome = folder.outcome;
    if (folder.outcome == Outcome::failed) item.add_extras().problem = folder.problem();
    return true;
}

bool Planner::cannot_be_done(Item& item, std::uint32_t at) {
    const Entry& entry = plan_.entry(item);
    const auto fail = [&](std::shared_ptr<const Error> problem) {
        item.outcome = Outcome::failed;
        item.add_extras().problem = std::move(problem);
        return true;
    };
    const auto because = [&](Fault fault, std::string why) {
        return fail(std::make_shared<const Error>(Error{fault, 0, std::move(why), plan_.source_path(item)}));
    };
    if (entry.problem()) return fail(entry.problem());
    if (const auto problem = layout_.problems.find(at); problem != layout_.problems.end())
        return fail(problem->second);
    if (entry.status.type == FileType::other)
        return because(Fault::unsupported, "is a fifo, socket or device, which is left alone");
    if (entry.status.type == FileType::link && !volume(item.folder).holds_links)
        return because(Fault::unsupported, "is a link, which the destination cannot hold");
    if (auto problem = impossible_name(wanted(layout_.arrivals[at])); !problem.empty())
        return because(Fault::name_not_possible, std::move(problem));
    if (auto problem = name_problem(wanted(layout_.arrivals[at]), volume(item.folder)); !problem.empty()) {
        if (!wishes_.policy.adapt_names) return because(Fault::name_not_possible, std::move(problem));
        item.outcome = Outcome::renamed;
        item.add_extras().final_name =
            untaken(item.folder, entry.status.type,
                    possible_name(plan_.name(item), entry.status.type, volume(item.folder)));
    }
    if (entry.status.type == FileType::file &&
        entry.status.id.size_bytes > volume(item.folder).max_file_bytes)
        return because(Fault::no_space, "is larger than a file can be in the destination");
    return false;
}

/// A name that something there holds.
void Planner::meet_held(Item& item, ItemId id, const Held& held) {
    const Entry& entry = plan_.entry(item);
    const auto step = std::max(volume(item.folder).time_step_ns, plan_.batch->time_step_ns);
    const auto finding = compare(entry, held, known_, step);
    const auto unread = finding ? nullptr : known_.problem(pair_of(entry.status, held.status));
    if (unread) {
        item.outcome = Outcome::failed;
        item.add_extras().problem = unread;
    } else {
        meet(item, id, finding, held.status, false);
        apply_decision(item);
    }
}

/// A name that nothing holds, for bytes that are there already.
void Planner::meet_elsewhere(Item& item, ItemId id) {
    const Elsewhere* found = known_.elsewhere(plan_.entry(item).status);
    if (found == nullptr) return;
    meet(item, id, Finding::elsewhere, found->held, false);
    item.collision->extras.make().elsewhere = found->path;
    item.outcome = wishes_.policy.of_elsewhere(item.collision->decision, item.collision->by_hand);
}

void Planner::meet(Item& item, ItemId id, std::optional<Finding> finding, const FileState& held,
                   bool held_by_batch) {
    item.collision = std::make_unique<Collision>();
    item.collision->finding = finding;
    item.collision->held = held;
    item.collision->held_by_batch = held_by_batch;
    item.collision->held_stays = !held_by_batch && held.type == FileType::folder &&
                                 (held.mount_point || holds_mount(item.folder, plan_.name(item)));
    const Pair pair = plan_.pair(item);
    single_ = wishes_.decisions.empty() ? nullptr : wishes_.decisions.find(plan_.source_path(item), pair);
    item.collision->by_hand = single_ != nullptr;
    item.collision->decision = single_ != nullptr ? *single_->decision : wishes_.policy.decide(pair, finding);
    if (!finding) plan_.not_compared.push_back(id);
}

void Planner::apply_decision(Item& item) {
    const Entry& entry = plan_.entry(item);
    switch (item.collision->decision) {
        case Decision::undecided: item.outcome = Outcome::undecided; break;
        case Decision::skip: item.outcome = Outcome::skipped; break;
        case Decision::overwrite:
            item.outcome = item.collision->held_stays ? Outcome::failed : Outcome::overwritten;
            if (!item.collision->held_stays) break;
            item.add_extras().problem = std::make_shared<const Error>(
                Error{Fault::refused, 0, "would overwrite a mount of another file system, or what holds one",
                      plan_.target_path(item)});
            break;
        case Decision::rename:
            if (single_ != nullptr && single_->renames_held && item.collision->finding != Finding::twin) {
                item.outcome = Outcome::created;
                item.collision->renames_held = true;
                make_room(item);
            } else {
                item.outcome = Outcome::renamed;
                item.add_extras().final_name =
                    new_name(item.folder, plan_.name(item), entry.status, folder_name(entry));
            }
            break;
    }
}

/// Goes on with what stands at a name that several of the batch want (contract: Twins).
void Planner::settle_twin(Item& item, ItemId id, Claim& claim, const Held* held) {
    const bool by_batch = held == nullptr;
    const Item* holder = claim.holder == no_item ? nullptr : &plan_.items[claim.holder];
    const auto rival = first_arrival_ + claim.first == id ? claim.second : claim.first;
    const FileState& status =
        held != nullptr ? held->status : plan_.batch->entries[layout_.arrivals[rival].entry].status;
    const bool is_free = held == nullptr && holder == nullptr;
    meet(item, id, Finding::twin, status, by_batch);
    // decided for this one: it, and no other, is meant
    const bool takes_it = item.collision->by_hand ? item.collision->decision == Decision::overwrite
                                                  : item.collision->decision != Decision::undecided;
    if (is_free && takes_it) {
        item.outcome = Outcome::created;
    } else {
        apply_decision(item);
        if (item.outcome == Outcome::overwritten && holder != nullptr) {
            item.collision->extras.make().decided_on = std::make_shared<const Pair>(plan_.pair(item));
            item.collision->held = plan_.entry(*holder).status;
            item.collision->held_by_batch = true;
        }
    }
    if (item.outcome == Outcome::created || item.outcome == Outcome::overwritten) claim.holder = id;
}

void Planner::enter_folder(Item& item, ItemId id, const Held* held) {
    const bool stands =
        item.outcome == Outcome::merged && held != nullptr && held->status.type == FileType::folder;
    if (stands) held_[item.inside] = folder_there(item.inside);
    if (item.outcome == Outcome::created || item.outcome == Outcome::renamed ||
        item.outcome == Outcome::overwritten)
        made_by_[item.inside] = id;
    if (!stands) plan_.targets.set_identity(item.inside, {});
}

/// The folders of the targets by the names that they will have.
void Planner::settle_finals() {
    const FolderTree& names = layout_.as_it_stands();
    for (FolderId id = 0; id < plan_.targets.size(); ++id) {
        if (names.parent(id) == no_folder) {
            plan_.finals.add_root(names.name(id), plan_.targets.identity(id));
            continue;
        }
        const ItemId maker = made_by_[id];
        plan_.finals.add(names.parent(id),
                         maker == no_item ? names.name(id) : plan_.final_name(plan_.items[maker]),
                         plan_.targets.identity(id));
    }
}

/// A folder whose place is free, and all of which is in the batch and arrives, moves by one rename.
void Planner::mark_whole_folders() {
    std::vector<bool> whole(plan_.items.size(), true);
    for (auto id = static_cast<ItemId>(plan_.items.size()); id-- > 0;) {
        const Item& item = plan_.items[id];
        const Entry& entry = plan_.entry(item);
        const bool special =
            entry.status.type == FileType::other && !entry.problem() && item.outcome == Outcome::failed;
        const bool at_top = item.outcome == Outcome::created || item.outcome == Outcome::renamed ||
                            item.outcome == Outcome::overwritten;
        const bool fed_once = item.inside == no_folder || !layout_.several_feed[item.inside];
        const bool can = whole[id] && entry.complete && !entry.real() && fed_once && (special || at_top) &&
                         entry.status.id.device == volume(item.folder).device;
        whole[id] = can;
        if (item.parent == no_item) continue;
        const bool plain = special || (item.outcome == Outcome::created && item.extras().name.empty() &&
                                       (!item.collision || item.collision->shared));
        if (!can || !plain) whole[item.parent] = false;
    }
    for (ItemId id = 0; id < plan_.items.size(); ++id) {
        Item& item = plan_.items[id];
        if (plan_.leaves(item)) continue;
        const Item* parent = item.parent == no_item ? nullptr : &plan_.items[item.parent];
        item.along = parent != nullptr && (parent->whole || parent->along);
        item.whole = whole[id] && item.inside != no_folder && !item.along;
        if (item.along && item.outcome == Outcome::failed) {  // special files come along, unopened
            item.outcome = Outcome::created;
            item.add_extras().problem.reset();
        }
    }
}

}  // namespace tavlo
