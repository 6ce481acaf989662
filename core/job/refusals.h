// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <vector>

#include "job/prepare.h"

// Why a plan may not be run at all. What is known beforehand is refused beforehand.

namespace tavlo {

/// A folder into itself, by whatever way: links and mounts are seen through.
void refuse_into_itself(const Plan& plan, const Structure& structure, const Destination& destination,
                        std::vector<Error>& refusals);
/// Of folders in one another the outermost says it for all.
void keep_outermost(std::vector<Error>& refusals);
void refuse_onto_itself(const Plan& plan, std::vector<Error>& refusals);
/// What leaves the destination must not be a source, nor hold one, by whatever way it is reached.
void refuse_leaving_sources(const Plan& plan, const Destination& destination, Clearing clearing,
                            std::vector<Error>& refusals);
/// As allocated, and in entries.
void refuse_without_room(const Plan& plan, const Destination& destination, std::vector<Error>& refusals);

}  // namespace tavlo
