// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QAbstractListModel>
#include <memory>
#include <string>
#include <vector>

#include "tasks/saved_jobs.h"

/// Saved jobs by name: what each does, how it went last, when it runs next.
class JobsModel final : public QAbstractListModel {
    Q_OBJECT

public:
    enum Role { AboutRole = Qt::UserRole + 1, LastRole, NextRole };
    using QAbstractListModel::QAbstractListModel;
    void setJobs(std::shared_ptr<const std::vector<KeptJob>> jobs);
    const KeptJob& job(int row) const { return (*jobs_)[static_cast<std::size_t>(row)]; }
    int rowOf(const std::string& name) const;

    int rowCount(const QModelIndex& parent = {}) const override;
    QVariant data(const QModelIndex& index, int role) const override;

private:
    std::shared_ptr<const std::vector<KeptJob>> jobs_ = std::make_shared<std::vector<KeptJob>>();
};

/// "last 2 May 18:00: done"; what never ran says so.
QString last_run_words(const KeptJob& job);
/// The latest run of a step that left something undecided, if that step has not run since; null: there is
/// none.
const tavlo::ReceiptHead* run_to_settle(const KeptJob& job);
/// "every working day at 18:00", and whether that is switched on; empty: only when somebody runs it.
QString when_words(const KeptJob& job);
