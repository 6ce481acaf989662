// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "job/growing.h"

#include <fmt/format.h>

#include <chrono>
#include <filesystem>

#include "batch/gather.h"
#include "recover/recover.h"
#include "support/catch.h"
#include "support/jobs.h"
#include "support/kill_scene.h"
#include "support/temp_folder.h"
#include "support/tree.h"

// A run that begins while its batch is still being counted comes to the same as one that waits.

using namespace tavlo;

namespace {

constexpr int folder_count = 60;
constexpr int files_in_each = 60;  // so that several parts are needed

void make_tree(const TempFolder& temp) {
    for (int folder = 0; folder < folder_count; ++folder)
        for (int file = 0; file < files_in_each; ++file)
            temp.write("from/box/" + std::to_string(folder) + "/sub/f" + std::to_string(file),
                       std::to_string(folder * 100 + file));
    temp.link("from/box/7/link", "sub/f1");
    temp.folder("from/box/empty");
    std::filesystem::create_hard_link(temp.path("from/box/0/sub/f0"), temp.path("from/box/59/again"));
    std::filesystem::permissions(temp.path("from/box/3"), std::filesystem::perms(0550));
    temp.write("to/box/5/sub/f5", "held, and longer");
    temp.write("to/box/50/sub/f1", "5001");  // the same bytes as the incoming one
    temp.write("to/box/9", "a file where a folder comes");
}

std::uint64_t count(const Tree& tree) { return tree.size(); }

}  // namespace

TEST_CASE("what begins while it is counted ends as if it had waited: the same tree, one receipt, one undo",
          "[disk][growing]") {
    TempFolder temp;
    make_tree(temp);
    Job job = copy({temp.path("from/box")}, temp.path("to"));
    job.policy.when[static_cast<std::size_t>(Finding::same)] = Decision::skip;
    job.policy.otherwise = Decision::rename;
    std::filesystem::copy(temp.path("to"), temp.path("waited"), std::filesystem::copy_options::recursive);
    for (const char* held : {"/box/5/sub/f5", "/box/50/sub/f1", "/box/9"})
        for (const char* top : {"to", "waited"}) temp.date(std::string(top) + held, 1'800'000'000);
    const Tree before = tree_of(temp.path("to"), {.folder_times = false});
    {
        Jobs jobs(temp.path("state of the other"));
        Job waiting = job;
        waiting.into = temp.path("waited");
        jobs.run(waiting);
    }
    Jobs jobs(temp.path("state"));
    std::vector<Counted> counts;
    std::uint64_t items = 0;
    std::uint64_t done_when_counted = 0;
    RunEvents events;
    events.item = [&](ItemId, const ReceiptItem&) { ++items; };
    const auto head =
        value(carry_out_growing(*jobs.disk, *jobs.store, job, {}, events, [&](const Counted& counted) {
            counts.push_back(counted);
            done_when_counted = items;
        }));
    CHECK(counts.size() >= 3);
    CHECK_FALSE(counts.front().all);
    CHECK(counts.back().all);
    CHECK(done_when_counted > 1000);  // much was there before the counting was through
    CHECK(head.state == RunState::done);
    CHECK(head.totals.items == counts.back().items);
    CHECK(head.totals.of(Outcome::failed) == 0);
    CHECK(head.totals.of(Outcome::renamed) == 2);
    CHECK(head.totals.of(Outcome::skipped) == 1);
    constexpr TreeOptions without_times_of_folders{.folder_times = false};
    CHECK(differences(tree_of(temp.path("to"), without_times_of_folders),
                      tree_of(temp.path("waited"), without_times_of_folders)) == "");
    for (const char* made :
         {"box/3", "box/7"})  // with their times, also where parts came one after the other
        CHECK(tree_of(temp.path(std::string("to/") + made)) ==
              tree_of(temp.path(std::string("from/") + made)));
    CHECK(value(jobs.store->receipts()).size() == 1);
    const Ran undone = jobs.undo(head.id);
    CHECK(undone.of(Outcome::undecided) + undone.of(Outcome::failed) == 0);
    CHECK(differences(tree_of(temp.path("to"), {.folder_times = false}), before) == "");
    std::filesystem::permissions(temp.path("from/box/3"), std::filesystem::perms(0750));
}

TEST_CASE(
    "a run that ends while it is counted finishes what it had counted, and says of the rest that it is "
    "missing",
    "[disk][growing]") {
    const bool killed = GENERATE(false, true);
    TempFolder temp;
    make_tree(temp);
    std::filesystem::permissions(temp.path("from/box/3"), std::filesystem::perms(0750));
    Jobs jobs(temp.path("state"));
    const Job job = copy({temp.path("from/box")}, temp.path("to"));
    std::stop_source stop;
    RunOptions options;
    options.stop = stop.get_token();
    RunEvents events;
    std::uint64_t items = 0;
    std::string id;
    events.begun = [&](const ReceiptHead& head) { id = head.id; };
    events.item = [&](ItemId, const ReceiptItem&) {
        if (++items == 1500) stop.request_stop();
    };
    if (killed) {  // as after a kill between two parts: the journal is there, the process is not
        struct Gone {};
        try {
            (void)carry_out_growing(*jobs.disk, *jobs.store, job, {}, events, [&](const Counted& counted) {
                if (counted.items > 2000) throw Gone();
            });
            FAIL("it was to be killed");
        } catch (const Gone&) {
        }
    } else {
        const auto stopped = value(carry_out_growing(*jobs.disk, *jobs.store, job, options, events));
        CHECK(stopped.state == RunState::stopped);
    }
    const auto recovered = value(recover(*jobs.disk, *jobs.store));
    REQUIRE(recovered.completed.size() == 1);
    const ReceiptHead head = value(jobs.store->receipt(id.empty() ? recovered.completed[0].id : id));
    CHECK(head.state == RunState::done);
    CHECK(head.totals.of(Outcome::failed) == 1);
    std::string why;
    REQUIRE(jobs.store->each_item(head.id, [&](ReceiptItem&& item) {
        if (item.result == Outcome::failed) why = item.error;
    }));
    CHECK_THAT(why, ContainsSubstring("still being counted"));
    CHECK(std::filesystem::status(temp.path("to/box")).permissions() ==
          std::filesystem::status(temp.path("from/box")).permissions());
    const auto arrived = count(tree_of(temp.path("to")));
    CHECK(arrived > 900);
    CHECK(arrived < count(tree_of(temp.path("from"))));
    CHECK(jobs.undo(head.id).of(Outcome::failed) == 0);
}

TEST_CASE("what cannot begin before it is counted is refused with its reason, and so is what never could",
          "[disk][growing]") {
    TempFolder temp;
    temp.write("from/box/a", "a");
    temp.write("from/other/box/a", "a");
    Jobs jobs(temp.path("state"));
    const auto refused = [&](const Job& job) {
        const auto head = carry_out_growing(*jobs.disk, *jobs.store, job);
        REQUIRE_FALSE(head);
        return describe(head.error());
    };
    CHECK_THAT(refused(move({temp.path("from/box")}, temp.path("to"))), ContainsSubstring("move"));
    CHECK_THAT(refused(copy({temp.path("from/box"), temp.path("from/other/box")}, temp.path("to"))),
               ContainsSubstring("one name"));
    CHECK_THAT(refused(copy({temp.path("from/box")}, temp.path("from/box/in it"))),
               ContainsSubstring("folder into itself"));
    Job chosen = copy({temp.path("from/box")}, temp.path("to"));
    chosen.what.files.name = {"a*"};
    CHECK_THAT(refused(chosen), ContainsSubstring("files are chosen"));
    temp.write("to/box/a", "b");
    const Job job = copy({temp.path("from/box")}, temp.path("to"));
    const auto plan = value(prepare(*jobs.disk, job)).plan;
    Decisions decided;
    PairDecision held_makes_room{plan->pair(plan->items.back()), Decision::rename};
    held_makes_room.renames_held = true;
    decided.add(plan->source_path(plan->items.back()), held_makes_room);
    CHECK_FALSE(carry_out_growing(*jobs.disk, *jobs.store, {job, decided}));
    CHECK_THAT(reason_to_wait(Asked{job, decided}), ContainsSubstring("decided"));
    CHECK(reason_to_wait(Asked{job}).empty());
    std::filesystem::remove_all(temp.path("to"));
    CHECK_THAT(refused(copy({temp.path("from/none")}, temp.path("to"))), ContainsSubstring("none"));
    CHECK(value(jobs.store->receipts()).empty());
    CHECK_FALSE(temp.has("to"));
}

TEST_CASE("a copy that begins while it is counted is verified as it was asked to be, in every part",
          "[disk][growing]") {
    TempFolder temp;
    for (int i = 0; i < 1500; ++i) temp.write(fmt::format("from/box/{}", i), "x");
    Jobs jobs(temp.path("state"));
    class Counting final : public ForwardingFileSystem {
    public:
        int read_back = 0;
        Result<void> forget_cached(const Handle& file) override {
            ++read_back;
            return disk->forget_cached(file);
        }
    } counting;
    const auto verify = GENERATE(Verify::automatic, Verify::read_back);
    REQUIRE(carry_out_growing(counting, *jobs.store, copy({temp.path("from/box")}, temp.path("to")),
                              {.verify = verify}));
    CHECK(counting.read_back == (verify == Verify::read_back ? 1500 : 0));
}

TEST_CASE("each part is planned by itself: what earlier ones have put there is not looked at again",
          "[disk][growing]") {
    TempFolder temp;
    for (int folder = 0; folder < 100; ++folder)
        for (int file = 0; file < 80; ++file)
            temp.write(fmt::format("from/box/{:03}/{}", folder, file), fmt::format("{} {}", folder, file));
    for (int folder = 0; folder < 100; ++folder)
        temp.write(fmt::format("to/box/{:03}/held", folder), "bystander");
    temp.write("to/box/000/5", "in the way");  // known from the first part on, decided about in the last
    class Counting final : public ForwardingFileSystem {
    public:
        std::mutex guard;
        std::map<std::string, int> listed;
        Result<std::vector<Name>> list(const Handle& folder) override {
            const std::scoped_lock lock(guard);
            ++listed[folder.path()];
            return disk->list(folder);
        }
    } counting;
    Jobs jobs(temp.path("state"));
    auto job = copy({temp.path("from/box")}, temp.path("to"));
    job.policy.otherwise = Decision::overwrite;
    std::vector<Counted> counts;
    const auto head = value(carry_out_growing(counting, *jobs.store, job, {}, {},
                                              [&](const Counted& counted) { counts.push_back(counted); }));
    CHECK(counts.size() >= 4);
    CHECK(std::is_sorted(counts.begin(), counts.end(), [](const Counted& one, const Counted& other) {
        return one.items < other.items && one.bytes < other.bytes;
    }));
    CHECK(head.totals.items == 8101);
    CHECK(head.totals.of(Outcome::created) == 7999);
    CHECK(head.totals.of(Outcome::overwritten) == 1);
    CHECK(head.totals.of(Outcome::merged) == 101);
    CHECK(head.totals.bytes == counts.back().bytes);
    int times = 0;
    for (int folder = 0; folder < 100; ++folder)
        times += counting.listed[temp.path(fmt::format("to/box/{:03}", folder))];
    // planned once, and once looked through for what is hidden at the end; once more where a part ends within
    // it, or where something was in the way
    CHECK(times <= 2 * 100 + 2 * static_cast<int>(counts.size()));
    CHECK(jobs.undo(head.id).of(Outcome::failed) == 0);
    CHECK(temp.read("to/box/000/5") == "in the way");
}
