// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QFileDialog>
#include <QLabel>
#include <QMenu>
#include <QPushButton>

#include "tasks/keeping.h"
#include "tasks/outcome_export.h"
#include "tasks/past_runs.h"
#include "text.h"
#include "views/parts/printing.h"
#include "views/receipts/receipts_page.h"
#include "wording.h"

// What can be done with receipts, and how long they are kept.

using namespace tavlo;

namespace {
constexpr std::uint64_t lines_printed = 20'000;  // some 400 pages
}

void ReceiptsPage::showKeeping() {
    const int days = KeepingRules::load().receipt_days;
    keeping_->setText(days == 0 ? tr("Receipts are kept for good…")
                                : tr("Receipts are kept %Ln days…", nullptr, days));
}

void ReceiptsPage::fillKeepingMenu() {
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    for (const auto& [words, days] : {std::pair(tr("Keep receipts for good"), 0),
                                      std::pair(tr("Keep them a year, from the next start on"), 365),
                                      std::pair(tr("Keep them 90 days, from the next start on"), 90)}) {
        auto* action = menu->addAction(words, this, [this, days = days] {
            KeepingRules changed = KeepingRules::load();
            changed.receipt_days = days;
            changed.save();
            showKeeping();
        });
        action->setCheckable(true);
        action->setChecked(KeepingRules::load().receipt_days == days);
    }
    menu->popup(keeping_->mapToGlobal(QPoint(0, -menu->sizeHint().height())));
}

void ReceiptsPage::fillMoreMenu() {
    auto* menu = new QMenu(this);
    menu->setAttribute(Qt::WA_DeleteOnClose);
    menu->addAction(tr("Show it there: what came in, where it is"), this,
                    [this] { emit showRequested(head_.id); });
    if (!head_.job.empty()) {
        menu->addAction(tr("The same on the bench again"), this, [this] { emit againRequested(head_); });
        menu->addAction(tr("Keep as a job…"), this, [this] { emit keepRequested(head_); });
        menu->addSeparator();
    }
    menu->addAction(tr("Check again: read it, and compare"), this, [this] {
        note_->setText(tr("reading it again…"));
        past_.check(head_.id);
    });
    menu->addAction(tr("Write to a file…"), this, [this] {
        const QString file =
            QFileDialog::getSaveFileName(this, tr("Write the receipt to a file"),
                                         QString::fromStdString(head_.id) + QStringLiteral(".json"),
                                         tr("Receipt document (*.json);;Table (*.csv);;Page (*.html)"));
        if (!file.isEmpty()) past_.exportTo(head_.id, to_bytes(file));
    });
    menu->addAction(tr("Print…"), this, [this] {
        print_page(*this, printer_, receipt_title(head_), [this, head = head_] {
            return receipt_as_html(head, past_.firstItems(head.id, lines_printed), lines_printed);
        });
    });
    menu->popup(more_->mapToGlobal(QPoint(0, more_->height())));
}
