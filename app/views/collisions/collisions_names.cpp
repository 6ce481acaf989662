// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QLabel>
#include <QLineEdit>
#include <QMenu>
#include <QPushButton>

#include "models/collision_models.h"
#include "names/names.h"
#include "tasks/bench.h"
#include "text.h"
#include "views/bench/rule_dialogs.h"
#include "views/collisions/collisions_page.h"
#include "views/parts/row_view.h"

// New names for the incoming ones of pairs.

using namespace tavlo;

/// What a rename comes to, for the pair that is selected; to be changed in place.
void CollisionsPage::showNames() {
    const auto items = selectedItems();
    const auto& plan = pairs_->plan();
    const auto& outcome = bench_.view().outcome;
    const bool one = items.size() == 1 && plan && outcome && plan == bench_.plan();
    names_->setEnabled(!items.empty());
    name_->setEnabled(one);
    name_words_->setText(items.size() > 1 ? tr("%Ln selected", nullptr, static_cast<int>(items.size()))
                         : !one           ? QString()
                         : renames_held_  ? tr("The one there would be renamed to")
                                          : tr("Incoming would be kept as"));
    name_->setAccessibleName(renames_held_ ? tr("New name of the one that is there")
                                           : tr("New name of the incoming one"));
    if (!one) return name_->clear();
    const Item& item = plan->items[items.front()];
    if (name_->hasFocus() && name_->isModified()) return;  // somebody is typing
    const bool settled = item.outcome == Outcome::renamed && !renames_held_;
    name_->setText(shown(settled ? plan->final_name(item)
                                 : proposed_name(*plan, *outcome->survey, items.front(),
                                                 bench_.job().policy.new_names, renames_held_)));
}

void CollisionsPage::applyNames(const std::optional<NewNames>& scheme, bool of_held) {
    if (pairs_->plan() != bench_.plan()) return;
    bench_.decide(selectedItems(), PairDecision{{}, Decision::rename, scheme, {}, of_held});
}

void CollisionsPage::applyTypedName() {
    const auto items = selectedItems();
    if (items.size() != 1 || pairs_->plan() != bench_.plan()) return;
    const std::string name = to_bytes(name_->text());
    const auto problem = name.empty() || name.find('/') != std::string::npos || name == "." || name == ".."
                             ? tr("“%1” is no name: it must hold something, and no “/”.").arg(name_->text())
                             : QString();
    if (!problem.isEmpty()) return emit said(problem);
    name_->setModified(false);
    bench_.decide(items, PairDecision{{}, Decision::rename, {}, name, renames_held_});
    pair_list_->setFocus();
}

void CollisionsPage::fillNamesMenu() {
    const auto items = selectedItems();
    const auto& plan = bench_.plan();
    const auto& outcome = bench_.view().outcome;
    if (items.empty() || pairs_->plan() != plan || !outcome) return;
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    const auto add = [&](const QString& words, const NewNames& scheme) {
        const QString example =
            shown(proposed_name(*plan, *outcome->survey, items.front(), scheme, renames_held_));
        menu->addAction(tr("%1: %2").arg(words, example), this,
                        [this, scheme] { applyNames(scheme, renames_held_); });
    };
    add(tr("By number"), {});
    add(tr("By date of change"), {NewNames::Scheme::date, {}});
    add(tr("With the folder that it comes from"), {NewNames::Scheme::pattern, "{name} from {folder}{ext}"});
    menu->addAction(tr("By a pattern of my own…"), this, [this] {
        NamePatternDialog dialog(bench_.job().policy.new_names.pattern, this);
        if (dialog.exec() == QDialog::Accepted)
            applyNames(NewNames{NewNames::Scheme::pattern, dialog.pattern()}, renames_held_);
    });
    menu->addSeparator();
    auto* held = menu->addAction(tr("Give the new name to the one that is there"), this, [this] {
        renames_held_ = !renames_held_;
        showNames();
    });
    held->setCheckable(true);
    held->setChecked(renames_held_);
    const CollisionGroup* group = currentGroup();
    held->setEnabled(group != nullptr && !GroupModel::isTwins(*group));
    menu->popup(names_->mapToGlobal(QPoint(0, -menu->sizeHint().height())));
}
