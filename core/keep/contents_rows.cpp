// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "keep/contents_rows.h"

#include <algorithm>
#include <cstring>
#include <optional>

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

/// nullopt: it is none, the row is damaged
std::optional<HashKey> stored_key(SQLite::Statement& row, int column) {
    const auto stored = row.getColumn(column);
    HashKey key;
    if (stored.getBytes() != sizeof key) return std::nullopt;
    std::memcpy(&key, stored.getBlob(), sizeof key);
    return key;
}

}  // namespace

bool ContentsRows::recall_all(KnownContents& known, std::size_t pairs) {
    constexpr std::size_t rows_for_one = 8;  // a row on the way costs less than one that is looked for
    const SQLite::Transaction reading(database_);
    const auto size = database_.execAndGet("select count(*) from contents").getInt64();
    if (size > static_cast<std::int64_t>(rows_for_one * pairs)) return false;
    std::vector<std::pair<HashKey, bool>> found;
    // in the order of the keys: one whose highest bit is set stands in a row below 0
    for (const char* rows : {"select pair, same from contents where key >= 0 order by key",
                             "select pair, same from contents where key < 0 order by key"}) {
        SQLite::Statement all(database_, rows);
        while (all.executeStep()) {
            if (const auto key = stored_key(all, 0)) found.emplace_back(*key, all.getColumn(1).getInt() != 0);
            if (found.size() < learnt_at_a_time) continue;
            known.learn(found);
            found.clear();
        }
    }
    known.learn(found);
    return true;
}

void ContentsRows::recall(const std::vector<Pair>& pairs, KnownContents& known) {
    if (recall_all(known, pairs.size())) return;
    std::vector<HashKey> wanted;  // in the order that rows lie in
    wanted.reserve(pairs.size());
    for (const Pair& pair : pairs) wanted.push_back(key_of(pair));
    std::sort(wanted.begin(), wanted.end(), [](const HashKey& one, const HashKey& other) {
        return std::pair(row_of(one), one.low) < std::pair(row_of(other), other.low);
    });
    const SQLite::Transaction reading(database_);
    std::vector<std::pair<HashKey, bool>> found;
    SQLite::Statement one(database_, "select pair, same from contents where key=?");
    for (const HashKey& next : wanted) {
        one.bind(1, row_of(next));
        if (one.executeStep() && stored_key(one, 0) == next)
            found.emplace_back(next, one.getColumn(1).getInt() != 0);
        one.reset();
    }
    known.learn(found);
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
