#include "tasks/runs.h"

#include <QDateTime>
#include <unordered_map>
#include <unordered_set>

#include "run/recover.h"
#include "run/settle.h"
#include "text.h"

using namespace tavlo;

namespace {
constexpr int report_ms = 100;
constexpr int rate_over_ms = 3000;

/// Named sources of which nothing is left to do: no item undecided, failed or not reached.
std::map<std::string, std::vector<std::string>> settled_sources(const Plan& plan, const std::vector<Outcome>& results) {
    std::vector<bool> open(plan.batch->entries.size());
    for (ItemId id = 0; id < plan.items.size(); ++id) {
        const bool left = results[id] == Outcome::undecided || results[id] == Outcome::failed || results[id] == Outcome::planned;
        if (plan.leaves(plan.items[id])) continue;
        for (EntryId at = plan.items[id].entry; left && at != no_entry && !open[at]; at = plan.batch->entries[at].parent) open[at] = true;
    }
    std::map<std::string, std::vector<std::string>> settled;
    for (EntryId id = 0; id < plan.batch->entries.size(); ++id) {
        const Entry& entry = plan.batch->entries[id];
        if (plan.batch->is_named(entry) && !open[id]) settled[plan.batch->folders.path(entry.folder)].push_back(entry.name);
    }
    return settled;
}
}  // namespace

Runs::Runs(std::string state_folder, QObject* parent) : QObject(parent), state_folder_(std::move(state_folder)) {
    timer_.setInterval(report_ms);
    connect(&timer_, &QTimer::timeout, this, &Runs::report);
    thread_ = std::jthread([this](const std::stop_token& end) { loop(end); });
}

Runs::~Runs() {
    thread_.request_stop();
    stop();
}

void Runs::start(std::shared_ptr<const Plan> plan, const QString& sentence, const std::string& continues) {
    add({std::move(plan), sentence, {}, continues, {}});
}

void Runs::startGrowing(const Request& request, const QString& sentence) { add({nullptr, sentence, {}, {}, request}); }

void Runs::resume(const std::string& receipt, const QString& sentence) { add({nullptr, sentence, receipt, {}, {}}); }

void Runs::lookForInterrupted() {
    looker_.post([this](const std::stop_token&) {
        const auto store = Store::open(state_folder_);
        if (!store) return;  // the first run will say why
        const auto heads = interrupted_runs(**store);
        if (!heads || heads->empty()) return;
        QMetaObject::invokeMethod(
            this, [this, found = *heads] { emit interruptedFound(found); }, Qt::QueuedConnection);
    });
}

void Runs::add(Job job) {
    ++unreported_;
    {
        const std::scoped_lock lock(mutex_);
        waiting_.push_back(std::move(job));
        wake_.notify_one();
    }
    timer_.start();
    report();
}

void Runs::stop() {
    const std::scoped_lock lock(mutex_);
    running_.request_stop();
}

void Runs::loop(const std::stop_token& end) {
    while (true) {
        Job job;
        {
            std::unique_lock lock(mutex_);
            if (!wake_.wait(lock, end, [this] { return !waiting_.empty(); })) return;
            if (end.stop_requested()) return;
            job = std::move(waiting_.front());
            waiting_.pop_front();
            running_ = std::stop_source();
            live_ = {};
            live_.sentence = job.sentence;
            live_.plan = job.plan;
        }
        carryOut(job);
    }
}

void Runs::carryOut(const Job& job) {
    const auto disk = make_disk();
    const auto sorry = [&](const Error& error) {
        QMetaObject::invokeMethod(
            this,
            [this, why = shown(describe(error))] {
                report();
                --unreported_;
                emit failed(why);
            },
            Qt::QueuedConnection);
    };
    std::vector<Outcome> results(job.plan ? job.plan->items.size() : 0, Outcome::planned);
    RunEvents events;
    events.item = [&](ItemId id, const ReceiptItem& item) {
        const std::scoped_lock lock(mutex_);
        if (job.plan) results[id] = item.result;
        ++live_.items_done;
        live_.current = item.source;
        if (job.plan) settled_.emplace_back(id, item.result);
    };
    events.bytes = [&](std::uint64_t bytes) {
        const std::scoped_lock lock(mutex_);
        live_.bytes_done += bytes;
    };
    std::stop_token stop;
    {
        const std::scoped_lock lock(mutex_);
        stop = running_.get_token();
    }
    auto store = Store::open(state_folder_);
    RunOptions options;
    options.sentence = job.sentence.toStdString();
    options.stop = stop;
    options.pause_when_stuck = true;  // somebody is there to make room
    std::optional<Settlement> settlement;
    if (store && !job.continues.empty())
        if (auto found = settlement_of(**store, job.continues, *job.plan); found && found->complete && !found->items.empty())
            settlement = std::move(*found);
    if (settlement) {  // the numbers of its items are the receipt's, not the plan's
        std::unordered_map<std::string, ItemId> by_source;
        for (ItemId id = 0; id < job.plan->items.size(); ++id) {
            by_source.emplace(job.plan->source_path(job.plan->items[id]), id);
            const Outcome planned = job.plan->items[id].outcome;
            results[id] = planned == Outcome::undecided || planned == Outcome::failed ? planned : Outcome::skipped;
        }
        events.item = [&, by_source = std::move(by_source)](ItemId, const ReceiptItem& item) {
            const std::scoped_lock lock(mutex_);
            const auto found = by_source.find(item.source);
            if (found == by_source.end()) return;
            results[found->second] = item.result;
            ++live_.items_done;
            live_.current = item.source;
            settled_.emplace_back(found->second, item.result);
        };
    }
    std::shared_ptr<const Plan> grown;
    const auto counted = [&](const Counted& so_far) {
        const std::scoped_lock lock(mutex_);
        live_.counted = so_far;
    };
    const auto go = [&]() -> Result<ReceiptHead> {
        if (!store) return failure(store.error());
        if (job.growing) return carry_out_growing(*disk, **store, *job.growing, options, events, counted, &grown);
        if (settlement) return carry_on_settled(*disk, **store, job.continues, *settlement, options, events);
        if (job.plan) return carry_out(*disk, **store, *job.plan, options, events);
        return tavlo::resume(*disk, **store, job.resumes, options, events);
    };
    auto head = go();
    if (!head) return sorry(head.error());
    std::map<std::string, std::vector<std::string>> grown_settled;
    if (grown && head->state == RunState::done) {  // what its receipt has nothing open about
        std::unordered_set<std::string> open;
        const auto read = (*store)->each_item(head->id, [&](ReceiptItem&& item) {
            if (item.result == Outcome::undecided || item.result == Outcome::failed) open.insert(item.source);
        });
        std::vector<Outcome> came(grown->items.size(), Outcome::created);
        for (ItemId id = 0; id < grown->items.size() && !open.empty(); ++id)
            if (open.contains(grown->source_path(grown->items[id]))) came[id] = Outcome::undecided;
        if (read) grown_settled = settled_sources(*grown, came);  // else all of it stays in hand
    }
    auto settled = grown                                                 ? std::move(grown_settled)
                   : !job.plan || job.plan->operation == Operation::undo ? std::map<std::string, std::vector<std::string>>()
                                                                         : settled_sources(*job.plan, results);
    QMetaObject::invokeMethod(
        this,
        [this, plan = grown ? grown : job.plan, done = *head, settled = std::move(settled)] {
            report();
            --unreported_;
            emit finished(plan, done, settled);
        },
        Qt::QueuedConnection);
}

void Runs::report() {
    if (isIdle()) {
        timer_.stop();
        rate_.clear();
        return;
    }
    std::vector<std::pair<ItemId, Outcome>> settled;
    {
        const std::scoped_lock lock(mutex_);
        const auto rate = status_.bytes_per_second;
        status_ = live_;
        status_.bytes_per_second = rate;
        status_.waiting = static_cast<int>(waiting_.size());
        settled.swap(settled_);
    }
    const auto now = QDateTime::currentMSecsSinceEpoch();
    if (!rate_.empty() && rate_.back().second > status_.bytes_done) rate_.clear();  // another run
    rate_.emplace_back(now, status_.bytes_done);
    while (rate_.front().first < now - rate_over_ms) rate_.pop_front();
    const auto span = now - rate_.front().first;
    status_.bytes_per_second =
        span < 500 ? 0 : static_cast<double>(status_.bytes_done - rate_.front().second) * 1000.0 / static_cast<double>(span);
    if (!settled.empty()) emit itemsSettled(status_.plan, settled);
    emit progressed();
}
