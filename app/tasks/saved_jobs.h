// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QObject>
#include <QString>
#include <cstdint>
#include <memory>
#include <optional>
#include <string>
#include <vector>

#include "job/concerns.h"
#include "job/saved_job.h"
#include "keep/receipt.h"
#include "tasks/store_worker.h"

/// A saved job, with what is known of it by now.
struct KeptJob {
    std::string name;
    std::string file;
    std::shared_ptr<const tavlo::SavedJob> job{};  ///< null: its document is broken
    QString fault{};                               ///< what is wrong with it then
    std::vector<tavlo::Concern> concerns{};
    std::vector<tavlo::ReceiptHead> runs{};    ///< of its steps, newest first, the last few
    std::optional<tavlo::Schedule> runs_by{};  ///< what its units say, where it has any
    bool is_on = false;                        ///< the user's systemd has them switched on
    /// when it runs by itself next, soonest first, ns since 1970; of a calendar only
    std::vector<std::int64_t> next{};
};

/// Saved jobs: their documents, their runs so far, and when they run by themselves; read and written off the
/// interface's thread.
class SavedJobs final : public QObject {
    Q_OBJECT

public:
    explicit SavedJobs(std::string state_folder, QObject* parent = nullptr);

    void list();
    enum class IfTaken { refuse, replace };
    /// Keeps it under its name. instead_of: the name that it had before, which is given up; its units too
    void keep(const tavlo::SavedJob& job, IfTaken if_taken, const std::string& instead_of = {});
    void forget(const std::string& name);
    /// Has it run by itself; nullopt: not any more.
    void schedule(const tavlo::SavedJob& job, const std::optional<tavlo::Schedule>& schedule);
    /// When a calendar expression comes next; nextTimes() tells.
    void askNext(const std::string& expression);
    void readIn(const std::string& file);
    void writeOut(const std::string& name, const std::string& file);

signals:
    void listed(std::shared_ptr<const std::vector<KeptJob>> jobs);
    void kept(const std::string& name);
    void nameTaken(const std::string& name);
    void forgotten(const std::string& name);
    /// why_not  why it is not switched on, in words; empty: it is, or is not to be
    void scheduled(const std::string& name, const QString& why_not);
    /// why  what is wrong with it, in words; empty: nothing
    void nextTimes(const std::string& expression, const std::vector<std::int64_t>& times, const QString& why);
    void written(const QString& file);
    void failed(const QString& why);

private:
    template <class Work, class Then>
    void change(Work work, Then then);
    void sorry(const tavlo::Error& error);

    const std::string state_folder_;
    StoreWorker lists_{Worker::Serves::newest, state_folder_};
    EachWorker changes_;
    LatestWorker calendar_;
};
