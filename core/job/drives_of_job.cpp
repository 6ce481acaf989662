// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "job/drives_of_job.h"

#include "files/drives.h"

namespace tavlo {

std::set<std::uint64_t> drives_of(const Job& job) {
    std::set<std::uint64_t> drives;
    if (goes_elsewhere(job)) drives.merge(drives_below(job.into));
    for (const auto& source : job.what.sources) drives.merge(drives_below(source));
    return drives;
}

}  // namespace tavlo
