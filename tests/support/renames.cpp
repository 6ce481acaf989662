// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "support/renames.h"

using namespace tavlo;

std::shared_ptr<const Plan> plan_renames(const std::vector<std::string>& sources, const NewNamesByPath& names,
                                         Policy policy) {
    const auto disk = make_disk();
    const auto batch = std::make_shared<const Batch>(value(gather(*disk, sources)));
    const auto wanted = [&](EntryId id) -> std::optional<Wanted> {
        const auto found = names.find(batch->source_path(batch->entries[id]));
        return found == names.end() ? std::nullopt : std::optional(Wanted{found->second});
    };
    Wishes wishes;
    wishes.operation = Operation::rename;
    wishes.policy = policy;
    KnownContents known;
    const auto plan = value(look_ahead_in_place(*disk, wishes, batch, wanted, known)).plan;
    if (plan->not_compared.empty()) return plan;
    REQUIRE(compare_pairs(*disk, *plan, known, nullptr));
    return value(look_ahead_in_place(*disk, wishes, batch, wanted, known)).plan;
}
