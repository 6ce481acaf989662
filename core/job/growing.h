// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <memory>
#include <string>

#include "job/prepare.h"
#include "keep/store.h"
#include "run/run.h"

namespace tavlo {

/// Why a job cannot be started before its batch is counted, in words; empty where it can. What comes later
/// must not be able to change what becomes of what came before: so not where several could want one name, nor
/// where folders are left out by what is in them, or things leave the destination.
std::string reason_to_wait(const Job& job);
std::string reason_to_wait(const Asked& asked);

/// How far the counting is.
struct Counted {
    std::uint64_t items = 0;
    std::uint64_t bytes = 0;  ///< of the files that arrive
    bool all = false;         ///< it has come to its end
};

/// Copies while the batch is still being counted: what collides with nothing and was counted is carried out,
/// in parts that grow, under one receipt; what collides comes last, by the job's policy, once everything is
/// known. Each part is in the journal before it begins. A run that is interrupted is recovered as far as it
/// was counted, and says of the rest that it was not.
/// counted  called after each part was counted
/// batch    gets all that was counted, for who wants to know what is left of it
/// errors   as prepare() and carry_out(); refused: see reason_to_wait(), or what prepare() would have refused
Result<ReceiptHead> carry_out_growing(FileSystem& disk, Store& store, const Asked& asked,
                                      const RunOptions& options = {}, const RunEvents& events = {},
                                      const std::function<void(const Counted&)>& counted = {},
                                      std::shared_ptr<const Batch>* batch = nullptr);

}  // namespace tavlo
