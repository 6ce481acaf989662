// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "wording.h"

#include <QCoreApplication>

#include "sentence.h"
#include "text.h"

using namespace tavlo;

namespace {
struct Wording {
    Q_DECLARE_TR_FUNCTIONS(Wording)
};
}  // namespace

QString finding_words(Finding finding) {
    switch (finding) {
        case Finding::same: return Wording::tr("same");
        case Finding::newer: return Wording::tr("newer");
        case Finding::older: return Wording::tr("older");
        case Finding::same_date: return Wording::tr("same date");
        case Finding::type: return Wording::tr("other type");
        case Finding::twin: return Wording::tr("twin");
        case Finding::elsewhere: return Wording::tr("there already");
    }
    return {};
}

QString decision_words(Decision decision) {
    switch (decision) {
        case Decision::undecided: return Wording::tr("undecided");
        case Decision::skip: return Wording::tr("skip");
        case Decision::overwrite: return Wording::tr("overwrite");
        case Decision::rename: return Wording::tr("rename");
    }
    return {};
}

QString size_words(SizeRelation relation) {
    switch (relation) {
        case SizeRelation::smaller: return Wording::tr("smaller");
        case SizeRelation::same_size: return Wording::tr("of one size");
        case SizeRelation::larger: return Wording::tr("larger");
    }
    return {};
}

QStringList decision_choices() {
    return {Wording::tr("Skip"), Wording::tr("Overwrite"), Wording::tr("Rename")};
}

QString outcome_words(const Item& item) {
    switch (item.outcome) {
        case Outcome::created:
        case Outcome::planned:
            if (item.role == Role::renamed) return Wording::tr("new name");
            return item.collision && item.collision->finding == Finding::twin && !item.collision->shared
                       ? Wording::tr("twin")
                       : Wording::tr("new");
        case Outcome::overwritten: return Wording::tr("overwrite");
        case Outcome::renamed: return Wording::tr("rename");
        case Outcome::merged: return Wording::tr("merge");
        case Outcome::failed: return Wording::tr("cannot be done");
        case Outcome::removed:
            return item.action == Action::remove_folder ? Wording::tr("goes") : shelf_words(item.shelf);
        case Outcome::restored: return Wording::tr("comes back");
        case Outcome::skipped:
        case Outcome::undecided: break;
    }
    if (!item.collision && item.role == Role::renamed && item.outcome == Outcome::skipped)
        return Wording::tr("keeps its name");
    if (!item.collision && is_packed(item.action) && item.outcome == Outcome::undecided)
        return Wording::tr("the archive's name is taken");
    if (!item.collision)
        return item.outcome == Outcome::skipped ? Wording::tr("skip") : Wording::tr("changed since");
    return item.collision->finding ? finding_words(*item.collision->finding) : Wording::tr("comparing…");
}

QString result_words(Outcome outcome, Operation operation) {
    switch (outcome) {
        case Outcome::planned: return Wording::tr("not reached");
        case Outcome::created:
            switch (operation) {
                case Operation::move: return Wording::tr("moved");
                case Operation::rename: return Wording::tr("renamed");
                case Operation::make: return Wording::tr("made");
                case Operation::pack: return Wording::tr("packed");
                case Operation::unpack: return Wording::tr("unpacked");
                case Operation::copy:
                case Operation::undo:
                case Operation::restore:
                case Operation::remove: break;
            }
            return Wording::tr("copied");
        case Outcome::overwritten: return Wording::tr("overwritten");
        case Outcome::renamed: return Wording::tr("renamed");
        case Outcome::skipped: return Wording::tr("skipped");
        case Outcome::merged: return Wording::tr("merged");
        case Outcome::undecided: return Wording::tr("undecided");
        case Outcome::failed: return Wording::tr("failed");
        case Outcome::removed:
            return operation == Operation::remove ? Wording::tr("removed") : Wording::tr("taken away");
        case Outcome::restored: return Wording::tr("put back");
    }
    return {};
}

QString result_words(const ReceiptItem& item) {
    const Operation what = item.role == Role::renamed    ? Operation::rename
                           : item.role == Role::made     ? Operation::make
                           : is_packed(item.action)      ? Operation::pack
                           : item.role == Role::archive  ? Operation::make
                           : item.action == Action::move ? Operation::move
                                                         : Operation::copy;
    return result_words(item.result, what);
}

QString receipt_title(const ReceiptHead& head) {
    if (!head.sentence.empty()) return shown(head.sentence);
    return Wording::tr("%1 into %2")
        .arg(QString::fromUtf8(to_text(head.operation).data()), short_path(head.destination));
}

QString receipt_state(const ReceiptHead& head) {
    if (!head.undone_by.empty()) return Wording::tr("undone");
    switch (head.state) {
        case RunState::done:
            return head.totals.of(Outcome::failed) > 0 ? Wording::tr("done, with failures")
                                                       : Wording::tr("done");
        case RunState::stopped: return Wording::tr("stopped");
        case RunState::interrupted: return Wording::tr("interrupted, or still going on");
    }
    return {};
}
