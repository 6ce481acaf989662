// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QHeaderView>
#include <QTableView>
#include <utility>
#include <vector>

#include "row_ranges.h"
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

    RowRanges selectedRows() const {
        std::vector<RowRanges::Range> ranges;
        for (const QItemSelectionRange& range : selectionModel()->selection())
            ranges.push_back({range.top(), range.bottom()});
        return RowRanges(std::move(ranges));
    }
    std::vector<int> selectedRowNumbers() const {
        const RowRanges selected = selectedRows();
        std::vector<int> rows;
        rows.reserve(static_cast<std::size_t>(selected.count()));
        selected.each([&](int row) { rows.push_back(row); });
        return rows;
    }
};
