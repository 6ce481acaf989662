#include "models/safe_model.h"

#include <algorithm>

#include "files/natural.h"
#include "files/path.h"
#include "select/name_filter.h"
#include "text.h"

using namespace tavlo;

void SafeModel::setListing(std::shared_ptr<const SafeListing> listing) {
    beginResetModel();
    listing_ = std::move(listing);
    arrange();
    endResetModel();
}

void SafeModel::setFilter(const QString& text) {
    beginResetModel();
    filter_ = text;
    arrange();
    endResetModel();
}

void SafeModel::sort(int column, Qt::SortOrder order) {
    beginResetModel();
    column_ = column;
    direction_ = order;
    arrange();
    endResetModel();
}

void SafeModel::arrange() {
    const NameFilter wanted(to_bytes(filter_));
    order_.clear();
    for (std::size_t at = 0; at < listing_->rows.size(); ++at)
        if (wanted.empty() || wanted.fits(listing_->rows[at].entry.original)) order_.push_back(at);
    std::stable_sort(order_.begin(), order_.end(), [this](std::size_t one, std::size_t other) {
        if (direction_ == Qt::DescendingOrder) std::swap(one, other);
        const SafeRow& a = listing_->rows[one];
        const SafeRow& b = listing_->rows[other];
        switch (column_) {
            case NameColumn: return natural_less(name_of(a.entry.original), name_of(b.entry.original));
            case PlaceColumn: return natural_less(a.entry.original, b.entry.original);
            case SizeColumn: return a.entry.identity.size_bytes < b.entry.identity.size_bytes;
            case RunColumn: return a.entry.receipt < b.entry.receipt;
            default: return a.entry.set_aside_ns < b.entry.set_aside_ns;
        }
    });
}

int SafeModel::rowOf(const std::string& entry) const {
    for (int at = 0; at < rowCount(); ++at)
        if (row(at).entry.id == entry) return at;
    return -1;
}

int SafeModel::rowCount(const QModelIndex& parent) const { return parent.isValid() ? 0 : static_cast<int>(order_.size()); }
int SafeModel::columnCount(const QModelIndex& parent) const { return parent.isValid() ? 0 : ColumnCount; }

QVariant SafeModel::data(const QModelIndex& index, int role) const {
    if (!checkIndex(index, CheckIndexOption::IndexIsValid)) return {};
    const SafeRow& one = row(index.row());
    const bool figure = index.column() == SizeColumn || index.column() == WhenColumn;
    if (role == Qt::TextAlignmentRole) return QVariant::fromValue((figure ? Qt::AlignRight : Qt::AlignLeft) | Qt::AlignVCenter);
    if (role == Qt::ToolTipRole)
        return index.column() == RunColumn
                   ? one.run
                   : shown(one.entry.original) + QLatin1Char('\n') +
                         (one.there ? tr("lies at %1") : tr("lies at %1, which cannot be reached now")).arg(shown(one.entry.stored));
    if (role != Qt::DisplayRole) return {};
    switch (index.column()) {
        case NameColumn: {
            const QString name = shown(name_of(one.entry.original));
            return one.entry.type == FileType::folder ? name + QLatin1Char('/') : name;
        }
        case PlaceColumn: return short_path(std::string(parent_of(one.entry.original)), 3);
        case SizeColumn: return one.entry.type == FileType::file ? size_text(one.entry.identity.size_bytes) : tr("a folder");
        case WhenColumn: return date_text(one.entry.set_aside_ns);
        case RunColumn: return one.there ? one.run : tr("not mounted now · %1").arg(one.run);
        default: return {};
    }
}

QVariant SafeModel::headerData(int section, Qt::Orientation orientation, int role) const {
    if (orientation != Qt::Horizontal) return {};
    const bool figure = section == SizeColumn || section == WhenColumn;
    if (role == Qt::TextAlignmentRole) return QVariant::fromValue((figure ? Qt::AlignRight : Qt::AlignLeft) | Qt::AlignVCenter);
    if (role != Qt::DisplayRole) return {};
    switch (section) {
        case NameColumn: return tr("Name");
        case PlaceColumn: return tr("Place it held");
        case SizeColumn: return tr("Size");
        case WhenColumn: return tr("Set aside");
        case RunColumn: return tr("By");
        default: return {};
    }
}
