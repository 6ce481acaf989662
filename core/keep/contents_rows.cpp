#include "keep/contents_rows.h"

#include "keep/sqlite_rows.h"

namespace tavlo {

namespace {

constexpr std::int64_t most_remembered = 2'000'000;

std::string packed(const Pair& pair) {
    std::string bytes;
    for (const Identity* id : {&pair.incoming, &pair.held})
        for (const std::uint64_t value : {id->device, id->inode, id->size_bytes, static_cast<std::uint64_t>(id->modified_ns)})
            put_number(bytes, value);
    for (const std::int64_t value : {pair.incoming_changed_ns, pair.held_changed_ns}) put_number(bytes, static_cast<std::uint64_t>(value));
    return bytes;
}

std::int64_t key_of(const Pair& pair) { return as_signed(PairHash{}(pair)); }

}  // namespace

void ContentsRows::recall(const std::vector<Pair>& pairs, KnownContents& known) {
    const SQLite::Transaction reading(database_);
    SQLite::Statement query(database_, "select pair, same from contents where key=?");
    for (const Pair& pair : pairs) {
        query.bind(1, key_of(pair));
        if (query.executeStep() && bytes_of(query.getColumn(0)) == packed(pair)) known.learn(pair, query.getColumn(1).getInt() != 0);
        query.reset();
    }
}

void ContentsRows::remember(const std::vector<std::pair<Pair, bool>>& found, std::int64_t now_ns) {
    SQLite::Transaction transaction(database_, SQLite::TransactionBehavior::IMMEDIATE);
    SQLite::Statement insert(database_, "insert or replace into contents values(?,?,?,?)");
    for (const auto& [pair, same] : found) {
        insert.bind(1, key_of(pair));
        bind_bytes(insert, 2, packed(pair));
        insert.bind(3, same ? 1 : 0);
        insert.bind(4, now_ns / 1'000'000'000);
        insert.exec();
        insert.reset();
    }
    keep_newest(database_, "contents", most_remembered);
    transaction.commit();
}

}  // namespace tavlo
