// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QLayout>
#include <QList>
#include <algorithm>

#include "views/parts/mirrored.h"

/// Puts widgets one after the other, from the side that reading begins at, and begins a new line where one does
/// not fit.
class FlowLayout final : public QLayout {
public:
    explicit FlowLayout(int gap) : gap_(gap) { setContentsMargins({}); }
    ~FlowLayout() override { qDeleteAll(items_); }

    void addItem(QLayoutItem* item) override { items_.append(item); }
    int count() const override { return static_cast<int>(items_.size()); }
    QLayoutItem* itemAt(int index) const override { return items_.value(index); }
    QLayoutItem* takeAt(int index) override {
        return index >= 0 && index < items_.size() ? items_.takeAt(index) : nullptr;
    }
    Qt::Orientations expandingDirections() const override { return {}; }
    bool hasHeightForWidth() const override { return true; }
    int heightForWidth(int width) const override { return arrange(QRect(0, 0, width, 0), false); }
    QSize sizeHint() const override { return minimumSize(); }
    QSize minimumSize() const override {
        QSize size;
        for (const QLayoutItem* item : items_) size = size.expandedTo(item->minimumSize());
        return size.grownBy(contentsMargins());
    }
    void setGeometry(const QRect& rect) override {
        QLayout::setGeometry(rect);
        arrange(rect, true);
    }

private:
    /// returns  the height that is needed
    int arrange(const QRect& rect, bool move) const {
        const QMargins around = contentsMargins();
        const QRect inner = rect.marginsRemoved(around);
        int x = inner.x();
        int y = inner.y();
        int line = 0;
        for (QLayoutItem* item : items_) {
            if (item->isEmpty()) continue;  // hidden
            const QSize size = item->sizeHint().boundedTo(QSize(inner.width(), QWIDGETSIZE_MAX));
            if (x > inner.x() && x + size.width() > inner.right() + 1) {
                x = inner.x();
                y += line + gap_;
                line = 0;
            }
            if (move) item->setGeometry(mirrored(inner, QRect(QPoint(x, y), size)));
            x += size.width() + gap_;
            line = std::max(line, size.height());
        }
        return y + line - rect.y() + around.bottom();
    }

    QList<QLayoutItem*> items_;
    int gap_;
};
