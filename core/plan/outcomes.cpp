// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <algorithm>
#include <unordered_map>
#include <unordered_set>

#include "plan/plan.h"

// What another rule would come to, before there is a plan by it.

namespace tavlo {

namespace {

/// Folders of the batch that become one, in the way of which something stands: what the first comes to
/// decides whether the others meet it.
bool folders_hang_together(const Plan& plan) {
    std::unordered_set<FolderId> colliding;
    for (const ItemId id : plan.colliding)
        if (plan.items[id].inside != no_folder && !plan.items[id].collision->shared)
            colliding.insert(plan.items[id].inside);
    if (colliding.empty()) return false;
    std::unordered_set<FolderId> seen;
    return std::any_of(plan.items.begin(), plan.items.end(), [&](const Item& item) {
        return colliding.contains(item.inside) && !seen.insert(item.inside).second;
    });
}

}  // namespace

std::optional<std::vector<Outcome>> outcomes_by(const Plan& plan, const Wishes& before, const Wishes& now) {
    const bool alike = before.operation == now.operation && before.clearing == now.clearing &&
                       before.policy.adapt_names == now.policy.adapt_names;
    if (!alike || folders_hang_together(plan)) return std::nullopt;
    std::vector<Outcome> outcomes;
    std::unordered_map<ItemId, Outcome> of_folders;
    outcomes.reserve(plan.colliding.size());
    for (const ItemId id : plan.colliding) {
        const Item& item = plan.items[id];
        const Pair pair = plan.pair(item);
        const PairDecision* single =
            now.decisions.empty() ? nullptr : now.decisions.find(plan.source_path(item), pair);
        const bool makes_room = item.collision->renames_held || (single != nullptr && single->renames_held);
        if (item.collision->finding == Finding::twin || makes_room) return std::nullopt;
        Outcome outcome = item.outcome;
        if (item.collision->shared) {
            const Outcome folder = of_folders.at(item.parent);
            const bool follows = folder == Outcome::skipped || folder == Outcome::undecided;
            if (outcome != Outcome::failed) outcome = follows ? folder : Outcome::created;
        } else if (item.collision->finding == Finding::elsewhere) {
            outcome = now.policy.of_elsewhere(
                single != nullptr ? *single->decision : now.policy.decide(pair, Finding::elsewhere),
                single != nullptr);
        } else if (outcome != Outcome::failed || item.collision->held_stays) {
            switch (single != nullptr ? *single->decision
                                      : now.policy.decide(pair, item.collision->finding)) {
                case Decision::undecided: outcome = Outcome::undecided; break;
                case Decision::skip: outcome = Outcome::skipped; break;
                case Decision::overwrite:
                    outcome = item.collision->held_stays ? Outcome::failed : Outcome::overwritten;
                    break;
                case Decision::rename: outcome = Outcome::renamed; break;
            }
        }
        if (item.inside != no_folder) of_folders.emplace(id, outcome);
        outcomes.push_back(outcome);
    }
    return outcomes;
}

}  // namespace tavlo
