// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QAbstractTableModel>
#include <memory>
#include <vector>

#include "tasks/retirement.h"
#include "tasks/safe_versions.h"

/// The versions in the Safe as they were arranged elsewhere: there may be a million.
class SafeModel final : public QAbstractTableModel {
    Q_OBJECT

public:
    enum Column { NameColumn, PlaceColumn, SizeColumn, WhenColumn, RunColumn, ColumnCount };
    using QAbstractTableModel::QAbstractTableModel;

    void setArrangement(std::shared_ptr<const SafeArrangement> arrangement);
    const std::shared_ptr<const SafeArrangement>& arrangement() const { return arrangement_; }
    /// Asks for another order: sortWanted().
    void sort(int column, Qt::SortOrder order) override {
        emit sortWanted(static_cast<SafeColumn>(column), order == Qt::DescendingOrder);
    }
    const SafeRow& row(int at) const { return arrangement_->row(at); }

    int rowCount(const QModelIndex& parent = {}) const override;
    int columnCount(const QModelIndex& parent = {}) const override;
    QVariant data(const QModelIndex& index, int role) const override;
    QVariant headerData(int section, Qt::Orientation orientation, int role) const override;

signals:
    void sortWanted(SafeColumn by, bool descending);

private:
    std::shared_ptr<const SafeArrangement> arrangement_ = std::make_shared<SafeArrangement>();
    Retirement retired_;
};
