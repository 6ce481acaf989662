#include <functional>
#include <unordered_map>
#include <unordered_set>

#include "files/contents.h"
#include "files/looker.h"
#include "files/path.h"
#include "keep/age.h"
#include "run/safe_folder.h"
#include "run/take_back.h"
#include "run/volumes.h"

namespace tavlo {

namespace {

constexpr std::int64_t day_ns = 86'400'000'000'000;

/// Removes a thing and all that is in it, but never what is mounted there, or lies on another device, at any depth (promise 13). What
/// cannot go stays, and so do the folders around it.
/// left   is given what stays, with the reason
void remove_tree(FileSystem& disk, const Handle& folder, const std::string& name, const std::function<void(Error)>& left) {
    const auto status = disk.status(folder, name);
    if (!status) {
        if (status.error().fault != Fault::not_found) left(status.error());
        return;
    }
    if (status->type != FileType::folder) {
        if (auto removed = disk.remove_file(folder, name); !removed && removed.error().fault != Fault::not_found) left(removed.error());
        return;
    }
    const auto inside = disk.open_folder_in_mount(folder, name);
    if (!inside) return left(inside.error());
    const auto names = disk.list(*inside);
    if (!names) return left(names.error());
    bool empty = true;
    for (const Name& below : *names)
        remove_tree(disk, *inside, below.bytes, [&](Error why) {
            empty = false;
            left(std::move(why));
        });
    if (!empty) return;
    if (auto removed = disk.remove_empty_folder(folder, name); !removed && removed.error().fault != Fault::not_found) left(removed.error());
}

/// Its slot is not there: because somebody removed it, or because its volume is not mounted? The Safe that it lay in tells, or the folder
/// above that, if it is on the same file system.
bool is_surely_gone(FileSystem& disk, const SafeEntry& entry) {
    std::string at(parent_of(parent_of(parent_of(entry.stored))));
    for (;; at = std::string(parent_of(at))) {
        const auto folder = disk.open_folder(at);
        const auto status = folder ? disk.status(*folder) : Result<Status>(failure(folder.error()));
        if (status) return status->id.device == entry.identity.device;
        if (at == "/") return false;
    }
}

/// The empty folders around a version that has gone.
void tidy_around(FileSystem& disk, const Handle& slot) {
    const auto shelf = disk.open_folder_in(slot, "..");
    if (!shelf) return;
    (void)disk.remove_empty_folder(*shelf, std::string(name_of(slot.path())));
    if (const auto safe = disk.open_folder_in(*shelf, ".."))
        (void)disk.remove_empty_folder(*safe, std::string(name_of(parent_of(slot.path()))));
}

Result<Emptied> remove_where(FileSystem& disk, Store& store, const std::function<bool(const SafeEntry&, Emptied&)>& wanted) {
    auto entries = store.safe_entries();
    if (!entries) return failure(entries.error());
    Emptied emptied;
    for (const SafeEntry& noted : *entries) {
        if (!wanted(noted, emptied)) continue;
        const SafeEntry entry = entry_now(disk, store, noted);
        auto slot = open_slot(disk, entry);
        if (slot) {
            const std::size_t problems = emptied.problems.size();
            remove_tree(disk, *slot, std::string(name_of(entry.stored)), [&](Error why) { emptied.problems.push_back(std::move(why)); });
            if (emptied.problems.size() > problems) continue;
            tidy_around(disk, Handle(slot->take(), std::string(parent_of(entry.stored))));
        } else if (slot.error().fault != Fault::not_found || !is_surely_gone(disk, entry)) {
            Error why = slot.error();
            if (why.fault == Fault::not_found) why = {Fault::unreachable, 0, "lies on a volume that is not there now", entry.stored};
            emptied.problems.push_back(std::move(why));
            continue;
        }
        if (auto forgotten = store.forget_safe_entry(entry.id); !forgotten) return failure(forgotten.error());
        emptied.removed.push_back(entry.id);
    }
    return emptied;
}

/// Its bytes stand in the source of the run that was undone, as they were read.
bool stands_in_source(FileSystem& disk, const SafeEntry& version, const Handle& slot, const ReceiptItem& copied, Looker& look) {
    if (version.type != FileType::file) return version.type == FileType::link;
    const auto source = look.open_file(copied.source);
    const auto kept = disk.open_file(slot, std::string(name_of(version.stored)));
    if (!source || !kept || source->status.id.same_thing(kept->status.id)) return false;
    const auto same = same_bytes(disk, source->file, kept->file, Meter{});
    return same && *same;
}

}  // namespace

Result<Emptied> empty_safe(FileSystem& disk, Store& store, std::optional<std::uint64_t> older_than_days) {
    if (!older_than_days) return remove_where(disk, store, [](const SafeEntry&, Emptied&) { return true; });
    auto seen = store.times_seen();
    if (!seen) return failure(seen.error());
    const Ages ages(std::move(*seen), store.time());
    return remove_where(disk, store, [&](const SafeEntry& entry, Emptied& emptied) {
        const auto age = ages.of(entry);
        if (!age)
            emptied.problems.push_back(
                {Fault::refused, 0, "stays, as its age cannot be told: the clock has been put on or back since", entry.original});
        return age && *age >= 0 && static_cast<std::uint64_t>(*age / day_ns) >= *older_than_days;
    });
}

Result<Emptied> remove_versions(FileSystem& disk, Store& store, const std::vector<std::string>& entries) {
    const std::unordered_set<std::string> of_them(entries.begin(), entries.end());
    return remove_where(disk, store, [&](const SafeEntry& entry, Emptied&) { return of_them.contains(entry.id); });
}

Result<Emptied> remove_proved(FileSystem& disk, Store& store, const std::string& undo) {
    const auto head = store.receipt(undo);
    if (!head) return failure(head.error());
    if (head->undoes.empty()) return failure(Fault::refused, "is not the receipt of an undo", undo);
    const auto undone = store.receipt(head->undoes);
    if (!undone) return failure(undone.error());
    std::unordered_map<std::string, ReceiptItem> copied;  // by place
    auto read = store.each_item(head->undoes, [&](ReceiptItem&& item) {
        if (item.action == Action::copy && arrives(item.result)) copied.insert_or_assign(item.place(), std::move(item));
    });
    if (!read) return failure(read.error());
    Looker look(disk, undone->roots);
    std::unordered_set<std::string> proved;
    std::vector<Error> unproved;
    const auto entries = store.safe_entries_of(undo);
    if (!entries) return failure(entries.error());
    for (const SafeEntry& noted : *entries) {
        const SafeEntry entry = entry_now(disk, store, noted);
        const auto from = copied.find(entry.original);
        const auto slot = open_slot(disk, entry);
        if (slot && from != copied.end() && stands_in_source(disk, entry, *slot, from->second, look))
            proved.insert(entry.id);
        else
            unproved.push_back({Fault::refused, 0, "stays in the Safe, as its source does not hold the same bytes now", entry.original});
    }
    auto emptied = remove_where(disk, store, [&](const SafeEntry& entry, Emptied&) { return proved.contains(entry.id); });
    if (emptied) emptied->problems.insert(emptied->problems.end(), unproved.begin(), unproved.end());
    return emptied;
}

}  // namespace tavlo
