// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <chrono>
#include <deque>
#include <mutex>
#include <set>
#include <unordered_map>
#include <unordered_set>
#include <vector>

#include "files/parallel.h"
#include "run/archive_sink.h"
#include "run/durable.h"
#include "run/placing.h"
#include "run/run.h"
#include "run/safe_folder.h"
#include "run/staging.h"
#include "run/trash.h"
#include "run/volumes.h"

namespace tavlo {

// the kernel dates what it makes by the last tick of its clock, which lies up to so much before the time that
// is asked for
inline constexpr std::int64_t kernel_tick_ns = 10'000'000;

/// One run while it goes on: carry_out() in its parts. Items are worked on in the plan's order. Folders are
/// made at once; files are staged in groups; a group becomes durable, is verified, takes its names, and only
/// then, and only for moves between file systems, do its sources go (promises 3 and 4). Names are given and
/// results settled by one thread; others read and write files, sync, and write the journal.
class Runner {
public:
    /// resumption  null for a run that begins
    Runner(FileSystem& disk, Store& store, const Plan& plan, const Resumption* resumption,
           const RunOptions& options, const RunEvents& events);
    Result<ReceiptHead> run();

private:
    /// An item that waits for its group.
    struct Work {
        ItemId item = no_item;
        enum class Kind : std::uint8_t {
            staged,
            hard_link,
            link,
            rename,
            take_away,
            remove_folder
        } kind = Kind::staged;
        /// the folders of a file that waits to be staged; of what is to be renamed, until it was looked at
        std::shared_ptr<const Handle> from{};
        std::shared_ptr<const Handle> into{};
        std::optional<StagedCopy> copy{};
        std::optional<Attributes> link_attributes{};
        bool remove_source = false;  ///< once the copy is durable: a move between file systems
        std::optional<Placed> placed{};
        std::optional<Slot> slot{};  ///< where a name is taken from something, or something is taken away
        std::shared_ptr<const Handle> target{};  ///< the folder in which it has taken its name
        bool dropped = false;  ///< stopped while it was verified: nothing of it takes a name
    };
    /// Items that become durable together.
    struct Group {
        std::deque<Work> works{};                    ///< which stay where they are
        std::unordered_set<std::string> leaving{};   ///< places that its sources will have left
        std::unordered_set<std::string> arriving{};  ///< in an undo: places that it will have filled
        std::uint64_t bytes = 0;
        std::size_t waiting = 0;  ///< files that are not staged yet
        std::uint64_t waiting_bytes = 0;
        std::chrono::steady_clock::time_point began{};

        void add(Work work);
        bool has_sources_that_leave() const;
        bool stands_in_the_way(const Plan& plan, const Item& of) const;
    };
    /// What other threads see to of the group that is behind, or, without one, of what is to be written.
    struct Settling {
        std::vector<Work*> copies{};                       ///< that are to become durable
        RunRecords done{};                                 ///< written into the journal with what is noted
        RunRecords names{};                                ///< become durable with the copies
        std::shared_ptr<Ahead<Durable::Synced>> synced{};  ///< null: nothing is to
        std::shared_ptr<Ahead<Result<void>>> noted{};
    };
    struct FolderToFinish {
        FolderId folder;  ///< in finals_
        Attributes attributes;
        std::optional<std::uint64_t> number;  ///< in the receipt
    };
    struct SourceFolder {
        EntryId entry;
        Attributes attributes;
    };
    struct PlacedFile {
        FolderId folder = no_folder;
        std::string name{};
        Identity id{};  ///< known from the staging on
        std::string hash{};
    };

    // runner.cpp: the run as a whole; runner_journal.cpp, runner_end.cpp: what it notes, and how it ends
    Result<void> begin();
    Result<void> make_destination();
    Result<void> go_through_items();
    Result<void> step(ItemId id);
    bool follows_its_folder(ItemId id);
    Result<Handle> inside_of(ItemId id);
    bool holds_a_safe(ItemId id);
    bool is_busy(ItemId id);
    Intent intent_for(const Work& work);
    Result<void> find_slot(Work& work, const Handle& around, Intent& intent);
    std::vector<Intent> intents_of(Group& group);
    void forget_recorded(const RunRecords& recorded);
    /// Writes the journal, and waits where another program keeps it locked.
    template <class Write>
    Result<void> persist(Write write) {
        for (;;) {
            auto written = write();
            if (written || written.error().fault != Fault::locked || options_.stop.stop_requested())
                return written;
            const std::lock_guard lock(reporting_);
            if (events_.waits) events_.waits(written.error());
        }
    }
    void names_are_not_durable(RunRecords& records, const Error& why);
    void note_left_in(const std::optional<Slot>& slot, ItemId id);
    void note_changed(const Work& work, const Placed& placed);
    Result<void> note_volumes();
    void changed_in(std::uint64_t device, const std::shared_ptr<const Handle>& folder);
    Result<Slot> journal_replacement(ItemId id, const Handle& into, Intent::Kind kind, const Identity& fresh);
    Identity expected_at(ItemId id, const std::string& place) const;
    void take_up(const FolderRest& rest);
    bool is_left_from_before(const Status& folder, bool is_new = false) const;
    Result<void> write_records();
    void finish_folders();
    bool lend_write(const std::shared_ptr<const Handle>& folder);
    void give_back_lent();
    bool durable_by_folders();
    void remember_dates();
    void give_dates_back();
    Result<void> remove_emptied_folders();
    Result<void> end();
    std::uint64_t number(ItemId id) const { return resumption_ != nullptr ? resumption_->numbers[id] : id; }
    ItemId item_of(std::uint64_t number) const;
    void tidy_used_slots();

    // runner_groups.cpp
    static std::size_t most_in_a_group(const RunOptions& options);
    bool may_stay_behind() const;
    Result<void> go_on_with_group();
    Result<void> hand_over();
    Result<void> hand_over_records();
    bool has_much_to_write() const;
    Result<void> flush();
    void step_again();
    void begin_settling();
    void read_back(const std::vector<Work*>& copies, std::vector<Durable::Failed>& failed);
    bool waits_for_behind() const;
    Result<void> finish_behind();
    void leave_for_later(Work& work);
    void drop(Work& work, const Error& why);

    // runner_folders.cpp
    void step_folder(ItemId id);
    void make_folder(ItemId id, const Handle& into);
    void note_made(ItemId id, const Placed& placed);
    void finish_making(ItemId id, Placed placed, const Attributes& attributes);
    Result<Placed> place_folder(ItemId id, const Handle& into, Intent::Kind kind, const Identity& fresh,
                                const Ready& ready);
    Result<void> would_lose(ItemId id, const Placed& placed, const Handle& into,
                            const Attributes& attributes);
    void merge_folder(ItemId id, const Handle& into);
    bool move_whole_folder(ItemId id, const Handle& into);
    void step_carried(ItemId id);
    void remember_source_folder(EntryId entry);
    void step_removal(ItemId id);
    void step_away(ItemId id);
    void remove_folder(ItemId id);
    bool holds_mounts(ItemId id);
    Result<void> may_leave(ItemId id, const Handle& folder, const std::string& name);

    // runner_renames.cpp: names given up and taken where things are
    Result<void> park(ItemId id);
    bool is_parked(ItemId id);
    std::optional<Outcome> unpark(ItemId id);

    // runner_files.cpp
    void step_file(ItemId id, const std::shared_ptr<const Handle>& into);
    Result<void> stage_waiting();
    void take_staged(Work& work, Result<StagedCopy> staged);
    void take_seen(Work& work, const Result<Status>& seen);
    void place(Work& work);
    Ready ready_for(Work& work);
    std::function<Result<void>(const Handle&, const std::string&)> unlinking();
    Ready staged_copy(Work& work);
    Ready further_name(ItemId id);
    Ready link_again(Work& work);
    Ready renaming(ItemId id);
    /// Where an item is read, or moved, or taken away from.
    Result<std::shared_ptr<const Handle>> source_folder(ItemId id);
    std::string source_name(ItemId id) const;
    void note_taken_from(ItemId id);
    void take_away(Work& work);
    void remove_source(Work& work);
    void take_back(Work& work, Error why);
    void settle_moved(Work& work);
    enum class Standing : std::uint8_t { whole, other, gone, unknown };
    Standing source_standing(const Work& work);
    void bring_displaced_back(const Placed& placed, const Handle& into, Error& why, ItemId id);
    std::string count_from(ItemId id) const;
    void note_twin(ItemId id, const Placed& placed);
    PlacedFile first_of_link(ItemId id) const;
    bool still_the_agreed_source(ItemId id, const Handle& folder);
    bool is_the_agreed_source(ItemId id, const Status& now);
    bool reads_back(const Work& work) const;

    // runner_packing.cpp: what goes into one archive, which takes its name once all of it was read back
    Result<void> step_archive(ItemId id);
    Result<StagedCopy> make_archive(const Handle& into);
    /// nullopt: it is to be begun anew
    Result<std::optional<StagedCopy>> write_archive(const Handle& into, const std::vector<ItemId>& members);
    /// What goes into it, with the handles that it is read by, and what was read of it ahead.
    struct Source {
        std::shared_ptr<const Handle> folder;
        std::shared_ptr<const Handle> inside;
        ToPack thing;
        ReadAhead read{};
    };
    Result<Source> source_of(ItemId id);
    using Members = std::vector<ItemId>;
    /// nullopt: it is seen to when it is its turn
    using Sources = std::vector<std::optional<Source>>;
    Members::const_iterator read_ahead(Members::const_iterator begin, Members::const_iterator end,
                                       const ArchiveSink& sink, InTurn<Sources>& sources);
    Result<void> pack(ItemId id, ArchiveSink& sink, std::optional<Source>& source);
    std::string member_path(ItemId id) const;
    void note_packed(ItemId id);
    Result<void> settle_packed();
    Outcome outcome_of_archive() const;
    /// What a source is to be when it leaves: as it was packed, or as it was looked at.
    Identity leaving_as(ItemId id) const;

    // runner_results.cpp
    ReceiptItem& receipt_item(ItemId id);
    ReceiptItem as_planned(ItemId id) const;
    bool merges_with_what_stands(ItemId id) const;
    std::vector<bool> rows_left_alone() const;
    bool stays_as_it_is(ItemId id) const;
    ReceiptItem left_alone(ItemId id) const;
    void settle_at_once(ItemId id);
    void tell(ItemId id, const ReceiptItem& out);
    void settle(ItemId id, Outcome result);
    void settle_placed(ItemId id, const Placed& placed);
    bool is_stuck_by(const Error& error);
    void fail(ItemId id, const Error& error);
    /// The name is held by something that nothing was agreed about.
    void leave_undecided(ItemId id, const std::string& why);
    Outcome wording(ItemId id, Outcome result) const;
    static std::string link_key(const Identity& id);
    std::optional<Finding> fresh_finding(ItemId id, const Held& held);

    const Item& item(ItemId id) const { return plan_.items[id]; }
    /// It keeps the folder that it lies in, wherever that is by now, and whatever becomes of it.
    bool is_renamed(ItemId id) const { return item(id).role == Role::renamed; }
    const Entry& entry(ItemId id) const { return plan_.entry(plan_.items[id]); }
    Keeper& keeper(ItemId id) {
        if (item(id).shelf == Shelf::trash) return *trash_;
        return *safe_;
    }
    /// For the threads of the run.
    Meter meter();
    bool should_stop() const { return stuck_ || options_.stop.stop_requested(); }
    /// Waits while the run is held.
    void wait_while_held() const {
        if (options_.pace != nullptr) (void)options_.pace->wait(options_.stop);
    }
    void say_at_hand(ItemId id);
    void say_bytes(std::uint64_t bytes);

    FileSystem& disk_;
    Store& store_;
    const Plan& plan_;
    const Traits traits_;
    const Resumption* resumption_;
    const RunOptions& options_;
    const bool reads_in_order_;
    const RunEvents& events_;

    std::optional<RunLock> lock_;
    ReceiptHead head_;
    RunRecords records_;  ///< of what was done last, whose names may not be durable yet
    RunRecords ready_;    ///< of what is durable, and waits for the next time that the journal is written
    std::vector<Intent> noted_;  ///< that stand in the journal for what is in neither
    std::uint64_t parts_ = 0;    ///< hidden names that were given
    /// the state folder and those above it, where something is to leave
    std::vector<Identity> above_records_;
    FolderTree finals_;
    FolderHandles sources_;
    FolderHandles targets_;
    Durable durable_;
    std::unique_ptr<SafeFolder> safe_;
    std::unique_ptr<Trash> trash_;

    std::vector<bool> rows_left_alone_;             ///< by so many as are kept together; empty: none is
    std::vector<Outcome> results_;                  ///< by item; planned: not settled yet
    std::vector<bool> carried_;                     ///< by item: came by a folder's rename
    std::unordered_map<ItemId, ReceiptItem> open_;  ///< receipts of items not settled yet
    Group group_;                                   ///< that is collected
    Group behind_;                                  ///< staged; nothing of it has its name
    std::optional<Settling> settling_;
    std::mutex reporting_;
    std::chrono::steady_clock::time_point said_at_hand_{};
    std::optional<Error> stuck_;     ///< why the run stops by itself
    const std::size_t group_files_;  ///< each holds a handle or two until it has its name
    /// in an undo: numbers of folders, in the receipt that is undone
    std::set<std::uint64_t> not_made_again_;
    std::unordered_map<ItemId, std::string> parked_;  ///< the hidden names of those that wait for theirs
    std::vector<ItemId> again_;       ///< renames that met another file system: to be copied instead
    std::vector<bool> copy_instead_;  ///< by item
    std::vector<FolderToFinish> to_finish_;
    /// in an undo: of source folders that stayed, as the move found them
    std::vector<std::pair<std::string, std::int64_t>> dates_;
    /// folders made writable for a while, and what they were
    std::vector<std::pair<std::shared_ptr<const Handle>, std::uint32_t>> lent_;
    std::vector<SourceFolder> emptied_;  ///< source folders that may be empty once the run is through
    std::vector<bool> took_from_;        ///< by folder of the batch: something moved out of it
    std::unordered_map<std::string, PlacedFile> first_of_links_;  ///< by device and inode
    std::unordered_map<std::string, Identity> placed_twins_;      ///< by place
    std::vector<ItemId> packed_;                                  ///< items that go into the archive
    /// of those that are in it, as they were read: what a receipt of each will say
    struct PackedNote {
        Identity source;
        std::string hash;
        std::string not_kept;
    };
    std::unordered_map<ItemId, PackedNote> packed_as_;
    std::unordered_map<ItemId, int> changes_;  ///< how often one of these changed while it was read
    ItemId archive_ = no_item;
    std::string archive_place_{};  ///< once it has its name
    // the last to be made, and the first to end: what they work on is above
    AheadThreads stagers_;   ///< read and write files, beside the run's own thread
    AheadThreads settlers_;  ///< make a group durable, and write the journal
};

}  // namespace tavlo
