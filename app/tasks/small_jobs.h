// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QObject>
#include <deque>
#include <functional>
#include <map>
#include <memory>
#include <string>
#include <vector>

#include "job/prepare.h"
#include "tasks/picks.h"
#include "tasks/worker.h"

class QUndoStack;
class Runs;
struct RunEnd;

/// New folders, single new names and the trash, in the folder that one looks at: small jobs, each a run with
/// its receipt, that wait for no other run. Each can be undone and done again from the history, and from its
/// receipt as long as that lasts. Worked on one after the other.
class SmallJobs final : public QObject {
    Q_OBJECT

public:
    SmallJobs(std::string state_folder, Runs& runs, QUndoStack& history, QObject* parent = nullptr);
    /// names  "a", or "a/b/c", one in the other
    void newFolder(const std::string& folder, const std::string& names);
    void rename(const std::string& folder, const std::string& from, const std::string& to);
    void trash(const std::vector<std::string>& paths);

signals:
    void changed(const QString& words, const std::string& receipt);  ///< what was done, or undone
    /// Names, by folder, that stand there no more.
    void gone(const NamesByFolder& by_folder);
    void problem(const QString& why);

private:
    using Looked = std::shared_ptr<const tavlo::Result<tavlo::Outlook>>;
    class Done;
    void ask(const tavlo::Job& job, const QString& sentence);
    void begin(const tavlo::Job& job, const QString& sentence, const Looked& looked);
    void takeBack(const std::shared_ptr<std::string>& receipt, const QString& words);
    void tell(const QString& words, const RunEnd& end);
    void enqueue(std::function<void()> work);
    void next();

    const std::string state_folder_;
    Runs& runs_;
    QUndoStack& history_;
    std::deque<std::function<void()>> waiting_;  ///< each says next() when it is through
    bool busy_ = false;
    EachWorker worker_;
};
