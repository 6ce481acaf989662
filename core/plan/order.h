// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <span>
#include <vector>

#include "plan/place_table.h"

namespace tavlo {

struct Plan;

/// One that gives a name up and takes another. No two give up, or take, the same one.
struct Rename {
    PlaceId leaves = placeless;  ///< placeless, both of them: it stays, and is in nobody's way
    PlaceId takes = placeless;
};

/// For what takes a name that may be held by itself, as one that differs in case alone: it waits under a
/// hidden one in between.
inline Rename by_a_hidden_name(PlaceId place) { return {place, place}; }

/// In which order they can be done one by one, so that each finds the name free that it takes.
struct Ordered {
    struct Step {
        std::uint32_t which = 0;  ///< in what was asked for
        /// It only gives its name up, and waits under a hidden one: its other step comes once the name that
        /// it takes is free.
        bool parks = false;
        bool operator==(const Step&) const = default;
    };
    std::vector<Step> steps;
};

/// As they were given, but for those that wait for one that comes later: that one goes first. Of a cycle the
/// one that comes first parks.
/// places  how many there are
Ordered order(std::span<const Rename> wanted, std::size_t places);

/// Where bytes come out of archives: the order in which a plan is best carried out, folders first, then as
/// things lie in the archives, so that each is gone through once. Twins that are to replace one another keep
/// theirs. Empty: its own order is as good.
std::vector<Ordered::Step> in_reading_order(const Plan& plan);

}  // namespace tavlo
