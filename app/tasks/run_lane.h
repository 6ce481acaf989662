// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QElapsedTimer>
#include <QObject>
#include <QString>
#include <atomic>
#include <deque>
#include <map>
#include <memory>
#include <mutex>
#include <optional>
#include <set>
#include <stop_token>
#include <string>
#include <thread>
#include <vector>

#include "files/pace.h"
#include "keep/store.h"
#include "plan/plan.h"
#include "run/forecast.h"
#include "run/run.h"
#include "tasks/errand.h"
#include "tasks/own_receipts.h"
#include "tasks/picks.h"

/// What came of it.
struct RunEnd {
    std::optional<tavlo::ReceiptHead> head;  ///< none: it could not be carried out
    QString why;                             ///< and this is why; else what of it did not work
    bool waits = false;       ///< for a disk that is not there: it can be gone on with once it is
    bool from_batch = false;  ///< it was carried out for what was in hand: what it left stays there
    NamesByFolder settled;    ///< of what was named as a source and is settled as a whole
};

enum class LaneState {
    waiting,  ///< for another run on its drives
    running,
    paused,  ///< by somebody, or when the program was left
    stopping,
    stuck,    ///< stopped by itself: no room, a mount that has gone
    stopped,  ///< by somebody; can be gone on with
    interrupted,
    elsewhere,  ///< another program carries it out
    done,
    refused,  ///< could not begin, or not go on
};

/// Something that failed.
struct RunFault {
    std::optional<std::uint64_t> number;  ///< in the receipt; known once the run has ended
    tavlo::ReceiptItem item;
    enum class Wish { none, again, leave } wish = Wish::none;  ///< for when the run is through
};

/// What came of one item, as far as a list shows it: there are many of these in a second.
struct RunLogItem {
    explicit RunLogItem(const tavlo::ReceiptItem& item);
    tavlo::ReceiptItem shown_as() const;
    std::string source;
    std::string place;
    std::string error;
    std::uint64_t size_bytes = 0;
    tavlo::FileType type = tavlo::FileType::file;
    tavlo::Outcome result = tavlo::Outcome::planned;
    tavlo::Action action = tavlo::Action::copy;
    tavlo::Role role = tavlo::Role::arrives;
    tavlo::Shelf shelf = tavlo::Shelf::safe;
    bool same_bytes = false;
    bool set_aside = false;
};

/// How fast a run went for half a second, and what kept it from going faster.
struct RateSample {
    enum class Kept { nothing, limit, pause, other_run };
    double bytes_per_second = 0;
    Kept kept = Kept::nothing;
};

/// How a lane stands, for those who show it.
struct LaneStatus {
    LaneState state = LaneState::waiting;
    QString sentence;
    std::string receipt;  ///< empty until it is in the journal
    std::string destination;
    tavlo::Progress done;
    tavlo::Progress all;
    bool still_counting = false;
    std::uint64_t archive_bytes = 0;  ///< of one that is made, so far
    double bytes_per_second = 0;      ///< 0 while it is not known
    std::optional<std::chrono::seconds> left;
    std::string at_hand;            ///< path of the file at hand
    QString why;                    ///< of stuck, refused
    std::uint64_t limit = 0;        ///< bytes a second; 0: none
    tavlo::Totals totals;           ///< what came of it so far
    std::vector<RateSample> rates;  ///< two a second, oldest first, of the last minute
};

/// One run with its thread: carried out, held, limited, stopped, gone on with. Everything but the thread's
/// own work happens on the interface's thread, which never waits for it.
class RunLane final : public QObject {
    Q_OBJECT

public:
    RunLane(std::string state_folder, Errand errand, std::shared_ptr<tavlo::Pace> all,
            std::shared_ptr<OwnReceipts> own, QObject* parent = nullptr);
    /// One that rests, as its receipt says: interrupted, paused, or carried out by another program.
    RunLane(std::string state_folder, const tavlo::ReceiptHead& head, LaneState state,
            std::shared_ptr<tavlo::Pace> all, std::shared_ptr<OwnReceipts> own, QObject* parent = nullptr);
    ~RunLane() override;

    /// Begins with an errand; it is held until allow().
    void begin(Errand errand);
    void begin() { begin(errand_); }
    /// On the order of the lanes hangs whether it may go now.
    void allow(bool now);
    void setPaused(bool paused);
    enum class After { keep, take_back, go_on_later };
    /// Stops between two items, or inside a file, whose half goes again.
    void stop(After after);
    void limit(std::uint64_t bytes_per_second);
    /// What failed is tried again, or left: at once where the run is through, else when it is. empty: all
    void wish(RunFault::Wish wish, const std::vector<std::size_t>& faults);

    bool isAtOnce() const { return errand_.at_once; }
    /// What it does is not undone, and it is not gone on with.
    bool isForGood() const { return errand_.as<errands::RemoveForGood>() != nullptr; }
    bool isLive() const { return live_run_; }
    bool isAllowed() const { return allowed_; }
    bool isPaused() const { return paused_; }
    After after() const { return after_; }
    /// The drives it works on; nullopt while they are not known.
    const std::optional<std::set<std::uint64_t>>& drives() const { return drives_; }
    const LaneStatus& status() const { return status_; }
    /// What was done, newest first: the last `most_logged`; all of it is in the receipt.
    const std::deque<RunLogItem>& log() const { return log_; }
    const std::vector<RunFault>& faults() const { return faults_; }
    static constexpr std::size_t most_logged = 10'000;

    /// Takes in what the thread has done since the last time.
    void refresh();
    /// Of one that another program carries out.
    void setElsewhere(const tavlo::Progress& done, const tavlo::Progress& all);

signals:
    /// fresh ones now stand at the front of the log, from which as many were dropped at the end as it had too
    /// many
    void logged(std::size_t fresh, std::size_t dropped);
    void faultsChanged();
    void itemsSettled(std::shared_ptr<const tavlo::Plan> plan,
                      const std::vector<std::pair<tavlo::ItemId, tavlo::Outcome>>& items);
    void drivesKnown();
    void ended(const RunEnd& end);

private:
    /// What the thread writes, under the mutex.
    struct Live {
        std::string receipt;
        tavlo::Progress done;
        std::uint64_t archive_bytes = 0;
        std::uint64_t bytes_missed = 0;  ///< of items that failed or are undecided: planned, and not coming
        tavlo::Progress all;
        bool still_counting = false;
        std::string at_hand;
        tavlo::Totals totals;
        std::vector<RunLogItem> log;  ///< oldest first
        std::vector<tavlo::ReceiptItem> faults;
        std::vector<std::pair<tavlo::ItemId, tavlo::Outcome>> settled;
    };
    void work(const Errand& errand, const std::stop_token& stop);
    tavlo::RunEvents eventsOf(const Errand& errand);
    void takeIn(std::unique_lock<std::mutex> lock);
    void report(RunEnd end, std::vector<RunFault> faults);
    void tellState();
    void followRate();

    const std::string state_folder_;
    Errand errand_;
    LaneStatus status_;
    const std::shared_ptr<tavlo::Pace> pace_;
    const std::shared_ptr<OwnReceipts> own_;
    std::optional<std::set<std::uint64_t>> drives_;
    bool live_run_ = false;
    bool allowed_ = false;
    bool paused_ = false;
    std::atomic<After> after_ = After::keep;  ///< read by the thread at its end
    bool stopping_ = false;
    LaneState at_rest_ = LaneState::waiting;  ///< while it is not live
    std::deque<RunLogItem> log_;
    std::vector<RunFault> faults_;
    tavlo::Forecast forecast_;
    QElapsedTimer sampled_;
    std::uint64_t sampled_bytes_ = 0;
    mutable std::mutex mutex_;
    Live live_;
    std::shared_ptr<const tavlo::Plan> live_plan_;
    std::stop_source stop_;
    std::jthread thread_;  // last: it ends before what it works on
};
