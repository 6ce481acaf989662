// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>
#include <vector>

#include "plan/plan.h"

namespace tavlo {

/// The places that a run reads and writes, for other runs, which take no folder away from under it. Absolute
/// paths; one that ends in '/' is a folder with all that is in it.
/// roots  of the plan: the folders that its things lie in and come into
std::vector<std::string> places_in_use(const Plan& plan, const std::vector<std::string>& roots);

/// Whether a folder holds one of these places, or lies in one that is meant with all that is in it. Folders
/// are known as things, whatever links lead there; a place that is not there yet counts as where it will be.
bool is_in_use(FileSystem& disk, const Handle& folder, const std::vector<std::string>& places);

}  // namespace tavlo
