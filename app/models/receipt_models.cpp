// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "models/receipt_models.h"

#include <QCoreApplication>
#include <QStringList>
#include <algorithm>

#include "keep/journal.h"
#include "models/receipt_cells.h"
#include "text.h"
#include "wording.h"

using namespace tavlo;

namespace {

struct ReceiptWords {
    Q_DECLARE_TR_FUNCTIONS(Receipts)
};

QString counts(const ReceiptHead& head) {
    QStringList parts;
    for (const auto outcome :
         {Outcome::created, Outcome::overwritten, Outcome::renamed, Outcome::restored, Outcome::removed,
          Outcome::merged, Outcome::skipped, Outcome::undecided, Outcome::failed}) {
        if (head.totals.of(outcome) > 0)
            parts << count_text(head.totals.of(outcome)) + QLatin1Char(' ') +
                         result_words(outcome, head.operation);
    }
    return parts.isEmpty() ? ReceiptWords::tr("nothing was done") : parts.join(QStringLiteral(" · "));
}

constexpr std::size_t most_pages = 64;

}  // namespace

void ReceiptsModel::setHeads(std::shared_ptr<const std::vector<ReceiptHead>> heads) {
    beginResetModel();
    heads_ = std::move(heads);
    endResetModel();
}

int ReceiptsModel::rowOf(const std::string& id) const {
    for (int row = 0; row < rowCount(); ++row)
        if (head(row).id == id) return row;
    return -1;
}

int ReceiptsModel::rowCount(const QModelIndex& parent) const {
    return parent.isValid() || !heads_ ? 0 : static_cast<int>(heads_->size());
}

QVariant ReceiptsModel::data(const QModelIndex& index, int role) const {
    if (!checkIndex(index, CheckIndexOption::IndexIsValid)) return {};
    const ReceiptHead& head = this->head(index.row());
    switch (role) {
        case Qt::DisplayRole: return receipt_title(head);
        case Qt::ToolTipRole: return receipt_title(head);
        case Qt::AccessibleTextRole:
            return tr("%1, %2, %3").arg(receipt_title(head), date_text(head.started_ns), counts(head));
        case IdRole: return QString::fromStdString(head.id);
        case WhenRole: return date_text(head.started_ns);
        case CountsRole: return counts(head);
        case StateRole: return receipt_state(head);
        default: return {};
    }
}

void ReceiptItemsModel::setReceipt(const std::string& id, const std::string& destination, std::uint64_t count,
                                   bool has_rest) {
    beginResetModel();
    id_ = id;
    destination_ = destination;
    count_ = count;
    has_rest_ = has_rest;
    numbers_.reset();
    differs_.reset();
    taken_back_.clear();
    pages_.clear();
    kept_.clear();
    wanted_.reset();
    endResetModel();
}

void ReceiptItemsModel::setNumbers(std::optional<std::vector<std::uint64_t>> numbers) {
    beginResetModel();
    numbers_ = std::move(numbers);
    endResetModel();
}

void ReceiptItemsModel::setDifferences(std::shared_ptr<const std::map<std::uint64_t, QString>> differs) {
    differs_ = std::move(differs);
    std::vector<std::uint64_t> numbers;
    for (const auto& [number, words] : *differs_) numbers.push_back(number);
    setNumbers(numbers.empty() ? std::nullopt : std::optional(std::move(numbers)));
}

void ReceiptItemsModel::setTakenBack(std::vector<std::uint64_t> numbers) {
    taken_back_ = std::move(numbers);
    if (rowCount() > 0) emit dataChanged(index(0, 0), index(rowCount() - 1, ReceiptColumns::Count - 1));
}

void ReceiptItemsModel::takePage(const std::string& id, std::uint64_t first, const ReceiptPage& items) {
    if (id != id_) return;
    wanted_.reset();
    if (pages_.insert_or_assign(first, items).second) kept_.push_back(first);
    if (kept_.size() > most_pages) {
        pages_.erase(kept_.front());
        kept_.pop_front();
    }
    if (rowCount() > 0) emit dataChanged(index(0, 0), index(rowCount() - 1, ReceiptColumns::Count - 1));
}

std::uint64_t ReceiptItemsModel::number(int row) const {
    const auto at = static_cast<std::uint64_t>(row);
    if (numbers_) return (*numbers_)[at];
    return at < count_ ? at : rest_number;
}

std::string ReceiptItemsModel::place(int row) const {
    const std::uint64_t number = this->number(row);
    const auto page = pages_.find(number - number % page_size);
    if (page == pages_.end()) return {};
    const auto item = page->second.find(number);
    const bool arrived = item != page->second.end() &&
                         (arrives(item->second.result) || item->second.result == Outcome::merged);
    return arrived ? item->second.place() : std::string();
}

int ReceiptItemsModel::rowCount(const QModelIndex& parent) const {
    if (parent.isValid()) return 0;
    return static_cast<int>(numbers_ ? numbers_->size() : count_ + (has_rest_ ? 1 : 0));
}
int ReceiptItemsModel::columnCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : ReceiptColumns::Count;
}

QVariant ReceiptItemsModel::data(const QModelIndex& index, int role) const {
    if (!checkIndex(index, CheckIndexOption::IndexIsValid)) return {};
    if (role != Qt::DisplayRole && role != Qt::ToolTipRole && role != ReceiptColumns::ToneRole) return {};
    const std::uint64_t number = this->number(index.row());
    if (index.column() == ReceiptColumns::Where && role == Qt::DisplayRole) {
        if (differs_)
            if (const auto found = differs_->find(number); found != differs_->end()) return found->second;
        if (std::binary_search(taken_back_.begin(), taken_back_.end(), number)) return tr("taken back since");
    }
    const std::uint64_t first = number - number % page_size;
    const auto page = pages_.find(first);
    if (page == pages_.end()) {
        if (!wanted_) {  // one at a time: what is still on view when it has come asks for the next
            wanted_ = first;
            emit pageWanted(id_, first, page_size);
        }
        return {};
    }
    const auto item = page->second.find(number);
    if (item == page->second.end()) return {};
    return receipt_cell(item->second, index.column(), role, destination_);
}

QVariant ReceiptItemsModel::headerData(int section, Qt::Orientation orientation, int role) const {
    return receipt_header(section, orientation, role);
}
