// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "models/outcome_model.h"

#include <algorithm>
#include <iterator>
#include <utility>

#include "error_words.h"
#include "files/natural.h"
#include "files/path.h"
#include "names/names.h"
#include "text.h"
#include "wording.h"

using namespace tavlo;

void OutcomeModel::setTree(std::shared_ptr<const OutcomeTree> tree) {
    beginResetModel();
    retired_.take(std::exchange(tree_, std::move(tree)));
    plan_ = tree_ ? tree_->plan : nullptr;
    results_.clear();
    if (tree_ && tree_->tops.size() > 1)
        for (const FolderId top : tree_->tops)
            if (std::string path = tree_->standing().path(top); tops_.insert(path).second)
                open_.insert(std::move(path));
    rebuild();
    endResetModel();
    std::vector<std::string> again;  // what was read of the destination besides, in case it has changed
    for (const auto& [place, held] : existing_)
        if (open_.contains(place)) again.push_back(place);
    if (!again.empty()) emit foldersWanted(again);
}

void OutcomeModel::setList(std::shared_ptr<const PlanList> list) {
    beginResetModel();
    retired_.take(std::exchange(tree_, nullptr));
    retired_.take(std::exchange(list_, std::move(list)));
    plan_ = list_ ? list_->plan : nullptr;
    flat_ = true;
    results_.clear();
    rebuild();
    endResetModel();
}

void OutcomeModel::setFlat(bool flat) {
    beginResetModel();
    flat_ = flat;
    share_.reset();
    rebuild();
    endResetModel();
}

void OutcomeModel::setShare(std::optional<Share> share) {
    beginResetModel();
    share_ = share;
    rebuild();
    endResetModel();
}

void OutcomeModel::setNameFilter(const QString& text) {
    beginResetModel();
    names_ = NameFilter(to_bytes(text));
    rebuild();
    endResetModel();
}

std::string OutcomeModel::placeOf(const Row& row) const {
    if (row.node.folder != no_folder) return tree_->standing().path(row.node.folder);
    return row.place == no_place ? std::string() : places_[row.place];
}

void OutcomeModel::toggleFolder(int row) {
    const Row folder = line(row);
    const std::string place = tree_ ? placeOf(folder) : std::string();
    if (place.empty()) return;
    takeRows();
    if (open_.erase(place) > 0) {
        auto first = static_cast<std::size_t>(row) + 1;
        while (first < rows_.size() && (rows_[first].kind == HeldLine || rows_[first].kind == OldName))
            ++first;
        const auto at = rows_.begin() + static_cast<std::ptrdiff_t>(first);
        const auto end =
            std::find_if(at, rows_.end(), [&](const Row& below) { return below.depth <= folder.depth; });
        if (end != at) {
            beginRemoveRows({}, static_cast<int>(first), static_cast<int>(end - rows_.begin()) - 1);
            rows_.erase(at, end);
            endRemoveRows();
        }
    } else {
        open_.insert(place);
        std::vector<Row> all = std::exchange(rows_, {});
        if (folder.node.folder != no_folder)
            addFolder(folder.node.folder, folder.depth + 1);
        else
            addRowsOf(folder.place, folder.depth + 1, goes(folder));
        std::vector<Row> inside = std::exchange(rows_, std::move(all));
        insertBelow(row, std::move(inside));
        if (folder.node.folder == no_folder && !existing_.contains(place)) emit foldersWanted({place});
    }
    emit dataChanged(index(row, 0), index(row, ColumnCount - 1));
    emit openFoldersChanged();
}

void OutcomeModel::insertBelow(int row, std::vector<Row> inside) {
    if (inside.empty()) return;
    auto first = static_cast<std::size_t>(row) + 1;
    while (first < rows_.size() && (rows_[first].kind == HeldLine || rows_[first].kind == OldName)) ++first;
    beginInsertRows({}, static_cast<int>(first), static_cast<int>(first + inside.size()) - 1);
    rows_.insert(rows_.begin() + static_cast<std::ptrdiff_t>(first), std::make_move_iterator(inside.begin()),
                 std::make_move_iterator(inside.end()));
    endInsertRows();
}

void OutcomeModel::setExisting(const std::string& place, std::shared_ptr<const HeldFolder> held) {
    if (existing_.contains(place)) {  // read again: what it held may be gone
        beginResetModel();
        existing_[place] = std::move(held);
        rebuild();
        endResetModel();
        return;
    }
    existing_[place] = std::move(held);
    takeRows();
    const auto row = std::find_if(rows_.begin(), rows_.end(), [&](const Row& one) {
        return one.place != no_place && places_[one.place] == place;
    });
    if (row == rows_.end() || !open_.contains(place)) return;
    const std::uint32_t place_number = row->place;
    const int at = static_cast<int>(row - rows_.begin());
    const int depth = row->depth + 1;
    const bool with_it = goes(*row);
    std::vector<Row> all = std::exchange(rows_, {});
    addRowsOf(place_number, depth, with_it);
    std::vector<Row> inside = std::exchange(rows_, std::move(all));
    insertBelow(at, std::move(inside));
}

bool OutcomeModel::goes(const Row& row) const {
    return row.goes || (row.kind == Arriving && plan_->items[row.node.item].role == tavlo::Role::leaves);
}

std::uint32_t OutcomeModel::numberOf(std::string place) {
    places_.push_back(std::move(place));
    return static_cast<std::uint32_t>(places_.size() - 1);
}

/// What lies in a folder that nobody had listed, as far as it has been read since.
void OutcomeModel::addRowsOf(std::uint32_t place, int depth, bool goes) {
    const auto known = existing_.find(places_[place]);
    if (known == existing_.end()) return;
    std::vector<const Held*> sorted;
    for (const Held& held : known->second->things()) sorted.push_back(&held);
    std::sort(sorted.begin(), sorted.end(), [](const Held* a, const Held* b) {
        const bool a_folder = a->status.type == FileType::folder;
        if (a_folder != (b->status.type == FileType::folder)) return a_folder;
        return natural_less(a->name, b->name);
    });
    for (const Held* held : sorted) addExisting(*held, known->first, depth, goes);
}

void OutcomeModel::addExisting(const Held& held, const std::string& folder, int depth, bool goes) {
    if (held.name.front() == '.') return;
    const std::uint32_t place =
        held.status.type == FileType::folder ? numberOf(join(folder, held.name)) : no_place;
    rows_.push_back({Existing, depth, {no_item, no_folder, &held}, place, goes});
    if (isOpen(place)) addRowsOf(place, depth + 1, goes);
}

void OutcomeModel::setResults(const std::vector<std::pair<ItemId, Outcome>>& results) {
    if (!plan_) return;
    results_.resize(plan_->items.size(), Outcome::planned);
    for (const auto& [id, outcome] : results)
        if (id < results_.size()) results_[id] = outcome;
    if (rowCount() > 0) emit dataChanged(index(0, 0), index(rowCount() - 1, ColumnCount - 1));
}

ItemId OutcomeModel::itemAt(int row) const {
    return row >= 0 && row < rowCount() ? line(row).node.item : no_item;
}

int OutcomeModel::rowOfItem(ItemId item) const {
    if (is_whole_) return item < plan_->items.size() ? static_cast<int>(item) : -1;
    const auto& rows = shownRows();
    const auto found = std::find_if(rows.begin(), rows.end(), [&](const Row& row) {
        return row.node.item == item && row.kind == Arriving;
    });
    return found == rows.end() ? -1 : static_cast<int>(found - rows.begin());
}

int OutcomeModel::nextUndecided(int row) const {
    for (int step = 1; step <= rowCount(); ++step) {
        const int at = (row + step) % rowCount();
        if (line(at).kind == Arriving && index(at, 0).data(WaitingRole).toBool()) return at;
    }
    return -1;
}

void OutcomeModel::rebuild() {
    rows_.clear();
    places_.clear();
    is_whole_ = false;
    as_made_ = false;
    if (!plan_) return;
    if (!names_.empty() && tree_ && !flat_ && !share_) {
        for (const auto& nodes : tree_->folders)
            for (const OutcomeNode& node : nodes) {
                if (!names_.fits(node.item == no_item ? node.held->name
                                                      : plan_->name(plan_->items[node.item])))
                    continue;
                if (node.item == no_item)
                    rows_.push_back({Existing, 0, node});
                else
                    addItem({node.item, no_folder, nullptr}, 0);
            }
        return;
    }
    if (flat_ || share_) {
        const bool all = !share_ && names_.empty();
        is_whole_ = all && (tree_ ? tree_->single_rows : list_->single_rows);
        if (is_whole_) return;
        if (all) rows_.reserve(plan_->items.size());
        for (ItemId id = 0; id < plan_->items.size(); ++id)
            if ((!share_ || rowsOf(id).share == *share_) && names_.fits(plan_->name(plan_->items[id])))
                addItem({id, no_folder, nullptr}, 0);
        return;
    }
    if (tree_->tops.size() == 1) {
        as_made_ = open_.empty() && !tree_->first_rows.empty();
        if (!as_made_) addFolder(tree_->tops.front(), 0);
        return;
    }
    for (const FolderId top : tree_->tops) {
        rows_.push_back({Existing, 0, {no_item, top, nullptr}});
        if (open_.contains(tree_->standing().path(top))) addFolder(top, 1);
    }
}

void OutcomeModel::addFolder(FolderId folder, int depth) {
    const bool in_place = plan_->standing.has_value();
    rows_.reserve(rows_.size() + tree_->folders[folder].size() * (in_place ? 2 : 1));
    for (OutcomeNode node : tree_->folders[folder]) {
        if (node.item == no_item) {
            addExisting(*node.held, tree_->standing().path(folder), depth, false);
            continue;
        }
        if (node.folder == no_folder) {
            addItem(node, depth);
            continue;
        }
        const FolderId inside = node.folder;
        const bool is_unread = tree_->is_unread(inside);
        if (is_unread) node.folder = no_folder;
        const auto at = rows_.size();
        addItem(node, depth);
        std::string path = tree_->standing().path(inside);
        const bool is_open = open_.contains(path);
        if (is_unread) {
            rows_[at].place = numberOf(std::move(path));
            if (is_open) addRowsOf(rows_[at].place, depth + 1, goes(rows_[at]));
        } else if (is_open) {
            addFolder(inside, depth + 1);
        }
    }
}

void OutcomeModel::addItem(const OutcomeNode& node, int depth) {
    // without a tree what holds its name is not decided here
    add_rows(rows_, node, rowsOf(node.item), depth, tree_ != nullptr);
}

const ItemRows& OutcomeModel::rowsOf(ItemId id) const { return tree_ ? tree_->rows[id] : list_->rows[id]; }

/// A file's name can be typed over, and where things are renamed a folder's too.
Qt::ItemFlags OutcomeModel::flags(const QModelIndex& index) const {
    const auto flags = QAbstractTableModel::flags(index);
    if (!index.isValid() || index.column() != NameColumn || !tree_ || !results_.empty()) return flags;
    const Row row = line(index.row());
    if (row.kind != Arriving) return flags;
    const Item& item = plan_->items[row.node.item];
    const bool arrives_alone =
        item.role == tavlo::Role::arrives && plan_->entry(item).status.type != FileType::folder;
    return item.role == tavlo::Role::renamed || arrives_alone ? flags | Qt::ItemIsEditable : flags;
}

bool OutcomeModel::setData(const QModelIndex& index, const QVariant& value, int role) {
    if (role != Qt::EditRole || !flags(index).testFlag(Qt::ItemIsEditable)) return false;
    const ItemId id = line(index.row()).node.item;
    const QString name = value.toString();
    if (name != index.data(Qt::EditRole).toString()) emit nameTyped(id, name);
    return true;
}

int OutcomeModel::rowCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : static_cast<int>(lines());
}
int OutcomeModel::columnCount(const QModelIndex& parent) const { return parent.isValid() ? 0 : ColumnCount; }

std::optional<Outcome> OutcomeModel::result(ItemId id) const {
    if (id >= results_.size() || results_[id] == Outcome::planned) return std::nullopt;
    return results_[id];
}

QVariant OutcomeModel::data(const QModelIndex& index, int role) const {
    if (!checkIndex(index, CheckIndexOption::IndexIsValid)) return {};
    const Row row = line(index.row());
    switch (role) {
        case KindRole: return goes(row) ? Leaving : row.kind;
        case DepthRole: return row.depth;
        case ItemRole: return row.node.item;
        case OpenableRole:
            return (row.node.folder != no_folder || row.place != no_place) && !flat_ && !share_ &&
                   !isFiltered();
        case OpenRole: return tree_ && open_.contains(placeOf(row));
        case Qt::TextAlignmentRole:
            return QVariant::fromValue(index.column() == SizeColumn || index.column() == ChangedColumn
                                           ? Qt::AlignRight | Qt::AlignVCenter
                                           : Qt::AlignLeft | Qt::AlignVCenter);
        default: break;
    }
    switch (row.kind) {
        case Existing: return existingData(row, index.column(), role);
        case Leaving:
        case Arriving: return itemData(row, index.column(), role);
        case HeldLine: return heldData(row, index.column(), role);
        case OldName: {
            const QString name = shown(plan_->entry(plan_->items[row.node.item]).name);
            if (role == Qt::AccessibleTextRole && index.column() == NameColumn)
                return tr("its name now: %1").arg(name);
            return role == Qt::DisplayRole && index.column() == NameColumn ? name : QVariant();
        }
    }
    return {};
}

QVariant OutcomeModel::existingData(const Row& row, int column, int role) const {
    if (row.node.held == nullptr) {  // one of several folders that things lie in
        const std::string path = tree_->standing().path(row.node.folder);
        return role == Qt::DisplayRole && column == NameColumn ? short_path(path)
               : role == Qt::ToolTipRole                       ? shown(path)
                                                               : QVariant();
    }
    const Held& held = *row.node.held;
    const bool folder = held.status.type == FileType::folder;
    if (role == Qt::AccessibleTextRole && column == NameColumn)
        return tr("%1, there already").arg(shown(held.name));
    if (role != Qt::DisplayRole) return {};
    switch (column) {
        case NameColumn: return folder ? tr("%1/").arg(shown(held.name)) : shown(held.name);
        case SizeColumn:
            return held.status.type == FileType::file ? size_text(held.status.id.size_bytes) : QString();
        case ChangedColumn: return date_text(held.status.id.modified_ns);
        default: return {};
    }
}

QVariant OutcomeModel::itemData(const Row& row, int column, int role) const {
    const Item& item = plan_->items[row.node.item];
    const Status& status = plan_->entry(item).status;
    const bool waiting = item.outcome == Outcome::undecided && !result(row.node.item);
    switch (role) {
        case TagRole: return tagText(item, row.node.item);
        case ToneRole: return static_cast<int>(tone(item, row.node.item));
        case WordsRole: return wordsText(item, row.node.item);
        case WaitingRole: return waiting && item.collision && !item.collision->shared;
        case Qt::EditRole:
            return column == NameColumn ? shown(item.role == tavlo::Role::renamed ? plan_->final_name(item)
                                                                                  : plan_->name(item))
                                        : QVariant();
        case DecisionRole: return item.collision ? static_cast<int>(item.collision->decision) : -1;
        case StrongerRole:
            if (!item.collision) return true;
            if (column == SizeColumn) return status.id.size_bytes >= item.collision->held.id.size_bytes;
            return status.id.modified_ns >= item.collision->held.id.modified_ns;
        case Qt::ToolTipRole:
            if (item.problem()) return error_words(*item.problem());
            return tr("from %1\nto %2").arg(shown(plan_->source_path(item)), shown(plan_->final_path(item)));
        case Qt::AccessibleTextRole:
            if (column == NameColumn)
                return (waiting ? tr("%1, undecided: %2 %3") : tr("%1, %2 %3"))
                    .arg(shown(plan_->name(item)), tagText(item, row.node.item),
                         wordsText(item, row.node.item));
            return {};
        case Qt::DisplayRole: break;
        default: return {};
    }
    switch (column) {
        case NameColumn: {
            QString name =
                shown(item.role == tavlo::Role::renamed ? plan_->final_name(item) : plan_->name(item));
            if (flat_ || share_ || isFiltered()) {
                const QString below = shown(plan_->targets.path_in_root(item.folder));
                if (!below.isEmpty()) name = below + QStringLiteral(" / ") + name;
            }
            return status.type == FileType::folder ? name + QLatin1Char('/') : name;
        }
        case SizeColumn: return status.type == FileType::file ? size_text(status.id.size_bytes) : QString();
        case ChangedColumn: return status.id.modified_ns == 0 ? QString() : date_text(status.id.modified_ns);
        case WhatColumn: return tagText(item, row.node.item);
        default: return {};
    }
}

QVariant OutcomeModel::heldData(const Row& row, int column, int role) const {
    const Item& item = plan_->items[row.node.item];
    const FileState& held = item.collision->held;
    const Status& incoming = plan_->entry(item).status;
    switch (role) {
        case DecisionRole: return static_cast<int>(item.collision->decision);
        case WaitingRole: return item.outcome == Outcome::undecided && !result(row.node.item);
        case StrongerRole:
            return column == SizeColumn ? held.id.size_bytes > incoming.id.size_bytes
                                        : held.id.modified_ns > incoming.id.modified_ns;
        case Qt::AccessibleTextRole:
            if (column == NameColumn)
                return tr("%1 there now, %2, %3")
                    .arg(shown(plan_->name(item)), size_text(held.id.size_bytes),
                         date_text(held.id.modified_ns));
            return {};
        case Qt::DisplayRole: break;
        default: return {};
    }
    switch (column) {
        case NameColumn:
            if (item.collision->held_by_batch) return tr("also from the batch");
            switch (held.type) {
                case FileType::folder: return tr("there now, a folder");
                case FileType::link: return tr("there now, a link");
                case FileType::file:
                    return incoming.type == FileType::file ? tr("there now") : tr("there now, a file");
                case FileType::other: return tr("there now, a special file");
            }
            return {};
        case SizeColumn: return held.type == FileType::file ? size_text(held.id.size_bytes) : QString();
        case ChangedColumn: return date_text(held.id.modified_ns);
        default: return {};
    }
}

QVariant OutcomeModel::headerData(int section, Qt::Orientation orientation, int role) const {
    if (orientation != Qt::Horizontal) return {};
    if (role == Qt::TextAlignmentRole)
        return QVariant::fromValue(section == SizeColumn || section == ChangedColumn
                                       ? Qt::AlignRight | Qt::AlignVCenter
                                       : Qt::AlignLeft | Qt::AlignVCenter);
    if (role != Qt::DisplayRole) return {};
    switch (section) {
        case NameColumn: return tr("Name");
        case SizeColumn: return tr("Size");
        case ChangedColumn: return tr("Changed");
        case WhatColumn: return tr("What happens");
        default: return {};
    }
}
