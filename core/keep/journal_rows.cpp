// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "keep/journal_rows.h"

#include <algorithm>

#include "files/ahead.h"
#include "keep/packing.h"
#include "keep/sqlite_rows.h"

namespace tavlo {

JournalRows::JournalRows(SQLite::Database& database, const std::string& receipt)
    : query_(database, "select items from pending where receipt=? order by first") {
    query_.bind(1, receipt);
}

std::optional<PendingItem> JournalRows::next() {
    if (at_ == row_.size()) {
        if (!query_.executeStep()) return std::nullopt;
        row_ = unpack_pending(bytes_of(query_.getColumn(0)));
        at_ = 0;
    }
    if (row_.empty()) return std::nullopt;
    return std::move(row_[at_++]);
}

std::vector<PendingItem> some_pending(SQLite::Database& database, const std::string& receipt,
                                      std::uint64_t first, std::uint64_t count) {
    std::vector<PendingItem> found;
    SQLite::Statement query(database,
                            "select items from pending where receipt=? and first<? and first+count>?");
    query.bind(1, receipt);
    query.bind(2, as_signed(first + count));
    query.bind(3, as_signed(first));
    while (query.executeStep())
        for (PendingItem& item : unpack_pending(bytes_of(query.getColumn(0))))
            if (item.number >= first && item.number < first + count) found.push_back(std::move(item));
    return found;
}

std::uint64_t end_of_pending_below(SQLite::Database& database, const std::string& receipt,
                                   std::uint64_t number) {
    SQLite::Statement query(database,
                            "select coalesce(max(first+count), 0) from pending where receipt=? and first<?");
    query.bind(1, receipt);
    query.bind(2, as_signed(number));
    query.executeStep();
    return as_unsigned(query.getColumn(0));
}

std::vector<Intent> intents_of(SQLite::Database& database, const std::string& receipt) {
    SQLite::Statement query(database, "select items from intents where receipt=?");
    query.bind(1, receipt);
    return query.executeStep() ? unpack_intents(bytes_of(query.getColumn(0))) : std::vector<Intent>{};
}

void write_intents(SQLite::Database& database, const std::string& receipt,
                   const std::vector<Intent>& intents) {
    SQLite::Statement insert(database, "insert or replace into intents values(?,?)");
    insert.bind(1, receipt);
    bind_bytes(insert, 2, pack(intents));
    insert.exec();
}

void write_items(SQLite::Database& database, const std::string& receipt, std::uint64_t count,
                 const ItemAt& item, ItemRows& settled) {
    SQLite::Statement insert(database, "insert into pending values(?,?,?,?)");
    struct Rows {
        std::uint64_t first = 0;
        std::uint64_t count = 0;  // numbers from the first to the last
        std::string pending{};
        std::optional<ItemRows::PackedRow> settled{};
    };
    const auto made = [&](std::uint64_t from) {
        std::vector<PendingItem> pending;
        std::vector<NumberedItem> done;
        for (std::uint64_t at = from; at < std::min(count, from + kept_together); ++at) {
            OpenedItem one = item(at);
            if (auto* to_do = std::get_if<PendingItem>(&one)) {
                if (pending.empty()) pending.reserve(kept_together);  // they are large, and not to be moved
                pending.push_back(std::move(*to_do));
            } else {
                if (done.empty()) done.reserve(kept_together);
                done.emplace_back(at, std::get<ReceiptItem>(std::move(one)));
            }
        }
        Rows rows;
        if (!pending.empty()) {
            rows.first = pending.front().number;
            rows.count = pending.back().number - rows.first + 1;
            rows.pending = pack(pending);
        }
        if (!done.empty()) rows.settled = ItemRows::packed(std::move(done));
        return rows;
    };
    const auto write = [&](const Rows& rows) {
        if (rows.settled) settled.write(receipt, *rows.settled);
        if (rows.count == 0) return;
        insert.bind(1, receipt);
        insert.bind(2, as_signed(rows.first));
        insert.bind(3, as_signed(rows.count));
        bind_bytes(insert, 4, rows.pending);
        insert.exec();
        insert.reset();
    };
    InTurn<Rows> rows(settled.packers());
    for (std::uint64_t from = 0; from < count; from += kept_together) {
        if (rows.is_full()) write(rows.take());
        rows.ask([&made, from] { return made(from); });
    }
    while (!rows.is_empty()) write(rows.take());
}

void write_pending(SQLite::Database& database, const std::string& receipt,
                   const std::vector<PendingItem>& items, ItemRows& settled) {
    write_items(
        database, receipt, items.size(), [&items](std::uint64_t at) { return items[at]; }, settled);
}

void drop_journal(SQLite::Database& database, const std::string& receipt) {
    for (const char* statement :
         {"delete from pending where receipt=?", "delete from intents where receipt=?"}) {
        SQLite::Statement drop(database, statement);
        drop.bind(1, receipt);
        drop.exec();
    }
}

}  // namespace tavlo
