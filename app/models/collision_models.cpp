// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "models/collision_models.h"

#include <algorithm>
#include <cstdlib>

#include "text.h"
#include "wording.h"

using namespace tavlo;

void GroupModel::setView(std::shared_ptr<const CollisionsView> view) {
    const bool same_rows =
        std::equal(view->groups.begin(), view->groups.end(), view_->groups.begin(), view_->groups.end(),
                   [](const auto& a, const auto& b) { return a.finding == b.finding && a.part == b.part; });
    if (same_rows) {  // whoever looks at one of them goes on doing so
        view_ = std::move(view);
        if (rowCount() > 0) emit dataChanged(index(0), index(rowCount() - 1));
        return;
    }
    beginResetModel();
    view_ = std::move(view);
    endResetModel();
}

int GroupModel::rowCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : static_cast<int>(view_->groups.size());
}

QString GroupModel::title(const CollisionGroup& group) const {
    const auto words = [&]() -> QString {
        if (!group.finding) return tr("Not compared yet");
        switch (*group.finding) {
            case Finding::same: return tr("Same bytes");
            case Finding::newer: return tr("Incoming newer");
            case Finding::older: return tr("Incoming older");
            case Finding::same_date: return tr("Same date, other bytes");
            case Finding::type: return tr("A folder and a file");
            case Finding::twin: return tr("Several of the batch, one name");
            case Finding::elsewhere: return tr("There under another name");
        }
        return {};
    }();
    switch (view_->cut) {
        case Cut::none: return words;
        case Cut::size:
            if (group.part.empty()) return words;
            return tr("%1, %2").arg(words, group.part == "0"   ? tr("smaller")
                                           : group.part == "1" ? tr("same size")
                                                               : tr("larger"));
        case Cut::folder: return tr("%1 · from %2").arg(words, short_path(group.part, 1));
        case Cut::kind:
            return tr("%1 · %2").arg(words, group.part.empty() ? tr("other kinds") : shown(group.part));
    }
    return words;
}

QString GroupModel::words(const CollisionGroup& group) const {
    if (!group.finding) return tr("being read, one after the other");
    switch (*group.finding) {
        case Finding::same: return tr("nothing would change");
        case Finding::newer: return tr("newer by up to %1").arg(duration_text(group.widest_gap_ns));
        case Finding::older:
            return tr("there now is newer by up to %1").arg(duration_text(group.widest_gap_ns));
        case Finding::same_date:
            return group.widest_bytes == 0
                       ? tr("of one size too")
                       : tr("sizes differ by up to %1")
                             .arg(size_text(static_cast<std::uint64_t>(std::abs(group.widest_bytes))));
        case Finding::type: return tr("what comes in the folder goes with it");
        case Finding::twin: return tr("which of them gets it?");
        case Finding::elsewhere: return tr("their own names are free; the bytes are there already");
    }
    return {};
}

/// What most of a group is decided for, if that is anything.
int GroupModel::chosen(const CollisionGroup& group) const {
    if (isTwins(group)) return -1;  // its choices are about who, not what
    int most = 0;
    for (int decision = 1; decision < 4; ++decision)
        if (group.decided[static_cast<std::size_t>(decision)] >
            (most == 0 ? 0 : group.decided[static_cast<std::size_t>(most)]))
            most = decision;
    return isElsewhere(group) ? std::min(most - 1, come_in) : most - 1;
}

QVariant GroupModel::data(const QModelIndex& index, int role) const {
    if (!checkIndex(index, CheckIndexOption::IndexIsValid)) return {};
    const CollisionGroup& one = group(index.row());
    const auto undecided = static_cast<int>(one.of(Decision::undecided));
    const int count = static_cast<int>(one.items.size());
    switch (role) {
        case Qt::DisplayRole: return title(one);
        case WordsRole: return words(one);
        case CountRole:
            return isTwins(one) ? tr("%Ln items", nullptr, count) : tr("%Ln pairs", nullptr, count);
        case ChoicesRole:
            return isTwins(one)       ? QStringList{tr("First"), tr("Newest"), tr("All, new names")}
                   : isElsewhere(one) ? elsewhereChoices()
                                      : decision_choices();
        case ChosenRole: return chosen(one);
        case TakesAwayRole: return isTwins(one) || isElsewhere(one) ? -1 : overwrite_choice;
        case WaitingRole: return undecided > 0;
        case OtherwiseRole: {
            const int most = chosen(one);
            if (most < 0)
                return undecided > 0 && undecided < count ? tr("%Ln open", nullptr, undecided) : QString();
            const int otherwise =
                count - undecided - static_cast<int>(one.decided[static_cast<std::size_t>(most + 1)]);
            QStringList parts;
            if (otherwise > 0) parts << tr("%Ln other", nullptr, otherwise);
            if (undecided > 0) parts << tr("%Ln open", nullptr, undecided);
            const auto to_safe = one.of(Decision::overwrite);
            if (parts.isEmpty() && to_safe == one.items.size() && one.held_bytes > 0)
                parts << tr("%1 to the Safe").arg(size_text(one.held_bytes));
            return parts.join(QStringLiteral(", "));
        }
        case Qt::AccessibleTextRole:
            return QStringList{title(one), index.data(CountRole).toString(), words(one),
                               chosen(one) >= 0 ? data(index, ChoicesRole).toStringList().value(chosen(one))
                                                : tr("undecided"),
                               index.data(OtherwiseRole).toString()}
                .join(QStringLiteral(", "));
        default: return {};
    }
}

void PairModel::setPairs(std::shared_ptr<const Plan> plan, std::vector<ItemId> items) {
    const bool same_rows = plan_ && plan && items == items_ && plan->batch == plan_->batch;
    if (same_rows) {
        plan_ = std::move(plan);
        if (rowCount() > 0) emit dataChanged(index(0, 0), index(rowCount() - 1, ColumnCount - 1));
        return;
    }
    beginResetModel();
    plan_ = std::move(plan);
    items_ = std::move(items);
    endResetModel();
}

std::string PairModel::sourcePath(int row) const {
    const ItemId id = itemAt(row);
    return id == no_item || !plan_ ? std::string() : plan_->source_path(plan_->items[id]);
}

int PairModel::rowOf(ItemId id) const {
    const auto found = std::find(items_.begin(), items_.end(), id);
    return found == items_.end() ? -1 : static_cast<int>(found - items_.begin());
}

bool PairModel::isWaiting(int row) const { return plan_->items[itemAt(row)].outcome == Outcome::undecided; }

/// There may be a hundred thousand settled ones before it.
int PairModel::nextUndecided(int row, bool backwards) const {
    const int count = rowCount();
    for (int step = 1; step <= count; ++step) {
        const int at = ((backwards ? row - step : row + step) % count + count) % count;
        if (isWaiting(at)) return at;
    }
    return -1;
}

int PairModel::rowCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : static_cast<int>(items_.size());
}
int PairModel::columnCount(const QModelIndex& parent) const { return parent.isValid() ? 0 : ColumnCount; }

QVariant PairModel::data(const QModelIndex& index, int role) const {
    if (!checkIndex(index, CheckIndexOption::IndexIsValid)) return {};
    const Item& item = plan_->items[itemAt(index.row())];
    const Status& incoming = plan_->entry(item).status;
    const FileState& held = item.collision->held;
    const bool is_held = index.column() == HeldColumn;
    const FileState& own = is_held ? held : incoming;
    const FileState& other = is_held ? incoming : held;
    switch (role) {
        case DecisionRole:
            return item.collision->elsewhere()
                       ? std::min(static_cast<int>(item.collision->decision), GroupModel::come_in + 1)
                       : static_cast<int>(item.collision->decision);
        case WaitingRole: return isWaiting(index.row());
        case StrongSizeRole:
            return own.id.size_bytes > other.id.size_bytes && own.type == FileType::file &&
                   other.type == FileType::file;
        case StrongDateRole: return own.id.modified_ns > other.id.modified_ns;
        case SizeTextRole:
            return own.type == FileType::file     ? size_text(own.id.size_bytes)
                   : own.type == FileType::folder ? tr("a folder")
                   : own.type == FileType::link   ? tr("a link")
                                                  : tr("special");
        case DateTextRole: return date_text(own.id.modified_ns);
        case Qt::ToolTipRole:
            if (index.column() == NameColumn) return shown(plan_->source_path(item));
            return index.column() == WordsColumn ? index.data() : QVariant();
        case Qt::AccessibleTextRole:
            if (index.column() == DecisionColumn) return decision_words(item.collision->decision);
            if (index.column() == IncomingColumn || is_held)
                return index.data(SizeTextRole).toString() + QStringLiteral(", ") +
                       index.data(DateTextRole).toString();
            return {};
        case Qt::DisplayRole: break;
        default: return {};
    }
    switch (index.column()) {
        case NameColumn: {
            const QString below = shown(plan_->targets.path_in_root(item.folder));
            const QString name = shown(plan_->name(item));
            return below.isEmpty() ? name : below + QStringLiteral(" / ") + name;
        }
        case WordsColumn:
            if (item.collision->finding == Finding::twin)
                return tr("from %1").arg(
                    short_path(plan_->batch->folders.path(plan_->entry(item).folder), 1));
            if (item.collision->finding == Finding::same) return tr("same bytes");
            if (item.collision->elsewhere())
                return tr("is there as %1").arg(short_path(*item.collision->elsewhere(), 2));
            if (!item.collision->finding) return tr("not compared yet");
            return difference_text(incoming, held);
        case IncomingColumn:
        case HeldColumn:
            return index.data(SizeTextRole).toString() + QStringLiteral(" · ") +
                   index.data(DateTextRole).toString();
        default: return {};
    }
}

QVariant PairModel::headerData(int section, Qt::Orientation orientation, int role) const {
    if (orientation != Qt::Horizontal) return {};
    const bool figures = section == IncomingColumn || section == HeldColumn;
    if (role == Qt::TextAlignmentRole)
        return QVariant::fromValue((figures ? Qt::AlignRight : Qt::AlignLeft) | Qt::AlignVCenter);
    if (role != Qt::DisplayRole) return {};
    switch (section) {
        case NameColumn: return tr("Name");
        case IncomingColumn: return tr("Incoming");
        case HeldColumn: return tr("There now");
        case WordsColumn: return tr("In words");
        case DecisionColumn: return tr("Decision");
        default: return {};
    }
}
