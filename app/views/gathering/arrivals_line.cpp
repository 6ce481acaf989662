// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/gathering/arrivals_line.h"

#include "views/parts/building.h"
#include "views/parts/elided_label.h"
#include "views/parts/row_delegates.h"
#include "views/parts/spacing.h"

ArrivalsLine::ArrivalsLine(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("arrivalsLine"));
    setAttribute(Qt::WA_StyledBackground);
    auto* row = inset_row();
    row->setContentsMargins(Inset::bar);
    setLayout(row);
    words_ = new ElidedLabel;
    words_->setObjectName(QStringLiteral("arrivalsWords"));
    set_tone(*words_, "accent");
    only_ = named_button("arrivalsOnly", tr("Only these"), tr("Leaves out what was there before"));
    only_->setCheckable(true);
    auto* close = named_button("arrivalsClose", tr("Close"));
    row->addWidget(words_, 1);
    row->addWidget(only_);
    row->addWidget(close);
    connect(only_, &QPushButton::toggled, this, &ArrivalsLine::onlyTheseToggled);
    connect(close, &QPushButton::clicked, this, &ArrivalsLine::closed);
    hide();
}

void ArrivalsLine::show_(const std::shared_ptr<const Arrivals>& arrivals) {
    only_->setChecked(false);
    setVisible(arrivals != nullptr);
    if (!arrivals) return;
    const QString words = tr("%Ln came in here: %1", nullptr, static_cast<int>(arrivals->count));
    words_->setText(came_in_mark() + QLatin1Char(' ') + words.arg(arrivals->sentence));
}
