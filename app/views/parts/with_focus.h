// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QAbstractItemView>
#include <QPainter>
#include <algorithm>

#include "theme/theme.h"

/// A list, table or tree that shows where the keyboard is: a frame around the current row while it has the
/// focus, and a paler one around what is selected, so that neither hangs on a pale ground alone.
template <class View>
class WithFocus : public View {
public:
    using View::View;

protected:
    void paintEvent(QPaintEvent* event) override {
        View::paintEvent(event);
        if (this->model() == nullptr || this->selectionModel() == nullptr) return;
        QPainter painter(this->viewport());
        const int width = this->viewport()->width();
        const auto row_rect = [&](const QModelIndex& index) {
            const QRect cell = this->visualRect(index);
            return QRect(0, cell.top(), width, cell.height());
        };
        painter.setPen(Theme::current().edge);
        for (int y = 1; y < this->viewport()->height();) {
            const QModelIndex index = this->indexAt(QPoint(this->isRightToLeft() ? width - 2 : 2, y));
            if (!index.isValid()) break;
            const QRect row = row_rect(index);
            if (this->selectionModel()->isSelected(index)) {
                const auto is_selected = [&](int at) {
                    const QModelIndex other =
                        this->indexAt(QPoint(this->isRightToLeft() ? width - 2 : 2, at));
                    return other.isValid() && this->selectionModel()->isSelected(other);
                };
                // one frame around rows that stand together
                painter.drawLine(0, row.top(), 0, row.bottom());
                painter.drawLine(width - 1, row.top(), width - 1, row.bottom());
                if (!is_selected(row.top() - 2)) painter.drawLine(0, row.top(), width - 1, row.top());
                if (!is_selected(row.bottom() + 2))
                    painter.drawLine(0, row.bottom(), width - 1, row.bottom());
            }
            y = std::max(row.bottom() + 2, y + 1);
        }
        if (!this->hasFocus() || !this->currentIndex().isValid()) return;
        painter.setPen(Theme::current().accent);
        painter.setBrush(Qt::NoBrush);
        painter.drawRect(row_rect(this->currentIndex()).adjusted(0, 0, -1, -1));
    }
    void focusInEvent(QFocusEvent* event) override {
        View::focusInEvent(event);
        this->viewport()->update();
    }
    void focusOutEvent(QFocusEvent* event) override {
        View::focusOutEvent(event);
        this->viewport()->update();
    }
    /// The frame is as wide as the row, the cell that Qt would have painted again is not.
    void currentChanged(const QModelIndex& now, const QModelIndex& before) override {
        View::currentChanged(now, before);
        this->viewport()->update();
    }
};
