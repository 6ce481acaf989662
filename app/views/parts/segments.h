// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QButtonGroup>
#include <QHBoxLayout>
#include <QPushButton>
#include <QStyle>
#include <vector>

/// Puts buttons of which one holds into a row, as one switch that is round at its ends.
inline void add_segments(QHBoxLayout& row, QButtonGroup& group, const std::vector<QPushButton*>& buttons) {
    auto* together = new QHBoxLayout;
    together->setSpacing(0);
    for (std::size_t at = 0; at < buttons.size(); ++at) {
        QPushButton* button = buttons[at];
        button->setCheckable(true);
        button->setProperty("role", "segment");
        button->setProperty("end", at == 0 ? "first" : at + 1 == buttons.size() ? "last" : "none");
        if (group.id(button) == -1) group.addButton(button);
        together->addWidget(button);
    }
    row.addLayout(together);
}
