// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QLabel>
#include <QLineEdit>
#include <QPushButton>

#include "models/outcome_model.h"
#include "tasks/bench.h"
#include "text.h"
#include "views/outcome/outcome_side.h"
#include "views/parts/elided_label.h"

// What the outcome side says above, below and in place of its list.

using namespace tavlo;

void OutcomeSide::refreshTitle() {
    const bool in_place = !goes_elsewhere(bench_.job());
    const auto& destination = bench_.job().into;
    as_destination_->setText(in_place ? tr("Folders") : tr("Destination"));
    filter_->setVisible(bench_.plan() != nullptr && !in_hand_->isChecked());
    if (in_hand_->isChecked())
        title_->setText(tr("%Ln in hand", nullptr, static_cast<int>(bench_.picks().count())));
    else if (in_place)
        title_->setText(titleInPlace());
    else if (destination.empty())
        title_->setText(tr("No destination yet"));
    else if (model_->share())
        title_->setText(tr("Only these of the batch"));
    else
        title_->setText(as_batch_->isChecked() ? tr("The batch, item by item")
                                               : tr("%1 as it will be").arg(short_path(destination, 1)));
}

void OutcomeSide::refreshSummary() {
    const auto& plan = bench_.plan();
    const auto impossible = bench_.view().impossible_names;
    const bool adapted = bench_.job().policy.adapt_names;
    adapt_->setVisible(plan && (impossible > 0 || adapted));
    adapt_->setText(adapted ? tr("Leave out what needs another name")
                            : tr("Use other names for %Ln", nullptr, static_cast<int>(impossible)));
    const auto undecided = plan ? plan->totals.of(Outcome::undecided) : 0;
    to_settle_->setText(undecided > 0 ? tr("%Ln to settle", nullptr, static_cast<int>(undecided))
                                      : QString());
    next_->setVisible(undecided > 0);
    if (!plan)
        summary_->clear();
    else if (bench_.picks().empty())
        summary_->setText(goes_elsewhere(bench_.job()) ? tr("Nothing is on its way here.") : QString());
    else
        summary_->setText(amounts().join(QStringLiteral(" · ")));
}

/// What the plan comes to, in words.
QStringList OutcomeSide::amounts() const {
    const Job& job = bench_.job();
    const auto& outcome = bench_.view().outcome;
    const Totals& totals = bench_.plan()->totals;
    const auto arriving =
        totals.of(Outcome::created) + totals.of(Outcome::overwritten) + totals.of(Outcome::renamed);
    const auto staying = totals.of(Outcome::skipped);
    QStringList parts;
    if (job.operation == Operation::rename)
        parts << tr("%Ln get new names", nullptr, static_cast<int>(arriving));
    else if (goes_elsewhere(job))
        parts << (arriving > 0 ? tr("%Ln arrive", nullptr, static_cast<int>(arriving))
                               : tr("nothing arrives"));
    if (totals.of(Outcome::overwritten) > 0)
        parts << tr("%Ln replace", nullptr, static_cast<int>(totals.of(Outcome::overwritten)));
    if (staying > 0) parts << tr("%Ln stay as they are", nullptr, static_cast<int>(staying));
    if (totals.of(Outcome::removed) > 0)
        parts << tr("%Ln leave", nullptr, static_cast<int>(totals.of(Outcome::removed)));
    if (job.operation == Operation::remove && outcome->survey) {
        const int stay = static_cast<int>(outcome->staying);
        const int fresh = static_cast<int>(outcome->staying_new);
        parts << (fresh > 0 ? tr("%Ln files stay beside them, %1 of them newer than a week", nullptr, stay)
                                  .arg(count_text(outcome->staying_new))
                            : tr("%Ln files stay beside them", nullptr, stay));
    }
    if (totals.of(Outcome::failed) > 0)
        parts << tr("%Ln cannot be done", nullptr, static_cast<int>(totals.of(Outcome::failed)));
    return parts;
}

void OutcomeSide::refreshEmpty() {
    const Job& job = bench_.job();
    const bool in_place = !goes_elsewhere(job);
    if (!bench_.plan()) {
        const bool waits = in_place ? bench_.picks().empty() || job.naming.empty() : job.into.empty();
        empty_->setText(!waits ? QString()
                        : in_place
                            ? tr("Here you will see the folders as they will be, before anything happens.")
                            : firstSteps());
        return;
    }
    const auto& outcome = bench_.view().outcome;
    if (model_->rowCount() > 0)
        empty_->clear();
    else if (model_->isFiltered())
        empty_->setText(tr("No name in the destination as it will be fits “%1”.").arg(filter_->text()));
    else if (as_batch_->isChecked())
        empty_->setText(tr("The batch is empty."));
    else if (in_place)
        empty_->setText(bench_.picks().empty() ? tr("Pick what it is about on the left.")
                                               : tr("This folder will be empty."));
    else
        empty_->setText(!outcome->destination || outcome->destination->exists
                            ? tr("This folder is empty.")
                            : tr("This folder is not there yet; the run will make it."));
}
