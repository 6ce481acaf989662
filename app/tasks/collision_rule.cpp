#include "tasks/collision_rule.h"

using namespace tavlo;

Rules rules_for(CollisionRule rule) {
    const auto when = [](Rules& rules, Finding finding, Decision decision) { rules.when[static_cast<std::size_t>(finding)] = decision; };
    Rules rules;
    switch (rule) {
        case CollisionRule::ask: when(rules, Finding::same, Decision::skip); break;  // nothing would change: not worth a question
        case CollisionRule::keep: rules.otherwise = Decision::skip; break;
        case CollisionRule::newer_wins:
            when(rules, Finding::newer, Decision::overwrite);
            when(rules, Finding::older, Decision::skip);
            when(rules, Finding::same, Decision::skip);
            break;
        case CollisionRule::larger_wins:
            for (auto& sized : rules.when_sized) {
                sized[static_cast<std::size_t>(SizeRelation::larger)] = Decision::overwrite;
                sized[static_cast<std::size_t>(SizeRelation::smaller)] = Decision::skip;
            }
            when(rules, Finding::same, Decision::skip);
            break;
        case CollisionRule::bring_up_to_date:
            when(rules, Finding::same, Decision::skip);
            when(rules, Finding::older, Decision::skip);
            when(rules, Finding::newer, Decision::overwrite);
            break;
        case CollisionRule::own: break;
        case CollisionRule::incoming_wins:
            rules.otherwise = Decision::overwrite;
            when(rules, Finding::same, Decision::skip);
            break;
        case CollisionRule::both_stay:
            rules.otherwise = Decision::rename;
            when(rules, Finding::same, Decision::skip);
            break;
    }
    return rules;
}
