#include "keep/schema.h"

#include <fmt/format.h>
#include <sqlite3.h>

namespace tavlo {

namespace {

constexpr int schema_version = 4;

constexpr const char* schema = R"(
create table receipts(
  id text primary key, operation text not null, sentence text not null, destination blob not null,
  started integer not null, finished integer not null, state text not null, roots blob not null,
  undoes text not null, undone_by text not null default '', waits_for blob not null default '',
  undoes_some integer not null default 0, paused integer not null default 0,
  items integer not null default 0, bytes integer not null default 0, counts text not null default '[]');
create table items(
  receipt text not null references receipts(id), number integer not null,
  source blob not null, target blob not null, final blob not null, type integer not null, size integer not null,
  modified integer not null, finding text, held_size integer, held_modified integer, decision text,
  result text not null, set_aside text not null, brought_back text not null, hash text not null, error blob not null,
  action integer not null, moved_whole integer not null, not_kept text not null,
  device integer not null, inode integer not null, after_size integer not null, after_modified integer not null,
  after_changed integer not null, after_mode integer not null, linked_device integer not null, linked_inode integer not null,
  fault integer,
  primary key(receipt, number)) without rowid;
create table folders(
  receipt text not null references receipts(id), made integer not null, path blob not null, attributes blob not null,
  device integer not null, inode integer not null);
create index folders_of_receipt on folders(receipt);
create table safe(
  id text primary key, original blob not null, stored blob not null, receipt text not null, type integer not null,
  device integer not null, inode integer not null, size integer not null, modified integer not null,
  set_aside integer not null);
)";

// what a run is still to do: its items some to a row, whether they have been done since or not; and its group's intentions
constexpr const char* journal_schema = R"(
create table pending(
  receipt text not null references receipts(id), first integer not null, count integer not null, items blob not null,
  primary key(receipt, first)) without rowid;
create table intents(receipt text primary key references receipts(id), items blob not null);
)";

// items that an undo of chosen ones, or of all, has taken back since
constexpr const char* taken_back_schema = R"(
create table taken_back(receipt text not null references receipts(id), number integer not null, primary key(receipt, number)) without rowid;
)";

// file systems by what they are (the number is what they had then), and readings of the clock
constexpr const char* volumes_schema = R"(
create table volumes(
  receipt text not null references receipts(id), device integer not null, identity text not null, sure integer not null,
  path blob not null, primary key(receipt, device, identity)) without rowid;
create table clock(boot text not null, wall integer not null, since_boot integer not null);
alter table receipts add column problem blob not null default '';
alter table receipts add column may_lose integer not null default 0;
alter table receipts add column verify integer not null default 0;
alter table safe add column boot text not null default '';
alter table safe add column since_boot integer not null default 0;
)";

// what reading pairs has found out; the key is a hash of the pair, which is beside it in full
constexpr const char* contents_schema = R"(
create table if not exists contents(
  key integer primary key, pair blob not null, same integer not null, used integer not null);
)";

/// Receipts and the Safe's index stay as they are; what an interrupted run has left can be read from version 3 on.
void leave_older(SQLite::Database& database, int version) {
    if (version < 3 && database.execAndGet("select count(*) from pending").getInt64() != 0)
        throw SQLite::Exception("holds an interrupted run of an older version of Tavlo, which must recover it first", SQLITE_MISMATCH);
    if (version == 1)
        database.exec("drop table pending; drop table intents; alter table receipts add column waits_for blob not null default ''");
    if (version <= 2)
        database.exec(
            "alter table receipts add column undoes_some integer not null default 0;"
            "alter table receipts add column paused integer not null default 0;"
            "alter table items add column fault integer");
}

}  // namespace

void bring_up_to_date(SQLite::Database& database) {
    const auto version_now = [&] { return database.execAndGet("pragma user_version").getInt(); };
    if (version_now() == schema_version) return;  // as nearly always: without being in the way of a run that writes
    SQLite::Transaction transaction(database, SQLite::TransactionBehavior::IMMEDIATE);
    const int version = version_now();
    if (version > schema_version) throw SQLite::Exception("was written by a newer version of Tavlo", SQLITE_MISMATCH);
    if (version == schema_version) return;
    if (version == 0)
        database.exec(schema);
    else
        leave_older(database, version);
    if (version < 2) database.exec(journal_schema);
    if (version < 3) {
        database.exec(taken_back_schema);
        database.exec(contents_schema);
    }
    database.exec(volumes_schema);
    database.exec(fmt::format("pragma user_version = {}", schema_version));
    transaction.commit();
}

}  // namespace tavlo
