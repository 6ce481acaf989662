// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "keep/older_rows.h"

#include <set>

#include "keep/item_rows.h"
#include "keep/safe_rows.h"
#include "keep/sqlite_rows.h"

namespace tavlo {

namespace {

constexpr std::size_t at_a_time = 4096;

ReceiptItem item_from(SQLite::Statement& query) {
    int at = 1;  // receipt and number are known to whoever asks
    const auto next = [&] { return query.getColumn(++at); };
    ReceiptItem item;
    item.source = bytes_of(next());
    item.target = bytes_of(next());
    item.final_path = bytes_of(next());
    item.type = static_cast<FileType>(next().getInt());
    item.size_bytes = as_unsigned(next());
    item.modified_ns = next().getInt64();
    const auto finding = next();
    const auto held_size = next();
    const auto held_modified = next();
    const auto decision = next();
    if (!decision.isNull()) {
        item.collision = ReceiptCollision{std::nullopt, as_unsigned(held_size), held_modified.getInt64(),
                                          known(decision_from_text(decision.getString()))};
        if (!finding.isNull()) item.collision->finding = known(finding_from_text(finding.getString()));
    }
    item.result = known(outcome_from_text(next().getString()));
    item.set_aside = next().getString();
    item.brought_back = next().getString();
    item.hash = next().getString();
    item.error = bytes_of(next());
    item.action = static_cast<Action>(next().getInt());
    item.moved_whole = next().getInt() != 0;
    item.not_kept = next().getString();
    item.after.device = as_unsigned(next());
    item.after.inode = as_unsigned(next());
    item.after.size_bytes = as_unsigned(next());
    item.after.modified_ns = next().getInt64();
    item.after_status_changed_ns = next().getInt64();
    item.after_mode = static_cast<std::uint32_t>(next().getInt64());
    item.linked_source.device = as_unsigned(next());
    item.linked_source.inode = as_unsigned(next());
    if (const auto fault = next(); !fault.isNull()) item.fault = static_cast<Fault>(fault.getInt());
    item.role = role_before_roles(item);
    return item;
}

std::vector<std::string> receipts_in(SQLite::Database& database) {
    std::vector<std::string> receipts;
    SQLite::Statement query(database, "select id from receipts");
    while (query.executeStep()) receipts.push_back(query.getColumn(0).getString());
    return receipts;
}

}  // namespace

void take_over_items(SQLite::Database& database) {
    ItemRows rows(database);
    for (const auto& receipt : receipts_in(database)) {
        std::deque<NumberedItem> items;
        const auto put = [&] {
            rows.put(receipt, items);
            items.clear();
        };
        SQLite::Statement query(database, "select * from items where receipt=? order by number");
        query.bind(1, receipt);
        while (query.executeStep()) {
            items.emplace_back(as_unsigned(query.getColumn(1)), item_from(query));
            if (items.size() == at_a_time) put();
        }
        put();
        std::vector<std::uint64_t> taken_back;
        SQLite::Statement back(database, "select number from taken_back where receipt=?");
        back.bind(1, receipt);
        while (back.executeStep()) taken_back.push_back(as_unsigned(back.getColumn(0)));
        rows.mark_taken_back(receipt, taken_back);
    }
    database.exec("drop table items; drop table taken_back");
}

void take_over_safe(SQLite::Database& database) {
    SafeRows rows(database);
    std::vector<SafeEntry> entries;
    SQLite::Statement query(database,
                            "select id, original, stored, receipt, type, device, inode, size, modified, "
                            "set_aside, boot, since_boot from safe_before");
    while (query.executeStep()) {
        entries.push_back(
            {query.getColumn(0).getString(), bytes_of(query.getColumn(1)), bytes_of(query.getColumn(2)),
             query.getColumn(3).getString(), static_cast<FileType>(query.getColumn(4).getInt()),
             Identity{as_unsigned(query.getColumn(5)), as_unsigned(query.getColumn(6)),
                      as_unsigned(query.getColumn(7)), query.getColumn(8).getInt64()},
             query.getColumn(9).getInt64(), query.getColumn(10).getString(), query.getColumn(11).getInt64()});
        if (entries.size() < at_a_time) continue;
        rows.put(entries, {});
        entries.clear();
    }
    rows.put(entries, {});
    query.reset();
    database.exec("drop table safe_before");
}

}  // namespace tavlo
