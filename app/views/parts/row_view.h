// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QHeaderView>
#include <QTableView>
#include <algorithm>
#include <vector>

#include "views/parts/drags_out.h"
#include "views/parts/sort_header.h"
#include "views/parts/with_focus.h"

/// A table of rows of one height without a grid: what the lists of the window have in common.
class RowView : public DragsOut<WithFocus<QTableView>> {
    Q_OBJECT

public:
    explicit RowView(QWidget* parent = nullptr) : DragsOut(parent) {
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

    std::vector<int> selectedRowNumbers() const {
        std::vector<int>
            rows;  // by ranges: of a million selected rows each index would be asked about by itself
        for (const QItemSelectionRange& range : selectionModel()->selection())
            for (int row = range.top(); row <= range.bottom(); ++row) rows.push_back(row);
        if (!std::is_sorted(rows.begin(), rows.end())) std::sort(rows.begin(), rows.end());
        rows.erase(std::unique(rows.begin(), rows.end()), rows.end());
        return rows;
    }
};
