#pragma once

#include <QObject>
#include <QString>
#include <QTimer>
#include <condition_variable>
#include <deque>
#include <map>
#include <memory>
#include <mutex>
#include <optional>
#include <stop_token>
#include <thread>
#include <vector>

#include "keep/store.h"
#include "plan/plan.h"
#include "run/growing.h"
#include "run/run.h"
#include "tasks/latest_worker.h"

/// How far a run is, in amounts.
struct RunStatus {
    QString sentence;
    std::shared_ptr<const tavlo::Plan> plan;
    std::uint64_t items_done = 0;
    std::uint64_t bytes_done = 0;
    double bytes_per_second = 0;            ///< over the last seconds; 0 while it is not known
    std::string current;                    ///< path of the item settled last
    std::optional<tavlo::Counted> counted;  ///< of a run that began before its batch was counted
    int waiting = 0;                        ///< runs behind this one
};

/// Carries plans out, one after the other, on a thread of its own; the window hears of it a few times a second.
class Runs final : public QObject {
    Q_OBJECT

public:
    explicit Runs(std::string state_folder, QObject* parent = nullptr);
    ~Runs() override;

    /// continues  the receipt of a run that left things undecided: where the plan settles just these, that run is gone on with
    void start(std::shared_ptr<const tavlo::Plan> plan, const QString& sentence, const std::string& continues = {});
    /// Copies while the batch is still being counted (carry_out_growing()).
    void startGrowing(const tavlo::Request& request, const QString& sentence);
    /// Goes on with a run that was stopped or interrupted.
    void resume(const std::string& receipt, const QString& sentence);
    /// Looks for runs that were interrupted; found() tells.
    void lookForInterrupted();
    /// Stops the run that is going on between two items; what is done stays done.
    void stop();
    /// Nothing goes on, nothing waits, and what came of the last run has been reported.
    bool isIdle() const { return unreported_ == 0; }
    const RunStatus& status() const { return status_; }

signals:
    void progressed();
    /// Items that were settled since the last time, with what came of them.
    void itemsSettled(std::shared_ptr<const tavlo::Plan> plan, const std::vector<std::pair<tavlo::ItemId, tavlo::Outcome>>& items);
    /// plan     null where a run was gone on with
    /// settled  the names, by folder, of what was named as a source and is settled as a whole
    void finished(std::shared_ptr<const tavlo::Plan> plan, const tavlo::ReceiptHead& head,
                  const std::map<std::string, std::vector<std::string>>& settled);
    void failed(const QString& why);
    void interruptedFound(const std::vector<tavlo::ReceiptHead>& heads);

private:
    struct Job {
        std::shared_ptr<const tavlo::Plan> plan;  ///< null where a run is gone on with
        QString sentence;
        std::string resumes{};
        std::string continues{};
        std::optional<tavlo::Request> growing{};
    };
    void add(Job job);
    void loop(const std::stop_token& end);
    void carryOut(const Job& job);
    void report();

    std::string state_folder_;
    mutable std::mutex mutex_;
    std::condition_variable_any wake_;
    std::deque<Job> waiting_;
    std::stop_source running_;
    int unreported_ = 0;  ///< runs that were started and not reported on; the interface's thread's
    RunStatus live_;      ///< written by the thread, under the mutex
    std::vector<std::pair<tavlo::ItemId, tavlo::Outcome>> settled_;
    RunStatus status_;
    QTimer timer_;
    std::deque<std::pair<qint64, std::uint64_t>> rate_;  ///< ms, bytes
    LatestWorker looker_;
    std::jthread thread_;
};
