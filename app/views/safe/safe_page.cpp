// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/safe/safe_page.h"

#include <QFileDialog>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QMenu>
#include <QPushButton>
#include <QVBoxLayout>
#include <algorithm>

#include "files/path.h"
#include "keep/store.h"
#include "tasks/keeping.h"
#include "text.h"
#include "theme/lengths.h"
#include "theme/theme.h"
#include "views/collisions/face_to_face.h"
#include "views/parts/building.h"
#include "views/parts/names_first.h"
#include "views/parts/row_delegates.h"
#include "views/parts/row_view.h"

using namespace tavlo;

SafePage::SafePage(SafeVersions& versions, QWidget* parent) : QWidget(parent), versions_(versions) {
    setObjectName(QStringLiteral("safePage"));
    setAttribute(Qt::WA_StyledBackground);
    auto* column = column_on(this);
    buildHead(*column);
    buildQuestion(*column);
    buildParts(*column);
    auto* foot = inset_row();
    back_ = named_button("safeBack", tr("Bring back to its place"));
    elsewhere_ = named_button("safeElsewhere", tr("Bring back elsewhere…"));
    remove_ = named_button("safeRemove", tr("Remove for good…"));
    foot->addWidget(back_);
    foot->addWidget(elsewhere_);
    foot->addStretch(1);
    foot->addWidget(remove_);
    column->addLayout(foot);
    connectVersions();
    connectActions();
    leaveQuestion();
    showRules(KeepingRules::load());
    showCurrent();
}

void SafePage::buildHead(QVBoxLayout& column) {
    auto* head = inset_row();
    auto* words = new QVBoxLayout;
    title_ = named_label("safeTitle");
    title_->setWordWrap(false);
    make_bold(*title_);
    rooms_ = named_label("safeRooms", "muted");
    words->addWidget(title_);
    words->addWidget(rooms_);
    head->addLayout(words, 1);
    filter_ = narrowing_line("safeFilter", tr("Only versions with"), tr("Name or place"));
    filter_->setFixedWidth(digits(24));
    keeping_ =
        named_button("safeKeeping", {}, tr("How long versions are kept, and when the Safe is too large"));
    age_ = named_button("safeEmpty", tr("Empty by age…"));
    for (QWidget* part : std::initializer_list<QWidget*>{filter_, keeping_, age_})
        head->addWidget(part, 0, Qt::AlignTop);
    column.addLayout(head);
}

void SafePage::buildQuestion(QVBoxLayout& column) {
    question_ = ground("safeQuestion");
    auto* asked = inset_row();
    question_->setLayout(asked);
    question_words_ = named_label("safeQuestionWords");
    yes_ = named_button("safeYes");
    other_ = named_button("safeOther");
    no_ = named_button("safeNo", tr("Leave it as it is"));
    asked->addWidget(question_words_, 1);
    for (auto* button : {no_, other_, yes_}) asked->addWidget(button);
    column.addWidget(question_);
}

void SafePage::buildParts(QVBoxLayout& column) {
    model_ = new SafeModel(this);
    list_ = new RowView;
    list_->setObjectName(QStringLiteral("safeList"));
    list_->setAccessibleName(tr("Versions in the Safe"));
    list_->setModel(model_);
    list_->setItemDelegate(new PlainRowDelegate(list_));
    list_->setRowHeight(lines(1.6));
    connect(model_, &SafeModel::sortWanted, this, [this](SafeColumn by, bool descending) {
        wish_.by = by;
        wish_.descending = descending;
        arrange();
    });
    list_->setSortingEnabled(true);
    list_->sortByColumn(SafeModel::WhenColumn, Qt::DescendingOrder);
    list_->horizontalHeader()->setSectionResizeMode(SafeModel::NameColumn, QHeaderView::Stretch);
    list_->setColumnWidth(SafeModel::PlaceColumn, digits(27.5));
    list_->setColumnWidth(SafeModel::SizeColumn, digits(10));
    list_->setColumnWidth(SafeModel::WhenColumn, digits(17));
    list_->setColumnWidth(SafeModel::RunColumn, digits(46));
    new NamesFirst(*list_, SafeModel::NameColumn,
                   {SafeModel::RunColumn, SafeModel::SizeColumn, SafeModel::PlaceColumn});
    empty_ = new QLabel(tr("The Safe is empty. What a run takes a name from, or takes out of a folder, comes "
                           "here first, whole."),
                        list_->viewport());
    empty_->setGeometry(20, 24, 640, 40);
    empty_->setWordWrap(true);
    set_tone(*empty_, "muted");
    face_ = new FaceToFace;
    column.addWidget(split(Qt::Vertical, {{list_, 230}, {face_, 330, true}}), 1);
}

void SafePage::connectVersions() {
    connect(&versions_, &SafeVersions::listed, this, &SafePage::showListing);
    connect(&versions_, &SafeVersions::arranged, this, &SafePage::showArrangement);
    connect(&versions_, &SafeVersions::chosen, this, &SafePage::askRemoval);
    connect(&versions_, &SafeVersions::removing, this, [this](std::uint64_t done, std::uint64_t of) {
        title_->setText(tr("Removing for good: %1 of %2 versions").arg(count_text(done), count_text(of)));
    });
    connect(&versions_, &SafeVersions::seen, this,
            [this](const std::string& id, const Status& version, const std::optional<Status>& held) {
                const int row = list_->currentIndex().row();
                if (row < 0 || row >= model_->rowCount() || model_->row(row).entry.id != id) return;
                const SafeEntry& entry = model_->row(row).entry;
                Status nothing;
                nothing.type = FileType::other;
                face_->setSides({tr("In the Safe"), entry.stored, version},
                                {held ? tr("There now") : tr("Nothing is there now"), entry.original,
                                 held.value_or(nothing)});
            });
    connect(&versions_, &SafeVersions::failed, this, &SafePage::said);
    connect(&versions_, &SafeVersions::restorePlanned, this, &SafePage::restoreRequested);
    connect(&versions_, &SafeVersions::placeTaken, this,
            [this](const std::string& entry, const std::string& into, const QString&) {
                to_remove_.reset();
                to_place_ = {entry, into};
                showQuestion(tr("Something else holds that name now. It can go to the Safe in turn, or the "
                                "version comes back under a new name."),
                             tr("Put it in its place"), tr("Under a new name"));
            });
    connect(&versions_, &SafeVersions::removed, this, [this](std::size_t count) {
        emit said(tr("%Ln versions are gone for good.", nullptr, static_cast<int>(count)));
        refresh();
    });
}

void SafePage::connectActions() {
    connect(filter_, &QLineEdit::textChanged, this, [this](const QString& text) {
        wish_.words = text;
        arrange();
    });
    connect(list_->selectionModel(), &QItemSelectionModel::selectionChanged, this, &SafePage::showCurrent);
    connect(back_, &QPushButton::clicked, this, [this] { restore(false); });
    connect(elsewhere_, &QPushButton::clicked, this, [this] { restore(true); });
    connect(remove_, &QPushButton::clicked, this,
            [this] { versions_.choose(model_->arrangement(), list_->selectedRows()); });
    connect(age_, &QPushButton::clicked, this, &SafePage::fillEmptyMenu);
    connect(keeping_, &QPushButton::clicked, this, &SafePage::fillKeepingMenu);
    connect(no_, &QPushButton::clicked, this, &SafePage::leaveQuestion);
    connect(yes_, &QPushButton::clicked, this, [this] {
        if (to_set_)
            setAge(*to_set_);
        else if (to_place_)
            versions_.planRestore(to_place_->first, to_place_->second, Decision::overwrite);
        else if (to_remove_)
            versions_.remove(to_remove_);
        leaveQuestion();
    });
    connect(other_, &QPushButton::clicked, this, [this] {
        if (to_place_) versions_.planRestore(to_place_->first, to_place_->second, Decision::rename);
        leaveQuestion();
    });
}

void SafePage::showListing(std::shared_ptr<const SafeListing> listing) {
    listing_ = std::move(listing);
    std::uint64_t bytes = 0;
    QStringList rooms;
    for (const SafeRoom& room : listing_->rooms) {
        bytes += room.bytes;
        const QString place = shown(parent_of(room.safe));
        rooms << (room.there ? tr("%1 in %2 (%Ln versions)", nullptr, static_cast<int>(room.versions))
                                   .arg(size_text(room.bytes), place)
                             : tr("%1 in %2, not mounted now (%Ln versions)", nullptr,
                                  static_cast<int>(room.versions))
                                   .arg(size_text(room.bytes), place));
    }
    title_->setText(listing_->rows.empty()
                        ? tr("The Safe is empty")
                        : tr("%Ln versions in the Safe, %1", nullptr, static_cast<int>(listing_->rows.size()))
                              .arg(size_text(bytes)));
    const KeepingRules rules = KeepingRules::load();
    const bool over = rules.safe_limit > 0 && bytes > rules.safe_limit;
    if (over) rooms.prepend(tr("more than the %1 that you have set").arg(size_text(rules.safe_limit)));
    set_tone(*rooms_, over ? "amber" : "muted");
    rooms_->setText(rooms.join(QStringLiteral(" · ")));
    rooms_->setVisible(!listing_->rooms.empty());
    showRules(rules);
    empty_->setVisible(listing_->rows.empty());
    age_->setEnabled(!listing_->rows.empty());
    arrange();
    if (const int days = std::exchange(proposed_days_, 0); days > 0) askAge(days);
}

void SafePage::showRules(const KeepingRules& rules) {
    keeping_->setText(rules.safe_days == 0 ? tr("Kept until emptied")
                                           : tr("Kept %Ln days", nullptr, rules.safe_days));
}

void SafePage::arrange() {
    const int row = list_->currentIndex().row();
    versions_.arrange(listing_, wish_,
                      row >= 0 && row < model_->rowCount() ? model_->row(row).entry.id : std::string());
}

void SafePage::showArrangement(std::shared_ptr<const SafeArrangement> arrangement) {
    if (arrangement->listing != listing_) return;  // it was listed anew meanwhile
    const int kept = arrangement->kept;
    model_->setArrangement(std::move(arrangement));
    if (model_->rowCount() > 0) list_->selectRow(std::max(0, kept));
    showCurrent();
}

std::string SafePage::current() const {
    const RowRanges rows = list_->selectedRows();
    return rows.count() == 1 ? model_->row(rows.front()).entry.id : std::string();
}

void SafePage::showCurrent() {
    const RowRanges rows = list_->selectedRows();
    const int count = rows.count();
    back_->setEnabled(count == 1);
    elsewhere_->setEnabled(count == 1);
    remove_->setEnabled(count > 0);
    remove_->setText(count > 1 ? tr("Remove %Ln for good…", nullptr, count) : tr("Remove for good…"));
    if (count != 1)
        return face_->clear(count == 0 ? QString() : tr("%Ln versions are selected.", nullptr, count));
    const SafeRow& row = model_->row(rows.front());
    if (!row.there) return face_->clear(tr("The volume that it lies on is not mounted now."));
    versions_.look(row.entry);
}

void SafePage::restore(bool elsewhere) {
    const std::string entry = current();
    if (entry.empty()) return;
    leaveQuestion();
    std::string into;
    if (elsewhere) {
        const QString folder = QFileDialog::getExistingDirectory(this, tr("Bring back into"));
        if (folder.isEmpty()) return;
        into = to_bytes(folder);
    }
    versions_.planRestore(entry, into, std::nullopt);
}

void SafePage::fillKeepingMenu() {
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    const KeepingRules rules = KeepingRules::load();
    const auto add = [&](const QString& words, bool on, auto work) {
        auto* action = menu->addAction(words, this, work);
        action->setCheckable(true);
        action->setChecked(on);
    };
    for (const auto& [words, days] : {std::pair(tr("Versions stay until I empty the Safe"), 0),
                                      std::pair(tr("They leave by themselves after a year"), 365),
                                      std::pair(tr("They leave by themselves after 90 days"), 90),
                                      std::pair(tr("They leave by themselves after 30 days"), 30)})
        add(words, rules.safe_days == days, [this, days = days] { askAge(days); });
    menu->addSeparator();
    constexpr std::uint64_t giga = 1024 * 1024 * 1024;
    for (const auto limit : {std::uint64_t{0}, giga, 10 * giga, 100 * giga})
        add(limit == 0 ? tr("No warning of its size")
                       : tr("Warn when it takes more than %1").arg(size_text(limit)),
            rules.safe_limit == limit, [this, limit] {
                KeepingRules changed = KeepingRules::load();
                changed.safe_limit = limit;
                changed.save();
                refresh();
            });
    menu->popup(keeping_->mapToGlobal(QPoint(0, keeping_->height())));
}

void SafePage::setAge(int days) {
    KeepingRules changed = KeepingRules::load();
    changed.safe_days = days;
    changed.save();
    refresh();
}

/// What goes by itself from now on is said first.
void SafePage::askAge(int days) {
    leaveQuestion();
    if (days == 0) return setAge(days);
    to_set_ = days;
    const auto& ages = SafeListing::ages_in_days;
    const auto group = static_cast<std::size_t>(std::find(ages.begin(), ages.end(), days) - ages.begin());
    const auto now = group < ages.size() ? listing_->older[group].versions : 0;
    showQuestion(tr("At each start, versions older than %1 days would be gone for good, and their runs could "
                    "no longer be undone in full.")
                         .arg(days) +
                     QLatin1Char(' ') + tr("Now that would be %Ln versions.", nullptr, static_cast<int>(now)),
                 tr("Keep them %Ln days", nullptr, days), {});
}

void SafePage::fillEmptyMenu() {
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    const auto add = [&](const QString& words, const SafeGroup& group) {
        auto* action =
            menu->addAction(tr("%1: %Ln versions, %2", nullptr, static_cast<int>(group.rows.size()))
                                .arg(words, size_text(group.bytes)),
                            this, [this, listing = listing_, &group] { versions_.choose(listing, group); });
        action->setEnabled(!group.rows.empty());
    };
    add(tr("Older than a year"), listing_->older[0]);
    add(tr("Older than 90 days"), listing_->older[1]);
    add(tr("Older than 30 days"), listing_->older[2]);
    add(tr("Larger than 100 MB"), listing_->large);
    add(tr("Everything"), listing_->all);
    menu->popup(age_->mapToGlobal(QPoint(0, age_->height())));
}

/// What then can no longer be undone is said first.
void SafePage::askRemoval(std::shared_ptr<const SafeChoice> choice) {
    if (choice->ids.empty()) return;
    to_place_.reset();
    to_remove_ = std::move(choice);
    const int count = static_cast<int>(to_remove_->ids.size());
    showQuestion(
        tr("%Ln versions would be gone for good; that is not undone.", nullptr, count) + QLatin1Char(' ') +
            tr("%Ln runs can then no longer be undone in full.", nullptr, static_cast<int>(to_remove_->runs)),
        tr("Remove %Ln versions for good", nullptr, count), {});
}

void SafePage::showQuestion(const QString& words, const QString& yes, const QString& other) {
    question_words_->setText(words);
    set_tone(*question_words_, "plum");
    yes_->setText(yes);
    other_->setText(other);
    other_->setVisible(!other.isEmpty());
    question_->show();
    yes_->parentWidget()->findChild<QPushButton*>(QStringLiteral("safeNo"))->setFocus();
}

void SafePage::leaveQuestion() {
    to_set_.reset();
    retired_.take(std::exchange(to_remove_, nullptr));
    to_place_.reset();
    question_->hide();
}
