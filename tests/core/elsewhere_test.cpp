// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <set>

#include "support/catch.h"
#include "support/jobs.h"
#include "support/temp_folder.h"

// What is in the destination already, under another name.

using namespace tavlo;

namespace {

Job looking(Job job) {
    job.look_elsewhere = true;
    return job;
}

/// Notes which files are read.
class Reads final : public ForwardingFileSystem {
public:
    Result<std::size_t> read_at(const Handle& file, std::uint64_t offset,
                                std::span<std::byte> into) override {
        files.insert(file.path());
        return disk->read_at(file, offset, into);
    }
    std::set<std::string> files;
};

}  // namespace

TEST_CASE("a file whose bytes are there under another name is found, and skipped where that is said",
          "[elsewhere]") {
    const TempFolder temp;
    Jobs jobs(temp.path("state"));
    temp.write("in/quay.jpg", "the quay at noon");
    temp.write("in/other.jpg", "of the same size");
    temp.write("in/new.jpg", "new");
    temp.write("to/2031/deep/img-1.jpg", "the quay at noon");
    temp.write("to/2031/deep/img-2.jpg", "the quay at noon");
    const Job plain = looking(copy({temp.path("in")}, temp.path("to")));
    const auto plan = value(prepare(*jobs.disk, with(plain, Decision::skip))).plan;
    CHECK(plan->totals.of(Outcome::skipped) == 1);
    REQUIRE(plan->colliding.size() == 1);
    const Item& item = plan->items[plan->colliding[0]];
    CHECK(item.collision->finding == Finding::elsewhere);
    CHECK(*item.collision->elsewhere() == temp.path("to/2031/deep/img-1.jpg"));
    // what is said of names that are taken is not meant for one that is free
    for (const Decision decision : {Decision::undecided, Decision::overwrite, Decision::rename}) {
        const auto arrives = value(prepare(*jobs.disk, with(plain, decision))).plan;
        CHECK(arrives->totals.of(Outcome::created) == 4);
        CHECK(arrives->totals.of(Outcome::undecided) == 0);
    }
    Job asked = plain;
    asked.policy.when[static_cast<std::size_t>(Finding::elsewhere)] = Decision::undecided;
    CHECK(value(prepare(*jobs.disk, asked)).plan->totals.of(Outcome::undecided) == 1);
    asked = with(plain, Decision::skip);
    asked.policy.when[static_cast<std::size_t>(Finding::elsewhere)] = Decision::rename;
    CHECK(value(prepare(*jobs.disk, asked)).plan->totals.of(Outcome::created) == 4);
    const Ran ran = jobs.run(with(plain, Decision::skip));
    CHECK_FALSE(temp.has("to/in/quay.jpg"));
    CHECK(temp.read("to/in/other.jpg") == "of the same size");
    CHECK(ran.item(temp.path("to/in/quay.jpg")).collision->elsewhere == temp.path("to/2031/deep/img-1.jpg"));
    CHECK(jobs.run(with(copy({temp.path("in")}, temp.path("to")), Decision::skip)).of(Outcome::created) ==
          1);  // nobody looks now
}

TEST_CASE("a move leaves what is there already, and what its own name meets goes first", "[elsewhere]") {
    const TempFolder temp;
    Jobs jobs(temp.path("state"));
    temp.write("in/a", "bytes of a");
    temp.write("in/b", "bytes of b");
    temp.write("to/other name", "bytes of a");
    temp.write("to/b", "held by another");
    temp.write("to/b elsewhere", "bytes of b");
    const Ran ran = jobs.run(
        with(looking(move({temp.path("in/a"), temp.path("in/b")}, temp.path("to"))), Decision::skip));
    CHECK(temp.read("in/a") == "bytes of a");
    CHECK(ran.item(temp.path("to/a")).collision->finding == Finding::elsewhere);
    CHECK(ran.item(temp.path("to/b")).collision->finding != Finding::elsewhere);
    CHECK(ran.item(temp.path("to/b")).collision->elsewhere.empty());
}

TEST_CASE("only files of equal size are read, once, and their hashes are remembered", "[elsewhere]") {
    const TempFolder temp;
    const auto store = value(Store::open(temp.path("state")));
    temp.write("in/a", "1234");
    temp.write("in/b", "12345678");
    temp.write("to/x", "1234");
    temp.write("to/y", "abcd");
    temp.write("to/z", "another size");
    const auto look = [&] {
        Reads disk;
        const auto plan =
            value(prepare(disk, with(looking(copy({temp.path("in")}, temp.path("to"))), Decision::skip),
                          store.get()))
                .plan;
        CHECK(plan->totals.of(Outcome::skipped) == 1);
        return disk.files.size();
    };
    CHECK(look() == 3);
    CHECK(look() == 0);
    temp.write("to/y", "efgh");
    CHECK(look() == 1);
}

TEST_CASE("neither the batch itself nor what was set aside counts as there", "[elsewhere]") {
    const TempFolder temp;
    Jobs jobs(temp.path("state"));
    temp.write("to/in/a", "bytes");
    temp.write("to/gone", "set aside");
    (void)jobs.run(Job{.operation = Operation::remove, .what = {.sources = {temp.path("to/gone")}}});
    temp.write("box/b", "set aside");
    temp.write("box/c", "twice");
    temp.write("box/d", "twice");
    const Ran ran = jobs.run(
        with(looking(copy({temp.path("to/in/a"), temp.path("box")}, temp.path("to"))), Decision::skip));
    CHECK(ran.of(Outcome::created) == 5);
    CHECK(ran.of(Outcome::skipped) == 0);
}
