// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "undo/undo_plan.h"

namespace tavlo {

/// Whether a run gave things other names where they lie, so that its undo does the same.
bool renamed_in_place(UndoBasis& basis);

/// The undo of such a run: old names for what has new ones, planned as those were, so that rings come out
/// right; then what was overwritten comes back from the Safe to its name.
/// errors   a folder cannot be read
Result<Plan> plan_undo_renames(FileSystem& disk, UndoBasis& basis);

}  // namespace tavlo
