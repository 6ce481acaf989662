// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/run_lane.h"

#include <algorithm>
#include <numeric>

#include "files/parallel.h"
#include "job/document.h"
#include "tasks/run_work.h"
#include "tasks/worker.h"
#include "text.h"

using namespace tavlo;

namespace {

constexpr qint64 rate_every_ms = 500;
constexpr std::size_t most_rates = 120;  // the last minute
constexpr std::size_t most_faults = 10'000;

bool needs_somebody(const ReceiptItem& item) { return item.result == Outcome::failed; }

}  // namespace

RunLogItem::RunLogItem(const ReceiptItem& item)
    : source(item.source),
      place(item.place()),
      error(item.error),
      size_bytes(item.size_bytes),
      type(item.type),
      result(item.result),
      action(item.action),
      role(item.role),
      shelf(item.shelf),
      same_bytes(item.collision && item.collision->finding == Finding::same),
      set_aside(!item.set_aside.empty()) {}

ReceiptItem RunLogItem::shown_as() const {
    ReceiptItem item;
    item.source = source;
    item.target = place;
    item.error = error;
    item.size_bytes = size_bytes;
    item.type = type;
    item.result = result;
    item.action = action;
    item.role = role;
    item.shelf = shelf;
    if (same_bytes) item.collision = ReceiptCollision{Finding::same};
    if (set_aside) item.set_aside = "Safe";
    return item;
}

RunLane::RunLane(std::string state_folder, Errand errand, std::shared_ptr<Pace> all,
                 std::shared_ptr<OwnReceipts> own, QObject* parent)
    : QObject(parent),
      state_folder_(std::move(state_folder)),
      errand_(std::move(errand)),
      pace_(std::make_shared<Pace>(std::move(all))),
      own_(std::move(own)) {
    status_.sentence = errand_.sentence;
    if (const auto* counting = errand_.as<errands::CarryOutCounting>())
        status_.destination = counting->asked.job.into;
    if (const auto* whole = errand_.as<errands::DoJob>()) status_.destination = whole->job.into;
    if (const auto* planned = errand_.as<errands::CarryOut>()) {
        status_.destination = planned->plan->destination;
        status_.all = {planned->plan->totals.items, planned->plan->totals.bytes};
    }
}

RunLane::RunLane(std::string state_folder, const ReceiptHead& head, LaneState state,
                 std::shared_ptr<Pace> all, std::shared_ptr<OwnReceipts> own, QObject* parent)
    : RunLane(std::move(state_folder), Errand{shown(head.sentence), errands::GoOn{head.id}}, std::move(all),
              std::move(own), parent) {
    status_.receipt = head.id;
    status_.destination = head.destination;
    status_.totals = head.totals;
    const auto left = head.totals.of(Outcome::planned);
    status_.all = {head.totals.items, 0};
    status_.done = {head.totals.items - std::min(head.totals.items, left), head.totals.bytes};
    status_.why = shown(head.waits_for);
    at_rest_ = state;
    tellState();
}

RunLane::~RunLane() {
    stop_.request_stop();
    pace_->release();
}

void RunLane::begin(Errand errand) {
    if (live_run_) return;
    if (thread_.joinable()) thread_.join();  // it has reported, and is through
    errand_ = std::move(errand);
    own_->add(errand_.receipt());
    live_run_ = true;
    stopping_ = false;
    paused_ = false;
    after_ = After::keep;
    status_.why.clear();
    stop_ = std::stop_source();
    pace_->hold();
    allowed_ = false;
    drives_.reset();
    const auto* planned = errand_.as<errands::CarryOut>();
    live_plan_ = planned != nullptr ? planned->plan : nullptr;
    {
        const std::scoped_lock lock(mutex_);
        live_ = {};
        live_.receipt = status_.receipt;
        live_.all = status_.all;
    }
    faults_.clear();
    emit faultsChanged();
    forecast_.begin_again();
    sampled_.invalidate();
    thread_ = std::jthread([this, errand = errand_, stop = stop_.get_token()] { work(errand, stop); });
    tellState();
}

/// On the lane's thread.
void RunLane::work(const Errand& errand, const std::stop_token& stop) {
    give_way();  // to the interface's thread
    const auto drives = drives_of(state_folder_, errand);
    later(this, [this, drives] {
        drives_ = drives;
        emit drivesKnown();
    });
    RunOptions options;
    options.sentence = errand.sentence.toStdString();
    if (errand.job) options.job = to_json(*errand.job);
    if (errand.job) options.press = errand.job->press;
    if (errand.job) options.verify = errand.job->verify;
    options.stop = stop;
    options.pace = pace_.get();
    options.pause_when_stuck = true;  // somebody is there to make room
    const auto counted = [this](const Counted& so_far) {
        const std::scoped_lock lock(mutex_);
        live_.all = {so_far.items, so_far.bytes};
        live_.still_counting = !so_far.all;
    };
    const auto settled = [this](ItemId id, Outcome outcome) {
        const std::scoped_lock lock(mutex_);
        live_.settled.emplace_back(id, outcome);
    };
    RunEnd end = carry_out_errand(state_folder_, errand, options, eventsOf(errand), counted, settled);
    std::string receipt = end.head ? end.head->id : std::string();
    if (const auto* again = errand.as<errands::TryAgain>()) receipt = again->receipt;
    if (const auto* left = errand.as<errands::LeaveFailed>()) receipt = left->receipt;
    auto faults = faults_of(state_folder_, receipt, most_faults);
    const bool is_to_go_on =
        !stop.stop_requested() || after_ == After::go_on_later;  // not asked to stop, it waits for something
    if (end.head && end.head->state == RunState::stopped && is_to_go_on)
        if (const auto store = Store::open(state_folder_)) (void)(*store)->set_paused(end.head->id, true);
    later(this, [this, end = std::move(end), faults = std::move(faults)]() mutable {
        report(std::move(end), std::move(faults));
    });
}

/// What the run says goes into live_, from where refresh() takes it.
RunEvents RunLane::eventsOf(const Errand& errand) {
    Progress before;  // of the same run, in an earlier go
    if (const auto* rest = errand.as<errands::GoOn>())
        if (const auto store = Store::open(state_folder_))
            if (const auto so_far = (*store)->so_far(rest->receipt)) before.items = so_far->first;
    RunEvents events;
    events.named = [own = own_](const std::string& receipt) { own->add(receipt); };
    events.begun = [this, before,
                    grows = errand.as<errands::CarryOutCounting>() != nullptr](const ReceiptHead& head) {
        const std::scoped_lock lock(mutex_);
        live_.receipt = head.id;
        if (grows) return;  // what is planned of it is but a part
        live_.done = before;
        live_.all = {before.items + head.totals.items, head.totals.bytes};
    };
    const auto* planned = errand.as<errands::CarryOut>();
    events.item = [this, plan = planned != nullptr && planned->continues.empty() ? planned->plan : nullptr](
                      ItemId id, const ReceiptItem& item) {
        const std::scoped_lock lock(mutex_);
        ++live_.done.items;
        live_.totals.count(item.result);
        const bool was_to_come = plan && arrives(plan->items[id].outcome);
        if (was_to_come && !arrives(item.result) && item.type == FileType::file)
            live_.bytes_missed += item.size_bytes;
        if (needs_somebody(item) && live_.faults.size() < most_faults) live_.faults.push_back(item);
        live_.log.emplace_back(item);
        if (live_.log.size() > 2 * most_logged)  // nobody has fetched them for long
            live_.log.erase(live_.log.begin(), live_.log.begin() + static_cast<std::ptrdiff_t>(most_logged));
    };
    events.bytes = [this](std::uint64_t bytes) {
        const std::scoped_lock lock(mutex_);
        live_.done.bytes += bytes;
    };
    events.archived = [this](std::uint64_t bytes) {
        const std::scoped_lock lock(mutex_);
        live_.archive_bytes = bytes;
    };
    events.at_hand = [this](const std::string& path) {
        const std::scoped_lock lock(mutex_);
        live_.at_hand = path;
    };
    return events;
}

void RunLane::allow(bool now) {
    if (!live_run_ || allowed_ == now) return;
    allowed_ = now;
    setPaused(paused_);
}

void RunLane::setPaused(bool paused) {
    paused_ = paused;
    if (allowed_ && !paused_)
        pace_->release();
    else
        pace_->hold();
    forecast_.begin_again();
    tellState();
}

void RunLane::stop(After after) {
    after_ = after;
    stopping_ = live_run_;
    stop_.request_stop();
    tellState();
}

void RunLane::limit(std::uint64_t bytes_per_second) {
    pace_->limit(bytes_per_second);
    status_.limit = bytes_per_second;
    forecast_.begin_again();
}

void RunLane::wish(RunFault::Wish wish, const std::vector<std::size_t>& faults) {
    std::vector<std::size_t> chosen = faults;
    if (chosen.empty()) {
        chosen.resize(faults_.size());
        std::iota(chosen.begin(), chosen.end(), std::size_t{0});
    }
    for (const auto at : chosen)
        if (at < faults_.size()) faults_[at].wish = wish;
    emit faultsChanged();
    if (live_run_ || at_rest_ != LaneState::done) return;  // when it is through
    std::vector<std::uint64_t> numbers;
    for (const auto at : chosen)
        if (at < faults_.size() && faults_[at].number) numbers.push_back(*faults_[at].number);
    if (numbers.empty()) return;
    if (wish == RunFault::Wish::again)
        begin({status_.sentence, errands::TryAgain{status_.receipt, std::move(numbers)}});
    else
        begin({status_.sentence, errands::LeaveFailed{status_.receipt, std::move(numbers)}});
}

void RunLane::refresh() {
    // The run's threads give way, and one that holds this may wait long for its turn: next time then.
    if (std::unique_lock lock(mutex_, std::try_to_lock); lock) takeIn(std::move(lock));
}

void RunLane::takeIn(std::unique_lock<std::mutex> lock) {
    if (!live_run_) return;
    std::vector<RunLogItem> log;
    std::vector<ReceiptItem> faults;
    std::vector<std::pair<ItemId, Outcome>> settled;
    {
        const std::unique_lock held = std::move(lock);
        status_.receipt = live_.receipt;
        status_.done = live_.done;
        status_.all = live_.all;
        status_.all.bytes -= std::min(status_.all.bytes, live_.bytes_missed);
        status_.still_counting = live_.still_counting;
        status_.archive_bytes = live_.archive_bytes;
        status_.at_hand = live_.at_hand;
        status_.totals = live_.totals;
        log.swap(live_.log);
        faults.swap(live_.faults);
        settled.swap(live_.settled);
    }
    if (!status_.still_counting)
        status_.done.bytes = std::min(status_.done.bytes, status_.all.bytes);  // read twice, it counts once
    if (!settled.empty()) emit itemsSettled(live_plan_, settled);
    if (!log.empty()) {
        const std::size_t fresh = std::min(log.size(), most_logged);
        const std::size_t all = fresh + log_.size();
        const std::size_t dropped = all > most_logged ? all - most_logged : 0;
        for (std::size_t at = log.size() - fresh; at < log.size(); ++at) log_.push_front(std::move(log[at]));
        log_.erase(log_.end() - static_cast<std::ptrdiff_t>(dropped), log_.end());
        emit logged(fresh, dropped);
    }
    if (!faults.empty()) {
        for (ReceiptItem& item : faults)
            faults_.push_back({std::nullopt, std::move(item), RunFault::Wish::none});
        emit faultsChanged();
    }
    followRate();
    tellState();
}

void RunLane::followRate() {
    const auto now = Forecast::Clock::now();
    const bool goes = allowed_ && !paused_;
    if (goes) forecast_.add(now, status_.done);
    status_.bytes_per_second = goes ? forecast_.bytes_per_second() : 0;
    status_.left = goes && !status_.still_counting ? forecast_.left(now, status_.all) : std::nullopt;
    if (!sampled_.isValid()) {
        sampled_.start();
        sampled_bytes_ = status_.done.bytes;
    }
    if (sampled_.elapsed() < rate_every_ms) return;
    const auto bytes = status_.done.bytes - std::min(status_.done.bytes, sampled_bytes_);
    const auto kept = paused_             ? RateSample::Kept::pause
                      : !allowed_         ? RateSample::Kept::other_run
                      : status_.limit > 0 ? RateSample::Kept::limit
                                          : RateSample::Kept::nothing;
    status_.rates.push_back(
        {static_cast<double>(bytes) * 1000.0 / static_cast<double>(sampled_.restart()), kept});
    if (status_.rates.size() > most_rates) status_.rates.erase(status_.rates.begin());
    sampled_bytes_ = status_.done.bytes;
}

void RunLane::setElsewhere(const Progress& done, const Progress& all) {
    status_.done = done;
    status_.all = all;
}

void RunLane::tellState() {
    status_.state = !live_run_  ? at_rest_
                    : stopping_ ? LaneState::stopping
                    : paused_   ? LaneState::paused
                    : allowed_  ? LaneState::running
                                : LaneState::waiting;
}

void RunLane::report(RunEnd end, std::vector<RunFault> faults) {
    takeIn(std::unique_lock(mutex_));  // the thread is through
    live_run_ = false;
    stopping_ = false;
    status_.left.reset();
    status_.bytes_per_second = 0;
    status_.at_hand.clear();
    if (!end.head) {
        at_rest_ = errand_.is_of_ended_run() ? LaneState::done
                   : end.waits               ? LaneState::stuck
                                             : LaneState::refused;
        status_.why = end.why;
        faults_ = std::move(faults);
    } else {
        status_.receipt = end.head->id;
        status_.totals = end.head->totals;
        status_.why = shown(end.head->waits_for);
        const bool stopped = end.head->state != RunState::done;
        at_rest_ = !stopped                       ? LaneState::done
                   : !end.head->waits_for.empty() ? LaneState::stuck
                   : after_ == After::go_on_later ? LaneState::paused
                                                  : LaneState::stopped;
        if (!stopped) status_.done = status_.all = {end.head->totals.items, end.head->totals.bytes};
        errand_ = {status_.sentence, errands::GoOn{end.head->id}};
        std::map<std::string, RunFault::Wish> wishes;
        for (const RunFault& fault : faults_)
            if (fault.wish != RunFault::Wish::none) wishes.emplace(fault.item.source, fault.wish);
        for (RunFault& fault : faults)
            if (const auto wish = wishes.find(fault.item.source); wish != wishes.end())
                fault.wish = wish->second;
        faults_ = std::move(faults);
    }
    tellState();
    emit faultsChanged();
    emit ended(end);
}
