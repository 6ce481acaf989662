// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/collisions/collisions_page.h"

#include <QComboBox>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QListView>
#include <QMenu>
#include <QPushButton>
#include <QVBoxLayout>
#include <algorithm>

#include "files/path.h"
#include "models/same_item.h"
#include "plan/groups.h"
#include "tasks/bench.h"
#include "text.h"
#include "theme/lengths.h"
#include "theme/theme.h"
#include "views/bench/rule_dialogs.h"
#include "views/collisions/collision_delegates.h"
#include "views/collisions/face_to_face.h"
#include "views/parts/building.h"
#include "views/parts/button_row.h"
#include "views/parts/named_combo.h"
#include "views/parts/names_first.h"
#include "views/parts/opening.h"
#include "views/parts/row_view.h"
#include "views/parts/spacing.h"
#include "views/parts/with_focus.h"
#include "wording.h"

using namespace tavlo;

CollisionsPage::CollisionsPage(Bench& bench, QWidget* parent) : QWidget(parent), bench_(bench) {
    setObjectName(QStringLiteral("collisions"));
    setAttribute(Qt::WA_StyledBackground);
    auto* across = new QHBoxLayout(this);
    space_out(across, Inset::none, Gap::line);
    auto* left = new QWidget;
    left->setObjectName(QStringLiteral("groupsSide"));
    left->setAttribute(Qt::WA_StyledBackground);
    left->setFixedWidth(digits(38));
    auto* left_column = new QVBoxLayout(left);
    auto* right = new QWidget;
    auto* right_column = new QVBoxLayout(right);
    for (auto* column : {left_column, right_column}) space_out(column, Inset::none, Gap::none);
    buildLeft(*left_column);
    buildRight(*right_column);
    across->addWidget(left);
    across->addWidget(right, 1);
    connect(&bench_, &Bench::viewChanged, this, [this] { collisions_.setPlan(bench_.plan()); });
    connect(&collisions_, &Collisions::changed, this, &CollisionsPage::refresh);
    refresh();
}

void CollisionsPage::buildLeft(QVBoxLayout& column) {
    auto* head = inset_row();
    taken_ = named_label("namesTaken");
    make_bold(*taken_);
    settled_ = named_label("namesSettled", "muted");
    settled_->setWordWrap(false);
    head->addWidget(taken_, 1);
    head->addWidget(settled_);
    column.addLayout(head);
    cut_ = new NamedCombo(tr("How the groups are cut"));
    cut_->setObjectName(QStringLiteral("groupCut"));
    for (const auto& words : {tr("Grouped by finding"), tr("By finding and size"),
                              tr("By finding and folder"), tr("By finding and kind")})
        cut_->addItem(words);
    connect(cut_, &QComboBox::currentIndexChanged, this,
            [this](int at) { collisions_.setCut(static_cast<Cut>(at)); });
    auto* cut_row = new QHBoxLayout;
    cut_row->setContentsMargins(Inset::below);
    cut_row->addWidget(cut_);
    column.addLayout(cut_row);
    groups_ = new GroupModel(this);
    group_list_ = new WithFocus<QListView>;
    group_list_->setObjectName(QStringLiteral("groupList"));
    group_list_->setAccessibleName(tr("Groups of names that are taken"));
    group_list_->setModel(groups_);
    group_delegate_ = new GroupDelegate(group_list_);
    group_list_->setItemDelegate(group_delegate_);
    group_list_->setFrameShape(QFrame::NoFrame);
    group_list_->setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
    group_list_->setUniformItemSizes(true);
    group_list_->installEventFilter(this);
    column.addWidget(group_list_, 1);
    connect(group_list_->selectionModel(), &QItemSelectionModel::currentChanged, this,
            &CollisionsPage::showGroup);
    connect(group_delegate_, &GroupDelegate::chosen, this,
            [this](const QModelIndex& index, int choice) { decideGroup(index.row(), choice); });
    buildLeftFoot(column);
}

/// What the decisions amount to, and what can go on without more of them.
void CollisionsPage::buildLeftFoot(QVBoxLayout& column) {
    auto* foot = new QVBoxLayout;
    foot->setContentsMargins(Inset::bar);
    rule_ = named_button("makeRule");
    keep_ = named_button("keepRule", tr("Keep as a job…"),
                         tr("What is on the bench, with these decisions as its rule, to be done again"));
    others_ = named_label("othersCanRun", "muted");
    auto* keys = named_label("collisionKeys", "muted", tr("Keys 1, 2, 3 decide, N next"));
    keys->setToolTip(
        tr("1 skip, 2 overwrite, 3 rename, 0 undecided; N and Shift+N to the next and the last undecided "
           "one; F2 the new name;\n"
           "F7 the next difference; B each picture in the other's place; + and - closer and further"));
    for (QWidget* part : std::initializer_list<QWidget*>{rule_, keep_, others_, keys}) foot->addWidget(part);
    column.addLayout(foot);
    connect(rule_, &QPushButton::clicked, this, [this] {
        const Policy rule = ruleOffered();
        bench_.setOwnRule(rule);
        emit said(tr("It is the rule of this batch now; the sentence says so."));
    });
    connect(keep_, &QPushButton::clicked, this, [this] { emit keepRequested(ruleOffered()); });
}

void CollisionsPage::buildRight(QVBoxLayout& column) {
    auto* head = inset_row();
    filter_ = narrowing_line("pairFilter", tr("Only names with"),
                             tr("Only names with… (groups and decisions are of these alone)"));
    connect(filter_, &QLineEdit::textChanged, this,
            [this](const QString& text) { collisions_.setNameFilter(to_bytes(text)); });
    head->addWidget(filter_, 1);
    column.addLayout(head);
    buildPairs();
    face_ = new FaceToFace;
    column.addWidget(split(Qt::Vertical, {{pair_list_, 150}, {face_, 400, true}}), 1);
    auto* foot = inset_row();
    name_words_ = new QLabel;
    name_ = new QLineEdit;
    name_->setObjectName(QStringLiteral("newName"));
    name_->setMinimumWidth(digits(19.5));
    names_ = named_button("newNames", tr("New names…"));
    foot->addWidget(name_words_);
    foot->addWidget(name_, 1);
    foot->addWidget(names_);
    column.addLayout(foot);
    connect(name_, &QLineEdit::returnPressed, this, &CollisionsPage::applyTypedName);
    connect(names_, &QPushButton::clicked, this, &CollisionsPage::fillNamesMenu);
}

void CollisionsPage::buildPairs() {
    pairs_ = new PairModel(this);
    pair_list_ = new RowView;
    pair_list_->setObjectName(QStringLiteral("pairList"));
    pair_list_->setAccessibleName(tr("Pairs of the group"));
    pair_list_->setModel(pairs_);
    offer_opening(*pair_list_, [this](const QModelIndex& at) { return pairs_->sourcePath(at.row()); });
    pair_delegate_ = new PairDelegate(pair_list_);
    pair_delegate_->setChoices(decision_choices());
    pair_list_->setItemDelegate(pair_delegate_);
    pair_list_->setRowHeight(lines(1.75));
    pair_list_->horizontalHeader()->setSectionResizeMode(PairModel::NameColumn, QHeaderView::Stretch);
    pair_list_->setColumnWidth(PairModel::IncomingColumn, digits(26));
    pair_list_->setColumnWidth(PairModel::HeldColumn, digits(26));
    pair_list_->setColumnWidth(PairModel::WordsColumn, digits(18));
    pair_list_->setColumnWidth(PairModel::DecisionColumn,
                               std::max(digits(24), buttons_width(pair_list_->font(), decision_choices())));
    names_first_ = new NamesFirst(*pair_list_, PairModel::NameColumn, {});
    pair_list_->installEventFilter(this);
    pair_list_->viewport()->installEventFilter(
        this);  // not the list: that is told before its viewport has its new size
    empty_ = new QLabel(pair_list_->viewport());
    empty_->setAlignment(Qt::AlignCenter);
    empty_->setWordWrap(true);
    set_tone(*empty_, "muted");
    connect(pair_list_->selectionModel(), &QItemSelectionModel::currentChanged, this,
            &CollisionsPage::showPair);
    connect(pair_list_->selectionModel(), &QItemSelectionModel::selectionChanged, this,
            &CollisionsPage::showNames);
    connect(pair_delegate_, &PairDelegate::chosen, this, [this](const QModelIndex& index, int choice) {
        const auto decision = static_cast<Decision>(choice + 1);
        const bool again = index.data(PairModel::DecisionRole).toInt() == choice + 1;
        if (!pair_list_->selectionModel()->isRowSelected(index.row(), {})) pair_list_->selectRow(index.row());
        decidePairs(again ? std::nullopt : std::optional(decision), false);
    });
}

const CollisionGroup* CollisionsPage::currentGroup() const {
    const int row = group_list_->currentIndex().row();
    return row >= 0 && row < groups_->rowCount() ? &groups_->group(row) : nullptr;
}

void CollisionsPage::refresh() {
    const auto& view = *collisions_.view();
    const CollisionGroup* current = currentGroup();
    const auto was =
        current == nullptr ? std::nullopt : std::optional(std::pair(current->finding, current->part));
    groups_->setView(collisions_.view());
    taken_->setText(view.taken == 0 ? tr("No name is taken")
                                    : tr("%Ln meet what is there", nullptr, static_cast<int>(view.taken)));
    settled_->setText(view.taken == 0
                          ? QString()
                          : tr("%Ln settled", nullptr, static_cast<int>(view.taken - view.undecided)));
    const auto others = view.plan ? view.plan->totals.of(Outcome::created) : 0;
    others_->setText(view.undecided == 0 ? QString()
                     : others > 0 ? tr("What collides with nothing, %Ln items, can start now.", nullptr,
                                       static_cast<int>(others))
                                  : tr("What is undecided stays as it is, on both sides."));
    showRule();
    if (groups_->rowCount() > 0 && !group_list_->currentIndex().isValid()) {
        int row = 0;
        for (int at = groups_->rowCount() - 1; at >= 0; --at)  // the first that needs somebody
            if (groups_->index(at).data(GroupModel::WaitingRole).toBool()) row = at;
        for (int at = 0; was && at < groups_->rowCount(); ++at)  // but for the one that was looked at
            if (groups_->group(at).finding == was->first && groups_->group(at).part == was->second) row = at;
        return group_list_->setCurrentIndex(groups_->index(row));  // which shows it
    }
    showGroup();
}

void CollisionsPage::showGroup() {
    const auto& view = *collisions_.view();
    const CollisionGroup* group = currentGroup();
    const auto before = pairs_->plan();
    const ItemId current = pairs_->itemAt(pair_list_->currentIndex().row());
    const bool elsewhere = group != nullptr && GroupModel::isElsewhere(*group);
    pair_delegate_->setChoices(elsewhere ? GroupModel::elsewhereChoices()
                               : group != nullptr && GroupModel::isTwins(*group)
                                   ? QStringList{tr("Skip"), tr("Gets it"), tr("New name")}
                                   : decision_choices());
    for (QWidget* part : std::initializer_list<QWidget*>{name_words_, name_, names_})
        part->setVisible(!elsewhere);  // their own are free
    fitColumns();
    pairs_->setPairs(view.plan, group == nullptr ? std::vector<ItemId>{} : group->items);
    empty_->setText(view.taken == 0    ? (view.plan ? tr("No name that the batch wants is taken.")
                                                    : tr("Pick files and choose a destination first."))
                    : group == nullptr ? tr("No name that is taken fits “%1”.").arg(filter_->text())
                                       : QString());
    empty_->setGeometry(QRect(QPoint(0, 0), pair_list_->viewport()->size()).adjusted(30, 10, -30, -10));
    if (pairs_->rowCount() > 0 && !pair_list_->currentIndex().isValid()) {
        const ItemId now = current == no_item ? no_item : same_item(*view.plan, *before, current);
        const int row = now == no_item ? -1 : pairs_->rowOf(now);
        pair_list_->selectRow(row >= 0 ? row : std::max(0, pairs_->nextUndecided(-1, false)));
    }
    showPair();
    showNames();
}

/// The current pair, face to face; of twins, each against what holds the name, or else against the first
/// other one.
void CollisionsPage::showPair() {
    const ItemId id = pairs_->itemAt(pair_list_->currentIndex().row());
    const auto& plan = pairs_->plan();
    if (id == no_item || !plan)
        return face_->clear(pairs_->rowCount() > 0 ? tr("Choose a pair to see the two face to face.")
                                                   : QString());
    const Item& item = plan->items[id];
    const Side incoming{tr("Incoming"), plan->source_path(item), plan->entry(item).status};
    Side held{tr("There now"),
              item.collision->elsewhere() ? *item.collision->elsewhere() : plan->target_path(item),
              item.collision->held};
    if (item.collision->held_by_batch)
        for (const ItemId twin : twins_of(*plan, id))
            if (twin != id) {
                held = {tr("Also from the batch"), plan->source_path(plan->items[twin]),
                        plan->entry(plan->items[twin]).status};
                break;
            }
    face_->setSides(incoming, held);
}

/// Names come first: with little room goes what is said below too. Of twins, where they come from stays.
void CollisionsPage::fitColumns() {
    const int roomy = digits(133);
    const CollisionGroup* group = currentGroup();
    const bool twins = group != nullptr && GroupModel::isTwins(*group);
    const bool has_room = pair_list_->viewport()->width() >= roomy;
    pair_list_->setColumnHidden(PairModel::WordsColumn, !has_room && !twins);
    pair_list_->setColumnHidden(PairModel::HeldColumn, !has_room && twins);
    // size and date of both are said below the list, too
    names_first_->setGoing(twins ? std::vector<int>{PairModel::IncomingColumn}
                                 : std::vector<int>{PairModel::HeldColumn, PairModel::IncomingColumn});
}

std::vector<ItemId> CollisionsPage::selectedItems() const {
    std::vector<ItemId> items;
    for (const int row : pair_list_->selectedRowNumbers()) items.push_back(pairs_->itemAt(row));
    return items;
}

void CollisionsPage::decideGroup(int row, int choice) {
    if (row < 0 || row >= groups_->rowCount() || collisions_.view()->plan != bench_.plan()) return;
    const CollisionGroup& group = groups_->group(row);
    if (GroupModel::isTwins(group) && choice >= 0) return decideTwins(group, choice);
    if (choice < 0)
        bench_.decide(group.items, Decision::undecided);
    else
        bench_.decide(group.items, static_cast<Decision>(choice + 1));
}

/// One of each name gets it: the first of the batch, or the newest; or all arrive, those that cannot have it
/// under new names.
void CollisionsPage::decideTwins(const CollisionGroup& group, int choice) {
    const Plan& plan = *bench_.plan();
    std::vector<std::pair<ItemId, PairDecision>> decisions;
    std::vector<bool> seen(plan.items.size());
    for (const ItemId id : group.items) {
        if (seen[id]) continue;
        const auto twins = twins_of(plan, id);
        const auto changed = [&](ItemId one) { return plan.entry(plan.items[one]).status.id.modified_ns; };
        const ItemId newest = *std::max_element(twins.begin(), twins.end(),
                                                [&](ItemId a, ItemId b) { return changed(a) < changed(b); });
        const bool name_is_free = plan.items[id].collision->held_by_batch;
        for (const ItemId twin : twins) {
            seen[twin] = true;
            const bool gets_it =
                twin == (choice == 1 ? newest : twins.front()) && (choice < 2 || name_is_free);
            decisions.emplace_back(twin, PairDecision{{},
                                                      gets_it      ? Decision::overwrite
                                                      : choice < 2 ? Decision::skip
                                                                   : Decision::rename});
        }
    }
    bench_.decide(decisions);
}

/// nullopt  takes a decision back, so that the rule holds again
void CollisionsPage::decidePairs(std::optional<Decision> decision, bool go_on) {
    const auto items = selectedItems();
    if (items.empty() || pairs_->plan() != bench_.plan()) return;
    const CollisionGroup* group = currentGroup();
    const bool twins = group != nullptr && GroupModel::isTwins(*group);
    if (go_on && items.size() == 1) {
        const int row = pair_list_->currentIndex().row();
        const int next = pairs_->nextUndecided(row, false);
        if (next >= 0 && next != row) pair_list_->selectRow(next);
    }
    if (twins && decision == Decision::overwrite && items.size() == 1)
        bench_.decide(give_name_to(*bench_.plan(), items.front()));
    else if (decision == Decision::rename && renames_held_ && !twins)
        applyNames(std::nullopt, true);
    else
        bench_.decide(items, decision.value_or(Decision::undecided));
}

void CollisionsPage::goToUndecided(bool backwards) {
    const int row = pairs_->nextUndecided(pair_list_->currentIndex().row(), backwards);
    if (row >= 0) {
        pair_list_->selectRow(row);
        pair_list_->setFocus();
        return;
    }
    const int count = groups_->rowCount();  // none in this group: on to the next one that has some
    for (int step = 1; step <= count; ++step) {
        const int at =
            ((group_list_->currentIndex().row() + (backwards ? -step : step)) % count + count) % count;
        if (!groups_->index(at).data(GroupModel::WaitingRole).toBool()) continue;
        group_list_->setCurrentIndex(groups_->index(at));
        pair_list_->setFocus();
        return;
    }
    emit said(tr("Nothing is undecided."));
}

void CollisionsPage::focus() {
    // where somebody is needed, unless they are looking there already
    if (!group_list_->currentIndex().data(GroupModel::WaitingRole).toBool())
        for (int at = groups_->rowCount() - 1; at >= 0; --at)
            if (groups_->index(at).data(GroupModel::WaitingRole).toBool())
                group_list_->setCurrentIndex(groups_->index(at));
    group_list_->setFocus();
}

bool CollisionsPage::groupKey(int key) {
    const int row = group_list_->currentIndex().row();
    switch (key) {
        case Qt::Key_0: decideGroup(row, -1); return true;
        case Qt::Key_1:
        case Qt::Key_2:
        case Qt::Key_3:
            decideGroup(row, key - Qt::Key_1);
            for (int step = 1; step < groups_->rowCount();
                 ++step) {  // and on to the next that needs somebody
                const QModelIndex next = groups_->index((row + step) % groups_->rowCount());
                if (!next.data(GroupModel::WaitingRole).toBool()) continue;
                group_list_->setCurrentIndex(next);
                break;
            }
            return true;
        case Qt::Key_N: goToUndecided(false); return true;
        case Qt::Key_Right:
        case Qt::Key_Return:
        case Qt::Key_Enter: pair_list_->setFocus(); return true;
        default: return false;
    }
}

bool CollisionsPage::pairKey(int key, Qt::KeyboardModifiers modifiers) {
    switch (key) {
        case Qt::Key_0: decidePairs(std::nullopt, false); return true;
        case Qt::Key_1: decidePairs(Decision::skip, true); return true;
        case Qt::Key_2: decidePairs(Decision::overwrite, true); return true;
        case Qt::Key_3: decidePairs(Decision::rename, true); return true;
        case Qt::Key_N: goToUndecided(modifiers.testFlag(Qt::ShiftModifier)); return true;
        case Qt::Key_B: face_->swapPictures(); return true;
        case Qt::Key_Plus: face_->zoom(1.25); return true;
        case Qt::Key_Minus: face_->zoom(0.8); return true;
        case Qt::Key_F7: face_->goToNextDifference(); return true;
        case Qt::Key_F2:
            name_->setFocus();
            name_->selectAll();
            return true;
        case Qt::Key_Left: group_list_->setFocus(); return true;
        default: return false;
    }
}

bool CollisionsPage::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() == QEvent::Resize && watched == pair_list_->viewport()) {
        fitColumns();
        empty_->setGeometry(QRect(QPoint(0, 0), pair_list_->viewport()->size()).adjusted(30, 10, -30, -10));
    }
    // F2 is the window's own for files
    const bool override_key =
        event->type() == QEvent::ShortcutOverride && static_cast<QKeyEvent*>(event)->key() == Qt::Key_F2;
    if (override_key && watched == pair_list_) event->accept();
    if (event->type() != QEvent::KeyPress) return QWidget::eventFilter(watched, event);
    const auto* key = static_cast<QKeyEvent*>(event);
    if (key->modifiers() & (Qt::ControlModifier | Qt::AltModifier))
        return QWidget::eventFilter(watched, event);
    if (watched == group_list_ && groupKey(key->key())) return true;
    if (watched == pair_list_ && pairKey(key->key(), key->modifiers())) return true;
    return QWidget::eventFilter(watched, event);
}
