// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "batch/batch.h"
#include "facts/known_file_facts.h"
#include "job/job.h"
#include "layout/layout.h"

namespace tavlo {

/// Whether something of it is known only once the files of the batch have told: folders to sort into, names
/// by a pattern.
bool needs_file_facts(const Job& job);

/// The batch with the folders that its files go into, by the job's pattern.
/// errors   refused: the pattern means nothing
Result<Sorted> sort_by_facts(const Asked& asked, const Batch& batch, std::int64_t now_ns, bool folds_case);

}  // namespace tavlo
