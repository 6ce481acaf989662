// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QObject>
#include <QTimer>
#include <cstdint>
#include <map>
#include <memory>
#include <set>
#include <string>

#include "keep/drive_turn.h"
#include "tasks/worker.h"

/// Has the turn on drives for runs of this window, as far as other programs and windows leave it; off the
/// interface's thread. Where no locks can be had, nobody waits.
class DriveKeeper final : public QObject {
    Q_OBJECT

public:
    using Run = const void*;
    explicit DriveKeeper(std::string state_folder, QObject* parent = nullptr);
    /// Asks for it, until granted() tells, or somebody gives it up.
    void want(Run run, const std::set<std::uint64_t>& drives);
    bool has(Run run) const;
    void giveUp(Run run);

signals:
    void granted();

private:
    struct Wish {
        std::set<std::uint64_t> drives;
        std::uint64_t number = 0;
        bool granted = false;
    };
    struct Turns;
    void ask(Run run);
    void askAgain();

    const std::string state_folder_;
    std::map<Run, Wish> wishes_;
    std::uint64_t number_ = 0;
    QTimer again_;
    std::shared_ptr<Turns> turns_;  ///< the worker's alone
    EachWorker worker_;
};
