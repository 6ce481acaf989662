// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <sys/stat.h>

#include <filesystem>

#include "support/catch.h"
#include "support/jobs.h"
#include "support/mounts.h"
#include "support/temp_folder.h"
#include "support/tree.h"
#include "undo/check.h"

using namespace tavlo;

namespace {

void make_office(const TempFolder& temp) {
    temp.write("from/box/a", "one");
    temp.write("from/box/sub/b", "two");
    temp.folder("from/box/empty");
    temp.link("from/box/link", "a");
    std::filesystem::create_hard_link(temp.path("from/box/a"), temp.path("from/box/again"));
    temp.date("from/box/a", 1'900'000'000, 123);
    REQUIRE(::chmod(temp.path("from/box/sub").c_str(), 0750) == 0);
    temp.date("from/box/sub", 1'800'000'000, 5);
    temp.date("from/box", 1'700'000'000, 6);
}

}  // namespace

TEST_CASE("a folder moves on one file system by rename, fifos and all, and back", "[disk][move]") {
    TempFolder temp;
    make_office(temp);
    REQUIRE(::mkfifo(temp.path("from/box/pipe").c_str(), 0600) == 0);
    const ino_t folder = temp.inode("from/box");
    const Tree before = tree_of(temp.path("from"));
    Jobs jobs(temp.path("state"));
    const Ran ran = jobs.run(move({temp.path("from/box")}, temp.path("to")));
    CHECK(ran.of(Outcome::created) == ran.items.size());
    CHECK(temp.inode("to/box") == folder);
    CHECK_FALSE(temp.has("from/box"));
    CHECK(tree_of(temp.path("to")) == before);
    const Ran undone = jobs.undo(ran.head.id);
    CHECK(undone.of(Outcome::failed) + undone.of(Outcome::undecided) == 0);
    CHECK(tree_of(temp.path("from")) == before);
    CHECK_FALSE(temp.has("to"));
}

TEST_CASE("a move that merges leaves what was skipped, takes the folders that it emptied, and can be undone",
          "[disk][move]") {
    TempFolder temp;
    make_office(temp);
    temp.write("to/box/a", "another one");
    const Tree from = tree_of(temp.path("from"), {.folder_times = false});
    const Tree to = tree_of(temp.path("to"), {.folder_times = false});
    Jobs jobs(temp.path("state"));
    SECTION("skip") {
        const Ran ran = jobs.run(with(move({temp.path("from/box")}, temp.path("to")), Decision::skip));
        CHECK(ran.item(temp.path("to/box/a")).result == Outcome::skipped);
        CHECK(tree_of(temp.path("from")).size() == 2);  // the folder and what was skipped in it
        CHECK(temp.read("to/box/sub/b") == "two");
        jobs.undo(ran.head.id);
    }
    SECTION("overwrite") {
        const Ran ran = jobs.run(with(move({temp.path("from/box")}, temp.path("to")), Decision::overwrite));
        CHECK_FALSE(temp.has("from/box"));
        CHECK(temp.read("to/box/a") == "one");
        CHECK(jobs.undo(ran.head.id).of(Outcome::failed) == 0);
    }
    CHECK(tree_of(temp.path("from"), {.folder_times = false}) == from);
    CHECK(tree_of(temp.path("to"), {.folder_times = false}) == to);
}

TEST_CASE("a flat move takes the folders that it emptied, contents leaves the folder itself",
          "[disk][move]") {
    TempFolder temp;
    temp.write("from/box/a", "one");
    temp.write("from/box/sub/b", "two");
    Jobs jobs(temp.path("state"));
    const Tree before = tree_of(temp.path("from"), {.folder_times = false});
    Job job = move({temp.path("from/box")}, temp.path("to"));
    const bool flat = GENERATE(true, false);
    job.structure = flat ? Structure{false, Subfolders::all, true} : Structure{true, Subfolders::all, false};
    const Ran ran = jobs.run(job);
    CHECK(temp.has("from/box") == !flat);
    CHECK(temp.read(flat ? "to/b" : "to/sub/b") == "two");
    jobs.undo(ran.head.id);
    CHECK(tree_of(temp.path("from"), {.folder_times = false}) == before);
}

TEST_CASE("a move between file systems copies, verifies, removes, undo brings it all back",
          "[disk][move][mount]") {
    TempFolder temp;
    make_office(temp);
    const std::string kind = GENERATE(as<std::string>(), "tmpfs", "ext4", "xfs", "btrfs");
    const Mount other = kind == "tmpfs" ? Mount::memory(temp.path("other"))
                                        : Mount::image(kind, temp.path("image"), temp.path("other"),
                                                       kind == "xfs" ? 320 : 160);
    NEEDS(other)
    const Tree before = tree_of(temp.path("from"));
    Jobs jobs(temp.path("state"));
    const Ran ran = jobs.run(move({temp.path("from/box")}, temp.path("other/in/here")));
    CHECK(ran.of(Outcome::created) == ran.items.size());
    CHECK_FALSE(temp.has("from/box"));
    CHECK(tree_of(temp.path("other/in/here")) == before);
    for (const ReceiptItem& item : ran.items) {
        CHECK(item.hash.empty() == (item.type != FileType::file));
        CHECK(Checker(*jobs.disk, ran.head).check(item) == Difference::none);
    }
    const Ran undone = jobs.undo(ran.head.id);
    CHECK(undone.of(Outcome::failed) + undone.of(Outcome::undecided) == 0);
    CHECK(tree_of(temp.path("from")) == before);
    CHECK_FALSE(temp.has("other/in"));
}

TEST_CASE("undo of a move between file systems brings back what it had overwritten, twins too",
          "[disk][move][undo][mount]") {
    TempFolder temp;
    const Mount other = Mount::memory(temp.path("other"));
    NEEDS(other)
    for (const char* name : {"one/a", "one/b", "two/a"}) temp.write(name, std::string("incoming ") + name);
    temp.write("other/to/a", "held a");
    temp.write("other/to/b", "held b!");
    const Tree before = tree_of(temp.path(), {.folder_times = false});
    TempFolder state;
    Jobs jobs(state.path());
    const Ran ran = jobs.run(
        with(move({temp.path("one/a"), temp.path("one/b"), temp.path("two/a")}, temp.path("other/to")),
             Decision::overwrite));
    CHECK(temp.read("other/to/a") == "incoming two/a");
    const Ran undone = jobs.undo(ran.head.id);
    CHECK(undone.of(Outcome::restored) == undone.items.size());
    CHECK(tree_of(temp.path(), {.folder_times = false}) == before);
}

TEST_CASE("between file systems a source goes only after what was read back is what was read",
          "[disk][move][mount]") {
    /// A disk that hands out other bytes than were written, once they no longer come from memory.
    class Forgetful final : public ForwardingFileSystem {
        bool forgot = false;
        Result<void> forget_cached(const Handle& f) override {
            forgot = true;
            return disk->forget_cached(f);
        }
        Result<std::size_t> read_at(const Handle& f, std::uint64_t o, std::span<std::byte> into) override {
            auto got = disk->read_at(f, o, into);
            if (got && *got > 0 && forgot) into[0] ^= std::byte{1};
            return got;
        }
    };
    TempFolder temp;
    temp.write("from/a", "the only copy");
    const Mount other = Mount::memory(temp.path("other"));
    NEEDS(other)
    Jobs jobs(temp.path("state"));
    const Outlook outlook = value(prepare(*jobs.disk, move({temp.path("from/a")}, temp.path("other"))));
    jobs.disk = std::make_unique<Forgetful>();
    const Ran ran = jobs.carry_out(*outlook.plan);
    CHECK(ran.items[0].result == Outcome::failed);
    CHECK(temp.read("from/a") == "the only copy");
    CHECK_FALSE(temp.has("other/a"));
}

TEST_CASE("a source that is replaced after it was copied is not removed", "[disk][move][race]") {
    class Replacing final : public ForwardingFileSystem {
    public:
        std::function<void()> before_leaving;

    private:
        Result<void> move_to_free_name(const Handle& a, const std::string& n, const Handle& b,
                                       const std::string& m) override {
            if (m.starts_with(".tavlo-part-") && before_leaving) std::exchange(before_leaving, nullptr)();
            return disk->move_to_free_name(a, n, b, m);
        }
    };
    TempFolder temp;
    temp.write("from/a", "as it was read");
    const bool held = GENERATE(false, true);
    const Mount other = Mount::memory(temp.path("other"));
    NEEDS(other)
    if (held) temp.write("other/a", "there before");
    Jobs jobs(temp.path("state"));
    const Outlook outlook = value(
        prepare(*jobs.disk, with(move({temp.path("from/a")}, temp.path("other")), Decision::overwrite)));
    auto hooks = std::make_unique<Replacing>();
    hooks->before_leaving = [&] {
        std::filesystem::rename(temp.write("new", "somebody's new work"), temp.path("from/a"));
    };
    jobs.disk = std::move(hooks);
    const Ran ran = jobs.carry_out(*outlook.plan);
    CHECK(ran.items[0].result == Outcome::failed);
    CHECK(temp.read("from/a") == "somebody's new work");
    CHECK(temp.read("other/a") == (held ? "there before" : "(none)"));  // the copy was taken back
    CHECK(tree_of(temp.path("from")).size() == 1);                      // and no litter
}
