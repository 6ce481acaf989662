// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "batch/batch.h"
#include "job/job.h"
#include "layout/layout.h"
#include "names/steps.h"

namespace tavlo {

/// The names that a batch is to have by a job's steps, and what could not be met.
struct NamesGiven {
    WantedName wanted;
    std::vector<Error> misses;  ///< lines of tables that fit nothing
};

/// Goes through the batch once, in its order. In a rename each thing that is to have another name is meant:
/// what was named, or, with Structure::contents, what is in it; on the way (copy, move) files and links are.
/// errors  as Namer::make()
Result<NamesGiven> give_names(const Asked& asked, const Batch& batch, std::int64_t now_ns);

}  // namespace tavlo
