// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "job/job.h"

#include "files/home.h"
#include "plan/traits.h"

namespace tavlo {

std::vector<std::string> folders_to_keep(const std::string& state_folder) {
    return {state_folder, home_folder()};
}

Wishes wishes_of(const Asked& asked) {
    const Job& job = asked.job;
    return {job.operation, job.policy,   asked.decisions, job.clearing,
            job.shelf,     job.may_lose, job.then_remove, job.look_elsewhere};
}

bool goes_elsewhere(const Job& job) {
    return job.operation == Operation::copy || job.operation == Operation::move ||
           job.operation == Operation::unpack || job.operation == Operation::pack;
}

bool same_places(const Job& one, const Job& other) {
    return one.shelf == other.shelf && one.what == other.what && one.into == other.into &&
           one.structure == other.structure && one.naming == other.naming &&
           one.look_elsewhere == other.look_elsewhere && goes_elsewhere(one) == goes_elsewhere(other) &&
           traits_of(one.operation).packs == traits_of(other.operation).packs &&
           one.then_remove == other.then_remove && (goes_elsewhere(one) || one.operation == other.operation);
}

}  // namespace tavlo
