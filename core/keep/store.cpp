#include "keep/store.h"

#include <fmt/format.h>
#include <sys/stat.h>
#include <unistd.h>

#include <algorithm>
#include <nlohmann/json.hpp>

#include "files/path.h"
#include "keep/packing.h"
#include "keep/sqlite_rows.h"

namespace tavlo {

namespace {

constexpr int schema_version = 2;

constexpr const char* schema = R"(
create table receipts(
  id text primary key, operation text not null, sentence text not null, destination blob not null,
  started integer not null, finished integer not null, state text not null, roots blob not null,
  undoes text not null, undone_by text not null default '', waits_for blob not null default '',
  items integer not null default 0, bytes integer not null default 0, counts text not null default '[]');
create table items(
  receipt text not null references receipts(id), number integer not null,
  source blob not null, target blob not null, final blob not null, type integer not null, size integer not null,
  modified integer not null, finding text, held_size integer, held_modified integer, decision text,
  result text not null, set_aside text not null, brought_back text not null, hash text not null, error blob not null,
  action integer not null, moved_whole integer not null, not_kept text not null,
  device integer not null, inode integer not null, after_size integer not null, after_modified integer not null,
  after_changed integer not null, after_mode integer not null, linked_device integer not null, linked_inode integer not null,
  primary key(receipt, number)) without rowid;
create table folders(
  receipt text not null references receipts(id), made integer not null, path blob not null, attributes blob not null,
  device integer not null, inode integer not null);
create index folders_of_receipt on folders(receipt);
create table safe(
  id text primary key, original blob not null, stored blob not null, receipt text not null, type integer not null,
  device integer not null, inode integer not null, size integer not null, modified integer not null,
  set_aside integer not null);
)";

// what a run is still to do: its items some to a row, whether they have been done since or not; and its group's intentions
constexpr const char* journal_schema = R"(
create table pending(
  receipt text not null references receipts(id), first integer not null, count integer not null, items blob not null,
  primary key(receipt, first)) without rowid;
create table intents(receipt text primary key references receipts(id), items blob not null);
)";

// what reading pairs has found out; the key is a hash of the pair, which is beside it in full
constexpr const char* contents_schema = R"(
create table if not exists contents(
  key integer primary key, pair blob not null, same integer not null, used integer not null);
)";

constexpr std::size_t pending_in_a_row = 256;
constexpr std::int64_t most_remembered = 2'000'000;  // pairs; the oldest go first

class SqliteStore final : public Store {
public:
    explicit SqliteStore(const std::string& path)
        : path_(path),
          database_(path, SQLite::OPEN_READWRITE | SQLite::OPEN_CREATE | SQLite::OPEN_NOMUTEX /* one thread at a time */,
                    10'000 /* ms to wait for another program */) {
        database_.exec("pragma journal_mode = wal");
        database_.exec("pragma synchronous = full");
        SQLite::Transaction transaction(database_, SQLite::TransactionBehavior::IMMEDIATE);
        const int version = database_.execAndGet("pragma user_version").getInt();
        if (version > schema_version) throw SQLite::Exception("was written by a newer version of Tavlo", SQLITE_MISMATCH);
        if (version == 0) database_.exec(schema);
        if (version == 1) leave_version_1();
        if (version < schema_version) {
            database_.exec(journal_schema);
            database_.exec(contents_schema);
            database_.exec(fmt::format("pragma user_version = {}", schema_version));
        }
        transaction.commit();
    }

    Result<void> begin(const ReceiptHead& head, const std::function<std::optional<PendingItem>()>& next) override {
        return guarded("note the run", [&] {
            SQLite::Transaction transaction(database_, SQLite::TransactionBehavior::IMMEDIATE);
            SQLite::Statement insert(database_,
                                     "insert into receipts(id, operation, sentence, destination, started, finished, state, roots, undoes) "
                                     "values(?,?,?,?,?,0,?,?,?)");
            insert.bind(1, head.id);
            insert.bind(2, std::string(to_text(head.operation)));
            insert.bind(3, head.sentence);
            bind_bytes(insert, 4, head.destination);
            insert.bind(5, head.started_ns);
            insert.bind(6, std::string(to_text(RunState::interrupted)));
            bind_bytes(insert, 7, pack_roots(head.roots));
            insert.bind(8, head.undoes);
            insert.exec();
            if (!head.undoes.empty()) {
                drop_journal(head.undoes);
            }
            write_pending(head.id, next);
            transaction.commit();
        });
    }

    Result<void> reopen(const std::string& receipt, const std::vector<PendingItem>& items) override {
        return guarded("note what is settled", [&] {
            SQLite::Transaction transaction(database_, SQLite::TransactionBehavior::IMMEDIATE);
            drop_journal(receipt);
            SQLite::Statement forget(database_, "delete from items where receipt=? and number=?");
            for (const PendingItem& item : items) {
                forget.bind(1, receipt);
                forget.bind(2, as_signed(item.number));
                forget.exec();
                forget.reset();
            }
            auto at = items.begin();
            write_pending(receipt, [&]() { return at == items.end() ? std::nullopt : std::optional(*at++); });
            SQLite::Statement update(database_, "update receipts set state=?, finished=0 where id=?");
            update.bind(1, std::string(to_text(RunState::interrupted)));
            update.bind(2, receipt);
            update.exec();
            transaction.commit();
        });
    }

    Result<void> extend(const std::string& receipt, const std::vector<PendingItem>& items,
                        const std::optional<PendingItem>& rest) override {
        return guarded("note more of the run", [&] {
            SQLite::Transaction transaction(database_, SQLite::TransactionBehavior::IMMEDIATE);
            SQLite::Statement forget(database_, "delete from pending where receipt=? and first>=?");
            forget.bind(1, receipt);
            forget.bind(2, as_signed(rest_number));
            forget.exec();
            auto at = items.begin();
            write_pending(receipt, [&]() { return at == items.end() ? std::nullopt : std::optional(*at++); });
            bool noted = !rest;
            write_pending(receipt, [&]() { return std::exchange(noted, true) ? std::nullopt : rest; });
            transaction.commit();
        });
    }

    Result<void> intend(const std::string& receipt, const Intent& intent) override {
        return guarded("write the journal", [&] {
            auto intents = intents_of(receipt);
            intents.push_back(intent);
            write_intents(receipt, intents);
        });
    }

    Result<std::vector<Intent>> intents(const std::string& receipt) override {
        std::vector<Intent> found;
        auto read = guarded("read the journal", [&] { found = intents_of(receipt); });
        if (!read) return failure(read.error());
        return found;
    }

    Result<std::vector<PendingItem>> pending(const std::string& receipt) override {
        std::vector<PendingItem> found;
        auto read = guarded("read the journal", [&] {
            SQLite::Statement settled(database_, "select number from items where receipt=? order by number");
            settled.bind(1, receipt);
            bool has_settled = settled.executeStep();
            PendingRows rows(database_, receipt);
            while (auto item = rows.next()) {
                while (has_settled && as_unsigned(settled.getColumn(0)) < item->number) has_settled = settled.executeStep();
                if (!has_settled || as_unsigned(settled.getColumn(0)) != item->number) found.push_back(std::move(*item));
            }
        });
        if (!read) return failure(read.error());
        return found;
    }

    Result<std::vector<ReceiptHead>> unfinished() override {
        std::vector<ReceiptHead> heads;
        auto read = guarded("read the journal", [&] {
            SQLite::Statement query(database_, std::string(head_query) + " where state <> 'done' and undone_by = '' order by started, id");
            while (query.executeStep()) heads.push_back(head_from(query));
        });
        if (!read) return failure(read.error());
        return heads;
    }

    std::string folder() const override { return std::string(parent_of(path_)); }

    Result<RunLock> lock(const std::string& receipt) override { return RunLock::take(folder(), receipt); }

    Result<void> record(const std::string& receipt, const RunRecords& records, const std::vector<Intent>& next) override {
        return guarded("write the receipt", [&] {
            SQLite::Transaction transaction(database_, SQLite::TransactionBehavior::IMMEDIATE);
            SQLite::Statement insert(database_,
                                     "insert or replace into items values(?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?)");
            for (const auto& [number, item] : records.items) {
                bind_item(insert, receipt, number, item);
                insert.exec();
                insert.reset();
            }
            SQLite::Statement folder(database_, "insert into folders values(?,?,?,?,?,?)");
            for (const FolderTrace& trace : records.folders) {
                folder.bind(1, receipt);
                folder.bind(2, trace.made ? 1 : 0);
                bind_bytes(folder, 3, trace.path);
                bind_bytes(folder, 4, pack_attributes(trace.attributes));
                folder.bind(5, as_signed(trace.id.device));
                folder.bind(6, as_signed(trace.id.inode));
                folder.exec();
                folder.reset();
            }
            SQLite::Statement lost(database_, "update items set not_kept=? where receipt=? and number=?");
            for (const auto& [number, names] : records.not_kept) {
                lost.bind(1, names);
                lost.bind(2, receipt);
                lost.bind(3, as_signed(number));
                lost.exec();
                lost.reset();
            }
            SQLite::Statement safe(database_, "insert into safe values(?,?,?,?,?,?,?,?,?,?)");
            for (const SafeEntry& entry : records.set_aside) {
                safe.bind(1, entry.id);
                bind_bytes(safe, 2, entry.original);
                bind_bytes(safe, 3, entry.stored);
                safe.bind(4, entry.receipt);
                safe.bind(5, static_cast<int>(entry.type));
                safe.bind(6, as_signed(entry.identity.device));
                safe.bind(7, as_signed(entry.identity.inode));
                safe.bind(8, as_signed(entry.identity.size_bytes));
                safe.bind(9, entry.identity.modified_ns);
                safe.bind(10, entry.set_aside_ns);
                safe.exec();
                safe.reset();
            }
            for (const auto& id : records.used_up) drop_entry(id);
            write_intents(receipt, next);  // they are a group's: what it has not done by now it has not done
            transaction.commit();
        });
    }

    Result<ReceiptHead> finish(const ReceiptHead& given) override {
        ReceiptHead head = given;
        auto finished = guarded("finish the receipt", [&] {
            SQLite::Transaction transaction(database_, SQLite::TransactionBehavior::IMMEDIATE);
            head.totals = totals_of(head.id);
            SQLite::Statement update(database_,
                                     "update receipts set finished=?, state=?, items=?, bytes=?, counts=?, waits_for=? where id=?");
            update.bind(1, head.finished_ns);
            update.bind(2, std::string(to_text(head.state)));
            update.bind(3, as_signed(head.totals.items));
            update.bind(4, as_signed(head.totals.bytes));
            update.bind(5, nlohmann::json(head.totals.by_outcome).dump());
            bind_bytes(update, 6, head.waits_for);
            update.bind(7, head.id);
            update.exec();
            if (head.state == RunState::done) drop_journal(head.id);
            const bool took_back = head.totals.of(Outcome::removed) + head.totals.of(Outcome::restored) > 0;
            if (!head.undoes.empty() && took_back) {
                SQLite::Statement undone(database_, "update receipts set undone_by=? where id=?");
                undone.bind(1, head.id);
                undone.bind(2, head.undoes);
                undone.exec();
            }
            transaction.commit();
        });
        if (!finished) return failure(finished.error());
        return head;
    }

    Result<std::vector<ReceiptHead>> receipts() override {
        std::vector<ReceiptHead> heads;
        auto read = guarded("read the receipts", [&] {
            SQLite::Statement query(database_, std::string(head_query) + " order by started desc, id desc");
            while (query.executeStep()) heads.push_back(head_from(query));
        });
        if (!read) return failure(read.error());
        return heads;
    }

    Result<ReceiptHead> receipt(const std::string& id) override {
        std::optional<ReceiptHead> head;
        auto read = guarded("read the receipt", [&] {
            SQLite::Statement query(database_, std::string(head_query) + " where id=?");
            query.bind(1, id);
            if (query.executeStep()) head = head_from(query);
        });
        if (!read) return failure(read.error());
        if (!head) return failure(Fault::not_found, "there is no such receipt", id);
        return *head;
    }

    Result<void> each_item(const std::string& id, const std::function<void(ReceiptItem&&)>& take) override {
        return guarded("read the receipt", [&] {
            SQLite::Statement query(database_, "select * from items where receipt=? order by number");
            query.bind(1, id);
            PendingRows rows(database_, id);
            auto rest = rows.next();
            while (query.executeStep()) {
                const auto number = as_unsigned(query.getColumn(1));
                for (; rest && rest->number < number; rest = rows.next()) take(planned(*rest));
                if (rest && rest->number == number) rest = rows.next();
                take(item_from(query));
            }
            for (; rest; rest = rows.next()) take(planned(*rest));
        });
    }

    Result<std::vector<std::pair<std::string, std::uint64_t>>> not_kept(const std::string& id) override {
        std::vector<std::pair<std::string, std::uint64_t>> lost;
        auto read = guarded("read the receipt", [&] {
            SQLite::Statement query(database_,
                                    "select not_kept, count(*) from items where receipt=? and not_kept <> '' group by not_kept order by 1");
            query.bind(1, id);
            while (query.executeStep()) lost.emplace_back(query.getColumn(0).getString(), as_unsigned(query.getColumn(1)));
        });
        if (!read) return failure(read.error());
        return lost;
    }

    Result<std::vector<FolderTrace>> folders(const std::string& id) override {
        std::vector<FolderTrace> traces;
        auto read = guarded("read the receipt", [&] {
            SQLite::Statement query(database_, "select made, path, attributes, device, inode from folders where receipt=? order by rowid");
            query.bind(1, id);
            while (query.executeStep())
                traces.push_back({query.getColumn(0).getInt() != 0,
                                  bytes_of(query.getColumn(1)),
                                  unpack_attributes(bytes_of(query.getColumn(2))),
                                  {as_unsigned(query.getColumn(3)), as_unsigned(query.getColumn(4)), 0, 0}});
        });
        if (!read) return failure(read.error());
        return traces;
    }

    Result<void> recall(const std::vector<Pair>& pairs, KnownContents& known) override {
        return guarded("read what was compared", [&] {
            SQLite::Transaction reading(database_);
            SQLite::Statement query(database_, "select pair, same from contents where key=?");
            for (const Pair& pair : pairs) {
                query.bind(1, key_of(pair));
                if (query.executeStep() && bytes_of(query.getColumn(0)) == packed(pair))
                    known.learn(pair, query.getColumn(1).getInt() != 0);
                query.reset();
            }
        });
    }

    Result<void> remember(const std::vector<std::pair<Pair, bool>>& found) override {
        return guarded("note what was compared", [&] {
            SQLite::Transaction transaction(database_, SQLite::TransactionBehavior::IMMEDIATE);
            SQLite::Statement insert(database_, "insert or replace into contents values(?,?,?,?)");
            for (const auto& [pair, same] : found) {
                insert.bind(1, key_of(pair));
                bind_bytes(insert, 2, packed(pair));
                insert.bind(3, same ? 1 : 0);
                insert.bind(4, now_ns());
                insert.exec();
                insert.reset();
            }
            const auto count = database_.execAndGet("select count(*) from contents").getInt64();
            if (count > most_remembered)
                database_.exec(fmt::format("delete from contents where key in (select key from contents order by used limit {})",
                                           count - most_remembered));
            transaction.commit();
        });
    }

    Result<std::vector<SafeEntry>> safe_entries() override { return entries_where("order by set_aside desc, id desc", nullptr); }

    Result<SafeEntry> safe_entry(const std::string& id) override {
        auto found = entries_where("where id=?", &id);
        if (!found) return failure(found.error());
        if (found->empty()) return failure(Fault::not_found, "there is no such version in the Safe", id);
        return found->front();
    }

    Result<void> forget_safe_entry(const std::string& id) override {
        return guarded("write the Safe's index", [&] { drop_entry(id); });
    }

private:
    static constexpr const char* head_query =
        "select id, operation, sentence, destination, started, finished, state, roots, undoes, undone_by, items, bytes, counts, waits_for "
        "from "
        "receipts";

    /// The library's exceptions end here (SQLiteCpp throws on every failure; CBOR, JSON and the journal's blobs on damaged bytes).
    template <class Work>
    Result<void> guarded(std::string_view step, Work work) {
        try {
            work();
            return {};
        } catch (const SQLite::Exception& exception) {
            return failure(translate(exception, step));
        } catch (const std::exception&) {
            return failure(Fault::corrupt, std::string(step) + ": the database is damaged", path_);
        }
    }

    Error translate(const SQLite::Exception& exception, std::string_view step) const { return translated(exception, step, path_); }

public:
    static Error translated(const SQLite::Exception& exception, std::string_view step, const std::string& path) {
        Fault fault = Fault::io;
        switch (exception.getErrorCode()) {
            case SQLITE_FULL: fault = Fault::no_space; break;
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

private:
    /// Receipts and the Safe's index stay as they are; what an interrupted run has left can only be read by what wrote it.
    void leave_version_1() {
        if (database_.execAndGet("select count(*) from pending").getInt64() != 0)
            throw SQLite::Exception("holds an interrupted run of an older version of Tavlo, which must recover it first", SQLITE_MISMATCH);
        database_.exec("drop table pending; drop table intents; alter table receipts add column waits_for blob not null default ''");
    }

    /// What a run was to do, item by item, whether it has been done since or not.
    class PendingRows {
    public:
        PendingRows(SQLite::Database& database, const std::string& receipt)
            : query_(database, "select items from pending where receipt=? order by first") {
            query_.bind(1, receipt);
        }
        std::optional<PendingItem> next() {
            if (at_ == row_.size()) {
                if (!query_.executeStep()) return std::nullopt;
                row_ = unpack_pending(bytes_of(query_.getColumn(0)));
                at_ = 0;
            }
            if (row_.empty()) return std::nullopt;
            return std::move(row_[at_++]);
        }

    private:
        SQLite::Statement query_;
        std::vector<PendingItem> row_;
        std::size_t at_ = 0;
    };

    static std::string packed(const Pair& pair) {
        std::string bytes;
        for (const Identity* id : {&pair.incoming, &pair.held})
            fmt::format_to(std::back_inserter(bytes), "{:x} {:x} {:x} {:x} ", id->device, id->inode, id->size_bytes, id->modified_ns);
        fmt::format_to(std::back_inserter(bytes), "{:x} {:x}", pair.incoming_changed_ns, pair.held_changed_ns);
        return bytes;
    }
    static std::int64_t key_of(const Pair& pair) { return as_signed(PairHash{}(pair)); }

    std::vector<Intent> intents_of(const std::string& receipt) {
        SQLite::Statement query(database_, "select items from intents where receipt=?");
        query.bind(1, receipt);
        return query.executeStep() ? unpack_intents(bytes_of(query.getColumn(0))) : std::vector<Intent>{};
    }

    void write_intents(const std::string& receipt, const std::vector<Intent>& intents) {
        SQLite::Statement insert(database_, "insert or replace into intents values(?,?)");
        insert.bind(1, receipt);
        bind_bytes(insert, 2, pack(intents));
        insert.exec();
    }

    void write_pending(const std::string& receipt, const std::function<std::optional<PendingItem>()>& next) {
        SQLite::Statement pending(database_, "insert into pending values(?,?,?,?)");
        std::vector<PendingItem> row;
        for (bool more = true; more;) {
            auto item = next();
            more = item.has_value();
            if (more) row.push_back(std::move(*item));
            if (row.empty() || (more && row.size() < pending_in_a_row)) continue;
            pending.bind(1, receipt);
            pending.bind(2, as_signed(row.front().number));
            pending.bind(3, as_signed(row.size()));
            bind_bytes(pending, 4, pack(row));
            pending.exec();
            pending.reset();
            row.clear();
        }
    }

    void drop_journal(const std::string& receipt) {
        for (const char* statement : {"delete from pending where receipt=?", "delete from intents where receipt=?"}) {
            SQLite::Statement drop(database_, statement);
            drop.bind(1, receipt);
            drop.exec();
        }
    }

    void drop_entry(const std::string& id) {
        SQLite::Statement drop(database_, "delete from safe where id=?");
        drop.bind(1, id);
        drop.exec();
    }

    Totals totals_of(const std::string& receipt) {
        Totals totals;
        SQLite::Statement query(database_, "select result, type, count(*), sum(size) from items where receipt=? group by result, type");
        query.bind(1, receipt);
        while (query.executeStep()) {
            const Outcome outcome = known(outcome_from_text(query.getColumn(0).getString()));
            const auto count = as_unsigned(query.getColumn(2));
            totals.items += count;
            totals.by_outcome[static_cast<std::size_t>(outcome)] += count;
            const bool is_file = static_cast<FileType>(query.getColumn(1).getInt()) == FileType::file;
            if (is_file && arrives(outcome)) totals.bytes += as_unsigned(query.getColumn(3));
        }
        SQLite::Statement all(database_, "select coalesce(sum(count), 0) from pending where receipt=?");
        all.bind(1, receipt);
        all.executeStep();
        const auto planned = as_unsigned(all.getColumn(0));
        const auto left = planned - std::min(planned, totals.items);
        totals.items += left;
        totals.by_outcome[static_cast<std::size_t>(Outcome::planned)] += left;
        return totals;
    }

    Result<std::vector<SafeEntry>> entries_where(const std::string& clause, const std::string* id) {
        std::vector<SafeEntry> entries;
        auto read = guarded("read the Safe's index", [&] {
            SQLite::Statement query(
                database_, "select id, original, stored, receipt, type, device, inode, size, modified, set_aside from safe " + clause);
            if (id != nullptr) query.bind(1, *id);
            while (query.executeStep())
                entries.push_back({query.getColumn(0).getString(), bytes_of(query.getColumn(1)), bytes_of(query.getColumn(2)),
                                   query.getColumn(3).getString(), static_cast<FileType>(query.getColumn(4).getInt()),
                                   Identity{as_unsigned(query.getColumn(5)), as_unsigned(query.getColumn(6)),
                                            as_unsigned(query.getColumn(7)), query.getColumn(8).getInt64()},
                                   query.getColumn(9).getInt64()});
        });
        if (!read) return failure(read.error());
        return entries;
    }

    std::string path_;
    SQLite::Database database_;
};

/// The state folder is private: receipts name every file that somebody moved.
Result<void> make_state_folder(const std::string& path) {
    if (::mkdir(path.c_str(), 0700) == 0 || errno == EEXIST) return {};
    if (errno == ENOENT && path != "/") {
        if (auto above = make_state_folder(std::string(parent_of(path))); !above) return above;
        if (::mkdir(path.c_str(), 0700) == 0 || errno == EEXIST) return {};
    }
    return failure(system_error(errno, "make the state folder", path));
}

}  // namespace

Result<std::unique_ptr<Store>> Store::open(const std::string& state_folder) {
    if (auto made = make_state_folder(state_folder); !made) return failure(made.error());
    if (::access(state_folder.c_str(), W_OK | X_OK) != 0) return failure(system_error(errno, "write the state folder", state_folder));
    const std::string path = join(state_folder, "tavlo.sqlite");
    try {
        return std::make_unique<SqliteStore>(path);
    } catch (const SQLite::Exception& exception) {
        return failure(SqliteStore::translated(exception, "open the state", path));
    }
}

}  // namespace tavlo
