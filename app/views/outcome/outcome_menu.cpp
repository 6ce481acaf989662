// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QInputDialog>
#include <QMenu>

#include "fact_words.h"
#include "files/path.h"
#include "tasks/bench.h"
#include "text.h"
#include "views/outcome/outcome_side.h"
#include "views/parts/opening.h"
#include "views/parts/row_view.h"

// What can be done with things of the outcome.

using namespace tavlo;

/// Where a row's thing lies now: in its source, or, of what came of a run, where it is; empty: it is made by
/// the run.
std::string OutcomeSide::pathOf(int row) const {
    const ItemId id = model_->itemAt(row);
    const auto& plan = model_->plan();
    if (id == no_item || !plan || plan->items[id].role == Role::made) return {};
    return plan->source_path(plan->items[id]);
}

void OutcomeSide::openMenu(const QPoint& at) {
    QMenu menu(this);
    const QModelIndex current = list_->currentIndex().siblingAtColumn(OutcomeModel::NameColumn);
    if (const std::string path = current.isValid() ? pathOf(current.row()) : std::string(); !path.empty()) {
        add_opening(menu, path);
        menu.addSeparator();
    }
    if (current.isValid() && model_->flags(current).testFlag(Qt::ItemIsEditable)) {
        menu.addAction(tr("Type another name…\tF2"), this, &OutcomeSide::typeName);
        if (const ItemId id = model_->itemAt(current.row()); id != no_item && bench_.isTyped(id))
            menu.addAction(tr("Its name by the steps again"), this, [this, id] { bench_.typeName(id, {}); });
        menu.addSeparator();
    }
    offerFacts(menu);
    menu.addAction(tr("Skip"), this, [this] { decideSelected(Decision::skip); });
    menu.addAction(tr("Overwrite, the old one to the Safe"), this,
                   [this] { decideSelected(Decision::overwrite); });
    menu.addAction(tr("Rename the incoming one"), this, [this] { decideSelected(Decision::rename); });
    menu.addAction(tr("Undecided"), this, [this] { decideSelected(Decision::undecided); });
    menu.exec(list_->viewport()->mapToGlobal(at));
}

/// Where files are sorted by facts, those can be said of the selected ones.
void OutcomeSide::offerFacts(QMenu& menu) {
    const std::string& pattern = bench_.job().structure.sort_into;
    const auto items = selectedItems();
    if (pattern.empty() || items.empty()) return;
    std::vector<std::string> facts;
    for (const FolderLevel& level : folder_levels(pattern))
        for (const std::string& fact : {level.fact, level.or_else})
            if (!fact.empty() && std::find(facts.begin(), facts.end(), fact) == facts.end())
                facts.push_back(fact);
    if (facts.empty()) return;
    auto* say =
        menu.addMenu(tr("Say a fact of %Ln items, for this batch", nullptr, static_cast<int>(items.size())));
    say->setObjectName(QStringLiteral("sayFact"));
    for (const auto& fact : facts)
        say->addAction(tr("%1…").arg(fact_words(fact)), this, [this, items, fact] { askFact(items, fact); });
    say->addSeparator();
    for (const auto& fact : facts)
        say->addAction(tr("%1 as the file tells it").arg(fact_words(fact)), this,
                       [this, items, fact] { bench_.sayFact(items, fact, std::nullopt); });
    menu.addSeparator();
}

void OutcomeSide::askFact(const std::vector<ItemId>& items, const std::string& fact) {
    bool said = false;
    const KnownFact* known = known_fact(fact);
    const QString prompt =
        known->kind == KnownFact::Kind::moment ? tr("%1, as 2031-05-02 or 2031:") : tr("%1:");
    const QString text = QInputDialog::getText(this, tr("Say a fact"), prompt.arg(fact_words(fact)),
                                               QLineEdit::Normal, {}, &said)
                             .trimmed();
    if (!said || text.isEmpty()) return;
    const auto value = fact_from_text(*known, to_bytes(text));
    if (!value) return emit this->said(shown(value.error().step));
    bench_.sayFact(items, fact, *value);
}
