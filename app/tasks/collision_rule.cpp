// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/collision_rule.h"

using namespace tavlo;

Policy policy_for(CollisionRule rule) {
    const auto when = [](Policy& policy, Finding finding, Decision decision) {
        policy.when[static_cast<std::size_t>(finding)] = decision;
    };
    Policy policy;
    switch (rule) {
        case CollisionRule::ask:
            when(policy, Finding::same, Decision::skip);
            break;  // nothing would change: not worth a question
        case CollisionRule::keep: policy.otherwise = Decision::skip; break;
        case CollisionRule::newer_wins:
            when(policy, Finding::newer, Decision::overwrite);
            when(policy, Finding::older, Decision::skip);
            when(policy, Finding::same, Decision::skip);
            break;
        case CollisionRule::larger_wins:
            for (auto& sized : policy.when_sized) {
                sized[static_cast<std::size_t>(SizeRelation::larger)] = Decision::overwrite;
                sized[static_cast<std::size_t>(SizeRelation::smaller)] = Decision::skip;
            }
            when(policy, Finding::same, Decision::skip);
            break;
        case CollisionRule::bring_up_to_date:
            when(policy, Finding::same, Decision::skip);
            when(policy, Finding::older, Decision::skip);
            when(policy, Finding::newer, Decision::overwrite);
            break;
        case CollisionRule::own: break;
        case CollisionRule::incoming_wins:
            policy.otherwise = Decision::overwrite;
            when(policy, Finding::same, Decision::skip);
            break;
        case CollisionRule::both_stay:
            policy.otherwise = Decision::rename;
            when(policy, Finding::same, Decision::skip);
            break;
    }
    return policy;
}

CollisionRule rule_of(const Policy& policy) {
    for (int at = 0; at < collision_rule_count; ++at) {
        const auto rule = static_cast<CollisionRule>(at);
        Policy known = policy_for(rule);
        constexpr auto elsewhere = static_cast<std::size_t>(Finding::elsewhere);
        known.when[elsewhere] = policy.when[elsewhere];  // which says nothing of names that are taken
        const bool is_it = known.otherwise == policy.otherwise && known.when == policy.when &&
                           known.when_sized == policy.when_sized;
        if (rule != CollisionRule::own && is_it) return rule;
    }
    return CollisionRule::own;
}
