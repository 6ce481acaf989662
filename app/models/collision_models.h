// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QAbstractListModel>
#include <QAbstractTableModel>
#include <QStringList>
#include <memory>
#include <vector>

#include "tasks/collisions.h"

/// The groups of collisions, one a row.
class GroupModel final : public QAbstractListModel {
    Q_OBJECT

public:
    enum Role {
        WordsRole = Qt::UserRole + 1,  ///< QString: what is largest in it
        CountRole,                     ///< QString: how many
        ChoicesRole,                   ///< QStringList: what can be decided for all
        ChosenRole,                    ///< int: which of them is decided for most; -1: none
        TakesAwayRole,                 ///< int: the choice that takes something away; -1: none
        OtherwiseRole,                 ///< QString: how many were decided otherwise, or are undecided
        WaitingRole                    ///< something in it is undecided
    };
    using QAbstractListModel::QAbstractListModel;

    void setView(std::shared_ptr<const CollisionsView> view);
    const tavlo::CollisionGroup& group(int row) const { return view_->groups[static_cast<std::size_t>(row)]; }
    int rowCount(const QModelIndex& parent = {}) const override;
    QVariant data(const QModelIndex& index, int role) const override;
    static bool isTwins(const tavlo::CollisionGroup& group) { return group.finding == tavlo::Finding::twin; }
    /// Names that are free, for bytes that are there already: they stay out, or come in.
    static bool isElsewhere(const tavlo::CollisionGroup& group) {
        return group.finding == tavlo::Finding::elsewhere;
    }
    static QStringList elsewhereChoices() { return {tr("Skip"), tr("Come in")}; }
    static constexpr int come_in = 1;

private:
    QString title(const tavlo::CollisionGroup& group) const;
    QString words(const tavlo::CollisionGroup& group) const;
    int chosen(const tavlo::CollisionGroup& group) const;

    std::shared_ptr<const CollisionsView> view_ = std::make_shared<CollisionsView>();
};

/// The pairs of one group: the two that want one name, side by side, and what is decided.
class PairModel final : public QAbstractTableModel {
    Q_OBJECT

public:
    enum Column { NameColumn, IncomingColumn, HeldColumn, WordsColumn, DecisionColumn, ColumnCount };
    enum Role {
        DecisionRole = Qt::UserRole + 1,  ///< int of tavlo::Decision
        StrongSizeRole,                   ///< of the two columns: this one is larger
        StrongDateRole,                   ///< this one is later
        SizeTextRole,
        DateTextRole,
        WaitingRole
    };
    using QAbstractTableModel::QAbstractTableModel;

    void setPairs(std::shared_ptr<const tavlo::Plan> plan, std::vector<tavlo::ItemId> items);
    const std::shared_ptr<const tavlo::Plan>& plan() const { return plan_; }
    tavlo::ItemId itemAt(int row) const {
        return row >= 0 && row < rowCount() ? items_[static_cast<std::size_t>(row)] : tavlo::no_item;
    }
    std::string sourcePath(int row) const;
    int rowOf(tavlo::ItemId id) const;  ///< -1: none
    /// The next row after `row` that is undecided, from the top again, or, backwards, the one before; -1:
    /// none.
    /// row  -1: from the first one on
    int nextUndecided(int row, bool backwards) const;

    int rowCount(const QModelIndex& parent = {}) const override;
    int columnCount(const QModelIndex& parent = {}) const override;
    QVariant data(const QModelIndex& index, int role) const override;
    QVariant headerData(int section, Qt::Orientation orientation, int role) const override;

private:
    bool isWaiting(int row) const;

    std::shared_ptr<const tavlo::Plan> plan_;
    std::vector<tavlo::ItemId> items_;
};
