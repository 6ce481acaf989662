// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <optional>

#include "job/job.h"

namespace tavlo {

/// Why a job means nothing as it stands, whatever is on the disk: what is missing, what excludes one another,
/// words that say nothing. `path` is the member that it is about ("sort_into"), `step` says why.
std::optional<Error> objection_to(const Job& job, std::int64_t now_ns);

}  // namespace tavlo
