// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "models/batch_model.h"

#include <algorithm>
#include <numeric>

#include "files/natural.h"
#include "files/path.h"
#include "text.h"

using namespace tavlo;

BatchModel::BatchModel(QObject* parent)
    : QAbstractTableModel(parent), picks_(std::make_shared<PickedRows>()) {}

void BatchModel::setPicks(std::shared_ptr<const PickedRows> picks) {
    if (!picks) picks = std::make_shared<PickedRows>();
    if (picks == picks_) return;
    beginResetModel();
    picks_ = std::move(picks);
    order_.clear();
    endResetModel();
    work();
}

void BatchModel::sort(int column, Qt::SortOrder order) {
    column_ = column;
    sort_order_ = order;
    work();
}

void BatchModel::work() {
    const auto in_order = [picks = picks_, column = column_, order = sort_order_](const std::stop_token&) {
        std::vector<std::uint32_t> rows(picks->rows.size());
        std::iota(rows.begin(), rows.end(), 0U);
        std::sort(rows.begin(), rows.end(), [&](std::uint32_t a, std::uint32_t b) {
            if (order == Qt::DescendingOrder) std::swap(a, b);
            const PickedRow& x = picks->rows[a];
            const PickedRow& y = picks->rows[b];
            if (column == SizeColumn && x.bytes != y.bytes) return x.bytes < y.bytes;
            if (column == ChangedColumn && x.modified_ns != y.modified_ns)
                return x.modified_ns < y.modified_ns;
            if (column == FromColumn && x.folder != y.folder) return natural_less(x.folder, y.folder);
            return natural_less(x.name, y.name);
        });
        return rows;
    };
    worker_.ask(this, in_order, [this](std::vector<std::uint32_t> rows) {
        beginResetModel();
        order_ = std::move(rows);
        endResetModel();
    });
}

int BatchModel::rowCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : static_cast<int>(order_.size());
}
int BatchModel::columnCount(const QModelIndex& parent) const { return parent.isValid() ? 0 : ColumnCount; }

QVariant BatchModel::data(const QModelIndex& index, int role) const {
    if (!checkIndex(index, CheckIndexOption::IndexIsValid)) return {};
    const PickedRow& picked = row(index.row());
    const bool figure = index.column() == SizeColumn || index.column() == ChangedColumn;
    if (role == Qt::TextAlignmentRole)
        return QVariant::fromValue((figure ? Qt::AlignRight : Qt::AlignLeft) | Qt::AlignVCenter);
    if (role == Qt::ToolTipRole) return shown(join(picked.folder, picked.name));
    if (role != Qt::DisplayRole) return {};
    const bool is_folder = picked.type == FileType::folder;
    switch (index.column()) {
        case NameColumn: return is_folder ? shown(picked.name) + QLatin1Char('/') : shown(picked.name);
        case SizeColumn:
            return is_folder ? tr("%Ln files, %1", nullptr, static_cast<int>(picked.files))
                                   .arg(size_text(picked.bytes))
                             : size_text(picked.bytes);
        case ChangedColumn: return date_text(picked.modified_ns);
        case FromColumn: return short_path(picked.folder, 2);
        default: return {};
    }
}

QVariant BatchModel::headerData(int section, Qt::Orientation orientation, int role) const {
    if (orientation != Qt::Horizontal) return {};
    const bool figure = section == SizeColumn || section == ChangedColumn;
    if (role == Qt::TextAlignmentRole)
        return QVariant::fromValue((figure ? Qt::AlignRight : Qt::AlignLeft) | Qt::AlignVCenter);
    if (role != Qt::DisplayRole) return {};
    switch (section) {
        case NameColumn: return tr("Name");
        case SizeColumn: return tr("Size");
        case ChangedColumn: return tr("Changed");
        case FromColumn: return tr("From");
        default: return {};
    }
}
