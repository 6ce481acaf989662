// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <sys/stat.h>

#include <filesystem>

#include "recover/recover.h"
#include "support/catch.h"
#include "support/every_call.h"
#include "support/jobs.h"
#include "support/temp_folder.h"

// New folders: made by a run, and gone again with its undo as long as they are empty.

using namespace tavlo;

namespace {

Job make(const std::string& into, std::vector<std::string> folders) {
    Job job;
    job.operation = Operation::make;
    job.into = into;
    job.make = std::move(folders);
    return job;
}

}  // namespace

TEST_CASE("new folders, one in the other, some there already, and back", "[make]") {
    TempFolder temp;
    Jobs jobs(temp.path("state"));
    temp.write("in/there/file", "x");
    const Ran ran = jobs.run(make(temp.path("in"), {"there/a/b", "there/a/c", "d"}));
    CHECK(ran.of(Outcome::created) == 4);
    CHECK(ran.of(Outcome::merged) == 1);
    CHECK(ran.items.size() == 5);
    for (const char* folder : {"in/there/a/b", "in/there/a/c", "in/d"})
        CHECK(std::filesystem::is_directory(temp.path(folder)));
    struct stat own {};
    struct stat usual {};
    std::filesystem::create_directory(temp.path("usual"));
    REQUIRE(::stat(temp.path("in/d").c_str(), &own) == 0);
    REQUIRE(::stat(temp.path("usual").c_str(), &usual) == 0);
    CHECK(own.st_mode == usual.st_mode);
    CHECK(own.st_mtim.tv_sec > 1'600'000'000);
    temp.write("in/there/a/b/file", "put in since");
    const Ran undone = jobs.undo(ran.head.id);
    CHECK(temp.read("in/there/a/b/file") == "put in since");
    CHECK_FALSE(temp.has("in/there/a/c"));
    CHECK_FALSE(temp.has("in/d"));
    CHECK(temp.read("in/there/file") == "x");
    CHECK(jobs.undo(undone.head.id).of(Outcome::restored) == 2);
    CHECK(temp.has("in/d"));
}

TEST_CASE("a name that is held by a file stays with it, and names that cannot be are said", "[make]") {
    TempFolder temp;
    Jobs jobs(temp.path("state"));
    temp.write("in/held", "bytes");
    const Ran ran = jobs.run(make(temp.path("in"), {"held/a", "..", "x//y"}));
    CHECK(temp.read("in/held") == "bytes");
    CHECK(ran.of(Outcome::undecided) == 2);
    CHECK(ran.of(Outcome::failed) == 3);  // "..", the empty one, and what would be in it
    CHECK(ran.of(Outcome::created) == 1);
}

TEST_CASE("a making that ends before any call is recovered, and its undo leaves nothing", "[make]") {
    bool reached = true;
    for (int nth = 0; reached; ++nth) {
        TempFolder temp;
        CAPTURE(nth);
        temp.folder("in");
        Jobs jobs(temp.path("state"));
        const auto plan = value(prepare(*jobs.disk, make(temp.path("in"), {"a/b/c"}))).plan;
        AtCall dying(nth, AtCall::dies);
        carry_out_until_it_dies(dying, *jobs.store, *plan);
        reached = dying.was_reached();
        CHECK(value(recover(*jobs.disk, *jobs.store)).problems.empty());
        const auto heads = value(jobs.store->receipts());
        if (heads.empty()) continue;
        CHECK(heads[0].totals.of(Outcome::created) == 3);
        CHECK(temp.has("in/a/b/c"));
        (void)jobs.undo(heads[0].id);
        CHECK(std::filesystem::is_empty(temp.path("in")));
    }
}
