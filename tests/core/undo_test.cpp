// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <filesystem>

#include "support/catch.h"
#include "support/environment.h"
#include "support/jobs.h"
#include "support/mounts.h"
#include "support/temp_folder.h"
#include "support/tree.h"
#include "undo/check.h"

using namespace tavlo;

TEST_CASE("undo leaves alone what was changed since, and says so", "[disk][undo]") {
    TempFolder temp;
    temp.write("from/kept", "one");
    temp.write("from/edited", "two");
    temp.write("from/over", "new");
    temp.write("to/over", "old one");
    Jobs jobs(temp.path("state"));
    const Ran ran = jobs.run(with(
        copy({temp.path("from/kept"), temp.path("from/edited"), temp.path("from/over")}, temp.path("to")),
        Decision::overwrite));
    temp.write("to/edited", "two, and a day's work");
    temp.write("to/over", "new, and a day's work");
    const Ran undone = jobs.undo(ran.head.id);
    CHECK(undone.of(Outcome::undecided) == 2);
    CHECK(undone.of(Outcome::removed) == 1);
    CHECK_FALSE(temp.has("to/kept"));
    CHECK(temp.read("to/edited") == "two, and a day's work");
    CHECK(temp.read("to/over") == "new, and a day's work");
    CHECK(value(jobs.store->safe_entries()).size() ==
          2);  // the old one stays, and the copy that was taken away
}

TEST_CASE("undo of a move leaves alone what would go onto a name that was taken since", "[disk][undo]") {
    TempFolder temp;
    temp.write("from/a", "moved");
    Jobs jobs(temp.path("state"));
    const Ran ran = jobs.run(move({temp.path("from/a")}, temp.path("to")));
    temp.write("from/a", "a new one");
    const Ran undone = jobs.undo(ran.head.id);
    CHECK(undone.items[0].result == Outcome::undecided);
    CHECK(temp.read("from/a") == "a new one");
    CHECK(temp.read("to/a") == "moved");
}

TEST_CASE("what an undo takes away goes to the Safe, for the copy may be the last one by now",
          "[disk][undo]") {
    TempFolder temp;
    temp.write("from/a", "the only one");
    Jobs jobs(temp.path("state"));
    const Ran ran = jobs.run(copy({temp.path("from/a")}, temp.path("to")));
    std::filesystem::remove(temp.path("from/a"));
    const Ran undone = jobs.undo(ran.head.id);
    CHECK_FALSE(temp.has("to/a"));
    const Plan back = value(prepare_restore(*jobs.disk, *jobs.store, undone.items[0].set_aside, {}));
    jobs.carry_out(back);
    CHECK(temp.read("to/a") == "the only one");
    CHECK(value(jobs.store->safe_entries()).empty());
}

TEST_CASE("an undo can be undone, again and again", "[disk][undo]") {
    TempFolder temp;
    temp.write("from/box/a", "new a");
    temp.write("from/box/sub/b", "new b");
    temp.write("to/box/a", "old a");
    const auto operation = GENERATE(Operation::copy, Operation::move);
    const TreeOptions names_and_bytes{.folder_times = false, .hard_links = true};
    Job job = with(copy({temp.path("from/box")}, temp.path("to")), Decision::overwrite);
    job.operation = operation;
    Jobs jobs(temp.path("state"));
    const Tree before_from = tree_of(temp.path("from"), names_and_bytes);
    const Tree before_to = tree_of(temp.path("to"), names_and_bytes);
    Ran last = jobs.run(job);
    const Tree after_from = tree_of(temp.path("from"), names_and_bytes);
    const Tree after_to = tree_of(temp.path("to"), names_and_bytes);
    for (int turn = 0; turn < 4; ++turn) {
        CAPTURE(turn);
        const std::string id = last.head.id;
        last = jobs.undo(id);
        CHECK(last.of(Outcome::failed) + last.of(Outcome::undecided) == 0);
        CHECK(tree_of(temp.path("from"), names_and_bytes) == (turn % 2 == 0 ? before_from : after_from));
        CHECK(tree_of(temp.path("to"), names_and_bytes) == (turn % 2 == 0 ? before_to : after_to));
        // a second undo of one receipt is refused, and names the first
        const auto again = prepare_undo(*jobs.disk, *jobs.store, id);
        REQUIRE_FALSE(again);
        CHECK(again.error().step.find(last.head.id) != std::string::npos);
    }
}

TEST_CASE("a folder that the run made stays when it holds something by then", "[disk][undo]") {
    TempFolder temp;
    temp.write("from/box/a", "x");
    Jobs jobs(temp.path("state"));
    const Ran ran = jobs.run(copy({temp.path("from/box")}, temp.path("to")));
    temp.write("to/box/later", "mine");
    const Ran undone = jobs.undo(ran.head.id);
    CHECK(temp.read("to/box/later") == "mine");
    CHECK_FALSE(temp.has("to/box/a"));
    CHECK(undone.of(Outcome::skipped) == 2);  // the folder, and the destination above it
}

TEST_CASE("check finds what differs since", "[disk][check]") {
    TempFolder temp;
    for (const char* name : {"fine", "edited", "gone", "mode"}) temp.write(std::string("from/") + name, name);
    Jobs jobs(temp.path("state"));
    const Ran ran = jobs.run(copy({temp.path("from")}, temp.path("to")));
    temp.write("to/from/edited", "EDITED");
    temp.date("to/from/edited", 1'900'000'000);
    std::filesystem::remove(temp.path("to/from/gone"));
    std::filesystem::permissions(temp.path("to/from/mode"), std::filesystem::perms::owner_all);
    const auto differs = [&](const char* name) {
        return Checker(*jobs.disk, ran.head).check(ran.item(temp.path("to/from/") + name));
    };
    CHECK(differs("fine") == Difference::none);
    CHECK(differs("edited") == Difference::bytes);
    CHECK(differs("gone") == Difference::missing);
    CHECK(differs("mode") == Difference::attributes);
}

TEST_CASE("a version comes back from the Safe to its place or elsewhere, never onto a name that is held",
          "[disk][safe]") {
    TempFolder temp;
    temp.write("from/a", "new");
    temp.write("to/a", "old bytes");
    Jobs jobs(temp.path("state"));
    const Ran ran = jobs.run(with(copy({temp.path("from/a")}, temp.path("to")), Decision::overwrite));
    const auto held = prepare_restore(*jobs.disk, *jobs.store, ran.items[0].set_aside, {});
    REQUIRE_FALSE(held);
    CHECK(held.error().fault == Fault::name_taken);
    SECTION("elsewhere") {
        const Ran restored = jobs.carry_out(value(
            prepare_restore(*jobs.disk, *jobs.store, ran.items[0].set_aside, temp.path("not/there/yet"))));
        CHECK(restored.items[0].result == Outcome::restored);
        CHECK(temp.read("not/there/yet/a") == "old bytes");
        CHECK_FALSE(jobs.store->safe_entry(ran.items[0].set_aside));
        jobs.undo(restored.head.id);
        CHECK_FALSE(temp.has("not"));
    }
    SECTION("emptied") {
        CHECK(value(empty_safe(*jobs.disk, *jobs.store, 1)).removed.empty());  // nothing is that old
        const SafeEntry entry = value(jobs.store->safe_entry(ran.items[0].set_aside));
        CHECK(value(empty_safe(*jobs.disk, *jobs.store)).removed.size() == 1);
        CHECK_FALSE(std::filesystem::exists(entry.stored));
        // the undo that can no longer be says so, and leaves what is there
        const Ran undone = jobs.undo(ran.head.id);
        CHECK(undone.items[0].result == Outcome::failed);
        CHECK(temp.read("to/a") == "new");
    }
}

TEST_CASE("the Safe is private, in the highest folder that may be written, and not gathered",
          "[disk][safe]") {
    TempFolder temp;
    const Mount mount = Mount::memory(temp.path("disk"));
    NEEDS(mount)
    temp.write("disk/office/from/a", "new");
    temp.write("disk/office/to/a", "old one");
    Jobs jobs(temp.path("state"));
    const Ran ran = jobs.run(
        with(copy({temp.path("disk/office/from/a")}, temp.path("disk/office/to")), Decision::overwrite));
    const SafeEntry entry = value(jobs.store->safe_entry(ran.items[0].set_aside));
    CHECK(entry.stored.starts_with(temp.path("disk/.tavlo-safe-")));
    const auto safe = std::filesystem::path(entry.stored).parent_path().parent_path().parent_path();
    CHECK(std::filesystem::status(safe).permissions() == std::filesystem::perms::owner_all);
    Job everything = copy({temp.path("disk")}, temp.path("copy"));
    everything.structure.contents = true;
    for (const ReceiptItem& item : jobs.run(everything).items)
        CHECK(item.source.find(".tavlo-safe-") == std::string::npos);
}

TEST_CASE("receipts and the Safe's index outlive the program, a damaged or newer database is refused",
          "[store]") {
    TempFolder temp;
    temp.write("from/a\n\xff", "new");
    temp.write("to/a\n\xff", "old one");
    Jobs jobs(temp.path("state"));
    const std::string id =
        jobs.run(with(copy({temp.path("from/a\n\xff")}, temp.path("to")), Decision::overwrite),
                 {.sentence = "Copy it", .verify = Verify::none, .stop = {}})
            .head.id;
    const auto second = value(Store::open(temp.path("state")));  // another program
    const auto heads = value(second->receipts());
    REQUIRE(heads.size() == 1);
    CHECK(heads[0].id == id);
    CHECK(heads[0].sentence == "Copy it");
    CHECK(heads[0].totals.of(Outcome::overwritten) == 1);
    CHECK(value(second->safe_entries()).at(0).original == temp.path("to/a\n\xff"));
    temp.write("damaged/tavlo.sqlite", std::string(5000, 'x'));
    const auto damaged = Store::open(temp.path("damaged"));
    REQUIRE_FALSE(damaged);
    CHECK(damaged.error().fault == Fault::corrupt);
    CHECK(damaged.error().path == temp.path("damaged/tavlo.sqlite"));
    CHECK_FALSE(Store::open(temp.write("a file", "x")));
}

TEST_CASE("a version comes back over what holds its place, which goes to the Safe in turn, or beside it",
          "[disk][restore]") {
    const bool beside = GENERATE(false, true);
    const bool same_size = GENERATE(false, true);  // then only reading would tell the two apart
    TempFolder temp;
    temp.write("from/a", same_size ? "new" : "new and longer");
    temp.write("to/a", "old");
    Jobs jobs(temp.path("state"));
    const Ran ran = jobs.run(with(copy({temp.path("from/a")}, temp.path("to")), Decision::overwrite));
    const Plan plan = value(prepare_restore(*jobs.disk, *jobs.store, ran.items[0].set_aside, {},
                                            beside ? Decision::rename : Decision::overwrite));
    const Ran back = jobs.carry_out(plan);
    CHECK(back.of(Outcome::restored) == 1);
    CHECK(temp.read("to/a") == (beside ? temp.read("from/a") : "old"));
    CHECK(temp.read("to/a-2") == (beside ? "old" : "(none)"));
    CHECK(value(jobs.store->safe_entries()).size() == (beside ? 0U : 1U));
    CHECK(jobs.undo(back.head.id).of(Outcome::undecided) == 0);
    CHECK(temp.read("to/a") == temp.read("from/a"));
    CHECK_FALSE(temp.has("to/a-2"));
    const auto entries = value(jobs.store->safe_entries());
    REQUIRE(entries.size() == 1);
    CHECK(value(remove_versions(*jobs.disk, *jobs.store, {"not there"})).removed.empty());
    CHECK(value(remove_versions(*jobs.disk, *jobs.store, {entries[0].id})).removed.size() == 1);
    CHECK_FALSE(std::filesystem::exists(entries[0].stored));
}

TEST_CASE("removing many versions can be stopped, and held, between any two", "[disk][safe]") {
    TempFolder temp;
    constexpr std::size_t all = 40;
    std::vector<std::string> sources;
    for (std::size_t i = 0; i < all; ++i) {
        sources.push_back(temp.write("from/" + std::to_string(i), "new"));
        temp.write("to/" + std::to_string(i), "held before");
    }
    Jobs jobs(temp.path("state"));
    REQUIRE(jobs.run(with(copy(sources, temp.path("to")), Decision::overwrite)).of(Outcome::overwritten) ==
            all);
    std::vector<std::string> ids;
    for (const SafeEntry& entry : value(jobs.store->safe_entries())) ids.push_back(entry.id);
    const std::size_t enough = GENERATE(std::size_t{0}, std::size_t{1}, std::size_t{17});
    std::stop_source stop;
    Pace pace;
    std::vector<std::string> told;
    Removing how{.stop = stop.get_token(), .pace = &pace};
    how.removed = [&](const SafeEntry& entry) {
        CHECK_FALSE(std::filesystem::exists(entry.stored));
        told.push_back(entry.id);
    };
    how.progress = [&](std::uint64_t done, std::uint64_t of) {
        CHECK(of == all);
        if (done == enough) stop.request_stop();
    };
    if (enough == 0) {  // held before it begins: it waits, and is stopped while it does
        pace.hold();
        stop.request_stop();
    }
    const Emptied emptied = value(remove_versions(*jobs.disk, *jobs.store, ids, how));
    CHECK(emptied.removed.size() == enough);
    CHECK(told == emptied.removed);
    const auto left = value(jobs.store->safe_entries());
    CHECK(left.size() == all - enough);
    for (const SafeEntry& entry : left) CHECK(std::filesystem::exists(entry.stored));
    CHECK(value(remove_versions(*jobs.disk, *jobs.store, ids)).removed.size() == all - enough);
}

TEST_CASE("a version on a volume that is not mounted is not forgotten when the Safe is emptied",
          "[disk][safe]") {
    TempFolder temp;
    std::filesystem::create_directories(temp.path("volume"));
    temp.write("from/a", "new");
    Jobs jobs(temp.path("state"));
    std::optional<Mount> volume(Mount::image("ext4", temp.path("image"), temp.path("volume"), 16));
    NEEDS(*volume);
    temp.write("volume/to/a", "held");
    const Ran ran = jobs.run(with(copy({temp.path("from/a")}, temp.path("volume/to")), Decision::overwrite));
    REQUIRE(ran.of(Outcome::overwritten) == 1);
    volume.reset();
    Emptied emptied = value(empty_safe(*jobs.disk, *jobs.store));
    CHECK(emptied.removed.empty());
    REQUIRE(emptied.problems.size() == 1);
    CHECK(emptied.problems.front().fault == Fault::unreachable);
    volume.emplace(Mount::again(temp.path("image"), temp.path("volume")));
    NEEDS(*volume);
    CHECK(jobs.undo(ran.head.id).of(Outcome::restored) == 1);
    CHECK(temp.read("volume/to/a") == "held");
}

TEST_CASE("runs that had one file in hand after another are undone one after another", "[undo]") {
    TempFolder temp("/dev/shm");
    const Environment home("XDG_DATA_HOME", temp.path("data"));
    Jobs jobs(temp.path("state"));
    temp.write("a/file", "bytes");
    temp.folder("b");
    temp.folder("c");
    std::vector<std::string> runs;
    const auto run = [&](const Job& job) { runs.push_back(jobs.run(job).head.id); };
    const auto rename_to = [&](const std::string& path, const std::string& name) {
        Job job;
        job.operation = Operation::rename;
        job.what.sources = {temp.path(path)};
        job.naming.steps = {NameAs{name}};
        run(job);
    };
    run(move({temp.path("a/file")}, temp.path("b")));
    rename_to("b/file", "other");
    run(move({temp.path("b/other")}, temp.path("c")));
    temp.write("a/other", "comes over it");
    run(with(move({temp.path("a/other")}, temp.path("c")), Decision::overwrite));
    CHECK(temp.read("c/other") == "comes over it");
    jobs.undo(runs.back());
    std::filesystem::remove(temp.path("a/other"));
    runs.pop_back();
    Job job;
    job.operation = Operation::remove;
    job.what.sources = {temp.path("c/other")};
    job.shelf = GENERATE(Shelf::safe, Shelf::trash);
    run(job);
    for (; !runs.empty(); runs.pop_back()) {
        const Ran undone = jobs.undo(runs.back());
        CAPTURE(runs.size(), undone.items[0].error);
        CHECK(undone.of(Outcome::restored) == 1);
    }
    CHECK(temp.read("a/file") == "bytes");
    // but what somebody has written since, and dated back, stays
    const std::string moved = jobs.run(move({temp.path("a/file")}, temp.path("b"))).head.id;
    const auto date = std::filesystem::last_write_time(temp.path("b/file"));
    temp.write("b/file", "BYTES");
    std::filesystem::last_write_time(temp.path("b/file"), date);
    CHECK(jobs.undo(moved).of(Outcome::undecided) == 1);
    CHECK(temp.read("b/file") == "BYTES");
}
