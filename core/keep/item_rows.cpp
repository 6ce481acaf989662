// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "keep/item_rows.h"

#include <algorithm>

#include "files/parallel.h"
#include "keep/sqlite_rows.h"

namespace tavlo {

namespace {

constexpr unsigned char none = 0xff;              // there is no such item
constexpr unsigned char taken_back_since = 0x80;  // beside the outcome
constexpr unsigned char outcome_mask = 0x7f;

std::int64_t row_of(std::uint64_t number) { return as_signed(number / kept_together); }
std::size_t place_of(std::uint64_t number) { return static_cast<std::size_t>(number % kept_together); }

Outcome outcome_of(unsigned char byte) {
    const unsigned char value = byte & outcome_mask;
    if (value >= outcome_count) throw SQLite::Exception("holds an outcome that is not known", SQLITE_CORRUPT);
    return static_cast<Outcome>(value);
}

std::string empty_outcomes() { return std::string(kept_together, static_cast<char>(none)); }

std::string outcomes_from(const SQLite::Column& column) {
    std::string outcomes = bytes_of(column);
    if (outcomes.size() != kept_together)
        throw SQLite::Exception("holds a row of outcomes that is cut", SQLITE_CORRUPT);
    return outcomes;
}

}  // namespace

struct ItemRows::Row {
    std::int64_t number = 0;
    std::vector<NumberedItem> items{};  ///< in their order
    std::string outcomes = empty_outcomes();

    std::vector<NumberedItem>::iterator at(std::uint64_t item) {
        return std::lower_bound(
            items.begin(), items.end(), item,
            [](const NumberedItem& one, std::uint64_t other) { return one.first < other; });
    }
    bool has(std::vector<NumberedItem>::iterator found, std::uint64_t item) const {
        return found != items.end() && found->first == item;
    }
};

ItemRows::Row ItemRows::read(const std::string& receipt, std::int64_t number) {
    Row row{number};
    SQLite::Statement items(database_, "select items from item_rows where receipt=? and row=?");
    items.bind(1, receipt);
    items.bind(2, number);
    if (items.executeStep()) row.items = unpack_items(bytes_of(items.getColumn(0)));
    SQLite::Statement outcomes(database_, "select outcomes from outcome_rows where receipt=? and row=?");
    outcomes.bind(1, receipt);
    outcomes.bind(2, number);
    if (outcomes.executeStep()) row.outcomes = outcomes_from(outcomes.getColumn(0));
    return row;
}

ItemRows::PackedRow ItemRows::packed(const Row& row) {
    PackedRow out{row.number, row.outcomes, row.items.size(), 0, false, pack(row.items)};
    for (const auto& [item_number, item] : row.items) {
        if (item.type == FileType::file && item.role != Role::archive && arrives(item.result))
            out.bytes += item.size_bytes;
        out.lost = out.lost || !item.not_kept.empty();
    }
    return out;
}

ItemRows::PackedRow ItemRows::packed(std::vector<NumberedItem> items) {
    Row row{row_of(items.front().first), std::move(items)};
    for (const auto& [number, item] : row.items)
        row.outcomes[place_of(number)] = static_cast<char>(item.result);
    return packed(row);
}

ItemRows::ItemRows(SQLite::Database& database) : database_(database), packers_(useful_threads() - 1) {}

void ItemRows::write(const std::string& receipt, const PackedRow& row) {
    SQLite::Statement items(database_, "insert or replace into item_rows values(?,?,?)");
    items.bind(1, receipt);
    items.bind(2, row.number);
    bind_bytes(items, 3, row.items);
    items.exec();
    SQLite::Statement outcomes(database_, "insert or replace into outcome_rows values(?,?,?,?,?,?)");
    outcomes.bind(1, receipt);
    outcomes.bind(2, row.number);
    bind_bytes(outcomes, 3, row.outcomes);
    outcomes.bind(4, as_signed(row.settled));
    outcomes.bind(5, as_signed(row.bytes));
    outcomes.bind(6, row.lost ? 1 : 0);
    outcomes.exec();
}

template <class Things, class NumberOf, class Change>
void ItemRows::change(const std::string& receipt, const Things& things, NumberOf number_of,
                      Change change_it) {
    using Thing = typename Things::value_type;
    std::vector<const Thing*> in_order;  // the things themselves are large, and stay where they are
    in_order.reserve(things.size());
    for (const Thing& thing : things) in_order.push_back(&thing);
    std::stable_sort(in_order.begin(), in_order.end(), [&](const Thing* one, const Thing* other) {
        return number_of(*one) < number_of(*other);
    });
    InTurn<PackedRow> rows(packers_);
    for (auto at = in_order.begin(); at != in_order.end();) {
        auto row = std::make_shared<Row>(read(receipt, row_of(number_of(**at))));
        for (; at != in_order.end() && row_of(number_of(**at)) == row->number; ++at) change_it(*row, **at);
        if (rows.is_full()) write(receipt, rows.take());
        rows.ask([row] { return packed(*row); });
    }
    while (!rows.is_empty()) write(receipt, rows.take());
}

void ItemRows::put(const std::string& receipt, const std::deque<NumberedItem>& items) {
    change(
        receipt, items, [](const NumberedItem& item) { return item.first; },
        [](Row& row, const NumberedItem& item) {
            auto& byte = row.outcomes[place_of(item.first)];
            const bool was_taken_back = static_cast<unsigned char>(byte) != none &&
                                        (static_cast<unsigned char>(byte) & taken_back_since) != 0;
            byte = static_cast<char>(static_cast<unsigned char>(item.second.result) |
                                     (was_taken_back ? taken_back_since : 0U));
            const auto found = row.at(item.first);
            if (row.has(found, item.first))
                found->second = item.second;
            else
                row.items.insert(found, item);
        });
}

void ItemRows::set_not_kept(const std::string& receipt,
                            const std::vector<std::pair<std::uint64_t, std::string>>& lost) {
    change(
        receipt, lost, [](const auto& one) { return one.first; },
        [](Row& row, const auto& one) {
            if (const auto found = row.at(one.first); row.has(found, one.first))
                found->second.not_kept = one.second;
        });
}

void ItemRows::forget(const std::string& receipt, const std::vector<std::uint64_t>& numbers) {
    change(
        receipt, numbers, [](std::uint64_t number) { return number; },
        [](Row& row, std::uint64_t number) {
            row.outcomes[place_of(number)] = static_cast<char>(none);
            if (const auto found = row.at(number); row.has(found, number)) row.items.erase(found);
        });
}

void ItemRows::mark_taken_back(const std::string& receipt, const std::vector<std::uint64_t>& numbers) {
    std::map<std::int64_t, std::vector<std::uint64_t>> by_row;
    for (const auto number : numbers) by_row[row_of(number)].push_back(number);
    SQLite::Statement query(database_, "select outcomes from outcome_rows where receipt=? and row=?");
    SQLite::Statement update(database_, "update outcome_rows set outcomes=? where receipt=? and row=?");
    for (const auto& [row, of_it] : by_row) {
        query.bind(1, receipt);
        query.bind(2, row);
        if (query.executeStep()) {
            std::string outcomes = outcomes_from(query.getColumn(0));
            for (const auto number : of_it) {
                auto& byte = outcomes[place_of(number)];
                if (static_cast<unsigned char>(byte) != none)
                    byte = static_cast<char>(static_cast<unsigned char>(byte) | taken_back_since);
            }
            bind_bytes(update, 1, outcomes);
            update.bind(2, receipt);
            update.bind(3, row);
            update.exec();
            update.reset();
        }
        query.reset();
    }
}

void ItemRows::drop(const std::string& receipt) {
    for (const char* statement :
         {"delete from item_rows where receipt=?", "delete from outcome_rows where receipt=?"}) {
        SQLite::Statement drop(database_, statement);
        drop.bind(1, receipt);
        drop.exec();
    }
}

void ItemRows::each(const std::string& receipt, const std::function<void(NumberedItem&&)>& take,
                    Order order) {
    const bool backwards = order == Order::backwards;
    SQLite::Statement query(
        database_,
        std::string("select items from item_rows where receipt=? order by row") + (backwards ? " desc" : ""));
    query.bind(1, receipt);
    using Items = std::vector<NumberedItem>;
    InTurn<Items> rows(packers_);
    for (bool more = true;;) {
        while (more && !rows.is_full() && (more = query.executeStep()))
            rows.ask([blob = bytes_of(query.getColumn(0))] { return unpack_items(blob); });
        if (rows.is_empty()) return;
        Items items = rows.take();
        if (backwards) std::reverse(items.begin(), items.end());
        for (NumberedItem& item : items) take(std::move(item));
    }
}

void ItemRows::some(const std::string& receipt, std::uint64_t first, std::uint64_t count,
                    const std::function<void(NumberedItem&&)>& take) {
    if (count == 0) return;
    SQLite::Statement query(
        database_, "select items from item_rows where receipt=? and row between ? and ? order by row");
    query.bind(1, receipt);
    query.bind(2, row_of(first));
    query.bind(3, row_of(first + count - 1));
    while (query.executeStep())
        for (NumberedItem& item : unpack_items(bytes_of(query.getColumn(0))))
            if (item.first >= first && item.first - first < count) take(std::move(item));
}

void ItemRows::each_outcome(const std::string& receipt,
                            const std::function<void(std::uint64_t, Outcome, bool)>& take) {
    SQLite::Statement query(database_, "select row, outcomes from outcome_rows where receipt=? order by row");
    query.bind(1, receipt);
    while (query.executeStep()) {
        const std::uint64_t first = as_unsigned(query.getColumn(0)) * kept_together;
        const std::string outcomes = outcomes_from(query.getColumn(1));
        for (std::size_t at = 0; at < outcomes.size(); ++at) {
            const auto byte = static_cast<unsigned char>(outcomes[at]);
            if (byte != none) take(first + at, outcome_of(byte), (byte & taken_back_since) != 0);
        }
    }
}

std::uint64_t ItemRows::settled(const std::string& receipt) {
    SQLite::Statement query(database_, "select coalesce(sum(settled), 0) from outcome_rows where receipt=?");
    query.bind(1, receipt);
    query.executeStep();
    return as_unsigned(query.getColumn(0));
}

std::uint64_t ItemRows::end_below(const std::string& receipt, std::uint64_t number) {
    SQLite::Statement query(
        database_, "select row, outcomes from outcome_rows where receipt=? and row<? order by row desc");
    query.bind(1, receipt);
    query.bind(2, row_of(number));
    while (query.executeStep()) {
        const auto last = outcomes_from(query.getColumn(1)).find_last_not_of(static_cast<char>(none));
        if (last != std::string::npos) return as_unsigned(query.getColumn(0)) * kept_together + last + 1;
    }
    return 0;
}

std::uint64_t ItemRows::bytes(const std::string& receipt) {
    SQLite::Statement query(database_, "select coalesce(sum(bytes), 0) from outcome_rows where receipt=?");
    query.bind(1, receipt);
    query.executeStep();
    return as_unsigned(query.getColumn(0));
}

std::map<std::string, std::uint64_t> ItemRows::not_kept(const std::string& receipt) {
    std::map<std::string, std::uint64_t> found;
    SQLite::Statement query(
        database_, "select items from item_rows natural join outcome_rows where receipt=? and lost<>0");
    query.bind(1, receipt);
    while (query.executeStep())
        for (const auto& [number, item] : unpack_items(bytes_of(query.getColumn(0))))
            if (!item.not_kept.empty()) ++found[item.not_kept];
    return found;
}

}  // namespace tavlo
