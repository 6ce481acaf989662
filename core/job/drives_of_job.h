// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <set>

#include "job/job.h"

namespace tavlo {

/// The drives that a job reads from and writes to, as its places lie now. Looks at the disk, and may wait for
/// a slow mount.
std::set<std::uint64_t> drives_of(const Job& job);

}  // namespace tavlo
