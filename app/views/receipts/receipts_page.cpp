// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/receipts/receipts_page.h"

#include <QComboBox>
#include <QFileDialog>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QListView>
#include <QMenu>
#include <QPainter>
#include <QPushButton>
#include <QStyledItemDelegate>
#include <QVBoxLayout>
#include <algorithm>
#include <map>

#include "models/outcome_model.h"
#include "models/receipt_cells.h"
#include "models/receipt_models.h"
#include "tasks/keeping.h"
#include "tasks/outcome_export.h"
#include "tasks/past_runs.h"
#include "text.h"
#include "theme/lengths.h"
#include "theme/theme.h"
#include "views/parts/building.h"
#include "views/parts/button_row.h"
#include "views/parts/named_combo.h"
#include "views/parts/opening.h"
#include "views/parts/pages.h"
#include "views/parts/printing.h"
#include "views/parts/row_delegates.h"
#include "views/parts/row_or_column.h"
#include "views/parts/row_view.h"
#include "views/parts/spacing.h"
#include "views/parts/three_line_delegate.h"
#include "views/parts/with_focus.h"
#include "wording.h"

using namespace tavlo;

ReceiptsPage::ReceiptsPage(PastRuns& past, QWidget* parent) : QWidget(parent), past_(past) {
    receipts_ = new ReceiptsModel(this);
    items_ = new ReceiptItemsModel(this);
    undo_items_ = new OutcomeModel(this);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(Inset::none);
    auto* list = buildList();
    row->addWidget(split(Qt::Horizontal, {{list, 380}, {buildDetail(), 816, true}}));
    connectList();
    connectItems();
    connectActions();
    leaveUndoPlan();
}

QWidget* ReceiptsPage::buildList() {
    auto* left = new QWidget;
    left->setObjectName(QStringLiteral("receiptList"));
    left->setAttribute(Qt::WA_StyledBackground);
    auto* column = new QVBoxLayout(left);
    space_out(column, Inset::none, Gap::none);
    search_ = new QLineEdit;
    search_->setObjectName(QStringLiteral("receiptSearch"));
    search_->setAccessibleName(tr("Where did a file go?"));
    search_->setPlaceholderText(tr("Where did it go? A file or folder name"));
    search_->setClearButtonEnabled(true);
    auto* search_row = new QHBoxLayout;
    search_row->setContentsMargins(Inset::panel);
    search_row->addWidget(search_);
    column->addLayout(search_row);
    cut_ = new QLabel(
        tr("Very many: the newest %1 of them. Another word narrows it.").arg(count_text(FoundItems::most)));
    cut_->setObjectName(QStringLiteral("searchCut"));
    cut_->setContentsMargins(Inset::below);
    cut_->setWordWrap(true);
    set_tone(*cut_, "muted");
    cut_->hide();
    column->addWidget(cut_);
    list_ = new WithFocus<QListView>;
    list_->setObjectName(QStringLiteral("receipts"));
    list_->setAccessibleName(tr("Past runs"));
    list_->setModel(receipts_);
    list_->setItemDelegate(new ThreeLineDelegate(
        {ReceiptsModel::CountsRole, ReceiptsModel::WhenRole, ReceiptsModel::StateRole}, list_));
    list_->setUniformItemSizes(true);
    list_->setFrameShape(QFrame::NoFrame);
    column->addWidget(list_);
    keeping_ = new QPushButton;
    keeping_->setObjectName(QStringLiteral("receiptsKeeping"));
    keeping_->setProperty("plain", true);
    keeping_->setProperty("foot", true);
    keeping_->setToolTip(tr("Receipts of runs of which the Safe still holds versions stay in any case"));
    column->addWidget(keeping_);
    showKeeping();
    nothing_ = new QLabel(list_);
    nothing_->setWordWrap(true);
    nothing_->setGeometry(20, 30, 280, 70);
    nothing_->hide();
    return left;
}

QWidget* ReceiptsPage::buildDetail() {
    auto* right = new QWidget;
    right->setObjectName(QStringLiteral("receiptDetail"));
    right->setAttribute(Qt::WA_StyledBackground);
    auto* column = new QVBoxLayout(right);
    space_out(column, Inset::none, Gap::none);
    auto* head = new QHBoxLayout;
    space_out(head, Inset::panel, Gap::beside);
    auto* words = new QVBoxLayout;
    title_ = new QLabel;
    title_->setObjectName(QStringLiteral("receiptTitle"));
    note_ = new QLabel;
    note_->setObjectName(QStringLiteral("receiptNote"));
    set_tone(*note_, "muted");
    for (QLabel* label : {title_, note_}) {
        label->setTextFormat(Qt::PlainText);
        label->setWordWrap(true);
        words->addWidget(label);
    }
    head->addLayout(words, 1);
    auto* actions = new QHBoxLayout;
    actions->setSpacing(Gap::beside);
    buildActions(*actions);
    head->addLayout(actions);
    column->addLayout(head);
    new RowOrColumn(*right, *head, digits(88));
    table_ = new RowView;
    table_->setObjectName(QStringLiteral("receiptItems"));
    table_->setAccessibleName(tr("Items of this run"));
    table_->setModel(items_);
    show_receipt_rows(*table_, digits(31.5));
    offer_opening(*table_, [this](const QModelIndex& at) { return items_->place(at.row()); });
    auto* undo_table = new RowView;
    undo_table->setObjectName(QStringLiteral("undoItems"));
    undo_table->setAccessibleName(tr("What the undo would do"));
    undo_table->setModel(undo_items_);
    undo_table->setItemDelegate(new OutcomeDelegate(undo_table));
    undo_table->setRowHeight(lines(1.6));
    undo_table->horizontalHeader()->setSectionResizeMode(OutcomeModel::NameColumn, QHeaderView::Stretch);
    undo_table->setColumnWidth(OutcomeModel::SizeColumn, digits(9.5));
    undo_table->setColumnWidth(OutcomeModel::ChangedColumn, digits(16.5));
    undo_table->setColumnWidth(OutcomeModel::WhatColumn, digits(27.5));
    stack_ = new Pages;
    stack_->addWidget(table_);
    stack_->addWidget(undo_table);
    column->addWidget(stack_, 1);
    return right;
}

void ReceiptsPage::buildActions(QHBoxLayout& head) {
    results_ = new NamedCombo(tr("Which results are shown"));
    results_->setObjectName(QStringLiteral("receiptResults"));
    head.addWidget(results_, 0, Qt::AlignTop);
    results_->hide();  // until there is a receipt to do something with, like all of these
    const auto add = [&](const char* name, const QString& words, const QString& tip = {}) {
        auto* button = new QPushButton(words);
        button->setObjectName(QLatin1String(name));
        button->setToolTip(tip);
        head.addWidget(button, 0, Qt::AlignTop);
        button->hide();
        return button;
    };
    more_ = add("receiptMore", tr("More…"), tr("Check again, write to a file, print"));
    free_ = add("freeRoom", {},
                tr("Removes from the Safe what this undo took away, as far as its source still holds the "
                   "same bytes"));
    keep_ = add("leaveUndo", tr("Leave it as it is"));
    free_now_ = add("freeRoomNow", tr("Remove for good"));
    undo_now_ = add("undoNow", {});
    undo_now_->setProperty("role", "primary");
    go_on_ = add("receiptGoOn", tr("Go on"), tr("Does the rest of what this run was to do"));
    undo_ = add("undo", tr("Undo…"), tr("Shows first what an undo would do"));
}

/// The receipts, and what of them is searched for.
void ReceiptsPage::connectList() {
    connect(list_->selectionModel(), &QItemSelectionModel::currentChanged, this,
            [this](const QModelIndex& index) {
                if (index.isValid()) past_.open(receipts_->head(index.row()).id);
            });
    connect(search_, &QLineEdit::textChanged, this, [this](const QString& wanted) {
        if (wanted.trimmed().size() >= 2) return past_.search(wanted);
        found_.reset();
        cut_->hide();
        past_.list();
        showChosen();
    });
    connect(&past_, &PastRuns::found, this, [this](const QString& wanted, const auto& items) {
        if (wanted != search_->text()) return;
        found_ = items;
        cut_->setVisible(items->there_are_more);
        past_.list();
        showChosen();
    });
    connect(keeping_, &QPushButton::clicked, this, &ReceiptsPage::fillKeepingMenu);
    connect(&past_, &PastRuns::listed, this, [this](const auto& listed) { showList(listed); });
    connect(&past_, &PastRuns::opened, this, &ReceiptsPage::show_);
    connect(&past_, &PastRuns::failed, this, [this](const QString& why) { note_->setText(why); });
}

void ReceiptsPage::showList(const std::shared_ptr<const std::vector<ReceiptHead>>& listed) {
    auto heads = listed;
    if (found_) {
        auto touching = std::make_shared<std::vector<ReceiptHead>>();
        for (const ReceiptHead& one : *listed)
            if (found_->by_receipt.contains(one.id)) touching->push_back(one);
        heads = touching;
    }
    nothing_->setText(
        found_ ? tr("No run had to do with such a name.")
               : tr("Nothing has been run yet. Each run leaves a receipt here that can be undone."));
    nothing_->setVisible(heads->empty());
    const std::string keep = wanted_.empty() ? head_.id : wanted_;
    wanted_.clear();
    int current = -1;
    {
        const QSignalBlocker quiet(list_->selectionModel());  // a list read again is not a choice made again
        receipts_->setHeads(heads);
        if (!heads->empty()) current = std::max(0, receipts_->rowOf(keep));
        list_->setCurrentIndex(receipts_->index(current));
    }
    list_->viewport()->update();
    if (current < 0) return;
    const ReceiptHead& now = receipts_->head(current);
    const auto undos = std::count_if(listed->begin(), listed->end(),
                                     [&](const ReceiptHead& one) { return one.undoes == now.id; });
    const bool was_undone = std::exchange(undos_, undos) != undos;
    if (was_undone || now.id != head_.id || now.undone_by != head_.undone_by ||
        now.finished_ns != head_.finished_ns)
        past_.open(now.id);
}

/// The items of the one on view.
void ReceiptsPage::connectItems() {
    connect(results_, &QComboBox::activated, this, [this](int at) {
        const int result = results_->itemData(at).toInt();
        if (result >= 0) return past_.findNumbers(head_.id, static_cast<Outcome>(result));
        with_result_.reset();
        showChosen();
    });
    connect(&past_, &PastRuns::numbersFound, this,
            [this](const std::string& receipt, Outcome result, const auto& numbers) {
                if (receipt != head_.id || results_->currentData().toInt() != static_cast<int>(result))
                    return;
                with_result_ = numbers;
                showChosen();
            });
    connect(items_, &ReceiptItemsModel::pageWanted, &past_, &PastRuns::fetch);
    connect(&past_, &PastRuns::fetched, this,
            [this](const std::string& receipt, std::uint64_t first, const auto& items) {
                items_->takePage(receipt, first, *items);
            });
    connect(&past_, &PastRuns::keptLess, this, [this](const std::string& receipt, std::uint64_t items) {
        if (receipt == head_.id && !undo_plan_)
            note_->setText(note_->text() +
                           tr(" · %Ln could not keep everything", nullptr, static_cast<int>(items)));
    });
    connect(table_->selectionModel(), &QItemSelectionModel::selectionChanged, this, &ReceiptsPage::offerUndo);
    connect(items_, &QAbstractItemModel::modelReset, this, &ReceiptsPage::offerUndo);
    connect(&past_, &PastRuns::checked, this, [this](const std::string& receipt, const auto& differs) {
        if (receipt != head_.id) return;
        items_->setDifferences(differs);
        note_->setText(differs->empty() ? tr("Read again: all of it is as the run left it.")
                                        : tr("Read again: %Ln items are no longer as the run left them.",
                                             nullptr, static_cast<int>(differs->size())));
        set_tone(*note_, differs->empty() ? "accent" : "amber");
    });
}

void ReceiptsPage::connectActions() {
    connect(&past_, &PastRuns::exported, this,
            [this](const QString& file) { emit said(tr("Written to %1.").arg(file)); });
    connect(more_, &QPushButton::clicked, this, &ReceiptsPage::fillMoreMenu);
    connect(go_on_, &QPushButton::clicked, this,
            [this] { emit resumeRequested(head_.id, receipt_title(head_)); });
    connect(undo_, &QPushButton::clicked, this, [this] { past_.planUndo(head_.id, chosenNumbers()); });
    connect(&past_, &PastRuns::undoPlanned, this,
            [this](const std::string&, const auto& undo) { showUndoPlan(undo); });
    connect(keep_, &QPushButton::clicked, this, [this] { past_.open(head_.id); });
    connect(undo_now_, &QPushButton::clicked, this, [this] {
        emit undoRequested(undo_plan_, tr("Undo: %1").arg(receipt_title(head_)));
        leaveUndoPlan();
        undo_->setEnabled(false);
    });
    connect(free_, &QPushButton::clicked, this, &ReceiptsPage::askToFree);
    connect(free_now_, &QPushButton::clicked, this, [this] {
        leaveUndoPlan();
        free_->setEnabled(false);
        past_.freeRoom(head_.id);
    });
    connect(&past_, &PastRuns::freeing, this,
            [this](const std::string& receipt, std::uint64_t done, std::uint64_t of) {
                if (receipt == head_.id)
                    note_->setText(tr("Reading and removing: %1 of %2 versions looked at")
                                       .arg(count_text(done), count_text(of)));
            });
    connect(&past_, &PastRuns::freed, this,
            [this](const std::string& receipt, std::uint64_t removed, std::uint64_t kept) {
                if (receipt != head_.id) return;
                past_.open(receipt);
                QString freed = tr("%Ln versions are gone for good.", nullptr, static_cast<int>(removed));
                if (kept > 0)
                    freed += QLatin1Char(' ') +
                             tr("%Ln stay in the Safe, as their source does not hold the same bytes now.",
                                nullptr, static_cast<int>(kept));
                emit said(freed);
            });
}

void ReceiptsPage::refresh() { past_.list(); }

void ReceiptsPage::openReceipt(const std::string& id) {
    wanted_ = id;
    past_.list();
}

void ReceiptsPage::show_(const OpenedReceipt& opened) {
    head_ = opened.head;
    leaveUndoPlan();
    title_->setText(receipt_title(head_));
    QString note =
        tr("%1 · %2 · %Ln items", nullptr, static_cast<int>(opened.count + (opened.has_rest ? 1 : 0)))
            .arg(date_text_full(head_.started_ns), receipt_state(head_));
    if (!head_.waits_for.empty()) note += tr(" · waited for room: %1").arg(shown(head_.waits_for));
    if (!head_.undone_by.empty())
        note += tr(" · undone by %1").arg(QString::fromStdString(head_.undone_by));
    else if (!opened.taken_back.empty())
        note += tr(" · %Ln taken back since", nullptr, static_cast<int>(opened.taken_back.size()));
    in_safe_ = opened.in_safe;
    if (in_safe_.versions > 0)
        note += tr(" · left %Ln versions in the Safe, %1", nullptr, static_cast<int>(in_safe_.versions))
                    .arg(size_text(in_safe_.bytes));
    note_->setText(note);
    set_tone(*note_, "muted");
    free_->setText(tr("Free %1…").arg(size_text(in_safe_.bytes)));
    free_->setEnabled(true);
    free_->setVisible(in_safe_.versions > 0);
    with_result_.reset();
    showResults();
    items_->setReceipt(head_.id, head_.destination, opened.count, opened.has_rest);
    items_->setTakenBack(opened.taken_back);
    showChosen();
    undo_->setVisible(true);
    undo_->setEnabled(head_.undone_by.empty());
    go_on_->setVisible(head_.state != RunState::done && head_.undone_by.empty() && !opened.alive);
    offerUndo();
}

/// Only the items that the search is about, or that came out so.
void ReceiptsPage::showChosen() {
    if (!found_) return items_->setNumbers(with_result_ ? std::optional(*with_result_) : std::nullopt);
    const auto found = found_->by_receipt.find(head_.id);
    auto numbers = found == found_->by_receipt.end() ? std::vector<std::uint64_t>() : found->second;
    if (with_result_)
        std::erase_if(numbers, [this](std::uint64_t one) {
            return !std::binary_search(with_result_->begin(), with_result_->end(), one);
        });
    items_->setNumbers(found == found_->by_receipt.end() ? std::nullopt : std::optional(std::move(numbers)));
}

void ReceiptsPage::showResults() {
    results_->clear();
    results_->addItem(tr("All results"), -1);
    for (std::size_t at = 0; at < outcome_count; ++at) {
        const auto result = static_cast<Outcome>(at);
        if (head_.totals.of(result) > 0)
            results_->addItem(
                tr("%1: %2").arg(result_words(result, head_.operation), count_text(head_.totals.of(result))),
                static_cast<int>(at));
    }
    results_->setVisible(results_->count() > 2);
}

/// The numbers of the selected rows; empty where none is, or all are.
std::vector<std::uint64_t> ReceiptsPage::chosenNumbers() const {
    std::vector<std::uint64_t> numbers;
    if (chosenCount() > 0)
        table_->selectedRows().each([&](int row) { numbers.push_back(items_->number(row)); });
    return numbers;
}

int ReceiptsPage::chosenCount() const {
    const int rows = table_->selectedRows().count();
    const bool shows_all = !found_ && !with_result_;
    return shows_all && rows == items_->rowCount() ? 0 : rows;
}

void ReceiptsPage::offerUndo() {
    const int chosen = chosenCount();
    undo_->setText(chosen > 0 ? tr("Undo %Ln chosen…", nullptr, chosen) : tr("Undo…"));
    undo_->setToolTip(!head_.undone_by.empty() ? tr("This run has been undone already")
                      : chosen > 0
                          ? tr("Shows first what an undo of the selected items would do")
                          : tr("Shows first what an undo would do; with items selected, of these alone"));
}

void ReceiptsPage::showUndoPlan(const std::shared_ptr<const PlanList>& undo) {
    undo_plan_ = undo->plan;
    undo_items_->setList(undo);
    const Totals& totals = undo->plan->totals;
    QStringList parts;
    if (totals.of(Outcome::removed) > 0)
        parts << tr("%Ln taken away (files to the Safe)", nullptr,
                    static_cast<int>(totals.of(Outcome::removed)));
    if (totals.of(Outcome::restored) > 0)
        parts << tr("%Ln put back", nullptr, static_cast<int>(totals.of(Outcome::restored)));
    if (totals.of(Outcome::undecided) > 0)
        parts << tr("%Ln left alone, changed since", nullptr,
                    static_cast<int>(totals.of(Outcome::undecided)));
    if (totals.of(Outcome::skipped) > 0)
        parts << tr("%Ln folders stay, as they hold something", nullptr,
                    static_cast<int>(totals.of(Outcome::skipped)));
    if (totals.of(Outcome::failed) > 0)
        parts << tr("%Ln cannot be done", nullptr, static_cast<int>(totals.of(Outcome::failed)));
    note_->setText(parts.isEmpty() ? tr("There is nothing left to undo.")
                                   : tr("The undo will do this: %1").arg(parts.join(QStringLiteral(" · "))));
    const auto count = totals.of(Outcome::removed) + totals.of(Outcome::restored);
    undo_now_->setText(tr("Undo %Ln items", nullptr, static_cast<int>(count)));
    undo_now_->setEnabled(count > 0);
    stack_->setCurrentIndex(1);
    hideUsual();
    undo_now_->show();
    undo_now_->setFocus();
}

/// What can be done with a receipt makes way for a question and its answers.
void ReceiptsPage::hideUsual() {
    for (QWidget* usual : std::initializer_list<QWidget*>{undo_, go_on_, more_, results_, free_})
        usual->hide();
    keep_->show();
}

void ReceiptsPage::askToFree() {
    note_->setText(tr("%Ln versions, %1, would be gone for good, each only once its bytes are seen in the "
                      "source that it was copied from. "
                      "The others stay.",
                      nullptr, static_cast<int>(in_safe_.versions))
                       .arg(size_text(in_safe_.bytes)));
    hideUsual();
    free_now_->show();
    keep_->setFocus();
}

void ReceiptsPage::leaveUndoPlan() {
    stack_->setCurrentIndex(0);
    undo_plan_.reset();
    undo_items_->setList(nullptr);
    for (QPushButton* answer : {undo_now_, free_now_, keep_}) answer->hide();
    free_->setVisible(in_safe_.versions > 0);
    more_->setVisible(!head_.id.empty());
    results_->setVisible(results_->count() > 2);
    undo_->setVisible(!head_.id.empty());
}
