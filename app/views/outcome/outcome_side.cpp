// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/outcome/outcome_side.h"

#include <QButtonGroup>
#include <QDragEnterEvent>
#include <QFileDialog>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QMenu>
#include <QMimeData>
#include <QPushButton>
#include <QScrollBar>
#include <QVBoxLayout>
#include <algorithm>

#include "archive/archive_files.h"
#include "error_words.h"
#include "files/path.h"
#include "files/small_file.h"
#include "models/same_item.h"
#include "tasks/bench.h"
#include "tasks/file_clips.h"
#include "tasks/outcome_export.h"
#include "text.h"
#include "theme/lengths.h"
#include "theme/theme.h"
#include "views/outcome/batch_view.h"
#include "views/parts/building.h"
#include "views/parts/button_row.h"
#include "views/parts/elided_label.h"
#include "views/parts/opening.h"
#include "views/parts/pages.h"
#include "views/parts/printing.h"
#include "views/parts/row_delegates.h"
#include "views/parts/row_view.h"
#include "views/parts/segments.h"
#include "wording.h"

using namespace tavlo;

namespace {

/// A step of the first three, ticked once it is done.
QString step_row(int number, bool done, const QString& words) {
    const Theme& theme = Theme::current();
    return QStringLiteral(
               "<tr><td style='color:%1; padding:0 14px 10px 0'><b>%2</b></td><td style='color:%3; "
               "padding-bottom:10px'>%4</td></tr>")
        .arg(done ? theme.accent.name() : theme.ink.name(),
             done ? QStringLiteral("\u2713") : QString::number(number),
             done ? theme.muted.name() : theme.ink.name(), words.toHtmlEscaped());
}
constexpr std::size_t lines_printed = 20'000;  // some 400 pages

}  // namespace

OutcomeSide::OutcomeSide(Bench& bench, QWidget* parent) : QWidget(parent), bench_(bench) {
    setObjectName(QStringLiteral("outcome"));
    setAttribute(Qt::WA_StyledBackground);
    setAcceptDrops(true);
    model_ = new OutcomeModel(this);
    auto* column = column_on(this);
    buildHead(*column);
    pages_ = new Pages;
    column->addWidget(pages_, 1);
    auto* as_it_will_be = new QWidget;
    auto* below = column_on(as_it_will_be);
    buildList();
    below->addWidget(list_, 1);
    buildFoot(*below);
    batch_view_ = new BatchView(bench_);
    pages_->addWidget(as_it_will_be);
    pages_->addWidget(batch_view_);
    connectModel();
    connect(in_hand_, &QPushButton::toggled, this, [this](bool on) {
        pages_->setCurrentIndex(on ? 1 : 0);
        refresh();
    });
    connect(as_batch_, &QPushButton::toggled, this, [this](bool on) {
        if (model_->isFlat() != on) model_->setFlat(on);
        refresh();
    });
    connect(filter_, &QLineEdit::textChanged, this, [this](const QString& text) {
        model_->setNameFilter(text);
        refresh();
    });
    connect(next_, &QPushButton::clicked, this, &OutcomeSide::goToNextUndecided);
    connect(adapt_, &QPushButton::clicked, this,
            [this] { bench_.setNamesAdapted(!bench_.job().policy.adapt_names); });
    connect(&watched_, &WatchedFolder::changed, this, &OutcomeSide::destinationChanged);
    connect(&bench_, &Bench::viewChanged, this, &OutcomeSide::refresh);
    connect(&bench_, &Bench::viewChanged, this, &OutcomeSide::watchDestination);
    connect(&bench_, &Bench::jobChanged, this, &OutcomeSide::refresh);
    refresh();
}

void OutcomeSide::buildHead(QVBoxLayout& column) {
    auto* head = inset_row();
    title_ = new ElidedLabel;
    title_->setObjectName(QStringLiteral("outcomeTitle"));
    title_->setTextFormat(Qt::PlainText);
    make_bold(*title_);
    as_destination_ = named_button("asDestination", tr("Destination"));
    as_batch_ = named_button("asBatch", tr("Item by item"));
    in_hand_ = named_button("asInHand", tr("In hand"), tr("What was picked, and where it comes from"));
    filter_ = narrowing_line("outcomeFilter", tr("Find a name in the destination as it will be"),
                             tr("Find a name"));
    filter_->setMaximumWidth(std::max(
        digits(15.5), filter_->fontMetrics().horizontalAdvance(filter_->placeholderText()) + digits(4)));
    filter_->setMinimumWidth(digits(7));
    head->addWidget(title_, 1);
    head->addWidget(filter_, 1);
    add_segments(*head, *new QButtonGroup(this), {as_destination_, as_batch_, in_hand_});
    as_destination_->setChecked(true);
    column.addLayout(head);
}

void OutcomeSide::buildList() {
    list_ = new RowView;
    list_->setObjectName(QStringLiteral("outcomeList"));
    list_->setAccessibleName(tr("The destination as it will be"));
    list_->setModel(model_);
    auto* delegate = new OutcomeDelegate(list_);
    list_->setItemDelegate(delegate);
    list_->setRowHeight(lines(1.6));
    list_->horizontalHeader()->setSectionResizeMode(OutcomeModel::NameColumn, QHeaderView::Stretch);
    list_->setColumnWidth(OutcomeModel::SizeColumn, digits(8.5));
    list_->setColumnWidth(OutcomeModel::ChangedColumn, digits(16));
    list_->setColumnWidth(OutcomeModel::WhatColumn, digits(30.5));
    list_->installEventFilter(this);
    list_->viewport()->installEventFilter(
        this);  // not the list: that is told before its viewport has its new size
    list_->setContextMenuPolicy(Qt::CustomContextMenu);
    list_->setEditTriggers(QAbstractItemView::NoEditTriggers);
    empty_ = new QLabel(list_->viewport());
    empty_->setAlignment(Qt::AlignCenter);
    empty_->setWordWrap(true);
    set_tone(*empty_, "muted");
    connect(delegate, &OutcomeDelegate::decided, this, [this](const QModelIndex& index, Decision decision) {
        decide({model_->itemAt(index.row())}, decision);
    });
    connect(delegate, &OutcomeDelegate::folderToggled, this,
            [this](const QModelIndex& index) { model_->toggleFolder(index.row()); });
    connect(list_, &RowView::doubleClicked, this, [this](const QModelIndex& index) {
        if (index.siblingAtColumn(0).data(OutcomeModel::OpenableRole).toBool())
            model_->toggleFolder(index.row());
    });
    connect(list_, &QWidget::customContextMenuRequested, this, &OutcomeSide::openMenu);
}

void OutcomeSide::buildFoot(QVBoxLayout& column) {
    auto* foot = inset_row();
    summary_ = new ElidedLabel;
    summary_->setObjectName(QStringLiteral("outcomeSummary"));
    adapt_ = named_button("adaptNames", {},
                          tr("What the destination cannot hold under its name arrives under the nearest one "
                             "that it can; each is listed as renamed"));
    to_settle_ = named_label("toSettle", "amber");
    to_settle_->setWordWrap(false);
    make_bold(*to_settle_);
    next_ = named_button(
        "nextUndecided", tr("Next"),
        tr("To the next one that is undecided (N). On it: 1 skip, 2 overwrite, 3 rename, 0 undecided"));
    foot->addWidget(summary_, 1);
    for (QWidget* part : std::initializer_list<QWidget*>{adapt_, to_settle_, next_}) foot->addWidget(part);
    column.addLayout(foot);
}

void OutcomeSide::connectModel() {
    model_->setTyped([this](ItemId item) { return bench_.isTyped(item); });
    connect(model_, &OutcomeModel::nameTyped, this,
            [this](ItemId item, const QString& name) { bench_.typeName(item, to_bytes(name)); });
    connect(model_, &OutcomeModel::openFoldersChanged, this, &OutcomeSide::watchDestination);
    connect(model_, &OutcomeModel::foldersWanted, this, [this](const std::vector<std::string>& places) {
        reader_.post([this, places](const std::stop_token& stop) {
            const auto disk = make_disk_with_archives();
            AheadThreads alone(0);
            for (const auto& place : places) {
                const auto folder = disk->open_folder(place);
                auto held =
                    folder ? list_held(*disk, *folder, alone) : Result<HeldFolder>(failure(folder.error()));
                if (stop.stop_requested()) return;
                later(this,
                      [this, place,
                       found = std::make_shared<const HeldFolder>(held ? std::move(*held) : HeldFolder{}),
                       // one that a run has moved away is looked for no more
                       problem = held || held.error().fault == Fault::not_found ? QString()
                                                                                : error_words(held.error())] {
                          if (!problem.isEmpty()) emit said(problem);
                          model_->setExisting(place, found);
                      });
            }
        });
    });
}

void OutcomeSide::showBatch(bool batch) { (batch ? as_batch_ : as_destination_)->setChecked(true); }

void OutcomeSide::showInHand() { in_hand_->setChecked(true); }

void OutcomeSide::focusFilter() {
    if (in_hand_->isChecked()) as_destination_->setChecked(true);
    filter_->setFocus();
    filter_->selectAll();
}

void OutcomeSide::exportTo() {
    const auto tree = bench_.view().outcome;
    if (!tree) return emit said(tr("There is nothing to write yet: pick files and choose a destination."));
    const QString path = QFileDialog::getSaveFileName(
        this, tr("Write the destination as it will be"), QStringLiteral("outcome.txt"),
        tr("Tree (*.txt);;Table (*.csv);;Plan document (*.json)"));
    if (path.isEmpty()) return;
    const auto write = [tree, file = to_bytes(path)](const std::stop_token&) {
        return write_small_file(file, file.ends_with(".csv")    ? outcome_as_csv(*tree)
                                      : file.ends_with(".json") ? outcome_as_json(*tree)
                                                                : outcome_as_text(*tree));
    };
    exporter_.ask(this, write, [this, path](const Result<void>& written) {
        emit said(written ? tr("Written to %1.").arg(path) : error_words(written.error()));
    });
}

void OutcomeSide::print() {
    const auto tree = bench_.view().outcome;
    if (!tree) return emit said(tr("There is nothing to print yet: pick files and choose a destination."));
    print_page(*this, exporter_, tr("The destination as it will be"),
               [tree] { return outcome_as_html(*tree, lines_printed); });
}

/// What another program changes in the destination appears while one looks at it.
void OutcomeSide::watchDestination() {
    const auto& tree = bench_.view().outcome;
    std::vector<std::string> open = model_->openFolders();
    if (tree && tree->destination) {
        std::erase_if(open,
                      [&](const std::string& folder) { return !is_within(folder, tree->plan->destination); });
        return watched_.watch(tree->destination->exists ? tree->plan->destination : std::string(), open);
    }
    // the folders that things lie in
    std::string first;
    if (tree)
        for (const FolderId top : tree->tops)
            (first.empty() ? first : open.emplace_back()) = tree->standing().path(top);
    watched_.watch(first, open);
}

void OutcomeSide::showShare(std::optional<Share> share) {
    if (in_hand_->isChecked()) as_destination_->setChecked(true);
    model_->setShare(share);
    refresh();
}

std::vector<ItemId> OutcomeSide::selectedItems() const {
    std::vector<ItemId> items;
    auto rows = list_->selectedRowNumbers();
    if (rows.empty() && list_->currentIndex().isValid()) rows.push_back(list_->currentIndex().row());
    for (const int row : rows) {
        const ItemId item = model_->itemAt(row);
        if (item != no_item && std::find(items.begin(), items.end(), item) == items.end())
            items.push_back(item);
    }
    return items;
}

bool OutcomeSide::listHasFocus() const { return list_->hasFocus(); }

void OutcomeSide::typeName() {
    const QModelIndex name = list_->currentIndex().siblingAtColumn(OutcomeModel::NameColumn);
    if (name.isValid() && model_->flags(name).testFlag(Qt::ItemIsEditable)) list_->edit(name);
}

void OutcomeSide::typeOnlyName() {
    if (!bench_.plan() || bench_.plan()->items.empty()) return;
    if (in_hand_->isChecked()) as_destination_->setChecked(true);
    const int row = model_->rowOfItem(static_cast<ItemId>(bench_.plan()->items.size() - 1));
    if (row < 0) return;
    list_->setCurrentIndex(model_->index(row, OutcomeModel::NameColumn));
    list_->scrollTo(list_->currentIndex());
    typeName();
}

void OutcomeSide::decideSelected(Decision decision) { decide(selectedItems(), decision); }

void OutcomeSide::decide(const std::vector<ItemId>& items, Decision decision) {
    if (!items.empty()) bench_.decide(items, decision);
}

void OutcomeSide::goToNextUndecided() {
    const int row = model_->nextUndecided(std::max(0, list_->currentIndex().row()));
    if (row < 0) return;
    list_->setCurrentIndex(model_->index(row, 0));
    list_->scrollTo(model_->index(std::min(row + 1, model_->rowCount() - 1), 0));
    list_->setFocus();
}

void OutcomeSide::changeEvent(QEvent* event) {
    if (event->type() == QEvent::PaletteChange && empty_ != nullptr)
        refreshEmpty();  // its steps have the theme's colours
    QWidget::changeEvent(event);
}

void OutcomeSide::dragEnterEvent(QDragEnterEvent* event) {
    if (!from_mime(event->mimeData()).paths.empty()) event->acceptProposedAction();
}

/// What is dropped onto the destination is taken in hand: what will come of it is seen before it runs.
void OutcomeSide::dropEvent(QDropEvent* event) {
    Bench::ByFolder dropped;
    for (const auto& path : from_mime(event->mimeData()).paths)
        if (path != "/") dropped[std::string(parent_of(path))].emplace_back(name_of(path));
    if (dropped.empty()) return;
    event->setDropAction(Qt::CopyAction);  // whoever it was dragged from must not remove it
    event->accept();
    bench_.pickAll(std::move(dropped), tr("Drop onto the destination"));
}

bool OutcomeSide::eventFilter(QObject* watched, QEvent* event) {
    if (watched == list_->viewport() && event->type() == QEvent::Resize) {
        // names come first: with little room the words beside the tag go, then the dates
        const int names = digits(23);
        const int dates = list_->columnWidth(OutcomeModel::ChangedColumn) > 0
                              ? list_->columnWidth(OutcomeModel::ChangedColumn)
                              : digits(16);
        const int sizes = list_->columnWidth(OutcomeModel::SizeColumn);
        const int buttons = buttons_width(list_->font(), decision_choices());
        const int words = std::max(digits(23), buttons);
        const int width = list_->viewport()->width();
        const bool has_dates = width >= names + sizes + dates + words;
        list_->setColumnHidden(OutcomeModel::ChangedColumn, !has_dates);
        list_->setColumnWidth(OutcomeModel::WhatColumn,
                              std::clamp(width - names - sizes - (has_dates ? dates : 0), words,
                                         std::max(digits(30.5), buttons)));
        empty_->setGeometry(QRect(QPoint(0, 0), list_->viewport()->size()).adjusted(30, 20, -30, -20));
    } else if (watched == list_ && event->type() == QEvent::KeyPress) {
        const auto* key = static_cast<QKeyEvent*>(event);
        const QModelIndex current = list_->currentIndex().siblingAtColumn(0);
        const bool openable = current.isValid() && current.data(OutcomeModel::OpenableRole).toBool();
        const bool open = current.isValid() && current.data(OutcomeModel::OpenRole).toBool();
        switch (key->key()) {
            case Qt::Key_0: decideSelected(Decision::undecided); return true;
            case Qt::Key_1: decideSelected(Decision::skip); return true;
            case Qt::Key_2: decideSelected(Decision::overwrite); return true;
            case Qt::Key_3: decideSelected(Decision::rename); return true;
            case Qt::Key_N: goToNextUndecided(); return true;
            case Qt::Key_Return:
            case Qt::Key_Enter:
                if (openable)
                    model_->toggleFolder(current.row());
                else if (const std::string path = pathOf(current.row()); !path.empty())
                    open_in_its_program(path);
                return true;
            case Qt::Key_Right:
                if (openable && !open) model_->toggleFolder(current.row());
                return true;
            case Qt::Key_Left:
                if (openable && open) model_->toggleFolder(current.row());
                return true;
            default: break;
        }
    }
    return QWidget::eventFilter(watched, event);
}

/// What comes first, until there is something to be seen.
QString OutcomeSide::firstSteps() const {
    const bool picked = bench_.picks().count() > 0;
    return QStringLiteral("<table width='420' align='center'>") +
           step_row(1, picked,
                    tr("Pick what is to go: a click at the edge of a row on the left, or Space.")) +
           step_row(2, !bench_.job().into.empty(),
                    tr("Say where it goes: the amber words in the sentence, or Put here while that folder is "
                       "on view.")) +
           step_row(
               3, false,
               tr("Look here at what will happen, before anything does; decide what is asked, and start.")) +
           QStringLiteral("</table>");
}

QString OutcomeSide::titleInPlace() const {
    const auto folders = bench_.picks().folders();
    if (model_->share()) return tr("Only these of the batch");
    if (as_batch_->isChecked()) return tr("The batch, item by item");
    return folders.size() == 1 ? tr("%1 as it will be").arg(short_path(folders.front(), 1))
                               : tr("The folders as they will be");
}

/// The rows are new, but somebody is looking at a place in them: keep it.
void OutcomeSide::showPlan() {
    const auto before = model_->plan();
    const auto& plan = bench_.plan();
    const ItemId current = before ? model_->itemAt(list_->currentIndex().row()) : no_item;
    const bool on_held = list_->currentIndex().isValid() &&
                         list_->currentIndex().data(OutcomeModel::KindRole).toInt() == OutcomeModel::HeldLine;
    const int scrolled = list_->verticalScrollBar()->value();
    const bool is_first_of_kind = !before || (plan && before->operation != plan->operation);
    model_->setTree(bench_.view().outcome);
    const ItemId now = current != no_item && plan ? same_item(*plan, *before, current) : no_item;
    if (const int row = now == no_item ? -1 : model_->rowOfItem(now); row >= 0)
        list_->setCurrentIndex(model_->index(std::min(row + (on_held ? 1 : 0), model_->rowCount() - 1), 0));
    list_->verticalScrollBar()->setValue(scrolled);
    if (!is_first_of_kind || !plan || !plan->standing) return;
    // of folders that things lie in, what changes comes into view
    for (int row = 0; row < model_->rowCount(); ++row)
        if (model_->itemAt(row) != no_item)
            return list_->scrollTo(model_->index(row, 0), QAbstractItemView::PositionAtCenter);
}

void OutcomeSide::refresh() {
    if (model_->plan() != bench_.plan()) showPlan();
    refreshTitle();
    refreshSummary();
    refreshEmpty();
}
