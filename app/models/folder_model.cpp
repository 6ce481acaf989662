// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "models/folder_model.h"

#include <algorithm>
#include <mutex>
#include <utility>

#include "archive/archive_files.h"
#include "error_words.h"
#include "files/path.h"
#include "select/walk.h"
#include "tasks/bench.h"
#include "text.h"

using namespace tavlo;

namespace {

constexpr std::size_t most_measured = 2000;       // folders of one listing
constexpr std::size_t most_files_each = 200'000;  // then a folder's figures are left open

bool is_figure(int column) {
    const auto which = static_cast<FolderColumn>(column);
    return which == FolderColumn::size || which == FolderColumn::changed;
}

}  // namespace

/// What is no longer shown, and large: taken down on the worker's side, not while the window waits.
struct FolderModel::Retired {
    std::mutex mutex;
    std::vector<std::shared_ptr<const void>> large;
    void clear() {
        std::vector<std::shared_ptr<const void>> gone;
        {
            const std::scoped_lock lock(mutex);
            gone.swap(large);
        }
    }
};

FolderModel::FolderModel(Bench& bench, QObject* parent)
    : QAbstractTableModel(parent),
      bench_(bench),
      listing_(std::make_shared<Listing>()),
      kinds_(std::make_shared<const Kinds>()),
      retired_(std::make_shared<Retired>()) {
    order_.criteria.match_case = false;
    connect(&watched_, &WatchedFolder::changed, this, &FolderModel::refresh);
    loadKinds();
    connect(&bench_, &Bench::jobChanged, this, [this] {
        if (rowCount() > 0)
            emit dataChanged(index(0, 0), index(rowCount() - 1, columnCount() - 1), {PickedRole});
    });
}

FolderModel::~FolderModel() = default;

void FolderModel::openFolder(const std::string& path) {
    folder_ = path;  // which begins unfiltered
    order_.criteria = {};
    order_.criteria.match_case = false;
    order_.selector = {};
    criteria_problem_.clear();
    below_ = false;
    watched_.watch({});
    folder_sizes_.clear();
    work(true);
}

void FolderModel::refresh() { work(true); }

void FolderModel::loadKinds() {
    struct Read {
        std::shared_ptr<const Kinds> kinds;
        QString problem;
    };
    const auto read = [](const std::stop_token&) {
        auto kinds = load_kinds();
        const QString problem = kinds ? QString() : error_words(kinds.error());
        return Read{std::make_shared<const Kinds>(kinds ? std::move(*kinds) : Kinds()), problem};
    };
    kinds_reader_.ask(this, read, [this](const Read& found) {
        kinds_ = found.kinds;
        setCriteria(order_.criteria);  // which may name one that has changed
        emit kindsLoaded(found.problem);
    });
}

void FolderModel::setCriteria(const Criteria& criteria) {
    if (folder_.empty()) return;
    auto made = Selector::make(criteria, *kinds_);
    criteria_problem_ = made ? QString() : error_words(made.error());
    if (!made) {  // what was shown stays while an expression is being typed
        emit loaded(false);
        return;
    }
    order_.criteria = criteria;
    order_.selector = std::move(*made);
    work(below_);
}

void FolderModel::setBelow(bool below) {
    if (below_ == below) return;
    below_ = below;
    work(true);
}

void FolderModel::setHiddenShown(bool shown) {
    order_.hidden = shown;
    work(below_);
}

void FolderModel::setArrivals(std::shared_ptr<const Arrivals> arrivals) {
    arrivals_ = std::move(arrivals);
    setOnlyArrivals(false);
    if (rowCount() > 0) emit dataChanged(index(0, 0), index(rowCount() - 1, columnCount() - 1), {CameInRole});
}

void FolderModel::setOnlyArrivals(bool only) {
    const bool was = order_.only != nullptr;
    order_.only = only ? arrivals_ : nullptr;
    if (was || only) work(false);
}

void FolderModel::setSorting(int column, Qt::SortOrder order) {
    order_.column = column;
    order_.order = order;
    work(false);
}

void FolderModel::work(bool read_again) {
    loading_ = true;
    read_wanted_ = read_wanted_ || read_again || listing_->path != folder_ || listing_->below != below_;
    const auto generation = ++generation_;
    const bool watched = watched_.isWatching();
    worker_.post([this, generation, watched, path = folder_, below = below_,
                  known = read_wanted_ ? nullptr : listing_, order = order_, kinds = kinds_,
                  sizes = folder_sizes_, retired = retired_](const std::stop_token& stop) {
        retired->clear();
        const auto here = [&](auto work) {
            later(this, [this, generation, work = std::move(work)]() mutable {
                if (generation == generation_) work();
            });
        };
        const auto folder_bytes = [&](const std::string& folder) {
            const auto found = sizes.find(folder);
            return found == sizes.end() ? std::nullopt : std::optional(found->second.bytes);
        };
        const auto send = [&](std::shared_ptr<const Listing> listing) {
            if (!listing || stop.stop_requested()) return;
            auto visible = arrange(*listing, order, *kinds, folder_bytes);
            auto indexed = std::make_shared<Indexed>();
            std::vector<std::string> names;
            const bool last = listing->complete;
            here([this, listing, visible, last]() mutable { take(listing, std::move(visible), last); });
            if (!last || stop.stop_requested()) return;
            for (const auto row : visible)
                if (listing->rows[row].status.type != FileType::folder) {
                    indexed->rows.push_back(row);
                    names.push_back(listing->rows[row].name);
                }
            indexed->names = PickIndex(names);
            here([this, indexed] { takeIndex(indexed); });
        };
        if (known) return send(known);
        if (!watched)  // before it is read, so that nothing is missed
            if (auto opened = FolderWatch::on(path))
                here([this, opened = std::make_shared<FolderWatch>(std::move(*opened))] {
                    watched_.take(opened);
                });
        if (below)
            search_listing(path, order.selector, order.hidden, stop, send);
        else
            read_listing(path, stop, send);
    });
}

void FolderModel::take(std::shared_ptr<const Listing> listing, std::vector<std::uint32_t> visible,
                       bool last) {
    const bool another = listing_->path != listing->path;
    retire(std::exchange(indexed_, nullptr));
    beginResetModel();
    if (listing != listing_) {
        sought_.clear();
        found_.clear();
        retire(std::exchange(listing_, std::move(listing)));
    }
    arranged_ = std::move(visible);
    visible_ = arranged_;
    endResetModel();
    loading_ = !last;
    read_wanted_ = read_wanted_ && !last;
    emit loaded(another);
    if (last && !listing_->below) measureFolders();
}

void FolderModel::retire(std::shared_ptr<const void> large) {
    const std::scoped_lock lock(retired_->mutex);
    retired_->large.push_back(std::move(large));
}

void FolderModel::takeIndex(std::shared_ptr<const Indexed> indexed) {
    indexed_ = std::move(indexed);
    const QString typed = std::exchange(typed_, QString());
    fitting_.clear();
    if (!typed.isEmpty()) narrow(typed);
    emit narrowed();
}

std::optional<std::size_t> FolderModel::narrow(const QString& typed) {
    if (!indexed_) {
        typed_ = typed;
        return std::nullopt;
    }
    const std::string text = to_bytes(typed);
    // a blank begins a new word, and a digit after a zero can make the same number: only then a longer text
    // could find more
    const bool continues =
        !typed_.isEmpty() && typed.startsWith(typed_) && !typed_.endsWith(QLatin1Char('0'));
    auto fits = continues ? indexed_->names.fitting(text, fitting_) : indexed_->names.fitting(text);
    const bool was_narrow = !typed_.isEmpty();
    typed_ = typed;
    if (typed.isEmpty() && !was_narrow) return arranged_.size();
    beginResetModel();
    if (typed.isEmpty()) {
        visible_ = arranged_;
    } else {
        visible_.clear();
        for (const auto fit : fits) visible_.push_back(indexed_->rows[fit]);
    }
    fitting_ = std::move(fits);
    endResetModel();
    emit loaded(false);
    return visible_.size();
}

/// Folder rows fill in their number of files and their size as those become known.
void FolderModel::measureFolders() {
    std::vector<std::string> paths;
    for (const auto i : arranged_) {
        const Listing::Row& row = listing_->rows[i];
        if (row.status.type != FileType::folder || paths.size() == most_measured)
            break;  // folders come first
        paths.push_back(listing_->path_of(row));
    }
    if (paths.empty()) return;
    measurer_.post([this, paths = std::move(paths), folder = folder_](const std::stop_token& stop) {
        const auto disk = make_disk_with_archives();
        for (const auto& path : paths) {
            FolderSize size;
            const auto walked = walk_below(*disk, path, stop, [&](const Met& met) {
                if (met.status.type == FileType::folder) return size.files < most_files_each;
                ++size.files;
                if (met.status.type == FileType::file) size.bytes += met.status.id.size_bytes;
                return true;
            });
            if (stop.stop_requested()) return;
            if (!walked || size.files >= most_files_each) continue;
            later(this, [this, folder, path, size] {
                if (folder != folder_) return;
                folder_sizes_[path] = size;
                const int row = rowOf(std::string(name_of(path)));
                if (row >= 0)
                    emit dataChanged(index(row, 0), index(row, columnCount() - 1), {Qt::DisplayRole});
                emit folderFactsChanged();
            });
        }
    });
}

/// The rows of the listing that these are, ascending.
const std::vector<std::uint32_t>& FolderModel::find(const std::vector<std::string>& paths) {
    if (paths == sought_) return found_;
    sought_ = paths;
    found_.clear();
    const std::unordered_set<std::string> wanted(paths.begin(), paths.end());
    std::unordered_set<std::string_view> names;
    for (const auto& path : wanted) names.insert(name_of(path));
    // in the order that they lie in: a hundred thousand in the order of their names are as many waits for memory
    for (std::uint32_t at = 0; at < listing_->rows.size() && !wanted.empty(); ++at)
        if (const auto& row = listing_->rows[at];
            names.contains(row.name) && wanted.contains(listing_->path_of(row)))
            found_.push_back(at);
    return found_;
}

std::vector<int> FolderModel::rowsOf(const std::vector<std::string>& paths) {
    const auto& found = find(paths);
    std::vector<int> shown;
    for (std::size_t row = 0; row < visible_.size() && !found.empty(); ++row)
        if (std::binary_search(found.begin(), found.end(), visible_[row]))
            shown.push_back(static_cast<int>(row));
    return shown;
}

int FolderModel::rowOf(const std::string& name) const {
    const auto found = std::find_if(visible_.begin(), visible_.end(),
                                    [&](auto i) { return listing_->rows[i].name == name; });
    return found == visible_.end() ? -1 : static_cast<int>(found - visible_.begin());
}

int FolderModel::rowCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : static_cast<int>(visible_.size());
}
int FolderModel::columnCount(const QModelIndex& parent) const {
    return parent.isValid() ? 0 : folder_column_count;
}

QVariant FolderModel::text(const Listing::Row& row, int column) const {
    switch (static_cast<FolderColumn>(column)) {
        case FolderColumn::name: return shown(row.name);
        case FolderColumn::kind: return kind_text(row, *kinds_);
        case FolderColumn::size: {
            if (row.status.type == FileType::file) return size_text(row.status.id.size_bytes);
            const auto known = folder_sizes_.find(listing_->path_of(row));
            if (row.status.type != FileType::folder || known == folder_sizes_.end()) return {};
            if (known->second.files == 0) return tr("no files");
            return tr("%Ln files, %1", nullptr, static_cast<int>(known->second.files))
                .arg(size_text(known->second.bytes));
        }
        case FolderColumn::changed: return date_text(row.status.id.modified_ns);
        case FolderColumn::owner: {
            const auto owner = listing_->owners.find(row.status.owner);
            return owner == listing_->owners.end() ? QString::number(row.status.owner) : owner->second;
        }
        case FolderColumn::permissions: return permissions_text(row.status.mode);
        case FolderColumn::folder: return row.folder == 0 ? tr("here") : shown(listing_->folders[row.folder]);
    }
    return {};
}

QVariant FolderModel::data(const QModelIndex& index, int role) const {
    if (!checkIndex(index, CheckIndexOption::IndexIsValid)) return {};
    const Listing::Row& entry = row(index.row());
    const bool is_name = index.column() == number(FolderColumn::name);
    switch (role) {
        case Qt::DisplayRole: return text(entry, index.column());
        case Qt::ToolTipRole: return shown(listing_->path_of(entry));
        case Qt::TextAlignmentRole:
            return QVariant::fromValue((is_figure(index.column()) ? Qt::AlignRight : Qt::AlignLeft) |
                                       Qt::AlignVCenter);
        case Qt::AccessibleTextRole: {
            if (!is_name) return {};
            QString name = shown(entry.name);
            if (index.data(CameInRole).toBool()) name = tr("%1, came in").arg(name);
            return bench_.picks().contain(listing_->folder_of(entry), entry.name)
                       ? tr("%1, in the batch").arg(name)
                       : name;
        }
        case PathRole: {
            const std::string path = listing_->path_of(entry);
            return QByteArray(path.data(), static_cast<qsizetype>(path.size()));
        }
        case TypeRole: return static_cast<int>(entry.status.type);
        case CameInRole: return arrivals_ && arrivals_->places.contains(listing_->path_of(entry));
        case PickedRole: return bench_.picks().contain(listing_->folder_of(entry), entry.name);
        default: return {};
    }
}

QVariant FolderModel::headerData(int section, Qt::Orientation orientation, int role) const {
    if (orientation != Qt::Horizontal) return {};
    if (role == Qt::TextAlignmentRole)
        return QVariant::fromValue((is_figure(section) ? Qt::AlignRight : Qt::AlignLeft) | Qt::AlignVCenter);
    if (role != Qt::DisplayRole) return {};
    switch (static_cast<FolderColumn>(section)) {
        case FolderColumn::name: return tr("Name");
        case FolderColumn::kind: return tr("Kind");
        case FolderColumn::size: return tr("Size");
        case FolderColumn::changed: return tr("Changed");
        case FolderColumn::owner: return tr("Owner");
        case FolderColumn::permissions: return tr("Permissions");
        case FolderColumn::folder: return tr("Folder");
    }
    return {};
}
