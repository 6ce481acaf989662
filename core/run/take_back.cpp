#include "run/take_back.h"

#include <functional>
#include <unordered_set>

#include "batch/gather.h"
#include "files/contents.h"
#include "files/path.h"
#include "run/undo_plan.h"

namespace tavlo {

std::string_view to_text(Difference difference) noexcept {
    switch (difference) {
        case Difference::none: return "none";
        case Difference::missing: return "missing";
        case Difference::bytes: return "bytes";
        case Difference::attributes: return "attributes";
        case Difference::unreadable: return "unreadable";
    }
    return {};
}

Result<Plan> prepare_undo(FileSystem& disk, Store& store, const std::string& receipt, const std::vector<std::uint64_t>& only) {
    UndoBasis basis;
    auto head = store.receipt(receipt);
    if (!head) return failure(head.error());
    if (!head->undone_by.empty()) return failure(Fault::refused, "was undone already, by " + head->undone_by, receipt);
    if (!only.empty() && head->state != RunState::done)
        return failure(Fault::refused, "has not come to its end, so it is undone whole or gone on with first", receipt);
    basis.head = std::move(*head);
    if (auto read = store.each_item(receipt, [&](ReceiptItem&& item) { basis.items.push_back(std::move(item)); }); !read)
        return failure(read.error());
    const auto taken_back = store.taken_back(receipt);
    if (!taken_back) return failure(taken_back.error());
    choose(basis, only, *taken_back);
    auto folders = store.folders(receipt);
    if (!folders) return failure(folders.error());
    basis.folders = std::move(*folders);
    std::vector<std::string> roots = basis.head.roots;
    for (const ReceiptItem& item : basis.items)
        if (!item.set_aside.empty())
            if (auto entry = store.safe_entry(item.set_aside)) {
                roots.emplace_back(parent_of(entry->stored));
                basis.entries.emplace(item.set_aside, std::move(*entry));
            }
    Looker look(disk, roots);
    for (const auto& place : places_to_look_at(basis)) {
        const auto status = look.status(place);
        if (!status) continue;  // nothing there, or nothing that can be reached: the plan says so of the item
        UndoBasis::Seen seen{*status, {}, {}};
        if (status->type == FileType::link)
            if (auto points_at = look.read_link(place)) seen.points_at = std::move(*points_at);
        if (status->type == FileType::folder)
            if (auto attributes = look.folder_attributes(place)) seen.attributes = std::move(*attributes);
        basis.places.emplace(place, std::move(seen));
    }
    return plan_undo(basis);
}

Result<Plan> prepare_restore(FileSystem& disk, Store& store, const std::string& id, const std::string& into,
                             std::optional<Decision> where_taken) {
    const auto entry = store.safe_entry(id);
    if (!entry) return failure(entry.error());
    const std::string target = into.empty() ? entry->original : join(into, name_of(entry->original));
    auto gathered = gather(disk, {entry->stored});
    if (!gathered) return failure(gathered.error());
    auto destination = look_at_destination(disk, std::string(parent_of(target)));
    if (!destination) return failure(destination.error());
    const auto batch = std::make_shared<const Batch>(std::move(*gathered));
    const Layout layout = lay_out(*batch, destination->path, Shape{}, destination->volume.folds_case);
    auto surveyed = survey(disk, std::move(*destination), layout.targets);
    if (!surveyed) return failure(surveyed.error());
    const HeldFolder* folder = surveyed->folder("");
    const Held* held = folder == nullptr ? nullptr : folder->find(name_of(target));
    const bool would_merge =
        held != nullptr && held->status.type == FileType::folder && batch->entries.front().status.type == FileType::folder;
    if (held != nullptr && (!where_taken || would_merge)) return failure(Fault::name_taken, "the name is held", target);
    Rules rules;
    rules.otherwise = where_taken.value_or(Decision::undecided);
    if (held != nullptr)  // decided whatever the two hold: nothing has to be read for it
        rules.single.add(entry->stored, {pair_of(batch->entries.front().status, held->status), where_taken});
    Plan plan = make_plan(Operation::move, batch, layout, *surveyed, rules, KnownContents{});
    plan.operation = Operation::restore;
    plan.items.front().add_extras().entry_of_safe = id;
    for (Item& item : plan.items)
        if (arrives(item.outcome)) item.outcome = Outcome::restored;
    plan.totals = total(plan);
    return plan;
}

Checker::Checker(FileSystem& disk, const ReceiptHead& head, std::stop_token stop)
    : look_(disk, head.roots), disk_(disk), stop_(std::move(stop)) {}

Difference Checker::check(const ReceiptItem& item) {
    if (!arrives(item.result) && item.result != Outcome::merged) return Difference::none;
    const auto now = look_.status(item.place());
    if (!now) return now.error().fault == Fault::not_found ? Difference::missing : Difference::unreadable;
    if (now->type != item.type) return Difference::missing;
    if (item.result == Outcome::merged) return Difference::none;  // its attributes were and are its own
    if (item.type == FileType::file) return check_file(item, *now);
    return item.type == FileType::folder && now->mode != item.after_mode ? Difference::attributes : Difference::none;
}

Difference Checker::check_file(const ReceiptItem& item, const Status& now) {
    if (now.id.size_bytes != item.after.size_bytes) return Difference::bytes;
    const bool dated_otherwise = now.id.modified_ns != item.after.modified_ns;
    const auto but_for_attributes = [&] {
        return now.mode != item.after_mode || dated_otherwise ? Difference::attributes : Difference::none;
    };
    if (!item.hash.empty()) {
        const auto file = look_.open_file(item.place());
        const auto hash = file ? hash_of(disk_, file->file, Meter{stop_, {}}) : Result<std::string>(failure(file.error()));
        if (!hash) return Difference::unreadable;
        return *hash != item.hash ? Difference::bytes : but_for_attributes();
    }
    if (item.action == Action::copy) {
        const auto source = look_.status(item.source);
        const bool stands = source && source->type == FileType::file && source->id.size_bytes == item.size_bytes &&
                            source->id.modified_ns == item.modified_ns;
        if (const auto a = stands ? look_.open_file(item.source) : Result<OpenedFile>(failure(Fault::not_found, "", "")); a) {
            const auto b = look_.open_file(item.place());
            const auto same = b ? same_bytes(disk_, a->file, b->file, Meter{stop_, {}}) : Result<bool>(failure(b.error()));
            if (!same) return Difference::unreadable;
            return *same ? but_for_attributes() : Difference::bytes;
        }
    }
    if (dated_otherwise) return Difference::bytes;  // nothing to compare with: another date must count as other bytes
    const bool status_changed = now.links == 1 && now.status_changed_ns != item.after_status_changed_ns;
    return status_changed ? Difference::attributes : but_for_attributes();
}

namespace {

Result<void> remove_tree(FileSystem& disk, const Handle& folder, const std::string& name) {
    const auto status = disk.status(folder, name);
    if (!status) return failure(status.error());
    if (status->type != FileType::folder) return disk.remove_file(folder, name);
    const auto inside = disk.open_folder_in(folder, name);
    if (!inside) return failure(inside.error());
    auto names = disk.list(*inside);
    if (!names) return failure(names.error());
    for (const Name& below : *names)
        if (auto removed = remove_tree(disk, *inside, below.bytes); !removed) return removed;
    return disk.remove_empty_folder(folder, name);
}

}  // namespace

namespace {

/// Its slot is not there: because somebody removed it, or because its volume is not mounted? The Safe that it lay in tells, or the folder
/// above that, if it is on the same file system.
bool is_surely_gone(FileSystem& disk, const SafeEntry& entry) {
    std::string at(parent_of(parent_of(parent_of(entry.stored))));
    if (disk.open_folder(at)) return true;
    for (at = std::string(parent_of(at));; at = std::string(parent_of(at))) {
        const auto folder = disk.open_folder(at);
        const auto status = folder ? disk.status(*folder) : Result<Status>(failure(folder.error()));
        if (status) return status->id.device == entry.identity.device;
        if (at == "/") return false;
    }
}

Result<Emptied> remove_where(FileSystem& disk, Store& store, const std::function<bool(const SafeEntry&)>& wanted) {
    auto entries = store.safe_entries();
    if (!entries) return failure(entries.error());
    Emptied emptied;
    for (const SafeEntry& entry : *entries) {
        if (!wanted(entry)) continue;
        const std::string slot(parent_of(entry.stored));
        const std::string shelf(parent_of(slot));
        const auto folder = disk.open_folder(slot);
        if (folder) {
            if (auto removed = remove_tree(disk, *folder, std::string(name_of(entry.stored)));
                !removed && removed.error().fault != Fault::not_found) {
                emptied.problems.push_back(removed.error());
                continue;
            }
            if (const auto above = disk.open_folder(shelf)) (void)disk.remove_empty_folder(*above, std::string(name_of(slot)));
            if (const auto safe = disk.open_folder(std::string(parent_of(shelf))))
                (void)disk.remove_empty_folder(*safe, std::string(name_of(shelf)));
        } else if (folder.error().fault != Fault::not_found || !is_surely_gone(disk, entry)) {
            Error why = folder.error();
            if (why.fault == Fault::not_found) why = {Fault::unreachable, 0, "lies on a volume that is not there now", entry.stored};
            emptied.problems.push_back(std::move(why));
            continue;
        }
        if (auto forgotten = store.forget_safe_entry(entry.id); !forgotten) return failure(forgotten.error());
        emptied.removed.push_back(entry.id);
    }
    return emptied;
}

}  // namespace

Result<Emptied> empty_safe(FileSystem& disk, Store& store, std::int64_t set_aside_before_ns) {
    return remove_where(disk, store, [&](const SafeEntry& entry) { return entry.set_aside_ns <= set_aside_before_ns; });
}

Result<Emptied> remove_versions(FileSystem& disk, Store& store, const std::vector<std::string>& entries) {
    const std::unordered_set<std::string> wanted(entries.begin(), entries.end());
    return remove_where(disk, store, [&](const SafeEntry& entry) { return wanted.contains(entry.id); });
}

}  // namespace tavlo
