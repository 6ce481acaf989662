// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/gathering/list_panel.h"

#include <QApplication>
#include <QClipboard>
#include <QComboBox>
#include <QFileDialog>
#include <QHBoxLayout>
#include <QHeaderView>
#include <QKeyEvent>
#include <QLabel>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QScrollArea>
#include <QTableWidget>
#include <QVBoxLayout>

#include "error_words.h"
#include "files/small_file.h"
#include "models/folder_model.h"
#include "text.h"
#include "theme/lengths.h"
#include "theme/theme.h"
#include "views/parts/building.h"
#include "views/parts/flow_layout.h"
#include "views/parts/named_combo.h"
#include "views/parts/spacing.h"
#include "views/parts/with_focus.h"

using namespace tavlo;

namespace {

enum Column { asked, state, what };
constexpr int take_all = -1;
constexpr int take_none = -2;
constexpr std::size_t most_rows = 5000;  // of the report that is shown; what is beyond counts all the same

}  // namespace

ListPanel::ListPanel(FolderModel& model, QWidget* parent) : QFrame(parent), model_(model) {
    setObjectName(QStringLiteral("listPanel"));
    setAttribute(Qt::WA_StyledBackground);
    setSizePolicy(QSizePolicy::Preferred,
                  QSizePolicy::Ignored);  // the list below it says how much room there is
    auto* all = new QVBoxLayout(this);
    space_out(all, Inset::none, Gap::none);
    auto* scroll = new QScrollArea;  // with large text on a small screen there is more than has room
    scroll->setFrameShape(QFrame::NoFrame);
    scroll->setWidgetResizable(true);
    scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    auto* inside = new QWidget;
    scroll->setWidget(inside);
    for (QWidget* part : {inside, scroll->viewport()}) part->setAutoFillBackground(false);
    all->addWidget(scroll);
    auto* column = new QVBoxLayout(inside);
    space_out(column, Inset::panel, Gap::beside);
    auto* head = new QHBoxLayout;
    auto* file = named_button("listFile", tr("Read a file…"));
    auto* close = named_button("listClose", tr("Close"));
    auto* title = new QLabel(tr("<b>Pick what a list names</b>"));
    title->setWordWrap(true);
    head->addWidget(title, 1);
    head->addWidget(file);
    head->addWidget(close);
    column->addLayout(head);
    buildLists(*column);
    counts_ = named_label("listCounts");
    counts_->setWordWrap(true);
    column->addWidget(counts_);
    auto* foot = new FlowLayout(Gap::beside);
    auto* copy = named_button("listCopy", tr("Copy the report"));
    all_ = named_button("listTakeAll", tr("Take all that fit"));
    add_ = named_button("listAdd");
    add_->setProperty("role", "primary");
    foot->addWidget(copy);
    foot->addWidget(all_);
    foot->addWidget(add_);
    column->addLayout(foot);

    connect(text_, &QPlainTextEdit::textChanged, this, &ListPanel::read);
    connect(&model_, &FolderModel::loaded, this, [this] {
        if (isVisible()) read();
    });
    connect(file, &QPushButton::clicked, this, &ListPanel::openFile);
    connect(close, &QPushButton::clicked, this, &ListPanel::closed);
    connect(copy, &QPushButton::clicked, this, [this] { QApplication::clipboard()->setText(report()); });
    connect(all_, &QPushButton::clicked, this, [this] {
        for (auto* box : table_->findChildren<QComboBox*>()) box->setCurrentIndex(box->findData(take_all));
    });
    connect(add_, &QPushButton::clicked, this, [this] {
        emit confirmed(chosen());
        text_->clear();
        emit closed();
    });
    show_(std::make_shared<const Answer>());
}

/// What is pasted, and what was found of it.
void ListPanel::buildLists(QVBoxLayout& column) {
    text_ = new QPlainTextEdit;
    text_->setObjectName(QStringLiteral("listText"));
    text_->setAccessibleName(tr("The list"));
    text_->setPlaceholderText(
        tr("Paste names, numbers or ranges (120-135), from a mail, a sheet or a file."));
    text_->setTabChangesFocus(true);
    text_->setMaximumHeight(96);
    text_->setMinimumHeight(50);
    column.addWidget(text_);
    table_ = new WithFocus<QTableWidget>(0, 3);
    table_->setObjectName(QStringLiteral("listReport"));
    table_->setAccessibleName(tr("What was found"));
    table_->setHorizontalHeaderLabels({tr("Asked for"), tr("State"), tr("Fits")});
    table_->verticalHeader()->hide();
    table_->setShowGrid(false);
    table_->setFrameShape(QFrame::NoFrame);
    table_->setEditTriggers(QAbstractItemView::NoEditTriggers);
    table_->setSelectionBehavior(QAbstractItemView::SelectRows);
    table_->horizontalHeader()->setSectionResizeMode(what, QHeaderView::Stretch);
    table_->horizontalHeader()->setHighlightSections(false);
    table_->horizontalHeader()->setDefaultAlignment(Qt::AlignLeft | Qt::AlignVCenter);
    table_->setStyleSheet(QStringLiteral("QTableView::item { padding-left: 10px; }"));
    table_->setMinimumHeight(60);
    table_->setColumnWidth(asked, digits(18));
    table_->setColumnWidth(state, digits(11));
    column.addWidget(table_, 1);
}

void ListPanel::open() {
    const QString text = QApplication::clipboard()->text();
    if (text_->toPlainText().isEmpty() && !text.isEmpty()) text_->setPlainText(text);
    show();
    text_->setFocus();
    read();
}

void ListPanel::openFile() {
    const QString path = QFileDialog::getOpenFileName(this, tr("Read a list"));
    if (path.isEmpty()) return;
    worker_.ask(
        this, [file = to_bytes(path)](const std::stop_token&) { return read_small_file(file); },
        [this](const Result<std::string>& bytes) {
            if (bytes)
                return text_->setPlainText(
                    QString::fromUtf8(bytes->data(), static_cast<qsizetype>(bytes->size())));
            counts_->setText(error_words(bytes.error()));
            set_tone(*counts_, "amber");
        });
}

void ListPanel::read() {
    std::vector<Candidate> candidates;
    for (int row = 0; row < model_.rowCount(); ++row)
        if (model_.row(row).status.type != FileType::folder)
            candidates.push_back({model_.folderOf(row), model_.row(row).name});
    const auto match = [text = to_bytes(text_->toPlainText()),
                        candidates = std::move(candidates)](const std::stop_token&) {
        auto answer = std::make_shared<Answer>();
        std::vector<std::string> names;
        for (const Candidate& candidate : candidates) names.push_back(candidate.name);
        answer->listed = match_list(text, names);
        // what needs somebody comes first
        const auto rank = [](const ListedName& one) {
            return one.fits.size() > 1 ? 0 : one.fits.empty() ? 1 : 2;
        };
        std::stable_sort(answer->listed.begin(), answer->listed.end(),
                         [&](const auto& a, const auto& b) { return rank(a) < rank(b); });
        answer->candidates = candidates;
        return answer;
    };
    worker_.ask(this, match, [this](const std::shared_ptr<Answer>& answer) { show_(answer); });
}

void ListPanel::show_(std::shared_ptr<const Answer> answer) {
    answer_ = std::move(answer);
    const auto& listed = answer_->listed;
    table_->clearContents();
    table_->setRowCount(static_cast<int>(std::min(listed.size(), most_rows)));
    const Theme& theme = Theme::current();
    for (int row = 0; row < table_->rowCount(); ++row) {
        const ListedName& one = listed[static_cast<std::size_t>(row)];
        table_->setItem(row, asked, new QTableWidgetItem(shown(one.text)));
        auto* word = new QTableWidgetItem(one.fits.empty() ? tr("not found")
                                          : one.fits.size() == 1
                                              ? tr("found")
                                              : tr("%Ln fit", nullptr, static_cast<int>(one.fits.size())));
        word->setForeground(one.fits.size() == 1 ? theme.muted : theme.amber);
        table_->setItem(row, state, word);
        if (one.fits.size() == 1)
            table_->setItem(row, what, new QTableWidgetItem(shown(answer_->candidates[one.fits[0]].name)));
        if (one.fits.size() < 2) continue;
        auto* box = new NamedCombo(tr("Which of those that fit “%1”").arg(shown(one.text)));
        box->addItem(tr("choose…"), take_none);
        box->addItem(tr("take all %1").arg(one.fits.size()), take_all);
        for (const auto fit : one.fits)
            box->addItem(shown(answer_->candidates[fit].name), static_cast<int>(fit));
        connect(box, &QComboBox::currentIndexChanged, this, &ListPanel::refreshCount);
        table_->setCellWidget(row, what, box);
    }
    refreshCount();
}

std::vector<std::pair<std::string, std::string>> ListPanel::chosen() const {
    std::vector<std::pair<std::string, std::string>> picks;
    const auto add = [&](std::size_t fit) {
        const Candidate& candidate = answer_->candidates[fit];
        picks.emplace_back(candidate.folder, candidate.name);
    };
    for (std::size_t i = 0; i < answer_->listed.size(); ++i) {
        const ListedName& one = answer_->listed[i];
        if (one.fits.size() == 1) add(one.fits[0]);
        auto* box = one.fits.size() > 1 && i < most_rows
                        ? qobject_cast<QComboBox*>(table_->cellWidget(static_cast<int>(i), what))
                        : nullptr;
        if (box == nullptr || box->currentData().toInt() == take_none) continue;
        if (box->currentData().toInt() == take_all)
            for (const auto fit : one.fits) add(fit);
        else
            add(static_cast<std::size_t>(box->currentData().toInt()));
    }
    std::sort(picks.begin(), picks.end());
    picks.erase(std::unique(picks.begin(), picks.end()), picks.end());
    return picks;
}

void ListPanel::refreshCount() {
    int found = 0;
    int several = 0;
    int missing = 0;
    for (const ListedName& one : answer_->listed)
        ++(one.fits.empty() ? missing : one.fits.size() == 1 ? found : several);
    int open = 0;
    for (int row = 0; row < table_->rowCount();
         ++row)  // by cell: a box that was replaced is still a child for a while
        if (const auto* box = qobject_cast<QComboBox*>(table_->cellWidget(row, what)))
            open += box->currentData().toInt() == take_none ? 1 : 0;
    QStringList parts;
    if (found > 0) parts << tr("%Ln found", nullptr, found);
    if (several > 0) parts << tr("%Ln fit several, %1 still to choose", nullptr, several).arg(open);
    if (missing > 0) parts << tr("%Ln not found", nullptr, missing);
    counts_->setText(parts.isEmpty() ? tr("Names are looked for among the files that are listed.")
                                     : parts.join(QStringLiteral(" · ")));
    set_tone(*counts_, missing > 0 || open > 0 ? "amber" : "muted");
    const auto count = static_cast<int>(chosen().size());
    add_->setText(tr("Add %Ln files to the batch", nullptr, count));
    add_->setEnabled(count > 0);
    all_->setVisible(several > 0);
}

QString ListPanel::report() const {
    QString text;
    for (const ListedName& one : answer_->listed) {
        QStringList names;
        for (const auto fit : one.fits) names << shown(answer_->candidates[fit].name);
        const QString word = one.fits.empty()       ? tr("not found")
                             : one.fits.size() == 1 ? tr("found")
                                                    : tr("several fit");
        text += QStringLiteral("%1\t%2\t%3\n").arg(shown(one.text), word, names.join(QStringLiteral("; ")));
    }
    return text;
}

void ListPanel::changeEvent(QEvent* event) {
    if (event->type() == QEvent::PaletteChange &&
        answer_)  // words in the table have their colour from the theme
        for (int row = 0; row < table_->rowCount(); ++row)
            if (auto* word = table_->item(row, state); word != nullptr)
                word->setForeground(answer_->listed[static_cast<std::size_t>(row)].fits.size() == 1
                                        ? Theme::current().muted
                                        : Theme::current().amber);
    QFrame::changeEvent(event);
}

void ListPanel::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Escape) return emit closed();
    QFrame::keyPressEvent(event);
}
