// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <cerrno>
#include <filesystem>
#include <set>
#include <thread>

#include "recover/recover.h"
#include "support/catch.h"
#include "support/contents.h"
#include "support/every_call.h"
#include "support/loop.h"
#include "support/mounts.h"
#include "support/renames.h"
#include "support/temp_folder.h"
#include "support/tree.h"

// Names given up and taken in rings, where any call fails, and where the program ends before any call.

using namespace tavlo;

namespace {

struct Case {
    std::string words;
    std::vector<std::string> files;
    std::vector<std::pair<std::string, std::string>> names;
};

const std::vector<Case>& cases() {
    static const std::vector<Case> all{
        {"a ring of three files", {"a", "b", "c"}, {{"a", "b"}, {"b", "c"}, {"c", "a"}}},
        {"two folders with what is in them", {"a/1", "a/2", "b/1", "b/x/y"}, {{"a", "b"}, {"b", "a"}}},
        {"a folder and a file", {"a/inside", "b"}, {{"a", "b"}, {"b", "a"}}},
        {"folders, and what is in them too",
         {"a/1", "a/2", "b/1", "b/deep/x"},
         {{"a", "b"}, {"b", "a"}, {"a/1", "2"}, {"a/2", "1"}, {"b/deep", "shallow"}, {"b/deep/x", "y"}}},
        {"a chain", {"a", "b", "c"}, {{"a", "b"}, {"b", "c"}, {"c", "d"}}},
    };
    return all;
}

struct RenameScene {
    explicit RenameScene(const Case& given) : what(given) {
        for (const auto& file : what.files) temp.write("in/" + file, file);
        NewNamesByPath by_path;
        for (const auto& [path, name] : what.names) by_path[temp.path("in/" + path)] = name;
        plan = plan_renames({temp.path("in")}, by_path);
        for (const Item& item : plan->items) REQUIRE(item.outcome == Outcome::created);
    }
    const Case& what;
    TempFolder temp{"/dev/shm"};
    std::shared_ptr<const Plan> plan;
};

void check_no_hidden(const TempFolder& temp) {
    for (const auto& entry : std::filesystem::recursive_directory_iterator(temp.path("in")))
        CHECK(entry.path().filename().string().find(".tavlo") == std::string::npos);
}

/// What a run that nothing interferes with leaves.
Tree tree_when_done(const Case& what) {
    RenameScene scene(what);
    Jobs jobs(scene.temp.path("state"));
    CHECK(jobs.carry_out(*scene.plan).of(Outcome::created) == scene.plan->items.size());
    Tree names;
    for (const auto& [path, attributes] : tree_of(scene.temp.path("in"), {.folder_times = false}))
        names[path] =
            std::filesystem::is_directory(scene.temp.path("in/" + path)) ? "" : scene.temp.read("in/" + path);
    return names;
}

Tree names_of(const TempFolder& temp) {
    Tree names;
    for (const auto& [path, attributes] : tree_of(temp.path("in"), {.folder_times = false}))
        names[path] = std::filesystem::is_directory(temp.path("in/" + path)) ? "" : temp.read("in/" + path);
    return names;
}

}  // namespace

TEST_CASE("renames that end before any call are recovered to their end, and so is a recovery that ends so",
          "[fault][rename]") {
    const Case& what = cases()[GENERATE(range(std::size_t{0}, std::size_t{5}))];
    const Tree meant = tree_when_done(what);
    bool reached = true;
    for (int nth = 0; reached; ++nth) {
        RenameScene scene(what);
        CAPTURE(what.words, nth);
        Jobs jobs(scene.temp.path("state"));
        const auto dies = [&](const std::function<void(FileSystem&)>& work) {
            AtCall dying(nth, AtCall::dies);
            try {
                work(dying);
            } catch (const std::runtime_error&) {
            }
            return dying.was_reached();
        };
        reached = dies([&](FileSystem& disk) { (void)carry_out(disk, *jobs.store, *scene.plan, {}); });
        (void)dies([&](FileSystem& disk) { (void)recover(disk, *jobs.store); });
        const auto recovered = value(recover(*jobs.disk, *jobs.store));
        CHECK(recovered.problems.empty());
        const auto heads = value(jobs.store->receipts());
        if (heads.empty()) continue;  // it ended before anything was noted
        CHECK(heads[0].state == RunState::done);
        CHECK(heads[0].totals.of(Outcome::created) == scene.plan->items.size());
        check_no_hidden(scene.temp);
        CHECK(names_of(scene.temp) == meant);
        REQUIRE(jobs.store->each_item(
            heads[0].id, [&](ReceiptItem&& item) { CHECK(std::filesystem::exists(item.place())); }));
    }
}

TEST_CASE(
    "where any call of a rename fails, each thing has its old name or its new one, or one that its receipt "
    "tells",
    "[fault][rename]") {
    const Case& what = cases()[GENERATE(range(std::size_t{0}, std::size_t{5}))];
    bool reached = true;
    for (int nth = 0; reached; ++nth) {
        RenameScene scene(what);
        CAPTURE(what.words, nth);
        Jobs jobs(scene.temp.path("state"));
        const auto before = contents_of(scene.temp.path("in"));
        AtCall failing(nth, AtCall::fails);
        const auto head = value(carry_out(failing, *jobs.store, *scene.plan, {}));
        reached = failing.was_reached();
        CHECK(head.state == RunState::done);
        CHECK(contents_of(scene.temp.path("in")) == before);
        check_no_hidden(scene.temp);
        REQUIRE(jobs.store->each_item(head.id, [&](ReceiptItem&& item) {
            CAPTURE(item.source, item.target, item.final_path, to_text(item.result), item.error);
            if (arrives(item.result)) CHECK(std::filesystem::exists(item.place()));
        }));
        if (!reached) CHECK(head.totals.of(Outcome::created) == scene.plan->items.size());
    }
}

TEST_CASE(
    "names that differ in case alone change on a file system that folds case, also where the program ends "
    "before any call",
    "[fault][rename][disks]") {
    TempFolder temp("/dev/shm");
    REQUIRE(std::system(("truncate -s 64M '" + temp.path("image") + "'").c_str()) == 0);
    const bool made = std::system(("mkfs.exfat '" + temp.path("image") + "' >/dev/null 2>&1").c_str()) == 0;
    const Loop loop(temp.path("image"));
    NEEDS_THAT(made && loop.attached, "no exFAT can be made here")
    const Mount disk = Mount::by({"mount.exfat-fuse", loop.name, temp.path("disk")}, temp.path("disk"));
    NEEDS(disk)
    const std::vector<std::string> old{"Scan A.PDF", "Scan B.PDF", "Box"};
    const std::vector<std::string> meant{"scan a.pdf", "scan b.pdf", "box"};
    const auto names = [&] {
        std::set<std::string> all;
        for (const auto& one : std::filesystem::directory_iterator(temp.path("disk/in")))
            all.insert(one.path().filename());
        return all;
    };
    const std::set<std::string> before(old.begin(), old.end());
    const std::set<std::string> after(meant.begin(), meant.end());
    bool reached = true;
    for (int nth = 0; reached; nth += 3) {  // each scene takes its time through FUSE
        CAPTURE(nth);
        std::filesystem::remove_all(temp.path("disk/in"));
        std::filesystem::remove_all(temp.path("state"));
        for (const char* file : {"disk/in/Scan A.PDF", "disk/in/Scan B.PDF", "disk/in/Box/c"})
            temp.write(file, file);
        Job job;
        job.operation = Operation::rename;
        for (const auto& name : old) job.what.sources.push_back(temp.path("disk/in/" + name));
        job.naming.steps = {LetterCase{LetterCase::To::lower}};
        job.naming.whole_names = true;
        const auto plan = value(prepare(*make_disk(), job)).plan;
        CHECK(plan->totals.of(Outcome::created) == 3);
        Jobs jobs(temp.path("state"));
        AtCall dying(nth, AtCall::dies);
        carry_out_until_it_dies(dying, *jobs.store, *plan);
        reached = dying.was_reached();
        CHECK(value(recover(*jobs.disk, *jobs.store)).problems.empty());
        const auto heads = value(jobs.store->receipts());
        CHECK(names() == (heads.empty() ? before : after));
        if (heads.empty()) continue;
        CHECK(jobs.undo(heads[0].id).of(Outcome::restored) == 3);
        CHECK(names() == before);
    }
}
