// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "keep/store.h"

#include <fmt/format.h>
#include <sys/stat.h>
#include <unistd.h>

#include <algorithm>
#include <thread>

#include "files/path.h"
#include "keep/folder_rows.h"
#include "keep/head_rows.h"
#include "keep/item_rows.h"
#include "keep/journal_rows.h"
#include "keep/remembering_store.h"
#include "keep/safe_rows.h"
#include "keep/schema.h"
#include "keep/sqlite_rows.h"
#include "keep/time_rows.h"
#include "keep/volume_rows.h"

namespace tavlo {

namespace {

constexpr std::chrono::milliseconds between_tries{5};

class SqliteStore final : public RememberingStore {
public:
    SqliteStore(const std::string& path, const Timekeeper& clock, int busy_ms)
        : RememberingStore(path, busy_ms), clock_(clock), busy_ms_(busy_ms) {
        database_.exec("pragma auto_vacuum = incremental");  // of a new one only
        database_.exec("pragma journal_mode = wal");
        database_.exec("pragma synchronous = full");
        bring_up_to_date(database_);
        note_time();
    }

    Result<void> begin(const ReceiptHead& head, std::uint64_t count, const ItemAt& item) override {
        return guarded("note the run", [&] {
            SQLite::Transaction transaction(database_, SQLite::TransactionBehavior::IMMEDIATE);
            insert_head(database_, head);
            if (!head.undoes.empty()) drop_journal(database_, head.undoes);
            write_items(database_, head.id, count, item, items_);
            transaction.commit();
        });
    }

    Result<void> reopen(const std::string& receipt, const std::vector<PendingItem>& items) override {
        return guarded("note what is settled", [&] {
            SQLite::Transaction transaction(database_, SQLite::TransactionBehavior::IMMEDIATE);
            drop_journal(database_, receipt);
            std::vector<std::uint64_t> numbers;
            for (const PendingItem& item : items) numbers.push_back(item.number);
            items_.forget(receipt, numbers);
            write_pending(database_, receipt, items, items_);
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
            write_pending(database_, receipt, items, items_);
            if (rest) write_pending(database_, receipt, {*rest}, items_);
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
            std::vector<std::uint64_t> settled;
            items_.each_outcome(receipt,
                                [&](std::uint64_t number, Outcome, bool) { settled.push_back(number); });
            auto next = settled.begin();
            JournalRows rows(database_, receipt);
            while (auto item = rows.next()) {
                while (next != settled.end() && *next < item->number) ++next;
                if (next == settled.end() || *next != item->number) found.push_back(std::move(*item));
            }
        });
        if (!read) return failure(read.error());
        return found;
    }

    Result<std::vector<ReceiptHead>> unfinished() override {
        std::vector<ReceiptHead> heads;
        auto read = guarded("read the journal", [&] {
            heads = heads_where(database_, "where state <> 'done' and undone_by = '' order by started, id");
        });
        if (!read) return failure(read.error());
        return heads;
    }

    std::string folder() const override { return std::string(parent_of(path_)); }

    Result<RunLock> lock(const std::string& receipt) override { return RunLock::take(folder(), receipt); }

    bool is_alive(const std::string& receipt) override { return RunLock::is_held(folder(), receipt); }

    Result<void> record(const std::string& receipt, const RunRecords& records,
                        const std::vector<Intent>& next) override {
        return guarded("write the receipt", [&] {
            SQLite::Transaction transaction(database_, SQLite::TransactionBehavior::IMMEDIATE);
            items_.put(receipt, records.items);
            write_folders(database_, receipt, records.folders);
            items_.set_not_kept(receipt, records.not_kept);
            const Timekeeper::Reading now = clock_.read();
            if (!records.set_aside.empty()) note_reading(database_, now);
            safe_.put(records.set_aside, now);
            safe_.drop(records.used_up);
            if (!records.taken_back.empty()) items_.mark_taken_back(undone_by(receipt), records.taken_back);
            write_volumes(database_, receipt, records.volumes);
            write_intents(database_, receipt,
                          next);  // they are a group's: what it has not done by now it has not done
            transaction.commit();
        });
    }

    Result<ReceiptHead> finish(const ReceiptHead& given) override {
        ReceiptHead head = given;
        auto finished = guarded("finish the receipt", [&] {
            SQLite::Transaction transaction(database_, SQLite::TransactionBehavior::IMMEDIATE);
            head.totals = totals_of(head);
            write_end(database_, head);
            if (head.state == RunState::done) drop_journal(database_, head.id);
            const bool took_back = head.totals.of(Outcome::removed) + head.totals.of(Outcome::restored) > 0;
            // one that could not do all of it leaves the rest to another; what was changed since is nobody's
            // to take back
            const bool complete = head.totals.of(Outcome::failed) + head.totals.of(Outcome::planned) == 0;
            const bool settled = (complete && !head.undoes_some) || !has_more_to_take_back(head.undoes);
            if (!head.undoes.empty() && took_back && settled)
                write_undone_by(database_, head.undoes, head.id);
            transaction.commit();
        });
        if (!finished) return failure(finished.error());
        if (head.state == RunState::done) give_room_back();
        return head;
    }

    Result<std::vector<ReceiptHead>> receipts() override {
        std::vector<ReceiptHead> heads;
        auto read = guarded("read the receipts",
                            [&] { heads = heads_where(database_, "order by started desc, id desc"); });
        if (!read) return failure(read.error());
        return heads;
    }

    Result<ReceiptHead> receipt(const std::string& id) override {
        std::vector<ReceiptHead> found;
        auto read = guarded("read the receipt", [&] { found = heads_where(database_, "where id=?", &id); });
        if (!read) return failure(read.error());
        if (found.empty()) return failure(Fault::not_found, "there is no such receipt", id);
        return std::move(found.front());
    }

    Result<void> each_item(const std::string& id, const std::function<void(ReceiptItem&&)>& take) override {
        return guarded("read the receipt", [&] {
            JournalRows rows(database_, id);
            auto rest = rows.next();
            items_.each(id, [&](NumberedItem&& item) {
                for (; rest && rest->number < item.first; rest = rows.next()) take(planned(*rest));
                if (rest && rest->number == item.first) rest = rows.next();
                take(std::move(item.second));
            });
            for (; rest; rest = rows.next()) take(planned(*rest));
        });
    }

    Result<void> each_settled(const std::string& id, Order order,
                              const std::function<void(std::uint64_t, ReceiptItem&&)>& take) override {
        return guarded("read the receipt", [&] {
            items_.each(
                id, [&](NumberedItem&& item) { take(item.first, std::move(item.second)); },
                order == Order::forwards ? ItemRows::Order::forwards : ItemRows::Order::backwards);
        });
    }

    Result<std::map<std::uint64_t, ReceiptItem>> some_items(const std::string& id, std::uint64_t first,
                                                            std::uint64_t count) override {
        std::map<std::uint64_t, ReceiptItem> found;
        auto read = guarded("read the receipt", [&] {
            items_.some(id, first, count,
                        [&](NumberedItem&& item) { found.emplace(item.first, std::move(item.second)); });
            for (const PendingItem& item : some_pending(database_, id, first, count))
                found.try_emplace(item.number, planned(item));
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
            items_.each_outcome(id, [&](std::uint64_t number, Outcome was, bool) {
                if (was == result) numbers.push_back(number);
            });
        });
        if (!read) return failure(read.error());
        return numbers;
    }

    Result<std::pair<std::uint64_t, std::uint64_t>> so_far(const std::string& id) override {
        std::pair<std::uint64_t, std::uint64_t> amounts;
        auto read = guarded("read the journal", [&] {
            amounts = {items_.settled(id), has_journal(id) ? item_count(id) : 0};
        });
        if (!read) return failure(read.error());
        return amounts;
    }

    Result<std::vector<std::uint64_t>> taken_back(const std::string& id) override {
        std::vector<std::uint64_t> numbers;
        auto read = guarded("read the receipt", [&] {
            items_.each_outcome(id, [&](std::uint64_t number, Outcome, bool taken_back) {
                if (taken_back) numbers.push_back(number);
            });
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
                                    "and not exists(select 1 from safe join shared on safe.receipt=shared.id "
                                    "where shared.bytes=cast(receipts.id as blob))");
            query.bind(1, finished_before_ns);
            std::vector<std::string> ids;
            while (query.executeStep()) ids.push_back(query.getColumn(0).getString());
            for (const auto& id : ids) {
                drop_journal(database_, id);
                items_.drop(id);
                for (const char* statement :
                     {"delete from folders where receipt=?", "delete from volumes where receipt=?",
                      "delete from receipts where id=?"}) {
                    SQLite::Statement drop(database_, statement);
                    drop.bind(1, id);
                    drop.exec();
                }
            }
            transaction.commit();
            forgotten = ids.size();
        });
        if (!done) return failure(done.error());
        give_room_back();
        return forgotten;
    }

    Result<std::vector<std::pair<std::string, std::uint64_t>>> not_kept(const std::string& id) override {
        std::vector<std::pair<std::string, std::uint64_t>> lost;
        auto read = guarded("read the receipt", [&] {
            for (auto& one : items_.not_kept(id)) lost.emplace_back(one);
        });
        if (!read) return failure(read.error());
        return lost;
    }

    Result<std::vector<FolderTrace>> folders(const std::string& id) override {
        std::vector<FolderTrace> traces;
        auto read = guarded("read the receipt", [&] { traces = folders_of(database_, id); });
        if (!read) return failure(read.error());
        return traces;
    }

    Result<std::vector<SafeEntry>> safe_entries() override {
        std::vector<SafeEntry> entries;
        auto read = each_safe_entry([&](SafeEntry&& entry) { entries.push_back(std::move(entry)); });
        if (!read) return failure(read.error());
        return entries;
    }

    Result<void> each_safe_entry(const std::function<void(SafeEntry&&)>& take) override {
        return guarded("read the Safe's index", [&] { safe_.each(take); });
    }

    Result<void> each_safe_entry_of(const std::string& receipt,
                                    const std::function<void(SafeEntry&&)>& take) override {
        return guarded("read the Safe's index", [&] { safe_.each_of(receipt, take); });
    }

    Result<std::vector<SafeEntry>> some_safe_entries(const std::string& after, std::size_t count) override {
        std::vector<SafeEntry> entries;
        auto read = guarded("read the Safe's index", [&] { entries = safe_.some(after, count); });
        if (!read) return failure(read.error());
        return entries;
    }

    Result<std::uint64_t> safe_count() override {
        std::uint64_t count = 0;
        auto read = guarded("read the Safe's index", [&] { count = safe_.count(); });
        if (!read) return failure(read.error());
        return count;
    }

    Result<std::vector<SafeEntry>> safe_entries_of(const std::string& receipt) override {
        std::vector<SafeEntry> entries;
        auto read =
            each_safe_entry_of(receipt, [&](SafeEntry&& entry) { entries.push_back(std::move(entry)); });
        if (!read) return failure(read.error());
        return entries;
    }

    Result<std::vector<std::string>> shelves_of(const std::string& receipt) override {
        std::vector<std::string> shelves;
        auto read = guarded("read the Safe's index", [&] { shelves = safe_.shelves_of(receipt); });
        if (!read) return failure(read.error());
        return shelves;
    }

    Result<SafeAmount> safe_amount_of(const std::string& receipt) override {
        SafeAmount amount;
        auto read = guarded("read the Safe's index", [&] { amount = safe_.amount_of(receipt); });
        if (!read) return failure(read.error());
        return amount;
    }

    Result<std::vector<VolumeRecord>> volumes(const std::string& id) override {
        std::vector<VolumeRecord> found;
        auto read = guarded("read the receipt", [&] { found = volumes_of(database_, id); });
        if (!read) return failure(read.error());
        return found;
    }

    Result<std::vector<Timekeeper::Reading>> times_seen() override {
        std::vector<Timekeeper::Reading> seen;
        auto read = guarded("read the state", [&] { seen = readings(database_); });
        if (!read) return failure(read.error());
        return seen;
    }

    Timekeeper::Reading time() const override { return clock_.read(); }

    Result<SafeEntry> safe_entry(const std::string& id) override {
        std::optional<SafeEntry> found;
        auto read = guarded("read the Safe's index", [&] { found = safe_.find(id); });
        if (!read) return failure(read.error());
        if (!found) return failure(Fault::not_found, "there is no such version in the Safe", id);
        return std::move(*found);
    }

    Result<void> forget_safe_entries(const std::vector<std::string>& ids) override {
        return guarded("write the Safe's index", [&] {
            SQLite::Transaction transaction(database_, SQLite::TransactionBehavior::IMMEDIATE);
            safe_.drop(ids);
            transaction.commit();
        });
    }

    void give_room_back() noexcept override {
        try {
            database_.setBusyTimeout(0);
            database_.exec("pragma incremental_vacuum");
            database_.exec("pragma wal_checkpoint(truncate)");
        } catch (const std::exception&) {  // another program is at it: next time
        }
        database_.setBusyTimeout(busy_ms_);
    }

private:
    /// A help only: nobody waits for it.
    void note_time() noexcept {
        try {
            database_.setBusyTimeout(0);
            note_reading(database_, clock_.read());
        } catch (const std::exception&) {  // another program writes just now, or there is no room: next time
        }
        database_.setBusyTimeout(busy_ms_);
    }

    std::string undone_by(const std::string& undo) {
        SQLite::Statement query(database_, "select undoes from receipts where id=?");
        query.bind(1, undo);
        return query.executeStep() ? query.getColumn(0).getString() : std::string();
    }

    /// Items of a run that took effect, and that no undo has taken back.
    bool has_more_to_take_back(const std::string& receipt) {
        bool more = false;
        items_.each_outcome(receipt, [&](std::uint64_t, Outcome result, bool taken_back) {
            more = more || (!taken_back && (arrives(result) || result == Outcome::removed));
        });
        return more;
    }

    /// How many items a run has, what stands for a rest among them.
    std::uint64_t item_count(const std::string& receipt) {
        const auto numbered = std::max(end_of_pending_below(database_, receipt, rest_number),
                                       items_.end_below(receipt, rest_number));
        return numbered + (end_of_pending_below(database_, receipt, INT64_MAX) > rest_number ? 1 : 0);
    }
    bool has_journal(const std::string& receipt) {
        return end_of_pending_below(database_, receipt, INT64_MAX) > 0;
    }

    Totals totals_of(const ReceiptHead& head) {
        Totals totals;
        const auto all = item_count(head.id);
        const bool packs = traits_of(head.operation).packs && all > 0;
        const auto planned = packs ? all - 1 : all;  // the last is the archive, which is not counted
        items_.each_outcome(head.id, [&](std::uint64_t number, Outcome result, bool) {
            if (packs && number == planned) return;
            ++totals.items;
            totals.count(result);
        });
        totals.bytes = items_.bytes(head.id);
        if (!has_journal(head.id)) return totals;
        const auto left = planned - std::min(planned, totals.items);
        totals.items += left;
        totals.by_outcome[static_cast<std::size_t>(Outcome::planned)] += left;
        return totals;
    }

    const Timekeeper& clock_;
    const int busy_ms_;
    ItemRows items_{database_};
    SafeRows safe_{database_};
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

Result<std::unique_ptr<Store>> Store::open(const std::string& state_folder, const Timekeeper& clock,
                                           std::chrono::milliseconds patience) {
    if (auto made = make_state_folder(state_folder); !made) return failure(made.error());
    if (::access(state_folder.c_str(), W_OK | X_OK) != 0)
        return failure(system_error(errno, "write the state folder", state_folder));
    const std::string path = join(state_folder, "tavlo.sqlite");
    // several programs that make it at once are in one another's way, and SQLite does not wait in all of its
    // steps
    for (const auto give_up = std::chrono::steady_clock::now() + patience;;
         std::this_thread::sleep_for(between_tries)) {
        try {
            return std::make_unique<SqliteStore>(path, clock, static_cast<int>(patience.count()));
        } catch (const SQLite::Exception& exception) {
            if (exception.getErrorCode() != SQLITE_BUSY || std::chrono::steady_clock::now() >= give_up)
                return failure(RememberingStore::translated(exception, "open the state", path));
        }
    }
}

}  // namespace tavlo
