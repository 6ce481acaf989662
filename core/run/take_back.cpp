#include "run/take_back.h"

#include <optional>

#include "batch/gather.h"
#include "files/contents.h"
#include "files/path.h"
#include "run/past_run.h"
#include "run/recover.h"
#include "run/safe_folder.h"
#include "run/undo_renames.h"

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

Result<Plan> prepare_undo(FileSystem& disk, Store& store, const std::string& receipt, const std::vector<std::uint64_t>& only, bool locked,
                          const std::function<void(std::uint64_t, std::uint64_t)>& looked_at) {
    auto head = store.receipt(receipt);
    if (!head) return failure(head.error());
    if (!head->undone_by.empty()) return failure(Fault::refused, "was undone already, by " + head->undone_by, receipt);
    if (!locked && store.is_alive(receipt)) return failure(Fault::refused, "is still going on", receipt);
    if (!only.empty() && head->state != RunState::done)
        return failure(Fault::refused, "has not come to its end, so it is undone whole or gone on with first", receipt);
    const auto run = PastRun::read(disk, store, std::move(*head));
    if (!run) return failure(run.error());
    if (auto chosen = (*run)->choose(only); !chosen) return failure(chosen.error());
    (*run)->on_progress(looked_at);
    auto plan = renamed_in_place(**run) ? plan_undo_renames(disk, **run) : Result<Plan>(plan_undo(**run));
    if (!(*run)->trouble()) return failure((*run)->trouble().error());
    return plan;
}

Result<std::optional<RunLock>> settle_before_undo(FileSystem& disk, Store& store, const std::string& receipt) {
    const auto head = store.receipt(receipt);
    if (!head) return failure(head.error());
    if (head->state == RunState::done || !head->undone_by.empty()) return std::optional<RunLock>{};
    auto lock = store.lock(receipt);
    if (!lock)
        return failure(lock.error().fault == Fault::name_taken ? Error{Fault::refused, 0, "is still going on", receipt} : lock.error());
    if (head->state == RunState::interrupted) {
        // what was open is brought to one end or the other, and nothing more is begun
        std::stop_source at_once;
        at_once.request_stop();
        RunOptions options;
        options.stop = at_once.get_token();
        if (auto settled = resume_held(disk, store, receipt, options); !settled) return failure(settled.error());
    }
    return std::optional<RunLock>(std::move(*lock));
}

Result<Plan> prepare_restore(FileSystem& disk, Store& store, const std::string& id, const std::string& into,
                             std::optional<Decision> where_taken) {
    auto found = store.safe_entry(id);
    if (!found) return failure(found.error());
    const SafeEntry now = entry_now(disk, store, std::move(*found));
    const SafeEntry* entry = &now;
    if (const auto slot = open_slot(disk, now); !slot) return failure(slot.error());
    const std::string target = into.empty() ? entry->original : join(into, name_of(entry->original));
    auto gathered = gather(disk, {entry->stored});
    if (!gathered) return failure(gathered.error());
    auto destination = look_at_destination(disk, std::string(parent_of(target)));
    if (!destination) return failure(destination.error());
    const auto batch = std::make_shared<const Batch>(std::move(*gathered));
    const Layout layout = lay_out(*batch, destination->path, Structure{}, destination->volume.folds_case);
    std::vector<Destination> roots;
    roots.push_back(std::move(*destination));
    const auto surveyed = survey(disk, std::move(roots), layout.targets);
    if (!surveyed) return failure(surveyed.error());
    const HeldFolder* folder = surveyed->folder(layout.targets, 0);
    const Held* held = folder == nullptr ? nullptr : folder->find(name_of(target));
    const bool would_merge =
        held != nullptr && held->status.type == FileType::folder && batch->entries.front().status.type == FileType::folder;
    if (held != nullptr && (!where_taken || would_merge)) return failure(Fault::name_taken, "the name is held", target);
    Wishes wishes;
    wishes.operation = Operation::move;
    wishes.policy.otherwise = where_taken.value_or(Decision::undecided);
    if (held != nullptr)  // decided whatever the two hold: nothing has to be read for it
        wishes.decisions.add(entry->stored, {pair_of(batch->entries.front().status, held->status), where_taken});
    Plan plan = make_plan(wishes, batch, layout, *surveyed, KnownContents{});
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
    if (is_packed(item.action)) return Difference::none;  // its archive is compared whole
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

}  // namespace tavlo
