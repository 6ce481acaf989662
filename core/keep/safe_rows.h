// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

// Inside keep/ only: this header shows SQLite, which no public one does. All may throw, as keep/sqlite_rows.h
// says.

#include <SQLiteCpp/SQLiteCpp.h>

#include <functional>
#include <memory>
#include <optional>
#include <string>
#include <vector>

#include "keep/clock.h"
#include "keep/receipt.h"

namespace tavlo {

/// The Safe's index. An undo may set a million versions aside, so what they share (folders, the run, the
/// boot) stands once, and what can be told from the rest is left out.
class SafeRows {
public:
    explicit SafeRows(SQLite::Database& database) : database_(database) {}

    /// now  when those were set aside that do not say it
    void put(const std::vector<SafeEntry>& entries, const Timekeeper::Reading& now);
    void drop(const std::vector<std::string>& ids);
    std::optional<SafeEntry> find(const std::string& id);
    /// Newest first.
    void each(const std::function<void(SafeEntry&&)>& take);
    void each_of(const std::string& receipt, const std::function<void(SafeEntry&&)>& take);
    /// So many after this one, in the order in which they are kept; "" for the first.
    std::vector<SafeEntry> some(const std::string& after, std::size_t count);
    std::uint64_t count();
    std::vector<std::string> shelves_of(const std::string& receipt);
    SafeAmount amount_of(const std::string& receipt);

private:
    void each_where(const std::string& clause, const std::function<void(SQLite::Statement&)>& bind,
                    const std::function<void(SafeEntry&&)>& take);

    SQLite::Database& database_;
    std::unique_ptr<SQLite::Statement> one_;  ///< find()'s
};

}  // namespace tavlo
