// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/collisions/collision_delegates.h"

#include <QMouseEvent>
#include <QPainter>

#include "drawn_text.h"
#include "models/collision_models.h"
#include "models/outcome_model.h"
#include "text.h"
#include "theme/fonts.h"
#include "theme/lengths.h"
#include "theme/theme.h"
#include "views/parts/button_row.h"
#include "views/parts/mirrored.h"
#include "wording.h"

namespace {

constexpr int group_margin = 9;
constexpr int below_choices = 6;

int group_line() { return lines(1.12); }
int choices_height() { return lines(1.75); }
int date_wide() { return digits(17.5); }  // of a strong "20 May 2031 11:55", and a gap before it

}  // namespace

QSize GroupDelegate::sizeHint(const QStyleOptionViewItem&, const QModelIndex&) const {
    return {digits(24), group_margin + 2 * group_line() + group_margin + choices_height() + below_choices};
}

Choices GroupDelegate::choicesOf(const QModelIndex& index, const QRect& row) const {
    return {index.data(GroupModel::ChoicesRole).toStringList(),
            index.data(GroupModel::ChosenRole).toInt(),
            {row.left(), row.bottom() - choices_height() - below_choices, row.width(), choices_height()}};
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
    painter->setFont(strong_font(option.font));
    painter->setPen(theme.ink);
    draw_elided(*painter, placed(QRect(inner.left(), inner.top(), inner.width() - tag - 8, group_line())),
                index.data().toString(), Qt::ElideMiddle);
    painter->setFont(option.font);
    painter->setPen(theme.muted);
    draw_elided(*painter,
                placed(QRect(inner.left(), inner.top() + group_line() + 2, inner.width(), group_line())),
                index.data(GroupModel::WordsRole).toString(), Qt::ElideRight);
    const Choices choices = choicesOf(index, option.rect);
    const QRect& cell = choices.cell;
    paint_buttons(*painter, choices, index.data(GroupModel::TakesAwayRole).toInt());
    const int used = cell.left() + buttons_width(option.font, choices.words) + 2;
    painter->setFont(small_font(option.font));
    painter->setPen(theme.muted);
    draw_elided(*painter, placed(QRect(used, cell.top(), inner.right() - used, cell.height())),
                index.data(GroupModel::OtherwiseRole).toString(), Qt::ElideRight, Qt::AlignRight);
    painter->restore();
}

bool GroupDelegate::editorEvent(QEvent* event, QAbstractItemModel* model, const QStyleOptionViewItem& option,
                                const QModelIndex& index) {
    if (event->type() == QEvent::MouseButtonPress) {
        const QPoint at = static_cast<QMouseEvent*>(event)->position().toPoint();
        const int choice = button_at(choicesOf(index, option.rect), option.font, at);
        if (choice >= 0) emit chosen(index, choice);  // and the group becomes the current one besides
    }
    return QStyledItemDelegate::editorEvent(event, model, option, index);
}

/// "2.4 MB · 3 May 11:55", each part set off for itself.
void PairDelegate::paintTwo(QPainter& painter, const QRect& cell, const QModelIndex& index) const {
    const Theme& theme = Theme::current();
    const auto draw = [&](const QRect& rect, int role, bool strong) {
        const QFont font = strong_font(painter.font(), strong);
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

Choices PairDelegate::choicesOf(const QModelIndex& index, const QRect& cell) const {
    if (index.column() != PairModel::DecisionColumn) return {};
    return {choices_, index.data(PairModel::DecisionRole).toInt() - 1, cell};
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
            paint_buttons(*painter, choicesOf(index, option.rect),
                          choices_.size() > 2 ? overwrite_choice : -1);
            break;
        default: {
            painter->setFont(strong_font(option.font, index.column() == PairModel::NameColumn));
            painter->setPen(index.column() == PairModel::NameColumn ? theme.ink : theme.muted);
            draw_elided(*painter, cell, index.data().toString(),
                        index.column() == PairModel::NameColumn ? Qt::ElideMiddle : Qt::ElideRight);
        }
    }
    painter->restore();
}

bool PairDelegate::editorEvent(QEvent* event, QAbstractItemModel* model, const QStyleOptionViewItem& option,
                               const QModelIndex& index) {
    if (event->type() == QEvent::MouseButtonPress) {
        const int choice = button_at(choicesOf(index, option.rect), option.font,
                                     static_cast<QMouseEvent*>(event)->position().toPoint());
        if (choice >= 0) {
            emit chosen(index, choice);
            return true;
        }
    }
    return QStyledItemDelegate::editorEvent(event, model, option, index);
}
