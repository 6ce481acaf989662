// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

// Inside keep/ only: this header shows SQLite, which no public one does. All may throw, as keep/sqlite_rows.h
// says.

#include <SQLiteCpp/SQLiteCpp.h>

#include <functional>
#include <string>
#include <utility>
#include <vector>

#include "files/types.h"

namespace tavlo {

/// What has been found out by reading files: texts, each tied to a file as it was then.
class ToldRows {
public:
    enum class Of : std::uint8_t { facts, bytes };

    explicit ToldRows(SQLite::Database& database) : database_(database) {}
    /// take  (place in `things`, text)
    void recall(Of what, const std::vector<Status>& things,
                const std::function<void(std::size_t, std::string&&)>& take);
    /// The oldest go where there are too many.
    void remember(Of what, const std::vector<std::pair<Status, std::string>>& told, std::int64_t now_ns);

private:
    SQLite::Database& database_;
};

}  // namespace tavlo
