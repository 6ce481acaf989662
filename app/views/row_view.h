#pragma once

#include <QHeaderView>
#include <QTableView>
#include <vector>

/// A table of rows of one height without a grid: what the lists of the window have in common.
class RowView : public QTableView {
    Q_OBJECT

public:
    explicit RowView(QWidget* parent = nullptr) : QTableView(parent) {
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
    }

    void setRowHeight(int pixels) { verticalHeader()->setDefaultSectionSize(pixels); }

    std::vector<int> selectedRowNumbers() const {
        std::vector<int> rows;
        for (const QModelIndex& index : selectionModel()->selectedRows()) rows.push_back(index.row());
        return rows;
    }
};
