// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "keep/contents_rows.h"

#include <algorithm>
#include <cstring>

#include "keep/sqlite_rows.h"
#include "survey/pair_key.h"

namespace tavlo {

namespace {

constexpr std::int64_t most_remembered = 2'000'000;

constexpr std::size_t learnt_at_a_time = 65536;

// A row is found by the first half of the 128 bits that stand for its pair, and holds all of them. Rows of
// earlier versions are found no more: they go as the oldest do.

std::int64_t row_of(const HashKey& key) { return as_signed(key.high); }

std::string bytes_of(const HashKey& key) {
    std::string bytes(sizeof key, '\0');
    std::memcpy(bytes.data(), &key, sizeof key);
    return bytes;
}

}  // namespace

void ContentsRows::recall(const std::vector<Pair>& pairs, KnownContents& known) {
    std::vector<HashKey> wanted;  // in the order that rows lie in
    wanted.reserve(pairs.size());
    for (const Pair& pair : pairs) wanted.push_back(key_of(pair));
    std::sort(wanted.begin(), wanted.end(), [](const HashKey& one, const HashKey& other) {
        return std::pair(row_of(one), one.low) < std::pair(row_of(other), other.low);
    });
    const SQLite::Transaction reading(database_);
    std::vector<std::pair<HashKey, bool>> found;
    const auto learn = [&](const HashKey& key, SQLite::Statement& row) {
        const auto stored = row.getColumn(1);
        const void* bytes = stored.getBlob();
        if (stored.getBytes() != sizeof key || std::memcmp(bytes, &key, sizeof key) != 0) return;
        found.emplace_back(key, row.getColumn(2).getInt() != 0);
        if (found.size() < learnt_at_a_time) return;
        known.learn(found);
        found.clear();
    };
    if (is_worth_going_through(wanted.size())) {
        SQLite::Statement all(database_,
                              "select key, pair, same from contents where key between ? and ? order by key");
        all.bind(1, row_of(wanted.front()));
        all.bind(2, row_of(wanted.back()));
        for (auto next = wanted.begin(); next != wanted.end() && all.executeStep();) {
            const std::int64_t row = all.getColumn(0).getInt64();
            while (next != wanted.end() && row_of(*next) < row) ++next;
            for (; next != wanted.end() && row_of(*next) == row; ++next) learn(*next, all);
        }
    } else {
        SQLite::Statement one(database_, "select key, pair, same from contents where key=?");
        for (const HashKey& next : wanted) {
            one.bind(1, row_of(next));
            if (one.executeStep()) learn(next, one);
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
    for (const auto& [pair, same] : found) {
        const HashKey key = key_of(pair);
        rows.push_back({row_of(key), bytes_of(key), same ? "1" : "0"});
    }
    remember_rows(database_, "contents", rows, now_ns, most_remembered);
}

}  // namespace tavlo
