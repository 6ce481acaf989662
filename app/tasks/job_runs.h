// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QObject>
#include <QString>
#include <map>
#include <memory>
#include <optional>
#include <string>

#include "job/course.h"
#include "keep/run_lock.h"
#include "tasks/worker.h"

class Runs;
struct RunEnd;

/// Saved jobs that are being run: step after step, each a run of its own in a lane of its own. A job runs
/// once at a time, also between programs.
class JobRuns final : public QObject {
    Q_OBJECT

public:
    JobRuns(std::string state_folder, Runs& runs, QObject* parent = nullptr);
    void run(const tavlo::SavedJob& job);
    bool isRunning(const std::string& name) const { return running_.contains(name); }

signals:
    void begun(const std::string& name);
    void ended(const std::string& name, tavlo::Ending ending);
    /// It did not begin, or a step of it could not be done.
    void problem(const std::string& name, const QString& why);

private:
    struct Running;
    void begin(std::shared_ptr<Running> running);
    void goOn(const std::shared_ptr<Running>& running);
    void write(const std::shared_ptr<Running>& running, const tavlo::Note& note);
    void takeEnd(const std::shared_ptr<Running>& running, const RunEnd& end);

    const std::string state_folder_;
    Runs& runs_;
    std::map<std::string, std::shared_ptr<Running>> running_;
    EachWorker worker_;
};
