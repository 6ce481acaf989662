// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "keep/name_search.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <unistd.h>

#include <set>

#include "files/path.h"
#include "keep/sqlite_rows.h"

namespace tavlo {

namespace {

// a word's place in the index is its run's number and its item's number in one: 31 bits and 32
constexpr int item_bits = 32;
constexpr std::uint64_t most_items = std::uint64_t{1} << item_bits;

/// Every word quoted, so that none is taken for the language of FTS5 (https://www.sqlite.org/fts5.html,
/// section 3).
/// begun  the last word may be only begun: its ends are gathered from the whole index, which takes its time
///        where there are very many
std::string query_of(std::string_view words, bool begun) {
    std::string query;
    while (!words.empty()) {
        const auto end = words.find_first_of(" \t\n");
        std::string word(words.substr(0, end));
        words = end == std::string_view::npos ? std::string_view{} : words.substr(end + 1);
        std::erase(word, '"');
        const bool says_something = std::any_of(word.begin(), word.end(), [](char c) {
            return std::isalnum(static_cast<unsigned char>(c)) != 0 || static_cast<unsigned char>(c) >= 0x80;
        });
        if (says_something) query += (query.empty() ? "\"" : " AND \"") + word + (begun ? "\" *" : "\"");
    }
    return query;
}

class SqliteSearch final : public NameSearch {
public:
    explicit SqliteSearch(const std::string& path)
        : path_(path),
          database_(path, SQLite::OPEN_READWRITE | SQLite::OPEN_CREATE | SQLite::OPEN_NOMUTEX, 10'000) {
        database_.exec("pragma journal_mode = wal");
        database_.exec("pragma synchronous = off");  // it can be made again at any time
        database_.exec(
            "create table if not exists runs(number integer primary key, receipt text not null unique)");
        database_.exec(
            "create virtual table if not exists names using fts5(path, content='', detail='full', "
            "tokenize=\"unicode61 remove_diacritics 0\")");
    }

    Result<void> follow(Store& store, std::stop_token stop) override {
        auto heads = store.receipts();
        if (!heads) return failure(heads.error());
        return guarded([&]() -> Result<void> {
            std::set<std::string> known;
            SQLite::Statement runs(database_, "select receipt from runs");
            while (runs.executeStep()) known.insert(runs.getColumn(0).getString());
            for (auto head = heads->rbegin(); head != heads->rend();
                 ++head) {  // oldest first: numbers grow with time
                if (stop.stop_requested()) return failure(Fault::cancelled, "stopped", path_);
                if (head->state == RunState::interrupted || known.contains(head->id)) continue;
                if (auto taken = take_in(store, head->id); !taken) return taken;
            }
            return {};
        });
    }

    Result<std::vector<NameHit>> find(std::string_view words, std::size_t most) override {
        std::vector<NameHit> hits;
        auto read = guarded([&]() -> Result<void> {
            if (const auto whole = query_of(to_utf8(words), false); !whole.empty())
                hits = find_by(whole, most);
            if (const auto begun = query_of(to_utf8(words), true); !begun.empty() && hits.size() < most)
                hits = find_by(begun, most);
            return {};
        });
        if (!read) return failure(read.error());
        return hits;
    }

private:
    std::vector<NameHit> find_by(const std::string& query, std::size_t most) {
        std::vector<NameHit> hits;
        SQLite::Statement find(
            database_,
            "select names.rowid, receipt from names join runs on runs.number = names.rowid >> 32 "
            "where names match ? order by names.rowid desc limit ?");
        find.bind(1, query);
        find.bind(2, static_cast<std::int64_t>(most));
        while (find.executeStep())
            hits.push_back({find.getColumn(1).getString(),
                            static_cast<std::uint64_t>(find.getColumn(0).getInt64()) % most_items});
        return hits;
    }

    Result<void> take_in(Store& store, const std::string& receipt) {
        SQLite::Transaction transaction(database_, SQLite::TransactionBehavior::IMMEDIATE);
        SQLite::Statement run(database_, "insert into runs(receipt) values(?)");
        run.bind(1, receipt);
        run.exec();
        const auto first = database_.getLastInsertRowid() << item_bits;
        SQLite::Statement insert(database_, "insert into names(rowid, path) values(?,?)");
        std::int64_t number = 0;
        auto read = store.each_item(receipt, [&](ReceiptItem&& item) {
            insert.bind(1, first + number++);
            insert.bind(
                2, to_utf8(item.source == item.place() ? item.source : item.source + " " + item.place()));
            insert.exec();
            insert.reset();
        });
        if (!read) return read;
        transaction.commit();
        return {};
    }

    Result<void> guarded(const std::function<Result<void>()>& work) {
        try {
            return work();
        } catch (const SQLite::Exception& exception) {
            return failure(Fault::io, std::string("search the receipts: ") + exception.what(), path_);
        }
    }

    std::string path_;
    SQLite::Database database_;
};

}  // namespace

Result<std::unique_ptr<NameSearch>> NameSearch::open(const std::string& state_folder) {
    const std::string path = join(state_folder, "names.sqlite");
    for (const bool again : {false, true}) {
        try {
            return std::make_unique<SqliteSearch>(path);
        } catch (const SQLite::Exception& exception) {
            if (again)
                return failure(Fault::io, std::string("search the receipts: ") + exception.what(), path);
            for (const char* part : {"", "-wal", "-shm"})
                ::unlink((path + part).c_str());  // a help that cannot be read is made again
        }
    }
    return failure(Fault::io, "search the receipts", path);
}

}  // namespace tavlo
