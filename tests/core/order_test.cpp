// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/order.h"

#include <rapidcheck.h>

#include <map>
#include <numeric>

#include "support/catch.h"

// In which order names are given up and taken.

using namespace tavlo;

namespace {

/// Does what the steps say with names that hold numbers, each call refusing to replace.
std::map<PlaceId, std::uint32_t> carried_out(const std::vector<Rename>& wanted, const Ordered& ordered) {
    std::map<PlaceId, std::uint32_t> holding;
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
        for (std::uint32_t which = 0; which < count; ++which) wanted.push_back({which, taken[which]});
        const Ordered ordered = order(wanted, names.size());
        const auto after = carried_out(wanted, ordered);
        RC_ASSERT(after.size() == count);
        for (std::uint32_t which = 0; which < count; ++which) RC_ASSERT(after.at(taken[which]) == which);
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

TEST_CASE("what waits for nothing keeps its order, and what stays is in nobody's way", "[order]") {
    using Steps = std::vector<Ordered::Step>;
    const std::vector<Rename> wanted{{0, 3}, {1, 4}, {2, 5}};
    CHECK(order(wanted, 6).steps == Steps{{0, false}, {1, false}, {2, false}});
    const std::vector<Rename> chain{{0, 1}, {1, 2}, {3, 4}};
    CHECK(order(chain, 5).steps == Steps{{1, false}, {0, false}, {2, false}});
    const std::vector<Rename> itself{by_a_hidden_name(0)};
    CHECK(order(itself, 1).steps == Steps{{0, true}, {0, false}});
    const std::vector<Rename> stays{{}, {0, 1}, {}};
    CHECK(order(stays, 2).steps == Steps{{0, false}, {1, false}, {2, false}});
}

TEST_CASE("a place is a name in a folder, whatever bytes it has", "[order]") {
    PlaceTable places;
    const PlaceId one = places.at(1, "a");
    CHECK(places.at(1, "a") == one);
    CHECK(places.at(2, "a") != one);
    CHECK(places.at(1, "a/b") != places.at(1, std::string_view("a\0b", 3)));
    CHECK(places.at(1, "") != one);
    CHECK(places.size() == 5);
    for (int number = 0; number < 5000; ++number) places.at(3, std::to_string(number));  // and as it grows
    CHECK(places.at(1, std::string("a")) == one);
    CHECK(places.at(3, "4711") == 5 + 4711);
}
