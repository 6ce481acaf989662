#include "tasks/bench.h"

#include <algorithm>
#include <chrono>
#include <mutex>
#include <optional>
#include <set>
#include <utility>

#include "files/path.h"
#include "job/choosing.h"
#include "job/growing.h"
#include "keep/store.h"
#include "tasks/batch_file.h"
#include "tasks/bench_known.h"
#include "tasks/instruction_file.h"
#include "text.h"

using namespace tavlo;

namespace {

constexpr std::chrono::milliseconds told_every{1500};

std::shared_ptr<const std::vector<PickedRow>> picked_rows(const Batch& batch) {
    auto rows = std::make_shared<std::vector<PickedRow>>();
    std::vector<std::uint32_t> row_of(batch.entries.size());  // parents come before children
    for (EntryId id = 0; id < batch.entries.size(); ++id) {
        const Entry& entry = batch.entries[id];
        if (entry.parent == no_entry) {
            row_of[id] = static_cast<std::uint32_t>(rows->size());
            rows->push_back({batch.folders.path(entry.folder), entry.name, entry.status.type, 0, 0, entry.status.id.modified_ns});
        } else {
            row_of[id] = row_of[entry.parent];
        }
        if (entry.status.type == FileType::folder) continue;
        PickedRow& row = (*rows)[row_of[id]];
        ++row.files;
        if (entry.status.type == FileType::file) row.bytes += entry.status.id.size_bytes;
    }
    return rows;
}

}  // namespace

Bench::Bench(std::string state_folder, QObject* parent) : QObject(parent), known_(std::make_shared<Known>()) {
    known_->state_folder = std::move(state_folder);
    history_.setUndoLimit(200);
    job_.policy = policy_for(rule_);
}

const std::shared_ptr<const Plan>& Bench::plan() const {
    static const std::shared_ptr<const Plan> none;
    return view_.outcome ? view_.outcome->plan : none;
}

Job Bench::wholeJob() const {
    Job job = job_;
    for (const auto& [folder, picked] : picked_) {
        std::vector<std::string_view> names(picked.names.begin(), picked.names.end());
        std::sort(names.begin(), names.end());
        for (const auto& name : names) job.what.sources.push_back(join(folder, name));
    }
    return job;
}

std::string Bench::reasonToWait() const {
    constexpr std::size_t few = 1000;  // so many things that were picked one by one are counted in no time
    if (picked_count_ > few) return "many things were picked one by one";
    return reason_to_wait(wholeJob());
}

void Bench::restore() {
    restoring_ = true;
    // a worker of its own: the other one drops a wish for the next, and this one must not be lost
    restorer_.post([this, state_folder = known_->state_folder](const std::stop_token&) {
        auto saved = load_batch(state_folder);
        auto asked = load_instruction(state_folder);
        QMetaObject::invokeMethod(
            this,
            [this, saved = saved ? std::move(*saved) : SavedBatch{}, asked = asked ? std::optional(std::move(*asked)) : std::nullopt] {
                ByFolder by_folder;
                for (const auto& path : saved.paths) by_folder[std::string(parent_of(path))].emplace_back(name_of(path));
                for (auto& [folder, names] : by_folder) note({folder, shared(std::move(names)), true});
                if (asked && !saved.paths.empty()) {  // with nothing in hand, one begins anew
                    job_ = asked->job;
                    decisions_ = asked->decisions;
                    typed_ = asked->typed;
                    rule_ = rule_of(job_.policy);
                    own_ = asked->own;
                }
                restoring_ = false;
                keeps_ = true;
                changed(true);
                if (saved.missing > 0) emit missingAtStart(static_cast<int>(saved.missing));
            },
            Qt::QueuedConnection);
    });
}

void Bench::setOperation(Operation operation) {
    if (job_.operation == operation) return;
    job_.operation = operation;
    changed(false);
}

void Bench::setDestination(const std::string& path) {
    if (job_.into == path) return;
    job_.into = path;
    changed(false);
}

void Bench::setStructure(const Structure& shape) {
    if (job_.structure == shape) return;
    job_.structure = shape;
    changed(false);
}

void Bench::setCollisionRule(CollisionRule rule) {
    rule_ = rule;
    Policy policy = rule == CollisionRule::own ? own_ : policy_for(rule);
    policy.new_names = job_.policy.new_names;
    policy.adapt_names = job_.policy.adapt_names;
    job_.policy = std::move(policy);
    changed(false);
}

void Bench::setOwnRule(const Policy& rule) {
    own_ = rule;
    setCollisionRule(CollisionRule::own);
}

void Bench::setNewNames(const NewNames& names) {
    if (job_.policy.new_names == names) return;
    job_.policy.new_names = names;
    changed(false);
}

void Bench::setNamesAdapted(bool adapted) {
    if (job_.policy.adapt_names == adapted) return;
    job_.policy.adapt_names = adapted;
    changed(false);
}

void Bench::setMayLose(bool may_lose) {
    if (job_.may_lose == may_lose) return;
    job_.may_lose = may_lose;
    changed(false);
}

void Bench::setClearing(Clearing clearing) {
    if (job_.clearing == clearing) return;
    job_.clearing = clearing;
    changed(false);
}

void Bench::setNaming(const Naming& naming) {
    if (job_.naming == naming) return;
    job_.naming = naming;
    changed(false);
}

void Bench::setShelf(Shelf shelf) {
    if (job_.shelf == shelf) return;
    job_.shelf = shelf;
    changed(false);
}

/// A stroke of decisions that was made, to be undone and done again.
class Bench::Deciding final : public QUndoCommand {
public:
    Deciding(Bench& bench, Decisions before, Decisions after)
        : QUndoCommand(tr("Decide")), bench_(bench), before_(std::move(before)), after_(std::move(after)) {}
    void undo() override { set(before_); }
    void redo() override { set(after_); }

private:
    void set(const Decisions& decisions) {
        bench_.decisions_ = decisions;
        bench_.changed(false);
    }
    Bench& bench_;
    Decisions before_;
    Decisions after_;
};

void Bench::decide(const std::vector<ItemId>& items, Decision decision) {
    PairDecision decided;
    if (decision != Decision::undecided)
        decided.decision = decision;
    else
        decided.decision.reset();
    decide(items, decided);
}

void Bench::decide(const std::vector<ItemId>& items, const PairDecision& decision) {
    std::vector<std::pair<ItemId, PairDecision>> decisions;
    for (const ItemId id : items) decisions.emplace_back(id, decision);
    decide(decisions);
}

void Bench::decide(const std::vector<std::pair<ItemId, PairDecision>>& decisions) {
    if (!plan()) return;
    Decisions::Stroke stroke;
    for (const auto& [id, decision] : decisions) {
        const Item& item = plan()->items[id];
        if (!item.collision || item.collision->shared) continue;
        PairDecision decided = decision;
        decided.pair = plan()->pair(item);
        stroke.insert_or_assign(plan()->source_path(item), std::move(decided));
    }
    if (stroke.empty()) return;
    Decisions after = decisions_;
    after.add(std::move(stroke));
    history_.push(new Deciding(*this, decisions_, std::move(after)));
}

/// A name that was typed, to be undone and done again.
class Bench::Typing final : public QUndoCommand {
public:
    Typing(Bench& bench, TypedNames before, TypedNames after)
        : QUndoCommand(tr("Type a name")), bench_(bench), before_(std::move(before)), after_(std::move(after)) {}
    void undo() override { set(before_); }
    void redo() override { set(after_); }

private:
    void set(const TypedNames& names) {
        bench_.typed_ = names;
        bench_.changed(false);
    }
    Bench& bench_;
    TypedNames before_;
    TypedNames after_;
};

void Bench::typeName(ItemId id, const std::string& name) {
    if (!plan()) return;
    const Item& item = plan()->items[id];
    TypedNames after = typed_;
    if (name.empty())
        after.erase(plan()->source_path(item));
    else
        after.insert_or_assign(plan()->source_path(item), TypedName{plan()->entry(item).status.id, name});
    if (after != typed_) history_.push(new Typing(*this, typed_, std::move(after)));
}

bool Bench::isTyped(ItemId id) const {
    if (typed_.empty() || !plan()) return false;
    const auto found = typed_.find(plan()->source_path(plan()->items[id]));
    return found != typed_.end() && found->second.of == plan()->entry(plan()->items[id]).status.id;
}

void Bench::lookAgain() { changed(true); }

void Bench::lookAtDestinationAgain() {
    look_wanted_ = true;
    changed(false);
}

void Bench::show(BenchView view, bool last) {
    {
        const std::scoped_lock lock(known_->mutex);
        known_->retired.push_back(std::exchange(view_, std::move(view)));
    }
    if (last) working_ = false;
    emit viewChanged();
}

void Bench::changed(bool gather_again) {
    working_ = true;
    const std::uint64_t generation = ++generation_;
    // a wish that was replaced before it was served must not take the new gathering with it
    if (gather_again) gather_wanted_ = true;
    emit jobChanged();
    worker_.post([this, known = known_, wanted = job_, decisions = decisions_, typed = typed_, own = own_, gather_wanted = gather_wanted_,
                  look_wanted = look_wanted_, keeps = keeps_, generation](const std::stop_token& stop) {
        Asked asked(wanted, decisions);
        asked.typed = typed;
        Job& job = asked.job;
        job.what.sources = known->sources();
        if (keeps && !known->saved && !stop.stop_requested()) known->saved = save_batch(known->state_folder, job.what.sources).has_value();
        if (auto text = to_text({wanted, decisions, own, typed});
            keeps && text != known->saved_instruction && save_instruction(known->state_folder, text))
            known->saved_instruction = std::move(text);
        const auto send = [&](BenchView view, bool last) {
            QMetaObject::invokeMethod(
                this,
                [this, view = std::move(view), last, generation]() mutable {
                    if (generation == generation_) show(std::move(view), last);
                },
                Qt::QueuedConnection);
        };
        const auto sorry = [&](BenchView view, const Error& error) {
            if (error.fault == Fault::cancelled) return;
            view.refusals.push_back(shown(describe(error)));
            send(std::move(view), true);
        };
        BenchView view;
        if (gather_wanted || !known->batch) {
            // all of it, whatever is to be done: what goes with a folder is said, and another wish counts nothing anew
            auto gathered = gather(*known->disk, job.what.sources, {.follow_links = job.what.follow_links, .stop = stop});
            if (!gathered) return sorry(view, gathered.error());
            known->batch = std::make_shared<const Batch>(std::move(*gathered));
            known->rows = picked_rows(*known->batch);
            QMetaObject::invokeMethod(
                this,
                [this, generation] {
                    if (generation == generation_) gather_wanted_ = false;
                },
                Qt::QueuedConnection);
        }
        view.batch = known->batch;
        view.picks = known->rows;
        view.job = std::make_shared<const Job>(job);
        view.has_folders = std::any_of(known->batch->entries.begin(), known->batch->entries.end(),
                                       [](const Entry& entry) { return entry.status.type == FileType::folder; });
        if (job.into.empty() && goes_elsewhere(job)) return send(view, true);
        asked.kept = folders_to_keep(known->state_folder);
        std::shared_ptr<const Survey> around;  // of a removal: the folders that things leave
        const auto see = [&](const Outlook& outlook) {
            if (goes_elsewhere(job)) view.room = room_needed(*outlook.plan, *outlook.destination);
            view.refusals.clear();
            for (const Error& refusal : outlook.refusals) view.refusals.push_back(shown(describe(refusal)));
            view.misses.clear();
            for (const Error& miss : outlook.misses) view.misses.push_back(shown(describe(miss)));
            view.outcome = OutcomeTree::make(outlook.plan, outlook.plan->traits().takes_away ? around : outlook.survey, now_ns());
            view.examples = name_examples(job, *outlook.plan, now_ns());
            view.shares = view.outcome->shares;
            view.comparing = !outlook.plan->not_compared.empty();
            const auto& items = outlook.plan->items;
            view.impossible_names = static_cast<std::uint64_t>(std::count_if(items.begin(), items.end(), [](const Item& item) {
                return item.problem && item.problem->fault == Fault::name_not_possible;
            }));
        };
        if (look_wanted) known->outlook.reset();
        const bool in_same_places =
            known->outlook && known->planned_batch == known->batch && same_places(known->planned, wanted) && known->planned_typed == typed;
        if (in_same_places && known->shown.outcome && !known->shown.comparing)
            if (const auto shares = known->shown.outcome->sharesBy(known->shown_wishes, wishes_of(asked))) {
                BenchView soon = known->shown;
                soon.shares = *shares;
                send(std::move(soon), false);
            }
        const auto send_plan = [&](bool last) {
            known->shown = view;
            known->shown_wishes = wishes_of(asked);
            send(view, last);
        };
        const bool in_same_folders =
            known->outlook && known->planned_batch == known->batch && differs_in_names_alone(known->planned, wanted);
        auto outlook = in_same_places    ? Result<Outlook>(plan_again(asked, *known->outlook, known->contents))
                       : in_same_folders ? name_again(asked, *known->outlook, known->contents)
                                         : look_ahead(*known->disk, asked, known->batch, known->contents, stop);
        if (!outlook) return sorry(view, outlook.error());
        if (outlook->plan->traits().takes_away)
            if (auto there = survey_in_place(*known->disk, *outlook->batch, *outlook->layout, stop))
                around = std::make_shared<const Survey>(std::move(*there));
        known->outlook = *outlook;
        known->planned_batch = known->batch;
        known->planned = wanted;
        known->planned_typed = typed;
        if (look_wanted)
            QMetaObject::invokeMethod(
                this,
                [this, generation] {
                    if (generation == generation_) look_wanted_ = false;
                },
                Qt::QueuedConnection);
        see(*outlook);
        send_plan(!view.comparing);
        if (!view.comparing) return;
        if (!known->store)
            if (auto opened = Store::open(known->state_folder)) known->store = std::move(*opened);
        // what is known so far is shown now and then: many large pairs take their time
        auto shown_at = std::chrono::steady_clock::now();
        const auto tell = [&](std::size_t) {
            const auto now = std::chrono::steady_clock::now();
            if (now - shown_at < told_every) return;
            see(plan_again(asked, *outlook, known->contents));
            send_plan(false);
            shown_at = std::chrono::steady_clock::now();
        };
        if (auto compared = compare_pairs(*known->disk, *outlook->plan, known->contents, known->store.get(), stop, tell); !compared) return;
        see(plan_again(asked, *outlook, known->contents));
        send_plan(true);
    });
}
