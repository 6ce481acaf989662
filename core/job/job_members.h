// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

// Inside job/ only, as job/members.h is.

#include "job/job.h"
#include "job/members.h"
#include "names/steps.h"

namespace tavlo {

/// "names": a list of steps in their order, each an object with one member, named as its option is; beside it
/// "whole_names", "count_from", "count_by".
void put_naming(Json& json, const Naming& naming);
Naming read_naming(Members& members);

/// All that a job is, as members of an object. Whoever reads them looks for what is left over
/// (Members::end()).
void put_job(Json& json, const Job& job);
Job read_job(Members& members);

}  // namespace tavlo
