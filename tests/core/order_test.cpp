// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/order.h"

#include <rapidcheck.h>

#include <catch2/catch.hpp>
#include <map>
#include <numeric>

// In which order names are given up and taken.

using namespace tavlo;

namespace {

/// Does what the steps say with names that hold numbers, each call refusing to replace.
std::map<std::string, std::uint32_t> carried_out(const std::vector<Rename>& wanted, const Ordered& ordered) {
    std::map<std::string, std::uint32_t> holding;
    std::map<std::uint32_t, std::string> hidden;
    for (std::uint32_t which = 0; which < wanted.size(); ++which) holding[wanted[which].leaves] = which;
    for (const Ordered::Step& step : ordered.steps) {
        if (step.parks) {
            RC_ASSERT(holding.erase(wanted[step.which].leaves) == 1);
            RC_ASSERT(hidden.emplace(step.which, "").second);
            continue;
        }
        if (hidden.erase(step.which) == 0) {
            RC_ASSERT(holding.at(wanted[step.which].leaves) == step.which);
            holding.erase(wanted[step.which].leaves);
        }
        RC_ASSERT(holding.emplace(wanted[step.which].takes, step.which).second);  // the name is free
    }
    RC_ASSERT(hidden.empty());
    return holding;
}

}  // namespace

TEST_CASE("whatever names are exchanged, each finds free the one it takes, and only rings hide one of theirs",
          "[order]") {
    const bool holds = rc::check("exchanges", [] {
        const auto count = *rc::gen::inRange<std::uint32_t>(0, 12);
        std::vector<std::uint32_t> names(count + 4);  // some of them nobody holds
        std::iota(names.begin(), names.end(), 0U);
        std::vector<std::uint32_t> taken = names;
        for (std::size_t at = taken.size(); at > 1; --at)
            std::swap(taken[at - 1], taken[*rc::gen::inRange<std::size_t>(0, at)]);
        std::vector<Rename> wanted;
        for (std::uint32_t which = 0; which < count; ++which)
            wanted.push_back({std::to_string(which), std::to_string(taken[which])});
        const Ordered ordered = order(wanted);
        const auto after = carried_out(wanted, ordered);
        RC_ASSERT(after.size() == count);
        for (std::uint32_t which = 0; which < count; ++which)
            RC_ASSERT(after.at(std::to_string(taken[which])) == which);
        // a ring is what comes back to where it began; each has one that is hidden, and no more are
        std::size_t rings = 0;
        std::vector<bool> seen(count);
        for (std::uint32_t first = 0; first < count; ++first) {
            std::uint32_t at = first;
            while (at < count && !seen[at]) {
                seen[at] = true;
                at = taken[at];
                if (at == first) ++rings;
            }
        }
        RC_ASSERT(ordered.steps.size() == count + rings);
    });
    CHECK(holds);
}

TEST_CASE("what waits for nothing keeps its order", "[order]") {
    const std::vector<Rename> wanted{{"a", "1"}, {"b", "2"}, {"c", "3"}};
    CHECK(order(wanted).steps == std::vector<Ordered::Step>{{0, false}, {1, false}, {2, false}});
    const std::vector<Rename> chain{{"a", "b"}, {"b", "c"}, {"x", "y"}};
    CHECK(order(chain).steps == std::vector<Ordered::Step>{{1, false}, {0, false}, {2, false}});
    const std::vector<Rename> itself{{"a", "a"}};
    CHECK(order(itself).steps == std::vector<Ordered::Step>{{0, true}, {0, false}});
}
