// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QStyledItemDelegate>

#include "views/parts/choosing.h"

/// A group of collisions: what it is, how many, what is largest in it, and one decision for all.
class GroupDelegate final : public QStyledItemDelegate, public Choosing {
    Q_OBJECT

public:
    using QStyledItemDelegate::QStyledItemDelegate;
    void paint(QPainter* painter, const QStyleOptionViewItem& option,
               const QModelIndex& index) const override;
    QSize sizeHint(const QStyleOptionViewItem& option, const QModelIndex& index) const override;
    Choices choicesOf(const QModelIndex& index, const QRect& row) const override;
    void choose(const QModelIndex& index, int number) override { emit chosen(index, number); }

signals:
    void chosen(const QModelIndex& index, int choice);

protected:
    bool editorEvent(QEvent* event, QAbstractItemModel* model, const QStyleOptionViewItem& option,
                     const QModelIndex& index) override;
};

/// A pair: the stronger size and date set off, and the decision.
class PairDelegate final : public QStyledItemDelegate, public Choosing {
    Q_OBJECT

public:
    using QStyledItemDelegate::QStyledItemDelegate;
    void setChoices(const QStringList& choices) { choices_ = choices; }
    Choices choicesOf(const QModelIndex& index, const QRect& cell) const override;
    void choose(const QModelIndex& index, int number) override { emit chosen(index, number); }
    void paint(QPainter* painter, const QStyleOptionViewItem& option,
               const QModelIndex& index) const override;

signals:
    void chosen(const QModelIndex& index, int choice);

protected:
    bool editorEvent(QEvent* event, QAbstractItemModel* model, const QStyleOptionViewItem& option,
                     const QModelIndex& index) override;

private:
    void paintTwo(QPainter& painter, const QRect& cell, const QModelIndex& index) const;

    QStringList choices_;
};
