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
    std::vector<RememberedRow> rows;
    for (const auto& [pair, same] : found) rows.push_back({key_of(pair), packed(pair), same ? "1" : "0"});
    remember_rows(database_, "contents", rows, now_ns, most_remembered);
}

}  // namespace tavlo
