// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "keep/journal_rows.h"

#include "files/ahead.h"
#include "files/parallel.h"
#include "keep/packing.h"
#include "keep/sqlite_rows.h"

namespace tavlo {

namespace {
constexpr std::size_t pending_in_a_row = 256;
}  // namespace

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

std::uint64_t pending_count(SQLite::Database& database, const std::string& receipt) {
    SQLite::Statement query(database, "select coalesce(sum(count), 0) from pending where receipt=?");
    query.bind(1, receipt);
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

void write_pending(SQLite::Database& database, const std::string& receipt,
                   const std::function<std::optional<PendingItem>()>& next) {
    SQLite::Statement pending(database, "insert into pending values(?,?,?,?)");
    struct Row {
        std::uint64_t first;
        std::uint64_t count;
        std::string items;
    };
    AheadThreads packers(useful_threads() - 1);
    InTurn<Row> rows(packers);
    const auto write = [&](const Row& row) {
        pending.bind(1, receipt);
        pending.bind(2, as_signed(row.first));
        pending.bind(3, as_signed(row.count));
        bind_bytes(pending, 4, row.items);
        pending.exec();
        pending.reset();
    };
    for (bool more = true; more;) {
        auto items = std::make_shared<std::vector<PendingItem>>();
        while (more && items->size() < pending_in_a_row) {
            auto item = next();
            more = item.has_value();
            if (more) items->push_back(std::move(*item));
        }
        if (items->empty()) break;
        if (rows.is_full()) write(rows.take());
        rows.ask([items] { return Row{items->front().number, items->size(), pack(*items)}; });
    }
    while (!rows.is_empty()) write(rows.take());
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
