// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QHeaderView>

/// A header whose arrow of sorting stands beside the title: behind one that begins at the left, ahead of one
/// that ends at the right. It never runs into it.
class SortHeader final : public QHeaderView {
    Q_OBJECT

public:
    explicit SortHeader(QWidget* parent = nullptr) : QHeaderView(Qt::Horizontal, parent) {}
    /// What is selected in the list is nothing to it: asked whether a whole column is, a selection of a million
    /// rows would be gone through, again and again while it is drawn.
    void setSelectionModel(QItemSelectionModel* of_list) override;

protected:
    void initStyleOptionForIndex(QStyleOptionHeader* option, int section) const override;
    void paintSection(QPainter* painter, const QRect& rect, int section) const override;
};
