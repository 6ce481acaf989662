// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QAbstractTableModel>
#include <deque>
#include <map>
#include <memory>
#include <optional>
#include <vector>

#include "keep/receipt.h"

/// Items of a receipt by their numbers.
using ReceiptPage = std::map<std::uint64_t, tavlo::ReceiptItem>;

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

/// One past run, item by item. Holds the rows about the ones on view alone, a page at a time; asks for others
/// as they come into view, and shows them blank until they are there.
class ReceiptItemsModel final : public QAbstractTableModel {
    Q_OBJECT

public:
    using QAbstractTableModel::QAbstractTableModel;
    /// count     of the items that are numbered from 0 on
    /// has_rest  one more stands for what was not counted (rest_number)
    void setReceipt(const std::string& id, const std::string& destination, std::uint64_t count,
                    bool has_rest);
    /// Shows these alone, by their numbers; nullopt: all.
    void setNumbers(std::optional<std::vector<std::uint64_t>> numbers);
    /// What a check has found to differ since, by number, in words.
    void setDifferences(std::shared_ptr<const std::map<std::uint64_t, QString>> differs);
    /// What an undo of some has taken back since.
    void setTakenBack(std::vector<std::uint64_t> numbers);
    void takePage(const std::string& id, std::uint64_t first, const ReceiptPage& items);
    std::uint64_t number(int row) const;
    std::string place(
        int row) const;  ///< where its thing ended up; empty: not read yet, or it did not arrive

    int rowCount(const QModelIndex& parent = {}) const override;
    int columnCount(const QModelIndex& parent = {}) const override;
    QVariant data(const QModelIndex& index, int role) const override;
    QVariant headerData(int section, Qt::Orientation orientation, int role) const override;
    static constexpr std::uint64_t page_size = 512;

signals:
    void pageWanted(const std::string& id, std::uint64_t first, std::uint64_t count) const;

private:
    std::string id_;
    std::string destination_;
    std::uint64_t count_ = 0;
    bool has_rest_ = false;
    std::optional<std::vector<std::uint64_t>> numbers_;
    std::shared_ptr<const std::map<std::uint64_t, QString>> differs_;
    std::vector<std::uint64_t> taken_back_;
    std::map<std::uint64_t, ReceiptPage> pages_;   ///< by the number of their first item
    std::deque<std::uint64_t> kept_;               ///< pages, oldest first
    mutable std::optional<std::uint64_t> wanted_;  ///< the page that was asked for and has not come yet
};
