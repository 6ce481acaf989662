// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/runs.h"

#include <QPointer>
#include <algorithm>

#include "recover/recover.h"
#include "text.h"

using namespace tavlo;

namespace {

constexpr int report_ms = 100;
constexpr int others_ms = 1000;
constexpr std::size_t most_ended = 20;  // that stay on view

bool has_ended(LaneState state) {
    return state == LaneState::done || state == LaneState::refused || state == LaneState::stopped;
}

}  // namespace

Runs::Runs(std::string state_folder, QObject* parent)
    : QObject(parent), state_folder_(std::move(state_folder)) {
    timer_.setInterval(report_ms);
    connect(&timer_, &QTimer::timeout, this, &Runs::tick);
    connect(&keeper_, &DriveKeeper::granted, this, [this] {
        arrange();
        emit lanesChanged();
    });
    others_.setInterval(others_ms);
    connect(&others_, &QTimer::timeout, this, &Runs::lookForOthers);
}

Runs::~Runs() {
    for (const auto& lane : lanes_)
        if (lane->isLive()) lane->stop(lane->after());  // all at once; then each is waited for
}

RunLane& Runs::add(std::unique_ptr<RunLane> added) {
    RunLane& lane = *added;
    const auto ended = std::find_if(lanes_.begin(), lanes_.end(),
                                    [](const auto& one) { return has_ended(one->status().state); });
    lanes_.insert(ended, std::move(added));
    connect(&lane, &RunLane::drivesKnown, this, [this] {
        arrange();
        emit lanesChanged();
    });
    connect(&lane, &RunLane::itemsSettled, this, &Runs::itemsSettled);
    connect(&lane, &RunLane::ended, this, [this, &lane](const RunEnd& end) { takeEnd(lane, end); });
    return lane;
}

void Runs::begin(RunLane& lane, Errand errand) {
    lane.begin(std::move(errand));
    timer_.start();
    arrange();
    emit lanesChanged();
    emit progressed();
}

RunLane& Runs::beginInNewLane(const Errand& errand) {
    RunLane& lane = add(std::make_unique<RunLane>(state_folder_, errand, all_, own_));
    begin(lane, errand);
    return lane;
}

void Runs::startAtOnce(std::shared_ptr<const Plan> plan, const QString& sentence,
                       std::shared_ptr<const Job> job, Then then) {
    small_[&beginInNewLane({sentence, errands::CarryOut{std::move(plan)}, std::move(job), true})] =
        std::move(then);
}

void Runs::undoAtOnce(const std::string& receipt, const QString& sentence, Then then) {
    small_[&beginInNewLane({sentence, errands::TakeBack{receipt}, {}, true})] = std::move(then);
}

RunLane& Runs::removeForGood(std::shared_ptr<const std::vector<std::string>> versions,
                             const QString& sentence, Then then) {
    RunLane& lane = beginInNewLane({sentence, errands::RemoveForGood{std::move(versions)}, {}, true});
    small_[&lane] = std::move(then);
    return lane;
}

void Runs::start(std::shared_ptr<const Plan> plan, const QString& sentence, std::shared_ptr<const Job> job) {
    const std::string continues = plan->traits().comes_from_batch ? unsettled_ : std::string();
    beginInNewLane({sentence, errands::CarryOut{std::move(plan), continues}, std::move(job)});
}

void Runs::startCounting(Asked asked, const QString& sentence) {
    auto job = std::make_shared<const Job>(asked.job);
    beginInNewLane({sentence, errands::CarryOutCounting{std::move(asked)}, std::move(job)});
}

void Runs::startJob(const Job& job, const QString& sentence, Then then) {
    awaited_[&beginInNewLane({sentence, errands::DoJob{job}, std::make_shared<const Job>(job)})] =
        std::move(then);
}

void Runs::resume(const std::string& receipt, const QString& sentence) {
    RunLane* lane = laneOf(receipt);
    if (lane == nullptr) {
        ReceiptHead head;
        head.id = receipt;
        head.sentence = sentence.toStdString();
        lane = &add(std::make_unique<RunLane>(state_folder_, head, LaneState::paused, all_, own_));
    }
    goOn(*lane);
}

RunLane* Runs::laneOf(const std::string& receipt) const {
    for (const auto& lane : lanes_)
        if (!receipt.empty() && lane->status().receipt == receipt) return lane.get();
    return nullptr;
}

std::size_t Runs::place(const RunLane& lane) const {
    return static_cast<std::size_t>(
        std::find_if(lanes_.begin(), lanes_.end(), [&](const auto& one) { return one.get() == &lane; }) -
        lanes_.begin());
}

void Runs::moveTo(RunLane& lane, std::size_t to) {
    const auto from = lanes_.begin() + static_cast<std::ptrdiff_t>(place(lane));
    const auto there = lanes_.begin() + static_cast<std::ptrdiff_t>(to);
    if (from < there)
        std::rotate(from, from + 1, there + 1);
    else
        std::rotate(there, from, from + 1);
}

/// Who comes first has the drives, as soon as no other program has them. One that is paused leaves them to
/// the others; one that stops has them until it has stopped.
void Runs::arrange() {
    std::set<std::uint64_t> taken;
    for (const auto& lane : lanes_) {
        if (!lane->isLive() || (lane->isPaused() && lane->status().state != LaneState::stopping)) {
            keeper_.giveUp(lane.get());
            if (lane->isLive()) lane->allow(false);
            continue;
        }
        if (lane->isAtOnce()) {
            lane->allow(true);
            continue;
        }
        const auto& drives = lane->drives();
        const bool free = drives && std::none_of(drives->begin(), drives->end(),
                                                 [&](const auto drive) { return taken.contains(drive); });
        free ? keeper_.want(lane.get(), *drives) : keeper_.giveUp(lane.get());
        lane->allow(free && keeper_.has(lane.get()));
        if (free) taken.insert(drives->begin(), drives->end());
    }
}

void Runs::goOn(RunLane& lane) {
    std::size_t to = place(lane);
    for (std::size_t at = to + 1; at < lanes_.size(); ++at)
        if (lanes_[at]->status().state == LaneState::running) to = at;
    moveTo(lane, to);
    if (!lane.isLive()) return begin(lane, {lane.status().sentence, errands::GoOn{lane.status().receipt}});
    steer(lane, [&] { lane.setPaused(false); });
}

void Runs::putFirst(RunLane& lane) {
    steer(lane, [&] {
        moveTo(lane, 0);
        lane.setPaused(false);
    });
}

void Runs::putBehindNext(RunLane& lane) {
    steer(lane, [&] {
        const std::size_t at = place(lane);
        if (at + 1 < lanes_.size() && !has_ended(lanes_[at + 1]->status().state)) moveTo(lane, at + 1);
    });
}

void Runs::stop(RunLane& lane, RunLane::After after) {
    if (lane.isLive()) return steer(lane, [&] { lane.stop(after); });
    if (after == RunLane::After::take_back) {
        takeBack(lane);
    } else {
        noter_.post([this, receipt = lane.status().receipt](const std::stop_token&) {
            if (const auto store = Store::open(state_folder_)) (void)(*store)->set_paused(receipt, false);
        });
    }
    dismiss(&lane);
}

void Runs::takeBack(RunLane& lane) {
    beginInNewLane({tr("Undo: %1").arg(lane.status().sentence), errands::TakeBack{lane.status().receipt}});
}

void Runs::limitAll(std::uint64_t bytes_per_second) {
    all_->limit(bytes_per_second);
    emit lanesChanged();
}

void Runs::wish(RunLane& lane, RunFault::Wish wish, const std::vector<std::size_t>& faults) {
    lane.wish(wish, faults);
    if (!lane.isLive()) return;
    timer_.start();
    arrange();
    emit lanesChanged();
}

void Runs::dismiss(RunLane* wanted) {
    const auto goes = [&](const auto& lane) {
        const bool may = has_ended(lane->status().state) || (wanted != nullptr && !lane->isLive());
        return may && (wanted == nullptr || lane.get() == wanted);
    };
    std::vector<std::unique_ptr<RunLane>> gone;  // until those who show them know of it
    for (auto& lane : lanes_)
        if (goes(lane)) {
            keeper_.giveUp(lane.get());
            gone.push_back(std::move(lane));
        }
    std::erase(lanes_, nullptr);
    emit lanesChanged();
}

void Runs::pauseAllForLater() {
    for (const auto& lane : lanes_)
        if (lane->isLive()) lane->stop(RunLane::After::go_on_later);
}

bool Runs::isIdle() const {
    return std::none_of(lanes_.begin(), lanes_.end(), [](const auto& lane) {
        return lane->isLive() && lane->status().state != LaneState::paused;
    });
}

bool Runs::isLive() const {
    return std::any_of(lanes_.begin(), lanes_.end(), [](const auto& lane) { return lane->isLive(); });
}

void Runs::tick() {
    for (const auto& lane : lanes_) lane->refresh();
    if (!isLive()) timer_.stop();
    emit progressed();
}

/// Of a small run: it has nothing more to show, but for what did not work.
void Runs::tellOf(RunLane& lane, const RunEnd& end) {
    const Then then = std::move(small_.extract(&lane).mapped());
    const bool is_through = !end.head || end.head->totals.of(Outcome::failed) == 0;
    if (is_through)
        QTimer::singleShot(0, this, [this, gone = QPointer<RunLane>(&lane)] {
            if (gone) dismiss(gone);
        });
    arrange();
    emit lanesChanged();
    emit progressed();
    then(end);
}

void Runs::takeEnd(RunLane& lane, const RunEnd& end) {
    if (small_.contains(&lane)) return tellOf(lane, end);
    if (has_ended(lane.status().state)) {
        const auto first_ended = std::find_if(lanes_.begin(), lanes_.end(), [&](const auto& one) {
            return one.get() != &lane && has_ended(one->status().state);
        });
        const auto to = static_cast<std::size_t>(first_ended - lanes_.begin());
        moveTo(lane, to > place(lane) ? to - 1 : to);
        while (lanes_.size() > most_ended && has_ended(lanes_.back()->status().state) &&
               lanes_.back().get() != &lane)
            dismiss(lanes_.back().get());
    }
    arrange();
    emit lanesChanged();
    // what it left undecided stays in hand; once that is settled, the same run goes on with it
    if (end.head && end.from_batch) {
        const auto& totals = end.head->totals;
        const bool leaves_some = totals.of(Outcome::undecided) + totals.of(Outcome::failed) > 0;
        unsettled_ = leaves_some && end.head->state == RunState::done ? end.head->id : std::string();
    }
    if (end.head)
        emit finished(end);
    else
        emit failed(end.why);
    if (auto waiting = awaited_.extract(&lane)) waiting.mapped()(end);
    emit progressed();
    if (lane.status().state == LaneState::stopped && lane.after() == RunLane::After::take_back) {
        takeBack(lane);
        QTimer::singleShot(0, this,
                           [this, lane = QPointer<RunLane>(&lane)] {  // there is nothing of it to go on with
                               if (lane) dismiss(lane);
                           });
        return;
    }
    if (lane.status().state != LaneState::done) return;
    for (const auto wish :
         {RunFault::Wish::leave, RunFault::Wish::again}) {  // what was wished for while it went
        std::vector<std::size_t> wanted;
        for (std::size_t at = 0; at < lane.faults().size(); ++at)
            if (lane.faults()[at].wish == wish) wanted.push_back(at);
        if (!wanted.empty()) return this->wish(lane, wish, wanted);
    }
}

void Runs::watchOthers(bool on) {
    watching_ = on;
    if (on) lookForOthers();
}

void Runs::lookForOthers() {
    looker_.post([this](const std::stop_token&) {
        const auto store = Store::open(state_folder_);
        if (!store) return;  // the first run will say why
        auto heads = (*store)->unfinished();
        if (!heads) return;
        std::vector<Other> others;
        for (ReceiptHead& head : *heads) {
            const bool alive = (*store)->is_alive(head.id);
            if (!alive)  // by now: it may have come to its end in between
                if (const auto now = (*store)->receipt(head.id); now && now->state == RunState::done)
                    continue;
            if (!alive && head.state == RunState::stopped && !head.paused) continue;  // somebody wanted it so
            const auto so_far = (*store)->so_far(head.id);
            others.push_back(
                {std::move(head), alive, so_far.value_or(std::pair<std::uint64_t, std::uint64_t>())});
        }
        later(this, [this, found = std::move(others)] { takeOthers(found); });
    });
}

void Runs::takeOthers(const std::vector<Other>& others) {
    std::vector<ReceiptHead> to_offer;
    bool elsewhere = false;
    const auto is_among = [&](const RunLane& lane) {
        return std::any_of(others.begin(), others.end(), [&](const Other& other) {
            return other.alive && other.head.id == lane.status().receipt;
        });
    };
    std::vector<RunLane*> gone;
    for (const auto& lane : lanes_) {
        lane->refresh();  // so that its own receipt is known
        if (lane->status().state == LaneState::elsewhere && !is_among(*lane)) gone.push_back(lane.get());
    }
    for (RunLane* lane : gone) dismiss(lane);  // its receipt tells what came of it
    for (const Other& other : others) {
        if (other.alive && own_->has(other.head.id)) continue;
        RunLane* lane = laneOf(other.head.id);
        if (lane != nullptr && lane->status().state != LaneState::elsewhere) continue;
        const auto state = other.alive         ? LaneState::elsewhere
                           : other.head.paused ? LaneState::paused
                                               : LaneState::interrupted;
        if (lane == nullptr) {
            lane = &add(std::make_unique<RunLane>(state_folder_, other.head, state, all_, own_));
            if (!other.alive) to_offer.push_back(other.head);
        }
        lane->setElsewhere({other.so_far.first, 0}, {other.so_far.second, 0});
        elsewhere = elsewhere || other.alive;
    }
    if (elsewhere || watching_)
        others_.start();
    else
        others_.stop();
    if (!others.empty() || !gone.empty()) {
        emit lanesChanged();
        emit progressed();
    }
    if (!to_offer.empty()) emit interruptedFound(to_offer);
}
