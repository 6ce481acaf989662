// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QLabel>
#include <QPainter>

/// A line of plain text that is shortened at its end where there is no room for all of it; the tooltip then
/// has the rest.
class ElidedLabel final : public QLabel {
    Q_OBJECT

public:
    explicit ElidedLabel(QWidget* parent = nullptr) : QLabel(parent) {
        setTextFormat(Qt::PlainText);
        setSizePolicy(QSizePolicy::Preferred, QSizePolicy::Preferred);
    }
    QSize minimumSizeHint() const override { return {60, QLabel::minimumSizeHint().height()}; }

protected:
    void paintEvent(QPaintEvent*) override {
        QPainter painter(this);
        const QString elided = fontMetrics().elidedText(text(), Qt::ElideRight, width());
        setToolTip(elided == text() ? QString() : text());
        painter.setPen(palette().color(foregroundRole()));
        painter.drawText(rect(), Qt::AlignVCenter | Qt::AlignLeft, elided);
    }
};
