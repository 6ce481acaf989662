// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "keep/sqlite_rows.h"

#include <fmt/format.h>

#include <nlohmann/json.hpp>

namespace tavlo {

namespace {

nlohmann::json::binary_t binary(const std::string& bytes) {
    return nlohmann::json::binary_t({bytes.begin(), bytes.end()});
}

std::string packed(const nlohmann::json& value) {
    const auto bytes = nlohmann::json::to_cbor(value);
    return {bytes.begin(), bytes.end()};
}

std::string from_binary(const nlohmann::json& value) {
    const auto& bytes = value.get_binary();
    return {bytes.begin(), bytes.end()};
}

}  // namespace

void bind_bytes(SQLite::Statement& statement, int index, const std::string& bytes) {
    statement.bind(index, bytes.data(), static_cast<int>(bytes.size()));
}

std::string bytes_of(const SQLite::Column& column) {
    const auto size = static_cast<std::size_t>(column.getBytes());
    return size == 0 ? std::string() : std::string(static_cast<const char*>(column.getBlob()), size);
}

std::int64_t as_signed(std::uint64_t value) { return static_cast<std::int64_t>(value); }
std::uint64_t as_unsigned(const SQLite::Column& column) {
    return static_cast<std::uint64_t>(column.getInt64());
}

void put_number(std::string& bytes, std::uint64_t value) {
    for (; value >= 0x80; value >>= 7) bytes += static_cast<char>(value | 0x80);
    bytes += static_cast<char>(value);
}

void remember_rows(SQLite::Database& database, const char* table, const std::vector<RememberedRow>& rows,
                   std::int64_t now_ns, std::int64_t most) {
    SQLite::Transaction transaction(database, SQLite::TransactionBehavior::IMMEDIATE);
    SQLite::Statement insert(database, fmt::format("insert or replace into {} values(?,?,?,?)", table));
    for (const RememberedRow& row : rows) {
        insert.bind(1, row.key);
        bind_bytes(insert, 2, row.of);
        bind_bytes(insert, 3, row.found);
        insert.bind(4, now_ns / 1'000'000'000);
        insert.exec();
        insert.reset();
    }
    const auto count = database.execAndGet(fmt::format("select count(*) from {}", table)).getInt64();
    if (count > most)
        database.exec(
            fmt::format("delete from {0} where key in (select key from {0} order by used limit {1})", table,
                        count - most));
    transaction.commit();
}

std::string pack_roots(const std::vector<std::string>& roots) {
    auto list = nlohmann::json::array();
    for (const auto& root : roots) list.push_back(nlohmann::json::binary(binary(root)));
    return packed(list);
}

std::vector<std::string> unpack_roots(const std::string& bytes) {
    std::vector<std::string> roots;
    for (const auto& root : nlohmann::json::from_cbor(bytes)) roots.push_back(from_binary(root));
    return roots;
}

std::string pack_attributes(const Attributes& attributes) {
    auto extended = nlohmann::json::array();
    for (const auto& [name, value] : attributes.extended)
        extended.push_back({name, nlohmann::json::binary(binary(value))});
    return packed({attributes.mode, attributes.owner, attributes.group, attributes.accessed_ns,
                   attributes.modified_ns, extended});
}

Attributes unpack_attributes(const std::string& bytes) {
    const auto list = nlohmann::json::from_cbor(bytes);
    Attributes attributes{list.at(0), list.at(1), list.at(2), list.at(3), list.at(4), {}};
    for (const auto& pair : list.at(5))
        attributes.extended.emplace_back(pair.at(0).get<std::string>(), from_binary(pair.at(1)));
    return attributes;
}

ReceiptItem planned(const PendingItem& pending) {
    ReceiptItem item;
    item.source = pending.source;
    item.target = pending.target;
    item.type = pending.type;
    item.size_bytes = pending.identity.size_bytes;
    item.modified_ns = pending.identity.modified_ns;
    item.action = pending.action;
    if (pending.collides)
        item.collision = ReceiptCollision{pending.finding, pending.held.size_bytes, pending.held.modified_ns,
                                          pending.decision};
    return item;
}

}  // namespace tavlo
