#include "models/receipt_models.h"

#include <QCoreApplication>
#include <QStringList>

#include "files/path.h"
#include "models/outcome_model.h"
#include "text.h"
#include "wording.h"

using namespace tavlo;

namespace {

struct Receipts {
    Q_DECLARE_TR_FUNCTIONS(Receipts)
};

QString counts(const ReceiptHead& head) {
    QStringList parts;
    for (const auto outcome : {Outcome::created, Outcome::overwritten, Outcome::renamed, Outcome::restored, Outcome::removed,
                               Outcome::merged, Outcome::skipped, Outcome::undecided, Outcome::failed}) {
        const auto action = head.operation == Operation::move ? Action::move : Action::copy;
        if (head.totals.of(outcome) > 0) parts << count_text(head.totals.of(outcome)) + QLatin1Char(' ') + result_words(outcome, action);
    }
    return parts.isEmpty() ? Receipts::tr("nothing was done") : parts.join(QStringLiteral(" · "));
}

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

int ReceiptsModel::rowCount(const QModelIndex& parent) const { return parent.isValid() || !heads_ ? 0 : static_cast<int>(heads_->size()); }

QVariant ReceiptsModel::data(const QModelIndex& index, int role) const {
    if (!checkIndex(index, CheckIndexOption::IndexIsValid)) return {};
    const ReceiptHead& head = this->head(index.row());
    switch (role) {
        case Qt::DisplayRole: return receipt_title(head);
        case Qt::ToolTipRole: return receipt_title(head);
        case Qt::AccessibleTextRole: return tr("%1, %2, %3").arg(receipt_title(head), date_text(head.started_ns), counts(head));
        case IdRole: return QString::fromStdString(head.id);
        case WhenRole: return date_text(head.started_ns);
        case CountsRole: return counts(head);
        case StateRole: return receipt_state(head);
        default: return {};
    }
}

void ReceiptItemsModel::setItems(const std::string& destination, std::shared_ptr<const std::vector<ReceiptItem>> items) {
    beginResetModel();
    destination_ = destination;
    items_ = std::move(items);
    chosen_.reset();
    result_.reset();
    differs_.reset();
    arrange();
    endResetModel();
}

void ReceiptItemsModel::setChosen(std::optional<std::vector<std::uint64_t>> numbers) {
    beginResetModel();
    chosen_ = std::move(numbers);
    arrange();
    endResetModel();
}

void ReceiptItemsModel::setResult(std::optional<Outcome> result) {
    beginResetModel();
    result_ = result;
    arrange();
    endResetModel();
}

void ReceiptItemsModel::setDifferences(std::shared_ptr<const std::map<std::uint64_t, QString>> differs) {
    differs_ = std::move(differs);
    std::vector<std::uint64_t> numbers;
    for (const auto& [number, words] : *differs_) numbers.push_back(number);
    setChosen(numbers.empty() ? std::nullopt : std::optional(std::move(numbers)));
}

void ReceiptItemsModel::arrange() {
    order_.clear();
    const auto take = [this](std::size_t at) {
        if (at < items_->size() && (!result_ || (*items_)[at].result == *result_)) order_.push_back(at);
    };
    if (!items_) return;
    if (chosen_)
        for (const auto number : *chosen_) take(static_cast<std::size_t>(number));
    else
        for (std::size_t at = 0; at < items_->size(); ++at) take(at);
}

int ReceiptItemsModel::rowCount(const QModelIndex& parent) const { return parent.isValid() ? 0 : static_cast<int>(order_.size()); }
int ReceiptItemsModel::columnCount(const QModelIndex& parent) const { return parent.isValid() ? 0 : ColumnCount; }

QVariant ReceiptItemsModel::data(const QModelIndex& index, int role) const {
    if (!checkIndex(index, CheckIndexOption::IndexIsValid)) return {};
    const std::size_t number = order_[static_cast<std::size_t>(index.row())];
    const ReceiptItem& item = (*items_)[number];
    if (role == ToneRole) {
        switch (item.result) {
            case Outcome::failed:
            case Outcome::undecided: return static_cast<int>(Tone::waiting);
            case Outcome::overwritten:
            case Outcome::removed: return static_cast<int>(Tone::takes_away);
            case Outcome::created:
            case Outcome::renamed:
            case Outcome::restored: return static_cast<int>(Tone::fresh);
            case Outcome::planned:
            case Outcome::skipped:
            case Outcome::merged: return static_cast<int>(Tone::plain);
        }
    }
    if (role == Qt::ToolTipRole) return tr("from %1\nto %2").arg(shown(item.source), shown(item.place()));
    if (role != Qt::DisplayRole) return {};
    switch (index.column()) {
        case NameColumn: {
            const QString name = shown(name_of(item.source));
            return item.type == FileType::folder ? name + QLatin1Char('/') : name;
        }
        case SizeColumn: return item.type == FileType::file ? size_text(item.size_bytes) : QString();
        case ResultColumn: return result_words(item.result, item.action);
        case WhereColumn: {
            if (differs_)
                if (const auto found = differs_->find(number); found != differs_->end()) return found->second;
            if (!item.error.empty()) return shown(item.error);
            if (!item.not_kept.empty()) return tr("without: %1").arg(shown(item.not_kept));
            if (item.result == Outcome::overwritten) return tr("old one in the Safe");
            if (item.result == Outcome::removed) return item.set_aside.empty() ? tr("the folder was empty") : tr("to the Safe");
            if (item.result == Outcome::skipped) {
                const bool same = item.collision && item.collision->finding == Finding::same;
                return same ? tr("same bytes") : tr("stays as it was");
            }
            if (item.result == Outcome::undecided) return tr("left as they were, both");
            if (item.result == Outcome::planned) return tr("the run was stopped before it");
            if (item.result == Outcome::renamed) return tr("as %1").arg(shown(name_of(item.place())));
            const std::string folder(parent_of(item.place()));
            return is_within(folder, destination_) && folder != destination_ ? shown(folder.substr(destination_.size() + 1))
                                                                             : short_path(folder);
        }
        default: return {};
    }
}

QVariant ReceiptItemsModel::headerData(int section, Qt::Orientation orientation, int role) const {
    if (orientation != Qt::Horizontal) return {};
    if (role == Qt::TextAlignmentRole)
        return QVariant::fromValue(section == SizeColumn ? Qt::AlignRight | Qt::AlignVCenter : Qt::AlignLeft | Qt::AlignVCenter);
    if (role != Qt::DisplayRole) return {};
    switch (section) {
        case NameColumn: return tr("Name");
        case SizeColumn: return tr("Size");
        case ResultColumn: return tr("Result");
        case WhereColumn: return tr("Where, or why");
        default: return {};
    }
}
