// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/bench.h"

#include <algorithm>
#include <optional>
#include <utility>

#include "archive/format.h"
#include "files/path.h"
#include "job/growing.h"
#include "names/names.h"
#include "plan/traits.h"
#include "tasks/batch_file.h"
#include "tasks/kept_desk.h"

using namespace tavlo;

Bench::Bench(std::string state_folder, QObject* parent)
    : QObject(parent), outlooker_(std::move(state_folder)) {
    history_.setUndoLimit(200);
    asked_.job.policy = policy_for(rule_);
    connect(&outlooker_, &Outlooker::saw, this, &Bench::show);
}

const std::shared_ptr<const Plan>& Bench::plan() const {
    static const std::shared_ptr<const Plan> none;
    return view_.outcome ? view_.outcome->plan : none;
}

Job Bench::wholeJob() const {
    Job job = asked_.job;
    job.what.sources = picks_.paths();
    return job;
}

Instruction Bench::whole() const {
    Instruction all = asked_;
    all.job = wholeJob();
    return all;
}

/// All that is asked for was put in another's place.
class Bench::Taking final : public QUndoCommand {
public:
    Taking(Bench& bench, Instruction after, CollisionRule rule)
        : bench_(bench),
          before_(bench.asked_),
          after_(std::move(after)),
          rule_before_(bench.rule_),
          rule_after_(rule) {}
    void undo() override { bench_.adopt(before_, rule_before_); }
    void redo() override { bench_.adopt(after_, rule_after_); }

private:
    Bench& bench_;
    Instruction before_;
    Instruction after_;
    CollisionRule rule_before_;
    CollisionRule rule_after_;
};

void Bench::adopt(const Instruction& asked, CollisionRule rule) {
    asked_ = asked;
    rule_ = rule;
    lookAgain();
}

void Bench::take(const Instruction& wanted) {
    Instruction asked = wanted;
    asked.job.name.clear();
    const CollisionRule rule = rule_of(asked.job.policy);
    if (rule == CollisionRule::own) asked.own = asked.job.policy;
    Names paths = std::exchange(asked.job.what.sources, {});
    for (auto& path : paths)
        while (path.size() > 1 && path.ends_with('/')) path.pop_back();
    history_.beginMacro(tr("Take up"));
    replacePicks(paths);
    history_.push(
        new Taking(*this, std::move(asked), rule));  // after the picks: what it chooses is about those
    history_.endMacro();
}

void Bench::takeAll() { set(asked_.job.what, Selection{}); }

std::string Bench::reasonToWait() const {
    constexpr std::size_t few = 1000;  // so many things that were picked one by one are counted in no time
    if (picks_.count() > few) return "many things were picked one by one";
    Asked whole(wholeJob(), asked_.decisions);
    whole.typed = asked_.typed;
    return reason_to_wait(whole);
}

void Bench::restore() {
    restoring_ = true;
    struct Saved {
        SavedBatch batch;
        std::optional<Instruction> asked;
        std::optional<KeptDesk> desk;
    };
    const auto load = [state = outlooker_.stateFolder()](const std::stop_token&) -> Saved {
        auto desk = take_desk(state);
        if (!desk) return {};
        auto batch = load_batch(desk->folder);
        auto asked = load_instruction(desk->folder);
        return {batch ? std::move(*batch) : SavedBatch{},
                asked ? std::optional(std::move(*asked)) : std::nullopt, std::move(desk)};
    };
    restorer_.ask(this, load, [this](const Saved& saved) {
        ByFolder by_folder;
        for (const auto& path : saved.batch.paths)
            by_folder[std::string(parent_of(path))].emplace_back(name_of(path));
        for (auto& [folder, names] : by_folder) note(Change::of(folder, std::move(names), true));
        if (saved.asked && !saved.batch.paths.empty()) {  // with nothing in hand, one begins anew
            const Verify verify = asked_.job.verify;      // as it is set now
            asked_ = *saved.asked;
            asked_.job.verify = verify;
            rule_ = rule_of(asked_.job.policy);
        }
        restoring_ = false;
        if (saved.desk) outlooker_.keepFiles(*saved.desk);
        lookAgain();
        if (saved.batch.missing > 0) emit missingAtStart(static_cast<int>(saved.batch.missing));
        if (!saved.desk) emit keepsNothing();
    });
}

template <class Value>
void Bench::set(Value& held, const Value& wanted) {
    if (held == wanted) return;
    held = wanted;
    changed();
}

/// The name that an archive has until somebody says another: of what it is made of.
std::string Bench::archiveIn(const std::string& folder) const {
    const std::string now(name_of(asked_.job.into));
    if (traits_of(asked_.job.operation).packs && archive_format(now)) return join(folder, now);
    const auto folders = picks_.folders();
    std::string name(folders.empty() ? std::string_view() : name_of(folders.front()));
    if (picks_.count() == 1) {
        name = std::string(name_of(wholeJob().what.sources.front()));
        name.resize(extension_start(name, FileType::file));
    }
    return join(folder, (name.empty() ? "batch" : name) + ".zip");
}

void Bench::setOperation(Operation operation) {
    Job wanted = asked_.job;
    wanted.operation = operation;
    const bool packs = traits_of(operation).packs;
    if (!wanted.into.empty() && packs != traits_of(asked_.job.operation).packs)
        wanted.into = packs ? archiveIn(wanted.into) : std::string(parent_of(wanted.into));
    set(asked_.job, wanted);
}

/// Of an archive: the folder that it is to lie in.
void Bench::setDestination(const std::string& path) {
    set(asked_.job.into, traits_of(asked_.job.operation).packs ? archiveIn(path) : path);
}

void Bench::setPacking(const Job& job) {
    Job wanted = asked_.job;
    wanted.into = job.into;
    wanted.press = job.press;
    wanted.then_remove = job.then_remove;
    set(asked_.job, wanted);
}

void Bench::setStructure(const Structure& shape) { set(asked_.job.structure, shape); }
void Bench::setNewNames(const NewNames& names) { set(asked_.job.policy.new_names, names); }
void Bench::setNamesAdapted(bool adapted) { set(asked_.job.policy.adapt_names, adapted); }
void Bench::setMayLose(bool may_lose) { set(asked_.job.may_lose, may_lose); }
void Bench::setClearing(Clearing clearing) { set(asked_.job.clearing, clearing); }
void Bench::setNaming(const Naming& naming) { set(asked_.job.naming, naming); }
void Bench::setShelf(Shelf shelf) { set(asked_.job.shelf, shelf); }

namespace {
constexpr auto elsewhere_at = static_cast<std::size_t>(Finding::elsewhere);
}

void Bench::setElsewhere(std::optional<Decision> decision) {
    if (decision == elsewhere()) return;
    asked_.job.look_elsewhere = decision.has_value();
    asked_.job.policy.when[elsewhere_at] = decision;
    changed();
}

std::optional<Decision> Bench::elsewhere() const {
    if (!asked_.job.look_elsewhere) return std::nullopt;
    return asked_.job.policy.when[elsewhere_at].value_or(Decision::rename);
}

void Bench::wantFacts(bool on) {
    if (outlooker_.wantsFacts() == on) return;
    outlooker_.wantFacts(on);
    if (!on) return;
    working_ = true;
    outlooker_.ask(asked_);
}

void Bench::setCollisionRule(CollisionRule rule) {
    rule_ = rule;
    Policy policy = rule == CollisionRule::own ? asked_.own : policy_for(rule);
    policy.when[elsewhere_at] = asked_.job.policy.when[elsewhere_at];
    policy.new_names = asked_.job.policy.new_names;
    policy.adapt_names = asked_.job.policy.adapt_names;
    asked_.job.policy = std::move(policy);
    changed();
}

void Bench::runStarted() {
    setClearing(Clearing::none);
    setMayLose(false);
}

void Bench::beginAnew() {
    Instruction fresh;
    fresh.own = asked_.own;
    fresh.job.verify = asked_.job.verify;
    fresh.job.into = asked_.job.into;
    if (!fresh.job.into.empty() && traits_of(asked_.job.operation).packs)
        fresh.job.into = std::string(parent_of(fresh.job.into));
    asked_ = std::move(fresh);
    history_.clear();  // its strokes are of an instruction that has been carried out
    setCollisionRule(first_rule_);
}

void Bench::beginWith(CollisionRule rule, bool reads_back) {
    first_rule_ = rule;
    asked_.job.verify = reads_back ? Verify::read_back : Verify::automatic;
    if (picks_.empty() && rule_ != rule) return setCollisionRule(rule);
    changed();
}

void Bench::setOwnRule(const Policy& rule) {
    asked_.own = rule;
    setCollisionRule(CollisionRule::own);
}

/// A part of what is asked for that was set, to be undone and done again.
template <class Part>
class Bench::Setting final : public QUndoCommand {
public:
    Setting(const QString& words, Bench& bench, Part Instruction::*part, Part after)
        : QUndoCommand(words),
          bench_(bench),
          part_(part),
          before_(bench.asked_.*part),
          after_(std::move(after)) {}
    void undo() override { set(before_); }
    void redo() override { set(after_); }

private:
    void set(const Part& value) {
        bench_.asked_.*part_ = value;
        bench_.changed();
    }
    Bench& bench_;
    Part Instruction::*part_;
    Part before_;
    Part after_;
};

template <class Part>
void Bench::setPart(const QString& words, Part Instruction::*part, Part after) {
    history_.push(new Setting<Part>(words, *this, part, std::move(after)));
}

void Bench::decide(const std::vector<ItemId>& items, Decision decision) {
    PairDecision decided;
    if (decision != Decision::undecided)
        decided.decision = decision;
    else
        decided.decision.reset();
    decide(items, decided);
}

void Bench::decide(const std::vector<ItemId>& items, const PairDecision& decision) {
    decideEach(items.size(), [items, decision](std::size_t at) { return std::pair(items[at], decision); });
}

void Bench::decide(const std::vector<std::pair<ItemId, PairDecision>>& decisions) {
    decideEach(decisions.size(), [decisions](std::size_t at) { return decisions[at]; });
}

/// There may be a hundred thousand in a stroke: where they are planned with, they are put together.
void Bench::decideEach(std::size_t count,
                       const std::function<std::pair<ItemId, PairDecision>(std::size_t)>& decision) {
    const auto counts = [](const Item& item) { return item.collision && !item.collision->shared; };
    bool any = false;
    for (std::size_t at = 0; plan() && at < count && !any; ++at)
        any = counts(plan()->items[decision(at).first]);
    if (!any) return;
    const auto made = [counts, plan = plan(), count, decision] {
        Decisions::Stroke stroke;
        stroke.reserve(count);
        for (std::size_t at = 0; at < count; ++at) {
            auto [id, decided] = decision(at);
            const Item& item = plan->items[id];
            if (!counts(item)) continue;
            // a name that is free has nothing to be overwritten
            if (item.collision->elsewhere() && decided.decision == Decision::overwrite)
                decided.decision = Decision::rename;
            decided.pair = plan->pair(item);
            stroke.insert_or_assign(plan->source_path(item), std::move(decided));
        }
        return stroke;
    };
    Decisions after = asked_.decisions;
    after.add(count, made);
    setPart(tr("Decide"), &Instruction::decisions, std::move(after));
}

void Bench::typeName(ItemId id, const std::string& name) {
    if (!plan()) return;
    const Item& item = plan()->items[id];
    TypedNames after = asked_.typed;
    if (name.empty())
        after.erase(plan()->source_path(item));
    else
        after.insert_or_assign(plan()->source_path(item), TypedName{plan()->entry(item).status.id, name});
    if (after != asked_.typed) setPart(tr("Type a name"), &Instruction::typed, std::move(after));
}

void Bench::sayFact(const std::vector<ItemId>& items, const std::string& fact,
                    const std::optional<Fact>& value) {
    if (!plan()) return;
    FactsSaid after = asked_.said;
    for (const ItemId id : items) {
        const Entry& entry = plan()->entry(plan()->items[id]);
        if (entry.status.type == FileType::folder) continue;
        SaidFacts& said = after[plan()->source_path(plan()->items[id])];
        if (said.of != entry.status.id) said = {entry.status.id, {}};
        value ? said.facts.correct(fact, *value) : said.facts.forget(fact);
    }
    std::erase_if(after, [](const auto& one) { return one.second.facts.all().empty(); });
    if (after != asked_.said) setPart(tr("Say a fact"), &Instruction::said, std::move(after));
}

bool Bench::isTyped(ItemId id) const {
    const TypedNames& typed = asked_.typed;
    if (typed.empty() || !plan()) return false;
    const auto found = typed.find(plan()->source_path(plan()->items[id]));
    return found != typed.end() && found->second.of == plan()->entry(plan()->items[id]).status.id;
}

void Bench::lookAgain() {
    outlooker_.gatherAgain();
    changed();
}

void Bench::lookAtDestinationAgain() {
    outlooker_.lookAgain();
    changed();
}

void Bench::show(const BenchView& view, bool last) {
    outlooker_.retire(std::exchange(view_, view));
    if (last) working_ = false;
    emit viewChanged();
}

void Bench::changed() {
    if (picks_.empty()) asked_.job.what = {};  // it was about what is in hand
    working_ = true;
    emit jobChanged();
    outlooker_.ask(asked_);
}
