// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <string>
#include <vector>

#include "files/file_system.h"
#include "keep/store.h"
#include "run/run.h"

namespace tavlo {

struct Recovered {
    std::vector<ReceiptHead> completed;  ///< runs that were gone on with to their end
    std::vector<std::string> alive;      ///< runs that another process is carrying out: left alone
    std::vector<Error> problems;         ///< runs that could not be looked at
};

/// Goes on with every run that did not come to its end: finishes or takes back what was open when it was
/// interrupted, by what the journal noted and what the disk says, then carries out the rest. Safe to repeat,
/// and to be killed itself (promise 6).
/// errors   the journal cannot be read
Result<Recovered> recover(FileSystem& disk, Store& store, const RunOptions& options = {},
                          const RunEvents& events = {});

/// The same for one run.
/// errors   name_taken: it is still going on; not_found
Result<ReceiptHead> resume(FileSystem& disk, Store& store, const std::string& receipt,
                           const RunOptions& options = {}, const RunEvents& events = {});

/// The same, by whoever holds the run's lock.
Result<ReceiptHead> resume_held(FileSystem& disk, Store& store, const std::string& receipt,
                                const RunOptions& options = {}, const RunEvents& events = {});

/// Runs that were interrupted (not stopped by somebody) and that no process is carrying out, oldest first.
Result<std::vector<ReceiptHead>> interrupted_runs(Store& store);

}  // namespace tavlo
