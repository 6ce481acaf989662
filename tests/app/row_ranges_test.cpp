// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "row_ranges.h"

#include <QStandardItemModel>
#include <set>

#include "support/catch.h"
#include "views/parts/row_view.h"

namespace {

std::vector<int> rows_of(const RowRanges& ranges) {
    std::vector<int> rows;
    ranges.each([&](int row) { rows.push_back(row); });
    return rows;
}

}  // namespace

TEST_CASE("ranges of rows are in their order, each row once, however they come", "[rows]") {
    CHECK(RowRanges().isEmpty());
    CHECK(RowRanges().count() == 0);
    const RowRanges rows({{7, 9}, {0, 1}, {8, 12}, {2, 2}, {9, 9}, {20, 20}});
    CHECK_FALSE(rows.isEmpty());
    CHECK(rows.front() == 0);
    CHECK(rows.count() == 10);
    CHECK(rows_of(rows) == std::vector<int>{0, 1, 2, 7, 8, 9, 10, 11, 12, 20});
}

TEST_CASE("what is selected in a list is known by its rows, whatever was clicked in which order", "[rows]") {
    QStandardItemModel model(50, 3);
    RowView list;
    list.setModel(&model);
    CHECK(list.selectedRows().isEmpty());
    const auto toggle = [&](int first, int last) {
        list.selectionModel()->select({model.index(first, 0), model.index(last, 2)},
                                      QItemSelectionModel::Toggle | QItemSelectionModel::Rows);
    };
    std::set<int> meant;
    for (const auto& [first, last] :
         {std::pair(30, 35), {3, 8}, {5, 6}, {8, 10}, {32, 32}, {8, 8}, {49, 49}}) {
        toggle(first, last);
        for (int row = first; row <= last; ++row)
            if (!meant.insert(row).second) meant.erase(row);
        CHECK(rows_of(list.selectedRows()) == std::vector<int>(meant.begin(), meant.end()));
        CHECK(list.selectedRowNumbers() == std::vector<int>(meant.begin(), meant.end()));
        CHECK(list.selectedRows().count() == static_cast<int>(meant.size()));
    }
    list.selectAll();
    CHECK(list.selectedRows().count() == 50);
}
