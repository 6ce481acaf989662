// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

// Inside keep/ only: this header shows SQLite, which no public one does. All may throw, as keep/sqlite_rows.h
// says.

#include <SQLiteCpp/SQLiteCpp.h>

namespace tavlo {

/// Takes what is in the tables of versions 1 to 4 over into those of version 5, which are there and empty,
/// and drops the old ones. Until then a receipt's item was a row, and so was each that an undo had taken
/// back.
void take_over_items(SQLite::Database& database);
void take_over_safe(SQLite::Database& database);

}  // namespace tavlo
