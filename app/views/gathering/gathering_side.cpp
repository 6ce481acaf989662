// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/gathering/gathering_side.h"

#include <QButtonGroup>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QMimeData>
#include <QPushButton>
#include <QScrollBar>
#include <QSettings>
#include <QVBoxLayout>
#include <algorithm>
#include <map>
#include <unordered_set>

#include "archive/format.h"
#include "files/path.h"
#include "models/folder_model.h"
#include "tasks/bench.h"
#include "tasks/file_clips.h"
#include "text.h"
#include "theme/lengths.h"
#include "theme/theme.h"
#include "views/bench/clipboard_line.h"
#include "views/gathering/arrivals_line.h"
#include "views/gathering/contact_sheet.h"
#include "views/gathering/filter_bar.h"
#include "views/gathering/kinds_dialog.h"
#include "views/gathering/list_panel.h"
#include "views/gathering/location_bar.h"
#include "views/gathering/look_panel.h"
#include "views/gathering/pick_box.h"
#include "views/gathering/places_menu.h"
#include "views/parts/building.h"
#include "views/parts/elided_label.h"
#include "views/parts/opening.h"
#include "views/parts/pages.h"
#include "views/parts/row_delegates.h"
#include "views/parts/row_view.h"
#include "views/parts/segments.h"
#include "views/parts/spacing.h"

using namespace tavlo;

namespace {

/// What takes the files among these rows in hand, each folder's in the order of their bytes, as Picks has them.
std::vector<Picks::Change> changes_for(const Listing& listing, const std::vector<std::uint32_t>& rows) {
    std::map<std::string, Picks::Names> by_folder;
    for (const std::uint32_t at : rows)
        if (const Listing::Row& row = listing.rows[at]; row.status.type != FileType::folder)
            by_folder[listing.folder_of(row)].push_back(row.name);
    std::vector<Picks::Change> changes;
    for (auto& [folder, names] : by_folder) {
        std::sort(names.begin(), names.end());
        changes.push_back(Picks::Change::of(folder, std::move(names), true));
    }
    return changes;
}

constexpr std::size_t most_kept_selected = 2000;  // beyond that finding them again would hold the window
const auto columns_key = QStringLiteral("folderColumns");
const auto pictures_key = QStringLiteral("folderAsPictures");

}  // namespace

GatheringSide::GatheringSide(Bench& bench, QWidget* parent) : QWidget(parent), bench_(bench) {
    setObjectName(QStringLiteral("gathering"));
    setAttribute(Qt::WA_StyledBackground);
    model_ = new FolderModel(bench_, this);
    buildList();
    buildSheet();
    auto* column = new QVBoxLayout(this);
    space_out(column, Inset::none, Gap::none);
    buildHead(*column);
    arrivals_ = new ArrivalsLine;
    column->addWidget(arrivals_);
    list_panel_ = new ListPanel(*model_);
    pages_ = new Pages;
    for (QWidget* page :
         {static_cast<QWidget*>(list_), static_cast<QWidget*>(sheet_), static_cast<QWidget*>(list_panel_)})
        pages_->addWidget(page);
    column->addWidget(pages_, 1);
    look_ = new LookPanel;
    column->addWidget(look_);
    look_->hide();
    auto* clipboard = new ClipboardLine;
    column->addWidget(clipboard);
    connect(clipboard, &ClipboardLine::pasteRequested, this, &GatheringSide::pasteRequested);
    buildFoot(*column);
    wire();
    setAsPictures(QSettings().value(pictures_key, false).toBool());
}

void GatheringSide::buildFoot(QVBoxLayout& column) {
    auto* foot = new QHBoxLayout;
    space_out(foot, Inset::bar, Gap::apart);
    totals_ = new ElidedLabel;
    totals_->setObjectName(QStringLiteral("folderTotals"));
    in_batch_ = new QLabel;
    in_batch_->setObjectName(QStringLiteral("pickedHere"));
    set_tone(*in_batch_, "accent");
    make_bold(*in_batch_);
    foot->addWidget(totals_, 1);
    foot->addWidget(in_batch_);
    as_list_ = new QPushButton(tr("List"));
    as_list_->setObjectName(QStringLiteral("asList"));
    as_pictures_ = new QPushButton(tr("Pictures"));
    as_pictures_->setObjectName(QStringLiteral("asPictures"));
    as_pictures_->setToolTip(tr("The folder as small pictures, to pick by eye (F9)"));
    auto* ways = new QButtonGroup(this);
    add_segments(*foot, *ways, {as_list_, as_pictures_});
    column.addLayout(foot);
    connect(as_list_, &QPushButton::clicked, this, [this] { setAsPictures(false); });
    connect(as_pictures_, &QPushButton::clicked, this, [this] { setAsPictures(true); });
}

void GatheringSide::wire() {
    connect(list_panel_, &ListPanel::closed, this, [this] {
        pages_->setCurrentWidget(&view());
        view().setFocus();
    });
    connect(list_panel_, &ListPanel::confirmed, this, [this](const auto& picks) {
        std::map<std::string, std::vector<std::string>> by_folder;
        for (const auto& [folder, name] : picks) by_folder[folder].push_back(name);
        bench_.pickAll(by_folder, tr("Pick what a list names"));
    });
    connect(pick_box_, &PickBox::picked, this,
            [this](const auto& folder, const auto& name) { bench_.pick(folder, {name}); });
    connect(pick_box_, &PickBox::taken, this,
            [this](const auto& folder, const auto& name) { bench_.unpick(folder, {name}); });
    connect(model_, &FolderModel::modelAboutToBeReset, this, [this] {
        const auto paths = selectedPaths();
        selected_before_ = paths.size() <= most_kept_selected ? paths : std::vector<std::string>();
        const int row = list_->currentIndex().row();
        current_before_ = row >= 0 ? model_->path(list_->currentIndex()) : std::string();
        scrolled_ = view().verticalScrollBar()->value();
    });
    connect(arrivals_, &ArrivalsLine::onlyTheseToggled, model_, &FolderModel::setOnlyArrivals);
    connect(arrivals_, &ArrivalsLine::closed, this, [this] {
        arrivals_->show_(nullptr);
        model_->setArrivals(nullptr);
        view().setFocus();
    });
    connect(model_, &FolderModel::loaded, this, &GatheringSide::afterLoading);
    connect(model_, &FolderModel::folderFactsChanged, this, &GatheringSide::refreshTotals);
    connect(list_->selectionModel(), &QItemSelectionModel::selectionChanged, this,
            &GatheringSide::refreshTotals);
    connect(list_->selectionModel(), &QItemSelectionModel::currentChanged, this,
            &GatheringSide::lookAtCurrent);
    connect(&bench_, &Bench::jobChanged, this, &GatheringSide::refreshTotals);
    connect(&bench_, &Bench::jobChanged, this, [this] {
        pick_box_->keepAdded(
            [this](const auto& folder, const auto& name) { return bench_.picks().contain(folder, name); });
    });
}

QAbstractItemView& GatheringSide::view() const {
    return showsPictures() ? static_cast<QAbstractItemView&>(*sheet_)
                           : static_cast<QAbstractItemView&>(*list_);
}

void GatheringSide::setAsPictures(bool on) {
    const bool had_focus = view().hasFocus();
    pictures_ = on;
    (on ? as_pictures_ : as_list_)->setChecked(true);
    if (pages_->currentWidget() != list_panel_) pages_->setCurrentWidget(&view());
    if (had_focus) view().setFocus();
    if (list_->currentIndex().isValid()) view().scrollTo(list_->currentIndex());
    empty_->setParent(view().viewport());
    empty_->show();
    refreshEmpty();
    if (QSettings settings; settings.value(pictures_key, false).toBool() != on)
        settings.setValue(pictures_key, on);
    emit asPicturesChanged(on);
}

void GatheringSide::buildHead(QVBoxLayout& column) {
    auto* head = new QVBoxLayout;
    space_out(head, Inset::panel, Gap::beside);
    auto* where = new QHBoxLayout;
    where->setSpacing(Gap::beside);
    location_ = new LocationBar;
    auto* up = new QPushButton(tr("Up"));
    up->setObjectName(QStringLiteral("up"));
    up->setToolTip(tr("The folder above (Alt+Up)"));
    places_ = new QPushButton(tr("Places"));
    places_->setObjectName(QStringLiteral("places"));
    auto* here = new QPushButton(tr("Put here"));
    here->setObjectName(QStringLiteral("putHere"));
    here->setToolTip(tr("Make the folder shown the destination (Ctrl+Shift+D)"));
    where->addWidget(location_, 1);
    for (auto* button : {up, places_, here}) where->addWidget(button);
    head->addLayout(where);
    filter_ = new FilterBar;
    head->addWidget(filter_);
    auto* picking = new QHBoxLayout;
    picking->setSpacing(Gap::beside);
    pick_box_ = new PickBox(*model_, *list_);
    auto* paste = new QPushButton(tr("Paste a list…"));
    paste->setObjectName(QStringLiteral("pasteList"));
    paste->setToolTip(tr("Pick what a list from a mail, a sheet or a file names (Ctrl+Shift+V)"));
    picking->addWidget(pick_box_, 1);
    picking->addWidget(paste, 0, Qt::AlignTop);
    head->addLayout(picking);
    column.addLayout(head);

    connect(location_, &LocationBar::folderChosen, this, [this](const std::string& path) {
        openFolder(path);
        view().setFocus();
    });
    connect(up, &QPushButton::clicked, this, &GatheringSide::goUp);
    connect(places_, &QPushButton::clicked, this, &GatheringSide::openPlaces);
    connect(here, &QPushButton::clicked, this, [this] { bench_.setDestination(folder()); });
    connect(paste, &QPushButton::clicked, this, &GatheringSide::pasteList);
    connect(filter_, &FilterBar::stateChanged, this,
            [this] { model_->setCriteria(filter_->state().criteria(QDate::currentDate())); });
    connect(filter_, &FilterBar::belowChanged, this, [this](bool below) {
        list_->setColumnHidden(number(FolderColumn::folder), !below);
        model_->setBelow(below);
    });
    connect(filter_, &FilterBar::leftDownwards, this, [this] { view().setFocus(); });
    connect(filter_, &FilterBar::kindsEditRequested, this, [this] {
        auto* dialog = new KindsDialog(model_->kinds(), this);
        connect(dialog, &KindsDialog::saved, model_, &FolderModel::loadKinds);
        dialog->show();
    });
    connect(model_, &FolderModel::kindsLoaded, this, [this](const QString& problem) {
        QStringList kinds;
        for (const Kind& kind : model_->kinds().all()) kinds << shown(kind.name);
        filter_->setKinds(kinds);
        if (!problem.isEmpty()) filter_->setProblem(problem);
    });
}

void GatheringSide::buildList() {
    list_ = new RowView;
    list_->setObjectName(QStringLiteral("folderList"));
    list_->setAccessibleName(tr("Files in this folder"));
    list_->setModel(model_);
    auto* delegate = new FolderDelegate(list_);
    list_->setItemDelegate(delegate);
    list_->setRowHeight(lines(1.6));
    list_->setSortingEnabled(true);
    list_->sortByColumn(number(FolderColumn::name), Qt::AscendingOrder);
    list_->horizontalHeader()->setSectionResizeMode(number(FolderColumn::name), QHeaderView::Stretch);
    list_->setColumnWidth(number(FolderColumn::kind), digits(15.5));
    list_->setColumnWidth(number(FolderColumn::size), digits(13.5));
    list_->setColumnWidth(number(FolderColumn::changed), digits(16));
    list_->setColumnWidth(number(FolderColumn::folder), digits(17));
    const QStringList wanted =
        QSettings().value(columns_key, QStringList{QStringLiteral("2"), QStringLiteral("3")}).toStringList();
    for (int column = 1; column < folder_column_count; ++column)
        list_->setColumnHidden(column, !wanted.contains(QString::number(column)));
    list_->setColumnHidden(number(FolderColumn::folder), true);
    list_->setDragSource([this] { return to_mime({selectedPaths(), false}).release(); });
    list_->installEventFilter(this);
    list_->viewport()->installEventFilter(this);  // the list is told before its viewport has its new size
    list_->setContextMenuPolicy(Qt::CustomContextMenu);
    list_->horizontalHeader()->setContextMenuPolicy(Qt::CustomContextMenu);
    empty_ = new QLabel(list_->viewport());
    empty_->setObjectName(QStringLiteral("folderEmpty"));
    empty_->setAlignment(Qt::AlignCenter);
    empty_->setWordWrap(true);
    set_tone(*empty_, "muted");
    connect(delegate, &FolderDelegate::pickToggled, this,
            [this](const QModelIndex& index) { togglePick({index.row()}); });
    connect(list_, &RowView::doubleClicked, this,
            [this](const QModelIndex& index) { activate(index.row()); });
    connect(list_, &QWidget::customContextMenuRequested, this, &GatheringSide::openMenu);
    connect(list_->horizontalHeader(), &QWidget::customContextMenuRequested, this,
            &GatheringSide::chooseColumns);
}

void GatheringSide::keepShownColumns() {
    QStringList wanted;
    for (int column = 1; column < number(FolderColumn::folder); ++column)
        if (!list_->isColumnHidden(column)) wanted << QString::number(column);
    QSettings().setValue(columns_key, wanted);
}

void GatheringSide::buildSheet() {
    sheet_ = new ContactSheet(*model_, *list_->selectionModel(), ThumbnailCache::ofThisUser());
    sheet_->setDragSource([this] { return to_mime({selectedPaths(), false}).release(); });
    sheet_->installEventFilter(this);
    sheet_->viewport()->installEventFilter(this);
    sheet_->setContextMenuPolicy(Qt::CustomContextMenu);
    connect(sheet_, &ContactSheet::pickToggled, this,
            [this](const QModelIndex& index) { togglePick({index.row()}); });
    connect(sheet_, &QListView::doubleClicked, this,
            [this](const QModelIndex& index) { activate(index.row()); });
    connect(sheet_, &QWidget::customContextMenuRequested, this, &GatheringSide::openMenu);
}

void GatheringSide::afterLoading(bool another) {
    if (!another) {
        keepSelection();
        view().verticalScrollBar()->setValue(scrolled_);
    }
    const int row = came_from_.empty() ? 0 : std::max(0, model_->rowOf(came_from_));
    if (another && model_->rowCount() > 0) {
        list_->setCurrentIndex(model_->index(row, 0));
        list_->clearSelection();
    }
    if (!model_->isLoading()) came_from_.clear();
    filter_->setProblem(model_->criteriaProblem());
    filter_->setOwners(model_->listing().owners);
    refreshTotals();
}

/// The same folder, read, sorted or filtered again: what was selected stays so, as far as it is shown.
void GatheringSide::keepSelection() {
    const std::unordered_set<std::string> paths(selected_before_.begin(), selected_before_.end());
    auto wanted = selected_before_;
    if (!current_before_.empty()) wanted.push_back(current_before_);
    QItemSelection selection;
    for (const int row : model_->rowsOf(wanted)) {
        const QModelIndex first = model_->index(row, 0);
        const std::string path = model_->path(first);
        if (path == current_before_)
            list_->selectionModel()->setCurrentIndex(first, QItemSelectionModel::NoUpdate);
        if (paths.contains(path)) selection.select(first, model_->index(row, folder_column_count - 1));
    }
    list_->selectionModel()->select(selection, QItemSelectionModel::ClearAndSelect);
}

const std::string& GatheringSide::folder() const { return model_->folder(); }

void GatheringSide::openFolder(const std::string& path) { show_(path, true); }

void GatheringSide::openFolderAt(const std::string& path, const std::string& name) {
    openFolder(path);
    came_from_ = name;
}

void GatheringSide::show_(const std::string& path, bool remember) {
    if (remember && !folder().empty() && folder() != path) {
        back_.push_back(folder());
        forward_.clear();
    }
    remember_folder(path);
    if (const auto& arrivals = model_->arrivals(); arrivals && !is_within(path, arrivals->folder)) {
        arrivals_->show_(nullptr);
        model_->setArrivals(nullptr);
    }
    location_->setPath(path);
    {
        const QSignalBlocker quiet(filter_);  // another folder begins unfiltered
        filter_->clear();
        filter_->setBelow(false);
    }
    list_->setColumnHidden(number(FolderColumn::folder), true);
    pick_box_->reset();
    (void)model_->narrow({});
    model_->openFolder(path);
    emit folderChanged();
}

void GatheringSide::showArrivals(const std::shared_ptr<const Arrivals>& arrivals) {
    model_->setArrivals(arrivals);
    openFolder(arrivals->folder);
    arrivals_->show_(arrivals);
    view().setFocus();
}

void GatheringSide::goUp() {
    if (folder() == "/") return;
    const std::string below = folder();
    openFolderAt(std::string(parent_of(below)), std::string(name_of(below)));
}

void GatheringSide::goBack() {
    if (back_.empty()) return;
    forward_.push_back(folder());
    const std::string path = back_.back();
    back_.pop_back();
    show_(path, false);
}

void GatheringSide::goForward() {
    if (forward_.empty()) return;
    back_.push_back(folder());
    const std::string path = forward_.back();
    forward_.pop_back();
    show_(path, false);
}

void GatheringSide::editLocation() { location_->edit(); }
void GatheringSide::focusFilter() { filter_->focusLine(); }
void GatheringSide::focusPickBox() { pick_box_->focusBox(); }

void GatheringSide::pasteList() {
    pages_->setCurrentWidget(list_panel_);
    list_panel_->open();
}

bool GatheringSide::listHasFocus() const { return view().hasFocus(); }

std::vector<std::string> GatheringSide::selectedPaths() const {
    std::vector<std::string> paths;
    for (const int row : list_->selectedRowNumbers()) paths.push_back(model_->path(model_->index(row, 0)));
    return paths;
}

/// One key for the selected rows: all into the batch, or, where all are in it, all out of it.
void GatheringSide::togglePickOfSelected() {
    auto rows = list_->selectedRowNumbers();
    if (rows.empty() && list_->currentIndex().isValid()) rows.push_back(list_->currentIndex().row());
    if (!rows.empty()) togglePick(rows);
}

void GatheringSide::togglePick(const std::vector<int>& rows) {
    std::map<std::string, std::vector<std::string>> by_folder;
    bool all_in = true;
    for (const int row : rows) {
        std::string folder = model_->folderOf(row);
        const std::string& name = model_->row(row).name;
        all_in = all_in && bench_.picks().contain(folder, name);
        by_folder[std::move(folder)].push_back(name);
    }
    all_in ? bench_.unpickAll(by_folder, tr("Take out of the batch")) : bench_.pickAll(by_folder, tr("Pick"));
}

/// There may be very many: their names are put together on another thread.
void GatheringSide::pickShown() {
    const auto collect = [listing = model_->snapshot(), rows = model_->visible()](const std::stop_token&) {
        return changes_for(*listing, rows);
    };
    picker_.ask(this, collect, [this](const std::vector<Picks::Change>& changes) {
        bench_.apply(changes, tr("Pick all files shown"));
    });
}

void GatheringSide::invertSelection() {
    QItemSelection all(model_->index(0, 0), model_->index(model_->rowCount() - 1, folder_column_count - 1));
    if (model_->rowCount() > 0) list_->selectionModel()->select(all, QItemSelectionModel::Toggle);
}

void GatheringSide::activate(int row) {
    const QModelIndex index = model_->index(row, 0);
    if (model_->row(row).status.type == FileType::folder) return openFolder(model_->path(index));
    if (looks_like_archive(model_->row(row).name)) return openFolder(model_->path(index));
    open_in_its_program(model_->path(index));
}

bool GatheringSide::eventFilter(QObject* watched, QEvent* event) {
    const bool has_new_size = watched == view().viewport() && event->type() == QEvent::Resize;
    if (has_new_size || (watched == &view() && event->type() == QEvent::Show)) {
        empty_->setGeometry(QRect(QPoint(0, 0), view().viewport()->size()).adjusted(30, 20, -30, -20));
    } else if (watched == &view() && event->type() == QEvent::KeyPress) {
        const auto* key = static_cast<QKeyEvent*>(event);
        const int row = list_->currentIndex().row();
        if (key->key() == Qt::Key_Space && key->modifiers() == Qt::NoModifier) {
            togglePickOfSelected();
            return true;
        }
        if ((key->key() == Qt::Key_Return || key->key() == Qt::Key_Enter) &&
            key->modifiers() == Qt::NoModifier && row >= 0) {
            activate(row);
            return true;
        }
        if (key->key() == Qt::Key_Backspace) {
            goUp();
            return true;
        }
        if (key->key() == Qt::Key_Escape && !filter_->state().isEmpty()) {
            filter_->clear();
            return true;
        }
    }
    return QWidget::eventFilter(watched, event);
}

void GatheringSide::setLookShown(bool shown) {
    look_->setVisible(shown);
    lookAtCurrent();
}

void GatheringSide::lookAtCurrent() {
    if (!look_->isVisibleTo(this)) return;
    const QModelIndex index = list_->currentIndex();
    if (!index.isValid()) return look_->clear();
    look_->lookAt(model_->path(index), model_->row(index.row()).status,
                  kind_text(model_->row(index.row()), model_->kinds()));
}
