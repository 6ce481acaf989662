// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "survey/verdicts.h"

#include <map>
#include <random>
#include <vector>

#include "support/catch.h"

using namespace tavlo;

// However many there are and in whatever order they come, a key says what was learned of it last.

TEST_CASE("verdicts on very many keys are those that were learned last, also of keys that nearly agree",
          "[compared]") {
    std::mt19937_64 random(20310115);
    std::map<HashKey, bool> model;
    Verdicts verdicts;
    std::vector<HashKey> asked;
    for (int count = 0; count < 60'000; ++count) {
        HashKey key{random() % 3000, (random() % 3000) << 1};  // neighbours, and many that come again
        if (count % 7 == 0 && !asked.empty()) key = asked[random() % asked.size()];
        const bool verdict = random() % 2 == 0;
        verdicts.learn(key, verdict);
        model[key] = verdict;
        asked.push_back(key);
        if (count % 997 == 0)
            for (const auto& [of, is] : model) REQUIRE(verdicts.of(of) == is);
    }
    for (const auto& [of, is] : model) REQUIRE(verdicts.of(of) == is);
    // very many at once, some of them twice
    for (const int many : {100, 20'000}) {
        std::vector<std::pair<HashKey, bool>> at_once;
        for (int count = 0; count < many; ++count) {
            const HashKey key = count % 3 == 0 ? asked[random() % asked.size()]
                                               : HashKey{random() % 3000, (random() % 3000) << 1};
            at_once.emplace_back(key, random() % 2 == 0);
            model[key] = at_once.back().second;
        }
        verdicts.learn(at_once);
        for (const auto& [of, is] : model) REQUIRE(verdicts.of(of) == is);
    }
    int strangers = 0;
    for (int count = 0; count < 20'000; ++count) {
        const HashKey key{random() % 3000, (random() % 3000) << 1};
        if (model.contains(key)) continue;
        ++strangers;
        REQUIRE_FALSE(verdicts.of(key).has_value());
    }
    CHECK(strangers > 10'000);
    CHECK_FALSE(Verdicts().of({1, 2}).has_value());
}

TEST_CASE("verdicts on keys that lie evenly, and on the least and the greatest there can be", "[compared]") {
    std::mt19937_64 random(20310116);
    constexpr std::uint64_t greatest = ~std::uint64_t{1};  // the lowest bit is no part of a key
    std::map<HashKey, bool> model{{{0, 0}, true},
                                  {{0, greatest}, false},
                                  {{~std::uint64_t{0}, 0}, false},
                                  {{~std::uint64_t{0}, greatest}, true}};
    for (int count = 0; count < 30'000; ++count) model[{random(), random() << 1U}] = random() % 2 == 0;
    Verdicts verdicts;
    verdicts.learn({model.begin(), model.end()});
    for (const auto& [key, verdict] : model) {
        REQUIRE(verdicts.of(key) == verdict);
        REQUIRE_FALSE(verdicts.of({key.high, key.low ^ 2U}).has_value());
    }
    for (int count = 0; count < 30'000; ++count)
        REQUIRE_FALSE(verdicts.of({random(), random() << 1U}).has_value());
}
