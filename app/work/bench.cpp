#include "work/bench.h"

#include <algorithm>
#include <chrono>
#include <set>

#include "files/path.h"
#include "text.h"

using namespace tavlo;

namespace {

Rules rules_for(CollisionRule rule) {
    const auto when = [](Rules& rules, Finding finding, Decision decision) { rules.when[static_cast<std::size_t>(finding)] = decision; };
    Rules rules;
    switch (rule) {
        case CollisionRule::ask: when(rules, Finding::same, Decision::skip); break;  // nothing would change: not worth a question
        case CollisionRule::keep: rules.otherwise = Decision::skip; break;
        case CollisionRule::newer_wins:
            when(rules, Finding::newer, Decision::overwrite);
            when(rules, Finding::older, Decision::skip);
            when(rules, Finding::same, Decision::skip);
            break;
        case CollisionRule::incoming_wins:
            rules.otherwise = Decision::overwrite;
            when(rules, Finding::same, Decision::skip);
            break;
        case CollisionRule::both_stay:
            rules.otherwise = Decision::rename;
            when(rules, Finding::same, Decision::skip);
            break;
    }
    return rules;
}

}  // namespace

/// What the worker keeps from one plan to the next.
struct Bench::Known {
    std::unique_ptr<FileSystem> disk = make_disk();
    std::shared_ptr<const Batch> batch;
    KnownContents contents;
};

Bench::Bench(QObject* parent) : QObject(parent), known_(std::make_shared<Known>()) { request_.rules = rules_for(rule_); }

const std::shared_ptr<const Plan>& Bench::plan() const {
    static const std::shared_ptr<const Plan> none;
    return view_.outcome ? view_.outcome->plan : none;
}

std::size_t Bench::pickedIn(const std::string& folder) const {
    return static_cast<std::size_t>(std::count_if(picked_.begin(), picked_.end(), [&](const auto& path) { return parent_of(path) == folder; }));
}

std::vector<std::string> Bench::sourceFolders() const {
    std::set<std::string> folders;
    for (const auto& path : picked_) folders.emplace(parent_of(path));
    return {folders.begin(), folders.end()};
}

void Bench::pick(const std::vector<std::string>& paths) {
    bool any = false;
    for (const auto& path : paths)
        if (is_picked_.insert(path).second) {
            picked_.push_back(path);
            any = true;
        }
    if (any) changed(true);
}

void Bench::unpick(const std::vector<std::string>& paths) {
    bool any = false;
    for (const auto& path : paths) any |= is_picked_.erase(path) > 0;
    if (!any) return;
    std::erase_if(picked_, [&](const auto& path) { return !is_picked_.contains(path); });
    changed(true);
}

void Bench::replacePicks(const std::vector<std::string>& paths) {
    picked_.clear();
    is_picked_.clear();
    for (const auto& path : paths)
        if (is_picked_.insert(path).second) picked_.push_back(path);
    changed(true);
}

void Bench::setOperation(Operation operation) {
    if (request_.operation == operation) return;
    request_.operation = operation;
    changed(false);
}

void Bench::setDestination(const std::string& path) {
    if (request_.destination == path) return;
    request_.destination = path;
    changed(false);
}

void Bench::setShape(const Shape& shape) {
    if (request_.shape == shape) return;
    request_.shape = shape;
    changed(false);
}

void Bench::setCollisionRule(CollisionRule rule) {
    rule_ = rule;
    auto single = std::move(request_.rules.single);
    request_.rules = rules_for(rule);
    request_.rules.single = std::move(single);
    changed(false);
}

void Bench::decide(const std::vector<ItemId>& items, Decision decision) {
    if (!plan()) return;
    for (const ItemId id : items) {
        const Item& item = plan()->items[id];
        if (!item.collision || item.collision->shared) continue;
        const Pair pair{plan()->entry(item).status.id, item.collision->held_by_batch ? Identity{} : item.collision->held.id};
        if (decision == Decision::undecided)
            request_.rules.single.erase(plan()->source_path(item));
        else
            request_.rules.single[plan()->source_path(item)] = {pair, decision};
    }
    changed(false);
}

void Bench::lookAgain() { changed(true); }

void Bench::show(BenchView view, bool last) {
    view_ = std::move(view);
    if (last) working_ = false;
    emit viewChanged();
}

void Bench::changed(bool gather_again) {
    request_.sources = picked_;
    working_ = true;
    const std::uint64_t generation = ++generation_;
    // a wish that was replaced before it was served must not take the new gathering with it
    if (gather_again) gather_wanted_ = true;
    emit requestChanged();
    worker_.post([this, known = known_, request = request_, gather_wanted = gather_wanted_, generation](const std::stop_token& stop) {
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
            auto gathered = gather(*known->disk, request.sources, {request.follow_links, stop, {}});
            if (!gathered) return sorry(view, gathered.error());
            known->batch = std::make_shared<const Batch>(std::move(*gathered));
            QMetaObject::invokeMethod(
                this, [this, generation] { if (generation == generation_) gather_wanted_ = false; }, Qt::QueuedConnection);
        }
        view.batch = known->batch;
        view.has_folders = std::any_of(known->batch->entries.begin(), known->batch->entries.end(),
                                       [](const Entry& entry) { return entry.status.type == FileType::folder; });
        if (request.destination.empty()) return send(view, true);
        const auto look = [&]() -> Result<std::shared_ptr<const Plan>> {
            auto outlook = look_ahead(*known->disk, request, known->batch, known->contents, stop);
            if (!outlook) return failure(outlook.error());
            view.room = room_needed(*outlook->plan, *outlook->destination);
            view.refusals.clear();
            for (const Error& refusal : outlook->refusals) view.refusals.push_back(shown(describe(refusal)));
            view.outcome = OutcomeTree::make(outlook->plan, outlook->destination);
            view.comparing = !outlook->plan->not_compared.empty();
            return outlook->plan;
        };
        auto plan = look();
        if (!plan) return sorry(view, plan.error());
        send(view, !view.comparing);
        if (!view.comparing) return;
        if (auto compared = compare_pairs(*known->disk, **plan, known->contents, stop); !compared) return;
        plan = look();
        if (!plan) return sorry(view, plan.error());
        send(view, true);
    });
}
