// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

// Inside keep/ only: this header shows SQLite, which no public one does. All may throw, as keep/sqlite_rows.h
// says.

#include <SQLiteCpp/SQLiteCpp.h>

#include <cstdint>
#include <deque>
#include <functional>
#include <map>
#include <optional>
#include <string>
#include <utility>
#include <vector>

#include "files/ahead.h"
#include "keep/packing.h"
#include "keep/store.h"

namespace tavlo {

/// A receipt's items as they are kept: 256 to a row, packed; and beside each row, so that nothing has to be
/// unpacked to be counted, what became of its items, a byte for each.
class ItemRows {
public:
    explicit ItemRows(SQLite::Database& database);

    /// A row as the database holds it.
    struct PackedRow {
        std::int64_t number = 0;
        std::string outcomes{};
        std::uint64_t settled = 0;
        std::uint64_t bytes = 0;
        bool lost = false;
        std::string items{};
    };
    /// Items of one row of a receipt that had none of it before, in their order; on any thread.
    static PackedRow packed(std::vector<NumberedItem> items);
    void write(const std::string& receipt, const PackedRow& row);
    AheadThreads& packers() { return packers_; }

    /// Those that are there by these numbers are replaced.
    void put(const std::string& receipt, const std::deque<NumberedItem>& items);
    void set_not_kept(const std::string& receipt,
                      const std::vector<std::pair<std::uint64_t, std::string>>& lost);
    void forget(const std::string& receipt, const std::vector<std::uint64_t>& numbers);
    void mark_taken_back(const std::string& receipt, const std::vector<std::uint64_t>& numbers);
    void drop(const std::string& receipt);

    /// In the order of their numbers, or against it; a few rows are in memory at a time.
    enum class Order : bool { forwards, backwards };
    void each(const std::string& receipt, const std::function<void(NumberedItem&&)>& take,
              Order order = Order::forwards);
    void some(const std::string& receipt, std::uint64_t first, std::uint64_t count,
              const std::function<void(NumberedItem&&)>& take);

    /// What became of each item: its number, and whether an undo has taken it back since; in their order.
    void each_outcome(const std::string& receipt,
                      const std::function<void(std::uint64_t number, Outcome result, bool taken_back)>& take);
    std::uint64_t settled(const std::string& receipt);  ///< how many there are
    /// The number after the last of those below this one; 0: there are none.
    std::uint64_t end_below(const std::string& receipt, std::uint64_t number);
    std::uint64_t bytes(const std::string& receipt);  ///< sizes of the files that arrived
    /// What the target could not keep, with the number of items.
    std::map<std::string, std::uint64_t> not_kept(const std::string& receipt);

private:
    struct Row;
    static PackedRow packed(const Row& row);
    Row read(const std::string& receipt, std::int64_t number);
    /// Each row that has to do with one of these, read, changed, written.
    template <class Things, class NumberOf, class Change>
    void change(const std::string& receipt, const Things& things, NumberOf number_of, Change change_it);

    SQLite::Database& database_;
    AheadThreads packers_;  ///< pack and unpack rows while others are written and read
};

}  // namespace tavlo
