#include "views/safe_page.h"

#include <QFileDialog>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QMenu>
#include <QPushButton>
#include <QSplitter>
#include <QVBoxLayout>
#include <algorithm>
#include <set>

#include "files/path.h"
#include "keep/store.h"
#include "tasks/keeping.h"
#include "text.h"
#include "theme/theme.h"
#include "views/face_to_face.h"
#include "views/row_delegates.h"
#include "views/row_view.h"

using namespace tavlo;

namespace {
constexpr std::int64_t day_ns = 86'400'000'000'000;
}

SafePage::SafePage(SafeVersions& versions, QWidget* parent) : QWidget(parent), versions_(versions) {
    setObjectName(QStringLiteral("safePage"));
    setAttribute(Qt::WA_StyledBackground);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(0);
    auto* head = new QHBoxLayout;
    head->setContentsMargins(18, 12, 18, 8);
    auto* words = new QVBoxLayout;
    title_ = new QLabel;
    title_->setObjectName(QStringLiteral("safeTitle"));
    QFont bold = title_->font();
    bold.setWeight(QFont::DemiBold);
    title_->setFont(bold);
    rooms_ = new QLabel;
    rooms_->setObjectName(QStringLiteral("safeRooms"));
    rooms_->setWordWrap(true);
    set_tone(*rooms_, "muted");
    words->addWidget(title_);
    words->addWidget(rooms_);
    head->addLayout(words, 1);
    filter_ = new QLineEdit;
    filter_->setObjectName(QStringLiteral("safeFilter"));
    filter_->setAccessibleName(tr("Only versions with"));
    filter_->setPlaceholderText(tr("Name or place"));
    filter_->setClearButtonEnabled(true);
    filter_->setFixedWidth(200);
    head->addWidget(filter_, 0, Qt::AlignTop);
    keeping_ = new QPushButton;
    keeping_->setObjectName(QStringLiteral("safeKeeping"));
    keeping_->setToolTip(tr("How long versions are kept, and when the Safe is too large"));
    age_ = new QPushButton(tr("Empty by age…"));
    age_->setObjectName(QStringLiteral("safeEmpty"));
    head->addSpacing(8);
    head->addWidget(keeping_, 0, Qt::AlignTop);
    head->addSpacing(8);
    head->addWidget(age_, 0, Qt::AlignTop);
    column->addLayout(head);

    question_ = new QWidget;
    question_->setObjectName(QStringLiteral("safeQuestion"));
    question_->setAttribute(Qt::WA_StyledBackground);
    auto* asked = new QHBoxLayout(question_);
    asked->setContentsMargins(18, 8, 18, 8);
    question_words_ = new QLabel;
    question_words_->setObjectName(QStringLiteral("safeQuestionWords"));
    question_words_->setWordWrap(true);
    yes_ = new QPushButton;
    yes_->setObjectName(QStringLiteral("safeYes"));
    other_ = new QPushButton;
    other_->setObjectName(QStringLiteral("safeOther"));
    auto* no = new QPushButton(tr("Leave it as it is"));
    no->setObjectName(QStringLiteral("safeNo"));
    asked->addWidget(question_words_, 1);
    for (auto* button : {no, other_, yes_}) asked->addWidget(button);
    column->addWidget(question_);

    auto* parts = new QSplitter(Qt::Vertical);
    parts->setChildrenCollapsible(false);
    model_ = new SafeModel(this);
    list_ = new RowView;
    list_->setObjectName(QStringLiteral("safeList"));
    list_->setAccessibleName(tr("Versions in the Safe"));
    list_->setModel(model_);
    list_->setItemDelegate(new PlainRowDelegate(list_));
    list_->setRowHeight(26);
    list_->setSortingEnabled(true);
    list_->sortByColumn(SafeModel::WhenColumn, Qt::DescendingOrder);
    list_->horizontalHeader()->setSectionResizeMode(SafeModel::NameColumn, QHeaderView::Stretch);
    list_->setColumnWidth(SafeModel::PlaceColumn, 230);
    list_->setColumnWidth(SafeModel::SizeColumn, 84);
    list_->setColumnWidth(SafeModel::WhenColumn, 140);
    list_->setColumnWidth(SafeModel::RunColumn, 380);
    empty_ = new QLabel(tr("The Safe is empty. What a run takes a name from, or takes out of a folder, comes here first, whole."),
                        list_->viewport());
    empty_->setGeometry(20, 24, 640, 40);
    empty_->setWordWrap(true);
    set_tone(*empty_, "muted");
    face_ = new FaceToFace;
    parts->addWidget(list_);
    parts->addWidget(face_);
    parts->setSizes({230, 330});
    parts->setStretchFactor(1, 1);
    column->addWidget(parts, 1);
    auto* foot = new QHBoxLayout;
    foot->setContentsMargins(18, 8, 18, 8);
    foot->setSpacing(8);
    back_ = new QPushButton(tr("Bring back to its place"));
    back_->setObjectName(QStringLiteral("safeBack"));
    elsewhere_ = new QPushButton(tr("Bring back elsewhere…"));
    elsewhere_->setObjectName(QStringLiteral("safeElsewhere"));
    remove_ = new QPushButton(tr("Remove for good…"));
    remove_->setObjectName(QStringLiteral("safeRemove"));
    foot->addWidget(back_);
    foot->addWidget(elsewhere_);
    foot->addStretch(1);
    foot->addWidget(remove_);
    column->addLayout(foot);

    connect(filter_, &QLineEdit::textChanged, this, [this](const QString& text) {
        model_->setFilter(text);
        showCurrent();
    });
    connect(list_->selectionModel(), &QItemSelectionModel::selectionChanged, this, &SafePage::showCurrent);
    connect(&versions_, &SafeVersions::listed, this, &SafePage::showListing);
    connect(&versions_, &SafeVersions::seen, this, [this](const std::string& id, const Status& version, const std::optional<Status>& held) {
        const int row = list_->currentIndex().row();
        if (row < 0 || row >= model_->rowCount() || model_->row(row).entry.id != id) return;
        const SafeEntry& entry = model_->row(row).entry;
        Status nothing;
        nothing.type = FileType::other;
        face_->setSides({tr("In the Safe"), entry.stored, version},
                        {held ? tr("There now") : tr("Nothing is there now"), entry.original, held.value_or(nothing)});
    });
    connect(&versions_, &SafeVersions::failed, this, &SafePage::said);
    connect(&versions_, &SafeVersions::restorePlanned, this, &SafePage::restoreRequested);
    connect(&versions_, &SafeVersions::placeTaken, this, [this](const std::string& entry, const std::string& into, const QString&) {
        to_remove_.clear();
        to_place_ = {entry, into};
        showQuestion(tr("Something else holds that name now. It can go to the Safe in turn, or the version comes back under a new name."),
                     tr("Put it in its place"), tr("Under a new name"));
    });
    connect(&versions_, &SafeVersions::removed, this, [this](std::size_t count) {
        emit said(tr("%Ln versions are gone for good.", nullptr, static_cast<int>(count)));
        refresh();
    });
    connect(back_, &QPushButton::clicked, this, [this] { restore(false); });
    connect(elsewhere_, &QPushButton::clicked, this, [this] { restore(true); });
    connect(remove_, &QPushButton::clicked, this, [this] { askRemoval(selected()); });
    connect(age_, &QPushButton::clicked, this, &SafePage::fillEmptyMenu);
    connect(keeping_, &QPushButton::clicked, this, &SafePage::fillKeepingMenu);
    connect(no, &QPushButton::clicked, this, &SafePage::leaveQuestion);
    connect(yes_, &QPushButton::clicked, this, [this] {
        if (to_set_)
            setAge(*to_set_);
        else if (to_place_)
            versions_.planRestore(to_place_->first, to_place_->second, Decision::overwrite);
        else
            versions_.remove(to_remove_);
        leaveQuestion();
    });
    connect(other_, &QPushButton::clicked, this, [this] {
        if (to_place_) versions_.planRestore(to_place_->first, to_place_->second, Decision::rename);
        leaveQuestion();
    });
    leaveQuestion();
    showCurrent();
}

void SafePage::showListing(std::shared_ptr<const SafeListing> listing) {
    const int row = list_->currentIndex().row();
    const std::string was = row >= 0 && row < model_->rowCount() ? model_->row(row).entry.id : std::string();
    listing_ = std::move(listing);
    model_->setListing(listing_);
    std::uint64_t bytes = 0;
    QStringList rooms;
    for (const SafeRoom& room : listing_->rooms) {
        bytes += room.bytes;
        const QString place = shown(parent_of(room.safe));
        rooms << (room.there ? tr("%1 in %2 (%Ln versions)", nullptr, static_cast<int>(room.versions)).arg(size_text(room.bytes), place)
                             : tr("%1 in %2, not mounted now (%Ln versions)", nullptr, static_cast<int>(room.versions))
                                   .arg(size_text(room.bytes), place));
    }
    title_->setText(listing_->rows.empty()
                        ? tr("The Safe is empty")
                        : tr("%Ln versions in the Safe, %1", nullptr, static_cast<int>(listing_->rows.size())).arg(size_text(bytes)));
    const KeepingRules rules = KeepingRules::load();
    const bool over = rules.safe_limit > 0 && bytes > rules.safe_limit;
    if (over) rooms.prepend(tr("more than the %1 that you have set").arg(size_text(rules.safe_limit)));
    set_tone(*rooms_, over ? "amber" : "muted");
    rooms_->setText(rooms.join(QStringLiteral(" · ")));
    rooms_->setVisible(!listing_->rooms.empty());
    keeping_->setText(rules.safe_days == 0 ? tr("Kept until emptied") : tr("Kept %Ln days", nullptr, rules.safe_days));
    empty_->setVisible(listing_->rows.empty());
    age_->setEnabled(!listing_->rows.empty());
    if (model_->rowCount() > 0) list_->selectRow(std::max(0, model_->rowOf(was)));
    showCurrent();
}

std::vector<std::string> SafePage::selected() const {
    std::vector<std::string> entries;
    for (const int row : list_->selectedRowNumbers()) entries.push_back(model_->row(row).entry.id);
    return entries;
}

void SafePage::showCurrent() {
    const auto entries = selected();
    back_->setEnabled(entries.size() == 1);
    elsewhere_->setEnabled(entries.size() == 1);
    remove_->setEnabled(!entries.empty());
    remove_->setText(entries.size() > 1 ? tr("Remove %Ln for good…", nullptr, static_cast<int>(entries.size())) : tr("Remove for good…"));
    if (entries.size() != 1)
        return face_->clear(entries.empty() ? QString() : tr("%Ln versions are selected.", nullptr, static_cast<int>(entries.size())));
    const int row = model_->rowOf(entries.front());
    if (!model_->row(row).there) return face_->clear(tr("The volume that it lies on is not mounted now."));
    versions_.look(model_->row(row).entry);
}

void SafePage::restore(bool elsewhere) {
    const auto entries = selected();
    if (entries.size() != 1) return;
    leaveQuestion();
    std::string into;
    if (elsewhere) {
        const QString folder = QFileDialog::getExistingDirectory(this, tr("Bring back into"));
        if (folder.isEmpty()) return;
        into = to_bytes(folder);
    }
    versions_.planRestore(entries.front(), into, std::nullopt);
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
    for (const auto& [words, days] :
         {std::pair(tr("Versions stay until I empty the Safe"), 0), std::pair(tr("They leave by themselves after a year"), 365),
          std::pair(tr("They leave by themselves after 90 days"), 90), std::pair(tr("They leave by themselves after 30 days"), 30)})
        add(words, rules.safe_days == days, [this, days = days] { askAge(days); });
    menu->addSeparator();
    constexpr std::uint64_t giga = 1024 * 1024 * 1024;
    for (const auto limit : {std::uint64_t{0}, giga, 10 * giga, 100 * giga})
        add(limit == 0 ? tr("No warning of its size") : tr("Warn when it takes more than %1").arg(size_text(limit)),
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
    const std::int64_t before = now_ns() - days * day_ns;
    const auto now = std::count_if(listing_->rows.begin(), listing_->rows.end(),
                                   [&](const SafeRow& row) { return days > 0 && row.entry.set_aside_ns < before; });
    if (days == 0) return setAge(days);
    to_set_ = days;
    showQuestion(tr("At each start, versions older than %1 days would be gone for good, and their runs could no longer be undone in full.")
                         .arg(days) +
                     QLatin1Char(' ') + tr("Now that would be %Ln versions.", nullptr, static_cast<int>(now)),
                 tr("Keep them %Ln days", nullptr, days), {});
}

void SafePage::fillEmptyMenu() {
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    const auto add = [&](const QString& words, auto wanted) {
        std::vector<std::string> entries;
        std::uint64_t bytes = 0;
        for (const SafeRow& row : listing_->rows)
            if (row.there && wanted(row)) {
                entries.push_back(row.entry.id);
                if (row.entry.type == FileType::file) bytes += row.entry.identity.size_bytes;
            }
        auto* action = menu->addAction(tr("%1: %Ln versions, %2", nullptr, static_cast<int>(entries.size())).arg(words, size_text(bytes)),
                                       this, [this, entries] { askRemoval(entries); });
        action->setEnabled(!entries.empty());
    };
    const std::int64_t now = now_ns();
    for (const auto& [words, days] :
         {std::pair(tr("Older than a year"), 365), std::pair(tr("Older than 90 days"), 90), std::pair(tr("Older than 30 days"), 30)})
        add(words, [before = now - days * day_ns](const SafeRow& row) { return row.entry.set_aside_ns < before; });
    add(tr("Larger than 100 MB"),
        [](const SafeRow& row) { return row.entry.type == FileType::file && row.entry.identity.size_bytes > (100U << 20); });
    add(tr("Everything"), [](const SafeRow&) { return true; });
    menu->popup(age_->mapToGlobal(QPoint(0, age_->height())));
}

/// What then can no longer be undone is said first.
void SafePage::askRemoval(const std::vector<std::string>& entries) {
    if (entries.empty()) return;
    const std::set<std::string> wanted(entries.begin(), entries.end());
    std::set<std::string> runs;
    for (const SafeRow& row : listing_->rows)
        if (wanted.contains(row.entry.id)) runs.insert(row.entry.receipt);
    to_place_.reset();
    to_remove_ = entries;
    const int count = static_cast<int>(entries.size());
    showQuestion(tr("%Ln versions would be gone for good; that is not undone.", nullptr, count) + QLatin1Char(' ') +
                     tr("%Ln runs can then no longer be undone in full.", nullptr, static_cast<int>(runs.size())),
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
    to_remove_.clear();
    to_place_.reset();
    question_->hide();
}
