// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <algorithm>
#include <unordered_set>

#include "files/path.h"
#include "run/runner.h"

namespace tavlo {

// What the run notes, and when: nothing before it is durable.

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

/// What the group is about to do, for the journal. A plain rename needs no note: where the source is tells on
/// its own whether it was done.
std::vector<Intent> Runner::intents_of(Group& group) {
    std::vector<Intent> intents;
    // by place: what an earlier one of this group will have put there
    std::unordered_map<std::string, Identity> twins;
    for (Work& work : group.works) {
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
        const std::string place = finals_.path_of(it.folder, plan_.final_name(it));
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
    return intents;
}

ItemId Runner::item_of(std::uint64_t number) const {
    if (resumption_ == nullptr) return static_cast<ItemId>(number);
    const auto& numbers = resumption_->numbers;
    return static_cast<ItemId>(std::find(numbers.begin(), numbers.end(), number) - numbers.begin());
}

/// Intentions stand in the journal until what came of them does.
void Runner::forget_recorded(const RunRecords& recorded) {
    std::unordered_set<std::uint64_t> numbers;
    for (const auto& [number, item] : recorded.items) numbers.insert(number);
    std::erase_if(noted_, [&](const Intent& intent) { return numbers.contains(intent.number); });
}

/// The sync of a whole volume has failed: for something of ours, or for what others write there? Each folder
/// is asked by itself; where one says so too, the receipt does not say that what changed in it was done. What
/// is on a disk that may come back is looked at again by then: it stays planned.
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
    std::erase_if(records.items, [&](auto& record) {
        auto& [number, item] = record;
        if (!arrives(item.result) && item.result != Outcome::removed) return false;
        if (is_durable(item.place()) && (item.action != Action::move || is_durable(item.source)))
            return false;
        records.taken_back.clear();
        if (is_stuck_by(why)) {
            results_[item_of(number)] = Outcome::planned;
            return true;
        }
        item.result = Outcome::failed;
        item.error = "may not have reached the disk: " + reason_and_step(why);
        item.fault = why.fault;
        if (head_.problem.empty())
            head_.problem = "some of it may not have reached the disk: " + describe(why);
        return false;
    });
}

/// The same for a folder, which takes its name by itself.
Result<Slot> Runner::journal_replacement(ItemId id, const Handle& into, Intent::Kind kind,
                                         const Identity& fresh) {
    auto slot = safe_->slot(into);
    if (!slot) return slot;
    const std::string place = finals_.path_of(item(id).folder, plan_.final_name(item(id)));
    const Intent intent{number(id), kind, fresh, expected_at(id, place), slot->path, slot->entry,
                        false,      {},   {}};
    if (auto noted = persist([&] { return store_.intend(head_.id, intent); }); !noted)
        return failure(noted.error());
    noted_.push_back(intent);
    return slot;
}

/// All that was done, once it is durable.
Result<void> Runner::write_records() {
    if (auto finished = finish_behind(); !finished) return finished;  // the journal is one thread's at a time
    if (auto settled = durable_.settle(); !settled) names_are_not_durable(records_, settled.error());
    ready_.append(std::move(records_));
    if (ready_.is_empty()) return {};
    forget_recorded(ready_);
    const RunRecords records = std::exchange(ready_, {});
    return persist([&] { return store_.record(head_.id, records, noted_); });
}

}  // namespace tavlo
