// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "support/older_state.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <zstd.h>

#include <cereal/archives/portable_binary.hpp>
#include <cereal/types/optional.hpp>
#include <cereal/types/string.hpp>
#include <cereal/types/utility.hpp>
#include <cereal/types/vector.hpp>
#include <map>
#include <sstream>

#include "files/hash.h"
#include "support/jobs.h"

// As schemas 4 to 6 were written; kept here as they were, whatever the program writes now.

namespace tavlo {

/// What had roles, and did not know the trash.
template <class Value>
struct WithRole {
    Value value;
};

template <class Archive>
void serialize(Archive& archive, Identity& id) {
    archive(id.device, id.inode, id.size_bytes, id.modified_ns);
}

template <class Archive>
void serialize(Archive& archive, Attributes& one) {
    archive(one.mode, one.owner, one.group, one.accessed_ns, one.modified_ns, one.extended);
}

template <class Archive>
void serialize(Archive& archive, PendingItem& item) {
    archive(item.number, item.parent, item.source, item.real, item.target, item.final_path, item.type,
            item.identity, item.mode, item.links, item.points_at, item.action, item.outcome, item.whole,
            item.along, item.collides, item.finding, item.decision, item.held_type, item.held,
            item.held_by_batch, item.shared, item.entry_of_safe, item.problem, item.attributes,
            item.takes_back);
}

template <class Archive>
void serialize(Archive& archive, ReceiptCollision& one) {
    archive(one.finding, one.size_bytes, one.modified_ns, one.decision);
}

template <class Archive>
void serialize(Archive& archive, ReceiptItem& item) {
    archive(item.source, item.target, item.final_path, item.type, item.size_bytes, item.modified_ns,
            item.collision, item.result, item.set_aside, item.brought_back, item.hash, item.error, item.fault,
            item.action, item.moved_whole, item.not_kept, item.linked_source, item.after,
            item.after_status_changed_ns, item.after_mode);
}

template <class Archive>
void serialize(Archive& archive, Intent& intent) {
    archive(intent.number, intent.kind, intent.fresh, intent.expected, intent.slot, intent.entry,
            intent.removes_source, intent.hash);
}

template <class Archive>
void serialize(Archive& archive, WithRole<PendingItem>& with) {
    serialize(archive, with.value);
    archive(with.value.role, with.value.parks);
}

template <class Archive>
void serialize(Archive& archive, WithRole<std::pair<std::uint64_t, ReceiptItem>>& with) {
    archive(with.value.first);
    serialize(archive, with.value.second);
    archive(with.value.second.role);
}

template <class Archive>
void serialize(Archive& archive, WithRole<Intent>& with) {
    serialize(archive, with.value);
}

}  // namespace tavlo

using namespace tavlo;

namespace {

constexpr const char* from_6_to_5 = "alter table receipts drop column job; pragma user_version = 5";

constexpr const char* tables_of_version_4 = R"(
drop table item_rows; drop table outcome_rows; drop table safe; drop table shared; drop table pending; drop table intents;
create table items(
  receipt text not null, number integer not null,
  source blob not null, target blob not null, final blob not null, type integer not null, size integer not null,
  modified integer not null, finding text, held_size integer, held_modified integer, decision text,
  result text not null, set_aside text not null, brought_back text not null, hash text not null, error blob not null,
  action integer not null, moved_whole integer not null, not_kept text not null,
  device integer not null, inode integer not null, after_size integer not null, after_modified integer not null,
  after_changed integer not null, after_mode integer not null, linked_device integer not null, linked_inode integer not null,
  fault integer, primary key(receipt, number)) without rowid;
create table safe(
  id text primary key, original blob not null, stored blob not null, receipt text not null, type integer not null,
  device integer not null, inode integer not null, size integer not null, modified integer not null,
  set_aside integer not null, boot text not null default '', since_boot integer not null default 0);
create table pending(
  receipt text not null, first integer not null, count integer not null, items blob not null, primary key(receipt, first)) without rowid;
create table intents(receipt text primary key, items blob not null);
create table taken_back(receipt text not null, number integer not null, primary key(receipt, number)) without rowid;
pragma user_version = 4;
)";

constexpr const char* from_4_to_3 = R"(
drop table volumes; drop table clock;
alter table receipts drop column problem; alter table receipts drop column may_lose; alter table receipts drop column verify;
alter table safe drop column boot; alter table safe drop column since_boot;
pragma user_version = 3;
)";

constexpr const char* from_3_to_2 = R"(
drop table taken_back; alter table receipts drop column paused; alter table receipts drop column undoes_some;
alter table items drop column fault;
pragma user_version = 2;
)";

constexpr std::uint8_t plain = 2;
constexpr std::uint8_t compressed = 3;
constexpr std::uint8_t with_roles = 4;

template <class Value>
std::string packed(const std::vector<Value>& values, std::uint8_t version) {
    std::ostringstream out(std::ios::binary);
    {
        cereal::PortableBinaryOutputArchive archive(out);
        archive(version, values);
    }
    std::string bytes = out.str();
    if (version >= compressed) {
        std::string small(ZSTD_compressBound(bytes.size()), '\0');
        small.resize(ZSTD_compress(small.data(), small.size(), bytes.data(), bytes.size(), 1));
        bytes = 'z' + small;
    }
    Hasher hasher;
    hasher.add(std::as_bytes(std::span(bytes)));
    return hasher.text() + bytes;
}

template <class Value>
std::string packed_as(const std::vector<Value>& values, std::uint8_t version) {
    if (version < with_roles) return packed(values, version);
    std::vector<WithRole<Value>> with;
    for (const Value& value : values) with.push_back({value});
    return packed(with, version);
}

class Row {
public:
    Row(SQLite::Database& database, const std::string& insert) : statement_(database, insert) {}
    Row& text(const std::string& value) { return statement_.bind(++at_, value), *this; }
    Row& blob(const std::string& value) {
        return statement_.bind(++at_, value.data(), static_cast<int>(value.size())), *this;
    }
    template <class Number>
    Row& number(Number value) {
        return statement_.bind(++at_, static_cast<std::int64_t>(value)), *this;
    }
    Row& null() { return statement_.bind(++at_), *this; }
    void insert() { statement_.exec(); }

private:
    SQLite::Statement statement_;
    int at_ = 0;
};

void put_item(SQLite::Database& database, const std::string& receipt, std::uint64_t number,
              const ReceiptItem& item) {
    Row row(database, "insert into items values(?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?)");
    row.text(receipt).number(number).blob(item.source).blob(item.target).blob(item.final_path);
    row.number(item.type).number(item.size_bytes).number(item.modified_ns);
    const bool has_finding = item.collision && item.collision->finding;
    has_finding ? row.text(std::string(to_text(*item.collision->finding))) : row.null();
    if (item.collision)
        row.number(item.collision->size_bytes)
            .number(item.collision->modified_ns)
            .text(std::string(to_text(item.collision->decision)));
    else
        row.null().null().null();
    row.text(std::string(to_text(item.result)))
        .text(item.set_aside)
        .text(item.brought_back)
        .text(item.hash)
        .blob(item.error);
    row.number(item.action).number(item.moved_whole).text(item.not_kept);
    row.number(item.after.device)
        .number(item.after.inode)
        .number(item.after.size_bytes)
        .number(item.after.modified_ns);
    row.number(item.after_status_changed_ns).number(item.after_mode);
    row.number(item.linked_source.device).number(item.linked_source.inode);
    item.fault ? row.number(*item.fault) : row.null();
    row.insert();
}

struct Kept {
    std::string receipt;
    std::vector<std::pair<std::uint64_t, ReceiptItem>> items;
    std::vector<PendingItem> pending;
    std::vector<Intent> intents;
    std::vector<std::uint64_t> taken_back;
};

void put_journal(SQLite::Database& database, const Kept& kept, std::uint8_t version) {
    if (!kept.pending.empty())
        Row(database, "insert into pending values(?,?,?,?)")
            .text(kept.receipt)
            .number(kept.pending.front().number)
            .number(kept.pending.size())
            .blob(packed_as(kept.pending, version))
            .insert();
    if (!kept.intents.empty())
        Row(database, "insert into intents values(?,?)")
            .text(kept.receipt)
            .blob(packed_as(kept.intents, version))
            .insert();
}

/// The rows stay as they are; what is in their blobs was written otherwise.
void repack(SQLite::Database& database, const std::vector<Kept>& all, std::uint8_t version) {
    constexpr std::uint64_t in_a_row = 256;
    database.exec("delete from pending; delete from intents");
    for (const Kept& kept : all) {
        std::map<std::uint64_t, std::vector<std::pair<std::uint64_t, ReceiptItem>>> rows;
        for (const auto& item : kept.items) rows[item.first / in_a_row].push_back(item);
        for (const auto& [row, items] : rows)
            Row(database, "insert or replace into item_rows values(?,?,?)")
                .text(kept.receipt)
                .number(row)
                .blob(packed_as(items, version))
                .insert();
        put_journal(database, kept, version);
    }
}

}  // namespace

void make_older(const std::string& state_folder, int schema) {
    std::vector<Kept> all;
    std::vector<SafeEntry> safe;
    {
        const auto store = value(Store::open(state_folder));
        for (const ReceiptHead& head : value(store->receipts())) {
            Kept& kept = all.emplace_back();
            kept.receipt = head.id;
            const auto take = [&](std::uint64_t number, ReceiptItem&& item) {
                kept.items.emplace_back(number, std::move(item));
            };
            REQUIRE(store->each_settled(head.id, Store::Order::forwards, take));
            kept.pending = value(store->pending(head.id));
            kept.intents = value(store->intents(head.id));
            kept.taken_back = value(store->taken_back(head.id));
        }
        safe = value(store->safe_entries());
    }
    SQLite::Database database(state_folder + "/tavlo.sqlite", SQLite::OPEN_READWRITE);
    database.exec("drop table told; pragma user_version = 6");
    if (schema == 6) return repack(database, all, with_roles);
    if (schema == 5) database.exec(from_6_to_5);
    if (schema == 5) return repack(database, all, compressed);
    database.exec("alter table receipts drop column job");
    database.exec(tables_of_version_4);
    for (const Kept& kept : all) {
        for (const auto& [number, item] : kept.items) put_item(database, kept.receipt, number, item);
        for (const auto number : kept.taken_back)
            Row(database, "insert into taken_back values(?,?)").text(kept.receipt).number(number).insert();
        put_journal(database, kept, plain);
    }
    for (const SafeEntry& entry : safe)
        Row(database, "insert into safe values(?,?,?,?,?,?,?,?,?,?,?,?)")
            .text(entry.id)
            .blob(entry.original)
            .blob(entry.stored)
            .text(entry.receipt)
            .number(entry.type)
            .number(entry.identity.device)
            .number(entry.identity.inode)
            .number(entry.identity.size_bytes)
            .number(entry.identity.modified_ns)
            .number(entry.set_aside_ns)
            .text(entry.boot)
            .number(entry.since_boot_ns)
            .insert();
    if (schema <= 3) database.exec(from_4_to_3);
    if (schema <= 2) database.exec(from_3_to_2);
}
