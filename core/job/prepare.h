// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <memory>
#include <string>
#include <vector>

#include "batch/gather.h"
#include "files/file_system.h"
#include "job/job.h"
#include "keep/store.h"
#include "plan/plan.h"

namespace tavlo {

/// What will come of a batch, and what that was computed from.
struct Outlook {
    std::shared_ptr<const Plan> plan;
    std::shared_ptr<const Batch> batch;
    std::shared_ptr<const Layout> layout;
    std::shared_ptr<const Survey> survey;
    std::shared_ptr<const Destination> destination;  ///< the first of its roots
    std::vector<Error> refusals;  ///< why this may not be run at all: a thing onto or into itself, too little
                                  ///< room, a source that would leave
    std::vector<Error> misses{};  ///< lines of tables of names that fit nothing
};

/// Computes the plan for a batch that has been gathered: looks at the destination, lays out, surveys, plans.
/// Reads no file's bytes: pairs of one size that are not in `known` are left in Plan::not_compared.
/// memory   of what was found out before about such pairs, which `known` learns; may be null
/// errors   the destination cannot be used, cancelled
Result<Outlook> look_ahead(FileSystem& disk, const Asked& asked, std::shared_ptr<const Batch> batch,
                           KnownContents& known, ContentsMemory* memory = nullptr, std::stop_token stop = {});

/// The same where things get other names where they lie.
/// wishes  of Operation::rename
/// wanted  as lay_out_in_place() takes it
Result<Outlook> look_ahead_in_place(FileSystem& disk, const Wishes& wishes,
                                    std::shared_ptr<const Batch> batch, const WantedName& wanted,
                                    KnownContents& known, ContentsMemory* memory = nullptr,
                                    std::stop_token stop = {});

/// The folders that things lie in which are to get other names, or to leave, as they are now; the others of
/// the batch are not listed.
Result<Survey> survey_in_place(FileSystem& disk, const Batch& batch, const Layout& layout,
                               std::stop_token stop = {});

/// The same without looking at the disk again: where only the wishes have changed, or what is known of the
/// pairs.
/// asked  for the same places as it was for `before` (same_places())
Outlook plan_again(const Asked& asked, const Outlook& before, const KnownContents& known);

/// The same where only the steps of new names, or the names that were typed, have changed, and things stay
/// where they are.
/// errors  as Namer::make()
Result<Outlook> name_again(const Asked& asked, const Outlook& before, const KnownContents& known);
/// A job that differs from another in these alone.
bool differs_in_names_alone(const Job& one, const Job& other);

/// Reads the pairs that a plan could not judge by size and date, and learns whether they are the same.
/// memory    what was found out before, and where what is found out goes; may be null
/// compared  called after each pair, with the number done
/// A pair that cannot be read is learnt as a problem of its item.
Result<void> compare_pairs(FileSystem& disk, const Plan& plan, KnownContents& known, ContentsMemory* memory,
                           std::stop_token stop = {}, const std::function<void(std::size_t)>& compared = {});

/// Called now and then with how many are done, and of how many. Each may be left out.
struct PrepareEvents {
    std::function<void(std::uint64_t)> counted{};              ///< things of the batch, while it is gathered
    std::function<void()> gathered{};                          ///< once: the batch is whole
    std::function<void(std::size_t, std::size_t)> told{};      ///< files that have told their facts
    std::function<void(std::size_t, std::size_t)> read{};      ///< files that may be there under other names
    std::function<void(std::size_t, std::size_t)> compared{};  ///< pairs
};

/// Everything before a run of a batch: has files tell what the job wants to know of them, looks ahead,
/// compares, plans again.
/// memory  of what was found out before; may be null
Result<Outlook> prepare(FileSystem& disk, Asked asked, std::shared_ptr<const Batch> batch,
                        Store* memory = nullptr, std::stop_token stop = {}, const PrepareEvents& events = {});

/// The same from the sources on: gathers what the job chooses of them. Lines of its list that fit nothing are
/// among the misses.
/// errors   as gather_chosen() too
Result<Outlook> prepare(FileSystem& disk, Asked asked, Store* memory = nullptr, std::stop_token stop = {},
                        const PrepareEvents& events = {});

/// Bytes as allocated (hard links once) and inodes that a plan needs on the destination's file system.
struct Room {
    std::uint64_t bytes = 0;
    std::uint64_t inodes = 0;
};
Room room_needed(const Plan& plan, const Destination& destination);

}  // namespace tavlo
