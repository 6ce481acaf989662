// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QObject>
#include <QString>
#include <QTimer>
#include <functional>
#include <map>
#include <memory>
#include <vector>

#include "tasks/drive_keeper.h"
#include "tasks/run_lane.h"
#include "tasks/worker.h"

/// All runs, one lane each, in the order in which they have the drives: a lane goes as soon as none before it
/// works on one of its drives, so that runs on one device queue up and runs on different ones go side by
/// side. What is put first goes first; the others wait for it.
class Runs final : public QObject {
    Q_OBJECT

public:
    explicit Runs(std::string state_folder, QObject* parent = nullptr);
    ~Runs() override;

    /// continues  the receipt of a run that left things undecided: where the plan settles just these, that
    ///            run is gone on with
    /// job  that the plan came of; null where it came of none
    void start(std::shared_ptr<const tavlo::Plan> plan, const QString& sentence,
               std::shared_ptr<const tavlo::Job> job = {});
    /// Copies while the batch is still being counted (carry_out_growing()).
    void startCounting(tavlo::Asked asked, const QString& sentence);
    using Then = std::function<void(const RunEnd&)>;
    /// A job from its sources on: gathered and planned once it has its drives.
    /// then  is told how it ended, besides finished() and failed()
    void startJob(const tavlo::Job& job, const QString& sentence, Then then);
    /// The next start from the bench goes on with this run, where it settles just what that left undecided.
    void goOnWith(const std::string& receipt) { unsettled_ = receipt; }
    /// Small ones, which wait for no other run; their lanes go once they are through, and `then` is told, not
    /// finished() or failed().
    void startAtOnce(std::shared_ptr<const tavlo::Plan> plan, const QString& sentence,
                     std::shared_ptr<const tavlo::Job> job, Then then);
    void undoAtOnce(const std::string& receipt, const QString& sentence, Then then);
    /// Versions go from the Safe for good; that waits for no run either.
    RunLane& removeForGood(std::shared_ptr<const std::vector<std::string>> versions, const QString& sentence,
                           Then then);
    /// Goes on with a run that was stopped or interrupted.
    void resume(const std::string& receipt, const QString& sentence);
    /// Looks for runs that were interrupted or paused, and for those that another program carries out;
    /// found() tells of the first.
    void lookForOthers();
    /// Does so every second, for as long as somebody looks.
    void watchOthers(bool on);

    void pause(RunLane& lane) {
        steer(lane, [&] { lane.setPaused(true); });
    }
    /// Behind what goes on by now on its drives.
    void goOn(RunLane& lane);
    void putFirst(RunLane& lane);
    /// Behind the next one that has not ended.
    void putBehindNext(RunLane& lane);
    /// One that rests is given up: what is done of it stays, or is taken back.
    void stop(RunLane& lane, RunLane::After after);
    void limitAll(std::uint64_t bytes_per_second);
    std::uint64_t limitOfAll() const { return all_->limited_to(); }
    void wish(RunLane& lane, RunFault::Wish wish, const std::vector<std::size_t>& faults);
    /// Takes lanes that have ended off the list; null: all of them.
    void dismiss(RunLane* lane);
    /// Stops every run, to be gone on with at the next start.
    void pauseAllForLater();

    const std::vector<std::unique_ptr<RunLane>>& lanes() const { return lanes_; }
    /// No run does anything, and what came of the last one has been reported. Paused ones rest.
    bool isIdle() const;
    /// Some run has a thread, be it paused.
    bool isLive() const;

signals:
    void lanesChanged();
    /// A few times a second while something goes on.
    void progressed();
    /// Items that were settled since the last time, with what came of them.
    void itemsSettled(std::shared_ptr<const tavlo::Plan> plan,
                      const std::vector<std::pair<tavlo::ItemId, tavlo::Outcome>>& items);
    void finished(const RunEnd& end);
    void failed(const QString& why);
    void interruptedFound(const std::vector<tavlo::ReceiptHead>& heads);

private:
    struct Other {
        tavlo::ReceiptHead head;
        bool alive = false;
        std::pair<std::uint64_t, std::uint64_t> so_far;
    };
    void takeBack(RunLane& lane);
    template <class Change>
    void steer(RunLane&, Change change) {
        change();
        arrange();
        emit lanesChanged();
    }
    RunLane& add(std::unique_ptr<RunLane> lane);
    void begin(RunLane& lane, Errand errand);
    RunLane& beginInNewLane(const Errand& errand);
    void arrange();
    void takeEnd(RunLane& lane, const RunEnd& end);
    void tellOf(RunLane& lane, const RunEnd& end);
    void takeOthers(const std::vector<Other>& others);
    void tick();
    std::size_t place(const RunLane& lane) const;
    void moveTo(RunLane& lane, std::size_t place);
    RunLane* laneOf(const std::string& receipt) const;

    std::string state_folder_;
    std::shared_ptr<tavlo::Pace> all_ = std::make_shared<tavlo::Pace>();
    std::shared_ptr<OwnReceipts> own_ = std::make_shared<OwnReceipts>();
    std::map<RunLane*, Then> small_;    ///< lanes of small ones, and who waits for each
    std::map<RunLane*, Then> awaited_;  ///< others that somebody waits for
    std::string unsettled_;             ///< the receipt of the last run, where it left something undecided
    std::vector<std::unique_ptr<RunLane>> lanes_;  ///< those that have ended come last, the latest first
    QTimer timer_;
    QTimer others_;  ///< while another program carries something out, or somebody looks
    bool watching_ = false;
    DriveKeeper keeper_{state_folder_};
    LatestWorker looker_;
    EachWorker noter_;
};
