// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QObject>
#include <memory>
#include <string>
#include <vector>

#include "tasks/bench_view.h"
#include "tasks/instruction_file.h"
#include "tasks/kept_desk.h"
#include "tasks/picks.h"
#include "tasks/worker.h"

/// Works out on a thread of its own what will come of what is asked for. It remembers what it has read, so
/// that another wish costs only what it must; and it puts what is in hand, and what is asked for, into their
/// files.
class Outlooker final : public QObject {
    Q_OBJECT

public:
    explicit Outlooker(std::string state_folder, QObject* parent = nullptr);
    ~Outlooker() override;

    /// A change of what is in hand, for the next wish.
    void note(const Picks::Change& change);
    /// The newest wish counts; saw() tells.
    void ask(const Instruction& wish);
    void gatherAgain() { gather_wanted_ = true; }  ///< with the next wish
    void lookAgain() { look_wanted_ = true; }      ///< the same: at the places that things go to
    /// What is in hand and asked for is put into files there, from the next wish on.
    void keepFiles(const KeptDesk& desk);
    /// From the next wish on: what the files tell is summed up, whether the job asks or not.
    void wantFacts(bool on) { facts_wanted_ = on; }
    bool wantsFacts() const { return facts_wanted_; }
    bool isGathering() const { return gather_wanted_; }
    /// A view that is shown no more: it is large, and taken down on the other side.
    void retire(BenchView view);
    const std::string& stateFolder() const { return state_folder_; }

signals:
    /// last  nothing more will come of this wish
    void saw(const BenchView& view, bool last);

private:
    struct Known;
    class Looking;

    const std::string state_folder_;
    bool gather_wanted_ = true;
    bool look_wanted_ = false;
    bool facts_wanted_ = false;
    std::uint64_t wish_ = 0;
    std::shared_ptr<Known> known_;  ///< the worker's alone
    LatestWorker worker_;
};
