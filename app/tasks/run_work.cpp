// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/run_work.h"

#include <unordered_map>
#include <unordered_set>

#include "archive/archive_files.h"
#include "error_words.h"
#include "files/drives.h"
#include "files/path.h"
#include "job/drives_of_job.h"
#include "job/prepare.h"
#include "job/retry.h"
#include "recover/recover.h"
#include "recover/settle.h"
#include "text.h"
#include "undo/take_back.h"

using namespace tavlo;

namespace {

using Settled = std::map<std::string, std::vector<std::string>>;

bool is_open(Outcome outcome) { return outcome == Outcome::undecided || outcome == Outcome::failed; }

/// Named sources of which nothing is left to do: no item undecided, failed or not reached.
/// asked  what was in hand; of what lies in an archive, or in a folder whose contents alone were meant, that
///        is what is settled
/// open   by entry: something is left to do about it
Settled settled_sources(const Batch& batch, std::vector<bool> open, const Job* asked) {
    for (EntryId id = static_cast<EntryId>(open.size()); id-- > 0;)
        if (open[id] && batch.entries[id].parent != no_entry) open[batch.entries[id].parent] = true;
    Settled settled;
    std::map<std::string, bool>
        inside;  // by the folder that they lie in: whether all of what was named there is settled
    for (EntryId id = 0; id < batch.entries.size(); ++id) {
        const Entry& entry = batch.entries[id];
        if (!batch.is_named(entry) || entry.made) continue;
        const std::string folder = batch.folders.path(entry.folder);
        if (!open[id]) settled[folder].push_back(entry.name);
        auto& all = inside.try_emplace(folder, true).first->second;
        all = all && !open[id];
    }
    if (asked == nullptr) return settled;
    for (const auto& source : asked->what.sources)
        if (const auto found = inside.find(source); found != inside.end() && found->second)
            settled[std::string(parent_of(source))].emplace_back(name_of(source));
    return settled;
}

/// One errand with what it takes to say what came of it.
class ErrandWork {
public:
    ErrandWork(const std::string& state_folder, const Errand& errand, const RunOptions& options,
               RunEvents events, const std::function<void(const Counted&)>& counted,
               const std::function<void(ItemId, Outcome)>& settled)
        : state_folder_(state_folder),
          errand_(errand),
          options_(options),
          events_(std::move(events)),
          counted_(counted),
          settled_(settled),
          disk_(make_disk_with_archives()),
          store_(Store::open(state_folder)) {}

    RunEnd run() {
        auto head = store_ ? go() : Result<ReceiptHead>(failure(store_.error()));
        const bool waits =
            !head && errand_.as<errands::GoOn>() != nullptr && head.error().fault == Fault::unreachable;
        if (!head) return {std::nullopt, error_words(head.error()), waits, false, {}};
        const bool planned = plan_ && plan_->traits().comes_from_batch;
        RunEnd end{*head, why_, false, planned || grown_, {}};
        Settled settled;
        if (grown_)
            settled = settled_of_grown(*head);
        else if (planned)
            settled = settled_of_planned();
        for (auto& [folder, names] : settled)
            end.settled.emplace(folder, std::make_shared<const std::vector<std::string>>(std::move(names)));
        return end;
    }

private:
    Result<ReceiptHead> go() {
        return std::visit([this](const auto& what) { return carry_out_one(what); }, errand_.what);
    }

    Result<ReceiptHead> carry_out_one(const errands::CarryOutCounting& counting) {
        return carry_out_growing(*disk_, **store_, counting.asked, options_, events_, counted_, &grown_);
    }
    Result<ReceiptHead> carry_out_one(const errands::DoJob& wanted) {
        Asked asked = wanted.job;
        asked.kept = folders_to_keep(state_folder_);
        PrepareEvents events;
        events.counted = [this](std::uint64_t entries) { counted_({entries, 0, false}); };
        auto outlook = prepare(*disk_, std::move(asked), store_->get(), options_.stop, events);
        if (!outlook) return failure(outlook.error());
        if (!outlook->refusals.empty()) return failure(outlook->refusals.front());
        const auto plan = std::move(outlook->plan);
        *outlook = {};  // what the plan was made from is not held beside it
        counted_({plan->totals.items, plan->totals.bytes, true});
        return tavlo::carry_out(*disk_, **store_, *plan, options_, events_);
    }
    Result<ReceiptHead> carry_out_one(const errands::GoOn& rest) {
        return resume(*disk_, **store_, rest.receipt, options_, events_);
    }
    Result<ReceiptHead> carry_out_one(const errands::LeaveFailed& left) {
        return leave_failed(**store_, left.receipt, left.numbers);
    }

    Result<ReceiptHead> carry_out_one(const errands::RemoveForGood& chosen) {
        counted_({chosen.versions->size(), 0, true});
        ReceiptHead head;  // of no receipt: what came of it
        head.operation = Operation::remove;
        head.state = RunState::done;
        Removing how{.stop = options_.stop, .pace = options_.pace};
        how.removed = [&](const SafeEntry& entry) {
            ReceiptItem item;
            item.source = entry.original;
            item.action = Action::take_away;
            item.result = Outcome::removed;
            head.totals.count(item.result);
            events_.item(static_cast<ItemId>(head.totals.items++), item);
        };
        const auto emptied = remove_versions(*disk_, **store_, *chosen.versions, how);
        if (!emptied) return failure(emptied.error());
        if (!emptied->problems.empty()) why_ = error_words(emptied->problems.front());
        return head;
    }

    Result<ReceiptHead> carry_out_one(const errands::TakeBack& back) {
        const auto held = settle_before_undo(*disk_, **store_, back.receipt);
        if (!held) return failure(held.error());
        auto undo = prepare_undo(*disk_, **store_, back.receipt, {}, held->has_value());
        if (!undo) return failure(undo.error());
        return tavlo::carry_out(*disk_, **store_, *undo, options_, events_);
    }

    Result<ReceiptHead> carry_out_one(const errands::CarryOut& planned) {
        plan_ = planned.plan;
        if (!planned.continues.empty())
            if (auto settlement = settlement_of(**store_, planned.continues, *plan_);
                settlement && settlement->complete && !settlement->items.empty())
                return go_on_with(planned.continues, *settlement);
        results_.assign(plan_->items.size(), Outcome::planned);
        events_.item = [this, tell = events_.item](ItemId id, const ReceiptItem& item) {
            results_[id] = item.result;
            tell(id, item);
            settled_(id, item.result);
        };
        // of a run that never came to its end, so that nobody goes on with it meanwhile
        const auto held = plan_->undoes.empty() ? Result<std::optional<RunLock>>(std::nullopt)
                                                : settle_before_undo(*disk_, **store_, plan_->undoes);
        if (!held) return failure(held.error());
        return tavlo::carry_out(*disk_, **store_, *plan_, options_, events_);
    }

    Result<ReceiptHead> carry_out_one(const errands::TryAgain& failed) {
        const auto again = failed_again(*disk_, **store_, failed.receipt, failed.numbers);
        if (!again) return failure(again.error());
        if (again->settlement.items.empty()) {
            const auto why = again->not_possible.empty() ? std::string("nothing of it failed")
                                                         : again->not_possible.front().second;
            return failure(Fault::refused, why, failed.receipt);
        }
        return carry_on_settled(*disk_, **store_, failed.receipt, again->settlement, options_, events_);
    }

    /// The numbers of its items are the receipt's, not the plan's.
    Result<ReceiptHead> go_on_with(const std::string& receipt, const Settlement& settlement) {
        std::unordered_map<std::string, ItemId> by_source;
        results_.resize(plan_->items.size());
        for (ItemId id = 0; id < plan_->items.size(); ++id) {
            by_source.emplace(plan_->source_path(plan_->items[id]), id);
            const Outcome planned = plan_->items[id].outcome;
            results_[id] = is_open(planned) ? planned : Outcome::skipped;
        }
        events_.item = [this, tell = events_.item, by_source = std::move(by_source)](
                           ItemId id, const ReceiptItem& item) {
            tell(id, item);
            const auto found = by_source.find(item.source);
            if (found == by_source.end()) return;
            results_[found->second] = item.result;
            settled_(found->second, item.result);
        };
        return carry_on_settled(*disk_, **store_, receipt, settlement, options_, events_);
    }

    /// What its receipt has nothing open about; where that cannot be read, all of it stays in hand.
    Settled settled_of_grown(const ReceiptHead& head) {
        if (head.state != RunState::done) return {};
        std::unordered_set<std::string> open;
        const auto read = (*store_)->each_item(head.id, [&](ReceiptItem&& item) {
            if (is_open(item.result)) open.insert(item.source);
        });
        if (!read) return {};
        std::vector<bool> entries(grown_->entries.size());
        for (EntryId id = 0; id < entries.size() && !open.empty(); ++id)
            entries[id] = open.contains(grown_->source_path(grown_->entries[id]));
        return settled_sources(*grown_, std::move(entries), errand_.job.get());
    }

    Settled settled_of_planned() {
        std::vector<bool> open(plan_->batch->entries.size());
        for (ItemId id = 0; id < plan_->items.size(); ++id) {
            const bool is_left = is_open(results_[id]) || results_[id] == Outcome::planned;
            if (is_left && !plan_->leaves(plan_->items[id])) open[plan_->items[id].entry] = true;
        }
        return settled_sources(*plan_->batch, std::move(open), errand_.job.get());
    }

    const std::string& state_folder_;
    const Errand& errand_;
    const RunOptions& options_;
    RunEvents events_;
    const std::function<void(const Counted&)>& counted_;
    const std::function<void(ItemId, Outcome)>& settled_;
    std::unique_ptr<FileSystem> disk_;
    Result<std::unique_ptr<Store>> store_;
    std::shared_ptr<const Plan> plan_;
    std::shared_ptr<const Batch> grown_;  ///< all that was counted while it was copied
    std::vector<Outcome> results_;
    QString why_;  ///< what did not work of what was done
};

}  // namespace

RunEnd carry_out_errand(const std::string& state_folder, const Errand& errand, const RunOptions& options,
                        RunEvents events, const std::function<void(const Counted&)>& counted,
                        const std::function<void(ItemId, Outcome)>& settled) {
    return ErrandWork(state_folder, errand, options, std::move(events), counted, settled).run();
}

namespace {

/// Where an errand has to do with: folders, and file systems by number.
struct Reach {
    std::set<std::string> places{};
    std::set<std::uint64_t> devices{};
};

Reach reach_of(const std::string& state_folder, const Errand& errand) {
    Reach reach;
    const auto of_receipt = [&](const std::string& receipt) {
        const auto store = Store::open(state_folder);
        if (const auto head =
                store ? (*store)->receipt(receipt) : Result<ReceiptHead>(failure(store.error())))
            reach.places.insert(head->roots.begin(), head->roots.end());
    };
    if (const auto* planned = errand.as<errands::CarryOut>()) {
        reach.places.insert(planned->plan->destination);
        for (const Entry& entry : planned->plan->batch->entries) reach.devices.insert(entry.status.id.device);
    }
    if (const auto* counting = errand.as<errands::CarryOutCounting>()) {
        reach.places.insert(counting->asked.job.into);
        for (const auto& source : counting->asked.job.what.sources) reach.places.emplace(parent_of(source));
    }
    if (const auto* rest = errand.as<errands::GoOn>()) of_receipt(rest->receipt);
    if (const auto* back = errand.as<errands::TakeBack>()) of_receipt(back->receipt);
    if (const auto* again = errand.as<errands::TryAgain>()) of_receipt(again->receipt);
    return reach;
}

}  // namespace

std::set<std::uint64_t> drives_of(const std::string& state_folder, const Errand& errand) {
    if (const auto* whole = errand.as<errands::DoJob>()) return tavlo::drives_of(whole->job);
    Reach reach = reach_of(state_folder, errand);
    std::set<std::uint64_t> drives;
    reach.devices.erase(0);
    for (const auto device : reach.devices) drives.merge(tavlo::drives_of(device));
    for (const auto& place : reach.places) drives.merge(drives_below(place));
    return drives;
}

std::vector<RunFault> faults_of(const std::string& state_folder, const std::string& receipt,
                                std::size_t most) {
    std::vector<RunFault> faults;
    const auto store = Store::open(state_folder);
    const auto failed =
        store ? (*store)->numbers_with(receipt, Outcome::failed) : Result<std::vector<std::uint64_t>>();
    for (const auto number : failed.value_or(std::vector<std::uint64_t>())) {
        if (faults.size() == most) break;
        auto items = (*store)->some_items(receipt, number, 1);
        if (items && !items->empty())
            faults.push_back({number, std::move(items->begin()->second), RunFault::Wish::none});
    }
    return faults;
}
