// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QAbstractTableModel>
#include <memory>
#include <string>
#include <unordered_map>
#include <vector>

#include "models/listing.h"
#include "tasks/watched_folder.h"
#include "tasks/worker.h"

class Bench;

/// The gathering side's list: one folder at a time, or all that fits below it, filtered, with a mark on what
/// is in the batch. Reading, searching, sorting and filtering go on another thread; what is shown is an
/// immutable listing and the rows of it that fit. What another program changes in the folder appears by
/// itself.
class FolderModel final : public QAbstractTableModel {
    Q_OBJECT

public:
    enum Role { PathRole = Qt::UserRole + 1, TypeRole, PickedRole, CameInRole };

    explicit FolderModel(Bench& bench, QObject* parent = nullptr);
    ~FolderModel() override;

    const std::string& folder() const { return folder_; }
    void openFolder(const std::string& path);
    void refresh();
    void setCriteria(const tavlo::Criteria& criteria);
    const tavlo::Criteria& criteria() const { return order_.criteria; }
    /// Why the criteria cannot be used, as an expression that is not complete; empty where they can.
    const QString& criteriaProblem() const { return criteria_problem_; }
    void setBelow(bool below);
    bool isBelow() const { return below_; }
    void setHiddenShown(bool shown);
    /// Marks what came in with a run; null: nothing any more. And shows nothing else.
    void setArrivals(std::shared_ptr<const Arrivals> arrivals);
    void setOnlyArrivals(bool only);
    const std::shared_ptr<const Arrivals>& arrivals() const { return arrivals_; }
    void setSorting(int column, Qt::SortOrder order);

    /// Shows only those of the files that fit what is typed into the pick box; an empty text: all again. At
    /// once.
    /// returns  how many do; nullopt while the names are still being read
    std::optional<std::size_t> narrow(const QString& typed);

    const Listing& listing() const { return *listing_; }
    const std::shared_ptr<const Listing>& snapshot() const { return listing_; }
    const std::vector<std::uint32_t>& visible() const { return visible_; }  ///< rows of it, as they are shown
    const tavlo::Kinds& kinds() const { return *kinds_; }
    /// Reads them again from where a person may have changed them.
    void loadKinds();
    bool isLoading() const { return loading_; }
    std::string path(const QModelIndex& index) const { return listing_->path_of(row(index.row())); }
    const Listing::Row& row(int row) const { return listing_->rows[visible_[static_cast<std::size_t>(row)]]; }
    std::string folderOf(int row) const { return listing_->folder_of(this->row(row)); }
    /// The row of a name, or -1 where it is not shown.
    int rowOf(const std::string& name) const;
    /// The rows of these paths, as far as they are shown, in the order of the rows.
    std::vector<int> rowsOf(const std::vector<std::string>& paths);

    int rowCount(const QModelIndex& parent = {}) const override;
    int columnCount(const QModelIndex& parent = {}) const override;
    QVariant data(const QModelIndex& index, int role) const override;
    QVariant headerData(int section, Qt::Orientation orientation, int role) const override;
    void sort(int column, Qt::SortOrder order) override { setSorting(column, order); }

signals:
    void loaded(bool another_folder);
    void narrowed();
    void kindsLoaded(const QString& problem);
    void folderFactsChanged();

private:
    struct FolderSize {
        std::uint64_t files = 0;
        std::uint64_t bytes = 0;
    };
    void work(bool read_again);
    void take(std::shared_ptr<const Listing> listing, std::vector<std::uint32_t> visible, bool last);
    struct Indexed {
        tavlo::PickIndex names;
        std::vector<std::uint32_t> rows;  ///< that the index is of
    };
    struct Retired;
    void takeIndex(std::shared_ptr<const Indexed> indexed);
    void retire(std::shared_ptr<const void> large);
    void measureFolders();
    const std::vector<std::uint32_t>& find(const std::vector<std::string>& paths);
    QVariant text(const Listing::Row& row, int column) const;

    Bench& bench_;
    std::string folder_;
    ListOrder order_;
    QString criteria_problem_;
    bool below_ = false;
    bool loading_ = false;
    bool read_wanted_ = true;
    std::uint64_t generation_ = 0;
    std::shared_ptr<const Listing> listing_;
    std::shared_ptr<const tavlo::Kinds> kinds_;
    std::vector<std::uint32_t> arranged_;     ///< rows that fit the filter
    std::vector<std::uint32_t> visible_;      ///< of them, those that fit the pick box
    std::shared_ptr<const Indexed> indexed_;  ///< null while it is being made
    std::shared_ptr<Retired> retired_;
    std::shared_ptr<const Arrivals> arrivals_;
    QString typed_;
    std::vector<std::uint32_t> fitting_;
    /// What was looked for last in this listing, and where it is: the same is asked for at each key.
    std::vector<std::string> sought_;
    std::vector<std::uint32_t> found_;
    std::unordered_map<std::string, FolderSize> folder_sizes_;  ///< by path
    WatchedFolder watched_;
    LatestWorker kinds_reader_;
    LatestWorker measurer_;
    LatestWorker worker_;
};
