// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "recover/recover.h"

#include <functional>
#include <map>
#include <set>
#include <unordered_set>

#include "files/own.h"
#include "files/path.h"
#include "recover/rest.h"
#include "recover/settler.h"
#include "run/placing.h"
#include "run/safe_folder.h"
#include "run/volumes.h"

namespace tavlo {

namespace {

/// The run's own hidden files in the folders that it wrote to: nobody waits for them any more.
void remove_parts(FileSystem& disk, const std::string& receipt, const std::set<std::string>& folders) {
    for (const auto& path : folders) {
        const auto folder = disk.open_folder(path);
        const auto names = folder ? disk.list(*folder) : Result<std::vector<Name>>(failure(folder.error()));
        for (const Name& name : names ? *names : std::vector<Name>{})
            if (hidden_name(name.bytes, receipt) == HiddenName::part) (void)disk.remove_file(*folder, name.bytes);
    }
}

/// What lies in the run's slots and is in no index is found again from now on (promise 14).
Result<void> index_slots(FileSystem& disk, Store& store, const ReceiptHead& head, const std::vector<std::string>& places,
                         const std::function<std::optional<SlotOrigin>(const std::string&)>& origin_of) {
    SafeFolder safe(disk, head.id, {});
    for (const auto& place : places)
        if (const auto folder = disk.open_folder(place)) safe.find_again(*folder);
    std::unordered_set<std::string> ids;
    std::unordered_set<std::string> indexed;
    auto known = store.each_safe_entry_of(head.id, [&](SafeEntry&& entry) {
        ids.insert(std::move(entry.id));
        indexed.insert(std::move(entry.stored));
    });
    if (!known) return known;
    RunRecords records;
    for (const SafeFolder::Lying& lying : safe.lying()) {
        if (indexed.contains(lying.stored)) continue;
        auto origin = origin_of(lying.stored);
        if (!origin) origin = SlotOrigin{head.id + "." + lying.slot, join(head.destination, name_of(lying.stored))};
        const std::string first = origin->entry;
        for (unsigned which = 1; !ids.insert(origin->entry).second; ++which) origin->entry = first + "-x" + std::to_string(which);
        SafeEntry entry = entry_for(origin->entry, std::string(parent_of(lying.stored)), origin->original, lying.status);
        entry.stored = lying.stored;
        records.set_aside.push_back(std::move(entry));
    }
    safe.tidy();
    if (records.set_aside.empty()) return {};
    const auto intents = store.intents(head.id);
    return intents ? store.record(head.id, records, *intents) : Result<void>(failure(intents.error()));
}

/// Notes of the trash are written in folders of their own, beside the one of the files.
void note_trash(std::set<std::string>& folders, std::string_view files) {
    folders.emplace(parent_of(files));
    folders.insert(join(parent_of(files), "info"));
}

Result<ReceiptHead> recover_one(FileSystem& disk, Store& store, const std::string& id, const RunOptions& given, const RunEvents& events) {
    auto head = store.receipt(id);
    if (!head) return head;
    RunOptions options = given;
    options.verify = static_cast<Verify>(head->verify);
    auto records = store.volumes(id);
    if (!records) return failure(records.error());
    const VolumesNow volumes(disk, *records);
    if (!volumes.missing().empty()) return failure(waits_for(volumes.missing().front()));
    const auto read_pending = [&]() -> Result<std::vector<PendingItem>> {
        auto pending = store.pending(id);
        if (!pending) return pending;
        if (options.more_follows)  // what stands for the rest is no item while the rest is being counted
            std::erase_if(*pending, [](const PendingItem& item) { return item.number == rest_number; });
        for (PendingItem& item : *pending) volumes.bring_up_to_date(item);
        return pending;
    };
    auto pending = read_pending();
    if (!pending) return failure(pending.error());
    auto intents = store.intents(id);
    if (!intents) return failure(intents.error());
    for (Intent& intent : *intents) volumes.bring_up_to_date(intent);
    std::vector<std::pair<std::uint64_t, ReceiptItem>> settled;
    std::map<std::uint64_t, WhereItLies> folders;
    std::set<std::string> written_to;  // where hidden files may be left
    const auto read_settled = [&]() -> Result<void> {
        settled.clear();
        std::uint64_t number = 0;
        return store.each_item(id, [&](ReceiptItem&& item) {
            const bool stands = arrives(item.result) || item.result == Outcome::merged;
            const bool stays = item.role == Role::renamed && item.result != Outcome::planned;
            if (item.type == FileType::folder && (stands || stays)) folders[number] = {item.source, item.place()};
            written_to.emplace(parent_of(item.place()));
            if (item.type == FileType::folder && stands) written_to.insert(item.place());
            if (item.shelf == Shelf::trash && stands) note_trash(written_to, parent_of(item.source));
            if (item.shelf == Shelf::trash && item.result == Outcome::removed) note_trash(written_to, parent_of(item.place()));
            const bool matters = item.type == FileType::folder || item.linked_source.inode != 0 || item.role == Role::archive;
            volumes.bring_up_to_date(item);
            if (matters && item.result != Outcome::planned) settled.emplace_back(number, std::move(item));
            ++number;
        });
    };
    if (auto read = read_settled(); !read) return failure(read.error());
    for (const Intent& intent : *intents)
        if (intent.kind == Intent::Kind::take_away && intent.entry.empty()) note_trash(written_to, intent.slot);
    if (!options.more_follows) remove_parts(disk, id, written_to);
    if (!pending->empty()) {
        std::map<std::uint64_t, PendingItem> open;
        for (const PendingItem& item : *pending) open.emplace(item.number, item);
        const bool was_cut_off = !intents->empty();
        const auto done = settle_open_items(disk, *head, std::move(open), std::move(*intents), folders);
        if (!done) return failure(done.error());
        if (auto recorded = store.record(id, done->records); !recorded) return failure(recorded.error());
        if (was_cut_off) {
            auto indexed = index_slots(disk, store, *head, volumes.places(), done->origin_of);
            if (!indexed) return failure(indexed.error());
        }
        pending = read_pending();
        if (!pending) return failure(pending.error());
        if (auto read = read_settled(); !read) return failure(read.error());
    }
    const Rest rest = plan_rest(*head, *pending, settled);
    return carry_on(disk, store, rest.plan, rest.resumption, options, events);
}

}  // namespace

Result<ReceiptHead> resume_held(FileSystem& disk, Store& store, const std::string& receipt, const RunOptions& options,
                                const RunEvents& events) {
    return recover_one(disk, store, receipt, options, events);
}

Result<ReceiptHead> resume(FileSystem& disk, Store& store, const std::string& receipt, const RunOptions& options, const RunEvents& events) {
    const auto lock = store.lock(receipt);
    if (!lock) return failure(lock.error());
    return recover_one(disk, store, receipt, options, events);
}

Result<std::vector<ReceiptHead>> interrupted_runs(Store& store) {
    auto unfinished = store.unfinished();
    if (!unfinished) return unfinished;
    std::vector<ReceiptHead> interrupted;
    for (ReceiptHead& head : *unfinished)
        if (head.state == RunState::interrupted && !store.is_alive(head.id)) interrupted.push_back(std::move(head));
    return interrupted;
}

Result<Recovered> recover(FileSystem& disk, Store& store, const RunOptions& options, const RunEvents& events) {
    const auto unfinished = store.unfinished();
    if (!unfinished) return failure(unfinished.error());
    Recovered recovered;
    for (const ReceiptHead& head : *unfinished) {
        auto completed = resume(disk, store, head.id, options, events);
        if (completed)
            recovered.completed.push_back(std::move(*completed));
        else if (completed.error().fault == Fault::name_taken && completed.error().path == head.id)
            recovered.alive.push_back(head.id);
        else
            recovered.problems.push_back(completed.error());
        if (options.stop.stop_requested()) break;
    }
    return recovered;
}

}  // namespace tavlo
