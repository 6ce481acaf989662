// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <algorithm>
#include <map>

#include "job/growing.h"
#include "recover/recover.h"
#include "support/catch.h"
#include "support/jobs.h"
#include "support/temp_folder.h"
#include "support/tree.h"

using namespace tavlo;

// A job that is done again: nearly all is the same already. What nothing is done for costs little, and is in
// the receipt all the same.

namespace {

constexpr int same_files = 2 * static_cast<int>(kept_together) + 100;
constexpr int new_files = 12;

/// Many files that are there already, the same, and a few that are not.
struct Again {
    explicit Again(TempFolder& temp, Decision for_same = Decision::skip)
        : jobs(temp.path("state")), job(copy({}, temp.path("to"))) {
        for (int i = 0; i < same_files + new_files; ++i) {
            const std::string name = std::to_string(10'000 + i);
            temp.write("from/" + name, "file " + name);
            if (i < same_files) temp.write("to/" + name, "file " + name);
            job.what.sources.push_back(temp.path("from/" + name));
        }
        job.policy.when[static_cast<std::size_t>(Finding::same)] = for_same;
        plan = value(prepare(*jobs.disk, job)).plan;
    }
    Jobs jobs;
    Job job;
    std::shared_ptr<const Plan> plan;
};

/// A run that is in the journal, and has begun with nothing.
ReceiptHead stopped_as_it_begins(Jobs& jobs, const Plan& plan) {
    std::stop_source stop;
    RunOptions options;
    options.stop = stop.get_token();
    RunEvents events;
    events.begun = [&](const ReceiptHead&) { stop.request_stop(); };
    return value(carry_out(*jobs.disk, *jobs.store, plan, options, events));
}

}  // namespace

TEST_CASE("each item is told once and is in the receipt once, whether something is done for it or not",
          "[run][again]") {
    TempFolder temp;
    const auto for_same = GENERATE(Decision::skip, Decision::undecided);
    const Outcome outcome = for_same == Decision::skip ? Outcome::skipped : Outcome::undecided;
    Again again(temp, for_same);
    std::map<ItemId, Outcome> told;
    RunEvents events;
    events.item = [&](ItemId id, const ReceiptItem& item) {
        CHECK(told.emplace(id, item.result).second);
        CHECK(item.source == again.plan->source_path(again.plan->items[id]));
    };
    const auto head = value(carry_out(*again.jobs.disk, *again.jobs.store, *again.plan, {}, events));
    CHECK(head.state == RunState::done);
    CHECK(head.totals.items == same_files + new_files);
    CHECK(head.totals.of(outcome) == same_files);
    CHECK(head.totals.of(Outcome::created) == new_files);
    CHECK(told.size() == same_files + new_files);
    std::size_t at = 0;
    REQUIRE(again.jobs.store->each_item(head.id, [&](ReceiptItem&& item) {
        const Item& planned = again.plan->items[at];
        CHECK(item.source == again.plan->source_path(planned));
        CHECK(item.target == again.plan->target_path(planned));
        CHECK(item.result == told.at(static_cast<ItemId>(at)));
        CHECK(item.collision.has_value() == (planned.collision != nullptr));
        if (item.collision) CHECK(item.collision->finding == Finding::same);
        ++at;
    }));
    CHECK(at == told.size());
}

TEST_CASE("whoever only counts what is skipped is told of the rest as ever, and of each item once",
          "[run][again]") {
    TempFolder temp;
    Again again(temp);
    std::vector<int> told(again.plan->items.size());
    std::size_t counted = 0;
    RunEvents events;
    events.item = [&](ItemId id, const ReceiptItem&) { ++told.at(id); };
    events.skipped = [&](ItemId id) {
        CHECK(again.plan->items.at(id).outcome == Outcome::skipped);
        ++told.at(id);
        ++counted;
    };
    const auto head = value(carry_out(*again.jobs.disk, *again.jobs.store, *again.plan, {}, events));
    CHECK(std::count(told.begin(), told.end(), 1) == same_files + new_files);
    CHECK(counted >= kept_together);
    CHECK(head.totals.of(Outcome::skipped) == same_files);
    CHECK(head.totals.of(Outcome::created) == new_files);
    CHECK(value(again.jobs.store->receipt(head.id)).totals.of(Outcome::skipped) == same_files);
}

TEST_CASE("a run says what its receipt will be called before anybody can find it in the journal", "[run]") {
    TempFolder temp;
    temp.write("from/a", "a");
    Jobs jobs(temp.path("state"));
    const auto other = value(Store::open(temp.path("state")));
    std::vector<std::string> names;
    RunEvents events;
    events.named = [&](const std::string& receipt) {
        names.push_back(receipt);
        CHECK(value(other->unfinished()).empty());
    };
    events.begun = [&](const ReceiptHead& head) {
        REQUIRE(value(other->unfinished()).size() == 1);
        CHECK(names == std::vector{head.id});
    };
    const auto job = copy({temp.path("from/a")}, temp.path("to"));
    SECTION("of a plan") {
        (void)value(carry_out(*jobs.disk, *jobs.store, *value(prepare(*jobs.disk, job)).plan, {}, events));
    }
    SECTION("while it is counted") {
        (void)value(carry_out_growing(*jobs.disk, *jobs.store, {job}, {}, events));
    }
    CHECK(names.size() == 1);
    CHECK(temp.has("to/a"));
}

TEST_CASE(
    "a run that ends before it has begun with anything has left the same alone, and the rest is gone on with",
    "[run][again]") {
    TempFolder temp;
    Again again(temp);
    const auto stopped = stopped_as_it_begins(again.jobs, *again.plan);
    const std::string& id = stopped.id;
    CHECK(stopped.state == RunState::stopped);
    CHECK(stopped.totals.items == same_files + new_files);
    CHECK(stopped.totals.of(Outcome::skipped) == 2 * kept_together);
    CHECK(stopped.totals.of(Outcome::planned) == same_files + new_files - 2 * kept_together);
    CHECK(value(again.jobs.store->pending(id)).size() == stopped.totals.of(Outcome::planned));
    const auto done = value(resume(*again.jobs.disk, *again.jobs.store, id, {}));
    CHECK(done.state == RunState::done);
    CHECK(done.totals.of(Outcome::skipped) == same_files);
    CHECK(done.totals.of(Outcome::created) == new_files);
    CHECK(tree_of(temp.path("to"), {.folder_times = false}).size() ==
          tree_of(temp.path("from"), {.folder_times = false}).size());
    CHECK(again.jobs.undo(id).of(Outcome::removed) == new_files);
}

TEST_CASE("a folder that stands there already, and in which nothing is done, is left alone too",
          "[run][again]") {
    TempFolder temp;
    constexpr int same_folders = 2 * static_cast<int>(kept_together) / 10 + 30;
    for (int folder = 0; folder < same_folders; ++folder)
        for (int file = 0; file < 9; ++file) {
            const std::string name = "box/" + std::to_string(1000 + folder) + "/" + std::to_string(file);
            temp.write("from/" + name, "file " + name);
            temp.write("to/" + name, "file " + name);
        }
    temp.write("from/box/9999/deep/new", "new");
    temp.folder("to/box/9999");
    Jobs jobs(temp.path("state"));
    const bool moves = GENERATE(false, true);
    auto job = moves ? move({temp.path("from/box")}, temp.path("to"))
                     : copy({temp.path("from/box")}, temp.path("to"));
    job.policy.when[static_cast<std::size_t>(Finding::same)] = Decision::skip;
    const auto plan = value(prepare(*jobs.disk, job)).plan;
    const auto stopped = stopped_as_it_begins(jobs, *plan);
    const std::string& id = stopped.id;
    CHECK(stopped.state == RunState::stopped);
    // "box" is in the first row and has something to do in it; a move may have to remove any folder
    const auto left_alone = value(jobs.store->pending(id)).size();
    if (moves)
        CHECK(left_alone == plan->items.size());
    else
        CHECK(left_alone <= 2 * kept_together);
    const auto done = value(resume(*jobs.disk, *jobs.store, id, {}));
    CHECK(done.state == RunState::done);
    CHECK(done.totals.items == plan->items.size());
    CHECK(done.totals.of(Outcome::merged) == same_folders + 2);
    CHECK(done.totals.of(Outcome::skipped) == same_folders * 9);
    CHECK(done.totals.of(Outcome::created) == 2);
    std::size_t merged = 0;
    REQUIRE(jobs.store->each_item(id, [&](ReceiptItem&& item) {
        if (item.result != Outcome::merged) return;
        ++merged;
        const auto there = jobs.disk->open_folder(item.target);
        REQUIRE(there);
        CHECK(item.after.same_thing(value(jobs.disk->status(*there)).id));
    }));
    CHECK(merged == same_folders + 2);
    CHECK(jobs.undo(id).of(Outcome::failed) == 0);
    CHECK_FALSE(temp.has("to/box/9999/deep"));
    CHECK(temp.has("to/box/1000/0"));
    CHECK(temp.has("from/box/9999/deep/new"));
}

TEST_CASE("all that a destination holds is seen, in one large folder and in many below one another",
          "[survey][again]") {
    TempFolder temp;
    std::string deep = "box";
    for (int i = 0; i < 1500; ++i) temp.write("from/box/" + std::to_string(i), std::to_string(i));
    for (int i = 0; i < 40; ++i) {
        if (i % 4 == 0) deep += "/below-" + std::to_string(i);
        for (int file = 0; file < 3; ++file) {
            temp.write("from/" + deep + "/a" + std::to_string(i * 3 + file), "deep");
            temp.write("from/box/wide-" + std::to_string(i) + "/b" + std::to_string(file), "wide");
        }
    }
    Jobs jobs(temp.path("state"));
    REQUIRE(jobs.run(copy({temp.path("from/box")}, temp.path("to"))).of(Outcome::failed) == 0);
    const auto there = tree_of(temp.path("to"));
    auto job = copy({temp.path("from/box")}, temp.path("to"));
    job.policy.when[static_cast<std::size_t>(Finding::same)] = Decision::skip;
    const auto outlook = value(prepare(*jobs.disk, job));
    CHECK(outlook.plan->totals.of(Outcome::skipped) == 1500 + 2 * 120);
    CHECK(outlook.plan->totals.of(Outcome::created) == 0);
    CHECK(outlook.plan->totals.of(Outcome::merged) == 1 + 10 + 40);
    std::size_t things = 0;
    for (const auto& [path, folder] : outlook.destination->folders) {
        things += folder.things().size();
        CHECK(std::is_sorted(folder.things().begin(), folder.things().end(),
                             [](const Held& one, const Held& other) { return one.name < other.name; }));
    }
    CHECK(things == there.size());
}

TEST_CASE("a destination that cannot be read to its end is said to be that, wherever it is",
          "[survey][again]") {
    TempFolder temp;
    const int bad = GENERATE(3, 900, 1400);
    for (int i = 0; i < 1500; ++i)
        for (const char* side : {"from/box/", "to/box/"})
            temp.write(side + std::to_string(i), std::to_string(i));
    class Unreadable final : public ForwardingFileSystem {
    public:
        std::string name;
        using ForwardingFileSystem::status;
        Result<tavlo::Status> status(const Handle& folder, const std::string& of) override {
            if (of == name && folder.path().find("/to/") != std::string::npos)
                return failure(Fault::io, "read", folder.path() + "/" + of);
            return disk->status(folder, of);
        }
    } disk;
    disk.name = std::to_string(bad);
    const auto outlook = prepare(disk, copy({temp.path("from/box")}, temp.path("to")));
    REQUIRE_FALSE(outlook);
    CHECK(outlook.error().fault == Fault::io);
    CHECK(outlook.error().path == temp.path("to/box/" + std::to_string(bad)));
}
