// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/bench/phrase.h"

#include <QKeyEvent>
#include <QPainter>
#include <QWidget>

#include "theme/fonts.h"
#include "theme/theme.h"
#include "views/parts/mirrored.h"

namespace {
constexpr int margin = 2;
}

Phrase::Phrase(const QString& name, QWidget* parent) : QAbstractButton(parent) {
    setObjectName(name);
    setFocusPolicy(Qt::StrongFocus);
    setCursor(Qt::PointingHandCursor);
}

void Phrase::setWaiting(bool waiting) {
    waiting_ = waiting;
    update();
}

void Phrase::setTakesAway(bool takes_away) {
    takes_away_ = takes_away;
    update();
}

QSize Phrase::sizeHint() const {
    const QFont bold = strong_font(font());
    const QFontMetrics metrics(bold);
    return {metrics.horizontalAdvance(text()) + 2 * margin, metrics.height() + 6};
}

void Phrase::paintEvent(QPaintEvent*) {
    const Theme& theme = Theme::current();
    QPainter painter(this);
    const QFont bold = strong_font(font());
    painter.setFont(bold);
    const QColor colour = waiting_ ? theme.amber : takes_away_ ? theme.plum : theme.accent;
    const QColor wash = waiting_ ? theme.amber_wash : takes_away_ ? theme.plum_wash : theme.accent_wash;
    if (hasFocus() || underMouse()) painter.fillRect(rect().adjusted(0, 1, 0, -1), wash);
    painter.setPen(colour);
    const QFontMetrics metrics(bold);
    const int baseline = 3 + metrics.ascent();
    const bool fits = metrics.horizontalAdvance(text()) <= width();
    painter.drawText(margin, baseline,
                     fits ? text() : metrics.elidedText(text(), Qt::ElideMiddle, width() - 2 * margin));
    painter.fillRect(QRect(margin, baseline + 4, width() - 2 * margin, hasFocus() ? 3 : 2),
                     waiting_ ? theme.amber_fill : colour);
}

void Phrase::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Return || event->key() == Qt::Key_Enter || event->key() == Qt::Key_Down)
        click();
    else
        QAbstractButton::keyPressEvent(event);
}

SentenceLayout::~SentenceLayout() { qDeleteAll(items_); }

void SentenceLayout::setGeometry(const QRect& rect) {
    QLayout::setGeometry(rect);
    arrange(rect, true);
}

QSize SentenceLayout::minimumSize() const {
    int widest = 0;
    int height = 0;
    for (const QLayoutItem* item : items_) {
        if (item->isEmpty()) continue;
        widest = std::max(widest, std::min(260, item->sizeHint().width()));
        height = std::max(height, item->sizeHint().height());
    }
    return {widest, height};
}

int SentenceLayout::arrange(const QRect& rect, bool apply) const {
    int x = rect.left();
    int y = rect.top();
    int line = 0;
    const auto is_glued = [](const QLayoutItem* item) {
        return const_cast<QLayoutItem*>(item)->widget()->property("glued").toBool();
    };
    for (int i = 0; i < items_.size(); ++i) {
        QLayoutItem* item = items_[i];
        if (item->isEmpty()) continue;  // hidden
        QSize size = item->sizeHint();
        size.setWidth(std::min(size.width(), rect.width()));
        int together = size.width();  // a comma stays with what it follows
        for (int next = i + 1; next < items_.size() && is_glued(items_[next]); ++next)
            if (!items_[next]->isEmpty()) together += items_[next]->sizeHint().width();
        if (!is_glued(item) && x > rect.left() && x + together > rect.right() + 1) {
            x = rect.left();
            y += line + 2;
            line = 0;
        }
        if (apply) item->setGeometry(mirrored(rect, QRect(QPoint(x, y), size)));
        x += size.width();
        line = std::max(line, size.height());
    }
    return y + line - rect.top();
}
