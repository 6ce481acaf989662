// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "undo/empty_safe.h"

#include <unordered_map>
#include <unordered_set>

#include "files/contents.h"
#include "files/looker.h"
#include "files/path.h"
#include "keep/age.h"
#include "run/remove_tree.h"
#include "run/safe_slots.h"

namespace tavlo {

namespace {

constexpr std::int64_t day_ns = 86'400'000'000'000;
constexpr std::size_t in_a_group = 16384;  // versions that leave the index in one transaction

/// Its slot is not there: because somebody removed it, or because its volume is not mounted? The Safe that it
/// lay in tells, or the folder above that, if it is on the same file system.
bool is_surely_gone(FileSystem& disk, const SafeEntry& entry) {
    std::string at(parent_of(parent_of(parent_of(entry.stored))));
    for (;; at = std::string(parent_of(at))) {
        const auto folder = disk.open_folder(at);
        const auto status = folder ? disk.status(*folder) : Result<Status>(failure(folder.error()));
        if (status) return status->id.device == entry.identity.device;
        if (at == "/") return false;
    }
}

/// One version goes from the disk. false: it stays, and `problems` says why.
bool remove_version(FileSystem& disk, SafeSlots& slots, const SafeEntry& noted,
                    std::vector<Error>& problems) {
    const SafeEntry entry = slots.now(noted);
    const auto slot = slots.open(entry);
    if (slot) {
        const std::size_t before = problems.size();
        remove_tree(disk, **slot, std::string(name_of(entry.stored)),
                    [&](Error why) { problems.push_back(std::move(why)); });
        if (problems.size() > before) return false;
        slots.drop(entry);
        return true;
    }
    if (slot.error().fault == Fault::not_found && is_surely_gone(disk, entry)) return true;
    problems.push_back(
        slot.error().fault != Fault::not_found
            ? slot.error()
            : Error{Fault::unreachable, 0, "lies on a volume that is not there now", entry.stored});
    return false;
}

/// A group of versions after the other: first they go from the disk, durably, then from the index. One that
/// went and is still in the index, as after a power cut, is found to be gone the next time.
Result<Emptied> remove_where(FileSystem& disk, Store& store, const Removing& how,
                             const std::function<bool(const SafeEntry&, Emptied&)>& wanted) {
    const auto all = store.safe_count();
    if (!all) return failure(all.error());
    Emptied emptied;
    SafeSlots slots(disk, store);
    std::uint64_t looked_at = 0;
    const auto goes_on = [&] {
        return !how.stop.stop_requested() && (how.pace == nullptr || how.pace->wait(how.stop));
    };
    for (std::string last; goes_on();) {
        const auto entries = store.some_safe_entries(last, in_a_group);
        if (!entries) return failure(entries.error());
        if (entries->empty()) break;
        last = entries->back().id;
        std::vector<std::string> gone;
        std::vector<const SafeEntry*> removed;
        for (const SafeEntry& entry : *entries) {
            if (!goes_on()) break;
            if (wanted(entry, emptied) && remove_version(disk, slots, entry, emptied.problems)) {
                gone.push_back(entry.id);
                removed.push_back(&entry);
            }
            if (how.progress) how.progress(++looked_at, *all);
        }
        if (auto durable = slots.settle(); !durable) return failure(durable.error());
        if (auto forgotten = store.forget_safe_entries(gone); !forgotten) return failure(forgotten.error());
        if (how.removed)
            for (const SafeEntry* entry : removed) how.removed(*entry);
        emptied.removed.insert(emptied.removed.end(), gone.begin(), gone.end());
    }
    slots.tidy();
    if (!emptied.removed.empty()) store.give_room_back();
    return emptied;
}

/// Its bytes stand in the source of the run that was undone, as they were read.
bool stands_in_source(FileSystem& disk, const SafeEntry& version, const Handle& slot,
                      const ReceiptItem& copied, Looker& look) {
    if (version.type != FileType::file) return version.type == FileType::link;
    const auto source = look.open_file(copied.source);
    const auto kept = disk.open_file(slot, std::string(name_of(version.stored)));
    if (!source || !kept || source->status.id.same_thing(kept->status.id)) return false;
    const auto same = same_bytes(disk, source->file, kept->file, Meter{});
    return same && *same;
}

}  // namespace

Result<Emptied> empty_safe(FileSystem& disk, Store& store, std::optional<std::uint64_t> older_than_days,
                           const EmptyProgress& progress) {
    if (!older_than_days)
        return remove_where(disk, store, {.progress = progress},
                            [](const SafeEntry&, Emptied&) { return true; });
    auto seen = store.times_seen();
    if (!seen) return failure(seen.error());
    const Ages ages(std::move(*seen), store.time());
    return remove_where(disk, store, {.progress = progress}, [&](const SafeEntry& entry, Emptied& emptied) {
        const auto age = ages.of(entry);
        if (!age)
            emptied.problems.push_back(
                {Fault::refused, 0,
                 "stays, as its age cannot be told: the clock has been put on or back since",
                 entry.original});
        return age && *age >= 0 && static_cast<std::uint64_t>(*age / day_ns) >= *older_than_days;
    });
}

Result<Emptied> remove_versions(FileSystem& disk, Store& store, const std::vector<std::string>& entries,
                                const Removing& how) {
    const std::unordered_set<std::string> of_them(entries.begin(), entries.end());
    return remove_where(disk, store, how,
                        [&](const SafeEntry& entry, Emptied&) { return of_them.contains(entry.id); });
}

Result<Emptied> remove_proved(FileSystem& disk, Store& store, const std::string& undo,
                              const EmptyProgress& progress) {
    const auto head = store.receipt(undo);
    if (!head) return failure(head.error());
    if (head->undoes.empty()) return failure(Fault::refused, "is not the receipt of an undo", undo);
    const auto undone = store.receipt(head->undoes);
    if (!undone) return failure(undone.error());
    std::unordered_multimap<std::size_t, std::string> taken_away;  // ids, by a hash of the place
    std::unordered_set<std::string> unproved;
    const std::hash<std::string> hash;
    const auto entries = store.each_safe_entry_of(undo, [&](SafeEntry&& entry) {
        taken_away.emplace(hash(entry.original), entry.id);
        unproved.insert(std::move(entry.id));
    });
    if (!entries) return failure(entries.error());
    Looker look(disk, undone->roots);
    SafeSlots slots(disk, store);
    std::unordered_set<std::string> proved;
    const auto prove = [&](std::uint64_t, ReceiptItem&& copied) {
        if (copied.action != Action::copy || !arrives(copied.result)) return;
        const auto [first, last] = taken_away.equal_range(hash(copied.place()));
        for (auto at = first; at != last; ++at) {
            const auto noted = store.safe_entry(at->second);
            if (!noted || noted->original != copied.place()) continue;
            const SafeEntry entry = slots.now(*noted);
            const auto slot = slots.open(entry);
            if (!slot || !stands_in_source(disk, entry, **slot, copied, look)) continue;
            unproved.erase(entry.id);
            proved.insert(entry.id);
        }
    };
    if (auto read = store.each_settled(head->undoes, Store::Order::forwards, prove); !read)
        return failure(read.error());
    auto emptied =
        remove_where(disk, store, {.progress = progress}, [&](const SafeEntry& entry, Emptied& so_far) {
            if (unproved.contains(entry.id))
                so_far.problems.push_back(
                    {Fault::refused, 0, "stays in the Safe, as its source does not hold the same bytes now",
                     entry.original});
            return proved.contains(entry.id);
        });
    return emptied;
}

}  // namespace tavlo
