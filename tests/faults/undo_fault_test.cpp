// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <fcntl.h>
#include <sys/stat.h>
#include <unistd.h>

#include <filesystem>
#include <fstream>
#include <functional>

#include "files/own.h"
#include "files/path.h"
#include "recover/recover.h"
#include "run/safe_folder.h"
#include "support/catch.h"
#include "support/contents.h"
#include "support/every_call.h"
#include "support/kill_scene.h"
#include "support/mounts.h"
#include "support/temp_folder.h"
#include "support/tree.h"

// Undo after an interruption, without room, and after others were at work.

using namespace tavlo;
namespace fs = std::filesystem;

TEST_CASE("the undo of a run that was interrupted settles it first, of one that goes on it is refused",
          "[fault][undo]") {
    class Dies final : public ForwardingFileSystem {
    public:
        int left = 0;
        Result<void> exchange(const Handle& a, const std::string& n, const Handle& b,
                              const std::string& m) override {
            auto done = disk->exchange(a, n, b, m);
            if (--left == 0) throw std::runtime_error("the process ends here");
            return done;
        }
    };
    TempFolder temp("/dev/shm");
    const Mount volume = Mount::memory(temp.path("volume"));
    NEEDS(volume)
    const int overwritten = GENERATE(1, 5, 12);
    for (int i = 0; i < 12; ++i) {
        temp.write("volume/from/box/" + std::to_string(i), "incoming " + std::to_string(i));
        temp.write("volume/to/box/" + std::to_string(i), "held, and longer " + std::to_string(i));
    }
    const Tree before = tree_of(volume.path, {.folder_times = false});
    Jobs jobs(temp.path("state"));
    Dies dies;
    dies.left = overwritten;
    const auto plan = value(prepare(*jobs.disk, with(move({volume.path + "/from/box"}, volume.path + "/to"),
                                                     Decision::overwrite)))
                          .plan;
    CHECK_THROWS(carry_out(dies, *jobs.store, *plan, {}));
    const std::string id = value(jobs.store->receipts()).at(0).id;
    {
        const auto goes_on = value(jobs.store->lock(id));
        const auto refused = settle_before_undo(*jobs.disk, *jobs.store, id);
        REQUIRE_FALSE(refused);
        CHECK(refused.error().fault == Fault::refused);
        CHECK_FALSE(prepare_undo(*jobs.disk, *jobs.store, id));
    }
    {
        const auto held = value(settle_before_undo(*jobs.disk, *jobs.store, id));
        CHECK(held.has_value());
        const Ran undone = jobs.carry_out(value(prepare_undo(*jobs.disk, *jobs.store, id, {}, true)));
        CHECK(undone.of(Outcome::failed) + undone.of(Outcome::undecided) == 0);
    }
    Tree after = tree_of(volume.path, {.folder_times = false});
    std::erase_if(after, [](const auto& one) { return one.first.starts_with(".tavlo-safe-"); });
    CHECK(differences(after, before) == "");
    CHECK(value(jobs.store->safe_entries()).empty());
    CHECK(value(recover(*jobs.disk, *jobs.store)).completed.empty());
}

TEST_CASE("an undo that could not do all of it leaves the rest to another", "[fault][undo]") {
    class Full final : public ForwardingFileSystem {
    public:
        int left = 5;
        Result<void> move_to_free_name(const Handle& a, const std::string& n, const Handle& b,
                                       const std::string& m) override {
            if (left-- <= 0) return failure(Error{Fault::no_space, ENOSPC, "test", ""});
            return disk->move_to_free_name(a, n, b, m);
        }
    };
    TempFolder temp("/dev/shm");
    for (int i = 0; i < 9; ++i) temp.write("from/box/" + std::to_string(i), std::to_string(i));
    temp.write("to/box/more", "more");
    const Tree before = tree_of(temp.path("to"), {.folder_times = false});
    Jobs jobs(temp.path("state"));
    const Ran ran = jobs.run(copy({temp.path("from/box")}, temp.path("to")));
    Full full;
    const auto first =
        value(carry_out(full, *jobs.store, value(prepare_undo(*jobs.disk, *jobs.store, ran.head.id)), {}));
    CHECK(first.totals.of(Outcome::failed) == 4);
    CHECK(jobs.undo(ran.head.id).of(Outcome::removed) == 4);
    CHECK(differences(tree_of(temp.path("to"), {.folder_times = false}), before) == "");
    CHECK_FALSE(prepare_undo(*jobs.disk, *jobs.store, ran.head.id));  // now it is undone
}

TEST_CASE(
    "a file edited with its date put back is not taken for unchanged, and folders tidied away are made anew",
    "[fault][undo]") {
    TempFolder temp("/dev/shm");
    temp.write("from/box/a", "incoming");
    temp.write("from/box/large", std::string(300'000, 'x'));
    temp.write("from/other/deep/b", "b");
    Jobs jobs(temp.path("state"));
    SECTION("edited: its hash tells, or its source does") {
        const Ran ran = jobs.run(copy({temp.path("from/box")}, temp.path("to")));
        for (const char* name : {"to/box/a", "to/box/large"}) {
            struct stat status {};
            REQUIRE(::stat(temp.path(name).c_str(), &status) == 0);
            const int fd = ::open(temp.path(name).c_str(), O_WRONLY | O_CLOEXEC);
            REQUIRE(::pwrite(fd, "X", 1, 3) == 1);
            ::close(fd);
            temp.date(name, status.st_mtim.tv_sec, status.st_mtim.tv_nsec);
        }
        CHECK(jobs.undo(ran.head.id).of(Outcome::undecided) == 2);
        CHECK(temp.read("to/box/a") == "incXming");
    }
    SECTION("only its permissions were changed: the bytes tell") {
        const Ran ran = jobs.run(copy({temp.path("from/box")}, temp.path("to")));
        fs::permissions(temp.path("to/box/a"), fs::perms::owner_read);
        CHECK(jobs.undo(ran.head.id).of(Outcome::undecided) == 0);
        CHECK_FALSE(temp.has("to/box"));
    }
    SECTION("tidied away") {
        const Ran ran = jobs.run(move({temp.path("from/other/deep/b")}, temp.path("to")));
        fs::remove_all(temp.path("from/other"));
        const Ran undone = jobs.undo(ran.head.id);
        for (const ReceiptItem& item : undone.items)
            UNSCOPED_INFO(item.source << " " << to_text(item.result) << " " << item.error);
        CHECK(undone.of(Outcome::failed) + undone.of(Outcome::undecided) == 0);
        CHECK(temp.read("from/other/deep/b") == "b");
    }
}

TEST_CASE("the undo of a move gives source folders that stayed their dates back, but not those changed since",
          "[fault][undo]") {
    TempFolder temp("/dev/shm");
    for (const char* name :
         {"from/box/a", "from/box/keeps/b", "from/box/keeps/c", "from/box/other/d", "from/box/other/e"})
        temp.write(name, name);
    for (const char* folder : {"from/box/keeps", "from/box/other", "from/box"})
        temp.date(folder, 1'900'000'000 - 500'000'000);
    temp.write("to/box/keeps/c", "held");
    temp.write("to/box/other/e", "held");
    Jobs jobs(temp.path("state"));
    const Ran ran = jobs.run(with(move({temp.path("from/box")}, temp.path("to")), Decision::skip));
    CHECK(temp.has("from/box/keeps/c"));
    temp.write("from/box/other/new", "by somebody");
    temp.date("from/box/other", 2'000'000'000);  // later, whatever the step of the clock
    CHECK(jobs.undo(ran.head.id).of(Outcome::failed) == 0);
    const auto dated = [&](const char* path) {
        struct stat status {};
        REQUIRE(::stat(temp.path(path).c_str(), &status) == 0);
        return status.st_mtim.tv_sec;
    };
    CHECK(dated("from/box/keeps") == 1'400'000'000);
    CHECK(dated("from/box") == 1'400'000'000);
    CHECK(dated("from/box/other") > 1'400'000'000);
    CHECK(temp.read("from/box/keeps/b") == "from/box/keeps/b");
}

TEST_CASE("what an undo took away can go for good, as far as the source holds it still", "[fault][undo]") {
    TempFolder temp("/dev/shm");
    for (const char* name : {"same", "edited", "gone"}) temp.write(std::string("from/box/") + name, name);
    Jobs jobs(temp.path("state"));
    const Ran ran = jobs.run(copy({temp.path("from/box")}, temp.path("to")));
    const Ran undone = jobs.undo(ran.head.id);
    REQUIRE(value(jobs.store->safe_entries()).size() == 3);
    temp.write("from/box/edited", "other");
    fs::remove(temp.path("from/box/gone"));
    CHECK_FALSE(remove_proved(*jobs.disk, *jobs.store, ran.head.id));
    const Emptied emptied = value(remove_proved(*jobs.disk, *jobs.store, undone.head.id));
    CHECK(emptied.removed.size() == 1);
    CHECK(emptied.problems.size() == 2);
    CHECK(value(jobs.store->safe_entries()).size() == 2);
}
