// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>

#include "tasks/collision_rule.h"
#include "tasks/keeping.h"

/// What a person has set for the whole program; each stands beside what it is about as well.
struct Settings {
    int looks = 0;                                  ///< ThemeChoice
    bool without_waiting = false;                   ///< copies begin while they are counted
    CollisionRule first_rule = CollisionRule::ask;  ///< of a batch that begins anew; not `own`
    bool reads_back = false;       ///< whatever is written is read again from the disk, and compared
    std::uint64_t rate_limit = 0;  ///< bytes a second of all runs together; 0: none
    KeepingRules keeping{};

    static Settings load();
    void save() const;
};
