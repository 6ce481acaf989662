// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "recover/settle.h"

#include <filesystem>

#include "recover/recover.h"
#include "support/catch.h"
#include "support/jobs.h"
#include "support/temp_folder.h"
#include "support/tree.h"

// What a run left undecided is settled later, and that run goes on with it under its own receipt.

using namespace tavlo;

namespace {

struct Left {
    explicit Left(bool moves) : jobs(temp.path("state")) {
        temp.write("from/box/new", "new");
        temp.write("from/box/sub/over", "incoming");
        temp.write("from/box/beside", "incoming too");
        temp.write("to/box/sub/over", "held");
        temp.write("to/box/beside", "held too");
        from = tree_of(temp.path("from"), {.folder_times = false});
        to = tree_of(temp.path("to"), {.folder_times = false});
        job = moves ? move({temp.path("from/box")}, temp.path("to"))
                    : copy({temp.path("from/box")}, temp.path("to"));
        first = jobs.run(job);
        REQUIRE(first.of(Outcome::undecided) == 2);
    }
    /// Gathers again what is still there, with these decisions.
    std::shared_ptr<const Plan> planned(std::vector<std::pair<std::string, Decision>> decisions) {
        const auto plan = value(prepare(*jobs.disk, job)).plan;
        Asked decided = job;
        decided.job.policy.when[static_cast<std::size_t>(Finding::same)] = Decision::skip;
        for (const ItemId id : plan->colliding)
            for (const auto& [name, decision] : decisions)
                if (plan->name(plan->items[id]) == name)
                    decided.decisions.add(plan->source_path(plan->items[id]),
                                          {plan->pair(plan->items[id]), decision});
        return value(prepare(*jobs.disk, decided)).plan;
    }

    TempFolder temp;
    Jobs jobs;
    Job job;
    Tree from;
    Tree to;
    Ran first;
};

}  // namespace

TEST_CASE(
    "a run goes on with what was left undecided, under its own receipt, and one undo takes all of it back",
    "[disk][settle]") {
    const bool moves = GENERATE(false, true);
    Left left(moves);
    const auto plan = left.planned({{"over", Decision::overwrite}, {"beside", Decision::rename}});
    const Settlement settlement = value(settlement_of(*left.jobs.store, left.first.head.id, *plan));
    CHECK(settlement.complete);
    CHECK(settlement.items.size() == 2);
    const auto head =
        value(carry_on_settled(*left.jobs.disk, *left.jobs.store, left.first.head.id, settlement));
    CHECK(head.id == left.first.head.id);
    CHECK(head.state == RunState::done);
    CHECK(head.totals.of(Outcome::undecided) == 0);
    CHECK(head.totals.of(Outcome::overwritten) == 1);
    CHECK(head.totals.of(Outcome::renamed) == 1);
    CHECK(head.totals.items == left.first.head.totals.items);
    CHECK(value(left.jobs.store->receipts()).size() == 1);
    CHECK(left.temp.read("to/box/sub/over") == "incoming");
    CHECK(left.temp.read("to/box/beside-2") == "incoming too");
    CHECK(left.temp.has("from/box") == !moves);
    const Ran undone = left.jobs.undo(head.id);
    CHECK(undone.of(Outcome::undecided) + undone.of(Outcome::failed) == 0);
    CHECK(tree_of(left.temp.path("from"), {.folder_times = false}) == left.from);
    CHECK(tree_of(left.temp.path("to"), {.folder_times = false}) == left.to);
}

TEST_CASE(
    "what a plan does besides, or for another destination, is not that run's, an undone run is not gone on "
    "with",
    "[disk][settle]") {
    Left left(false);
    left.job.what.sources.push_back(left.temp.write("from/another", "x"));
    const auto with_more = left.planned({{"over", Decision::overwrite}});
    CHECK_FALSE(value(settlement_of(*left.jobs.store, left.first.head.id, *with_more)).complete);
    left.job.what.sources.pop_back();
    left.job.into = left.temp.path("elsewhere");
    CHECK_FALSE(value(settlement_of(*left.jobs.store, left.first.head.id, *left.planned({}))).complete);
    left.job.into = left.temp.path("to");
    const auto plan = left.planned({{"over", Decision::overwrite}});
    left.jobs.undo(left.first.head.id);
    CHECK_FALSE(settlement_of(*left.jobs.store, left.first.head.id, *plan));
}

TEST_CASE("what was settled and not done yet is gone on with by recovery", "[disk][settle]") {
    Left left(true);
    const auto plan = left.planned({{"over", Decision::overwrite}});
    const Settlement settlement = value(settlement_of(*left.jobs.store, left.first.head.id, *plan));
    REQUIRE(left.jobs.store->reopen(left.first.head.id, settlement.items));  // and then the power went
    CHECK(left.temp.read("to/box/sub/over") == "held");
    const auto recovered = value(recover(*left.jobs.disk, *left.jobs.store, {}));
    REQUIRE(recovered.completed.size() == 1);
    CHECK(recovered.completed[0].totals.of(Outcome::overwritten) == 1);
    CHECK(recovered.completed[0].totals.of(Outcome::undecided) == 1);  // that one nobody has settled
    CHECK(left.temp.read("to/box/sub/over") == "incoming");
}
