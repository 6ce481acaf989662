// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QApplication>
#include <QDrag>
#include <QHeaderView>
#include <QMimeData>
#include <QMouseEvent>
#include <QTableView>
#include <algorithm>
#include <functional>
#include <utility>
#include <vector>

#include "views/parts/sort_header.h"
#include "views/parts/with_focus.h"

/// A table of rows of one height without a grid: what the lists of the window have in common.
class RowView : public WithFocus<QTableView> {
    Q_OBJECT

public:
    explicit RowView(QWidget* parent = nullptr) : WithFocus(parent) {
        setHorizontalHeader(new SortHeader(this));
        setShowGrid(false);
        setSelectionBehavior(SelectRows);
        setSelectionMode(ExtendedSelection);
        setWordWrap(false);
        setTabKeyNavigation(false);
        setFrameShape(NoFrame);
        setHorizontalScrollMode(ScrollPerPixel);
        setVerticalScrollMode(ScrollPerPixel);
        verticalHeader()->hide();
        verticalHeader()->setMinimumSectionSize(20);
        verticalHeader()->setSectionResizeMode(QHeaderView::Fixed);
        horizontalHeader()->setHighlightSections(false);
        horizontalHeader()->setSectionsMovable(false);
        horizontalHeader()->setMinimumSectionSize(40);
        horizontalHeader()->setDefaultAlignment(Qt::AlignLeft | Qt::AlignVCenter);
        horizontalHeader()->setSectionsClickable(true);
    }

    void setRowHeight(int pixels) { verticalHeader()->setDefaultSectionSize(pixels); }

    /// What is dragged out of the list: with it, a press on a selected row begins a drag; anywhere else it selects, as without.
    void setDragSource(std::function<QMimeData*()> source) { drag_source_ = std::move(source); }

    std::vector<int> selectedRowNumbers() const {
        std::vector<int> rows;  // by ranges: of a million selected rows each index would be asked about by itself
        for (const QItemSelectionRange& range : selectionModel()->selection())
            for (int row = range.top(); row <= range.bottom(); ++row) rows.push_back(row);
        if (!std::is_sorted(rows.begin(), rows.end())) std::sort(rows.begin(), rows.end());
        rows.erase(std::unique(rows.begin(), rows.end()), rows.end());
        return rows;
    }

protected:
    void mousePressEvent(QMouseEvent* event) override {
        const QModelIndex index = indexAt(event->position().toPoint());
        const bool selected = index.isValid() && selectionModel()->isSelected(index);
        may_drag_ = drag_source_ && selected && event->button() == Qt::LeftButton && event->modifiers() == Qt::NoModifier;
        pressed_at_ = event->position().toPoint();
        if (!may_drag_) QTableView::mousePressEvent(event);
    }
    void mouseMoveEvent(QMouseEvent* event) override {
        if (!may_drag_) return QTableView::mouseMoveEvent(event);
        if ((event->position().toPoint() - pressed_at_).manhattanLength() < QApplication::startDragDistance()) return;
        may_drag_ = false;
        auto* drag = new QDrag(this);
        drag->setMimeData(drag_source_());
        drag->exec(Qt::CopyAction);  // what is dragged elsewhere is never taken away here
    }
    void mouseReleaseEvent(QMouseEvent* event) override {
        if (!std::exchange(may_drag_, false)) return QTableView::mouseReleaseEvent(event);
        QMouseEvent press(QEvent::MouseButtonPress, event->position(), event->globalPosition(), Qt::LeftButton, Qt::LeftButton,
                          Qt::NoModifier);
        QTableView::mousePressEvent(&press);  // it was a click after all
        QTableView::mouseReleaseEvent(event);
    }

private:
    std::function<QMimeData*()> drag_source_;
    bool may_drag_ = false;
    QPoint pressed_at_;
};
