// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <fcntl.h>
#include <signal.h>
#include <sys/ioctl.h>
#include <sys/socket.h>
#include <sys/stat.h>
#include <sys/wait.h>
#include <sys/xattr.h>
#include <unistd.h>

#include <cstdlib>
#include <filesystem>
#include <fstream>

#include "files/own.h"
#include "recover/recover.h"
#include "support/catch.h"
#include "support/contents.h"
#include "support/jobs.h"
#include "support/kill_scene.h"
#include "support/loop.h"
#include "support/mounts.h"
#include "support/temp_folder.h"
#include "support/tree.h"

// Disks that go and come back, and runs on several of them.

using namespace tavlo;
namespace fs = std::filesystem;

TEST_CASE(
    "a disk that comes back under another number is known again, another one under its number is not taken "
    "for it",
    "[disks][volume]") {
    const auto kind = GENERATE(as<std::string>(), "ext4", "xfs", "btrfs");
    CAPTURE(kind);
    const unsigned megabytes = kind == "xfs" ? 320 : kind == "btrfs" ? 128 : 64;
    TempFolder temp("/dev/shm");
    temp.folder("disk");
    temp.folder("other");
    const auto make = [&](const std::string& image) {
        return std::system(("truncate -s " + std::to_string(megabytes) + "M '" + image + "' && mkfs." + kind +
                            " -q '" + image + "' >/dev/null 2>&1")
                               .c_str()) == 0;
    };
    NEEDS_THAT(!(!make(temp.path("image")) || !make(temp.path("other image"))),
               kind << " cannot be made here")
    std::optional<Loop> loop(std::in_place, temp.path("image"));
    NEEDS_THAT(!(!loop->attached), "there are no loop devices here")
    const auto mount = [&](const Loop& device, const char* at) {
        return std::system(("mount " + device.name + " '" + temp.path(at) + "' >/dev/null 2>&1").c_str()) ==
               0;
    };
    const auto unmount = [&](const char* at) {
        return std::system(("umount '" + temp.path(at) + "'").c_str()) == 0;
    };
    NEEDS_THAT(!(!mount(*loop, "disk")), kind << " cannot be mounted here")
    struct stat before {};
    REQUIRE(::stat(temp.path("disk").c_str(), &before) == 0);
    for (int i = 0; i < 5; ++i) {
        temp.write("from/box/" + std::to_string(i), "incoming " + std::to_string(i));
        temp.write("disk/to/box/" + std::to_string(i), "held, and longer " + std::to_string(i));
    }
    Jobs jobs(temp.path("state"));
    const auto to_before = without_safe(temp.path("disk/to"));
    const Ran ran = jobs.run(with(copy({temp.path("from/box")}, temp.path("disk/to")), Decision::overwrite));
    REQUIRE(ran.of(Outcome::overwritten) == 5);
    REQUIRE(unmount("disk"));
    loop.reset();
    const Loop takes_its_number(temp.path("other image"));
    const Loop again(temp.path("image"));
    NEEDS_THAT(takes_its_number.attached && again.attached, "there are not enough loop devices here");
    SECTION("the disk itself") {
        const bool other_there = mount(takes_its_number, "other");
        REQUIRE(mount(again, "disk"));
        struct stat after {};
        REQUIRE(::stat(temp.path("disk").c_str(), &after) == 0);
        if (after.st_dev == before.st_dev)
            WARN("another program took the loop device: the number is the same this time");
        const Ran undone = jobs.undo(ran.head.id);
        CHECK(undone.of(Outcome::restored) == 5);
        CHECK(without_safe(temp.path("disk/to")) == to_before);
        for (const SafeEntry& entry : value(jobs.store->safe_entries()))
            CHECK(entry.receipt == undone.head.id);
        if (other_there) CHECK(unmount("other"));
    }
    SECTION("another one in its place") {
        REQUIRE(mount(takes_its_number, "disk"));
        const Ran undone = jobs.undo(ran.head.id);
        CHECK(undone.of(Outcome::restored) + undone.of(Outcome::removed) == 0);
        const Emptied emptied = value(empty_safe(*jobs.disk, *jobs.store));
        CHECK(emptied.removed.empty());
        CHECK(emptied.problems.size() == 5);
    }
    CHECK(unmount("disk"));
}

TEST_CASE("a run whose disk is not there waits for it, and touches nothing of what is in its place",
          "[disks][volume]") {
    class Dies final : public ForwardingFileSystem {
    public:
        int left = 7;
        Result<void> take_free_name(Staged& s, const Handle& f, const std::string& n) override {
            if (left-- == 0) throw std::runtime_error("the process ends here");
            return disk->take_free_name(s, f, n);
        }
    };
    TempFolder temp("/dev/shm");
    const std::string image = temp.path("image");
    std::optional<Mount> disk = Mount::image("ext4", image, temp.path("disk"), 64);
    NEEDS(*disk)
    for (int i = 0; i < 20; ++i)
        temp.write("from/box/" + std::to_string(i), "the only copy " + std::to_string(i));
    Jobs jobs(temp.path("state"));
    const auto plan = value(prepare(*jobs.disk, move({temp.path("from/box")}, temp.path("disk/to")))).plan;
    {
        Dies dies;
        CHECK_THROWS(carry_out(dies, *jobs.store, *plan, {}));
    }
    disk.reset();
    const Recovered waiting = value(recover(*jobs.disk, *jobs.store));
    CHECK(waiting.completed.empty());
    REQUIRE(waiting.problems.size() == 1);
    CHECK(waiting.problems[0].fault == Fault::unreachable);
    CHECK(fs::is_empty(temp.path("disk")));
    CHECK(run_tavloctl_for(TAVLOCTL, temp.path("state"), {"recover"}, -1) == 1);
    CHECK(fs::is_empty(temp.path("disk")));
    disk.emplace(Mount::again(image, temp.path("disk")));
    REQUIRE(disk->mounted);
    const Recovered recovered = value(recover(*jobs.disk, *jobs.store));
    REQUIRE(recovered.completed.size() == 1);
    CHECK(recovered.completed[0].totals.of(Outcome::created) == 21);
    CHECK(temp.read("disk/to/box/7") == "the only copy 7");
    CHECK_FALSE(temp.has("from/box"));
    check_no_litter(temp.path("disk"));
}

TEST_CASE("versions of one run on two disks have ids of their own, also when it is gone on with",
          "[disks][volume]") {
    TempFolder temp("/dev/shm");
    const Mount one = Mount::memory(temp.path("to"));
    NEEDS(one)
    const Mount two = Mount::memory(temp.path("to/box/nested"));
    NEEDS(two)
    for (const char* name : {"a", "b", "nested/a", "nested/b"}) {
        temp.write(std::string("from/box/") + name, "incoming");
        temp.write(std::string("to/box/") + name, std::string("held, and longer ") + name);
    }
    class Dies final : public ForwardingFileSystem {
    public:
        int left = 0;
        Result<void> exchange(const Handle& a, const std::string& n, const Handle& b,
                              const std::string& m) override {
            auto done = disk->exchange(a, n, b, m);
            if (left-- == 0) throw std::runtime_error("the process ends here");
            return done;
        }
    };
    for (int after = 0; after < 4; ++after) {
        Jobs jobs(temp.path("state " + std::to_string(after)));
        const auto plan =
            value(prepare(*jobs.disk, with(copy({temp.path("from/box")}, one.path), Decision::overwrite)))
                .plan;
        Dies dies;
        dies.left = after;
        CHECK_THROWS(carry_out(dies, *jobs.store, *plan, {}));
        const Recovered recovered = value(recover(*jobs.disk, *jobs.store));
        CHECK(recovered.problems.empty());
        REQUIRE(recovered.completed.size() == 1);
        CHECK(recovered.completed[0].totals.of(Outcome::overwritten) == 4);
        CHECK(value(jobs.store->safe_entries()).size() == 4);
        CHECK(jobs.undo(recovered.completed[0].id).of(Outcome::restored) == 4);
        CHECK(temp.read("to/box/nested/b") == "held, and longer nested/b");
    }
}
