// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "keep/remembering_store.h"

#include <sqlite3.h>

#include "keep/contents_rows.h"
#include "keep/told_rows.h"

namespace tavlo {

RememberingStore::RememberingStore(const std::string& path, int busy_ms)
    : path_(path),
      database_(
          path,
          SQLite::OPEN_READWRITE | SQLite::OPEN_CREATE | SQLite::OPEN_NOMUTEX /* one thread at a time */,
          busy_ms) {}

Error RememberingStore::translated(const SQLite::Exception& exception, std::string_view step,
                                   const std::string& path) {
    Fault fault = Fault::io;
    switch (exception.getErrorCode()) {
        case SQLITE_FULL: fault = Fault::no_space; break;
        case SQLITE_BUSY: fault = Fault::locked; break;
        case SQLITE_READONLY:
        case SQLITE_PERM:
        case SQLITE_CANTOPEN: fault = Fault::no_permission; break;
        case SQLITE_CORRUPT:
        case SQLITE_NOTADB:
        case SQLITE_MISMATCH: fault = Fault::corrupt; break;
        default: break;
    }
    return {fault, 0, std::string(step) + ": " + exception.what(), path};
}

Result<bool> RememberingStore::recall_all(KnownContents& known, std::size_t pairs) {
    bool recalled = false;
    if (auto read = guarded("read what was compared",
                            [&] { recalled = ContentsRows(database_).recall_all(known, pairs); });
        !read)
        return failure(read.error());
    return recalled;
}

Result<void> RememberingStore::recall(const std::vector<Pair>& pairs, KnownContents& known) {
    return guarded("read what was compared", [&] { ContentsRows(database_).recall(pairs, known); });
}

Result<void> RememberingStore::remember(const std::vector<std::pair<Pair, bool>>& found) {
    return guarded("note what was compared", [&] { ContentsRows(database_).remember(found, now_ns()); });
}

Result<void> RememberingStore::recall_facts(const std::vector<Status>& of, KnownFileFacts& known) {
    return guarded("read what files told", [&] {
        ToldRows(database_).recall(ToldRows::Of::facts, of, [&](std::size_t at, std::string&& text) {
            if (auto facts = facts_from_json(text))
                known.learn(of[at], std::make_shared<const FileFacts>(std::move(*facts)));
        });
    });
}

Result<void> RememberingStore::remember_facts(const std::vector<Told>& told) {
    std::vector<std::pair<Status, std::string>> texts;
    for (const auto& [status, facts] : told) texts.emplace_back(status, to_json(*facts));
    return guarded("note what files told",
                   [&] { ToldRows(database_).remember(ToldRows::Of::facts, texts, now_ns()); });
}

Result<void> RememberingStore::recall_hashes(const std::vector<Status>& of,
                                             const std::function<void(std::size_t, std::string&&)>& take) {
    return guarded("read what was hashed",
                   [&] { ToldRows(database_).recall(ToldRows::Of::bytes, of, take); });
}

Result<void> RememberingStore::remember_hashes(const std::vector<std::pair<Status, std::string>>& hashes) {
    return guarded("note what was hashed",
                   [&] { ToldRows(database_).remember(ToldRows::Of::bytes, hashes, now_ns()); });
}

}  // namespace tavlo
