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

#include "keep/item_rows.h"
#include "keep/journal.h"
#include "keep/store.h"

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
/// The number after the last of those below this one; 0: there are none.
std::uint64_t end_of_pending_below(SQLite::Database& database, const std::string& receipt,
                                   std::uint64_t number);
std::vector<Intent> intents_of(SQLite::Database& database, const std::string& receipt);
void write_intents(SQLite::Database& database, const std::string& receipt,
                   const std::vector<Intent>& intents);
/// Items of a run, those that have a result already among what came of it.
/// item     of each place below `count`; on any thread
/// settled  where results go
void write_items(SQLite::Database& database, const std::string& receipt, std::uint64_t count,
                 const ItemAt& item, ItemRows& settled);
void write_pending(SQLite::Database& database, const std::string& receipt,
                   const std::vector<PendingItem>& items, ItemRows& settled);
void drop_journal(SQLite::Database& database, const std::string& receipt);

}  // namespace tavlo
