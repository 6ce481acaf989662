#include "keep/store.h"

#include <fmt/format.h>
#include <sys/stat.h>
#include <unistd.h>

#include <algorithm>
#include <nlohmann/json.hpp>

#include "files/path.h"
#include "keep/journal_rows.h"
#include "keep/packing.h"
#include "keep/schema.h"
#include "keep/sqlite_rows.h"

namespace tavlo {

namespace {

constexpr std::int64_t most_remembered = 2'000'000;  // pairs; the oldest go first

class SqliteStore final : public Store {
public:
    SqliteStore(const std::string& path, const Timekeeper& clock, int busy_ms)
        : path_(path),
          clock_(clock),
          busy_ms_(busy_ms),
          database_(path, SQLite::OPEN_READWRITE | SQLite::OPEN_CREATE | SQLite::OPEN_NOMUTEX /* one thread at a time */, busy_ms) {
        database_.exec("pragma journal_mode = wal");
        database_.exec("pragma synchronous = full");
        bring_up_to_date(database_);
        note_time();
    }

    Result<void> begin(const ReceiptHead& head, const std::function<std::optional<PendingItem>()>& next) override {
        return guarded("note the run", [&] {
            SQLite::Transaction transaction(database_, SQLite::TransactionBehavior::IMMEDIATE);
            SQLite::Statement insert(database_,
                                     "insert into receipts(id, operation, sentence, destination, started, finished, state, roots, undoes, "
                                     "undoes_some, may_lose, verify) values(?,?,?,?,?,0,?,?,?,?,?,?)");
            insert.bind(1, head.id);
            insert.bind(2, std::string(to_text(head.operation)));
            insert.bind(3, head.sentence);
            bind_bytes(insert, 4, head.destination);
            insert.bind(5, head.started_ns);
            insert.bind(6, std::string(to_text(RunState::interrupted)));
            bind_bytes(insert, 7, pack_roots(head.roots));
            insert.bind(8, head.undoes);
            insert.bind(9, head.undoes_some ? 1 : 0);
            insert.bind(10, head.may_lose ? 1 : 0);
            insert.bind(11, static_cast<int>(head.verify));
            insert.exec();
            if (!head.undoes.empty()) drop_journal(database_, head.undoes);
            write_pending(database_, head.id, next);
            transaction.commit();
        });
    }

    Result<void> reopen(const std::string& receipt, const std::vector<PendingItem>& items) override {
        return guarded("note what is settled", [&] {
            SQLite::Transaction transaction(database_, SQLite::TransactionBehavior::IMMEDIATE);
            drop_journal(database_, receipt);
            SQLite::Statement forget(database_, "delete from items where receipt=? and number=?");
            for (const PendingItem& item : items) {
                forget.bind(1, receipt);
                forget.bind(2, as_signed(item.number));
                forget.exec();
                forget.reset();
            }
            auto at = items.begin();
            write_pending(database_, receipt, [&]() { return at == items.end() ? std::nullopt : std::optional(*at++); });
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
            write_pending(database_, receipt, [&]() { return at == items.end() ? std::nullopt : std::optional(*at++); });
            bool noted = !rest;
            write_pending(database_, receipt, [&]() { return std::exchange(noted, true) ? std::nullopt : rest; });
            transaction.commit();
        });
    }

    Result<void> intend(const std::string& receipt, const Intent& intent) override {
        return guarded("write the journal", [&] {
            auto intents = intents_of(database_, receipt);
            intents.push_back(intent);
            write_intents(database_, receipt, intents);
        });
    }

    Result<std::vector<Intent>> intents(const std::string& receipt) override {
        std::vector<Intent> found;
        auto read = guarded("read the journal", [&] { found = intents_of(database_, receipt); });
        if (!read) return failure(read.error());
        return found;
    }

    Result<std::vector<PendingItem>> pending(const std::string& receipt) override {
        std::vector<PendingItem> found;
        auto read = guarded("read the journal", [&] {
            SQLite::Statement settled(database_, "select number from items where receipt=? order by number");
            settled.bind(1, receipt);
            bool has_settled = settled.executeStep();
            JournalRows rows(database_, receipt);
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

    bool is_alive(const std::string& receipt) override { return RunLock::is_held(folder(), receipt); }

    Result<void> record(const std::string& receipt, const RunRecords& records, const std::vector<Intent>& next) override {
        return guarded("write the receipt", [&] {
            SQLite::Transaction transaction(database_, SQLite::TransactionBehavior::IMMEDIATE);
            SQLite::Statement insert(database_,
                                     "insert or replace into items values(?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?)");
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
            SQLite::Statement safe(database_, "insert or replace into safe values(?,?,?,?,?,?,?,?,?,?,?,?)");
            const Timekeeper::Reading now = clock_.read();
            if (!records.set_aside.empty()) note_time_now(now);
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
                safe.bind(10, entry.set_aside_ns != 0 ? entry.set_aside_ns : now.wall_ns);
                safe.bind(11, entry.boot.empty() ? now.boot : entry.boot);
                safe.bind(12, entry.boot.empty() ? now.since_boot_ns : entry.since_boot_ns);
                safe.exec();
                safe.reset();
            }
            for (const auto& id : records.used_up) drop_entry(id);
            SQLite::Statement back(database_, "insert or ignore into taken_back select undoes, ? from receipts where id=?");
            for (const auto number : records.taken_back) {
                back.bind(1, as_signed(number));
                back.bind(2, receipt);
                back.exec();
                back.reset();
            }
            SQLite::Statement volume(database_, "insert or ignore into volumes values(?,?,?,?,?)");
            for (const VolumeRecord& one : records.volumes) {
                volume.bind(1, receipt);
                volume.bind(2, as_signed(one.device));
                volume.bind(3, one.identity.text);
                volume.bind(4, one.identity.is_sure ? 1 : 0);
                bind_bytes(volume, 5, one.path);
                volume.exec();
                volume.reset();
            }
            write_intents(database_, receipt, next);  // they are a group's: what it has not done by now it has not done
            transaction.commit();
        });
    }

    Result<ReceiptHead> finish(const ReceiptHead& given) override {
        ReceiptHead head = given;
        auto finished = guarded("finish the receipt", [&] {
            SQLite::Transaction transaction(database_, SQLite::TransactionBehavior::IMMEDIATE);
            head.totals = totals_of(head.id);
            SQLite::Statement update(
                database_,
                "update receipts set finished=?, state=?, items=?, bytes=?, counts=?, waits_for=?, problem=?, paused=0 where id=?");
            update.bind(1, head.finished_ns);
            update.bind(2, std::string(to_text(head.state)));
            update.bind(3, as_signed(head.totals.items));
            update.bind(4, as_signed(head.totals.bytes));
            update.bind(5, nlohmann::json(head.totals.by_outcome).dump());
            bind_bytes(update, 6, head.waits_for);
            bind_bytes(update, 7, head.problem);
            update.bind(8, head.id);
            update.exec();
            if (head.state == RunState::done) drop_journal(database_, head.id);
            const bool took_back = head.totals.of(Outcome::removed) + head.totals.of(Outcome::restored) > 0;
            // one that could not do all of it leaves the rest to another; what was changed since is nobody's to take back
            const bool complete = head.totals.of(Outcome::failed) + head.totals.of(Outcome::planned) == 0;
            const bool settled = (complete && !head.undoes_some) || !has_more_to_take_back(head.undoes);
            if (!head.undoes.empty() && took_back && settled) {
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
            JournalRows rows(database_, id);
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

    Result<std::map<std::uint64_t, ReceiptItem>> some_items(const std::string& id, std::uint64_t first, std::uint64_t count) override {
        std::map<std::uint64_t, ReceiptItem> found;
        auto read = guarded("read the receipt", [&] {
            SQLite::Statement query(database_, "select * from items where receipt=? and number>=? and number<?");
            query.bind(1, id);
            query.bind(2, as_signed(first));
            query.bind(3, as_signed(first + count));
            while (query.executeStep()) found.emplace(as_unsigned(query.getColumn(1)), item_from(query));
            SQLite::Statement rest(database_, "select items from pending where receipt=? and first<? and first+count>?");
            rest.bind(1, id);
            rest.bind(2, as_signed(first + count));
            rest.bind(3, as_signed(first));
            while (rest.executeStep())
                for (const PendingItem& item : unpack_pending(bytes_of(rest.getColumn(0))))
                    if (item.number >= first && item.number < first + count) found.try_emplace(item.number, planned(item));
        });
        if (!read) return failure(read.error());
        return found;
    }

    Result<std::vector<std::uint64_t>> numbers_with(const std::string& id, Outcome result) override {
        std::vector<std::uint64_t> numbers;
        if (result == Outcome::planned) {  // what is in the journal alone
            const auto left = pending(id);
            if (!left) return failure(left.error());
            for (const PendingItem& item : *left) numbers.push_back(item.number);
            return numbers;
        }
        auto read = guarded("read the receipt", [&] {
            SQLite::Statement query(database_, "select number from items where receipt=? and result=? order by number");
            query.bind(1, id);
            query.bind(2, std::string(to_text(result)));
            while (query.executeStep()) numbers.push_back(as_unsigned(query.getColumn(0)));
        });
        if (!read) return failure(read.error());
        return numbers;
    }

    Result<std::pair<std::uint64_t, std::uint64_t>> so_far(const std::string& id) override {
        std::pair<std::uint64_t, std::uint64_t> amounts;
        auto read = guarded("read the journal", [&] {
            SQLite::Statement query(database_,
                                    "select (select count(*) from items where receipt=?1), "
                                    "(select coalesce(sum(count), 0) from pending where receipt=?1)");
            query.bind(1, id);
            query.executeStep();
            amounts = {as_unsigned(query.getColumn(0)), as_unsigned(query.getColumn(1))};
        });
        if (!read) return failure(read.error());
        return amounts;
    }

    Result<std::vector<std::uint64_t>> taken_back(const std::string& id) override {
        std::vector<std::uint64_t> numbers;
        auto read = guarded("read the receipt", [&] {
            SQLite::Statement query(database_, "select number from taken_back where receipt=? order by number");
            query.bind(1, id);
            while (query.executeStep()) numbers.push_back(as_unsigned(query.getColumn(0)));
        });
        if (!read) return failure(read.error());
        return numbers;
    }

    Result<void> set_paused(const std::string& receipt, bool paused) override {
        return guarded("note the pause", [&] {
            SQLite::Statement update(database_, "update receipts set paused=? where id=?");
            update.bind(1, paused ? 1 : 0);
            update.bind(2, receipt);
            update.exec();
        });
    }

    Result<std::size_t> forget_receipts(std::int64_t finished_before_ns) override {
        std::size_t forgotten = 0;
        auto done = guarded("forget old receipts", [&] {
            SQLite::Transaction transaction(database_, SQLite::TransactionBehavior::IMMEDIATE);
            SQLite::Statement query(database_,
                                    "select id from receipts where state='done' and finished<? "
                                    "and not exists(select 1 from safe where safe.receipt=receipts.id)");
            query.bind(1, finished_before_ns);
            std::vector<std::string> ids;
            while (query.executeStep()) ids.push_back(query.getColumn(0).getString());
            for (const auto& id : ids) {
                drop_journal(database_, id);
                for (const char* statement :
                     {"delete from items where receipt=?", "delete from folders where receipt=?", "delete from taken_back where receipt=?",
                      "delete from volumes where receipt=?", "delete from receipts where id=?"}) {
                    SQLite::Statement drop(database_, statement);
                    drop.bind(1, id);
                    drop.exec();
                }
            }
            transaction.commit();
            forgotten = ids.size();
        });
        if (!done) return failure(done.error());
        return forgotten;
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

    Result<std::vector<SafeEntry>> safe_entries_of(const std::string& receipt) override {
        return entries_where("where receipt=? order by id", &receipt);
    }

    Result<std::vector<VolumeRecord>> volumes(const std::string& id) override {
        std::vector<VolumeRecord> found;
        auto read = guarded("read the receipt", [&] {
            SQLite::Statement query(database_, "select device, identity, sure, path from volumes where receipt=?");
            query.bind(1, id);
            while (query.executeStep())
                found.push_back({as_unsigned(query.getColumn(0)),
                                 {query.getColumn(1).getString(), query.getColumn(2).getInt() != 0},
                                 bytes_of(query.getColumn(3))});
        });
        if (!read) return failure(read.error());
        return found;
    }

    Result<std::vector<Timekeeper::Reading>> times_seen() override {
        std::vector<Timekeeper::Reading> seen;
        auto read = guarded("read the state", [&] {
            SQLite::Statement query(database_, "select wall, since_boot, boot from clock order by rowid");
            while (query.executeStep())
                seen.push_back({query.getColumn(0).getInt64(), query.getColumn(1).getInt64(), query.getColumn(2).getString()});
        });
        if (!read) return failure(read.error());
        return seen;
    }

    Timekeeper::Reading time() const override { return clock_.read(); }

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
        "select id, operation, sentence, destination, started, finished, state, roots, undoes, undone_by, items, bytes, counts, waits_for, "
        "undoes_some, paused, problem, may_lose, verify from receipts";

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

private:
    static std::string packed(const Pair& pair) {
        std::string bytes;
        for (const Identity* id : {&pair.incoming, &pair.held})
            fmt::format_to(std::back_inserter(bytes), "{:x} {:x} {:x} {:x} ", id->device, id->inode, id->size_bytes, id->modified_ns);
        fmt::format_to(std::back_inserter(bytes), "{:x} {:x}", pair.incoming_changed_ns, pair.held_changed_ns);
        return bytes;
    }
    static std::int64_t key_of(const Pair& pair) { return as_signed(PairHash{}(pair)); }

    /// A reading of the clock, where the last one is long ago or it has not gone on as time does.
    void note_time_now(const Timekeeper::Reading& now) {
        constexpr std::int64_t minute_ns = 60'000'000'000;
        constexpr std::int64_t seldom_ns = 360 * minute_ns;
        SQLite::Statement last(database_, "select boot, wall, since_boot from clock order by rowid desc limit 1");
        if (last.executeStep() && last.getColumn(0).getString() == now.boot) {
            const std::int64_t passed = now.since_boot_ns - last.getColumn(2).getInt64();
            const std::int64_t drift = now.wall_ns - last.getColumn(1).getInt64() - passed;
            if (passed < seldom_ns && drift < minute_ns && drift > -minute_ns) return;
        }
        SQLite::Statement insert(database_, "insert into clock values(?,?,?)");
        insert.bind(1, now.boot);
        insert.bind(2, now.wall_ns);
        insert.bind(3, now.since_boot_ns);
        insert.exec();
    }

    /// A help only: nobody waits for it.
    void note_time() noexcept {
        try {
            database_.setBusyTimeout(0);
            note_time_now(clock_.read());
        } catch (const std::exception&) {  // another program writes just now, or there is no room: next time
        }
        database_.setBusyTimeout(busy_ms_);
    }

    void drop_entry(const std::string& id) {
        SQLite::Statement drop(database_, "delete from safe where id=?");
        drop.bind(1, id);
        drop.exec();
    }

    /// Items of a run that took effect, and that no undo has taken back.
    bool has_more_to_take_back(const std::string& receipt) {
        SQLite::Statement query(
            database_,
            "select 1 from items where receipt=? and result in ('created','overwritten','renamed','restored','removed') "
            "and not exists(select 1 from taken_back back where back.receipt=items.receipt and back.number=items.number) "
            "limit 1");
        query.bind(1, receipt);
        return query.executeStep();
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
                database_,
                "select id, original, stored, receipt, type, device, inode, size, modified, set_aside, boot, since_boot from safe " +
                    clause);
            if (id != nullptr) query.bind(1, *id);
            while (query.executeStep())
                entries.push_back({query.getColumn(0).getString(), bytes_of(query.getColumn(1)), bytes_of(query.getColumn(2)),
                                   query.getColumn(3).getString(), static_cast<FileType>(query.getColumn(4).getInt()),
                                   Identity{as_unsigned(query.getColumn(5)), as_unsigned(query.getColumn(6)),
                                            as_unsigned(query.getColumn(7)), query.getColumn(8).getInt64()},
                                   query.getColumn(9).getInt64(), query.getColumn(10).getString(), query.getColumn(11).getInt64()});
        });
        if (!read) return failure(read.error());
        return entries;
    }

    std::string path_;
    const Timekeeper& clock_;
    const int busy_ms_;
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

Result<std::unique_ptr<Store>> Store::open(const std::string& state_folder, const Timekeeper& clock, std::chrono::milliseconds patience) {
    if (auto made = make_state_folder(state_folder); !made) return failure(made.error());
    if (::access(state_folder.c_str(), W_OK | X_OK) != 0) return failure(system_error(errno, "write the state folder", state_folder));
    const std::string path = join(state_folder, "tavlo.sqlite");
    try {
        return std::make_unique<SqliteStore>(path, clock, static_cast<int>(patience.count()));
    } catch (const SQLite::Exception& exception) {
        return failure(SqliteStore::translated(exception, "open the state", path));
    }
}

}  // namespace tavlo
