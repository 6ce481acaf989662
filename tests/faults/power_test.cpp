// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <fcntl.h>
#include <signal.h>
#include <sys/ioctl.h>
#include <sys/mount.h>
#include <sys/prctl.h>
#include <sys/wait.h>
#include <unistd.h>

#include <chrono>
#include <cstdlib>
#include <filesystem>
#include <random>

#include "support/catch.h"
#include "support/environment.h"
#include "support/jobs.h"
#include "support/kill_scene.h"
#include "support/mounts.h"
#include "support/trash.h"

// A power cut, as far as a program can make one: a file system is shut down without writing out anything more
// (ioctl "goingdown", flag NOLOGFLUSH; xfs and ext4 have it), unmounted, mounted again. It holds sources,
// destination and journal, or the one or the other of them; and recovery is cut off too.

using namespace tavlo;

namespace {

constexpr unsigned long going_down = _IOR('X', 125, std::uint32_t);
constexpr TreeOptions without_times_of_folders{.folder_times = false, .hard_links = true};

int cuts() {
    const char* wanted = std::getenv("TAVLO_KILLS");
    return wanted != nullptr ? std::atoi(wanted) : 4;
}

bool cut_power(const std::string& mount) {
    const int fd = ::open(mount.c_str(), O_RDONLY | O_DIRECTORY | O_CLOEXEC);
    std::uint32_t without_log_flush = 2;
    const bool cut = fd >= 0 && ::ioctl(fd, going_down, &without_log_flush) == 0;
    if (fd >= 0) ::close(fd);
    return cut;
}

/// Waits for a group of processes that was killed, the program in it too: while one of them is still going,
/// its disk is not let go of, and would be mounted again as it was when it was cut off.
int end_of(pid_t group) {
    int first = 0;
    int status = 0;
    for (pid_t ended = 0; (ended = ::waitpid(-group, &status, 0)) > 0;)
        if (ended == group) first = status;
    return first;
}

}  // namespace

TEST_CASE("a power cut at any instant loses nothing, and recovery ends the run", "[power]") {
    const auto kind = GENERATE(as<std::string>(), "ext4", "xfs");
    const auto operation =
        GENERATE(as<std::string>(), "copy", "move", "rename", "remove to safe", "remove to trash", "pack");
    enum class OnDisk { all, files, journal };
    const auto on_disk = GENERATE(OnDisk::all, OnDisk::files, OnDisk::journal);
    CAPTURE(kind, operation, static_cast<int>(on_disk));
    const bool goes_elsewhere = operation == "copy" || operation == "move";
    if (!goes_elsewhere && on_disk != OnDisk::all) return;
    TempFolder temp("/dev/shm");
    const Environment data("XDG_DATA_HOME", temp.path("memory/data"));
    temp.folder("memory");
    const std::string files = on_disk == OnDisk::journal ? "memory" : "disk";
    const std::string state = temp.path(on_disk == OnDisk::files ? "memory/state" : "disk/state");
    const std::string image = temp.path("image");
    const std::string disk = temp.path("disk");
    std::optional<Mount> mount = Mount::image(kind, image, disk, kind == "xfs" ? 320 : 96);
    NEEDS(*mount)
    const auto clear = [&] {
        for (const auto& place : {disk, temp.path("memory")})
            for (const auto& entry : std::filesystem::directory_iterator(place))
                std::filesystem::remove_all(entry.path());
    };
    const std::string box = temp.path(files + "/from/box");
    std::vector<std::string> job{
        operation,         box,      "--into",      temp.path(files + "/to"), "--when",
        "newer=overwrite", "--when", "older=rename"};
    if (operation == "rename")
        job = {"rename", box, "--contents", "--folders", "--suffix", "-x", "--add-to-numbers", "1"};
    if (operation.starts_with("remove"))
        job = {"remove", box, "--contents", "--to", operation.substr(operation.rfind(' ') + 1)};
    const std::string archive = temp.path(files + "/to/box.tar");
    if (operation == "pack") job = {"pack", box, "--into", archive, "--then-remove"};
    /// With an archive, whose dates are those of its making, what matters is that all of it can be taken out.
    const auto destination_tree = [&] {
        Tree tree = tree_of(temp.path(files + "/to"), without_times_of_folders);
        if (tree.erase("box.tar") == 0) return tree;
        const std::string out = temp.path(files + "/out");
        CHECK(run_tavloctl_for(TAVLOCTL, temp.path("memory/other state"), {"unpack", archive, "--into", out},
                               -1) == 0);
        for (auto& [path, what] : tree_of(out, {.folder_times = false, .hard_links = false}))
            tree.emplace("box.tar/" + path, what);
        std::filesystem::remove_all(out);
        return tree;
    };
    const std::string trash = disk + "/.Trash-" + std::to_string(::geteuid());
    const std::vector<std::string> recovery(1, "recover");
    Tree from_before;
    Tree to_before;
    long takes = 0;
    for (int turn = 0; turn < 3; ++turn) {  // a new file system is slow at first
        mount.reset();
        mount.emplace(Mount::again(image, disk));
        clear();
        make_kill_scene(temp, files + "/from", files + "/to");
        ::sync();
        from_before = tree_of(temp.path(files + "/from"), without_times_of_folders);
        to_before = destination_tree();
        const auto began = std::chrono::steady_clock::now();
        REQUIRE(run_tavloctl_for(TAVLOCTL, state, job, -1) == 0);
        takes =
            std::chrono::duration_cast<std::chrono::microseconds>(std::chrono::steady_clock::now() - began)
                .count();
    }
    const Tree from_after = tree_of(temp.path(files + "/from"), without_times_of_folders);
    const Tree to_after = destination_tree();

    std::mt19937_64 random(std::random_device{}());
    int interrupted = 0;
    ::prctl(PR_SET_CHILD_SUBREAPER, 1);  // what a killed child leaves is waited for here
    for (int turn = 0; turn < cuts(); ++turn) {
        clear();
        make_kill_scene(temp, files + "/from", files + "/to");
        ::sync();
        const long instant = static_cast<long>(random() % static_cast<unsigned long>(takes * 12 / 10 + 1));
        CAPTURE(turn, instant, takes);
        const pid_t child = ::fork();
        if (child == 0) {
            ::setpgid(0, 0);
            ::_exit(run_tavloctl_for(TAVLOCTL, state, job, -1));
        }
        ::setpgid(child, child);
        ::usleep(static_cast<useconds_t>(instant));
        ::kill(-child, SIGKILL);  // what is in memory goes with it: else it would go on with the other disk
        if (!cut_power(disk)) {
            ::waitpid(child, nullptr, 0);
            WARN("skipped: " << kind << " cannot be shut down here");
            return;
        }
        if (end_of(child) != 0) ++interrupted;
        mount.reset();
        mount.emplace(Mount::again(image, disk));
        REQUIRE(mount->mounted);
        if (turn % 2 == 1) {  // once more, while it recovers
            const pid_t recovering = ::fork();
            if (recovering == 0) {
                ::setpgid(0, 0);
                ::_exit(run_tavloctl_for(TAVLOCTL, state, recovery, -1));
            }
            ::setpgid(recovering, recovering);
            ::usleep(static_cast<useconds_t>(random() % static_cast<unsigned long>(takes)));
            ::kill(-recovering, SIGKILL);
            REQUIRE(cut_power(disk));
            (void)end_of(recovering);
            mount.reset();
            mount.emplace(Mount::again(image, disk));
            REQUIRE(mount->mounted);
        }
        CHECK(run_tavloctl_for(TAVLOCTL, state, recovery, -1) == 0);
        check_no_litter(temp.path(files));
        check_trash_is_whole(trash);
        const bool begun = !value(value(Store::open(state))->receipts()).empty();
        CHECK(differences(tree_of(temp.path(files + "/from"), without_times_of_folders),
                          begun ? from_after : from_before) == "");
        CHECK(differences(destination_tree(), begun ? to_after : to_before) == "");
        if (!begun) continue;
        const auto heads = value(value(Store::open(state))->receipts());
        CHECK(run_tavloctl_for(TAVLOCTL, state, {"undo", heads.at(0).id}, -1) == 0);
        CHECK(differences(tree_of(temp.path(files + "/from"), without_times_of_folders), from_before) == "");
        CHECK(differences(destination_tree(), to_before) == "");
        check_trash_is_whole(trash);
    }
    WARN(kind << ", " << operation << ": cut off " << interrupted << " of " << cuts() << " times");
}
