// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/jobs/step_card.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QMenu>
#include <QPushButton>
#include <QVBoxLayout>

#include "job_words.h"
#include "theme/theme.h"
#include "views/parts/spacing.h"

using namespace tavlo;

namespace {}

StepCard::StepCard(const JobStep& step, int at, int of, QWidget* parent)
    : QFrame(parent), step_(step), at_(at), of_(of) {
    setObjectName(QStringLiteral("stepCard%1").arg(at + 1));
    setProperty("card", true);
    const bool is_note = std::holds_alternative<Note>(step.what);
    auto* row = new QHBoxLayout(this);
    space_out(row, Inset::panel, Gap::beside);
    auto* number = new QLabel(QString::number(at + 1));
    set_tone(*number, "muted");
    number->setContentsMargins(Inset::in_line);
    row->addWidget(number, 0, Qt::AlignTop);
    auto* words = new QVBoxLayout;
    words->setSpacing(Gap::close);
    words->setContentsMargins(Inset::in_line);
    auto* sentence = new QLabel(step_sentence(step));
    sentence->setObjectName(QStringLiteral("stepSentence"));
    sentence->setTextFormat(Qt::PlainText);
    sentence->setWordWrap(true);
    if (step.off) set_tone(*sentence, "muted");
    words->addWidget(sentence);
    QStringList marks;
    if (step.off) marks << tr("switched off: it is left out");
    if (step.go_on) marks << tr("whatever comes of it, the next step follows");
    if (!marks.isEmpty()) {
        auto* small = new QLabel(marks.join(QStringLiteral(" · ")));
        set_tone(*small, "muted");
        small->setWordWrap(true);
        words->addWidget(small);
    }
    words->addStretch(1);
    row->addLayout(words, 1);
    const auto add = [&](const QString& text, const char* name, const QString& tip, auto signal) {
        auto* button = new QPushButton(text);
        button->setObjectName(QLatin1String(name) + QString::number(at_ + 1));
        button->setToolTip(tip);
        button->setAccessibleName(tr("Step %1: %2").arg(at_ + 1).arg(text));
        connect(button, &QPushButton::clicked, this, signal);
        row->addWidget(button, 0, Qt::AlignTop);
    };
    if (!is_note)
        add(tr("See first"), "stepSee", tr("Shows on the bench what it would do now; nothing is done"),
            &StepCard::seeRequested);
    add(tr("Change…"), "stepChange",
        is_note ? tr("Its file and its line")
                : tr("Puts it onto the bench, and back when it is as you want it"),
        &StepCard::changeRequested);
    auto* more = new QPushButton(tr("More"));
    more->setObjectName(QStringLiteral("stepMore%1").arg(at + 1));
    more->setAccessibleName(tr("Step %1: more").arg(at + 1));
    auto* menu = new QMenu(more);
    more->setMenu(menu);
    more->setProperty("menu", true);
    connect(menu, &QMenu::aboutToShow, this, [this, menu] { fillMenu(*menu); });
    row->addWidget(more, 0, Qt::AlignTop);
}

void StepCard::fillMenu(QMenu& menu) {
    menu.clear();
    if (std::holds_alternative<Job>(step_.what))
        menu.addAction(tr("Places…"), this, &StepCard::placesRequested);
    menu.addAction(tr("Earlier"), this, [this] { emit moveRequested(-1); })->setEnabled(at_ > 0);
    menu.addAction(tr("Later"), this, [this] { emit moveRequested(1); })->setEnabled(at_ + 1 < of_);
    menu.addSeparator();
    const auto flag = [&](const QString& words, bool JobStep::*which) {
        auto* action = menu.addAction(words, this, [this, which] {
            JobStep changed_step = step_;
            changed_step.*which = !(step_.*which);
            emit changed(changed_step);
        });
        action->setCheckable(true);
        action->setChecked(step_.*which);
    };
    flag(tr("Switched off"), &JobStep::off);
    flag(tr("Go on whatever comes of it"), &JobStep::go_on);
    menu.addSeparator();
    menu.addAction(tr("Take out of the job"), this, &StepCard::removeRequested)->setEnabled(of_ > 1);
}
