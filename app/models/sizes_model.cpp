// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "models/sizes_model.h"

#include <algorithm>
#include <utility>

#include "files/path.h"
#include "text.h"

using namespace tavlo;

void SizesModel::setWeighed(std::shared_ptr<const Weighed> weighed) {
    beginResetModel();
    retired_.take(std::exchange(weighed_, std::move(weighed)));
    choose();
    endResetModel();
}

void SizesModel::setShows(Shows shows, std::uint64_t over_bytes) {
    beginResetModel();
    shows_ = shows;
    over_bytes_ = over_bytes;
    choose();
    endResetModel();
}

void SizesModel::choose() {
    chosen_.clear();
    if (!weighed_) return;
    switch (shows_) {
        case Shows::all: break;
        case Shows::largest_files: chosen_ = weighed_->largest_files; break;
        case Shows::empty_folders: chosen_ = weighed_->empty_folders; break;
        case Shows::large_folders: chosen_ = weighed_->folders_over(over_bytes_); break;
    }
}

std::span<const std::uint32_t> SizesModel::shown(const QModelIndex& parent) const {
    if (!weighed_) return {};
    if (shows_ != Shows::all) return parent.isValid() ? std::span<const std::uint32_t>() : std::span(chosen_);
    return weighed_->inside(parent.isValid() ? static_cast<std::uint32_t>(parent.internalId()) : 0);
}

std::string SizesModel::path(const QModelIndex& index) const {
    return index.isValid() ? weighed_->path(static_cast<std::uint32_t>(index.internalId())) : std::string();
}

QModelIndex SizesModel::indexOf(const std::string& path) const {
    if (!weighed_ || shows_ != Shows::all || path == weighed_->folder || !is_within(path, weighed_->folder))
        return {};
    const QModelIndex above = indexOf(std::string(parent_of(path)));
    if (!above.isValid() && parent_of(path) != weighed_->folder) return {};
    const auto inside = shown(above);
    const auto found = std::find_if(inside.begin(), inside.end(), [&](std::uint32_t id) {
        return weighed_->things[id].name == name_of(path);
    });
    return found == inside.end() ? QModelIndex() : index(static_cast<int>(found - inside.begin()), 0, above);
}

QModelIndex SizesModel::index(int row, int column, const QModelIndex& parent) const {
    const auto inside = shown(parent);
    if (row < 0 || static_cast<std::size_t>(row) >= inside.size()) return {};
    return createIndex(row, column, static_cast<quintptr>(inside[static_cast<std::size_t>(row)]));
}

QModelIndex SizesModel::parent(const QModelIndex& index) const {
    if (!index.isValid() || shows_ != Shows::all) return {};
    const std::uint32_t above = weighed_->things[index.internalId()].parent;
    return above == 0 ? QModelIndex()
                      : createIndex(static_cast<int>(weighed_->place_in_parent[above]), 0,
                                    static_cast<quintptr>(above));
}

int SizesModel::rowCount(const QModelIndex& parent) const {
    return parent.column() > 0 ? 0 : static_cast<int>(shown(parent).size());
}

QVariant SizesModel::data(const QModelIndex& index, int role) const {
    if (!checkIndex(index, CheckIndexOption::IndexIsValid)) return {};
    const Weighed::Thing& thing = weighed_->things[index.internalId()];
    const bool is_folder = thing.type == FileType::folder;
    if (role == FolderRole) return is_folder;
    if (role == ShareRole) {
        const auto beside = shown(index.parent());
        const std::uint64_t heaviest = weighed_->things[beside.front()].bytes;
        return heaviest == 0 ? 0.0 : static_cast<double>(thing.bytes) / static_cast<double>(heaviest);
    }
    if (role == Qt::TextAlignmentRole)
        return QVariant::fromValue((index.column() == NameColumn ? Qt::AlignLeft : Qt::AlignRight) |
                                   Qt::AlignVCenter);
    if (role == Qt::ToolTipRole) return ::shown(path(index));
    if (role != Qt::DisplayRole && role != Qt::AccessibleTextRole) return {};
    switch (index.column()) {
        case NameColumn: {
            const std::string whole = path(index);  // where it stands by itself, with the way to it
            const QString name =
                shows_ == Shows::all
                    ? ::shown(thing.name)
                    : ::shown(whole.substr(weighed_->folder == "/" ? 1 : weighed_->folder.size() + 1));
            return is_folder ? name + QLatin1Char('/') : name;
        }
        case SizeColumn: return size_text(thing.bytes);
        case FilesColumn: return is_folder ? count_text(thing.files) : QString();
        case NewestColumn: return thing.newest_ns == 0 ? QString() : date_text(thing.newest_ns);
        default: return {};
    }
}

QVariant SizesModel::headerData(int section, Qt::Orientation orientation, int role) const {
    if (orientation != Qt::Horizontal) return {};
    if (role == Qt::TextAlignmentRole)
        return QVariant::fromValue((section == NameColumn ? Qt::AlignLeft : Qt::AlignRight) |
                                   Qt::AlignVCenter);
    if (role != Qt::DisplayRole) return {};
    switch (section) {
        case NameColumn: return tr("Name");
        case SizeColumn: return tr("Size");
        case FilesColumn: return tr("Files");
        case NewestColumn: return tr("Newest");
        default: return {};
    }
}
