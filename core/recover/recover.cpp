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
            if (hidden_name(name.bytes, receipt) == HiddenName::part)
                (void)disk.remove_file(*folder, name.bytes);
    }
}

/// What lies in the run's slots and is in no index is found again from now on (promise 14).
Result<void> index_slots(FileSystem& disk, Store& store, const ReceiptHead& head,
                         const std::vector<std::string>& places,
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
        if (!origin)
            origin = SlotOrigin{head.id + "." + lying.slot, join(head.destination, name_of(lying.stored))};
        const std::string first = origin->entry;
        for (unsigned which = 1; !ids.insert(origin->entry).second; ++which)
            origin->entry = first + "-x" + std::to_string(which);
        SafeEntry entry =
            entry_for(origin->entry, std::string(parent_of(lying.stored)), origin->original, lying.status);
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

/// What one interrupted run has left: read, what was open settled, and gone on with.
class Interrupted {
public:
    Interrupted(FileSystem& disk, Store& store, ReceiptHead head, const std::vector<VolumeRecord>& records,
                const RunOptions& options)
        : disk_(disk), store_(store), head_(std::move(head)), volumes_(disk, records), options_(options) {
        options_.verify = static_cast<Verify>(head_.verify);
    }

    Result<ReceiptHead> go_on(const RunEvents& events) {
        if (!volumes_.missing().empty()) return failure(waits_for(volumes_.missing().front()));
        auto intents = store_.intents(head_.id);
        if (!intents) return failure(intents.error());
        for (Intent& intent : *intents) volumes_.bring_up_to_date(intent);
        if (auto read = read_items(); !read) return failure(read.error());
        for (const Intent& intent : *intents)
            if (intent.kind == Intent::Kind::take_away && intent.entry.empty())
                note_trash(written_to_, intent.slot);
        if (!options_.more_follows) remove_parts(disk_, head_.id, written_to_);
        if (!pending_.empty())
            if (auto settled = settle_open(std::move(*intents)); !settled) return failure(settled.error());
        const Rest rest = plan_rest(head_, pending_, settled_);
        return carry_on(disk_, store_, rest.plan, rest.resumption, options_, events);
    }

private:
    Result<void> read_items() {
        auto pending = store_.pending(head_.id);
        if (!pending) return failure(pending.error());
        pending_ = std::move(*pending);
        if (options_.more_follows)  // what stands for the rest is no item while the rest is being counted
            std::erase_if(pending_, [](const PendingItem& item) { return item.number == rest_number; });
        for (PendingItem& item : pending_) volumes_.bring_up_to_date(item);
        settled_.clear();
        std::uint64_t number = 0;
        return store_.each_item(head_.id, [&](ReceiptItem&& item) { note(number++, std::move(item)); });
    }

    void note(std::uint64_t number, ReceiptItem&& item) {
        const bool stands = arrives(item.result) || item.result == Outcome::merged;
        const bool stays = item.role == Role::renamed && item.result != Outcome::planned;
        if (item.type == FileType::folder && (stands || stays))
            folders_[number] = {item.source, item.place()};
        written_to_.emplace(parent_of(item.place()));
        if (item.type == FileType::folder && stands) written_to_.insert(item.place());
        if (item.shelf == Shelf::trash && stands) note_trash(written_to_, parent_of(item.source));
        if (item.shelf == Shelf::trash && item.result == Outcome::removed)
            note_trash(written_to_, parent_of(item.place()));
        const bool matters =
            item.type == FileType::folder || item.linked_source.inode != 0 || item.role == Role::archive;
        volumes_.bring_up_to_date(item);
        if (matters && item.result != Outcome::planned) settled_.emplace_back(number, std::move(item));
    }

    Result<void> settle_open(std::vector<Intent> intents) {
        std::map<std::uint64_t, PendingItem> open;
        for (const PendingItem& item : pending_) open.emplace(item.number, item);
        const bool was_cut_off = !intents.empty();
        const auto done = settle_open_items(disk_, head_, std::move(open), std::move(intents), folders_);
        if (!done) return failure(done.error());
        if (auto recorded = store_.record(head_.id, done->records); !recorded) return recorded;
        if (was_cut_off)
            if (auto indexed = index_slots(disk_, store_, head_, volumes_.places(), done->origin_of);
                !indexed)
                return indexed;
        return read_items();
    }

    FileSystem& disk_;
    Store& store_;
    const ReceiptHead head_;
    const VolumesNow volumes_;
    RunOptions options_;
    std::vector<PendingItem> pending_;
    std::vector<std::pair<std::uint64_t, ReceiptItem>> settled_;
    std::map<std::uint64_t, WhereItLies> folders_;
    std::set<std::string> written_to_;  // where hidden files may be left
};

Result<ReceiptHead> recover_one(FileSystem& disk, Store& store, const std::string& id,
                                const RunOptions& options, const RunEvents& events) {
    auto head = store.receipt(id);
    if (!head) return head;
    const auto records = store.volumes(id);
    if (!records) return failure(records.error());
    return Interrupted(disk, store, std::move(*head), *records, options).go_on(events);
}

}  // namespace

Result<ReceiptHead> resume_held(FileSystem& disk, Store& store, const std::string& receipt,
                                const RunOptions& options, const RunEvents& events) {
    return recover_one(disk, store, receipt, options, events);
}

Result<ReceiptHead> resume(FileSystem& disk, Store& store, const std::string& receipt,
                           const RunOptions& options, const RunEvents& events) {
    const auto lock = store.lock(receipt);
    if (!lock) return failure(lock.error());
    return recover_one(disk, store, receipt, options, events);
}

Result<std::vector<ReceiptHead>> interrupted_runs(Store& store) {
    auto unfinished = store.unfinished();
    if (!unfinished) return unfinished;
    std::vector<ReceiptHead> interrupted;
    for (ReceiptHead& head : *unfinished)
        if (head.state == RunState::interrupted && !store.is_alive(head.id))
            interrupted.push_back(std::move(head));
    return interrupted;
}

Result<Recovered> recover(FileSystem& disk, Store& store, const RunOptions& options,
                          const RunEvents& events) {
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
