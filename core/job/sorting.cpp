// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "job/sorting.h"

#include <algorithm>

#include "facts/entry_facts.h"

namespace tavlo {

bool needs_file_facts(const Job& job) {
    const auto needs = [](const Result<Pattern>& pattern) { return pattern && pattern->uses_file_facts(); };
    const auto& steps = job.naming.steps;
    return (!job.structure.sort_into.empty() && needs(Pattern::parse_folders(job.structure.sort_into))) ||
           std::any_of(steps.begin(), steps.end(), [&](const NameStep& step) {
               const auto* anew = std::get_if<NameAs>(&step);
               return anew != nullptr && needs(Pattern::parse(anew->pattern));
           });
}

Result<Sorted> sort_by_facts(const Asked& asked, const Batch& batch, std::int64_t now_ns, bool folds_case) {
    const Job& job = asked.job;
    const auto pattern = Pattern::parse_folders(job.structure.sort_into);
    if (!pattern) return failure(Fault::refused, pattern.error().step, "sort_into");
    auto kinds = load_kinds();
    if (!kinds) return failure(kinds.error());
    const EntryFacts facts(batch, std::move(*kinds), now_ns, asked.facts, asked.said);
    std::uint64_t n = job.naming.count_from;
    const auto folder_for = [&](EntryId id) {
        std::string folder = pattern->fill_folders(
            [&](std::string_view fact) { return facts.find(id, batch.entries[id].name, n, fact); });
        n += job.naming.count_by;
        return folder;
    };
    return sort(batch, job.into, folder_for, folds_case);
}

}  // namespace tavlo
