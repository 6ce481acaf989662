// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <sys/stat.h>

#include <filesystem>

#include "support/catch.h"
#include "support/kill_scene.h"
#include "support/renames.h"
#include "support/temp_folder.h"
#include "support/tree.h"

// New names where things are: planned, and carried out.

using namespace tavlo;

namespace {

struct Yard {
    explicit Yard(const std::vector<std::string>& files) : jobs(temp.path("state")) {
        for (const auto& file : files) temp.write("in/" + file, file);
    }
    /// old and new names, below "in"
    std::shared_ptr<const Plan> planned(const std::vector<std::pair<std::string, std::string>>& names,
                                        const Policy& policy = {}) {
        NewNamesByPath by_path;
        for (const auto& [path, name] : names) by_path[temp.path("in/" + path)] = name;
        return plan_renames({temp.path("in")}, by_path, policy);
    }
    Ran run(const std::vector<std::pair<std::string, std::string>>& names, const Policy& policy = {}) {
        return jobs.carry_out(*planned(names, policy));
    }
    std::string read(const std::string& path) const { return temp.read("in/" + path); }
    std::vector<std::string> names() const {
        std::vector<std::string> found;
        for (const auto& [path, what] : tree_of(temp.path("in"))) found.push_back(path);
        return found;
    }

    TempFolder temp{"/dev/shm"};
    Jobs jobs;
};

}  // namespace

TEST_CASE(
    "names given up in the same run are free: chains, swaps and rings come out right, in whatever order they "
    "are given",
    "[disk][rename]") {
    Yard place({"a", "b", "c", "x", "y", "1", "2", "3", "stays"});
    const Ran ran = place.run(
        {{"a", "b"}, {"b", "c"}, {"c", "d"}, {"x", "y"}, {"y", "x"}, {"1", "2"}, {"2", "3"}, {"3", "1"}});
    CHECK(ran.of(Outcome::created) == 8);
    CHECK(ran.head.destination.empty());
    for (const auto& [now, was] : {std::pair("b", "a"),
                                   {"c", "b"},
                                   {"d", "c"},
                                   {"y", "x"},
                                   {"x", "y"},
                                   {"2", "1"},
                                   {"3", "2"},
                                   {"1", "3"}})
        CHECK(place.read(now) == was);
    CHECK(place.names().size() == 9);
    for (const ReceiptItem& item : ran.items) CHECK(std::filesystem::exists(item.place()));
}

TEST_CASE("a folder gets its name with all that is in it, and what is in it gets its own", "[disk][rename]") {
    Yard place({"a/deep/one", "a/deep/two", "b/one", "b/other"});
    const Ran ran = place.run({{"a", "b"},
                               {"b", "a"},
                               {"a/deep", "flat"},
                               {"a/deep/one", "two"},
                               {"a/deep/two", "one"},
                               {"b/one", "1"}});
    CHECK(ran.of(Outcome::created) == 6);
    CHECK(place.read("b/flat/two") == "a/deep/one");
    CHECK(place.read("b/flat/one") == "a/deep/two");
    CHECK(place.read("a/1") == "b/one");
    CHECK(place.read("a/other") == "b/other");
    CHECK(place.names().size() == 7);
    CHECK(ran.item(place.temp.path("in/b/flat/two")).source == place.temp.path("in/a/deep/one"));
}

TEST_CASE(
    "what keeps its name keeps it from others: a collision, which is decided, and a chain behind it waits",
    "[disk][rename]") {
    Yard place({"a", "b", "held, longer", "c"});
    const auto names =
        std::vector<std::pair<std::string, std::string>>{{"a", "b"}, {"b", "held, longer"}, {"c", "c"}};
    const auto plan = place.planned(names);
    CHECK(plan->items[0].outcome == Outcome::undecided);  // b does not give its name up
    CHECK(plan->items[1].outcome == Outcome::undecided);
    CHECK(plan->items[2].outcome == Outcome::skipped);
    CHECK_FALSE(plan->items[2].collision);
    Policy policy;
    policy.otherwise = Decision::rename;
    const Ran ran = place.run(names, policy);
    CHECK(ran.of(Outcome::renamed) == 1);
    CHECK(ran.of(Outcome::created) == 1);
    CHECK(place.read("held, longer-2") == "b");
    CHECK(place.read("held, longer") == "held, longer");
    CHECK(place.read("b") == "a");
}

TEST_CASE("what is overwritten by a new name goes to the Safe", "[disk][rename]") {
    Yard place({"a", "held, longer"});
    Policy policy;
    policy.otherwise = Decision::overwrite;
    const Ran ran = place.run({{"a", "held, longer"}}, policy);
    CHECK(ran.of(Outcome::overwritten) == 1);
    CHECK(place.read("held, longer") == "a");
    const auto versions = value(place.jobs.store->safe_entries());
    REQUIRE(versions.size() == 1);
    CHECK(versions[0].original == place.temp.path("in/held, longer"));
}

TEST_CASE(
    "two that want one name are twins, files and folders alike, and a ring that one of them breaks stands "
    "still",
    "[rename][plan]") {
    Yard place({"a", "b", "c", "one/x", "two/x"});
    const auto plan = place.planned({{"a", "b"}, {"b", "a"}, {"c", "a"}, {"one", "new"}, {"two", "new"}});
    for (const Item& item : plan->items) {
        CAPTURE(plan->source_path(item));
        CHECK(item.outcome == Outcome::undecided);
        REQUIRE(item.collision);
        if (plan->name(item) != "b") CHECK(item.collision->finding == Finding::twin);
    }
}

TEST_CASE("a name that none can have fails alone", "[rename][plan]") {
    Yard place({"a", "b", "c", "d", "e", "good"});
    const auto plan = place.planned({{"a", ""},
                                     {"b", ".."},
                                     {"c", "x/y"},
                                     {"d", std::string(256, 'x')},
                                     {"e", std::string("n\0l", 3)},
                                     {"good", "a2"}});
    for (const Item& item : plan->items)
        CHECK(item.outcome == (plan->name(item) == "a2" ? Outcome::created : Outcome::failed));
}

TEST_CASE("nothing of a file but its name changes, whatever it is", "[disk][rename]") {
    Yard place({"file"});
    std::filesystem::create_symlink("nowhere", place.temp.path("in/link"));
    REQUIRE(::mkfifo(place.temp.path("in/fifo").c_str(), 0600) == 0);
    std::filesystem::create_hard_link(place.temp.path("in/file"), place.temp.path("in/other name"));
    const Tree before = tree_of(place.temp.path("in"), {.folder_times = false});
    const Ran ran =
        place.run({{"file", "file2"}, {"link", "link2"}, {"fifo", "fifo2"}, {"other name", "other name2"}});
    CHECK(ran.of(Outcome::created) == 4);
    Tree after;
    for (const auto& [path, what] : tree_of(place.temp.path("in"), {.folder_times = false}))
        after[path.ends_with("2") ? path.substr(0, path.size() - 1) : path] = what;
    for (const auto& [path, what] : before) CHECK((path == "other name" || after[path] == what));
}

TEST_CASE(
    "a name that was taken meanwhile is not replaced, and what waited for it has a name of its own again",
    "[disk][rename]") {
    Yard place({"a", "b", "c"});
    const auto plan = place.planned({{"a", "b"}, {"b", "c"}, {"c", "a"}});
    place.temp.write("in/b", "b, and a day's work");
    std::filesystem::remove(place.temp.path("in/c"));  // and c is another one
    place.temp.write("in/c", "somebody else's");
    const Ran ran = place.jobs.carry_out(*plan);
    CHECK(ran.of(Outcome::created) == 0);
    CHECK(place.read("a") == "a");
    CHECK(place.read("b") == "b, and a day's work");
    CHECK(place.read("c") == "somebody else's");
    CHECK(place.names().size() == 3);
}

TEST_CASE("a stop lets a ring that was begun come to its end, and begins nothing more", "[disk][rename]") {
    Yard place({"a", "b", "c", "later"});
    const auto plan = place.planned({{"a", "b"}, {"b", "c"}, {"c", "a"}, {"later", "never"}});
    std::stop_source stop;
    class Stops final : public ForwardingFileSystem {
    public:
        explicit Stops(std::stop_source& stop) : stop_(stop) {}
        Result<void> move_to_free_name(const Handle& a, const std::string& n, const Handle& b,
                                       const std::string& m) override {
            stop_.request_stop();
            return disk->move_to_free_name(a, n, b, m);
        }

    private:
        std::stop_source& stop_;
    } stopping(stop);
    const auto head = value(carry_out(stopping, *place.jobs.store, *plan, {.stop = stop.get_token()}));
    CHECK(head.state == RunState::stopped);
    CHECK(place.read("b") == "a");
    CHECK(place.read("c") == "b");
    CHECK(place.read("a") == "c");
    CHECK(place.read("later") == "later");
}

TEST_CASE("an undo gives the old names back, rings and folders among them, and its undo the new ones",
          "[disk][rename][undo]") {
    Yard yard({"a/deep/one", "a/deep/two", "b/one", "b/other", "x", "y", "1", "2", "3"});
    std::filesystem::create_hard_link(yard.temp.path("in/x"), yard.temp.path("in/x too"));
    const Tree before = tree_of(yard.temp.path("in"), {.folder_times = false});
    const Ran ran = yard.run({{"a", "b"},
                              {"b", "a"},
                              {"a/deep", "flat"},
                              {"a/deep/one", "two"},
                              {"a/deep/two", "one"},
                              {"x", "y"},
                              {"y", "x"},
                              {"x too", "x three"},
                              {"1", "2"},
                              {"2", "3"},
                              {"3", "1"}});
    REQUIRE(ran.of(Outcome::created) == 11);
    const Tree after = tree_of(yard.temp.path("in"), {.folder_times = false});
    const Ran undone = yard.jobs.undo(ran.head.id);
    CHECK(undone.of(Outcome::restored) == 11);
    CHECK(differences(tree_of(yard.temp.path("in"), {.folder_times = false}), before) == "");
    CHECK(value(yard.jobs.store->receipt(ran.head.id)).undone_by == undone.head.id);
    const Ran again = yard.jobs.undo(undone.head.id);
    CHECK(again.of(Outcome::restored) == 11);
    CHECK(differences(tree_of(yard.temp.path("in"), {.folder_times = false}), after) == "");
}

TEST_CASE(
    "an undo of a rename brings back what it had overwritten, and leaves what was changed or whose name is "
    "taken",
    "[disk][rename][undo]") {
    Yard yard({"box/a", "box/held, longer", "box/changed", "box/gone", "box/c"});
    Policy policy;
    policy.otherwise = Decision::overwrite;
    const Ran ran = yard.run({{"box", "case"},
                              {"box/a", "held, longer"},
                              {"box/changed", "changed2"},
                              {"box/gone", "gone2"},
                              {"box/c", "c2"}},
                             policy);
    CHECK(ran.of(Outcome::overwritten) == 1);
    yard.temp.write("in/case/changed2", "a day's work");
    std::filesystem::remove(yard.temp.path("in/case/gone2"));
    yard.temp.write("in/case/c", "somebody else's");
    const Ran undone = yard.jobs.undo(ran.head.id);
    CHECK(undone.of(Outcome::restored) == 3);
    CHECK(undone.of(Outcome::undecided) == 3);
    CHECK(yard.read("box/a") == "box/a");
    CHECK(yard.read("box/held, longer") == "box/held, longer");
    CHECK(yard.read("box/changed2") == "a day's work");
    CHECK(yard.read("box/c") == "somebody else's");
    CHECK(yard.read("box/c2") == "box/c");
    CHECK(value(yard.jobs.store->safe_entries()).empty());
    for (const ReceiptItem& item : undone.items)
        if (item.result == Outcome::undecided) CHECK_FALSE(item.error.empty());
}

TEST_CASE("chosen names are taken back, and the rest later", "[disk][rename][undo]") {
    Yard yard({"a", "b", "c"});
    const Ran ran = yard.run({{"a", "a2"}, {"b", "b2"}, {"c", "c2"}});
    const auto take_back = [&](const std::vector<std::uint64_t>& only) {
        return yard.jobs.carry_out(value(prepare_undo(*yard.jobs.disk, *yard.jobs.store, ran.head.id, only)));
    };
    CHECK(take_back({1}).of(Outcome::restored) == 1);
    CHECK(yard.names() == std::vector<std::string>{"a2", "b", "c2"});
    CHECK(take_back({}).of(Outcome::restored) == 2);
    CHECK(yard.names() == std::vector<std::string>{"a", "b", "c"});
}

TEST_CASE("sources in one another get their names, and what is in them stays unread", "[disk][rename]") {
    Yard yard({"box/sub/x", "box/sub/y", "box/z", "other"});
    Job job;
    job.operation = Operation::rename;
    for (const char* source : {"box/sub/x", "box", "box/sub", "other"})
        job.what.sources.push_back(yard.temp.path("in/") + source);
    job.naming.steps = {Affix{"n-"}};
    const Ran ran = yard.jobs.run(job);
    CHECK(ran.items.size() == 4);
    CHECK(ran.of(Outcome::created) == 4);
    CHECK(yard.read("n-box/n-sub/n-x") == "box/sub/x");
    CHECK(yard.read("n-box/n-sub/y") == "box/sub/y");
    CHECK(yard.read("n-box/z") == "box/z");
    CHECK(yard.jobs.undo(ran.head.id).of(Outcome::restored) == 4);
    CHECK(yard.read("box/sub/x") == "box/sub/x");
}
