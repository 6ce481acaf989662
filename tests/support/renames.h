// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <map>
#include <memory>
#include <string>
#include <vector>

#include "support/jobs.h"

/// New names for things at some paths; all else in the sources is left as it is.
using NewNamesByPath = std::map<std::string, std::string>;

/// The plan of renames, with pairs that have to be read compared.
std::shared_ptr<const tavlo::Plan> plan_renames(const std::vector<std::string>& sources,
                                                const NewNamesByPath& names, tavlo::Policy policy = {});
