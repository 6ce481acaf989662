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

/// Folders that a run has made on its way, or removed.
void write_folders(SQLite::Database& database, const std::string& receipt,
                   const std::vector<FolderTrace>& folders);
std::vector<FolderTrace> folders_of(SQLite::Database& database, const std::string& receipt);

}  // namespace tavlo
