// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "keep/safe_rows.h"

#include <algorithm>
#include <unordered_map>
#include <utility>

#include "files/path.h"
#include "keep/sqlite_rows.h"

namespace tavlo {

namespace {

/// What many entries share, by the number under which it stands. Known for one transaction only: another
/// program may tidy up after it.
class Shared {
public:
    explicit Shared(SQLite::Database& database) : database_(database) {}

    std::optional<std::int64_t> number_if_known(const std::string& bytes) {
        if (const auto known = numbers_.find(bytes); known != numbers_.end()) return known->second;
        SQLite::Statement query(database_, "select id from shared where bytes=?");
        bind_bytes(query, 1, bytes);
        if (!query.executeStep()) return std::nullopt;
        return numbers_[bytes] = query.getColumn(0).getInt64();
    }

    std::int64_t number(const std::string& bytes) {
        if (const auto known = number_if_known(bytes)) return *known;
        SQLite::Statement insert(database_, "insert into shared(bytes) values(?)");
        bind_bytes(insert, 1, bytes);
        insert.exec();
        return numbers_[bytes] = database_.getLastInsertRowid();
    }

    const std::string& text(std::int64_t number) {
        if (const auto known = texts_.find(number); known != texts_.end()) return known->second;
        SQLite::Statement query(database_, "select bytes from shared where id=?");
        query.bind(1, number);
        if (!query.executeStep()) throw SQLite::Exception("lacks a folder of the Safe", SQLITE_CORRUPT);
        return texts_[number] = bytes_of(query.getColumn(0));
    }

private:
    SQLite::Database& database_;
    std::unordered_map<std::string, std::int64_t> numbers_;
    std::unordered_map<std::int64_t, std::string> texts_;
};

/// An entry's id in its two parts.
std::pair<std::string, std::string> parts_of(const std::string& id) {
    const auto dot = std::min(id.rfind('.'), id.size());
    return {id.substr(0, dot), id.substr(std::min(dot + 1, id.size()))};
}

/// The slot that a number tells of; several versions may share one, and have its number, a dash and their
/// own.
std::string_view slot_in(std::string_view number) { return number.substr(0, number.find('-')); }

/// An entry's id is its receipt's, a dot, and a number of its own.
std::string number_in(const SafeEntry& entry) {
    if (entry.id.size() <= entry.receipt.size() + 1 || !entry.id.starts_with(entry.receipt) ||
        entry.id[entry.receipt.size()] != '.')
        throw SQLite::Exception("was given a version whose id is not of its receipt", SQLITE_MISMATCH);
    return entry.id.substr(entry.receipt.size() + 1);
}

}  // namespace

void SafeRows::put(const std::vector<SafeEntry>& entries, const Timekeeper::Reading& now) {
    SQLite::Statement insert(database_, "insert or replace into safe values(?,?,?,?,?,?,?,?,?,?,?,?,?,?,?)");
    Shared shared(database_);
    for (const SafeEntry& entry : entries) {
        const std::string number = number_in(entry);
        const std::string slot(parent_of(entry.stored));
        int at = 0;
        insert.bind(++at, shared.number(entry.receipt));
        insert.bind(++at, number);
        insert.bind(++at, shared.number(std::string(parent_of(entry.original))));
        bind_bytes(insert, ++at, std::string(name_of(entry.original)));
        insert.bind(++at, shared.number(std::string(parent_of(slot))));
        // where it lies is told by its number and its name, but for what older versions have set aside
        const auto unless = [&](std::string_view is, std::string_view usual) {
            if (is == usual)
                insert.bind(++at);
            else
                bind_bytes(insert, ++at, std::string(is));
        };
        unless(name_of(slot), slot_in(number));
        unless(name_of(entry.stored), name_of(entry.original));
        insert.bind(++at, static_cast<int>(entry.type));
        insert.bind(++at, as_signed(entry.identity.device));
        insert.bind(++at, as_signed(entry.identity.inode));
        insert.bind(++at, as_signed(entry.identity.size_bytes));
        insert.bind(++at, entry.identity.modified_ns);
        insert.bind(++at, entry.set_aside_ns != 0 ? entry.set_aside_ns : now.wall_ns);
        insert.bind(++at, shared.number(entry.boot.empty() ? now.boot : entry.boot));
        insert.bind(++at, entry.boot.empty() ? now.since_boot_ns : entry.since_boot_ns);
        insert.exec();
        insert.reset();
    }
}

void SafeRows::drop(const std::vector<std::string>& ids) {
    SQLite::Statement statement(database_, "delete from safe where receipt=? and number=?");
    Shared shared(database_);
    for (const auto& id : ids) {
        const auto [of, number] = parts_of(id);
        const auto receipt = shared.number_if_known(of);
        if (!receipt) continue;
        statement.bind(1, *receipt);
        statement.bind(2, number);
        statement.exec();
        statement.reset();
    }
    if (!ids.empty() && database_.execAndGet("select not exists(select 1 from safe)").getInt() != 0)
        database_.exec("delete from shared");
}

namespace {

/// An entry of a row; `text` gives what it shares with others, by column.
template <class Text>
SafeEntry entry_of(SQLite::Statement& query, Text text) {
    SafeEntry entry;
    entry.receipt = text(0);
    const std::string number = query.getColumn(1).getString();
    entry.id = entry.receipt + "." + number;
    const std::string name = bytes_of(query.getColumn(3));
    entry.original = join(text(2), name);
    const std::string slot =
        query.getColumn(5).isNull() ? std::string(slot_in(number)) : bytes_of(query.getColumn(5));
    const std::string stored_name = query.getColumn(6).isNull() ? name : bytes_of(query.getColumn(6));
    entry.stored = join(join(text(4), slot), stored_name);
    entry.type = static_cast<FileType>(query.getColumn(7).getInt());
    entry.identity = {as_unsigned(query.getColumn(8)), as_unsigned(query.getColumn(9)),
                      as_unsigned(query.getColumn(10)), query.getColumn(11).getInt64()};
    entry.set_aside_ns = query.getColumn(12).getInt64();
    entry.boot = text(13);
    entry.since_boot_ns = query.getColumn(14).getInt64();
    return entry;
}

}  // namespace

void SafeRows::each_where(const std::string& clause, const std::function<void(SQLite::Statement&)>& bind,
                          const std::function<void(SafeEntry&&)>& take) {
    SQLite::Statement query(database_,
                            "select receipt, number, folder, name, shelf, slot, stored_name, type, device, "
                            "inode, size, modified, set_aside, "
                            "boot, since_boot from safe " +
                                clause);
    bind(query);
    Shared shared(database_);
    while (query.executeStep())
        take(entry_of(query, [&](int column) { return shared.text(query.getColumn(column).getInt64()); }));
}

/// An undo asks for a million of them, one after the other: so the question is put together once.
std::optional<SafeEntry> SafeRows::find(const std::string& id) {
    if (!one_)
        one_ = std::make_unique<SQLite::Statement>(
            database_,
            "select of_run.bytes, number, at.bytes, name, on_shelf.bytes, slot, stored_name, type, device, "
            "inode, size, modified, "
            "set_aside, "
            "since.bytes, since_boot from safe join shared of_run on of_run.id=receipt join shared at on "
            "at.id=folder "
            "join shared on_shelf on on_shelf.id=shelf join shared since on since.id=boot where "
            "of_run.bytes=? and number=?");
    const auto [of, number] = parts_of(id);
    bind_bytes(*one_, 1, of);
    one_->bind(2, number);
    std::optional<SafeEntry> found;
    if (one_->executeStep())
        found = entry_of(*one_, [&](int column) { return bytes_of(one_->getColumn(column)); });
    one_->reset();
    return found;
}

void SafeRows::each(const std::function<void(SafeEntry&&)>& take) {
    each_where(
        "order by set_aside desc, receipt desc, number desc", [](SQLite::Statement&) {}, take);
}

void SafeRows::each_of(const std::string& receipt, const std::function<void(SafeEntry&&)>& take) {
    const auto known = Shared(database_).number_if_known(receipt);
    if (known)
        each_where(
            "where receipt=? order by number", [&](SQLite::Statement& query) { query.bind(1, *known); },
            take);
}

std::vector<SafeEntry> SafeRows::some(const std::string& after, std::size_t count) {
    const auto [of, number] = parts_of(after);
    const SQLite::Transaction reading(database_);
    const auto receipt =
        after.empty() ? std::optional<std::int64_t>(-1) : Shared(database_).number_if_known(of);
    std::vector<SafeEntry> found;
    if (!receipt) return found;  // the Safe has been emptied meanwhile
    each_where(
        "where (receipt, number) > (?, ?) order by receipt, number limit ?",
        [&, &number = number](SQLite::Statement& query) {
            query.bind(1, *receipt);
            query.bind(2, number);
            query.bind(3, static_cast<std::int64_t>(count));
        },
        [&](SafeEntry&& entry) { found.push_back(std::move(entry)); });
    return found;
}

std::uint64_t SafeRows::count() {
    return static_cast<std::uint64_t>(database_.execAndGet("select count(*) from safe").getInt64());
}

std::vector<std::string> SafeRows::shelves_of(const std::string& receipt) {
    std::vector<std::string> shelves;
    const auto known = Shared(database_).number_if_known(receipt);
    if (!known) return shelves;
    SQLite::Statement query(
        database_, "select bytes from shared where id in (select distinct shelf from safe where receipt=?)");
    query.bind(1, *known);
    while (query.executeStep()) shelves.push_back(bytes_of(query.getColumn(0)));
    return shelves;
}

SafeAmount SafeRows::amount_of(const std::string& receipt) {
    const auto known = Shared(database_).number_if_known(receipt);
    if (!known) return {};
    SQLite::Statement query(
        database_,
        "select count(*), coalesce(sum(case when type=? then size else 0 end), 0) from safe where receipt=?");
    query.bind(1, static_cast<int>(FileType::file));
    query.bind(2, *known);
    query.executeStep();
    return {as_unsigned(query.getColumn(0)), as_unsigned(query.getColumn(1))};
}

}  // namespace tavlo
