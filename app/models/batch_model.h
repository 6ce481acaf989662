// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QAbstractTableModel>
#include <memory>
#include <vector>

#include "tasks/bench.h"

/// What is in hand, one row for each thing that was picked: where it comes from, how large it is. Sorted on
/// another thread.
class BatchModel final : public QAbstractTableModel {
    Q_OBJECT

public:
    enum Column { NameColumn, SizeColumn, ChangedColumn, FromColumn, ColumnCount };

    explicit BatchModel(QObject* parent = nullptr);
    void setPicks(std::shared_ptr<const PickedRows> picks);
    const PickedRow& row(int row) const { return picks_->rows[order_[static_cast<std::size_t>(row)]]; }

    int rowCount(const QModelIndex& parent = {}) const override;
    int columnCount(const QModelIndex& parent = {}) const override;
    QVariant data(const QModelIndex& index, int role) const override;
    QVariant headerData(int section, Qt::Orientation orientation, int role) const override;
    void sort(int column, Qt::SortOrder order) override;

private:
    void work();

    std::shared_ptr<const PickedRows> picks_;
    std::vector<std::uint32_t> order_;
    int column_ = FromColumn;
    Qt::SortOrder sort_order_ = Qt::AscendingOrder;
    LatestWorker worker_;
};
