// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/plan.h"

#include <map>

#include "files/path.h"
#include "support/catch.h"

using namespace tavlo;

namespace {

constexpr std::int64_t day_ns = 86'400'000'000'000;

/// Batches and destinations put together by hand: planning needs no disk.
struct Scene {
    Scene() {
        destination.path = "/to";
        destination.exists = true;
        destination.volume.device = 9;
        hold_folder("");
    }

    EntryId add(const std::string& path, FileType type = FileType::file, std::uint64_t size = 10,
                std::int64_t modified = 10 * day_ns) {
        Entry entry;
        const std::string above(parent_of(path));
        const auto found = inside.find(above);
        if (found == inside.end()) {
            entry.folder = batch.folders.add_root(above);
            roots.try_emplace(above, entry.folder);
            entry.folder = roots.at(above);
        } else {
            entry.folder = batch.entries[found->second].inside;
            entry.parent = found->second;
        }
        entry.name = std::string(name_of(path));
        entry.status.type = type;
        entry.status.id = {source_device, ++inode, size, modified};
        const auto id = static_cast<EntryId>(batch.entries.size());
        if (type == FileType::folder) {
            entry.inside = batch.folders.add(entry.folder, entry.name);
            inside[path] = id;
        }
        batch.entries.push_back(entry);
        return id;
    }

    HeldFolder& hold_folder(const std::string& below) {
        HeldFolder& folder = destination.folders[below];
        folder.folds_case = destination.volume.folds_case;
        if (!below.empty()) hold(below, FileType::folder);
        return folder;
    }

    void hold(const std::string& below, FileType type = FileType::file, std::uint64_t size = 10,
              std::int64_t modified = 10 * day_ns) {
        const std::string name(name_of(below));
        HeldFolder& folder = destination.folders.at(std::string(parent_of(below)));
        Held held;
        held.name = name;
        held.status.type = type;
        held.status.id = {9, ++inode, size, modified};
        folder.add(std::move(held));
        folder.settle();
    }

    void know(const std::string& source, const std::string& below, bool same) {
        const Held* held = destination.folders.at(std::string(parent_of(below))).find(name_of(below));
        for (const Entry& entry : batch.entries)
            if (batch.source_path(entry) == source) known.learn(pair_of(entry.status, held->status), same);
    }

    Plan plan(Decision otherwise = Decision::undecided, Operation operation = Operation::copy,
              Structure shape = {}) {
        wishes.operation = operation;
        wishes.policy.otherwise = otherwise;
        const auto shared = std::make_shared<const Batch>(batch);
        return make_plan(wishes, shared,
                         lay_out(*shared, destination.path, shape, destination.volume.folds_case),
                         Survey{{destination}}, known);
    }

    Batch batch;
    Destination destination;
    Wishes wishes;
    KnownContents known;
    std::uint64_t source_device = 1;
    std::uint64_t inode = 100;
    std::map<std::string, EntryId> inside;
    std::map<std::string, FolderId> roots;
};

std::string told(const Plan& plan) {
    std::string out;
    for (const Item& item : plan.items) {
        out += std::string(to_text(item.outcome)) + " " + plan.target_path(item);
        if (plan.final_path(item) != plan.target_path(item)) out += " as " + plan.final_path(item);
        out += "\n";
    }
    return out;
}

std::optional<Finding> finding(const Plan& plan, ItemId id) {
    return plan.items.at(id).collision ? plan.items[id].collision->finding : std::nullopt;
}

}  // namespace

TEST_CASE("each finding says how the incoming one compares", "[plan]") {
    Scene scene;
    for (const char* name : {"same", "newer", "older", "same-date", "size-newer", "unread"})
        scene.add(std::string("/from/") + name);
    scene.add("/from/type", FileType::folder);
    scene.hold("same", FileType::file, 10, 3 * day_ns);
    scene.hold("newer", FileType::file, 10, 3 * day_ns);
    scene.hold("older", FileType::file, 10, 30 * day_ns);
    scene.hold("same-date", FileType::file, 10, 10 * day_ns);
    scene.hold("size-newer", FileType::file, 11, 3 * day_ns);
    scene.hold("unread");
    scene.hold("type");
    scene.know("/from/same", "same", true);
    for (const char* name : {"newer", "older", "same-date"})
        scene.know(std::string("/from/") + name, name, false);
    const Plan plan = scene.plan();
    CHECK(finding(plan, 0) == Finding::same);
    CHECK(finding(plan, 1) == Finding::newer);
    CHECK(finding(plan, 2) == Finding::older);
    CHECK(finding(plan, 3) == Finding::same_date);
    CHECK(finding(plan, 4) == Finding::newer);
    CHECK(finding(plan, 6) == Finding::type);
    // one size and not read: never guessed, and nothing happens to it
    CHECK_FALSE(finding(plan, 5).has_value());
    CHECK(plan.not_compared == std::vector<ItemId>{5});
    CHECK(plan.totals.of(Outcome::undecided) == 7);
}

TEST_CASE("an unread pair is not decided by a rule, only by a person", "[plan]") {
    Scene scene;
    const EntryId id = scene.add("/from/a");
    scene.hold("a");
    CHECK(scene.plan(Decision::overwrite).items[0].outcome == Outcome::undecided);
    const Pair pair =
        pair_of(scene.batch.entries[id].status, scene.destination.folders.at("").find("a")->status);
    scene.wishes.decisions.add("/from/a", {pair, Decision::skip});
    CHECK(scene.plan(Decision::overwrite).items[0].outcome == Outcome::skipped);
    scene.batch.entries[id].status.id.modified_ns += 1;  // another pair now: the decision does not hold
    CHECK(scene.plan().items[0].outcome == Outcome::undecided);
}

TEST_CASE("dates within the coarser time step count as the same", "[plan]") {
    Scene scene;
    scene.destination.volume.time_step_ns = 2'000'000'000;
    scene.add("/from/a", FileType::file, 10, 10 * day_ns + 1'999'999'999);
    scene.add("/from/b", FileType::file, 10, 10 * day_ns + 2'000'000'000);
    scene.hold("a", FileType::file, 11);
    scene.hold("b", FileType::file, 11);
    const Plan plan = scene.plan();
    CHECK(finding(plan, 0) == Finding::same_date);
    CHECK(finding(plan, 1) == Finding::newer);
}

TEST_CASE("folders merge, and a folder that meets a file decides for all below it", "[plan]") {
    Scene scene;
    scene.add("/from/box", FileType::folder);
    scene.add("/from/box/a");
    scene.add("/from/tin", FileType::folder);
    scene.add("/from/tin/b");
    scene.hold_folder("box");
    scene.hold("tin");
    CHECK(told(scene.plan()) ==
          "merged /to/box\ncreated /to/box/a\nundecided /to/tin\nundecided /to/tin/b\n");
    CHECK(told(scene.plan(Decision::skip)) ==
          "merged /to/box\ncreated /to/box/a\nskipped /to/tin\nskipped /to/tin/b\n");
    CHECK(told(scene.plan(Decision::overwrite)) ==
          "merged /to/box\ncreated /to/box/a\noverwritten /to/tin\ncreated /to/tin/b\n");
    CHECK(told(scene.plan(Decision::rename)) ==
          "merged /to/box\ncreated /to/box/a\nrenamed /to/tin as /to/tin-2\ncreated /to/tin/b as "
          "/to/tin-2/b\n");
    CHECK(scene.plan(Decision::rename).items[3].collision->decision == Decision::rename);
}

TEST_CASE("items of a batch that want one name are twins", "[plan][twin]") {
    Scene scene;
    scene.add("/one/a", FileType::file, 10, 1 * day_ns);
    scene.add("/two/a", FileType::file, 10, 2 * day_ns);
    scene.add("/three/a", FileType::file, 10, 3 * day_ns);
    SECTION("while the name is free the first gets it") {
        CHECK(told(scene.plan()) == "undecided /to/a\nundecided /to/a\nundecided /to/a\n");
        CHECK(told(scene.plan(Decision::skip)) == "created /to/a\nskipped /to/a\nskipped /to/a\n");
        CHECK(told(scene.plan(Decision::rename)) ==
              "created /to/a\nrenamed /to/a as /to/a-2\nrenamed /to/a as /to/a-3\n");
        CHECK(told(scene.plan(Decision::overwrite)) ==
              "created /to/a\noverwritten /to/a\noverwritten /to/a\n");
    }
    SECTION("a name that is held is nobody's") {
        scene.hold("a");
        CHECK(told(scene.plan(Decision::skip)) == "skipped /to/a\nskipped /to/a\nskipped /to/a\n");
        CHECK(told(scene.plan(Decision::rename)) ==
              "renamed /to/a as /to/a-2\nrenamed /to/a as /to/a-3\nrenamed /to/a as /to/a-4\n");
        CHECK(told(scene.plan(Decision::overwrite)) ==
              "overwritten /to/a\noverwritten /to/a\noverwritten /to/a\n");
    }
    for (ItemId id = 0; id < 3; ++id) CHECK(finding(scene.plan(), id) == Finding::twin);
}

TEST_CASE("a destination that folds case makes twins and collisions of names that differ in case",
          "[plan][twin]") {
    Scene scene;
    scene.destination.volume.folds_case = true;
    scene.destination.folders.at("").folds_case = true;
    scene.add("/from/Plan.txt");
    scene.add("/from/plan.TXT");
    scene.add("/from/Other");
    scene.hold("OTHER", FileType::file, 5);
    const Plan plan = scene.plan(Decision::rename);
    CHECK(finding(plan, 0) == Finding::twin);
    CHECK(finding(plan, 1) == Finding::twin);
    CHECK(plan.final_path(plan.items[1]) == "/to/plan-2.TXT");
    CHECK(finding(plan, 2) == Finding::same_date);
}

TEST_CASE("a proposed name is one that neither the destination nor the batch holds", "[plan]") {
    Scene scene;
    scene.add("/from/a.txt");
    scene.add("/from/a-2.txt");
    scene.hold("a.txt", FileType::file, 5);
    scene.hold("a-3.txt");
    CHECK(told(scene.plan(Decision::rename)) == "renamed /to/a.txt as /to/a-4.txt\ncreated /to/a-2.txt\n");
}

TEST_CASE("the shape says which folders come along", "[plan][shape]") {
    Scene scene;
    scene.add("/from/top", FileType::folder);
    scene.add("/from/top/empty", FileType::folder);
    scene.add("/from/top/file");
    scene.add("/from/top/sub", FileType::folder);
    scene.add("/from/top/sub/deep");
    const auto shaped = [&](bool contents, Subfolders subfolders, bool flatten) {
        return told(scene.plan(Decision::undecided, Operation::copy, {contents, subfolders, flatten}));
    };
    CHECK(shaped(false, Subfolders::all, false) ==
          "created /to/top\ncreated /to/top/empty\ncreated /to/top/file\ncreated /to/top/sub\ncreated "
          "/to/top/sub/deep\n");
    CHECK(shaped(true, Subfolders::all, false) ==
          "created /to/empty\ncreated /to/file\ncreated /to/sub\ncreated /to/sub/deep\n");
    CHECK(shaped(false, Subfolders::filled, false) ==
          "created /to/top\ncreated /to/top/file\ncreated /to/top/sub\ncreated /to/top/sub/deep\n");
    CHECK(shaped(false, Subfolders::none, false) == "created /to/top\ncreated /to/top/file\n");
    CHECK(shaped(true, Subfolders::none, false) == "created /to/file\n");
    CHECK(shaped(false, Subfolders::all, true) == "created /to/file\ncreated /to/deep\n");
}

TEST_CASE("a folder moves whole only where all of it is in the batch and its place is free", "[plan][move]") {
    Scene scene;
    scene.source_device = 9;
    scene.add("/from/top", FileType::folder);
    scene.add("/from/top/file");
    scene.add("/from/top/pipe", FileType::other);
    SECTION("a free place, one file system") {
        const Plan plan = scene.plan(Decision::undecided, Operation::move);
        CHECK(plan.items[0].whole);
        CHECK(plan.items[1].along);
        CHECK(plan.items[2].outcome == Outcome::created);  // a fifo comes along, unopened
    }
    SECTION("a copy never does, and leaves special files alone") {
        const Plan plan = scene.plan();
        CHECK_FALSE(plan.items[0].whole);
        CHECK(plan.items[2].outcome == Outcome::failed);
    }
    SECTION("another file system") {
        scene.destination.volume.device = 10;
        CHECK_FALSE(scene.plan(Decision::undecided, Operation::move).items[0].whole);
    }
    SECTION("a folder to merge with") {
        scene.hold_folder("top");
        CHECK_FALSE(scene.plan(Decision::undecided, Operation::move).items[0].whole);
    }
    SECTION("something below that was not gathered") {
        scene.batch.entries[0].complete = false;
        CHECK_FALSE(scene.plan(Decision::undecided, Operation::move).items[0].whole);
    }
}

TEST_CASE("what the destination cannot hold is said before the start", "[plan]") {
    Scene scene;
    scene.destination.volume.forbidden_in_names = ":";
    scene.destination.volume.max_file_bytes = 100;
    scene.add("/from/a:b");
    scene.add("/from/large", FileType::file, 101);
    scene.add("/from/link", FileType::link);
    CHECK(scene.plan().totals.of(Outcome::failed) == 2);
    scene.destination.volume.holds_links = false;
    const Plan plan = scene.plan();
    CHECK(plan.totals.of(Outcome::failed) == 3);
    CHECK(plan.items[2].problem()->fault == Fault::unsupported);
    CHECK(plan.items[0].problem()->fault == Fault::name_not_possible);
    CHECK(plan.items[1].problem()->fault == Fault::no_space);
}

TEST_CASE("what the destination cannot hold under its name can arrive under the nearest one that it can",
          "[plan][names]") {
    Scene scene;
    scene.destination.volume.forbidden_in_names = "\\:*?\"<>|";
    scene.destination.volume.max_name_bytes = 40;
    scene.hold("a_b.pdf");
    scene.add("/from/a:b.pdf");
    scene.add("/from/what?.txt");
    scene.add("/from/what*.txt");
    scene.add("/from/ends. ");
    scene.add("/from/in: box", FileType::folder);
    scene.add("/from/in: box/fine");
    scene.add("/from/" + std::string(60, 'x') + ".pdf");
    const Plan refused = scene.plan(Decision::overwrite);
    CHECK(refused.totals.of(Outcome::failed) == 7);
    scene.wishes.policy.adapt_names = true;
    const Plan adapted = scene.plan(Decision::overwrite);
    CHECK(adapted.totals.of(Outcome::failed) == 0);
    std::vector<std::string> names;
    for (const Item& item : adapted.items) names.push_back(adapted.final_path(item));
    CHECK(names == std::vector<std::string>{"/to/a_b-2.pdf", "/to/what_.txt", "/to/what_-2.txt", "/to/ends__",
                                            "/to/in_ box", "/to/in_ box/fine",
                                            "/to/" + std::string(36, 'x') + ".pdf"});
    CHECK(adapted.items[0].outcome == Outcome::renamed);  // and what is there stays
    CHECK(adapted.items[5].outcome == Outcome::created);
}
