#pragma once

#include <QAbstractTableModel>
#include <memory>
#include <vector>

#include "tasks/safe_versions.h"

/// The versions in the Safe that fit a line of words, sorted.
class SafeModel final : public QAbstractTableModel {
    Q_OBJECT

public:
    enum Column { NameColumn, PlaceColumn, SizeColumn, WhenColumn, RunColumn, ColumnCount };
    using QAbstractTableModel::QAbstractTableModel;

    void setListing(std::shared_ptr<const SafeListing> listing);
    void setFilter(const QString& text);
    void sort(int column, Qt::SortOrder order) override;
    const SafeRow& row(int at) const { return listing_->rows[order_[static_cast<std::size_t>(at)]]; }
    int rowOf(const std::string& entry) const;

    int rowCount(const QModelIndex& parent = {}) const override;
    int columnCount(const QModelIndex& parent = {}) const override;
    QVariant data(const QModelIndex& index, int role) const override;
    QVariant headerData(int section, Qt::Orientation orientation, int role) const override;

private:
    void arrange();

    std::shared_ptr<const SafeListing> listing_ = std::make_shared<SafeListing>();
    std::vector<std::size_t> order_;
    QString filter_;
    int column_ = WhenColumn;
    Qt::SortOrder direction_ = Qt::DescendingOrder;
};
