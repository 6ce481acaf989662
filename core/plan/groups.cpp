// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/groups.h"

#include <algorithm>
#include <cstdlib>
#include <map>

#include "files/path.h"
#include "names/names.h"

namespace tavlo {

bool is_own_collision(const Item& item) {
    return item.collision && !item.collision->shared && item.outcome != Outcome::failed;
}

std::optional<SizeRelation> size_relation(const Plan& plan, const Item& item) {
    const FileState& incoming = plan.entry(item).status;
    const FileState& held = item.collision->held;
    if (incoming.type != FileType::file || held.type != FileType::file) return std::nullopt;
    if (incoming.id.size_bytes == held.id.size_bytes) return SizeRelation::same_size;
    return incoming.id.size_bytes < held.id.size_bytes ? SizeRelation::smaller : SizeRelation::larger;
}

std::vector<CollisionGroup> collision_groups(const Plan& plan,
                                             const std::function<std::string(const Item&)>& part,
                                             const std::function<bool(const Item&)>& wanted) {
    std::map<std::pair<int, std::string>, CollisionGroup> groups;
    for (const ItemId id : plan.colliding) {
        const Item& item = plan.items[id];
        if (!is_own_collision(item) || (wanted && !wanted(item))) continue;
        const auto& finding = item.collision->finding;
        std::string cut = part ? part(item) : std::string();
        CollisionGroup& group = groups[{finding ? static_cast<int>(*finding) : finding_count, cut}];
        group.finding = finding;
        group.part = std::move(cut);
        group.items.push_back(id);
        ++group.decided[static_cast<std::size_t>(item.collision->decision)];
        if (item.collision->by_hand) ++group.by_hand;
        const Identity& incoming = plan.entry(item).status.id;
        const Identity& held = item.collision->held.id;
        const auto gap = incoming.modified_ns - held.modified_ns;
        if (std::abs(gap) > std::abs(group.widest_gap_ns)) group.widest_gap_ns = gap;
        if (!size_relation(plan, item)) continue;
        group.incoming_bytes += incoming.size_bytes;
        if (!item.collision->held_by_batch) group.held_bytes += held.size_bytes;
        const auto larger =
            static_cast<std::int64_t>(incoming.size_bytes) - static_cast<std::int64_t>(held.size_bytes);
        if (std::abs(larger) > std::abs(group.widest_bytes)) group.widest_bytes = larger;
    }
    std::vector<CollisionGroup> out;
    for (auto& [key, group] : groups) out.push_back(std::move(group));
    return out;
}

std::vector<ItemId> twins_of(const Plan& plan, ItemId item) {
    const auto name_of = [&](const Item& one) {
        return plan.folds_case ? folded(plan.name(one)) : plan.name(one);
    };
    const FolderId folder = plan.items[item].folder;
    const std::string name = name_of(plan.items[item]);
    std::vector<ItemId> twins;
    for (const ItemId id : plan.colliding) {
        const Item& other = plan.items[id];
        if (is_own_collision(other) && other.collision->finding == Finding::twin && other.folder == folder &&
            name_of(other) == name)
            twins.push_back(id);
    }
    return twins;
}

std::string proposed_name(const Plan& plan, const Survey& survey, ItemId id, const NewNames& scheme,
                          bool of_held) {
    const Item& item = plan.items[id];
    const FileState& incoming = plan.entry(item).status;
    const FileState& status = of_held ? item.collision->held : incoming;
    const FolderTree& folders = of_held ? plan.targets : plan.batch->folders;
    const FolderId folder = of_held ? item.folder : plan.entry(item).folder;
    const HeldFolder* held = survey.folder(plan.standing ? *plan.standing : plan.targets, item.folder);
    return free_name(
        plan.name(item), status.type, scheme,
        {status.id.modified_ns, std::string(name_of(folders.path(folder)))},
        [&](const std::string& name) {
            return name == plan.name(item) || (held != nullptr && held->find(name) != nullptr);
        },
        survey.root(item.folder).volume.max_name_bytes);
}

std::vector<std::pair<ItemId, PairDecision>> give_name_to(const Plan& plan, ItemId twin) {
    std::vector<std::pair<ItemId, PairDecision>> decisions;
    for (const ItemId id : twins_of(plan, twin)) {
        const Collision& collision = *plan.items[id].collision;
        const bool in_the_way = collision.decision == Decision::undecided ||
                                collision.decision == Decision::overwrite || !collision.by_hand;
        if (id == twin)
            decisions.emplace_back(id, PairDecision{{}, Decision::overwrite});
        else if (in_the_way)
            decisions.emplace_back(id, PairDecision{{}, Decision::skip});
    }
    return decisions;
}

std::optional<RuleOfDecisions> rule_of_decisions(const Plan& plan) {
    using Counts = std::array<std::uint64_t, 4>;
    std::array<std::array<Counts, size_relation_count>, finding_count> sized{};
    std::array<Counts, finding_count> all{};
    RuleOfDecisions out;
    for (const ItemId id : plan.colliding) {
        const Item& item = plan.items[id];
        if (!is_own_collision(item) || !item.collision->by_hand || !item.collision->finding) continue;
        const Finding met = *item.collision->finding;
        if (met == Finding::twin || item.collision->renames_held) continue;  // that is about these alone
        if (met == Finding::elsewhere) continue;                             // no name is taken
        const auto finding = static_cast<std::size_t>(*item.collision->finding);
        const auto decision = static_cast<std::size_t>(item.collision->decision);
        ++out.taken;
        ++all[finding][decision];
        if (const auto relation = size_relation(plan, item))
            ++sized[finding][static_cast<std::size_t>(*relation)][decision];
    }
    if (out.taken == 0) return std::nullopt;
    const auto most = [](const Counts& counts) {
        return std::max_element(counts.begin(), counts.end()) - counts.begin();
    };
    const auto sum = [](const Counts& counts) {
        std::uint64_t in_all = 0;
        for (const auto count : counts) in_all += count;
        return in_all;
    };
    for (std::size_t finding = 0; finding < finding_count; ++finding) {
        if (sum(all[finding]) == 0) continue;
        const auto chosen = most(all[finding]);
        const auto agreeing = all[finding][static_cast<std::size_t>(chosen)];
        std::uint64_t agreeing_by_size = sum(all[finding]);
        for (const Counts& counts : sized[finding])
            agreeing_by_size -= sum(counts) - *std::max_element(counts.begin(), counts.end());
        out.policy.when[finding] = static_cast<Decision>(chosen);
        // sizes only where they tell apart what the finding alone does not
        if (agreeing_by_size > agreeing)
            for (std::size_t relation = 0; relation < size_relation_count; ++relation)
                if (sum(sized[finding][relation]) > 0)
                    out.policy.when_sized[finding][relation] =
                        static_cast<Decision>(most(sized[finding][relation]));
        out.covered += std::max(agreeing, agreeing_by_size);
    }
    return out.covered * 10 >= out.taken * 9 ? std::optional(out) : std::nullopt;
}

}  // namespace tavlo
