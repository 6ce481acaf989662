// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

// Inside keep/ only: this header shows SQLite, which no public one does.

#include <SQLiteCpp/SQLiteCpp.h>
#include <sqlite3.h>

#include <cstdint>
#include <optional>
#include <string>
#include <vector>

#include "keep/journal.h"
#include "keep/receipt.h"

namespace tavlo {

// How the store's rows hold the core's values. Statements count their parameters from 1, columns from 0. All
// may throw SQLite::Exception, and nlohmann::json::exception on damaged bytes; the store catches them.

void bind_bytes(SQLite::Statement& statement, int index, const std::string& bytes);
std::string bytes_of(const SQLite::Column& column);
std::int64_t as_signed(std::uint64_t value);
std::uint64_t as_unsigned(const SQLite::Column& column);

/// Appends a number, small ones in few bytes (LEB128, DWARF 5, 7.6).
void put_number(std::string& bytes, std::uint64_t value);
/// One of what has been found out: a number to find it by, what it is of, in full, and what was found.
struct RememberedRow {
    std::int64_t key = 0;
    std::string of;
    std::string found;
};
/// Puts rows into a table of such, in one transaction; those that came longest ago go where there are more
/// than `most`.
void remember_rows(SQLite::Database& database, const char* table, const std::vector<RememberedRow>& rows,
                   std::int64_t now_ns, std::int64_t most);

/// A stored word that nobody knows means a damaged or a newer database: an error, never a default.
template <class Word>
Word known(std::optional<Word> word) {
    if (!word) throw SQLite::Exception("holds a word that is not known", SQLITE_CORRUPT);
    return *word;
}

std::string pack_roots(const std::vector<std::string>& roots);
std::vector<std::string> unpack_roots(const std::string& bytes);
std::string pack_attributes(const Attributes& attributes);
Attributes unpack_attributes(const std::string& bytes);

/// What has no result yet, as a receipt shows it.
ReceiptItem planned(const PendingItem& pending);

}  // namespace tavlo
