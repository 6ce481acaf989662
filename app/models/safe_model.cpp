// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "models/safe_model.h"

#include <utility>

#include "files/path.h"
#include "text.h"

using namespace tavlo;

void SafeModel::setArrangement(std::shared_ptr<const SafeArrangement> arrangement) {
    beginResetModel();
    auto before = std::exchange(arrangement_, std::move(arrangement));
    endResetModel();
    retired_.take(std::move(before));
}

int SafeModel::rowCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : static_cast<int>(arrangement_->order.size());
}
int SafeModel::columnCount(const QModelIndex& parent) const { return parent.isValid() ? 0 : ColumnCount; }

QVariant SafeModel::data(const QModelIndex& index, int role) const {
    if (!checkIndex(index, CheckIndexOption::IndexIsValid)) return {};
    const SafeRow& one = row(index.row());
    const bool figure = index.column() == SizeColumn || index.column() == WhenColumn;
    if (role == Qt::TextAlignmentRole)
        return QVariant::fromValue((figure ? Qt::AlignRight : Qt::AlignLeft) | Qt::AlignVCenter);
    if (role == Qt::ToolTipRole)
        return index.column() == RunColumn
                   ? one.run
                   : shown(one.entry.original) + QLatin1Char('\n') +
                         (one.there ? tr("lies at %1") : tr("lies at %1, which cannot be reached now"))
                             .arg(shown(one.entry.stored));
    if (role != Qt::DisplayRole) return {};
    switch (index.column()) {
        case NameColumn: {
            const QString name = shown(name_of(one.entry.original));
            return one.entry.type == FileType::folder ? name + QLatin1Char('/') : name;
        }
        case PlaceColumn: return short_path(std::string(parent_of(one.entry.original)), 3);
        case SizeColumn:
            return one.entry.type == FileType::file ? size_text(one.entry.identity.size_bytes)
                                                    : tr("a folder");
        case WhenColumn: return date_text(one.entry.set_aside_ns);
        case RunColumn: return one.there ? one.run : tr("not mounted now · %1").arg(one.run);
        default: return {};
    }
}

QVariant SafeModel::headerData(int section, Qt::Orientation orientation, int role) const {
    if (orientation != Qt::Horizontal) return {};
    const bool figure = section == SizeColumn || section == WhenColumn;
    if (role == Qt::TextAlignmentRole)
        return QVariant::fromValue((figure ? Qt::AlignRight : Qt::AlignLeft) | Qt::AlignVCenter);
    if (role != Qt::DisplayRole) return {};
    switch (section) {
        case NameColumn: return tr("Name");
        case PlaceColumn: return tr("Place it held");
        case SizeColumn: return tr("Size");
        case WhenColumn: return tr("Set aside");
        case RunColumn: return tr("By");
        default: return {};
    }
}
