// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QEvent>
#include <QHeaderView>
#include <QObject>
#include <QTableView>
#include <map>
#include <utility>
#include <vector>

#include "theme/lengths.h"

/// Keeps room for the names of a list, which stretch: where there is little of it, with large text on a small
/// screen, other columns go, in an order that is given, and come back with it.
class NamesFirst final : public QObject {
public:
    /// going  columns in the order in which they go; once they have their widths
    NamesFirst(QTableView& list, int names, std::vector<int> going)
        : QObject(&list), list_(list), names_(names), going_(std::move(going)) {
        list.viewport()->installEventFilter(this);
    }
    void setGoing(std::vector<int> going) {
        for (const auto& [column, width] : std::exchange(gone_, {})) list_.showColumn(column);
        going_ = std::move(going);
        fit();
    }
    /// Columns that are hidden for another reason stay so.
    void fit() {
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

protected:
    bool eventFilter(QObject* watched, QEvent* event) override {
        if (event->type() == QEvent::Resize) fit();
        return QObject::eventFilter(watched, event);
    }

private:
    static constexpr double names_digits = 24;
    QTableView& list_;
    int names_;
    std::vector<int> going_;
    std::map<int, int> gone_;  ///< columns that went, and how wide they were
};
