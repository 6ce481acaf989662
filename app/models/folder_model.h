#pragma once

#include <QAbstractTableModel>
#include <memory>
#include <string>
#include <vector>

#include "select/name_filter.h"
#include "files/file_system.h"
#include "tasks/latest_worker.h"

class Bench;

/// One folder's entries, sorted, as they were read.
struct Listing {
    struct Row {
        std::string name;
        tavlo::Status status;
    };
    std::string path;
    std::vector<Row> rows;
    std::uint64_t bytes = 0;  ///< of the files directly in it
    std::size_t folders = 0;
    QString problem;  ///< why it could not be read
};

/// The gathering side's list: one folder at a time, filtered by name, with a mark on what is in the batch. Reading,
/// sorting and filtering go on another thread; what is shown is an immutable listing and the rows of it that fit.
class FolderModel final : public QAbstractTableModel {
    Q_OBJECT

public:
    enum Column { NameColumn, SizeColumn, ChangedColumn, ColumnCount };
    enum Role { PathRole = Qt::UserRole + 1, TypeRole, PickedRole };

    explicit FolderModel(Bench& bench, QObject* parent = nullptr);

    const std::string& folder() const { return folder_; }
    void openFolder(const std::string& path);
    void refresh();
    void setFilter(const QString& text);
    void setHiddenShown(bool shown);
    void setSorting(int column, Qt::SortOrder order);

    const Listing& listing() const { return *listing_; }
    bool isLoading() const { return loading_; }
    std::string path(const QModelIndex& index) const;
    const Listing::Row& row(int row) const { return listing_->rows[visible_[static_cast<std::size_t>(row)]]; }
    /// The row of a name, or -1 where it is not shown.
    int rowOf(const std::string& name) const;

    int rowCount(const QModelIndex& parent = {}) const override;
    int columnCount(const QModelIndex& parent = {}) const override;
    QVariant data(const QModelIndex& index, int role) const override;
    QVariant headerData(int section, Qt::Orientation orientation, int role) const override;
    void sort(int column, Qt::SortOrder order) override { setSorting(column, order); }

signals:
    void loaded(bool another_folder);

private:
    void work(bool read_again);

    Bench& bench_;
    std::string folder_;
    std::string filter_;
    bool hidden_shown_ = false;
    int sort_column_ = NameColumn;
    Qt::SortOrder sort_order_ = Qt::AscendingOrder;
    bool loading_ = false;
    bool read_wanted_ = true;
    std::uint64_t generation_ = 0;
    std::shared_ptr<const Listing> listing_;
    std::vector<std::uint32_t> visible_;
    LatestWorker worker_;
};
