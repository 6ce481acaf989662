// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "models/run_models.h"

#include "error_words.h"
#include "files/path.h"
#include "models/receipt_cells.h"
#include "text.h"
#include "views/runs/lane_words.h"

using namespace tavlo;

void RunLogModel::setLane(RunLane* lane) {
    if (lane_ == lane) return;
    if (lane_) disconnect(lane_, nullptr, this, nullptr);
    lane_ = lane;
    if (lane_) {
        connect(lane_, &RunLane::logged, this, &RunLogModel::take);
        connect(lane_, &QObject::destroyed, this, [this] { setLane(nullptr); });
    }
    arrange();
}

void RunLogModel::setFilter(const QString& text) {
    filter_ = text.trimmed();
    arrange();
}

bool RunLogModel::fits(const RunLogItem& item) const {
    return filter_.isEmpty() || shown(item.source).contains(filter_, Qt::CaseInsensitive) ||
           shown(item.place).contains(filter_, Qt::CaseInsensitive);
}

void RunLogModel::arrange() {
    beginResetModel();
    rows_.clear();
    newest_ = lane_ ? lane_->log().size() : 0;
    for (std::uint64_t serial = newest_; lane_ && serial > 0; --serial)
        if (fits(item(serial))) rows_.push_back(serial);
    endResetModel();
}

void RunLogModel::take(std::size_t fresh, std::size_t dropped) {
    newest_ += fresh;
    const std::uint64_t oldest = newest_ - lane_->log().size() + 1;
    if (dropped > 0) {
        auto last = rows_.end();
        while (last != rows_.begin() && *(last - 1) < oldest) --last;
        if (last != rows_.end()) {
            beginRemoveRows({}, static_cast<int>(last - rows_.begin()), static_cast<int>(rows_.size()) - 1);
            rows_.erase(last, rows_.end());
            endRemoveRows();
        }
    }
    std::vector<std::uint64_t> added;
    for (std::uint64_t serial = std::max(newest_ - fresh + 1, oldest); serial <= newest_; ++serial)
        if (fits(item(serial))) added.push_back(serial);
    if (added.empty()) return;
    beginInsertRows({}, 0, static_cast<int>(added.size()) - 1);
    rows_.insert(rows_.begin(), added.rbegin(), added.rend());
    endInsertRows();
}

int RunLogModel::rowCount(const QModelIndex& parent) const {
    return parent.isValid() || !lane_ ? 0 : static_cast<int>(rows_.size());
}
int RunLogModel::columnCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : ReceiptColumns::Count;
}

QVariant RunLogModel::data(const QModelIndex& index, int role) const {
    if (!checkIndex(index, CheckIndexOption::IndexIsValid) || !lane_) return {};
    if (role != Qt::DisplayRole && role != Qt::ToolTipRole && role != ReceiptColumns::ToneRole) return {};
    return receipt_cell(item(rows_[static_cast<std::size_t>(index.row())]).shown_as(), index.column(), role,
                        lane_->status().destination);
}

QVariant RunLogModel::headerData(int section, Qt::Orientation orientation, int role) const {
    return receipt_header(section, orientation, role);
}

void RunFaultsModel::setLane(RunLane* lane) {
    if (lane_ == lane) return;
    if (lane_) disconnect(lane_, nullptr, this, nullptr);
    lane_ = lane;
    const auto take = [this] {
        const std::size_t now = lane_ ? lane_->faults().size() : 0;
        if (now > count_) {
            beginInsertRows({}, static_cast<int>(count_), static_cast<int>(now) - 1);
            count_ = now;
            endInsertRows();
        } else if (now < count_) {
            beginResetModel();
            count_ = now;
            endResetModel();
        }
        if (count_ > 0) emit dataChanged(index(0), index(static_cast<int>(count_) - 1));
    };
    if (lane_) {
        connect(lane_, &RunLane::faultsChanged, this, take);
        connect(lane_, &QObject::destroyed, this, [this] { setLane(nullptr); });
    }
    take();
}

int RunFaultsModel::rowCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : static_cast<int>(count_);
}

QVariant RunFaultsModel::data(const QModelIndex& index, int role) const {
    if (!checkIndex(index, CheckIndexOption::IndexIsValid) || !lane_) return {};
    const RunFault& fault = lane_->faults()[static_cast<std::size_t>(index.row())];
    switch (role) {
        case Qt::DisplayRole: return shown(name_of(fault.item.source));
        case FolderRole: return tr("in %1").arg(short_path(std::string(parent_of(fault.item.source)), 2));
        case WhyRole: return told_words(fault.item.error);
        case RemedyRole:
            if (fault.wish == RunFault::Wish::again)
                return tr("Will be tried again when the run is through.");
            if (fault.wish == RunFault::Wish::leave) return tr("Will be left as it is.");
            return remedy_words(fault.item.fault);
        case WishRole: return static_cast<int>(fault.wish);
        case Qt::ToolTipRole: return tr("%1\n%2").arg(shown(fault.item.source), told_words(fault.item.error));
        case Qt::AccessibleTextRole:
            return tr("%1: %2. %3")
                .arg(shown(fault.item.source), told_words(fault.item.error),
                     data(index, RemedyRole).toString());
        default: return {};
    }
}
