// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/parts/three_line_delegate.h"

#include <QPainter>

#include "drawn_text.h"
#include "theme/fonts.h"
#include "theme/theme.h"
#include "views/parts/mirrored.h"

QSize ThreeLineDelegate::sizeHint(const QStyleOptionViewItem& option, const QModelIndex&) const {
    return {200, QFontMetrics(option.font).height() * 3 + 24};
}

void ThreeLineDelegate::paint(QPainter* painter, const QStyleOptionViewItem& option,
                              const QModelIndex& index) const {
    const Theme& theme = Theme::current();
    painter->save();
    if (option.state.testFlag(QStyle::State_Selected)) {
        painter->fillRect(option.rect, theme.paper);
        const QRect mark(option.rect.left(), option.rect.top(), 4, option.rect.height() - 1);
        painter->fillRect(mirrored(option.rect, mark), theme.accent);
    }
    painter->setPen(theme.line);
    painter->drawLine(option.rect.bottomLeft(), option.rect.bottomRight());
    const QFontMetrics metrics(option.font);
    const int line = metrics.height();
    QRect at = option.rect.adjusted(14, 9, -14, 0);
    at.setHeight(line);
    painter->setFont(strong_font(option.font));
    painter->setPen(theme.ink);
    draw_elided(*painter, at, index.data().toString(), Qt::ElideRight);
    painter->setFont(option.font);
    at.translate(0, line + 3);
    draw_elided(*painter, at, index.data(roles_.about).toString(), Qt::ElideRight);
    painter->setPen(theme.muted);
    at.translate(0, line + 2);
    const QString right = index.data(roles_.right).toString();
    const int room = at.width() - (right.isEmpty() ? 0 : metrics.horizontalAdvance(right) + 12);
    painter->drawText(at, Qt::AlignVCenter,
                      metrics.elidedText(index.data(roles_.left).toString(), Qt::ElideRight, room));
    painter->drawText(at, Qt::AlignVCenter | Qt::AlignRight, right);
    painter->restore();
}
