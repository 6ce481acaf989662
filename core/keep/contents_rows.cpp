// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "keep/contents_rows.h"

#include <algorithm>
#include <cstring>

#include "keep/sqlite_rows.h"

namespace tavlo {

namespace {

constexpr std::int64_t most_remembered = 2'000'000;

constexpr std::size_t learnt_at_a_time = 65536;

void pack(const Pair& pair, std::string& bytes) {
    bytes.clear();
    for (const Identity* id : {&pair.incoming, &pair.held})
        for (const std::uint64_t value :
             {id->device, id->inode, id->size_bytes, static_cast<std::uint64_t>(id->modified_ns)})
            put_number(bytes, value);
    for (const std::int64_t value : {pair.incoming_changed_ns, pair.held_changed_ns})
        put_number(bytes, static_cast<std::uint64_t>(value));
}

std::string packed(const Pair& pair) {
    std::string bytes;
    pack(pair, bytes);
    return bytes;
}

std::int64_t key_of(const Pair& pair) { return as_signed(PairHash{}(pair)); }

}  // namespace

void ContentsRows::recall(const std::vector<Pair>& pairs, KnownContents& known) {
    std::vector<std::pair<std::int64_t, std::size_t>> wanted;  // by key: so they lie in the table
    wanted.reserve(pairs.size());
    for (std::size_t at = 0; at < pairs.size(); ++at) wanted.emplace_back(key_of(pairs[at]), at);
    std::sort(wanted.begin(), wanted.end());
    const SQLite::Transaction reading(database_);
    std::vector<std::pair<Pair, bool>> found;
    std::string in_full;
    const auto learn = [&](std::size_t at, SQLite::Statement& row) {
        pack(pairs[at], in_full);
        const auto stored = row.getColumn(1);
        const auto size = static_cast<std::size_t>(stored.getBytes());
        if (size != in_full.size() || std::memcmp(stored.getBlob(), in_full.data(), size) != 0) return;
        found.emplace_back(pairs[at], row.getColumn(2).getInt() != 0);
        if (found.size() < learnt_at_a_time) return;
        known.learn(found);
        found.clear();
    };
    if (is_worth_going_through(pairs.size())) {
        SQLite::Statement all(database_,
                              "select key, pair, same from contents where key between ? and ? order by key");
        all.bind(1, wanted.front().first);
        all.bind(2, wanted.back().first);
        for (auto next = wanted.begin(); next != wanted.end() && all.executeStep();) {
            const std::int64_t key = all.getColumn(0).getInt64();
            while (next != wanted.end() && next->first < key) ++next;
            for (; next != wanted.end() && next->first == key; ++next) learn(next->second, all);
        }
    } else {
        SQLite::Statement one(database_, "select key, pair, same from contents where key=?");
        for (const auto& [key, at] : wanted) {
            one.bind(1, key);
            if (one.executeStep()) learn(at, one);
            one.reset();
        }
    }
    known.learn(found);
}

/// Of a good part of the table: a row on the way costs less than one that is looked for.
bool ContentsRows::is_worth_going_through(std::size_t wanted) {
    constexpr std::size_t many = 1024;
    constexpr std::int64_t rows_for_one = 8;
    if (wanted < many) return false;
    return database_.execAndGet("select count(*) from contents").getInt64() <=
           rows_for_one * static_cast<std::int64_t>(wanted);
}

void ContentsRows::remember(const std::vector<std::pair<Pair, bool>>& found, std::int64_t now_ns) {
    std::vector<RememberedRow> rows;
    for (const auto& [pair, same] : found) rows.push_back({key_of(pair), packed(pair), same ? "1" : "0"});
    remember_rows(database_, "contents", rows, now_ns, most_remembered);
}

}  // namespace tavlo
