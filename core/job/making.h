// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "batch/batch.h"
#include "job/job.h"

namespace tavlo {

/// What a job that makes new folders has in hand: each of them once, parents before what is in them.
Batch folders_to_make(const Job& job);

}  // namespace tavlo
