// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>

#include "keep/store.h"
#include "run/run.h"

namespace tavlo {

/// A run that begins now: the head of its receipt, with an id that no other has, and the lock of that id.
struct NewRun {
    ReceiptHead
        head;  ///< with all that it is to keep of how it was asked for, so that who goes on with it does
               ///< it alike
    RunLock lock;
};

/// make_id  an id is its second and four letters by chance: another run of that second may have been given the
///          same, and then another one is made
/// errors   those of the store; name_taken: no id was found
Result<NewRun> new_run(Store& store, Operation operation, const std::string& destination, bool may_lose,
                       const RunOptions& options,
                       const std::function<std::string(std::int64_t)>& make_id = new_receipt_id);

}  // namespace tavlo
