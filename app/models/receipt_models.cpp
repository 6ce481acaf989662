#include "models/receipt_models.h"

#include <QCoreApplication>
#include <QStringList>

#include "files/path.h"
#include "models/outcome_model.h"
#include "text.h"

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

QString result_words(Outcome outcome, Action action) {
    switch (outcome) {
        case Outcome::planned: return Receipts::tr("not reached");
        case Outcome::created: return action == Action::move ? Receipts::tr("moved") : Receipts::tr("copied");
        case Outcome::overwritten: return Receipts::tr("overwritten");
        case Outcome::renamed: return Receipts::tr("renamed");
        case Outcome::skipped: return Receipts::tr("skipped");
        case Outcome::merged: return Receipts::tr("merged");
        case Outcome::undecided: return Receipts::tr("undecided");
        case Outcome::failed: return Receipts::tr("failed");
        case Outcome::removed: return Receipts::tr("taken away");
        case Outcome::restored: return Receipts::tr("put back");
    }
    return {};
}

QString receipt_title(const ReceiptHead& head) {
    if (!head.sentence.empty()) return shown(head.sentence);
    return Receipts::tr("%1 into %2").arg(QString::fromUtf8(to_text(head.operation).data()), short_path(head.destination));
}

QString receipt_state(const ReceiptHead& head) {
    if (!head.undone_by.empty()) return Receipts::tr("undone");
    switch (head.state) {
        case RunState::done: return head.totals.of(Outcome::failed) > 0 ? Receipts::tr("done, with failures") : Receipts::tr("done");
        case RunState::stopped: return Receipts::tr("stopped");
        case RunState::interrupted: return Receipts::tr("interrupted, or still going on");
    }
    return {};
}

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
    endResetModel();
}

int ReceiptItemsModel::rowCount(const QModelIndex& parent) const {
    return parent.isValid() || !items_ ? 0 : static_cast<int>(items_->size());
}
int ReceiptItemsModel::columnCount(const QModelIndex& parent) const { return parent.isValid() ? 0 : ColumnCount; }

QVariant ReceiptItemsModel::data(const QModelIndex& index, int role) const {
    if (!checkIndex(index, CheckIndexOption::IndexIsValid)) return {};
    const ReceiptItem& item = (*items_)[static_cast<std::size_t>(index.row())];
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
