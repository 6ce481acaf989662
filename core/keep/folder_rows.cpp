// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "keep/folder_rows.h"

#include "keep/sqlite_rows.h"

namespace tavlo {

void write_folders(SQLite::Database& database, const std::string& receipt,
                   const std::vector<FolderTrace>& folders) {
    SQLite::Statement insert(database, "insert into folders values(?,?,?,?,?,?)");
    for (const FolderTrace& trace : folders) {
        insert.bind(1, receipt);
        insert.bind(2, trace.made ? 1 : 0);
        bind_bytes(insert, 3, trace.path);
        bind_bytes(insert, 4, pack_attributes(trace.attributes));
        insert.bind(5, as_signed(trace.id.device));
        insert.bind(6, as_signed(trace.id.inode));
        insert.exec();
        insert.reset();
    }
}

std::vector<FolderTrace> folders_of(SQLite::Database& database, const std::string& receipt) {
    std::vector<FolderTrace> traces;
    SQLite::Statement query(
        database, "select made, path, attributes, device, inode from folders where receipt=? order by rowid");
    query.bind(1, receipt);
    while (query.executeStep())
        traces.push_back({query.getColumn(0).getInt() != 0,
                          bytes_of(query.getColumn(1)),
                          unpack_attributes(bytes_of(query.getColumn(2))),
                          {as_unsigned(query.getColumn(3)), as_unsigned(query.getColumn(4)), 0, 0}});
    return traces;
}

}  // namespace tavlo
