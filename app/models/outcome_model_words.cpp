// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "error_words.h"
#include "files/path.h"
#include "models/outcome_model.h"
#include "names/names.h"
#include "text.h"
#include "wording.h"

// What the outcome says of an item, in words.

using namespace tavlo;

QString OutcomeModel::tagText(const Item& item, ItemId id) const {
    if (const auto came = result(id)) {
        ReceiptItem seen;
        seen.result = *came;
        seen.action = item.action;
        seen.role = item.role;
        return result_words(seen);
    }
    return outcome_words(item);
}

Tone OutcomeModel::tone(const Item& item, ItemId id) const {
    const Outcome outcome = result(id).value_or(item.outcome);
    switch (outcome) {
        case Outcome::undecided:
        case Outcome::failed: return Tone::waiting;
        case Outcome::overwritten:
        case Outcome::removed: return Tone::takes_away;
        case Outcome::created:
        case Outcome::renamed:
        case Outcome::restored: return Tone::fresh;
        case Outcome::planned:
        case Outcome::skipped:
        case Outcome::merged: return Tone::plain;
    }
    return Tone::plain;
}

QString OutcomeModel::wordsText(const Item& item, ItemId id) const {
    if (result(id)) return {};
    switch (item.outcome) {
        case Outcome::failed:
            if (!item.problem()) return {};
            if (item.problem()->fault == Fault::name_not_possible && tree_ && tree_->destination)
                return tr("could be %1")
                    .arg(shown(possible_name(plan_->name(item), plan_->entry(item).status.type,
                                             tree_->destination->volume)));
            return reason_words(*item.problem());
        case Outcome::overwritten: return tr("old one to the Safe");
        case Outcome::renamed:
            if (item.role == tavlo::Role::renamed) return tr("%1 is taken").arg(shown(plan_->name(item)));
            return tr("as %1").arg(shown(plan_->final_name(item)));
        case Outcome::merged: return tr("with the folder there");
        case Outcome::skipped:
            if (item.collision && item.collision->shared) return tr("with its folder");
            return item.collision && item.collision->finding == Finding::same ? tr("skip")
                                                                              : tr("skip; stays as it is");
        case Outcome::undecided:
            if (item.problem()) return reason_words(*item.problem());
            if (!item.collision) return {};
            if (item.collision->shared) return tr("with its folder");
            if (item.collision->finding == Finding::type) return tr("one is a folder");
            if (item.collision->finding == Finding::twin)
                return tr("this one from %1")
                    .arg(short_path(plan_->batch->folders.path(plan_->entry(item).folder), 1));
            return difference_text(plan_->entry(item).status, item.collision->held);
        case Outcome::created:
            if (is_typed_ && is_typed_(id)) return tr("typed by hand");
            if (item.role == tavlo::Role::renamed) return {};
            if (item.inside != no_folder && tree_) {
                const auto count = tree_->arriving[item.inside];
                return count > 0 ? tr("%Ln files arrive", nullptr, static_cast<int>(count))
                                 : tr("an empty folder");
            }
            return {};
        case Outcome::restored: return item.collision ? tr("the copy to the Safe") : QString();
        case Outcome::removed:
            if (item.action == Action::remove_folder) return tr("if it is empty by then");
            if (tree_ && !tree_->weights.empty() && plan_->entry(item).status.type == FileType::folder)
                return tr("with %Ln files, %1", nullptr, static_cast<int>(tree_->weights[id].files))
                    .arg(size_text(tree_->weights[id].bytes));
            return plan_->leaves(item) ? tr("undo brings it back") : QString();
        case Outcome::planned: return {};
    }
    return {};
}
