// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

// Inside keep/ only: this header shows SQLite, which no public one does. All may throw, as keep/sqlite_rows.h
// says.

#include <SQLiteCpp/SQLiteCpp.h>

#include <string>
#include <vector>

#include "keep/receipt.h"

namespace tavlo {

/// The heads of receipts. A run that begins is interrupted until it has ended.
void insert_head(SQLite::Database& database, const ReceiptHead& head);
void write_end(SQLite::Database& database, const ReceiptHead& head);
void write_undone_by(SQLite::Database& database, const std::string& receipt, const std::string& undo);
/// clause  of the query, with at most one parameter
std::vector<ReceiptHead> heads_where(SQLite::Database& database, const std::string& clause,
                                     const std::string* parameter = nullptr);

}  // namespace tavlo
