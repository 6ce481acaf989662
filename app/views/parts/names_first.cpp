// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/parts/names_first.h"

#include <QEvent>
#include <QHeaderView>
#include <QTableView>
#include <utility>

#include "theme/lengths.h"

namespace {
constexpr double names_digits = 24;
}

NamesFirst::NamesFirst(QTableView& list, int names, std::vector<int> going)
    : QObject(&list), list_(list), names_(names), going_(std::move(going)) {
    list.viewport()->installEventFilter(this);
}

void NamesFirst::setGoing(std::vector<int> going) {
    for (const auto& [column, width] : std::exchange(gone_, {})) list_.showColumn(column);
    going_ = std::move(going);
    fit();
}

void NamesFirst::fit() {
    const QHeaderView& header = *list_.horizontalHeader();
    int others = 0;
    for (int column = 0; column < header.count(); ++column) {
        if (column == names_ || (header.isSectionHidden(column) && !gone_.contains(column))) continue;
        const auto gone = gone_.find(column);
        others += gone == gone_.end() ? header.sectionSize(column) : gone->second;
    }
    const int room = list_.viewport()->width() - digits(names_digits);
    for (const int column : going_) {
        const auto gone = gone_.find(column);
        if (header.isSectionHidden(column) && gone == gone_.end()) continue;
        const int width = gone == gone_.end() ? header.sectionSize(column) : gone->second;
        if (others > room) {
            others -= width;
            if (gone == gone_.end()) gone_[column] = width;
            list_.hideColumn(column);
        } else if (gone != gone_.end()) {
            gone_.erase(gone);
            list_.showColumn(column);
        }
    }
}

bool NamesFirst::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() == QEvent::Resize) fit();
    return QObject::eventFilter(watched, event);
}
