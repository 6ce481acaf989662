// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QStyledItemDelegate>

#include "plan/words.h"
#include "views/parts/choosing.h"

/// The gathering side's rows: a mark at the edge of what is in the batch, figures of one width.
class FolderDelegate final : public QStyledItemDelegate {
    Q_OBJECT

public:
    using QStyledItemDelegate::QStyledItemDelegate;
    void paint(QPainter* painter, const QStyleOptionViewItem& option,
               const QModelIndex& index) const override;
    static constexpr int mark_width = 12;  ///< where a click picks, in pixels from the left

signals:
    void pickToggled(const QModelIndex& index);

protected:
    bool editorEvent(QEvent* event, QAbstractItemModel* model, const QStyleOptionViewItem& option,
                     const QModelIndex& index) override;
};

/// What came in with the run that is shown: an arrow, which the line above the list explains.
inline QString came_in_mark() { return QStringLiteral("\u2193"); }

/// Rows of plain text, figures of one width where a column is aligned to the right.
class PlainRowDelegate final : public QStyledItemDelegate {
    Q_OBJECT

public:
    using QStyledItemDelegate::QStyledItemDelegate;
    void paint(QPainter* painter, const QStyleOptionViewItem& option,
               const QModelIndex& index) const override;
};

/// Rows of what came of items: results as tags, sizes in figures of one width.
class ReceiptItemDelegate final : public QStyledItemDelegate {
    Q_OBJECT

public:
    using QStyledItemDelegate::QStyledItemDelegate;
    void paint(QPainter* painter, const QStyleOptionViewItem& option,
               const QModelIndex& index) const override;
};

class RowView;
/// Sets a list up for such rows: its delegate, and the widths of its columns.
void show_receipt_rows(RowView& list, int where_width);

/// The outcome side's rows: what is there pale, what arrives in ink, tags, and the decision of a pair beside
/// it.
class OutcomeDelegate final : public QStyledItemDelegate, public Choosing {
    Q_OBJECT

public:
    using QStyledItemDelegate::QStyledItemDelegate;
    void paint(QPainter* painter, const QStyleOptionViewItem& option,
               const QModelIndex& index) const override;
    Choices choicesOf(const QModelIndex& index, const QRect& cell) const override;
    void choose(const QModelIndex& index, int number) override;

signals:
    void decided(const QModelIndex& index, tavlo::Decision decision);
    void folderToggled(const QModelIndex& index);

protected:
    bool editorEvent(QEvent* event, QAbstractItemModel* model, const QStyleOptionViewItem& option,
                     const QModelIndex& index) override;

private:
    void paintName(QPainter& painter, const QRect& cell, const QModelIndex& index) const;
    void paintWhat(QPainter& painter, const QRect& cell, const QModelIndex& index) const;
};
