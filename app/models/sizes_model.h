// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QAbstractItemModel>
#include <memory>
#include <vector>

#include "select/weigh.h"
#include "tasks/retirement.h"

/// What lies below a folder, by weight: as a tree, or just what stands out by something, as a list.
class SizesModel final : public QAbstractItemModel {
    Q_OBJECT

public:
    enum Column { NameColumn, SizeColumn, FilesColumn, NewestColumn, ColumnCount };
    enum Role {
        ShareRole = Qt::UserRole + 1,  ///< double from 0 to 1: of the heaviest beside it
        FolderRole                     ///< bool
    };
    /// What is shown: everything, or one of the ways of standing out.
    enum class Shows { all, largest_files, empty_folders, large_folders };

    using QAbstractItemModel::QAbstractItemModel;
    void setWeighed(std::shared_ptr<const tavlo::Weighed> weighed);
    /// over_bytes  of large_folders
    void setShows(Shows shows, std::uint64_t over_bytes);
    const std::shared_ptr<const tavlo::Weighed>& weighed() const { return weighed_; }
    std::string path(const QModelIndex& index) const;
    QModelIndex indexOf(const std::string& path) const;  ///< in the tree; invalid where it is not there

    QModelIndex index(int row, int column, const QModelIndex& parent = {}) const override;
    QModelIndex parent(const QModelIndex& index) const override;
    int rowCount(const QModelIndex& parent = {}) const override;
    int columnCount(const QModelIndex& = {}) const override { return ColumnCount; }
    bool hasChildren(const QModelIndex& parent = {}) const override { return rowCount(parent) > 0; }
    QVariant data(const QModelIndex& index, int role) const override;
    QVariant headerData(int section, Qt::Orientation orientation, int role) const override;

private:
    void choose();
    std::span<const std::uint32_t> shown(const QModelIndex& parent) const;

    std::shared_ptr<const tavlo::Weighed> weighed_;
    Shows shows_ = Shows::all;
    std::uint64_t over_bytes_ = 0;
    std::vector<std::uint32_t> chosen_;  ///< of those that stand out
    Retirement retired_;
};
