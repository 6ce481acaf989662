// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <optional>

#include "job/job.h"
#include "models/filter_state.h"

/// A filter as a job says it, whenever it runs; nullopt: it asks for what a job cannot ask for (an owner, the
/// case of letters). Without sources.
std::optional<tavlo::Selection> selection_of(const FilterState& filter);
