// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

// Inside keep/ only: this header shows SQLite, which no public one does.

#include <SQLiteCpp/SQLiteCpp.h>

namespace tavlo {

/// Makes the store's tables, or brings those of an older version up to this one, in one transaction.
/// throws   SQLite::Exception with SQLITE_MISMATCH where they are of a newer version, or an older version
///          must recover a run first
void bring_up_to_date(SQLite::Database& database);

}  // namespace tavlo
