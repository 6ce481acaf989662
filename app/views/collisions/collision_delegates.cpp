// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/collisions/collision_delegates.h"

#include <QMouseEvent>
#include <QPainter>

#include "models/collision_models.h"
#include "models/outcome_model.h"
#include "text.h"
#include "theme/lengths.h"
#include "theme/theme.h"
#include "views/parts/button_row.h"
#include "views/parts/mirrored.h"

namespace {

constexpr int group_margin = 9;
constexpr int below_choices = 6;

int group_line() { return lines(1.12); }
int choices_height() { return lines(1.75); }
int date_wide() { return digits(16); }  // of "3 May 2031 11:55"

}  // namespace

QSize GroupDelegate::sizeHint(const QStyleOptionViewItem&, const QModelIndex&) const {
    return {digits(24), group_margin + 2 * group_line() + group_margin + choices_height() + below_choices};
}

QRect GroupDelegate::choicesCell(const QRect& row) {
    return {row.left(), row.bottom() - choices_height() - below_choices, row.width(), choices_height()};
}

void GroupDelegate::paint(QPainter* painter, const QStyleOptionViewItem& option,
                          const QModelIndex& index) const {
    const Theme& theme = Theme::current();
    painter->save();
    const bool selected = option.state.testFlag(QStyle::State_Selected);
    if (selected) painter->fillRect(option.rect, theme.paper);
    if (selected)
        painter->fillRect(mirrored(option.rect, QRect(option.rect.topLeft(), QSize(4, option.rect.height()))),
                          theme.accent);
    if (option.state.testFlag(QStyle::State_HasFocus)) {
        painter->setPen(theme.accent);
        painter->drawRect(option.rect.adjusted(6, 2, -3, -4));
    }
    painter->setPen(theme.line);
    painter->drawLine(option.rect.bottomLeft(), option.rect.bottomRight());
    const QRect inner = option.rect.adjusted(before_cell, group_margin, -after_cell, 0);
    painter->setFont(small_font(option.font));
    const QString count = index.data(GroupModel::CountRole).toString();
    const int tag = painter->fontMetrics().horizontalAdvance(count) + 14;
    const bool waiting = index.data(GroupModel::WaitingRole).toBool();
    const auto placed = [&](const QRect& part) { return mirrored(option.rect, part); };
    paint_tag(*painter, placed(QRect(inner.right() - tag, inner.top(), tag, group_line())), count,
              static_cast<int>(waiting ? Tone::waiting : Tone::plain));
    QFont bold = option.font;
    bold.setWeight(QFont::DemiBold);
    painter->setFont(bold);
    painter->setPen(theme.ink);
    painter->drawText(
        placed(QRect(inner.left(), inner.top(), inner.width() - tag - 8, group_line())),
        Qt::AlignLeft | Qt::AlignVCenter,
        painter->fontMetrics().elidedText(index.data().toString(), Qt::ElideMiddle, inner.width() - tag - 8));
    painter->setFont(option.font);
    painter->setPen(theme.muted);
    painter->drawText(
        placed(QRect(inner.left(), inner.top() + group_line() + 2, inner.width(), group_line())),
        Qt::AlignLeft | Qt::AlignVCenter,
        painter->fontMetrics().elidedText(index.data(GroupModel::WordsRole).toString(), Qt::ElideRight,
                                          inner.width()));
    const QStringList choices = index.data(GroupModel::ChoicesRole).toStringList();
    const QRect cell = choicesCell(option.rect);
    paint_buttons(*painter, cell, choices, index.data(GroupModel::ChosenRole).toInt(),
                  index.data(GroupModel::TakesAwayRole).toInt());
    const int used = cell.left() + buttons_width(option.font, choices) + 2;
    painter->setFont(small_font(option.font));
    painter->setPen(theme.muted);
    painter->drawText(placed(QRect(used, cell.top(), inner.right() - used, cell.height())),
                      Qt::AlignRight | Qt::AlignVCenter,
                      painter->fontMetrics().elidedText(index.data(GroupModel::OtherwiseRole).toString(),
                                                        Qt::ElideRight, inner.right() - used));
    painter->restore();
}

bool GroupDelegate::editorEvent(QEvent* event, QAbstractItemModel* model, const QStyleOptionViewItem& option,
                                const QModelIndex& index) {
    if (event->type() == QEvent::MouseButtonPress) {
        const QPoint at = static_cast<QMouseEvent*>(event)->position().toPoint();
        const int choice = button_at(choicesCell(option.rect), option.font,
                                     index.data(GroupModel::ChoicesRole).toStringList(), at);
        if (choice >= 0) emit chosen(index, choice);  // and the group becomes the current one besides
    }
    return QStyledItemDelegate::editorEvent(event, model, option, index);
}

/// "2.4 MB · 3 May 11:55", each part set off for itself.
void PairDelegate::paintTwo(QPainter& painter, const QRect& cell, const QModelIndex& index) const {
    const Theme& theme = Theme::current();
    const auto draw = [&](const QRect& rect, int role, bool strong) {
        QFont font = painter.font();
        font.setWeight(strong ? QFont::DemiBold : QFont::Normal);
        painter.setFont(font);
        painter.setPen(strong ? theme.ink : theme.muted);
        draw_tabular(painter, rect, Qt::AlignRight, index.data(role).toString());
    };
    const QRect inner = cell.adjusted(2, 0, -after_cell, 0);
    const QRect date(inner.right() - date_wide() + 1, inner.top(), date_wide(), inner.height());
    draw(mirrored(cell, date), PairModel::DateTextRole, index.data(PairModel::StrongDateRole).toBool());
    draw(mirrored(cell, QRect(inner.left(), inner.top(), date.left() - inner.left(), inner.height())),
         PairModel::SizeTextRole, index.data(PairModel::StrongSizeRole).toBool());
}

void PairDelegate::paint(QPainter* painter, const QStyleOptionViewItem& option,
                         const QModelIndex& index) const {
    const Theme& theme = Theme::current();
    painter->save();
    const bool waiting = index.data(PairModel::WaitingRole).toBool();
    paint_row_ground(*painter, option, waiting ? theme.amber_wash : QColor());
    painter->setFont(option.font);
    const QRect cell = mirrored(option.rect, option.rect.adjusted(before_cell, 0, -after_cell, 0));
    switch (index.column()) {
        case PairModel::IncomingColumn:
        case PairModel::HeldColumn: paintTwo(*painter, option.rect, index); break;
        case PairModel::DecisionColumn:
            paint_buttons(*painter, option.rect, choices_, index.data(PairModel::DecisionRole).toInt() - 1,
                          choices_.size() > 2 ? 1 : -1);
            break;
        default: {
            QFont font = option.font;
            if (index.column() == PairModel::NameColumn) font.setWeight(QFont::DemiBold);
            painter->setFont(font);
            painter->setPen(index.column() == PairModel::NameColumn ? theme.ink : theme.muted);
            painter->drawText(cell, Qt::AlignLeft | Qt::AlignVCenter,
                              painter->fontMetrics().elidedText(
                                  index.data().toString(),
                                  index.column() == PairModel::NameColumn ? Qt::ElideMiddle : Qt::ElideRight,
                                  cell.width()));
        }
    }
    painter->restore();
}

bool PairDelegate::editorEvent(QEvent* event, QAbstractItemModel* model, const QStyleOptionViewItem& option,
                               const QModelIndex& index) {
    if (event->type() == QEvent::MouseButtonPress && index.column() == PairModel::DecisionColumn) {
        const int choice = button_at(option.rect, option.font, choices_,
                                     static_cast<QMouseEvent*>(event)->position().toPoint());
        if (choice >= 0) {
            emit chosen(index, choice);
            return true;
        }
    }
    return QStyledItemDelegate::editorEvent(event, model, option, index);
}
