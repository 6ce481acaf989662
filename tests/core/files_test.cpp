// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <poll.h>
#include <sys/resource.h>
#include <sys/stat.h>
#include <sys/syscall.h>
#include <unistd.h>

#include <algorithm>
#include <atomic>
#include <filesystem>
#include <mutex>
#include <set>
#include <thread>

#include "batch/choose.h"
#include "batch/gather.h"
#include "files/folder_watch.h"
#include "files/parallel.h"
#include "files/small_file.h"
#include "select/walk.h"
#include "support/catch.h"
#include "support/jobs.h"
#include "support/mounts.h"
#include "support/temp_folder.h"

using namespace tavlo;

TEST_CASE("a small file is read whole or not at all, and replaced in one step", "[files]") {
    TempFolder temp;
    CHECK(value(read_small_file(temp.write("a", std::string("with\0nul", 8)))).size() == 8);
    const auto missing = read_small_file(temp.path("nothing"));
    REQUIRE_FALSE(missing);
    CHECK(missing.error().fault == Fault::not_found);
    CHECK(describe(missing.error()).find(temp.path("nothing")) != std::string::npos);
    CHECK_FALSE(read_small_file(temp.path("a"), 7));
    CHECK_FALSE(read_small_file(temp.path()));
    ::mkfifo(temp.path("pipe").c_str(), 0600);
    CHECK_FALSE(read_small_file(temp.path("pipe")));  // and nobody waits for a writer

    REQUIRE(write_small_file(temp.path("made/on/the way"), "first"));
    REQUIRE(write_small_file(temp.path("made/on/the way"), "second"));
    CHECK(temp.read("made/on/the way") == "second");
    CHECK_FALSE(temp.has("made/on/the way.new"));

    temp.write("list.txt", "the old list");
    temp.write("list.txt.new", "somebody's own");
    ::chmod(temp.path("list.txt").c_str(), 0664);
    std::filesystem::create_directory(temp.path("links"));
    std::filesystem::create_symlink("../list.txt", temp.path("links/to the list"));
    REQUIRE(write_small_file(temp.path("links/to the list"), "the new list"));
    CHECK(temp.read("list.txt") == "the new list");
    CHECK(temp.read("list.txt.new") == "somebody's own");
    CHECK(std::filesystem::is_symlink(temp.path("links/to the list")));
    CHECK((std::filesystem::status(temp.path("list.txt")).permissions() & std::filesystem::perms::all) ==
          static_cast<std::filesystem::perms>(0664));
    std::filesystem::create_symlink("not made yet", temp.path("links/ahead"));
    REQUIRE(write_small_file(temp.path("links/ahead"), "made"));
    CHECK(temp.read("links/not made yet") == "made");
    std::filesystem::create_symlink("ring", temp.path("links/ring"));
    CHECK_FALSE(write_small_file(temp.path("links/ring"), "nowhere"));
    const auto onto_pipe = write_small_file(temp.path("pipe"), "x");
    REQUIRE_FALSE(onto_pipe);
    CHECK(onto_pipe.error().fault == Fault::refused);

    const Mount small = Mount::memory(temp.path("small"), "size=64k");
    NEEDS(small)
    REQUIRE(write_small_file(small.path + "/kept", "what was there"));
    const auto full = write_small_file(small.path + "/kept", std::string(200'000, 'x'));
    REQUIRE_FALSE(full);
    CHECK(full.error().fault == Fault::no_space);
    CHECK(temp.read("small/kept") == "what was there");
    CHECK(std::distance(std::filesystem::directory_iterator(small.path), {}) == 1);  // nothing beside it
}

TEST_CASE("a watched folder says when something happens in it, and not otherwise", "[files][watch]") {
    TempFolder temp;
    temp.write("file", "x");
    auto watch = value(FolderWatch::on(temp.path()));
    const auto says = [&] {
        pollfd events{watch.descriptor(), POLLIN, 0};
        return ::poll(&events, 1, 200) > 0 && watch.drain();
    };
    CHECK_FALSE(watch.drain());
    temp.read("file");
    CHECK_FALSE(watch.drain());  // reading is no change
    temp.write("new", "y");
    CHECK(says());
    CHECK_FALSE(watch.drain());
    std::filesystem::rename(temp.path("new"), temp.path("renamed"));
    CHECK(says());
    ::chmod(temp.path("renamed").c_str(), 0600);
    CHECK(says());
    std::filesystem::remove(temp.path("renamed"));
    CHECK(says());
    CHECK_FALSE(FolderWatch::on(temp.path("file")));
    CHECK_FALSE(FolderWatch::on(temp.path("nothing")));
}

TEST_CASE("a thread that gives way takes along those that it starts, and nobody else", "[parallel]") {
    const auto priority = [] { return ::getpriority(PRIO_PROCESS, 0); };
    const int before = priority();
    int given = before;
    int of_started = before;
    std::jthread([&] {
        give_way();
        given = priority();
        std::jthread([&] { of_started = priority(); });
    }).join();
    CHECK(given > before);
    CHECK(of_started == given);
    CHECK(priority() == before);
}

TEST_CASE(
    "a thread that works in short turns has the same share as before, and those that it starts usual turns",
    "[parallel]") {
    // the first fields of sched_attr: sched_getattr(2)
    struct Scheduled {
        std::uint32_t size, policy;
        std::uint64_t flags;
        std::int32_t nice;
        std::uint32_t priority;
        std::uint64_t turn_ns, deadline_ns, period_ns;
    };
    const auto scheduled = [] {
        Scheduled now{};
        REQUIRE(::syscall(SYS_sched_getattr, 0, &now, sizeof now, 0) == 0);
        return now;
    };
    const Scheduled before = scheduled();
    Scheduled shorter{};
    Scheduled of_started{};
    std::jthread([&] {
        work_in_short_turns();
        shorter = scheduled();
        std::jthread([&] { of_started = scheduled(); });
    }).join();
    CHECK(shorter.nice == before.nice);
    CHECK(shorter.policy == before.policy);
    CHECK(of_started.nice == before.nice);
    if (before.turn_ns > 0) {  // the kernel tells, and so heeds it
        CHECK(shorter.turn_ns < before.turn_ns);
        CHECK(of_started.turn_ns >= before.turn_ns);
    }
}

TEST_CASE("each piece of parallel work is done once, on as many threads as there is work for", "[parallel]") {
    for (const unsigned threads : {1U, 2U, 7U}) {
        std::vector<std::atomic<int>> done(1000);
        std::mutex mutex;
        std::set<std::thread::id> workers;
        in_parallel(threads, done.size(), [&](std::size_t at) {
            ++done[at];
            const std::lock_guard lock(mutex);
            workers.insert(std::this_thread::get_id());
        });
        CHECK(std::all_of(done.begin(), done.end(), [](const auto& times) { return times == 1; }));
        CHECK(workers.size() <= threads);
    }
    for (const unsigned threads : {0U, 1U, 3U}) {  // that last, beside this one
        AheadThreads lasting(threads);
        for (int round = 0; round < 20; ++round) {
            std::vector<std::atomic<int>> done(50);
            Turns turns(lasting, done.size(), [&](std::size_t at) { ++done[at]; });
            turns.finish();
            CHECK(std::all_of(done.begin(), done.end(), [](const auto& times) { return times == 1; }));
        }
    }
    in_parallel(4, 0, [](std::size_t) { FAIL("there is nothing to do"); });
    CHECK(useful_threads() >= 1);
}

TEST_CASE(
    "a walk enters what it is told to, crosses no mount, follows no link, and counts what it could not read",
    "[walk]") {
    TempFolder temp;
    temp.write("top/a", "1");
    temp.write("top/sub/b", "2");
    temp.write("top/skipped/c", "3");
    temp.write("top/.tavlo-part-20310502-091407-k3f9-s1", "ours");
    temp.link("top/sub/up", "..");
    temp.folder("top/mounted");
    const Mount mount = Mount::memory(temp.path("top/mounted"));
    NEEDS(mount)
    temp.write("top/mounted/elsewhere", "4");
    std::set<std::string> met;
    const auto walked = value(walk_below(*make_disk(), temp.path("top"), {}, [&](const Met& one) {
        met.insert(one.folder + "|" + one.name);
        return one.name != "skipped";
    }));
    CHECK(met == std::set<std::string>{"|a", "|sub", "|skipped", "|mounted", "sub|b", "sub|up"});
    CHECK(walked.entries == 6);

    class Locked final : public ForwardingFileSystem {
        Result<std::vector<Name>> list(const Handle& folder) override {
            if (folder.path().ends_with("/sub"))
                return failure(Fault::no_permission, "list folder", folder.path());
            return disk->list(folder);
        }
    } locked;
    const auto partly = value(walk_below(locked, temp.path("top"), {}, [](const Met&) { return true; }));
    CHECK(partly.unread == 1);
    REQUIRE(partly.problems.size() == 1);
    CHECK(partly.problems[0].path.ends_with("/sub"));

    std::stop_source stopped;
    stopped.request_stop();
    const auto cancelled =
        walk_below(*make_disk(), temp.path("top"), stopped.get_token(), [](const Met&) { return true; });
    REQUIRE_FALSE(cancelled);
    CHECK(cancelled.error().fault == Fault::cancelled);
}

TEST_CASE("of a batch only what was asked for is left, and its folders know that they are not whole",
          "[batch][select]") {
    TempFolder temp;
    temp.write("box/a.pdf", "1");
    temp.write("box/b.txt", "2");
    temp.write("box/sub/c.pdf", "3");
    temp.write("box/other/d.txt", "4");
    temp.folder("box/empty");
    const Batch all = value(gather(*make_disk(), {temp.path("box")}));
    const auto names = [](const Batch& batch) {
        std::string text;
        for (const Entry& entry : batch.entries) text += entry.name + (entry.complete ? " " : "* ");
        return text;
    };
    Criteria pdf;
    pdf.names = {"*.pdf"};
    const Selector selector = value(Selector::make(pdf, Kinds()));
    CHECK(names(all) == "box a.pdf b.txt empty other d.txt sub c.pdf ");
    CHECK(names(choose(all, selector, false)) == "box* a.pdf sub c.pdf ");
    CHECK(names(choose(all, selector, true)) == "box* a.pdf empty other* sub c.pdf ");
    const Batch chosen = choose(all, selector, false);
    CHECK(chosen.source_path(chosen.entries.back()) == temp.path("box/sub/c.pdf"));
    CHECK(chosen.entries.back().parent == 2);
    const auto listed = choose(all, "c\nd.txt\nmissing\n", false);
    CHECK(names(listed.batch) == "box* other d.txt sub c.pdf ");
    CHECK(listed.listed[2].fits.empty());
}

TEST_CASE("a move of what was chosen leaves the rest where it is, and only folders that it emptied go",
          "[disk][select]") {
    TempFolder temp;
    temp.write("box/sub/c.pdf", "3");
    temp.write("box/other/d.txt", "4");
    Jobs jobs(temp.path("state"));
    const Job job = move({temp.path("box")}, temp.path("to"));
    const Batch all = value(gather(*jobs.disk, job.what.sources));
    Criteria pdf;
    pdf.names = {"*.pdf"};
    const auto batch = std::make_shared<const Batch>(choose(all, value(Selector::make(pdf, Kinds())), false));
    const Ran ran = jobs.carry_out(*value(prepare(*jobs.disk, job, batch)).plan);
    CHECK(ran.of(Outcome::failed) == 0);
    CHECK(temp.read("to/box/sub/c.pdf") == "3");
    CHECK_FALSE(temp.has("box/sub"));
    CHECK(temp.read("box/other/d.txt") == "4");
    CHECK_FALSE(temp.has("to/box/other"));
    jobs.undo(ran.head.id);
    CHECK(temp.read("box/sub/c.pdf") == "3");
    CHECK_FALSE(temp.has("to/box"));
}

TEST_CASE("the path of a folder is its names from its root on, with one slash between each two", "[files]") {
    FolderTree tree;
    const FolderId top = tree.add_root("/");
    const FolderId home = tree.add(top, "home");
    const FolderId ann = tree.add(home, "a\xff n");
    const FolderId other = tree.add_root("/mnt/disk");
    const FolderId below = tree.add(tree.add(other, "b"), "c");
    const FolderId nameless = tree.add(tree.add(tree.add_root(""), "d"), "e");
    CHECK(tree.path(top) == "/");
    CHECK(tree.path(home) == "/home");
    CHECK(tree.path(ann) == "/home/a\xff n");
    CHECK(tree.path(other) == "/mnt/disk");
    CHECK(tree.path(below) == "/mnt/disk/b/c");
    CHECK(tree.path(nameless) == "d/e");
    CHECK(tree.path_in_root(top).empty());
    CHECK(tree.path_in_root(home) == "home");
    CHECK(tree.path_in_root(below) == "b/c");
    CHECK(tree.path_of(top, "x") == "/x");
    CHECK(tree.path_of(home, "x") == "/home/x");
    CHECK(tree.path_of(other, "a\xff") == "/mnt/disk/a\xff");
    CHECK(tree.path_of(below, "x y") == "/mnt/disk/b/c/x y");
    CHECK(tree.path_of(nameless, "x") == "d/e/x");
    CHECK(tree.path_of(below, "") == "/mnt/disk/b/c");
    CHECK(tree.path_of(other, "") == "/mnt/disk");
}
