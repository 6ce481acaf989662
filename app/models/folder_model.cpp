#include "models/folder_model.h"

#include <algorithm>
#include <numeric>

#include "batch/gather.h"
#include "files/natural.h"
#include "files/path.h"
#include "tasks/bench.h"
#include "text.h"

using namespace tavlo;

namespace {

std::shared_ptr<const Listing> read_listing(const std::string& path, const std::stop_token& stop) {
    auto listing = std::make_shared<Listing>();
    listing->path = path;
    const auto disk = make_disk();
    const auto folder = disk->open_folder(path);
    auto names = folder ? disk->list(*folder) : Result<std::vector<Name>>(failure(folder.error()));
    if (!names) {
        listing->problem = shown(reason(names.error()));
        return listing;
    }
    listing->rows.reserve(names->size());
    for (Name& name : *names) {
        if (stop.stop_requested()) return nullptr;
        if (is_own_name(name.bytes)) continue;
        const auto status = disk->status(*folder, name.bytes);
        if (!status) continue;  // went away meanwhile
        if (status->type == FileType::folder) ++listing->folders;
        if (status->type == FileType::file) listing->bytes += status->id.size_bytes;
        listing->rows.push_back({std::move(name.bytes), *status});
    }
    return listing;
}

std::vector<std::uint32_t> arrange(const Listing& listing, const NameFilter& filter, bool hidden, int column, Qt::SortOrder order) {
    std::vector<std::uint32_t> rows;
    for (std::uint32_t i = 0; i < listing.rows.size(); ++i) {
        const auto& name = listing.rows[i].name;
        if ((hidden || name.front() != '.') && filter.fits(name)) rows.push_back(i);
    }
    const auto before = [&](std::uint32_t a, std::uint32_t b) {
        const Listing::Row& left = listing.rows[a];
        const Listing::Row& right = listing.rows[b];
        const bool left_folder = left.status.type == FileType::folder;
        if (left_folder != (right.status.type == FileType::folder)) return left_folder;
        const Listing::Row& x = order == Qt::AscendingOrder ? left : right;
        const Listing::Row& y = order == Qt::AscendingOrder ? right : left;
        if (column == FolderModel::SizeColumn && x.status.id.size_bytes != y.status.id.size_bytes)
            return x.status.id.size_bytes < y.status.id.size_bytes;
        if (column == FolderModel::ChangedColumn && x.status.id.modified_ns != y.status.id.modified_ns)
            return x.status.id.modified_ns < y.status.id.modified_ns;
        return natural_less(x.name, y.name);
    };
    std::sort(rows.begin(), rows.end(), before);
    return rows;
}

}  // namespace

FolderModel::FolderModel(Bench& bench, QObject* parent)
    : QAbstractTableModel(parent), bench_(bench), listing_(std::make_shared<Listing>()) {
    connect(&bench_, &Bench::requestChanged, this, [this] {
        if (rowCount() > 0) emit dataChanged(index(0, 0), index(rowCount() - 1, ColumnCount - 1), {PickedRole});
    });
}

void FolderModel::openFolder(const std::string& path) {
    folder_ = path;
    filter_.clear();
    work(true);
}

void FolderModel::refresh() { work(true); }

void FolderModel::setFilter(const QString& text) {
    filter_ = to_bytes(text);
    work(false);
}

void FolderModel::setHiddenShown(bool shown) {
    hidden_shown_ = shown;
    work(false);
}

void FolderModel::setSorting(int column, Qt::SortOrder order) {
    sort_column_ = column;
    sort_order_ = order;
    work(false);
}

void FolderModel::work(bool read_again) {
    loading_ = true;
    read_wanted_ = read_wanted_ || read_again || listing_->path != folder_;
    const auto generation = ++generation_;
    worker_.post([this, generation, path = folder_, known = read_wanted_ ? nullptr : listing_, filter = NameFilter(filter_),
                  hidden = hidden_shown_, column = sort_column_, order = sort_order_](const std::stop_token& stop) {
        const auto listing = known ? known : read_listing(path, stop);
        if (!listing || stop.stop_requested()) return;
        auto visible = arrange(*listing, filter, hidden, column, order);
        QMetaObject::invokeMethod(
            this,
            [this, generation, listing, visible = std::move(visible)]() mutable {
                if (generation != generation_) return;
                const bool another = listing_->path != listing->path;
                beginResetModel();
                listing_ = listing;
                visible_ = std::move(visible);
                endResetModel();
                loading_ = false;
                read_wanted_ = false;
                emit loaded(another);
            },
            Qt::QueuedConnection);
    });
}

std::string FolderModel::path(const QModelIndex& index) const { return join(listing_->path, row(index.row()).name); }

int FolderModel::rowOf(const std::string& name) const {
    const auto found = std::find_if(visible_.begin(), visible_.end(), [&](auto i) { return listing_->rows[i].name == name; });
    return found == visible_.end() ? -1 : static_cast<int>(found - visible_.begin());
}

int FolderModel::rowCount(const QModelIndex& parent) const { return parent.isValid() ? 0 : static_cast<int>(visible_.size()); }
int FolderModel::columnCount(const QModelIndex& parent) const { return parent.isValid() ? 0 : ColumnCount; }

QVariant FolderModel::data(const QModelIndex& index, int role) const {
    if (!checkIndex(index, CheckIndexOption::IndexIsValid)) return {};
    const Listing::Row& entry = row(index.row());
    switch (role) {
        case Qt::DisplayRole:
            switch (index.column()) {
                case NameColumn: return shown(entry.name);
                case SizeColumn: return entry.status.type == FileType::file ? size_text(entry.status.id.size_bytes) : QString();
                case ChangedColumn: return date_text(entry.status.id.modified_ns);
                default: return {};
            }
        case Qt::ToolTipRole: return shown(join(listing_->path, entry.name));
        case Qt::TextAlignmentRole:
            return QVariant::fromValue(index.column() == NameColumn ? Qt::AlignLeft | Qt::AlignVCenter : Qt::AlignRight | Qt::AlignVCenter);
        case Qt::AccessibleTextRole: {
            if (index.column() != NameColumn) return {};
            const QString name = shown(entry.name);
            return bench_.isPicked(listing_->path, entry.name) ? tr("%1, in the batch").arg(name) : name;
        }
        case PathRole: {
            const std::string path = join(listing_->path, entry.name);
            return QByteArray(path.data(), static_cast<qsizetype>(path.size()));
        }
        case TypeRole: return static_cast<int>(entry.status.type);
        case PickedRole: return bench_.isPicked(listing_->path, entry.name);
        default: return {};
    }
}

QVariant FolderModel::headerData(int section, Qt::Orientation orientation, int role) const {
    if (orientation != Qt::Horizontal) return {};
    if (role == Qt::TextAlignmentRole)
        return QVariant::fromValue(section == NameColumn ? Qt::AlignLeft | Qt::AlignVCenter : Qt::AlignRight | Qt::AlignVCenter);
    if (role != Qt::DisplayRole) return {};
    switch (section) {
        case NameColumn: return tr("Name");
        case SizeColumn: return tr("Size");
        case ChangedColumn: return tr("Changed");
        default: return {};
    }
}
