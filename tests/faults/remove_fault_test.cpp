// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <filesystem>

#include "recover/recover.h"
#include "support/catch.h"
#include "support/contents.h"
#include "support/environment.h"
#include "support/every_call.h"
#include "support/kill_scene.h"
#include "support/temp_folder.h"
#include "support/trash.h"
#include "support/tree.h"

// Removing, where any call fails, and where the program ends before any call: what was in hand is in its
// place, or in the Safe's index.

using namespace tavlo;

namespace {

/// To the Safe, or to the trash.
struct RemoveScene {
    explicit RemoveScene(Shelf shelf, const std::string& by = "in")
        : trash("XDG_DATA_HOME", temp.path("data")) {
        for (const char* file : {"in/a", "in/b", "in/box/c", "in/box/deep/d", "in/stays"})
            temp.write(file, file);
        std::filesystem::create_symlink("nowhere", temp.path("in/link"));
        std::filesystem::create_directory_symlink(temp.path("in"), temp.path("linked"));
        before = tree_of(temp.path("in"), {.folder_times = false});
        Job job;
        job.operation = Operation::remove;
        job.shelf = shelf;
        for (const char* source : {"/a", "/b", "/box", "/link"})
            job.what.sources.push_back(temp.path(by + source));
        plan = value(prepare(*make_disk(), job)).plan;
    }
    TempFolder temp{"/dev/shm"};
    Environment trash;
    Tree before;
    std::shared_ptr<const Plan> plan;
};

/// Everything is somewhere that somebody is told of, and the undo brings back what went.
void check_nothing_is_lost(RemoveScene& scene, Jobs& jobs, const std::string& receipt) {
    std::size_t gone = 0;
    REQUIRE(jobs.store->each_item(receipt, [&](ReceiptItem&& item) {
        CAPTURE(item.source, to_text(item.result), item.error);
        const bool is_there = std::filesystem::exists(std::filesystem::symlink_status(item.source));
        const bool is_kept = !item.set_aside.empty() ||
                             std::filesystem::exists(std::filesystem::symlink_status(item.final_path));
        CHECK(is_there != is_kept);
        if (item.result == Outcome::removed) CHECK_FALSE(is_there);
        if (!is_there) ++gone;
        if (!item.set_aside.empty()) CHECK(jobs.store->safe_entry(item.set_aside));
    }));
    if (gone == 0) return;
    (void)jobs.undo(receipt);
    for (const SafeEntry& left : value(jobs.store->safe_entries()))
        (void)carry_out(*jobs.disk, *jobs.store,
                        value(prepare_restore(*jobs.disk, *jobs.store, left.id, "", std::nullopt)), {});
    CHECK(differences(tree_of(scene.temp.path("in"), {.folder_times = false}), scene.before) == "");
}

}  // namespace

TEST_CASE("a removal that ends before any call is recovered to its end, and undone, and so is that",
          "[fault][remove]") {
    const Shelf shelf = GENERATE(Shelf::safe, Shelf::trash);
    const auto by =
        GENERATE(as<std::string>(), "in", "linked");  // through a link: the trash notes where that leads
    bool reached = true;
    for (int nth = 0; reached; ++nth) {
        RemoveScene scene(shelf, by);
        CAPTURE(nth, to_text(shelf), by);
        Jobs jobs(scene.temp.path("state"));
        AtCall dying(nth, AtCall::dies);
        carry_out_until_it_dies(dying, *jobs.store, *scene.plan);
        reached = dying.was_reached();
        CHECK(value(recover(*jobs.disk, *jobs.store)).problems.empty());
        const auto heads = value(jobs.store->receipts());
        if (heads.empty()) continue;  // it ended before anything was noted
        CHECK(heads[0].totals.of(Outcome::removed) == 4);
        check_trash_is_whole(scene.temp.path("data/Trash"));
        check_nothing_is_lost(scene, jobs, heads[0].id);
        check_trash_is_whole(scene.temp.path("data/Trash"));
    }
}

TEST_CASE("an undo of what went to the trash ends before any call, and recovery brings it to its end",
          "[fault][remove]") {
    bool reached = true;
    for (int nth = 0; reached; ++nth) {
        RemoveScene scene(Shelf::trash);
        CAPTURE(nth);
        Jobs jobs(scene.temp.path("state"));
        const Ran removed = jobs.carry_out(*scene.plan);
        const Plan undo = value(prepare_undo(*jobs.disk, *jobs.store, removed.head.id));
        AtCall dying(nth, AtCall::dies);
        carry_out_until_it_dies(dying, *jobs.store, undo);
        reached = dying.was_reached();
        CHECK(value(recover(*jobs.disk, *jobs.store)).problems.empty());
        if (value(jobs.store->receipts()).size() == 1) continue;
        CHECK(differences(tree_of(scene.temp.path("in"), {.folder_times = false}), scene.before) == "");
        check_trash_is_whole(scene.temp.path("data/Trash"));
        CHECK(std::filesystem::is_empty(scene.temp.path("data/Trash/files")));
    }
}

TEST_CASE("where any call of a removal fails, nothing is lost, and the receipt says where it is",
          "[fault][remove]") {
    const Shelf shelf = GENERATE(Shelf::safe, Shelf::trash);
    bool reached = true;
    for (int nth = 0; reached; ++nth) {
        RemoveScene scene(shelf);
        CAPTURE(nth, to_text(shelf));
        Jobs jobs(scene.temp.path("state"));
        AtCall failing(nth, AtCall::fails);
        const auto head = value(carry_out(failing, *jobs.store, *scene.plan, {}));
        reached = failing.was_reached();
        if (!reached) CHECK(head.totals.of(Outcome::removed) == 4);
        check_nothing_is_lost(scene, jobs, head.id);
    }
}
