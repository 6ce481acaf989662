// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

// Inside keep/ only: this header shows SQLite, which no public one does. All may throw, as keep/sqlite_rows.h
// says.

#include <SQLiteCpp/SQLiteCpp.h>

#include <utility>
#include <vector>

#include "survey/contents.h"

namespace tavlo {

/// What reading pairs has found out. A row's key is a hash of the pair, which stands beside it in full.
class ContentsRows {
public:
    explicit ContentsRows(SQLite::Database& database) : database_(database) {}
    /// returns  whether that takes less time than asking for so many pairs; else nothing is learnt
    bool recall_all(KnownContents& known, std::size_t pairs);
    void recall(const std::vector<Pair>& pairs, KnownContents& known);
    /// The oldest go where there are too many.
    void remember(const std::vector<std::pair<Pair, bool>>& found, std::int64_t now_ns);

private:
    SQLite::Database& database_;
};

}  // namespace tavlo
