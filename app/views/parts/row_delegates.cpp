// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/parts/row_delegates.h"

#include <QMouseEvent>
#include <QPainter>

#include "drawn_text.h"
#include "models/folder_model.h"
#include "models/outcome_model.h"
#include "models/receipt_cells.h"
#include "text.h"
#include "theme/fonts.h"
#include "theme/lengths.h"
#include "theme/theme.h"
#include "views/parts/button_row.h"
#include "views/parts/mirrored.h"
#include "views/parts/row_view.h"
#include "wording.h"

using tavlo::Decision;

namespace {

constexpr int before = before_cell;
constexpr int after = after_cell;
constexpr int indent = 18;  // of a line below another

}  // namespace

void PlainRowDelegate::paint(QPainter* painter, const QStyleOptionViewItem& option,
                             const QModelIndex& index) const {
    painter->save();
    paint_row_ground(*painter, option, QColor());
    const QRect cell = mirrored(option.rect, option.rect.adjusted(before, 0, -after, 0));
    painter->setFont(option.font);
    painter->setPen(index.column() == 0 ? Theme::current().ink : Theme::current().muted);
    const QString text = index.data().toString();
    if (index.data(Qt::TextAlignmentRole).value<Qt::Alignment>() & Qt::AlignRight)
        draw_tabular(*painter, cell, Qt::AlignRight, text);
    else
        draw_elided(*painter, cell, text, Qt::ElideMiddle);
    painter->restore();
}

void FolderDelegate::paint(QPainter* painter, const QStyleOptionViewItem& option,
                           const QModelIndex& index) const {
    const Theme& theme = Theme::current();
    const bool picked = index.data(FolderModel::PickedRole).toBool();
    painter->save();
    paint_row_ground(*painter, option, picked ? theme.accent_wash : QColor());
    QRect cell = option.rect.adjusted(before, 0, -after, 0);
    painter->setFont(option.font);
    const auto column = static_cast<FolderColumn>(index.column());
    if (column == FolderColumn::name) {
        if (picked)
            painter->fillRect(mirrored(option.rect, QRect(option.rect.left(), option.rect.top(), 4,
                                                          option.rect.height() - 1)),
                              theme.accent);
        cell.setLeft(option.rect.left() + mark_width + 2);
        const bool folder =
            index.data(FolderModel::TypeRole).toInt() == static_cast<int>(tavlo::FileType::folder);
        const QFont font = strong_font(option.font, folder);
        painter->setFont(font);
        painter->setPen(theme.ink);
        const QString name = index.data().toString() + (folder ? QStringLiteral("/") : QString());
        if (index.data(FolderModel::CameInRole).toBool()) {  // by its shape, which leaves the name its room
            painter->setPen(theme.accent);
            painter->drawText(mirrored(option.rect, cell), Qt::AlignRight | Qt::AlignVCenter, came_in_mark());
            cell.setRight(cell.right() - painter->fontMetrics().horizontalAdvance(came_in_mark()) - 6);
            painter->setPen(theme.ink);
        }
        draw_elided(*painter, mirrored(option.rect, cell), name, Qt::ElideMiddle);
    } else {
        cell = mirrored(option.rect, cell);
        painter->setPen(picked ? theme.ink : theme.muted);
        const QString text = index.data().toString();
        if (column == FolderColumn::size || column == FolderColumn::changed)
            draw_tabular(*painter, cell, Qt::AlignRight, text);
        else
            draw_elided(*painter, cell, text, Qt::ElideMiddle);
    }
    painter->restore();
}

bool FolderDelegate::editorEvent(QEvent* event, QAbstractItemModel* model, const QStyleOptionViewItem& option,
                                 const QModelIndex& index) {
    if (event->type() == QEvent::MouseButtonPress && index.column() == number(FolderColumn::name)) {
        const auto* mouse = static_cast<QMouseEvent*>(event);
        const QRect mark(option.rect.topLeft(), QSize(mark_width, option.rect.height()));
        if (mouse->button() == Qt::LeftButton &&
            mirrored(option.rect, mark).contains(mouse->position().toPoint())) {
            emit pickToggled(index);
            return true;
        }
    }
    return QStyledItemDelegate::editorEvent(event, model, option, index);
}

void OutcomeDelegate::paintName(QPainter& painter, const QRect& cell, const QModelIndex& index) const {
    const Theme& theme = Theme::current();
    const int kind = index.data(OutcomeModel::KindRole).toInt();
    int left = cell.left() + before + indent * index.data(OutcomeModel::DepthRole).toInt();
    if (kind == OutcomeModel::HeldLine || kind == OutcomeModel::OldName) left += indent;
    if (index.data(OutcomeModel::OpenableRole).toBool()) {
        const bool open = index.data(OutcomeModel::OpenRole).toBool();
        const double y = cell.center().y();
        painter.setRenderHint(QPainter::Antialiasing);
        painter.setPen(QPen(theme.accent, 1.6));
        painter.setBrush(Qt::NoBrush);
        // pointing to where text goes on, or down
        const QRect arrow = mirrored(cell, QRect(left, cell.top(), 10, cell.height()));
        const auto at = [&](double x, double down) {
            return QPointF(runs_from_right() ? arrow.right() + 1 - x : arrow.left() + x, y + down);
        };
        const QPointF points[] = {at(1, open ? -2 : -4), at(5, open ? 2 : 0),
                                  at(open ? 9 : 1, open ? -2 : 4)};
        painter.drawPolyline(points, 3);
        left += 15;
    }
    const QFont font =
        strong_font(kind == OutcomeModel::OldName ? small_font(painter.font()) : painter.font(),
                    kind == OutcomeModel::Arriving);
    painter.setFont(font);
    const bool is_pale = kind == OutcomeModel::Existing || kind == OutcomeModel::OldName;
    painter.setPen(is_pale ? theme.muted : kind == OutcomeModel::Leaving ? theme.plum : theme.ink);
    const int width = cell.right() - after - left;
    draw_elided(painter, mirrored(cell, QRect(left, cell.top(), width, cell.height())),
                index.data().toString(), Qt::ElideMiddle);
}

void OutcomeDelegate::paintWhat(QPainter& painter, const QRect& cell, const QModelIndex& index) const {
    const Theme& theme = Theme::current();
    const int kind = index.data(OutcomeModel::KindRole).toInt();
    if (kind == OutcomeModel::Existing || kind == OutcomeModel::OldName) return;
    if (kind == OutcomeModel::HeldLine)
        return paint_buttons(painter, choicesOf(index, cell), overwrite_choice);
    if (index.data(OutcomeModel::TagRole).toString().isEmpty())
        return;  // it goes with the folder that it lies in
    const QFont font = painter.font();
    painter.setFont(small_font(font));
    const QRect inner = cell.adjusted(before, 0, -2, 0);
    const int used = paint_tag(painter, mirrored(cell, inner), index.data(OutcomeModel::TagRole).toString(),
                               index.data(OutcomeModel::ToneRole).toInt());
    const QRect words = mirrored(cell, inner.adjusted(used + 7, 0, 0, 0));
    painter.setPen(theme.ink);
    draw_elided(painter, words, index.data(OutcomeModel::WordsRole).toString(), Qt::ElideRight);
}

void OutcomeDelegate::paint(QPainter* painter, const QStyleOptionViewItem& option,
                            const QModelIndex& index) const {
    const Theme& theme = Theme::current();
    painter->save();
    const bool waiting = index.siblingAtColumn(0).data(OutcomeModel::WaitingRole).toBool();
    paint_row_ground(*painter, option, waiting ? theme.amber_wash : QColor());
    painter->setFont(option.font);
    const QRect cell = option.rect;
    switch (index.column()) {
        case OutcomeModel::NameColumn: paintName(*painter, cell, index); break;
        case OutcomeModel::WhatColumn: paintWhat(*painter, cell, index); break;
        default: {
            const int kind = index.data(OutcomeModel::KindRole).toInt();
            const bool strong = index.data(OutcomeModel::StrongerRole).toBool() &&
                                kind != OutcomeModel::Existing && kind != OutcomeModel::Leaving;
            const QFont font = strong_font(option.font, strong);
            painter->setFont(font);
            painter->setPen(strong ? theme.ink : theme.muted);
            draw_tabular(*painter, mirrored(cell, cell.adjusted(4, 0, -after, 0)), Qt::AlignRight,
                         index.data().toString());
        }
    }
    painter->restore();
}

Choices OutcomeDelegate::choicesOf(const QModelIndex& index, const QRect& cell) const {
    const bool has_them = index.column() == OutcomeModel::WhatColumn &&
                          index.data(OutcomeModel::KindRole).toInt() == OutcomeModel::HeldLine;
    if (!has_them) return {};
    return {decision_choices(), index.data(OutcomeModel::DecisionRole).toInt() - 1, cell};
}

/// The one that is chosen already is taken back.
void OutcomeDelegate::choose(const QModelIndex& index, int number) {
    const bool again = index.data(OutcomeModel::DecisionRole).toInt() == number + 1;
    emit decided(index, again ? Decision::undecided : static_cast<Decision>(number + 1));
}

bool OutcomeDelegate::editorEvent(QEvent* event, QAbstractItemModel* model,
                                  const QStyleOptionViewItem& option, const QModelIndex& index) {
    if (event->type() != QEvent::MouseButtonPress)
        return QStyledItemDelegate::editorEvent(event, model, option, index);
    const auto* mouse = static_cast<QMouseEvent*>(event);
    if (mouse->button() != Qt::LeftButton) return false;
    const QPoint at = mouse->position().toPoint();
    if (index.column() == OutcomeModel::NameColumn && index.data(OutcomeModel::OpenableRole).toBool()) {
        const int left = option.rect.left() + before + indent * index.data(OutcomeModel::DepthRole).toInt();
        const QRect arrow(left - 4, option.rect.top(), 20, option.rect.height());
        if (mirrored(option.rect, arrow).contains(at)) {
            emit folderToggled(index);
            return true;
        }
    }
    if (const int number = button_at(choicesOf(index, option.rect), option.font, at); number >= 0) {
        choose(index, number);
        return true;
    }
    return QStyledItemDelegate::editorEvent(event, model, option, index);
}

void show_receipt_rows(RowView& list, int where_width) {
    list.setItemDelegate(new ReceiptItemDelegate(&list));
    list.setRowHeight(lines(1.6));
    list.horizontalHeader()->setSectionResizeMode(ReceiptColumns::Name, QHeaderView::Stretch);
    list.setColumnWidth(ReceiptColumns::Size, digits(10));
    list.setColumnWidth(ReceiptColumns::Result, digits(14));
    list.setColumnWidth(ReceiptColumns::Where, where_width);
}

void ReceiptItemDelegate::paint(QPainter* painter, const QStyleOptionViewItem& option,
                                const QModelIndex& index) const {
    const Theme& theme = Theme::current();
    painter->save();
    if (option.state.testFlag(QStyle::State_Selected)) painter->fillRect(option.rect, theme.selection);
    painter->setPen(theme.line);
    painter->drawLine(option.rect.bottomLeft(), option.rect.bottomRight());
    painter->setFont(option.font);
    painter->setPen(index.column() == ReceiptColumns::Name ? theme.ink : theme.muted);
    const QRect cell = mirrored(option.rect, option.rect.adjusted(14, 0, -10, 0));
    const QString text = index.data().toString();
    if (index.column() == ReceiptColumns::Result) {
        painter->setFont(small_font(option.font));
        paint_tag(*painter, cell, text, index.data(ReceiptColumns::ToneRole).toInt());
    } else if (index.column() == ReceiptColumns::Size) {
        draw_tabular(*painter, cell, Qt::AlignRight, text);
    } else {
        draw_elided(*painter, cell, text, Qt::ElideMiddle);
    }
    painter->restore();
}
