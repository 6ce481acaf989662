// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "undo/take_back.h"

#include <optional>

#include "batch/gather.h"
#include "files/path.h"
#include "recover/recover.h"
#include "run/safe_folder.h"
#include "undo/past_run.h"
#include "undo/undo_renames.h"

namespace tavlo {

Result<Plan> prepare_undo(FileSystem& disk, Store& store, const std::string& receipt,
                          const std::vector<std::uint64_t>& only, bool locked,
                          const std::function<void(std::uint64_t, std::uint64_t)>& looked_at) {
    auto head = store.receipt(receipt);
    if (!head) return failure(head.error());
    if (!head->undone_by.empty())
        return failure(Fault::refused, "was undone already, by " + head->undone_by, receipt);
    if (!locked && store.is_alive(receipt)) return failure(Fault::refused, "is still going on", receipt);
    if (!only.empty() && head->state != RunState::done)
        return failure(Fault::refused, "has not come to its end, so it is undone whole or gone on with first",
                       receipt);
    const auto run = PastRun::read(disk, store, std::move(*head));
    if (!run) return failure(run.error());
    if (auto chosen = (*run)->choose(only); !chosen) return failure(chosen.error());
    (*run)->on_progress(looked_at);
    auto plan = renamed_in_place(**run) ? plan_undo_renames(disk, **run) : Result<Plan>(plan_undo(**run));
    if (!(*run)->trouble()) return failure((*run)->trouble().error());
    return plan;
}

Result<std::optional<RunLock>> settle_before_undo(FileSystem& disk, Store& store,
                                                  const std::string& receipt) {
    const auto head = store.receipt(receipt);
    if (!head) return failure(head.error());
    if (head->state == RunState::done || !head->undone_by.empty()) return std::optional<RunLock>{};
    auto lock = store.lock(receipt);
    if (!lock)
        return failure(lock.error().fault == Fault::name_taken
                           ? Error{Fault::refused, 0, "is still going on", receipt}
                           : lock.error());
    if (head->state == RunState::interrupted) {
        // what was open is brought to one end or the other, and nothing more is begun
        std::stop_source at_once;
        at_once.request_stop();
        RunOptions options;
        options.stop = at_once.get_token();
        if (auto settled = resume_held(disk, store, receipt, options); !settled)
            return failure(settled.error());
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
    const bool would_merge = held != nullptr && held->status.type == FileType::folder &&
                             batch->entries.front().status.type == FileType::folder;
    if (held != nullptr && (!where_taken || would_merge))
        return failure(Fault::name_taken, "the name is held", target);
    Wishes wishes;
    wishes.operation = Operation::move;
    wishes.policy.otherwise = where_taken.value_or(Decision::undecided);
    if (held != nullptr)  // decided whatever the two hold: nothing has to be read for it
        wishes.decisions.add(entry->stored,
                             {pair_of(batch->entries.front().status, held->status), where_taken});
    Plan plan = make_plan(wishes, batch, layout, *surveyed, KnownContents{});
    plan.operation = Operation::restore;
    plan.items.front().add_extras().entry_of_safe = id;
    for (Item& item : plan.items)
        if (arrives(item.outcome)) item.outcome = Outcome::restored;
    plan.totals = total(plan);
    return plan;
}

}  // namespace tavlo
