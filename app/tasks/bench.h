// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QObject>
#include <QString>
#include <QUndoStack>
#include <functional>
#include <memory>
#include <optional>
#include <string>
#include <vector>

#include "tasks/bench_view.h"
#include "tasks/collision_rule.h"
#include "tasks/outlooker.h"
#include "tasks/picks.h"

/// The state of the main window's work: what is picked, where it goes, by which rules, what was decided; and,
/// worked out on another thread after each change (Outlooker), what will come of it. Knows no widget.
class Bench final : public QObject {
    Q_OBJECT

public:
    explicit Bench(std::string state_folder, QObject* parent = nullptr);

    using Names = Picks::Names;
    using ByFolder = Picks::ByFolder;

    const Picks& picks() const { return picks_; }
    // Each of these can be undone, and done again.
    void pick(const std::string& folder, Names names) { pickAll({{folder, std::move(names)}}, tr("Pick")); }
    void unpick(const std::string& folder, Names names) {
        unpickAll({{folder, std::move(names)}}, tr("Take out of the batch"));
    }
    /// One stroke, which can be taken back as such.
    void apply(const std::vector<Picks::Change>& wanted, const QString& words);
    void pickAll(ByFolder by_folder, const QString& words);
    void unpickAll(ByFolder by_folder, const QString& words);
    void unpickFolder(const std::string& folder);
    /// Takes these paths, and nothing else, in hand.
    void replacePicks(const Names& paths);
    /// All that is asked for, with every source, to be taken up again.
    Instruction whole() const;
    /// Takes it up as it stands: what it takes from in hand, all else as it says. Can be undone, and done
    /// again, as one stroke.
    void take(const Instruction& wanted);
    /// All that lies in what is in hand, where a job had chosen some of it.
    void takeAll();
    QUndoStack& history() { return history_; }
    /// What was settled by a run leaves the batch, and so does what is no longer there; that is not undone.
    /// Where that leaves nothing in the batch, the instruction begins anew, but for the destination.
    void forget(const NamesByFolder& by_folder);
    /// Takes up the batch and the instruction as they were when the program ended, and keeps them from now
    /// on: each window its own.
    void restore();

    const tavlo::Job& job() const { return asked_.job; }
    CollisionRule collisionRule() const { return rule_; }
    void setOperation(tavlo::Operation operation);
    void setDestination(const std::string& path);
    void setStructure(const tavlo::Structure& shape);
    void setCollisionRule(CollisionRule rule);
    /// The rule `own`: by finding and size.
    /// With nothing in hand: the rule that a batch begins with. And whether all that is written is read back.
    void beginWith(CollisionRule rule, bool reads_back);
    /// A run of this batch has started: what takes things away was said for that run alone.
    void runStarted();
    void setOwnRule(const tavlo::Policy& rule);
    const tavlo::Policy& ownRule() const { return asked_.own; }
    void setNewNames(const tavlo::NewNames& names);
    void setNamesAdapted(bool adapted);
    void setMayLose(bool may_lose);  ///< attributes with their sources, in a move
    void setClearing(tavlo::Clearing clearing);
    void setNaming(const tavlo::Naming& naming);
    /// Where the archive is to be, how hard it is pressed, and whether its sources go: those of a job that
    /// packs.
    void setPacking(const tavlo::Job& job);
    void setShelf(tavlo::Shelf shelf);  ///< where what is removed goes
    /// What is there under another name is found, and skipped, arrives all the same, or is asked about;
    /// nullopt: nobody looks.
    void setElsewhere(std::optional<tavlo::Decision> decision);
    std::optional<tavlo::Decision> elsewhere() const;
    void wantFacts(bool on);  ///< BenchView::facts is kept up
    /// Decides single pairs of the plan that is shown; undecided takes a decision back. Each of these can be
    /// undone, and done again.
    void decide(const std::vector<tavlo::ItemId>& items, tavlo::Decision decision);
    /// The same decision, with a name or a scheme for new ones, for all of these; its pair is filled in.
    void decide(const std::vector<tavlo::ItemId>& items, const tavlo::PairDecision& decision);
    /// Different decisions in one stroke.
    void decide(const std::vector<std::pair<tavlo::ItemId, tavlo::PairDecision>>& decisions);
    /// A name for one thing of the plan that is shown, ahead of the steps; empty: the steps' own again. Can
    /// be undone, and done again.
    void typeName(tavlo::ItemId item, const std::string& name);
    bool isTyped(tavlo::ItemId item) const;
    /// A fact of things of the plan that is shown, ahead of what they tell; nullopt: their own again. Can be
    /// undone, and done again.
    void sayFact(const std::vector<tavlo::ItemId>& items, const std::string& fact,
                 const std::optional<tavlo::Fact>& value);
    /// Looks at everything again: after a run, or when the disk may have changed.
    void lookAgain();
    /// Only at the destination, which another program has changed.
    void lookAtDestinationAgain();

    const BenchView& view() const { return view_; }
    bool isWorking() const { return working_ || restoring_; }
    /// The batch is still being counted.
    bool isCounting() const { return working_ && outlooker_.isGathering(); }
    /// What is asked for, with every source; made for this, and as long as there are picks.
    tavlo::Job wholeJob() const;
    const tavlo::Decisions& decisions() const { return asked_.decisions; }
    /// Why a copy of it may not begin before it is counted, in words; empty where it may.
    std::string reasonToWait() const;
    const std::shared_ptr<const tavlo::Plan>& plan() const;

signals:
    void jobChanged();               ///< at once
    void viewChanged();              ///< when the plan for it is there
    void missingAtStart(int count);  ///< of the batch as it was: no longer there
    void keepsNothing();  ///< what is in hand will be gone with the window: there is no place to keep it

private:
    using Change = Picks::Change;
    class Picking;
    class Taking;
    template <class Part>
    class Setting;
    template <class Part>
    void setPart(const QString& words, Part Instruction::*part, Part after);
    void decideEach(
        std::size_t count,
        const std::function<std::pair<tavlo::ItemId, tavlo::PairDecision>(std::size_t)>& decision);
    Change note(const Change& wanted);
    std::string archiveIn(const std::string& folder) const;
    template <class Value>
    void set(Value& held, const Value& wanted);
    void changed();
    void adopt(const Instruction& asked, CollisionRule rule);
    void beginAnew();
    void show(const BenchView& view, bool last);

    Instruction asked_;  ///< without its sources
    CollisionRule rule_ = CollisionRule::ask;
    CollisionRule first_rule_ = CollisionRule::ask;  ///< that each batch begins with
    Picks picks_;
    BenchView view_;
    bool working_ = false;
    bool restoring_ = false;
    QUndoStack history_;
    Outlooker outlooker_;
    EachWorker restorer_;
};
