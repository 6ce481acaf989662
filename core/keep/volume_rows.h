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

/// File systems that a run has to do with; what is noted already stays as it is.
void write_volumes(SQLite::Database& database, const std::string& receipt,
                   const std::vector<VolumeRecord>& volumes);
std::vector<VolumeRecord> volumes_of(SQLite::Database& database, const std::string& receipt);

}  // namespace tavlo
