// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

// Inside keep/ only: this header shows SQLite, which no public one does. All may throw, as keep/sqlite_rows.h
// says.

#include <SQLiteCpp/SQLiteCpp.h>

#include <functional>
#include <optional>
#include <string>
#include <vector>

#include "keep/journal.h"

namespace tavlo {

/// What a run was to do, item by item, whether it has been done since or not.
class JournalRows {
public:
    JournalRows(SQLite::Database& database, const std::string& receipt);
    std::optional<PendingItem> next();

private:
    SQLite::Statement query_;
    std::vector<PendingItem> row_;
    std::size_t at_ = 0;
};

/// Those whose numbers lie from `first` on, `count` of them, whether they have been done since or not.
std::vector<PendingItem> some_pending(SQLite::Database& database, const std::string& receipt,
                                      std::uint64_t first, std::uint64_t count);
std::uint64_t pending_count(SQLite::Database& database, const std::string& receipt);
std::vector<Intent> intents_of(SQLite::Database& database, const std::string& receipt);
void write_intents(SQLite::Database& database, const std::string& receipt,
                   const std::vector<Intent>& intents);
/// next     the items, one after the other, then nullopt
void write_pending(SQLite::Database& database, const std::string& receipt,
                   const std::function<std::optional<PendingItem>()>& next);
void drop_journal(SQLite::Database& database, const std::string& receipt);

}  // namespace tavlo
