// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

// Inside keep/ only: this header shows SQLite, which no public one does. All may throw, as keep/sqlite_rows.h
// says.

#include <SQLiteCpp/SQLiteCpp.h>

#include <vector>

#include "keep/clock.h"

namespace tavlo {

/// A reading of the clock is noted where the last one is long ago, or time has not gone on as it does.
void note_reading(SQLite::Database& database, const Timekeeper::Reading& now);
std::vector<Timekeeper::Reading> readings(SQLite::Database& database);  ///< in their order

}  // namespace tavlo
