// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <optional>
#include <stop_token>
#include <string>
#include <vector>

#include "files/file_system.h"
#include "keep/store.h"
#include "plan/plan.h"
#include "undo/empty_safe.h"

namespace tavlo {

/// Plans the undo of a past run against the disk as it is now; carry_out() then does it. What an undo of
/// chosen items has taken back before is left out.
/// only     the numbers of the items to take back, and what hangs on them (choose()); empty: all
/// errors   not_found: no such receipt; refused: it was undone already, or has not ended and only some are
///          chosen
/// locked   whoever asks holds the run's lock (settle_before_undo())
/// looked_at  called after each item of the receipt, with the number so far and of all
Result<Plan> prepare_undo(FileSystem& disk, Store& store, const std::string& receipt,
                          const std::vector<std::uint64_t>& only = {}, bool locked = false,
                          const std::function<void(std::uint64_t, std::uint64_t)>& looked_at = {});

/// Before an undo is planned and carried out: a run that was interrupted is settled as recover() would,
/// without beginning anything more.
/// returns  the run's lock where it has not come to its end, to be held until the undo is through
/// errors   refused: it is still going on
Result<std::optional<RunLock>> settle_before_undo(FileSystem& disk, Store& store, const std::string& receipt);

/// Plans to bring back one version from the Safe.
/// into         the folder to put it in; empty: the place it held
/// where_taken  what happens where something holds that name: overwrite (that goes to the Safe in turn), or
///              rename
/// errors       not_found: no such entry, or its version is gone; name_taken: the place is held, and nothing
///              was said of that, or two folders would have to be merged
Result<Plan> prepare_restore(FileSystem& disk, Store& store, const std::string& entry,
                             const std::string& into, std::optional<Decision> where_taken = std::nullopt);

}  // namespace tavlo
