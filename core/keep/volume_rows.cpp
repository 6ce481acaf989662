// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "keep/volume_rows.h"

#include "keep/sqlite_rows.h"

namespace tavlo {

void write_volumes(SQLite::Database& database, const std::string& receipt,
                   const std::vector<VolumeRecord>& volumes) {
    SQLite::Statement insert(database, "insert or ignore into volumes values(?,?,?,?,?)");
    for (const VolumeRecord& volume : volumes) {
        insert.bind(1, receipt);
        insert.bind(2, as_signed(volume.device));
        insert.bind(3, volume.identity.text);
        insert.bind(4, volume.identity.is_sure ? 1 : 0);
        bind_bytes(insert, 5, volume.path);
        insert.exec();
        insert.reset();
    }
}

std::vector<VolumeRecord> volumes_of(SQLite::Database& database, const std::string& receipt) {
    std::vector<VolumeRecord> found;
    SQLite::Statement query(database, "select device, identity, sure, path from volumes where receipt=?");
    query.bind(1, receipt);
    while (query.executeStep())
        found.push_back({as_unsigned(query.getColumn(0)),
                         {query.getColumn(1).getString(), query.getColumn(2).getInt() != 0},
                         bytes_of(query.getColumn(3))});
    return found;
}

}  // namespace tavlo
