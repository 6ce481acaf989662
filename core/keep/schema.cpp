// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "keep/schema.h"

#include <fmt/format.h>
#include <sqlite3.h>

#include "keep/older_rows.h"

namespace tavlo {

namespace {

constexpr int schema_version = 7;

// the head of each run, its volumes (the number is what they had then), the folders that it made or removed
constexpr const char* receipts_schema = R"(
create table receipts(
  id text primary key, operation text not null, sentence text not null, destination blob not null,
  started integer not null, finished integer not null, state text not null, roots blob not null,
  undoes text not null, undone_by text not null default '', waits_for blob not null default '',
  undoes_some integer not null default 0, paused integer not null default 0,
  items integer not null default 0, bytes integer not null default 0, counts text not null default '[]',
  problem blob not null default '', may_lose integer not null default 0, verify integer not null default 0, job text not null default '');
create table folders(
  receipt text not null references receipts(id), made integer not null, path blob not null, attributes blob not null,
  device integer not null, inode integer not null);
create index folders_of_receipt on folders(receipt);
)";

// keep/item_rows
constexpr const char* items_schema = R"(
create table item_rows(receipt text not null references receipts(id), row integer not null, items blob not null, primary key(receipt, row));
create table outcome_rows(
  receipt text not null references receipts(id), row integer not null, outcomes blob not null, settled integer not null,
  bytes integer not null, lost integer not null, primary key(receipt, row)) without rowid;
)";

// keep/safe_rows
constexpr const char* safe_schema = R"(
create table shared(id integer primary key, bytes blob not null unique);
create table safe(
  receipt integer not null, number text not null, folder integer not null, name blob not null, shelf integer not null, slot blob,
  stored_name blob, type integer not null, device integer not null, inode integer not null, size integer not null,
  modified integer not null, set_aside integer not null, boot integer not null, since_boot integer not null,
  primary key(receipt, number)) without rowid;
)";

// keep/journal_rows: what a run is still to do, some items to a row, whether they have been done since or
// not; and its group's intentions
constexpr const char* journal_schema = R"(
create table pending(
  receipt text not null references receipts(id), first integer not null, count integer not null, items blob not null,
  primary key(receipt, first));
create table intents(receipt text primary key references receipts(id), items blob not null);
)";

// file systems by what they are, and readings of the clock
constexpr const char* volumes_schema = R"(
create table volumes(
  receipt text not null references receipts(id), device integer not null, identity text not null, sure integer not null,
  path blob not null, primary key(receipt, device, identity)) without rowid;
create table clock(boot text not null, wall integer not null, since_boot integer not null);
)";

// keep/contents_rows
constexpr const char* contents_schema = R"(
create table contents(key integer primary key, pair blob not null, same integer not null, used integer not null);
)";

// keep/told_rows
constexpr const char* told_schema = R"(
create table told(key integer primary key, thing blob not null, words blob not null, used integer not null);
)";

/// What versions 1 to 3 lack of version 4. What an interrupted run has left can be read from version 3 on.
void bring_to_version_4(SQLite::Database& database, int version) {
    if (version < 3 && database.execAndGet("select count(*) from pending").getInt64() != 0)
        throw SQLite::Exception(
            "holds an interrupted run of an older version of Tavlo, which must recover it first",
            SQLITE_MISMATCH);
    if (version == 1) database.exec("alter table receipts add column waits_for blob not null default ''");
    if (version <= 2)
        database.exec(
            "drop table pending; drop table intents;"
            "alter table receipts add column undoes_some integer not null default 0;"
            "alter table receipts add column paused integer not null default 0;"
            "alter table items add column fault integer;"
            "create table taken_back(receipt text not null, number integer not null)");
    if (version <= 3)
        database.exec(
            "alter table receipts add column problem blob not null default '';"
            "alter table receipts add column may_lose integer not null default 0;"
            "alter table receipts add column verify integer not null default 0;"
            "alter table safe add column boot text not null default '';"
            "alter table safe add column since_boot integer not null default 0");
}

void bring_to_version_5(SQLite::Database& database, int version) {
    if (version <= 2) database.exec(journal_schema);
    if (version <= 3) database.exec(volumes_schema);
    database.exec(
        "drop table if exists contents; alter table safe rename to safe_before");  // what was compared is
                                                                                   // found out again
    database.exec(contents_schema);
    database.exec(items_schema);
    database.exec(safe_schema);
    take_over_items(database);
    take_over_safe(database);
}

/// A database gives room back only if it was made so, or made anew; a help only, which other programs may be
/// in the way of.
void let_give_room_back(SQLite::Database& database) noexcept {
    try {
        database.exec("pragma auto_vacuum = incremental; vacuum");
    } catch (const SQLite::Exception&) {
    }
}

}  // namespace

void bring_up_to_date(SQLite::Database& database) {
    const auto version_now = [&] { return database.execAndGet("pragma user_version").getInt(); };
    if (version_now() == schema_version)
        return;  // as nearly always: without being in the way of a run that writes
    SQLite::Transaction transaction(database, SQLite::TransactionBehavior::IMMEDIATE);
    const int version = version_now();
    if (version > schema_version)
        throw SQLite::Exception("was written by a newer version of Tavlo", SQLITE_MISMATCH);
    if (version == schema_version) return;
    if (version == 0) {
        for (const char* tables : {receipts_schema, items_schema, safe_schema, journal_schema, volumes_schema,
                                   contents_schema, told_schema})
            database.exec(tables);
    } else {
        if (version < 4) bring_to_version_4(database, version);
        if (version < 5) bring_to_version_5(database, version);
        if (version < 6) database.exec("alter table receipts add column job text not null default ''");
        database.exec(told_schema);
    }
    database.exec(fmt::format("pragma user_version = {}", schema_version));
    transaction.commit();
    if (version != 0 && version < 5) let_give_room_back(database);
}

}  // namespace tavlo
