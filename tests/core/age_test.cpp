// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "keep/age.h"

#include "support/catch.h"
#include "support/jobs.h"
#include "support/temp_folder.h"

using namespace tavlo;
using Reading = Timekeeper::Reading;

namespace {

constexpr std::int64_t hour = 3'600'000'000'000;
constexpr std::int64_t day = 24 * hour;
constexpr std::int64_t today = 24'000 * day;

SafeEntry set_aside_at(const Reading& time) {
    SafeEntry entry;
    entry.set_aside_ns = time.wall_ns;
    entry.since_boot_ns = time.since_boot_ns;
    entry.boot = time.boot;
    return entry;
}

class SetClock final : public Timekeeper {
public:
    Reading now{today, hour, "one"};
    Reading read() const override { return now; }
};

}  // namespace

TEST_CASE("a version's age is told by clocks that went on as time does, and by no other", "[age]") {
    const Reading then{today, hour, "one"};
    const SafeEntry version = set_aside_at(then);

    SECTION("in the same start of the machine by the clock that nobody sets") {
        CHECK(Ages({then}, {today + 3 * day, hour + 3 * day, "one"}).of(version) == 3 * day);
        CHECK(Ages({then}, {today + 9000 * day, hour + 60, "one"}).of(version) ==
              60);  // put on by years: it is a moment old
        CHECK(Ages({then}, {today - 9000 * day, hour + 60, "one"}).of(version) == 60);
    }
    SECTION("after another start by the one on the wall, where it has not leapt on the way") {
        CHECK(Ages({then}, {today + 20 * day, hour, "two"}).of(version) == 20 * day);
        // put right before the machine was switched off, and noted then
        CHECK_FALSE(Ages({then, {today + 9000 * day, 2 * hour, "one"}}, {today + 9001 * day, hour, "two"})
                        .of(version));
        // or with the machine off: nobody leaves one alone for years, and it is not believed
        CHECK_FALSE(Ages({then}, {today + 9000 * day, hour, "two"}).of(version));
        // ordinary starts, day after day, add up
        std::vector<Reading> days{then};
        for (int i = 1; i < 400; ++i) days.push_back({today + i * day, hour, "start " + std::to_string(i)});
        CHECK(Ages(days, {today + 400 * day, hour, "last"}).of(version) == 400 * day);
        // what leapt before it was set aside says nothing
        CHECK(Ages({{0, 0, "zero"}, then}, {today + 20 * day, hour, "two"}).of(version) == 20 * day);
    }
    SECTION("one of a time that is yet to come has none") {
        CHECK_FALSE(Ages({then}, {today - day, hour, "two"}).of(version));
    }
    SECTION("one from before readings were noted goes by its date") {
        CHECK(Ages({}, {today + 20 * day, hour, "two"}).of(set_aside_at({today, 0, ""})) == 20 * day);
        CHECK_FALSE(Ages({}, {today - day, hour, "two"}).of(set_aside_at({today, 0, ""})));
    }
}

TEST_CASE("emptying by age keeps what is younger, however large the age, and says what it cannot tell",
          "[disk][safe]") {
    TempFolder temp("/dev/shm");
    temp.write("from/a", "incoming");
    temp.write("to/a", "held, and longer");
    SetClock clock;
    const auto disk = make_disk();
    auto store = value(Store::open(temp.path("state"), clock));
    const auto plan =
        value(prepare(*disk, with(copy({temp.path("from/a")}, temp.path("to")), Decision::overwrite))).plan;
    REQUIRE(value(carry_out(*disk, *store, *plan, {})).totals.of(Outcome::overwritten) == 1);
    clock.now.since_boot_ns += 2 * day;
    clock.now.wall_ns += 2 * day;
    for (const std::uint64_t days :
         {std::uint64_t{3}, std::uint64_t{150'000}, std::uint64_t{1} << 62U, UINT64_MAX})
        CHECK(value(empty_safe(*disk, *store, days)).removed.empty());
    clock.now = {today - day, hour, "two"};  // a battery is flat: the clock is back before it
    const Emptied kept = value(empty_safe(*disk, *store, 0));
    CHECK(kept.removed.empty());
    REQUIRE(kept.problems.size() == 1);
    CHECK(kept.problems[0].path == temp.path("to/a"));
    clock.now = {today + 2 * day + hour, 3 * day, "one"};
    CHECK(value(empty_safe(*disk, *store, 2)).removed.size() == 1);
}
