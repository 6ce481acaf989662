#pragma once

#include <QObject>
#include <QString>
#include <QUndoStack>
#include <map>
#include <memory>
#include <string>
#include <unordered_set>
#include <vector>

#include "job/name_examples.h"
#include "job/prepare.h"
#include "tasks/collision_rule.h"
#include "tasks/latest_worker.h"
#include "tasks/outcome_tree.h"

/// One thing that was picked.
struct PickedRow {
    std::string folder;
    std::string name;
    tavlo::FileType type = tavlo::FileType::file;
    std::uint64_t bytes = 0;  ///< of a folder: of all files below it
    std::uint64_t files = 0;
    std::int64_t modified_ns = 0;
};

/// What is known of the batch in hand, once it has been gathered and planned.
struct BenchView {
    std::shared_ptr<const tavlo::Job> job;       ///< that the outcome is of, with its sources
    std::shared_ptr<const tavlo::Batch> batch;   ///< null while nothing was gathered
    std::shared_ptr<const OutcomeTree> outcome;  ///< null without a destination
    std::shared_ptr<const std::vector<PickedRow>> picks;
    Shares shares{};  ///< the balance; for a moment ahead of the outcome where just the rules have changed
    tavlo::Room room{};
    std::vector<QString> misses{};               ///< lines of tables of names that fit nothing
    std::vector<QString> refusals;               ///< why this may not be run
    std::uint64_t impossible_names = 0;          ///< items whose names the destination cannot hold
    std::vector<tavlo::NameExample> examples{};  ///< what the steps of new names make of some of the batch
    bool has_folders = false;                    ///< a folder is in the batch, so subfolders matter
    bool comparing = false;                      ///< pairs are still being read
};

/// The state of the main window's work: what is picked, where it goes, by which rules, what was decided; and, worked out
/// on another thread after each change, what will come of it. Knows no widget.
class Bench final : public QObject {
    Q_OBJECT

public:
    explicit Bench(std::string state_folder, QObject* parent = nullptr);

    using Names = std::vector<std::string>;

    std::size_t pickedCount() const { return picked_count_; }
    bool isPicked(const std::string& folder, const std::string& name) const;
    std::size_t pickedIn(const std::string& folder) const;
    Names sourceFolders() const;
    using ByFolder = std::map<std::string, Names>;
    // Each of these can be undone, and done again.
    void pick(const std::string& folder, Names names) { pickAll({{folder, std::move(names)}}, tr("Pick")); }
    void unpick(const std::string& folder, Names names) { unpickAll({{folder, std::move(names)}}, tr("Take out of the batch")); }
    void pickAll(ByFolder by_folder, const QString& words);
    void unpickAll(ByFolder by_folder, const QString& words);
    void unpickFolder(const std::string& folder);
    /// Takes these paths, and nothing else, in hand.
    void replacePicks(const Names& paths);
    QUndoStack& history() { return history_; }
    /// What was settled by a run leaves the batch, and so does what is no longer there; that is not undone.
    void forget(const ByFolder& by_folder);
    /// Takes up the batch and the instruction as they were when the program ended, and keeps them from now on. A bench that
    /// takes nothing up keeps nothing: of several windows the first one's work lasts.
    void restore();

    const tavlo::Job& job() const { return job_; }
    CollisionRule collisionRule() const { return rule_; }
    void setOperation(tavlo::Operation operation);
    void setDestination(const std::string& path);
    void setStructure(const tavlo::Structure& shape);
    void setCollisionRule(CollisionRule rule);
    /// The rule `own`: by finding and size.
    void setOwnRule(const tavlo::Policy& rule);
    const tavlo::Policy& ownRule() const { return own_; }
    void setNewNames(const tavlo::NewNames& names);
    void setNamesAdapted(bool adapted);
    void setMayLose(bool may_lose);  ///< attributes with their sources, in a move
    void setClearing(tavlo::Clearing clearing);
    void setNaming(const tavlo::Naming& naming);
    void setShelf(tavlo::Shelf shelf);  ///< where what is removed goes
    /// Decides single pairs of the plan that is shown; undecided takes a decision back. Each of these can be undone, and done again.
    void decide(const std::vector<tavlo::ItemId>& items, tavlo::Decision decision);
    /// The same decision, with a name or a scheme for new ones, for all of these; its pair is filled in.
    void decide(const std::vector<tavlo::ItemId>& items, const tavlo::PairDecision& decision);
    /// Different decisions in one stroke.
    void decide(const std::vector<std::pair<tavlo::ItemId, tavlo::PairDecision>>& decisions);
    /// A name for one thing of the plan that is shown, ahead of the steps; empty: the steps' own again. Can be undone, and done again.
    void typeName(tavlo::ItemId item, const std::string& name);
    bool isTyped(tavlo::ItemId item) const;
    /// Looks at everything again: after a run, or when the disk may have changed.
    void lookAgain();
    /// Only at the destination, which another program has changed.
    void lookAtDestinationAgain();

    const BenchView& view() const { return view_; }
    bool isWorking() const { return working_ || restoring_; }
    /// The batch is still being counted.
    bool isCounting() const { return working_ && gather_wanted_; }
    /// What is asked for, with every source; made for this, and as long as there are picks.
    tavlo::Job wholeJob() const;
    const tavlo::Decisions& decisions() const { return decisions_; }
    /// Why a copy of it may not begin before it is counted, in words; empty where it may.
    std::string reasonToWait() const;
    const std::shared_ptr<const tavlo::Plan>& plan() const;

signals:
    void jobChanged();               ///< at once
    void viewChanged();              ///< when the plan for it is there
    void missingAtStart(int count);  ///< of the batch as it was: no longer there

private:
    struct Known;
    /// The names are shared by all that have to do with a change: there may be a million.
    struct Change {
        std::string folder;
        std::shared_ptr<const Names> names;
        bool in;
    };
    struct Picked {
        std::unordered_set<std::string_view> names;  ///< in `storage`
        std::vector<std::shared_ptr<const Names>> storage;
    };
    class Picking;
    class Deciding;
    class Typing;
    static std::shared_ptr<const Names> shared(Names names) { return std::make_shared<const Names>(std::move(names)); }
    Change note(const Change& wanted);
    void apply(std::vector<Change> wanted, const QString& words);
    void changed(bool gather_again);
    void show(BenchView view, bool last);

    tavlo::Job job_;  ///< without its sources
    tavlo::Decisions decisions_;
    tavlo::TypedNames typed_;
    CollisionRule rule_ = CollisionRule::ask;
    tavlo::Policy own_;
    std::map<std::string, Picked> picked_;  ///< by folder
    std::size_t picked_count_ = 0;
    BenchView view_;
    bool working_ = false;
    bool gather_wanted_ = true;
    bool look_wanted_ = false;
    bool restoring_ = false;
    bool keeps_ = false;  ///< what is picked and what was asked for go into their files
    std::uint64_t generation_ = 0;
    std::shared_ptr<Known> known_;  ///< the worker's alone
    QUndoStack history_;
    LatestWorker restorer_;
    LatestWorker worker_;
};
