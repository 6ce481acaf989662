#pragma once

// Inside job/ only, as job/members.h is.

#include "job/members.h"
#include "names/steps.h"

namespace tavlo {

/// "names": a list of steps in their order, each an object with one member, named as its option is; beside it "whole_names", "count_from",
/// "count_by".
void put_naming(Json& json, const Naming& naming);
Naming read_naming(Members& members);

}  // namespace tavlo
