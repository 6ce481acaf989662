// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "job/concerns.h"

#include "files/path.h"
#include "plan/traits.h"

namespace tavlo {

namespace {

bool is_there(FileSystem& disk, std::string path) {
    while (path.size() > 1 && path.ends_with('/')) path.pop_back();
    if (path == "/") return true;
    const auto folder = disk.open_folder(std::string(parent_of(path)));
    return folder && disk.status(*folder, std::string(name_of(path)));
}

bool says_what_to_do(const Policy& policy, Finding finding) {
    const auto at = static_cast<std::size_t>(finding);
    if (policy.when[at].value_or(policy.otherwise) != Decision::undecided) return true;
    if (finding == Finding::type || finding == Finding::twin || finding == Finding::elsewhere) return false;
    for (const auto& decision : policy.when_sized[at])
        if (decision.value_or(Decision::undecided) == Decision::undecided) return false;
    return true;
}

}  // namespace

std::vector<Finding> left_undecided(const Job& job) {
    std::vector<Finding> open;
    if (traits_of(job.operation).takes_away || job.operation == Operation::make)
        return open;  // no name is wanted
    for (const Finding finding :
         {Finding::same, Finding::newer, Finding::older, Finding::same_date, Finding::type, Finding::twin})
        if (!says_what_to_do(job.policy, finding)) open.push_back(finding);
    const auto& elsewhere = job.policy.when[static_cast<std::size_t>(Finding::elsewhere)];
    if (job.look_elsewhere && elsewhere == Decision::undecided) open.push_back(Finding::elsewhere);
    return open;
}

std::vector<Concern> concerns_of(FileSystem& disk, const SavedJob& job, std::int64_t now_ns) {
    std::vector<Concern> concerns;
    for (std::size_t at = 0; at < job.steps.size(); ++at) {
        const auto* step = std::get_if<Job>(&job.steps[at].what);
        if (step == nullptr || job.steps[at].off) continue;
        for (const auto& source : at_time(*step, job.name, now_ns).what.sources)
            if (!is_there(disk, source))
                concerns.push_back({at, Concern::About::source_is_missing, source, {}});
        if (auto open = left_undecided(*step); !open.empty())
            concerns.push_back({at, Concern::About::leaves_undecided, {}, std::move(open)});
    }
    return concerns;
}

}  // namespace tavlo
