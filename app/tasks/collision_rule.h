// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "plan/policy.h"

/// What happens where a name is taken, as the instruction line offers it.
enum class CollisionRule {
    ask,
    keep,
    newer_wins,
    larger_wins,
    incoming_wins,
    both_stay,
    bring_up_to_date,
    own
};
inline constexpr int collision_rule_count = 8;

/// What it means for each finding; of `own` nothing, which a person says.
tavlo::Policy policy_for(CollisionRule rule);
/// The rule that a policy is; `own` where it is none of the others.
CollisionRule rule_of(const tavlo::Policy& policy);
