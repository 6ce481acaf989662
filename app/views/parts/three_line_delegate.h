// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QStyledItemDelegate>

/// A thing of a list in three lines: its name in bold; a line about it; and, in small print, one at either
/// end.
class ThreeLineDelegate final : public QStyledItemDelegate {
    Q_OBJECT

public:
    /// The model's roles for what stands below the name.
    struct Roles {
        int about;
        int left;
        int right;
    };
    explicit ThreeLineDelegate(Roles roles, QObject* parent = nullptr)
        : QStyledItemDelegate(parent), roles_(roles) {}
    QSize sizeHint(const QStyleOptionViewItem& option, const QModelIndex& index) const override;
    void paint(QPainter* painter, const QStyleOptionViewItem& option,
               const QModelIndex& index) const override;

private:
    const Roles roles_;
};
