// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QButtonGroup>
#include <QHBoxLayout>
#include <QPushButton>
#include <QStyle>
#include <vector>

#include "views/parts/mirrored.h"
#include "views/parts/spacing.h"

/// Puts buttons of which one holds into a row, as one switch that is round at its ends.
inline void add_segments(QHBoxLayout& row, QButtonGroup& group, const std::vector<QPushButton*>& buttons) {
    auto* together = new QHBoxLayout;
    together->setSpacing(Gap::none);
    for (std::size_t at = 0; at < buttons.size(); ++at) {
        QPushButton* button = buttons[at];
        button->setCheckable(true);
        button->setProperty("role", "segment");
        const bool is_first = runs_from_right() ? at + 1 == buttons.size() : at == 0;  // at the left, that is
        const bool is_last = runs_from_right() ? at == 0 : at + 1 == buttons.size();
        button->setProperty("end", is_first ? "first" : is_last ? "last" : "none");
        if (group.id(button) == -1) group.addButton(button);
        together->addWidget(button);
    }
    row.addLayout(together);
}
