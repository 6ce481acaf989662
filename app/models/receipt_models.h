#pragma once

#include <QAbstractTableModel>
#include <map>
#include <memory>
#include <optional>
#include <vector>

#include "keep/receipt.h"

/// Past runs, newest first: sentence, time, what came of them.
class ReceiptsModel final : public QAbstractListModel {
    Q_OBJECT

public:
    enum Role { IdRole = Qt::UserRole + 1, WhenRole, CountsRole, StateRole };
    using QAbstractListModel::QAbstractListModel;
    void setHeads(std::shared_ptr<const std::vector<tavlo::ReceiptHead>> heads);
    const tavlo::ReceiptHead& head(int row) const { return (*heads_)[static_cast<std::size_t>(row)]; }
    int rowOf(const std::string& id) const;

    int rowCount(const QModelIndex& parent = {}) const override;
    QVariant data(const QModelIndex& index, int role) const override;

private:
    std::shared_ptr<const std::vector<tavlo::ReceiptHead>> heads_;
};

/// One past run, item by item.
class ReceiptItemsModel final : public QAbstractTableModel {
    Q_OBJECT

public:
    enum Column { NameColumn, SizeColumn, ResultColumn, WhereColumn, ColumnCount };
    enum Role { ToneRole = Qt::UserRole + 1 };
    using QAbstractTableModel::QAbstractTableModel;
    void setItems(const std::string& destination, std::shared_ptr<const std::vector<tavlo::ReceiptItem>> items);
    /// Shows these alone, by their numbers; nullopt: all.
    void setChosen(std::optional<std::vector<std::uint64_t>> numbers);
    /// Shows what came out so alone; nullopt: everything.
    void setResult(std::optional<tavlo::Outcome> result);
    /// What a check has found to differ since, by number, in words.
    void setDifferences(std::shared_ptr<const std::map<std::uint64_t, QString>> differs);

    int rowCount(const QModelIndex& parent = {}) const override;
    int columnCount(const QModelIndex& parent = {}) const override;
    QVariant data(const QModelIndex& index, int role) const override;
    QVariant headerData(int section, Qt::Orientation orientation, int role) const override;

private:
    void arrange();

    std::string destination_;
    std::shared_ptr<const std::vector<tavlo::ReceiptItem>> items_;
    std::optional<std::vector<std::uint64_t>> chosen_;
    std::optional<tavlo::Outcome> result_;
    std::shared_ptr<const std::map<std::uint64_t, QString>> differs_;
    std::vector<std::size_t> order_;
};
