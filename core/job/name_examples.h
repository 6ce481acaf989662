// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <string>
#include <vector>

#include "job/job.h"
#include "plan/plan.h"

namespace tavlo {

/// What becomes of one name by each of a job's steps.
struct NameExample {
    std::string was;
    std::vector<std::string> after{};  ///< by step, up to the one that fails
    std::string problem{};             ///< why that one does
    bool collides = false;             ///< what comes of it is taken
};

/// Of a plan with new names the few that tell most: the first, the longest, one with other letters than a to
/// z, one without an extension, and those that collide.
std::vector<NameExample> name_examples(const Job& job, const Plan& plan, std::int64_t now_ns);

}  // namespace tavlo
