// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "keep/time_rows.h"

namespace tavlo {

namespace {
constexpr std::int64_t minute_ns = 60'000'000'000;
constexpr std::int64_t seldom_ns = 360 * minute_ns;
}  // namespace

void note_reading(SQLite::Database& database, const Timekeeper::Reading& now) {
    SQLite::Statement last(database, "select boot, wall, since_boot from clock order by rowid desc limit 1");
    if (last.executeStep() && last.getColumn(0).getString() == now.boot) {
        const std::int64_t passed = now.since_boot_ns - last.getColumn(2).getInt64();
        const std::int64_t drift = now.wall_ns - last.getColumn(1).getInt64() - passed;
        if (passed < seldom_ns && drift < minute_ns && drift > -minute_ns) return;
    }
    SQLite::Statement insert(database, "insert into clock values(?,?,?)");
    insert.bind(1, now.boot);
    insert.bind(2, now.wall_ns);
    insert.bind(3, now.since_boot_ns);
    insert.exec();
}

std::vector<Timekeeper::Reading> readings(SQLite::Database& database) {
    std::vector<Timekeeper::Reading> seen;
    SQLite::Statement query(database, "select wall, since_boot, boot from clock order by rowid");
    while (query.executeStep())
        seen.push_back(
            {query.getColumn(0).getInt64(), query.getColumn(1).getInt64(), query.getColumn(2).getString()});
    return seen;
}

}  // namespace tavlo
