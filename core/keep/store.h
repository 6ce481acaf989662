// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <chrono>
#include <functional>
#include <map>
#include <memory>
#include <optional>
#include <string>
#include <variant>
#include <vector>

#include "facts/known_file_facts.h"
#include "files/result.h"
#include "keep/clock.h"
#include "keep/journal.h"
#include "keep/records.h"
#include "keep/run_lock.h"
#include "survey/contents.h"

namespace tavlo {

/// An item as its run begins: with what is to be done, or, where nothing is, with what came of it.
using OpenedItem = std::variant<PendingItem, ReceiptItem>;
using ItemAt = std::function<OpenedItem(std::uint64_t place)>;
/// Items are kept so many together, from the first on: what is noted for some of them alone is written again
/// with what comes of the others.
inline constexpr std::uint64_t kept_together = 256;

/// Receipts, the Safe's index and what reading has found out, in one database in the state folder. Several
/// programs may have it open at once; one Store is used by one thread at a time.
class Store : public ContentsMemory, public FactsMemory, public HashMemory {
public:
    /// Opens, and makes where missing, the state folder and its database.
    /// errors   no_permission, not_a_folder, corrupt (no database, or of a newer version), no_space, io
    /// clock    what versions are dated by; outlives the store
    /// patience how long one call waits for another program that writes, before it answers locked
    static Result<std::unique_ptr<Store>> open(const std::string& state_folder,
                                               const Timekeeper& clock = Timekeeper::system(),
                                               std::chrono::milliseconds patience = std::chrono::seconds(10));
    ~Store() override = default;
    virtual std::string folder() const = 0;  ///< its state folder

    /// Notes that a run begins, with all that it is to do; until finish() its state is interrupted. What an
    /// undo takes back has no rest to go on with any more.
    /// item     of each place below `count`, which is its number, but for what stands for a rest; asked by
    ///          several threads at once
    virtual Result<void> begin(const ReceiptHead& head, std::uint64_t count, const ItemAt& item) = 0;
    /// A run that has ended has something to do again: these items, which it had left undecided or failed at.
    /// Its state is interrupted until finish().
    virtual Result<void> reopen(const std::string& receipt, const std::vector<PendingItem>& items) = 0;
    /// A run that is going on has more to do, after what it has so far.
    /// rest     what stands for all that has not been counted yet, should the run be interrupted; nullopt:
    ///          everything has. It takes the place of the one before
    virtual Result<void> extend(const std::string& receipt, const std::vector<PendingItem>& items,
                                const std::optional<PendingItem>& rest) = 0;
    /// What was done since the last time, whose items are no longer pending, and all that groups which are
    /// not recorded yet have done or are about to do, in one transaction that is durable when this returns.
    /// records  of what is durable on its own volumes by now (promise 11)
    /// errors   locked: another program has kept the state locked for some seconds; nothing was noted, and it
    ///          can be tried again
    virtual Result<void> record(const std::string& receipt, const RunRecords& records,
                                const std::vector<Intent>& intents = {}) = 0;
    /// One more intention of the same group.
    virtual Result<void> intend(const std::string& receipt, const Intent& intent) = 0;
    /// Notes the end; adds up the totals from the items. returns the head with them
    virtual Result<ReceiptHead> finish(const ReceiptHead& head) = 0;

    /// The journal of a run that did not come to its end.
    virtual Result<std::vector<PendingItem>> pending(const std::string& receipt) = 0;
    virtual Result<std::vector<Intent>> intents(const std::string& receipt) = 0;
    /// Receipts that have something pending, oldest first.
    virtual Result<std::vector<ReceiptHead>> unfinished() = 0;
    /// A stopped run is to be gone on with when somebody says so; finish() takes that back.
    virtual Result<void> set_paused(const std::string& receipt, bool paused) = 0;
    /// See RunLock.
    virtual Result<RunLock> lock(const std::string& receipt) = 0;
    virtual bool is_alive(const std::string& receipt) = 0;  ///< some process holds that lock

    virtual Result<std::vector<ReceiptHead>> receipts() = 0;  ///< newest first
    /// errors   not_found
    virtual Result<ReceiptHead> receipt(const std::string& id) = 0;
    /// The items in their order; what has no result yet comes as planned.
    virtual Result<void> each_item(const std::string& id, const std::function<void(ReceiptItem&&)>& take) = 0;
    /// Only what has a result, with its number; a few hundred items are in memory at a time.
    enum class Order : bool { forwards, backwards };
    virtual Result<void> each_settled(
        const std::string& id, Order order,
        const std::function<void(std::uint64_t number, ReceiptItem&&)>& take) = 0;
    /// What the target could not keep, with the number of items: {"owner", 3}.
    virtual Result<std::vector<std::pair<std::string, std::uint64_t>>> not_kept(const std::string& id) = 0;
    /// The same for those whose numbers lie from `first` on, `count` of them; for a list that shows a window
    /// onto many.
    virtual Result<std::map<std::uint64_t, ReceiptItem>> some_items(const std::string& id,
                                                                    std::uint64_t first,
                                                                    std::uint64_t count) = 0;
    /// The numbers of the items that came out so, in their order.
    virtual Result<std::vector<std::uint64_t>> numbers_with(const std::string& id, Outcome result) = 0;
    /// The numbers of the items that an undo has taken back since.
    virtual Result<std::vector<std::uint64_t>> taken_back(const std::string& id) = 0;
    /// Of a run that goes on, in any process: how many items are done, of how many; 0 where that is not known
    /// any more.
    virtual Result<std::pair<std::uint64_t, std::uint64_t>> so_far(const std::string& id) = 0;
    /// Forgets receipts of runs that have ended before then, all of it done, and of which the Safe holds
    /// nothing.
    /// returns  how many
    virtual Result<std::size_t> forget_receipts(std::int64_t finished_before_ns) = 0;
    virtual Result<std::vector<FolderTrace>> folders(const std::string& id) = 0;
    virtual Result<std::vector<VolumeRecord>> volumes(const std::string& id) = 0;

    virtual Result<std::vector<SafeEntry>> safe_entries() = 0;  ///< newest first
    virtual Result<void> each_safe_entry(
        const std::function<void(SafeEntry&&)>& take) = 0;  ///< the same, one after the other
    virtual Result<void> each_safe_entry_of(const std::string& receipt,
                                            const std::function<void(SafeEntry&&)>& take) = 0;
    /// A part of them in the order of their ids as they are kept: so many after this one, "" for the first.
    virtual Result<std::vector<SafeEntry>> some_safe_entries(const std::string& after, std::size_t count) = 0;
    virtual Result<std::uint64_t> safe_count() = 0;
    /// errors   not_found: no such entry, or it was used up
    virtual Result<SafeEntry> safe_entry(const std::string& id) = 0;
    virtual Result<std::vector<SafeEntry>> safe_entries_of(const std::string& receipt) = 0;
    /// The folders that hold the slots of what a run has set aside, one for each Safe.
    virtual Result<std::vector<std::string>> shelves_of(const std::string& receipt) = 0;
    virtual Result<SafeAmount> safe_amount_of(const std::string& receipt) = 0;
    /// Readings of the clock that were noted whenever it had gone on for a while, or otherwise than time
    /// does; in their order.
    virtual Result<std::vector<Timekeeper::Reading>> times_seen() = 0;
    virtual Timekeeper::Reading time() const = 0;  ///< now, by the store's clock
    virtual Result<void> forget_safe_entries(const std::vector<std::string>& ids) = 0;
    /// What was deleted leaves the disk. A help only: nothing happens where another program is at work.
    virtual void give_room_back() noexcept = 0;
};

/// `$XDG_STATE_HOME/tavlo`, or its default (XDG Base Directory Specification).
std::string default_state_folder();

/// An id for a receipt, which sorts by time.
std::string new_receipt_id(std::int64_t started_ns);

/// Now, in ns since 1970-01-01 UTC.
std::int64_t now_ns();

}  // namespace tavlo
