// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <algorithm>
#include <vector>

/// Rows of a list in their order, by ranges: a million that are selected are one of these.
class RowRanges {
public:
    struct Range {
        int first = 0;
        int last = 0;
    };

    RowRanges() = default;
    /// ranges  in any order; they may meet and lie over one another
    explicit RowRanges(std::vector<Range> ranges) {
        std::sort(ranges.begin(), ranges.end(),
                  [](const Range& one, const Range& other) { return one.first < other.first; });
        for (const Range& range : ranges) {
            if (!ranges_.empty() && range.first <= ranges_.back().last + 1)
                ranges_.back().last = std::max(ranges_.back().last, range.last);
            else
                ranges_.push_back(range);
        }
    }

    bool isEmpty() const { return ranges_.empty(); }
    int count() const {
        int rows = 0;
        for (const Range& range : ranges_) rows += range.last - range.first + 1;
        return rows;
    }
    int front() const { return ranges_.front().first; }
    /// take  (row), in their order
    template <class Take>
    void each(Take take) const {
        for (const Range& range : ranges_)
            for (int row = range.first; row <= range.last; ++row) take(row);
    }

private:
    std::vector<Range> ranges_;
};
