// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <algorithm>
#include <unordered_set>

#include "files/path.h"
#include "run/runner.h"

namespace tavlo {

// What the run notes, and when: nothing before it is durable.

namespace {

void append(RunRecords& to, RunRecords&& more) {
    const auto move_all = [](auto& into, auto& from) {
        into.insert(into.end(), std::make_move_iterator(from.begin()), std::make_move_iterator(from.end()));
    };
    move_all(to.items, more.items);
    move_all(to.folders, more.folders);
    move_all(to.set_aside, more.set_aside);
    move_all(to.used_up, more.used_up);
    move_all(to.taken_back, more.taken_back);
    move_all(to.not_kept, more.not_kept);
    move_all(to.volumes, more.volumes);
    more = {};
}

/// Intentions stand in the journal until what came of them does.
void forget_recorded(std::vector<Intent>& noted, const RunRecords& recorded) {
    std::unordered_set<std::uint64_t> numbers;
    for (const auto& [number, item] : recorded.items) numbers.insert(number);
    std::erase_if(noted, [&](const Intent& intent) { return numbers.contains(intent.number); });
}

}  // namespace

/// Before anything is touched: on which file systems, by what they are.
Result<void> Runner::note_volumes() {
    RunRecords records;
    records.volumes = volumes_of(disk_, plan_);
    if (resumption_ != nullptr) {
        const auto known = store_.volumes(head_.id);
        if (!known) return failure(known.error());
        std::erase_if(records.volumes, [&](const VolumeRecord& one) {
            return std::any_of(known->begin(), known->end(), [&](const VolumeRecord& other) {
                return one.device == other.device && one.identity == other.identity;
            });
        });
        if (records.volumes.empty()) return {};
    }
    return persist([&] { return store_.record(head_.id, records, noted_); });
}

/// Before anything takes a name: what the group is about to do, durable in the journal. A plain rename needs
/// no note: where the source is tells on its own whether it was done. records  of what is durable on its own
/// volumes
/// What an item of the group is about to do, as far as it is known before its slot is.
Intent Runner::intent_for(const Work& work) {
    Intent intent;
    intent.number = number(work.item);
    intent.fresh = entry(work.item).status.id;
    intent.removes_source = work.remove_source;
    switch (work.kind) {
        case Work::Kind::staged:
            intent.fresh = work.copy->fresh;
            intent.hash = work.copy->hash;
            break;
        case Work::Kind::hard_link: {
            const PlacedFile first = first_of_link(work.item);
            intent.fresh = first.id;
            intent.hash = first.hash;
            break;
        }
        case Work::Kind::link:
            intent.kind = Intent::Kind::link;
            intent.fresh = {};
            break;
        case Work::Kind::rename: intent.kind = Intent::Kind::rename; break;
        case Work::Kind::take_away: intent.kind = Intent::Kind::take_away; break;
        case Work::Kind::remove_folder: break;
    }
    return intent;
}

/// Where what it displaces, or takes away, will be kept.
Result<void> Runner::find_slot(Work& work, const Handle& around, Intent& intent) {
    const Entry& thing = entry(work.item);
    auto slot = work.kind == Work::Kind::take_away
                    ? keeper(work.item).slot_for(around, thing.name, thing.status.type)
                    : safe_->slot(around);
    if (!slot) return failure(slot.error());
    intent.slot = slot->path;
    intent.entry = slot->entry;
    intent.name = slot->name;
    work.slot = std::move(*slot);
    return {};
}

Result<void> Runner::journal_group(RunRecords records) {
    std::vector<Intent> intents;
    // by place: what an earlier one of this group will have put there
    std::unordered_map<std::string, Identity> twins;
    for (Work& work : group_) {
        if (work.dropped || results_[work.item] != Outcome::planned) continue;
        if (work.kind == Work::Kind::remove_folder) continue;
        const Item& it = item(work.item);
        const bool takes_away = work.kind == Work::Kind::take_away;
        const bool needs_slot = replaces(it) || takes_away;
        const auto around = takes_away ? source_folder(work.item) : targets_.open(it.folder);
        if (!around) {
            fail(work.item, around.error());
            continue;
        }
        const std::string place = join(finals_.path(it.folder), plan_.final_name(it));
        Intent intent = intent_for(work);
        intent.expected = takes_away ? leaving_as(work.item) : expected_at(work.item, place);
        if (const auto twin = twins.find(place); twin != twins.end()) intent.expected = twin->second;
        if (it.collision && it.collision->finding == Finding::twin) twins[place] = intent.fresh;
        if (needs_slot)
            if (auto found = find_slot(work, **around, intent); !found) {
                fail(work.item, found.error());
                continue;
            }
        if (needs_slot || work.kind != Work::Kind::rename) intents.push_back(std::move(intent));
    }
    // together with what groups before have done: until it is recorded, their own intentions stand for it
    forget_recorded(noted_, records);
    noted_.insert(noted_.end(), std::make_move_iterator(intents.begin()),
                  std::make_move_iterator(intents.end()));
    if (intents.empty() && records.items.empty() && records.folders.empty()) return {};
    return persist([&] { return store_.record(head_.id, records, noted_); });
}

/// The sync of a whole volume has failed: for something of ours, or for what others write there? Each folder
/// is asked by itself; where one says so too, the receipt does not say that what changed in it was done.
void Runner::names_are_not_durable(RunRecords& records, const Error& why) {
    std::unordered_map<std::string, bool> durable;
    const auto is_durable = [&](const std::string& place) {
        const auto [found, fresh] = durable.try_emplace(std::string(parent_of(place)), true);
        if (!fresh) return found->second;
        const auto folder = disk_.open_folder(found->first);
        const auto synced = folder ? disk_.sync(*folder) : Result<void>(failure(folder.error()));
        const bool is_gone = !folder && folder.error().fault == Fault::not_found;
        return found->second = synced.has_value() || is_gone;
    };
    for (auto& [number, item] : records.items) {
        if (!arrives(item.result) && item.result != Outcome::removed) continue;
        if (is_durable(item.place()) && (item.action != Action::move || is_durable(item.source))) continue;
        item.result = Outcome::failed;
        item.error = "may not have reached the disk: " + reason_and_step(why);
        item.fault = why.fault;
        records.taken_back.clear();
        if (head_.problem.empty())
            head_.problem = "some of it may not have reached the disk: " + describe(why);
    }
}

/// The same for a folder, which takes its name by itself.
Result<Slot> Runner::journal_replacement(ItemId id, const Handle& into, Intent::Kind kind,
                                         const Identity& fresh) {
    auto slot = safe_->slot(into);
    if (!slot) return slot;
    const std::string place = join(finals_.path(item(id).folder), plan_.final_name(item(id)));
    const Intent intent{number(id), kind, fresh, expected_at(id, place), slot->path, slot->entry,
                        false,      {},   {}};
    if (auto noted = persist([&] { return store_.intend(head_.id, intent); }); !noted)
        return failure(noted.error());
    noted_.push_back(intent);
    return slot;
}

/// All that was done, once it is durable.
Result<void> Runner::write_records() {
    if (auto settled = durable_.settle(); !settled) names_are_not_durable(records_, settled.error());
    append(ready_, std::move(records_));
    const bool nothing = ready_.items.empty() && ready_.folders.empty() && ready_.set_aside.empty() &&
                         ready_.used_up.empty() && ready_.not_kept.empty() && ready_.volumes.empty();
    if (nothing) return {};
    forget_recorded(noted_, ready_);
    const RunRecords records = std::exchange(ready_, {});
    return persist([&] { return store_.record(head_.id, records, noted_); });
}

}  // namespace tavlo
