// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstddef>
#include <string>
#include <vector>

#include "files/file_system.h"
#include "job/saved_job.h"
#include "plan/words.h"

namespace tavlo {

/// What somebody should know of a saved job before it runs with nobody there.
struct Concern {
    enum class About : std::uint8_t {
        source_is_missing,  ///< `path`, as it would be just now
        leaves_undecided,   ///< `findings`: where a name is taken so, both stay as they are until somebody
                            ///< looks
    };
    std::size_t step = 0;  ///< from 0
    About about;
    std::string path{};
    std::vector<Finding> findings{};
    bool operator==(const Concern&) const = default;
};

/// Of the steps that are not switched off.
std::vector<Concern> concerns_of(FileSystem& disk, const SavedJob& job, std::int64_t now_ns);

/// Where a name is taken, the findings that a job's policy says nothing about.
std::vector<Finding> left_undecided(const Job& job);

}  // namespace tavlo
