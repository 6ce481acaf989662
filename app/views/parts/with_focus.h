// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QAbstractItemView>
#include <QPainter>
#include <algorithm>

#include "theme/theme.h"

/// A list, table or tree that shows where the keyboard is: a frame around the current row while it has the focus, and a bar at the edge of
/// each selected one, so that neither hangs on a pale ground alone.
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
        const bool mirrored = this->isRightToLeft();
        for (int y = 1; y < this->viewport()->height();) {
            const QModelIndex index = this->indexAt(QPoint(mirrored ? width - 2 : 2, y));
            if (!index.isValid()) break;
            const QRect row = row_rect(index);
            if (this->selectionModel()->isSelected(index))
                painter.fillRect(QRect(mirrored ? width - 3 : 0, row.top(), 3, row.height() - 1), Theme::current().accent);
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
