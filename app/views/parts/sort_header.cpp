// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/parts/sort_header.h"

#include <QItemSelectionModel>
#include <QPainter>
#include <QStyleOptionHeader>

#include "theme/theme.h"

namespace {
constexpr int before_title = 14;  // as the style sheet has it
constexpr int after_title = 10;
constexpr int gap = 6;
constexpr qreal half = 3.5;  // of the arrow
}  // namespace

/// The style draws no arrow of its own.
void SortHeader::initStyleOptionForIndex(QStyleOptionHeader* option, int section) const {
    QHeaderView::initStyleOptionForIndex(option, section);
    option->sortIndicator = QStyleOptionHeader::None;
}

void SortHeader::setSelectionModel(QItemSelectionModel* of_list) {
    auto* before = selectionModel();
    QHeaderView::setSelectionModel(new QItemSelectionModel(of_list->model(), this));
    if (before != nullptr && before->parent() == this) delete before;
}

void SortHeader::paintSection(QPainter* painter, const QRect& rect, int section) const {
    painter->save();
    QHeaderView::paintSection(painter, rect, section);
    painter->restore();
    if (!isSortIndicatorShown() || sortIndicatorSection() != section || model() == nullptr) return;
    const QString title = model()->headerData(section, Qt::Horizontal).toString();
    const QVariant said = model()->headerData(section, Qt::Horizontal, Qt::TextAlignmentRole);
    const Qt::Alignment alignment = said.isValid() ? Qt::Alignment(said.toInt()) : defaultAlignment();
    const int wide = fontMetrics().horizontalAdvance(title);
    const bool at_right = alignment.testFlag(Qt::AlignRight) != isRightToLeft();
    const qreal x = at_right ? rect.right() - after_title - wide - gap - half
                             : rect.left() + before_title + wide + gap + half;
    const qreal y = rect.center().y() + 1;
    const qreal tip = sortIndicatorOrder() == Qt::AscendingOrder ? half / 2 : -half / 2;
    painter->save();
    painter->setRenderHint(QPainter::Antialiasing);
    painter->setPen(QPen(Theme::current().accent, 1.5, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin));
    const QPointF points[] = {{x - half, y + tip}, {x, y - tip}, {x + half, y + tip}};
    painter->drawPolyline(points, 3);
    painter->restore();
}
