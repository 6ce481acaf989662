// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>
#include <vector>

#include "keep/store.h"
#include "plan/plan.h"
#include "run/run.h"

namespace tavlo {

/// What a finished run left undecided, or failed at, and a newer plan of the same things has an answer for.
struct Settlement {
    std::vector<PendingItem> items;  ///< under their numbers in the receipt
    bool complete = false;           ///< the plan does nothing besides
};
/// receipt  of a run that has ended and was not undone
/// errors   not_found; refused: it was undone, or has not ended
Result<Settlement> settlement_of(Store& store, const std::string& receipt, const Plan& plan);

/// Goes on with that run under its own receipt: what is settled is done, all else of it stays as it was.
Result<ReceiptHead> carry_on_settled(FileSystem& disk, Store& store, const std::string& receipt,
                                     const Settlement& settlement, const RunOptions& options = {},
                                     const RunEvents& events = {});

}  // namespace tavlo
