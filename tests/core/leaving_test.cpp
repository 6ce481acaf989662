// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <unistd.h>

#include <filesystem>

#include "files/path.h"
#include "run/safe_folder.h"
#include "support/catch.h"
#include "support/jobs.h"
#include "support/mounts.h"
#include "support/temp_folder.h"
#include "support/tree.h"

// What a run takes out of the destination: listed before it goes, to the Safe whole, and back with the undo.

using namespace tavlo;

namespace {

Job clearing(Job job, Clearing how) {
    job.clearing = how;
    return job;
}

void make_destination(const TempFolder& temp) {
    temp.write("to/box/old", "old");
    temp.write("to/box/both", "held");
    temp.write("to/box/sub/deep", "deep");
    temp.write("to/other/x", "x");
    temp.link("to/link", "other");
    temp.folder("to/empty");
}

}  // namespace

TEST_CASE("leaving nothing extra takes out of the folders that are merged what is not of the batch, no more",
          "[disk][leaving]") {
    TempFolder temp;
    make_destination(temp);
    temp.write("from/box/both", "held");
    temp.write("from/box/new", "new");
    const Tree before = tree_of(temp.path("to"), {.folder_times = false});
    Jobs jobs(temp.path("state"));
    const Ran ran = jobs.run(clearing(copy({temp.path("from/box")}, temp.path("to")), Clearing::extra));
    CHECK(ran.of(Outcome::removed) == 5);  // box/old, box/sub, other, link, empty
    CHECK(ran.item(temp.path("to/other")).type == FileType::folder);
    CHECK_FALSE(ran.item(temp.path("to/other")).set_aside.empty());
    CHECK(temp.read("to/box/both") == "held");
    CHECK(temp.read("to/box/new") == "new");
    CHECK(std::distance(std::filesystem::directory_iterator(temp.path("to")), {}) == 1);
    CHECK(std::distance(std::filesystem::directory_iterator(temp.path("to/box")), {}) == 2);
    const Ran undone = jobs.undo(ran.head.id);
    CHECK(undone.of(Outcome::failed) + undone.of(Outcome::undecided) == 0);
    CHECK(tree_of(temp.path("to"), {.folder_times = false}) == before);
    jobs.undo(undone.head.id);  // and out again
    CHECK_FALSE(temp.has("to/other"));
    CHECK(temp.read("to/box/new") == "new");
}

TEST_CASE("emptied first, nothing collides, and folders of the same name are new ones", "[disk][leaving]") {
    TempFolder temp;
    make_destination(temp);
    temp.write("from/box/both", "mine");
    temp.write("from/other", "a file where a folder was");
    const Tree before = tree_of(temp.path("to"), {.folder_times = false});
    Jobs jobs(temp.path("state"));
    const Ran ran = jobs.run(
        clearing(move({temp.path("from/box"), temp.path("from/other")}, temp.path("to")), Clearing::all));
    CHECK(ran.of(Outcome::removed) == 4);
    CHECK(ran.of(Outcome::created) == 3);
    CHECK(temp.read("to/box/both") == "mine");
    CHECK_FALSE(temp.has("to/box/old"));
    CHECK(temp.read("to/other") == "a file where a folder was");
    CHECK(jobs.undo(ran.head.id).of(Outcome::undecided) == 0);
    CHECK(tree_of(temp.path("to"), {.folder_times = false}) == before);
    CHECK(temp.read("from/box/both") == "mine");
}

TEST_CASE("what would leave and is a source, or holds one, is refused before anything is touched",
          "[disk][leaving]") {
    TempFolder temp;
    temp.write("to/box/inner/a", "a");
    temp.write("to/b", "b");
    temp.write("from/c", "c");
    temp.link("shortcut", temp.path("to/box"));
    const auto disk = make_disk();
    const auto refusals = [&](const Job& job) {
        std::string all;
        for (const Error& refusal : value(prepare(*disk, job)).refusals) all += describe(refusal) + "\n";
        return all;
    };
    const auto to = temp.path("to");
    CHECK_THAT(refusals(clearing(copy({temp.path("to/box/inner")}, to), Clearing::extra)),
               ContainsSubstring("to/box") && ContainsSubstring("comes out of it"));
    CHECK_THAT(refusals(clearing(copy({temp.path("shortcut/inner/a")}, to), Clearing::extra)),
               ContainsSubstring("comes out of it"));
    CHECK_THAT(refusals(clearing(move({temp.path("to/box")}, to), Clearing::all)),
               ContainsSubstring("is of the batch itself"));
    CHECK_THAT(refusals(clearing(move({temp.path("to/b")}, to), Clearing::all)),
               ContainsSubstring("is of the batch itself"));
    Job contents = clearing(copy({temp.path("to/box")}, to), Clearing::extra);
    contents.structure.contents = true;
    CHECK_THAT(refusals(contents), ContainsSubstring("is of the batch itself"));
    if (::geteuid() == 0)  // for anybody else it may not be written anyway
        CHECK_THAT(refusals(clearing(copy({temp.path("from/c")}, "/"), Clearing::extra)),
                   ContainsSubstring("root of the whole system"));
    CHECK_THAT(refusals(clearing(copy({}, to), Clearing::extra)), ContainsSubstring("nothing of the batch"));
    CHECK(refusals(clearing(copy({temp.path("from/c")}, to), Clearing::extra)).empty());
}

TEST_CASE("what changed after the plan, and Tavlo's own records, do not leave", "[disk][leaving]") {
    TempFolder temp;
    temp.write("to/edited", "before");
    temp.write("to/gone", "x");
    temp.write("to/was the top/" + safe_folder_name() + "/20310502-091407-k3f9/1/version", "set aside");
    temp.write("from/c", "c");
    Jobs jobs(temp.path("to/records/state"));
    const Ran ran =
        jobs.run_after(clearing(copy({temp.path("from/c")}, temp.path("to")), Clearing::extra), [&] {
            temp.write("to/edited", "a day's work");
            std::filesystem::remove(temp.path("to/gone"));
            temp.write("to/added", "by another program");
        });
    CHECK(ran.item(temp.path("to/edited")).result == Outcome::undecided);
    CHECK(ran.item(temp.path("to/gone")).result == Outcome::undecided);
    CHECK(ran.item(temp.path("to/records")).result == Outcome::failed);
    CHECK(ran.item(temp.path("to/was the top")).result == Outcome::failed);
    CHECK(temp.read("to/edited") == "a day's work");
    CHECK(temp.read("to/added") == "by another program");
    CHECK(temp.has("to/records/state/tavlo.sqlite"));
}

TEST_CASE("a mount, and what a volume keeps at its top, stay when its folder is emptied",
          "[disk][mounts][leaving]") {
    TempFolder temp;
    const Mount volume = Mount::memory(temp.folder("to/volume"));
    NEEDS(volume);
    for (const char* name : {"lost+found", ".Trash-0", "box"}) temp.folder(std::string("to/volume/") + name);
    temp.write("from/c", "c");
    Jobs jobs(temp.path("state"));
    const Ran ran = jobs.run(clearing(copy({temp.path("from/c")}, volume.path), Clearing::all));
    CHECK(ran.of(Outcome::removed) == 1);
    CHECK(temp.has("to/volume/lost+found"));
    CHECK(temp.has("to/volume/.Trash-0"));
    CHECK_FALSE(temp.has("to/volume/box"));
    const Ran around = jobs.run(clearing(copy({temp.path("from/c")}, temp.path("to")), Clearing::extra));
    CHECK(around.item(volume.path).result == Outcome::failed);
    CHECK(temp.has("to/volume/lost+found"));
}

TEST_CASE("folders on the way are kept from a level on, and a move leaves them", "[disk][leaving]") {
    TempFolder temp;
    temp.write("office/2031/May/a", "a");
    temp.write("office/2031/May/other", "stays");
    temp.write("office/2030/June/b", "b");
    temp.write("office/top", "top");
    temp.write("elsewhere/c", "c");
    std::filesystem::permissions(temp.path("office/2031"), std::filesystem::perms(0750));
    Jobs jobs(temp.path("state"));
    Job job = move({temp.path("office/2031/May/a"), temp.path("office/2030/June"), temp.path("office/top"),
                    temp.path("elsewhere/c")},
                   temp.path("to"));
    job.structure.kept_from = temp.path("office");
    const Ran ran = jobs.run(job);
    CHECK(ran.of(Outcome::created) == 8);  // 2031, May, a, 2030, June, b, top, c
    CHECK(temp.read("to/2031/May/a") == "a");
    CHECK(temp.read("to/2030/June/b") == "b");
    CHECK(temp.read("to/top") == "top");
    CHECK(temp.read("to/c") == "c");
    CHECK(std::filesystem::status(temp.path("to/2031")).permissions() == std::filesystem::perms(0750));
    CHECK(temp.read("office/2031/May/other") == "stays");
    CHECK(temp.has("office/2030"));             // it was not in hand, only on the way
    CHECK_FALSE(temp.has("office/2030/June"));  // it was
    CHECK(jobs.undo(ran.head.id).of(Outcome::undecided) == 0);
    CHECK(temp.read("office/2030/June/b") == "b");
    CHECK_FALSE(temp.has("to"));
}
