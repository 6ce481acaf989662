#include "views/gathering_side.h"

#include <QDir>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QMenu>
#include <QPushButton>
#include <QStandardPaths>
#include <QVBoxLayout>
#include <unordered_set>

#include "files/path.h"
#include "models/folder_model.h"
#include "tasks/bench.h"
#include "text.h"
#include "theme/theme.h"
#include "views/row_delegates.h"
#include "views/row_view.h"

using namespace tavlo;

namespace {
constexpr std::size_t most_kept_selected = 2000;  // beyond that finding them again would hold the window
}

GatheringSide::GatheringSide(Bench& bench, QWidget* parent) : QWidget(parent), bench_(bench) {
    setObjectName(QStringLiteral("gathering"));
    setAttribute(Qt::WA_StyledBackground);
    model_ = new FolderModel(bench_, this);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(0);

    auto* head = new QVBoxLayout;
    head->setContentsMargins(14, 10, 14, 8);
    head->setSpacing(8);
    auto* where = new QHBoxLayout;
    location_ = new QLineEdit;
    location_->setObjectName(QStringLiteral("location"));
    location_->setAccessibleName(tr("Folder shown"));
    up_ = new QPushButton(tr("Up"));
    up_->setObjectName(QStringLiteral("up"));
    up_->setToolTip(tr("The folder above (Alt+Up)"));
    places_ = new QPushButton(tr("Places"));
    places_->setObjectName(QStringLiteral("places"));
    auto* here = new QPushButton(tr("Put here"));
    here->setObjectName(QStringLiteral("putHere"));
    here->setToolTip(tr("Make the folder shown the destination"));
    where->addWidget(location_, 1);
    where->addWidget(up_);
    where->addWidget(places_);
    where->addWidget(here);
    head->addLayout(where);
    filter_ = new QLineEdit;
    filter_->setObjectName(QStringLiteral("filter"));
    filter_->setAccessibleName(tr("Name filter"));
    filter_->setPlaceholderText(tr("Show names with… (words, *.pdf, -draft leaves out)"));
    filter_->setClearButtonEnabled(true);
    head->addWidget(filter_);
    column->addLayout(head);

    list_ = new RowView;
    list_->setObjectName(QStringLiteral("folderList"));
    list_->setAccessibleName(tr("Files in this folder"));
    list_->setModel(model_);
    auto* delegate = new FolderDelegate(list_);
    list_->setItemDelegate(delegate);
    list_->setRowHeight(26);
    list_->setSortingEnabled(true);
    list_->sortByColumn(FolderModel::NameColumn, Qt::AscendingOrder);
    list_->horizontalHeader()->setSectionResizeMode(FolderModel::NameColumn, QHeaderView::Stretch);
    list_->setColumnWidth(FolderModel::SizeColumn, 80);
    list_->setColumnWidth(FolderModel::ChangedColumn, 138);
    list_->installEventFilter(this);
    column->addWidget(list_, 1);
    empty_ = new QLabel(list_->viewport());
    empty_->setAlignment(Qt::AlignCenter);
    empty_->setWordWrap(true);

    auto* foot = new QHBoxLayout;
    foot->setContentsMargins(14, 7, 14, 7);
    totals_ = new QLabel;
    totals_->setObjectName(QStringLiteral("folderTotals"));
    in_batch_ = new QLabel;
    in_batch_->setObjectName(QStringLiteral("pickedHere"));
    foot->setSpacing(14);
    set_tone(*in_batch_, "accent");
    set_tone(*empty_, "muted");
    foot->addWidget(totals_, 1);
    foot->addWidget(in_batch_);
    column->addLayout(foot);

    connect(location_, &QLineEdit::returnPressed, this, [this] {
        QString text = location_->text();
        if (text == QStringLiteral("~") || text.startsWith(QStringLiteral("~/"))) text = QDir::homePath() + text.mid(1);
        openFolder(normalised(to_bytes(text), folder()));
        list_->setFocus();
    });
    connect(up_, &QPushButton::clicked, this, &GatheringSide::goUp);
    connect(places_, &QPushButton::clicked, this, &GatheringSide::fillPlaces);
    connect(here, &QPushButton::clicked, this, [this] { bench_.setDestination(folder()); });
    connect(filter_, &QLineEdit::textChanged, model_, &FolderModel::setFilter);
    connect(delegate, &FolderDelegate::pickToggled, this,
            [this](const QModelIndex& index) { togglePick({model_->row(index.row()).name}); });
    connect(list_, &RowView::doubleClicked, this, [this](const QModelIndex& index) { activate(index.row()); });
    connect(model_, &FolderModel::modelAboutToBeReset, this, [this] {
        const auto names = selectedNames();
        selected_before_ = names.size() <= most_kept_selected ? names : std::vector<std::string>();
        const int row = list_->currentIndex().row();
        current_before_ = row >= 0 ? model_->row(row).name : std::string();
    });
    connect(model_, &FolderModel::loaded, this, [this](bool another) {
        if (!another) keepSelection();
        const int row = came_from_.empty() ? 0 : std::max(0, model_->rowOf(came_from_));
        if (another && model_->rowCount() > 0) {
            list_->setCurrentIndex(model_->index(row, 0));
            list_->clearSelection();
        }
        came_from_.clear();
        refreshTotals();
    });
    connect(list_->selectionModel(), &QItemSelectionModel::selectionChanged, this, &GatheringSide::refreshTotals);
    connect(&bench_, &Bench::requestChanged, this, &GatheringSide::refreshTotals);
}

/// The same folder, read, sorted or filtered again: what was selected stays so, as far as it is shown.
void GatheringSide::keepSelection() {
    const std::unordered_set<std::string> names(selected_before_.begin(), selected_before_.end());
    QItemSelection selection;
    int current = -1;
    for (int row = 0; row < model_->rowCount() && !(names.empty() && current_before_.empty()); ++row) {
        const auto& name = model_->row(row).name;
        if (names.contains(name)) selection.select(model_->index(row, 0), model_->index(row, FolderModel::ColumnCount - 1));
        if (name == current_before_) current = row;
    }
    if (current >= 0) list_->selectionModel()->setCurrentIndex(model_->index(current, 0), QItemSelectionModel::NoUpdate);
    list_->selectionModel()->select(selection, QItemSelectionModel::ClearAndSelect);
}

const std::string& GatheringSide::folder() const { return model_->folder(); }

void GatheringSide::openFolder(const std::string& path) { show_(path, true); }

void GatheringSide::show_(const std::string& path, bool remember) {
    if (remember && !folder().empty() && folder() != path) {
        back_.push_back(folder());
        forward_.clear();
    }
    location_->setText(shown(path));
    {
        const QSignalBlocker quiet(filter_);  // another folder begins unfiltered
        filter_->clear();
    }
    model_->openFolder(path);
    emit folderChanged();
}

void GatheringSide::goUp() {
    if (folder() == "/") return;
    const std::string below(name_of(folder()));
    openFolder(std::string(parent_of(folder())));
    came_from_ = below;
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

void GatheringSide::focusFilter() {
    filter_->setFocus();
    filter_->selectAll();
}

std::vector<std::string> GatheringSide::selectedNames() const {
    std::vector<std::string> names;
    for (const int row : list_->selectedRowNumbers()) names.push_back(model_->row(row).name);
    return names;
}

/// One key for the selected rows: all into the batch, or, where all are in it, all out of it.
void GatheringSide::togglePickOfSelected() {
    auto names = selectedNames();
    if (names.empty() && list_->currentIndex().isValid()) names.push_back(model_->row(list_->currentIndex().row()).name);
    if (!names.empty()) togglePick(names);
}

void GatheringSide::togglePick(const std::vector<std::string>& names) {
    const std::string& shown_folder = model_->listing().path;
    const bool all_in = std::all_of(names.begin(), names.end(), [&](const auto& name) { return bench_.isPicked(shown_folder, name); });
    all_in ? bench_.unpick(shown_folder, names) : bench_.pick(shown_folder, names);
}

void GatheringSide::pickShown() {
    std::vector<std::string> names;
    names.reserve(static_cast<std::size_t>(model_->rowCount()));
    for (int row = 0; row < model_->rowCount(); ++row)
        if (model_->row(row).status.type != FileType::folder) names.push_back(model_->row(row).name);
    bench_.pick(model_->listing().path, std::move(names));
}

void GatheringSide::activate(int row) {
    const QModelIndex index = model_->index(row, 0);
    if (model_->row(row).status.type == FileType::folder) return openFolder(model_->path(index));
    togglePick({model_->row(row).name});
}

bool GatheringSide::eventFilter(QObject* watched, QEvent* event) {
    if (watched == list_ && event->type() == QEvent::Resize) {
        empty_->setGeometry(QRect(QPoint(0, 0), list_->viewport()->size()).adjusted(30, 20, -30, -20));
    } else if (watched == list_ && event->type() == QEvent::KeyPress) {
        const auto* key = static_cast<QKeyEvent*>(event);
        const int row = list_->currentIndex().row();
        if (key->key() == Qt::Key_Space && key->modifiers() == Qt::NoModifier) {
            togglePickOfSelected();
            return true;
        }
        if ((key->key() == Qt::Key_Return || key->key() == Qt::Key_Enter) && row >= 0) {
            activate(row);
            return true;
        }
        if (key->key() == Qt::Key_Backspace) {
            goUp();
            return true;
        }
    }
    return QWidget::eventFilter(watched, event);
}

void GatheringSide::refreshTotals() {
    const Listing& listing = model_->listing();
    const auto selected = list_->selectionModel()->selectedRows().size();
    QString text;
    if (model_->rowCount() == static_cast<int>(listing.rows.size()))
        text = tr("%Ln here", nullptr, static_cast<int>(listing.rows.size()));
    else if (filter_->text().isEmpty())
        text = tr("%1 here, %2 hidden")
                   .arg(count_text(static_cast<std::uint64_t>(model_->rowCount())),
                        count_text(listing.rows.size() - static_cast<std::size_t>(model_->rowCount())));
    else
        text = tr("%1 of %2 shown").arg(count_text(static_cast<std::uint64_t>(model_->rowCount())), count_text(listing.rows.size()));
    text += tr(" · %Ln folders", nullptr, static_cast<int>(listing.folders));
    text += tr(" · %1").arg(size_text(listing.bytes));
    if (selected > 0) text += tr(" · %Ln selected", nullptr, static_cast<int>(selected));
    totals_->setText(text);
    const auto here = bench_.pickedIn(listing.path);
    in_batch_->setText(here > 0 ? tr("<b>%Ln in the batch from here</b>", nullptr, static_cast<int>(here)) : QString());
    if (!listing.problem.isEmpty())
        empty_->setText(tr("This folder cannot be read: %1").arg(listing.problem));
    else if (listing.rows.empty())
        empty_->setText(model_->isLoading() ? QString() : tr("This folder is empty."));
    else if (model_->rowCount() == 0)
        empty_->setText(filter_->text().isEmpty() ? tr("Everything here is hidden (Ctrl+H shows it).")
                                                  : tr("No name here fits “%1”.").arg(filter_->text()));
    else
        empty_->clear();
}

void GatheringSide::fillPlaces() {
    QMenu menu(this);
    const auto add = [&](const QString& words, const QString& path) {
        if (!path.isEmpty()) menu.addAction(words, this, [this, path] { openFolder(to_bytes(path)); });
    };
    add(tr("Home"), QDir::homePath());
    add(tr("Desktop"), QStandardPaths::writableLocation(QStandardPaths::DesktopLocation));
    add(tr("Documents"), QStandardPaths::writableLocation(QStandardPaths::DocumentsLocation));
    add(tr("Downloads"), QStandardPaths::writableLocation(QStandardPaths::DownloadLocation));
    add(tr("Pictures"), QStandardPaths::writableLocation(QStandardPaths::PicturesLocation));
    add(tr("File system"), QStringLiteral("/"));
    if (!bench_.request().destination.empty()) {
        menu.addSeparator();
        add(tr("Destination: %1").arg(short_path(bench_.request().destination)), shown(bench_.request().destination));
    }
    menu.exec(places_->mapToGlobal(QPoint(0, places_->height())));
}
