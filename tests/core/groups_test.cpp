// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/groups.h"

#include <filesystem>

#include "support/catch.h"
#include "support/jobs.h"
#include "support/mounts.h"
#include "support/temp_folder.h"

using namespace tavlo;

namespace {

constexpr long day = 86'400;
constexpr long existing_date = 1'900'000'000;

/// Files that meet others in the destination: so much newer, and so much larger.
struct Meetings {
    TempFolder temp;
    std::vector<std::string> sources;

    void meet(const std::string& name, long newer_seconds, std::size_t size, std::size_t held_size,
              const std::string& bytes = "") {
        sources.push_back(temp.write("from/" + name, bytes + std::string(size, 'x')));
        temp.write("to/" + name, std::string(held_size, bytes.empty() ? 'x' : 'y'));
        temp.date("from/" + name, existing_date + newer_seconds);
        temp.date("to/" + name, existing_date);
    }
    Outlook outlook(const Decisions& decisions = {}) const {
        return value(prepare(*make_disk(), Asked(copy(sources, temp.path("to")), decisions)));
    }
};

Decisions decide(const Plan& plan, const std::vector<std::pair<std::string, Decision>>& wanted) {
    Decisions decisions;
    for (const auto& [name, decision] : wanted)
        for (const ItemId id : plan.colliding)
            if (plan.name(plan.items[id]) == name)
                decisions.add(plan.source_path(plan.items[id]), {plan.pair(plan.items[id]), decision});
    return decisions;
}

}  // namespace

TEST_CASE("collisions stand in groups by finding, with what is largest in each and what was decided",
          "[groups]") {
    Meetings scene;
    scene.meet("a.pdf", 3 * day, 10, 4);
    scene.meet("b.txt", 41 * day, 10, 900);
    scene.meet("c.pdf", -day, 5, 6);
    scene.meet("same.pdf", day, 7, 7);
    const auto kept = scene.outlook(decide(*scene.outlook().plan, {{"a.pdf", Decision::overwrite}})).plan;
    const Plan& plan = *kept;
    const auto groups = collision_groups(plan);
    REQUIRE(groups.size() == 3);
    CHECK(groups[0].finding == Finding::same);
    CHECK(groups[1].finding == Finding::newer);
    CHECK(groups[1].items.size() == 2);
    CHECK(groups[1].widest_gap_ns == 41LL * day * 1'000'000'000);
    CHECK(groups[1].widest_bytes == -890);
    CHECK(groups[1].held_bytes == 904);
    CHECK(groups[1].of(Decision::overwrite) == 1);
    CHECK(groups[1].of(Decision::undecided) == 1);
    CHECK(groups[1].by_hand == 1);
    CHECK(groups[2].widest_gap_ns == -1LL * day * 1'000'000'000);
    const auto cut = collision_groups(
        plan, [&](const Item& item) { return plan.name(item).substr(plan.name(item).size() - 3); },
        [&](const Item& item) { return item.collision->finding == Finding::newer; });
    REQUIRE(cut.size() == 2);
    CHECK(cut[0].part == "pdf");
    CHECK(cut[1].part == "txt");
}

TEST_CASE(
    "the rule that decisions amount to: by finding, by size where that tells them apart, none where they are "
    "mixed",
    "[groups]") {
    Meetings scene;
    scene.meet("larger", day, 10, 4);
    scene.meet("smaller", day, 4, 10);
    scene.meet("older", -day, 5, 6);
    scene.meet("older too", -day, 5, 8);
    const auto kept = scene.outlook().plan;
    const Plan& plan = *kept;
    CHECK_FALSE(rule_of_decisions(plan));
    const auto rule_after = [&](const std::vector<std::pair<std::string, Decision>>& wanted) {
        return rule_of_decisions(*scene.outlook(decide(plan, wanted)).plan);
    };
    const auto at = [](auto& table, Finding finding) -> auto& {
        return table[static_cast<std::size_t>(finding)];
    };
    const auto by_finding = rule_after(
        {{"larger", Decision::overwrite}, {"smaller", Decision::overwrite}, {"older", Decision::skip}});
    REQUIRE(by_finding);
    CHECK(at(by_finding->policy.when, Finding::newer) == Decision::overwrite);
    CHECK(at(by_finding->policy.when, Finding::older) == Decision::skip);
    CHECK_FALSE(at(by_finding->policy.when, Finding::same_date));
    CHECK(by_finding->covered == 3);
    const auto by_size = rule_after({{"larger", Decision::overwrite}, {"smaller", Decision::rename}});
    REQUIRE(by_size);
    CHECK(at(by_size->policy.when_sized, Finding::newer)[static_cast<std::size_t>(SizeRelation::larger)] ==
          Decision::overwrite);
    CHECK(at(by_size->policy.when_sized, Finding::newer)[static_cast<std::size_t>(SizeRelation::smaller)] ==
          Decision::rename);
    CHECK_FALSE(rule_after({{"older", Decision::overwrite}, {"older too", Decision::skip}}));
}

TEST_CASE("of twins, the one that was chosen gets the name, whatever their order", "[groups][plan]") {
    TempFolder temp;
    std::vector<std::string> sources;
    for (const char* from : {"one", "two", "three"})
        sources.push_back(temp.write(std::string(from) + "/roster.ods", from));
    Asked asked = copy(sources, temp.path("to"));
    const auto disk = make_disk();
    const auto before = value(prepare(*disk, asked)).plan;
    const Plan& undecided = *before;
    CHECK(twins_of(undecided, undecided.colliding.at(1)) == undecided.colliding);
    const std::vector<Decision> decisions{Decision::skip, Decision::overwrite, Decision::rename};
    for (std::size_t at = 0; at < 3; ++at)
        asked.decisions.add(sources[at],
                            {undecided.pair(undecided.items[undecided.colliding[at]]), decisions[at]});
    const auto after = value(prepare(*disk, asked)).plan;
    const Plan& plan = *after;
    CHECK(plan.items[0].outcome == Outcome::skipped);
    CHECK(plan.items[1].outcome == Outcome::created);
    CHECK(plan.items[2].outcome == Outcome::renamed);
    CHECK(plan.final_name(plan.items[2]) == "roster-2.ods");
}

TEST_CASE("files that lie on the same blocks are known to be the same, and no longer once one was written to",
          "[disk][mounts]") {
    const auto kind = GENERATE(as<std::string>(), "xfs", "btrfs");
    TempFolder temp("/dev/shm");
    const Mount mount =
        Mount::image(kind, temp.path("image"), temp.folder("disk"), kind == "xfs" ? 320 : 160);
    NEEDS(mount)
    const std::string bytes(3 << 20, 'b');
    temp.write("disk/a", bytes);
    const auto disk = make_disk();
    const auto folder = value(disk->open_folder(mount.path));
    {
        const auto a = value(disk->open_file(folder, "a"));
        auto staged = value(disk->stage(folder, ".part", 0600));
        REQUIRE(disk->share_blocks(a.file, staged));
        REQUIRE(disk->take_free_name(staged, folder, "b"));
    }
    const auto share = [&] {
        const auto a = value(disk->open_file(folder, "a"));
        const auto b = value(disk->open_file(folder, "b"));
        return disk->share_all_blocks(a.file, b.file);
    };
    CHECK(share());
    temp.write("disk/b", "another beginning" + bytes.substr(17));  // in memory only so far
    CHECK_FALSE(share());
    temp.write("disk/b", bytes);  // the same, on blocks of its own
    CHECK_FALSE(share());
}
