// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "keep/head_rows.h"

#include <nlohmann/json.hpp>

#include "keep/sqlite_rows.h"

namespace tavlo {

namespace {

constexpr const char* head_query =
    "select id, operation, sentence, destination, started, finished, state, roots, undoes, undone_by, items, "
    "bytes, counts, waits_for, "
    "undoes_some, paused, problem, may_lose, verify, job from receipts";

ReceiptHead head_from(SQLite::Statement& query) {
    ReceiptHead head;
    head.id = query.getColumn(0).getString();
    head.operation = known(operation_from_text(query.getColumn(1).getString()));
    head.sentence = query.getColumn(2).getString();
    head.destination = bytes_of(query.getColumn(3));
    head.started_ns = query.getColumn(4).getInt64();
    head.finished_ns = query.getColumn(5).getInt64();
    head.state = known(run_state_from_text(query.getColumn(6).getString()));
    head.roots = unpack_roots(bytes_of(query.getColumn(7)));
    head.undoes = query.getColumn(8).getString();
    head.undone_by = query.getColumn(9).getString();
    head.totals.items = as_unsigned(query.getColumn(10));
    head.totals.bytes = as_unsigned(query.getColumn(11));
    head.waits_for = bytes_of(query.getColumn(13));
    head.undoes_some = query.getColumn(14).getInt() != 0;
    head.paused = query.getColumn(15).getInt() != 0;
    head.problem = bytes_of(query.getColumn(16));
    head.may_lose = query.getColumn(17).getInt() != 0;
    head.verify = static_cast<std::uint8_t>(query.getColumn(18).getInt());
    head.job = query.getColumn(19).getString();
    const auto counts = nlohmann::json::parse(query.getColumn(12).getString());
    for (std::size_t i = 0; i < counts.size() && i < head.totals.by_outcome.size(); ++i)
        head.totals.by_outcome[i] = counts[i];
    return head;
}

}  // namespace

void insert_head(SQLite::Database& database, const ReceiptHead& head) {
    SQLite::Statement insert(
        database,
        "insert into receipts(id, operation, sentence, destination, started, finished, state, roots, undoes, "
        "undoes_some, may_lose, verify, job) values(?,?,?,?,?,0,?,?,?,?,?,?,?)");
    insert.bind(1, head.id);
    insert.bind(2, std::string(to_text(head.operation)));
    insert.bind(3, head.sentence);
    bind_bytes(insert, 4, head.destination);
    insert.bind(5, head.started_ns);
    insert.bind(6, std::string(to_text(RunState::interrupted)));
    bind_bytes(insert, 7, pack_roots(head.roots));
    insert.bind(8, head.undoes);
    insert.bind(9, head.undoes_some ? 1 : 0);
    insert.bind(10, head.may_lose ? 1 : 0);
    insert.bind(11, static_cast<int>(head.verify));
    insert.bind(12, head.job);
    insert.exec();
}

void write_end(SQLite::Database& database, const ReceiptHead& head) {
    SQLite::Statement update(database,
                             "update receipts set finished=?, state=?, items=?, bytes=?, counts=?, "
                             "waits_for=?, problem=?, paused=0 where id=?");
    update.bind(1, head.finished_ns);
    update.bind(2, std::string(to_text(head.state)));
    update.bind(3, as_signed(head.totals.items));
    update.bind(4, as_signed(head.totals.bytes));
    update.bind(5, nlohmann::json(head.totals.by_outcome).dump());
    bind_bytes(update, 6, head.waits_for);
    bind_bytes(update, 7, head.problem);
    update.bind(8, head.id);
    update.exec();
}

void write_undone_by(SQLite::Database& database, const std::string& receipt, const std::string& undo) {
    SQLite::Statement update(database, "update receipts set undone_by=? where id=?");
    update.bind(1, undo);
    update.bind(2, receipt);
    update.exec();
}

std::vector<ReceiptHead> heads_where(SQLite::Database& database, const std::string& clause,
                                     const std::string* parameter) {
    std::vector<ReceiptHead> heads;
    SQLite::Statement query(database, std::string(head_query) + " " + clause);
    if (parameter != nullptr) query.bind(1, *parameter);
    while (query.executeStep()) heads.push_back(head_from(query));
    return heads;
}

}  // namespace tavlo
