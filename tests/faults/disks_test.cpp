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
#include "undo/check.h"

// Disks of other kinds: what comes through FUSE and lacks or lies, overlays, exFAT, NTFS, a server.

using namespace tavlo;
namespace fs = std::filesystem;

namespace {

constexpr TreeOptions names_and_bytes{.folder_times = false};

void write_scene(const TempFolder& temp, const std::string& from, const std::string& to) {
    for (int i = 0; i < 12; ++i) {
        temp.write(from + "/box/" + std::to_string(i % 3) + "/file-" + std::to_string(i),
                   "incoming " + std::to_string(i));
        temp.date(from + "/box/" + std::to_string(i % 3) + "/file-" + std::to_string(i),
                  1'900'000'000 + i * 60);
    }
    temp.write(from + "/box/large", std::string(400'000, 'L'));
    temp.write(to + "/box/0/file-0", "held, and longer");
    temp.write(to + "/box/extra", "nor this");
}

/// Copies onto the disk, takes that back, moves onto it, takes that back: all as on any other.
void use_as_destination(const TempFolder& temp, const std::string& disk) {
    write_scene(temp, "from", disk.substr(temp.path().size() + 1) + "/to");
    const auto to_before = without_safe(disk);
    const auto from_before = without_safe(temp.path("from"));
    Jobs jobs(temp.path("state"));
    const Ran copied = jobs.run(with(copy({temp.path("from/box")}, disk + "/to"), Decision::overwrite));
    for (const ReceiptItem& item : copied.items)
        UNSCOPED_INFO(item.place() << " " << to_text(item.result) << " " << item.error);
    CHECK(copied.of(Outcome::failed) + copied.of(Outcome::undecided) == 0);
    CHECK(copied.of(Outcome::overwritten) == 1);
    check_no_litter(disk);
    int safes = 0;
    for (const auto& entry : fs::recursive_directory_iterator(disk))
        safes += entry.path().filename() == safe_folder_name();
    CHECK(safes == 1);
    Checker checker(*jobs.disk, copied.head);
    for (const ReceiptItem& item : copied.items)
        if (item.type == FileType::file) CHECK(checker.check(item) != Difference::bytes);
    const Ran undone = jobs.undo(copied.head.id);
    CHECK(undone.of(Outcome::failed) + undone.of(Outcome::undecided) == 0);
    CHECK(without_safe(disk) == to_before);
    const Ran moved = jobs.run(move({temp.path("from/box")}, disk + "/moved"));
    CHECK(moved.of(Outcome::created) == moved.items.size());
    CHECK_FALSE(temp.has("from/box"));
    const Ran back = jobs.undo(moved.head.id);
    CHECK(back.of(Outcome::failed) + back.of(Outcome::undecided) == 0);
    CHECK(without_safe(temp.path("from")) == from_before);
    // what is the same already is known to be so
    (void)jobs.run(copy({temp.path("from/box")}, disk + "/again"));
    const Outlook again = value(prepare(*jobs.disk, copy({temp.path("from/box")}, disk + "/again")));
    for (const ItemId id : again.plan->colliding)
        CHECK(again.plan->items[id].collision->finding == Finding::same);
    CHECK(again.plan->colliding.size() == 13);
    check_no_litter(temp.path("from"));
}

std::vector<std::string> lines_of(const std::string& path) {
    std::vector<std::string> lines;
    std::ifstream in(path);
    for (std::string line; std::getline(in, line);) lines.push_back(line);
    return lines;
}

}  // namespace

TEST_CASE("a file system without flags, links, modes or lasting inodes is a destination like any other",
          "[disks][fuse]") {
    const auto oddities = GENERATE(std::vector<std::string>{}, std::vector<std::string>{"no-flags"},
                                   std::vector<std::string>{"no-flags", "no-links"},
                                   std::vector<std::string>{"no-flags", "one-mode"},
                                   std::vector<std::string>{"no-flags", "no-links", "one-mode", "no-xattr"});
    CAPTURE(oddities);
    TempFolder temp("/dev/shm");
    const Mount disk = Mount::odd(temp.path("backing"), temp.path("disk"), oddities);
    NEEDS(disk)
    use_as_destination(temp, disk.path);
}

TEST_CASE("killed on a file system without nameless files, a run leaves nothing hidden once it is recovered",
          "[disks][fuse]") {
    TempFolder temp("/dev/shm");
    const Mount disk = Mount::odd(temp.path("backing"), temp.path("disk"), {"no-flags", "no-links"});
    NEEDS(disk)
    const bool moves = GENERATE(false, true);
    bool interrupted = false;
    for (const long instant : {3'000, 8'000, 14'000, 20'000, 30'000, 45'000}) {
        fs::remove_all(temp.path("from"));
        fs::remove_all(temp.path("disk/to"));
        make_kill_scene(temp, "from", "disk/to");
        const auto before = contents_of(temp.path("from"));
        const std::vector<std::string> words{moves ? "move" : "copy", temp.path("from/box"), "--into",
                                             disk.path + "/to",       "--on-collision",      "overwrite"};
        interrupted |= run_tavloctl_for(TAVLOCTL, temp.path("state"), words, instant) != 0;
        CAPTURE(moves, instant);
        CHECK(run_tavloctl_for(TAVLOCTL, temp.path("state"), {"recover"}, -1) == 0);
        check_no_litter(disk.path);
        check_no_litter(temp.path("from"));
        auto after = contents_of(temp.path("from"));
        after.merge(contents_of(disk.path));
        for (const auto& content : before) CHECK(after.contains(content));
    }
    CHECK(interrupted);
    CHECK(run_tavloctl_for(TAVLOCTL, temp.path("state"), {"safe", "empty"}, -1) == 0);
}

TEST_CASE("where syncing all reaches nobody, each file and each folder is synced, and closing is heard",
          "[disks][fuse]") {
    TempFolder temp("/dev/shm");
    SECTION("synced") {
        const Mount disk = Mount::odd(temp.path("backing"), temp.path("disk"), {"log=" + temp.path("log")});
        NEEDS(disk)
        for (int i = 0; i < 30; ++i) temp.write("from/box/sub/" + std::to_string(i), std::to_string(i));
        Jobs jobs(temp.path("state"));
        CHECK(jobs.run(copy({temp.path("from/box")}, disk.path + "/to")).of(Outcome::created) == 32);
        const auto lines = lines_of(temp.path("log"));
        CHECK(std::count_if(lines.begin(), lines.end(),
                            [](const auto& line) { return line.starts_with("file "); }) >= 30);
        for (const char* folder : {"folder /to/box/sub", "folder /to/box", "folder /to", "folder /"})
            CHECK(std::find(lines.begin(), lines.end(), folder) != lines.end());
    }
    SECTION("an error that only closing tells") {
        const int nth = GENERATE(1, 7, 20);
        const Mount disk =
            Mount::odd(temp.path("backing"), temp.path("disk"), {"close-fails=" + std::to_string(nth)});
        NEEDS(disk)
        for (int i = 0; i < 25; ++i)
            temp.write("from/box/" + std::to_string(i), "the only copy " + std::to_string(i));
        const auto before = contents_of(temp.path("from"));
        Jobs jobs(temp.path("state"));
        RunOptions options;
        options.verify = GENERATE(Verify::automatic, Verify::read_back, Verify::none);
        const Ran ran = jobs.run(move({temp.path("from/box")}, disk.path + "/to"), options);
        CHECK(ran.of(Outcome::failed) == 1);
        auto after = contents_of(temp.path("from"));
        after.merge(contents_of(disk.path));
        CHECK(after == before);
    }
}

TEST_CASE("a file that says it is empty, on a server, is not copied so, nor taken for the same, nor moved",
          "[disks][fuse]") {
    TempFolder temp("/dev/shm");
    const Mount disk = Mount::odd(temp.path("backing"), temp.path("disk"), {"lying-size"});
    NEEDS(disk)
    temp.write("backing/lies", "holds something");
    temp.write("to/lies", "");
    temp.folder("free");
    Jobs jobs(temp.path("state"));
    CHECK(jobs.run(move({disk.path + "/lies"}, temp.path("free"))).of(Outcome::failed) == 1);
    CHECK_FALSE(temp.has("free/lies"));
    const Outlook outlook = value(prepare(*jobs.disk, copy({disk.path + "/lies"}, temp.path("to"))));
    REQUIRE(outlook.plan->colliding.size() == 1);
    CHECK(outlook.plan->items[0].collision->finding != Finding::same);
    CHECK(temp.read("backing/lies") == "holds something");
}

TEST_CASE("a lost reply of a server costs no content", "[disks][fuse][lost]") {
    TempFolder temp("/dev/shm");
    const auto call = GENERATE(as<std::string>(), "rename", "unlink", "link");
    for (int nth = 1; nth < 9; ++nth) {
        CAPTURE(call, nth);
        fs::remove_all(temp.path("away"));
        const Mount disk =
            Mount::odd(temp.path("backing"), temp.path("disk"), {"lost=" + call + ":" + std::to_string(nth)});
        NEEDS(disk)
        for (int i = 0; i < 4; ++i)
            temp.write("backing/from/box/" + std::to_string(i), "the only copy " + std::to_string(i));
        temp.write("backing/to/box/1", "held, and longer");
        const auto before = contents_of(temp.path("backing"));
        {
            Jobs jobs(temp.path("state"));
            (void)jobs.run(
                move({disk.path + "/from/box"}, temp.path("away")));  // the source is on the server
            (void)jobs.run(with(move({temp.path("away/box")}, disk.path + "/to"), Decision::overwrite));
            auto after = contents_of(temp.path("backing"));
            if (temp.has("away")) after.merge(contents_of(temp.path("away")));
            for (const auto& content : before) CHECK(after.contains(content));
            check_no_litter(disk.path);
        }
        fs::remove_all(temp.path("backing/from"));
        fs::remove_all(temp.path("backing/to"));
    }
}

TEST_CASE("a move keeps a source whose attributes its target cannot hold, unless it may lose them",
          "[disks][fuse][attributes]") {
    TempFolder temp("/dev/shm");
    const Mount disk = Mount::odd(temp.path("backing"), temp.path("disk"), {"no-xattr"});
    NEEDS(disk)
    temp.write("from/box/plain", "plain");
    temp.write("from/box/noted", "noted");
    temp.write("from/box/kept/below", "below");
    REQUIRE(::setxattr(temp.path("from/box/noted").c_str(), "user.comment", "keep me", 7, 0) == 0);
    REQUIRE(::setxattr(temp.path("from/box/kept").c_str(), "user.comment", "and me", 6, 0) == 0);
    Jobs jobs(temp.path("state"));
    Job job = move({temp.path("from/box")}, disk.path + "/to");
    const Ran ran = jobs.run(job);
    const ReceiptItem& noted = ran.item(disk.path + "/to/box/noted");
    CHECK(noted.result == Outcome::failed);
    CHECK(noted.error.find("user.comment") != std::string::npos);
    CHECK(ran.item(disk.path + "/to/box/kept").result == Outcome::failed);
    CHECK(ran.item(disk.path + "/to/box/plain").result == Outcome::created);
    CHECK(temp.read("from/box/noted") == "noted");
    CHECK(temp.read("from/box/kept/below") == "below");
    CHECK_FALSE(temp.has("disk/to/box/noted"));
    job.may_lose = true;
    const Ran lossy = jobs.run(job);
    CHECK(lossy.of(Outcome::failed) == 0);
    CHECK(lossy.item(disk.path + "/to/box/noted").not_kept.find("user.comment") != std::string::npos);
    CHECK_FALSE(temp.has("from/box"));
    // a copy says what is missing, and takes nothing away
    temp.write("from/noted", "noted");
    REQUIRE(::setxattr(temp.path("from/noted").c_str(), "user.comment", "keep me", 7, 0) == 0);
    const Ran copied = jobs.run(copy({temp.path("from/noted")}, disk.path + "/copied"));
    CHECK(copied.items[0].result == Outcome::created);
    CHECK(copied.items[0].not_kept == "user.comment");
}

TEST_CASE("exFAT and NTFS through FUSE, an overlay, and a folder bound below a destination are destinations",
          "[disks]") {
    TempFolder temp("/dev/shm");
    SECTION("exFAT") {
        REQUIRE(std::system(("truncate -s 64M '" + temp.path("image") + "'").c_str()) == 0);
        const bool made =
            std::system(("mkfs.exfat '" + temp.path("image") + "' >/dev/null 2>&1").c_str()) == 0;
        const Loop loop(temp.path("image"));
        NEEDS_THAT(!(!made || !loop.attached), "no exFAT can be made here")
        const Mount disk = Mount::by({"mount.exfat-fuse", loop.name, temp.path("disk")}, temp.path("disk"));
        NEEDS(disk)
        use_as_destination(temp, disk.path);
    }
    SECTION("NTFS") {
        REQUIRE(std::system(("truncate -s 64M '" + temp.path("image") + "'").c_str()) == 0);
        const bool made =
            std::system(("mkfs.ntfs -F -q '" + temp.path("image") + "' >/dev/null 2>&1").c_str()) == 0;
        const Loop loop(temp.path("image"));
        NEEDS_THAT(!(!made || !loop.attached), "no NTFS can be made here")
        const Mount disk = Mount::by({"ntfs-3g", loop.name, temp.path("disk")}, temp.path("disk"));
        NEEDS(disk)
        use_as_destination(temp, disk.path);
    }
    SECTION("an overlay") {
        const Mount layers = Mount::memory(temp.path("layers"));
        NEEDS(layers)
        temp.write("layers/lower/to/box/1/file-1", "held below, and longer");
        const Mount disk = Mount::overlay(layers.path + "/lower", layers.path + "/upper",
                                          layers.path + "/work", temp.path("disk"));
        NEEDS(disk)
        const auto disks = make_disk();
        CHECK_FALSE(value(disks->volume(value(disks->open_folder(disk.path))))
                        .syncs_whole);  // it hides what goes wrong below it
        CHECK(value(disks->volume(value(disks->open_folder(layers.path)))).syncs_whole);
        fs::remove(temp.path("disk/to/box/1/file-1"));
        use_as_destination(temp, disk.path);
    }
    SECTION("bound") {
        const Mount volume = Mount::memory(temp.path("volume"));
        NEEDS(volume)
        temp.write("volume/elsewhere/a", "held, and longer");
        const Mount bound = Mount::bind(volume.path + "/elsewhere", volume.path + "/to/box");
        NEEDS(bound)
        temp.write("from/box/a", "incoming");
        Jobs jobs(temp.path("state"));
        const Ran ran =
            jobs.run(with(copy({temp.path("from/box")}, volume.path + "/to"), Decision::overwrite));
        CHECK(ran.of(Outcome::overwritten) == 1);
        CHECK(jobs.undo(ran.head.id).of(Outcome::restored) == 1);
        CHECK(temp.read("volume/elsewhere/a") == "held, and longer");
    }
}

TEST_CASE("a server is a destination, over SFTP", "[disks][sftp]") {
    TempFolder temp("/dev/shm");
    temp.folder("served");
    int ends[2];
    REQUIRE(::socketpair(AF_UNIX, SOCK_STREAM, 0, ends) == 0);
    const pid_t server = ::fork();
    if (server == 0) {
        ::dup2(ends[0], STDIN_FILENO);
        ::dup2(ends[0], STDOUT_FILENO);
        ::close(ends[1]);
        ::execl("/usr/lib/openssh/sftp-server", "sftp-server", static_cast<char*>(nullptr));
        ::_exit(127);
    }
    ::close(ends[0]);
    temp.folder("disk");
    const pid_t client = ::fork();
    if (client == 0) {
        ::dup2(ends[1], STDIN_FILENO);
        ::dup2(ends[1], STDOUT_FILENO);
        ::execlp("sshfs", "sshfs", "-f", "-o", "passive", (":" + temp.path("served")).c_str(),
                 temp.path("disk").c_str(), static_cast<char*>(nullptr));
        ::_exit(127);
    }
    ::close(ends[1]);
    const auto is_mounted = [&] {
        struct stat disk {};
        struct stat around {};
        return ::stat(temp.path("disk").c_str(), &disk) == 0 && ::stat(temp.path().c_str(), &around) == 0 &&
               disk.st_dev != around.st_dev;
    };
    for (int tries = 0; tries < 3000 && !is_mounted(); ++tries) ::usleep(1000);
    if (is_mounted())
        use_as_destination(temp, temp.path("disk"));
    else
        WARN("skipped: sshfs is not to be had here");
    if (std::system(("umount -l '" + temp.path("disk") + "' 2>/dev/null").c_str()) != 0)
        ::kill(client, SIGTERM);
    ::waitpid(client, nullptr, 0);
    ::kill(server, SIGTERM);
    ::waitpid(server, nullptr, 0);
}

TEST_CASE("what a copy made of a folder without write permission is taken back by its owner too",
          "[disks][undo]") {
    NEEDS_THAT(!(::geteuid() != 0), "becoming another user needs root")
    TempFolder temp("/dev/shm");
    fs::permissions(temp.path(), fs::perms::all);
    temp.write("from/box/sub/a", "a");
    temp.folder("state");
    temp.folder("to");
    constexpr uid_t nobody = 65534;
    for (const char* path : {"from", "from/box", "from/box/sub", "from/box/sub/a", "state", "to"})
        REQUIRE(::chown(temp.path(path).c_str(), nobody, nobody) == 0);
    fs::permissions(temp.path("from/box/sub"), fs::perms(0555));
    fs::permissions(temp.path("from/box"), fs::perms(0555));
    const auto as_nobody = [&](const std::vector<std::string>& words) {
        const pid_t child = ::fork();
        if (child == 0) {
            if (::setgid(nobody) != 0 || ::setuid(nobody) != 0) ::_exit(126);
            ::_exit(run_tavloctl_for(TAVLOCTL, temp.path("state"), words, -1));
        }
        int status = 0;
        ::waitpid(child, &status, 0);
        return WEXITSTATUS(status);
    };
    REQUIRE(as_nobody({"copy", temp.path("from/box"), "--into", temp.path("to")}) == 0);
    const std::string id = value(value(Store::open(temp.path("state")))->receipts()).at(0).id;
    const bool something_stays = GENERATE(false, true);
    if (something_stays) {
        std::ofstream(temp.path("to/box/sub/theirs")) << "theirs";  // root may
    }
    CHECK(as_nobody({"undo", id}) == 0);
    CHECK(temp.has("to/box/sub/a") == false);
    CHECK(temp.has("to/box") == something_stays);
    if (something_stays)
        CHECK((fs::status(temp.path("to/box/sub")).permissions() & fs::perms::all) == fs::perms(0555));
    fs::permissions(temp.path("from/box"), fs::perms(0755));
    fs::permissions(temp.path("from/box/sub"), fs::perms(0755));
    if (something_stays)
        for (const char* path : {"to/box", "to/box/sub"}) fs::permissions(temp.path(path), fs::perms(0755));
    CHECK(as_nobody({"safe", "empty"}) == 0);
}

TEST_CASE("out of a folder that may be entered and not read a named file moves to another disk", "[disks]") {
    if (::geteuid() != 0) return;
    TempFolder temp("/dev/shm");
    const Mount other = Mount::memory(temp.path("other"), "size=8m,mode=0777");
    NEEDS(other)
    fs::permissions(temp.path(), fs::perms::all);
    temp.write("from/a", "the only copy");
    temp.folder("state");
    constexpr uid_t nobody = 65534;
    for (const char* path : {"from", "from/a", "state"})
        REQUIRE(::chown(temp.path(path).c_str(), nobody, nobody) == 0);
    fs::permissions(temp.path("from"), fs::perms(0300));
    const pid_t child = ::fork();
    if (child == 0) {
        if (::setgid(nobody) != 0 || ::setuid(nobody) != 0) ::_exit(126);
        ::_exit(run_tavloctl_for(TAVLOCTL, temp.path("state"),
                                 {"move", temp.path("from/a"), "--into", other.path + "/to"}, -1));
    }
    int status = 0;
    ::waitpid(child, &status, 0);
    CHECK(WEXITSTATUS(status) == 0);
    CHECK(temp.read("other/to/a") == "the only copy");
    CHECK_FALSE(temp.has("from/a"));
}
