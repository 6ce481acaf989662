// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "keep/told_rows.h"

#include <xxhash.h>

#include "keep/sqlite_rows.h"

namespace tavlo {

namespace {

constexpr std::int64_t most_told = 1'000'000;
// counted up when what is read of a file is read otherwise, so that it is read again
constexpr std::uint64_t facts_version = 1;

std::string packed(ToldRows::Of what, const Status& thing) {
    std::string bytes;
    for (const std::uint64_t value :
         {static_cast<std::uint64_t>(what), what == ToldRows::Of::facts ? facts_version : 0, thing.id.device,
          thing.id.inode, thing.id.size_bytes, static_cast<std::uint64_t>(thing.id.modified_ns),
          static_cast<std::uint64_t>(thing.status_changed_ns)})
        put_number(bytes, value);
    return bytes;
}

std::int64_t key_of(const std::string& packed) {
    return as_signed(XXH3_64bits(packed.data(), packed.size()));
}

}  // namespace

void ToldRows::recall(Of what, const std::vector<Status>& things,
                      const std::function<void(std::size_t, std::string&&)>& take) {
    const SQLite::Transaction reading(database_);
    SQLite::Statement query(database_, "select thing, words from told where key=?");
    for (std::size_t at = 0; at < things.size(); ++at) {
        const std::string thing = packed(what, things[at]);
        query.bind(1, key_of(thing));
        if (query.executeStep() && bytes_of(query.getColumn(0)) == thing)
            take(at, bytes_of(query.getColumn(1)));
        query.reset();
    }
}

void ToldRows::remember(Of what, const std::vector<std::pair<Status, std::string>>& told,
                        std::int64_t now_ns) {
    std::vector<RememberedRow> rows;
    for (const auto& [status, words] : told) {
        std::string thing = packed(what, status);
        const auto key = key_of(thing);
        rows.push_back({key, std::move(thing), words});
    }
    remember_rows(database_, "told", rows, now_ns, most_told);
}

}  // namespace tavlo
