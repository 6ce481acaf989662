#include "tasks/run_work.h"

#include <unordered_map>
#include <unordered_set>

#include "files/drives.h"
#include "files/path.h"
#include "run/recover.h"
#include "run/retry.h"
#include "run/settle.h"
#include "run/take_back.h"
#include "text.h"

using namespace tavlo;

namespace {

using Settled = std::map<std::string, std::vector<std::string>>;

bool is_open(Outcome outcome) { return outcome == Outcome::undecided || outcome == Outcome::failed; }

/// Named sources of which nothing is left to do: no item undecided, failed or not reached.
Settled settled_sources(const Plan& plan, const std::vector<Outcome>& results) {
    std::vector<bool> open(plan.batch->entries.size());
    for (ItemId id = 0; id < plan.items.size(); ++id) {
        const bool left = is_open(results[id]) || results[id] == Outcome::planned;
        if (plan.leaves(plan.items[id])) continue;
        for (EntryId at = plan.items[id].entry; left && at != no_entry && !open[at]; at = plan.batch->entries[at].parent) open[at] = true;
    }
    Settled settled;
    for (EntryId id = 0; id < plan.batch->entries.size(); ++id) {
        const Entry& entry = plan.batch->entries[id];
        if (plan.batch->is_named(entry) && !open[id]) settled[plan.batch->folders.path(entry.folder)].push_back(entry.name);
    }
    return settled;
}

/// One job with what it takes to say what came of it.
class JobWork {
public:
    JobWork(const std::string& state_folder, const RunJob& job, const RunOptions& options, RunEvents events,
            const std::function<void(const Counted&)>& counted, const std::function<void(ItemId, Outcome)>& settled)
        : job_(job),
          options_(options),
          events_(std::move(events)),
          counted_(counted),
          settled_(settled),
          disk_(make_disk()),
          store_(Store::open(state_folder)) {}

    RunEnd run() {
        auto head = store_ ? go() : Result<ReceiptHead>(failure(store_.error()));
        const bool waits = !head && !job_.resumes.empty() && head.error().fault == Fault::unreachable;
        if (!head) return {plan_, std::nullopt, shown(describe(head.error())), waits, {}};
        RunEnd end{plan_, *head, {}, false, {}};
        const bool transfer = head->operation == Operation::copy || head->operation == Operation::move;
        if (grown_)
            end.settled = settled_of_grown(*head);
        else if (plan_ && transfer)
            end.settled = settled_sources(*plan_, results_);
        return end;
    }

private:
    Result<ReceiptHead> go() {
        if (job_.growing) {
            auto head = carry_out_growing(*disk_, **store_, *job_.growing, options_, events_, counted_, &grown_);
            plan_ = grown_;
            return head;
        }
        if (!job_.resumes.empty()) return tavlo::resume(*disk_, **store_, job_.resumes, options_, events_);
        if (!job_.leaves.empty()) return leave_failed(**store_, job_.leaves, job_.numbers);
        if (!job_.retries.empty()) return try_again();
        if (!job_.takes_back.empty()) {
            const auto held = settle_before_undo(*disk_, **store_, job_.takes_back);
            if (!held) return failure(held.error());
            auto undo = prepare_undo(*disk_, **store_, job_.takes_back, {}, held->has_value());
            if (!undo) return failure(undo.error());
            return carry_out(*disk_, **store_, *undo, options_, events_);
        }
        plan_ = job_.plan;
        if (!job_.continues.empty())
            if (auto settlement = settlement_of(**store_, job_.continues, *plan_);
                settlement && settlement->complete && !settlement->items.empty())
                return go_on_with(*settlement);
        results_.assign(plan_->items.size(), Outcome::planned);
        events_.item = [this, tell = events_.item](ItemId id, const ReceiptItem& item) {
            results_[id] = item.result;
            tell(id, item);
            settled_(id, item.result);
        };
        // of a run that never came to its end, so that nobody goes on with it meanwhile
        const auto held =
            plan_->undoes.empty() ? Result<std::optional<RunLock>>(std::nullopt) : settle_before_undo(*disk_, **store_, plan_->undoes);
        if (!held) return failure(held.error());
        return carry_out(*disk_, **store_, *plan_, options_, events_);
    }

    Result<ReceiptHead> try_again() {
        const auto again = failed_again(*disk_, **store_, job_.retries, job_.numbers);
        if (!again) return failure(again.error());
        if (again->settlement.items.empty()) {
            const auto why = again->not_possible.empty() ? std::string("nothing of it failed") : again->not_possible.front().second;
            return failure(Fault::refused, why, job_.retries);
        }
        return carry_on_settled(*disk_, **store_, job_.retries, again->settlement, options_, events_);
    }

    /// The numbers of its items are the receipt's, not the plan's.
    Result<ReceiptHead> go_on_with(const Settlement& settlement) {
        std::unordered_map<std::string, ItemId> by_source;
        results_.resize(plan_->items.size());
        for (ItemId id = 0; id < plan_->items.size(); ++id) {
            by_source.emplace(plan_->source_path(plan_->items[id]), id);
            const Outcome planned = plan_->items[id].outcome;
            results_[id] = is_open(planned) ? planned : Outcome::skipped;
        }
        events_.item = [this, tell = events_.item, by_source = std::move(by_source)](ItemId id, const ReceiptItem& item) {
            tell(id, item);
            const auto found = by_source.find(item.source);
            if (found == by_source.end()) return;
            results_[found->second] = item.result;
            settled_(found->second, item.result);
        };
        return carry_on_settled(*disk_, **store_, job_.continues, settlement, options_, events_);
    }

    /// What its receipt has nothing open about; where that cannot be read, all of it stays in hand.
    Settled settled_of_grown(const ReceiptHead& head) {
        if (head.state != RunState::done) return {};
        std::unordered_set<std::string> open;
        const auto read = (*store_)->each_item(head.id, [&](ReceiptItem&& item) {
            if (is_open(item.result)) open.insert(item.source);
        });
        if (!read) return {};
        std::vector<Outcome> came(grown_->items.size(), Outcome::created);
        for (ItemId id = 0; id < grown_->items.size() && !open.empty(); ++id)
            if (open.contains(grown_->source_path(grown_->items[id]))) came[id] = Outcome::undecided;
        return settled_sources(*grown_, came);
    }

    const RunJob& job_;
    const RunOptions& options_;
    RunEvents events_;
    const std::function<void(const Counted&)>& counted_;
    const std::function<void(ItemId, Outcome)>& settled_;
    std::unique_ptr<FileSystem> disk_;
    Result<std::unique_ptr<Store>> store_;
    std::shared_ptr<const Plan> plan_;
    std::shared_ptr<const Plan> grown_;
    std::vector<Outcome> results_;
};

}  // namespace

RunEnd carry_out_job(const std::string& state_folder, const RunJob& job, const RunOptions& options, RunEvents events,
                     const std::function<void(const Counted&)>& counted, const std::function<void(ItemId, Outcome)>& settled) {
    return JobWork(state_folder, job, options, std::move(events), counted, settled).run();
}

std::set<std::uint64_t> drives_of_job(const std::string& state_folder, const RunJob& job) {
    std::set<std::string> places;
    std::set<std::uint64_t> devices;
    if (job.plan) {
        places.insert(job.plan->destination);
        for (const Entry& entry : job.plan->batch->entries) devices.insert(entry.status.id.device);
    } else if (job.growing) {
        places.insert(job.growing->destination);
        for (const auto& source : job.growing->sources) places.emplace(parent_of(source));
    } else if (const auto store = Store::open(state_folder)) {
        for (const auto& receipt : {job.resumes, job.takes_back, job.retries})
            if (const auto head = receipt.empty() ? Result<ReceiptHead>(failure(Fault::not_found, "", "")) : (*store)->receipt(receipt))
                places.insert(head->roots.begin(), head->roots.end());
    }
    std::set<std::uint64_t> drives;
    devices.erase(0);
    for (const auto device : devices) drives.merge(drives_of(device));
    for (const auto& place : places) drives.merge(drives_below(place));
    return drives;
}

std::vector<RunFault> faults_of(const std::string& state_folder, const std::string& receipt, std::size_t most) {
    std::vector<RunFault> faults;
    const auto store = Store::open(state_folder);
    const auto failed = store ? (*store)->numbers_with(receipt, Outcome::failed) : Result<std::vector<std::uint64_t>>();
    for (const auto number : failed.value_or(std::vector<std::uint64_t>())) {
        if (faults.size() == most) break;
        auto items = (*store)->some_items(receipt, number, 1);
        if (items && !items->empty()) faults.push_back({number, std::move(items->begin()->second), RunFault::Wish::none});
    }
    return faults;
}
