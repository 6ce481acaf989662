// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QAbstractTableModel>
#include <QPointer>
#include <deque>
#include <vector>

#include "tasks/run_lane.h"

/// What a run has done so far, newest first, as it goes; narrowed by a few characters of a name or place.
class RunLogModel final : public QAbstractTableModel {
    Q_OBJECT

public:
    using QAbstractTableModel::QAbstractTableModel;
    void setLane(RunLane* lane);
    void setFilter(const QString& text);

    int rowCount(const QModelIndex& parent = {}) const override;
    int columnCount(const QModelIndex& parent = {}) const override;
    QVariant data(const QModelIndex& index, int role) const override;
    QVariant headerData(int section, Qt::Orientation orientation, int role) const override;

private:
    void take(std::size_t fresh, std::size_t dropped);
    void arrange();
    bool fits(const RunLogItem& item) const;
    const RunLogItem& item(std::uint64_t serial) const {
        return lane_->log()[static_cast<std::size_t>(newest_ - serial)];
    }

    QPointer<RunLane> lane_;
    QString filter_;
    std::uint64_t newest_ = 0;        ///< serial number of the log's front
    std::deque<std::uint64_t> rows_;  ///< serial numbers of what is shown, newest first
};

/// What failed of a run.
class RunFaultsModel final : public QAbstractListModel {
    Q_OBJECT

public:
    enum Role { FolderRole = Qt::UserRole + 1, WhyRole, RemedyRole, WishRole };
    using QAbstractListModel::QAbstractListModel;
    void setLane(RunLane* lane);

    int rowCount(const QModelIndex& parent = {}) const override;
    QVariant data(const QModelIndex& index, int role) const override;

private:
    QPointer<RunLane> lane_;
    std::size_t count_ = 0;
};
