// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/ahead.h"

#include <signal.h>

#include <atomic>
#include <filesystem>
#include <latch>
#include <random>
#include <set>
#include <stdexcept>

#include "batch/gather.h"
#include "files/parallel.h"
#include "files/path.h"
#include "support/catch.h"
#include "support/jobs.h"
#include "support/temp_folder.h"

// What other threads see to before it is needed, and folders that are read so.

using namespace tavlo;
namespace fs = std::filesystem;

TEST_CASE("threads that work ahead get no signal that is meant for the process", "[ahead]") {
    sigset_t before{};
    ::pthread_sigmask(SIG_SETMASK, nullptr, &before);
    REQUIRE(::sigismember(&before, SIGTERM) == 0);
    AheadThreads threads(2);
    std::latch begun(1);
    const auto mask = threads.ask<sigset_t>([&] {
        sigset_t mine{};
        ::pthread_sigmask(SIG_SETMASK, nullptr, &mine);
        begun.count_down();
        return mine;
    });
    begun.wait();  // or this thread would do it
    const sigset_t theirs = mask->take();
    for (const int signal : {SIGTERM, SIGINT, SIGHUP, SIGUSR1}) CHECK(::sigismember(&theirs, signal) == 1);
    sigset_t after{};
    ::pthread_sigmask(SIG_SETMASK, nullptr, &after);
    CHECK(::sigismember(&after, SIGTERM) == 0);
}

TEST_CASE("what was thrown ahead is thrown where it is taken", "[ahead]") {
    for (const unsigned count : {0U, 1U, 3U}) {
        AheadThreads threads(count);
        std::vector<std::shared_ptr<Ahead<int>>> asked;
        for (int number = 0; number < 20; ++number)
            asked.push_back(threads.ask<int>([number] {
                if (number % 3 == 1) throw std::runtime_error("row " + std::to_string(number));
                return number;
            }));
        for (int number = 0; number < 20; ++number) {
            if (number % 3 == 1)
                CHECK_THROWS_WITH(asked[static_cast<std::size_t>(number)]->take(),
                                  "row " + std::to_string(number));
            else
                CHECK(asked[static_cast<std::size_t>(number)]->take() == number);
        }
    }
}

TEST_CASE("things in turn come in the order in which they were asked for, and one alone needs no thread",
          "[ahead]") {
    const auto here = std::this_thread::get_id();
    for (const unsigned count : {0U, 1U, 3U}) {
        AheadThreads threads(count);
        InTurn<std::pair<int, std::thread::id>> alone(threads);
        alone.ask([] { return std::pair(1, std::this_thread::get_id()); });
        CHECK(alone.take().second == here);
        InTurn<int> many(threads);
        std::vector<int> taken;
        for (int number = 0; number < 500; ++number) {
            if (many.is_full()) taken.push_back(many.take());
            many.ask([number] { return number; });
        }
        while (!many.is_empty()) taken.push_back(many.take());
        REQUIRE(taken.size() == 500);
        CHECK(std::is_sorted(taken.begin(), taken.end()));
        many.ask([]() -> int { throw std::runtime_error("this one"); });
        many.ask([] { return 7; });
        CHECK_THROWS_WITH(many.take(), "this one");
        CHECK(many.take() == 7);  // what comes behind it is not lost
    }
}

TEST_CASE("who waits for one thing in turn sees to those behind it meanwhile", "[ahead]") {
    AheadThreads threads(1);
    std::latch first_begun(1);
    std::latch others_done(3);
    InTurn<std::thread::id> turn(threads);
    turn.ask([&] {
        first_begun.count_down();
        others_done.wait();  // for ever, if nobody saw to them
        return std::this_thread::get_id();
    });
    for (int other = 0; other < 3; ++other)
        turn.ask([&] {
            others_done.count_down();
            return std::this_thread::get_id();
        });
    first_begun.wait();
    CHECK(turn.take() != std::this_thread::get_id());
    for (int other = 0; other < 3; ++other) CHECK(turn.take() == std::this_thread::get_id());
}

namespace {

/// Every thing below a folder, by the plainest means: its path from there, "/" behind a folder's.
std::vector<std::string> plainly(const fs::path& folder) {
    std::vector<std::string> all;
    for (const auto& entry : fs::recursive_directory_iterator(folder)) {
        const bool is_folder = entry.is_directory() && !entry.is_symlink();
        all.push_back(entry.path().lexically_relative(folder).string() + (is_folder ? "/" : ""));
    }
    return all;
}

std::vector<std::string> told(const Batch& batch, const std::string& folder) {
    std::vector<std::string> all;
    for (const Entry& entry : batch.entries) {
        const std::string path = batch.source_path(entry);
        if (path == folder) continue;
        all.push_back(path.substr(folder.size() + 1) + (entry.status.type == FileType::folder ? "/" : ""));
    }
    return all;
}

/// Where two lists differ first, in words; empty: nowhere.
std::string difference(const std::vector<std::string>& one, const std::vector<std::string>& other) {
    for (std::size_t at = 0; at < std::max(one.size(), other.size()); ++at) {
        const std::string here = at < one.size() ? one[at] : "(nothing)";
        const std::string there = at < other.size() ? other[at] : "(nothing)";
        if (here != there) return here + " instead of " + there;
    }
    return {};
}

/// A tree with a folder of more names than are looked at in one go, deep and wide ones, and empty ones.
void make_tree(const TempFolder& temp, const std::string& below) {
    for (int number = 0; number < 1300; ++number) temp.write(below + "/many/" + std::to_string(number), "x");
    for (int number = 0; number < 60; ++number) {
        const std::string folder = below + "/many/folder " + std::to_string(number);
        for (int file = 0; file < number % 7; ++file) temp.write(folder + "/" + std::to_string(file), "y");
        temp.folder(folder + "/empty");
    }
    std::string deep = below;
    for (int level = 0; level < 40; ++level) temp.write((deep += "/d") + "/file", "z");
    temp.link(below + "/link", "many");
}

}  // namespace

TEST_CASE("what is asked for ahead is done once, by whoever comes first", "[ahead]") {
    const unsigned threads = GENERATE(0U, 1U, 3U);
    CAPTURE(threads);
    std::vector<std::atomic<int>> times(500);
    {
        AheadThreads ahead(threads);
        std::vector<std::shared_ptr<Ahead<std::size_t>>> asked;
        for (std::size_t at = 0; at < times.size(); ++at)
            asked.push_back(ahead.ask<std::size_t>([&times, at] {
                ++times[at];
                return at * at;
            }));
        for (std::size_t at = 0; at < times.size(); at += 2) CHECK(asked[at]->take() == at * at);
        for (std::size_t at = 1; at < times.size() / 2; at += 2) CHECK(asked[at]->take() == at * at);
    }
    for (std::size_t at = 0; at < times.size(); ++at) {
        const bool taken = at % 2 == 0 || at < times.size() / 2;
        CHECK(times[at] <= 1);
        if (taken) CHECK(times[at] == 1);
        if (threads == 0) CHECK(times[at] == (taken ? 1 : 0));  // nobody does what nobody needs
    }
}

TEST_CASE("what another thread has begun is waited for, and the end does not wait for what nobody has",
          "[ahead]") {
    std::latch begun(1);
    std::latch goes_on(1);
    std::atomic<bool> late = false;
    {
        AheadThreads ahead(1);
        const auto slow = ahead.ask<int>([&] {
            begun.count_down();
            goes_on.wait();
            return 7;
        });
        const auto never = ahead.ask<int>([&] {
            late = true;
            return 0;
        });
        begun.wait();
        std::jthread lets_go([&] { goes_on.count_down(); });
        CHECK(slow->take() == 7);
    }
    SUCCEED("it has ended");
}

TEST_CASE("reading ahead comes to what reading by one comes to, in the order of names", "[ahead][gather]") {
    TempFolder temp;
    make_tree(temp, "in");
    const auto disk = make_disk();
    const auto parts = [](const std::string& path) {  // folder by folder
        std::vector<std::string> names;
        for (const auto& part : fs::path(path.back() == '/' ? path.substr(0, path.size() - 1) : path))
            names.push_back(part.string());
        return names;
    };
    std::vector<std::string> expected = plainly(temp.path("in"));
    std::sort(expected.begin(), expected.end(),
              [&](const auto& one, const auto& other) { return parts(one) < parts(other); });
    CHECK(difference(told(value(gather(*disk, {temp.path("in")})), temp.path("in")), expected) == "");
    // in steps, each of which ends anywhere
    Gathering gathering(*disk, {temp.path("in")});
    std::mt19937 random(1);
    while (!value(gathering.read_on(1 + random() % 200))) {
    }
    CHECK(difference(told(gathering.batch(), temp.path("in")), expected) == "");
    // what is in hand of one level is that level
    const Batch level = value(gather(*disk, {temp.path("in")}, {.depth = 1}));
    CHECK(told(level, temp.path("in")) == std::vector<std::string>{"d/", "link", "many/"});
}

TEST_CASE("a folder that is another one by the time it is read ahead is not taken for it",
          "[ahead][gather]") {
    TempFolder temp;
    for (int number = 0; number < 40; ++number)
        temp.write("in/folder " + std::to_string(number) + "/mine", "m");
    temp.write("other/not mine", "o");
    class Swaps final : public ForwardingFileSystem {
    public:
        explicit Swaps(const TempFolder& folder) : temp(folder) {}
        Result<Handle> open_folder_in(const Handle& around, const std::string& name) override {
            if (name == "folder 30" && !done.exchange(true)) {
                fs::rename(temp.path("in/folder 30"), temp.path("mine is here"));
                fs::rename(temp.path("other"), temp.path("in/folder 30"));
            }
            return disk->open_folder_in(around, name);
        }
        const TempFolder& temp;
        std::atomic<bool> done = false;
    };
    Swaps disk(temp);
    const Batch batch = value(gather(disk, {temp.path("in")}));
    REQUIRE(disk.done);
    int problems = 0;
    for (const Entry& entry : batch.entries) {
        CHECK(entry.name != "not mine");
        problems += entry.problem() ? 1 : 0;
        if (entry.problem()) CHECK(entry.problem()->fault == Fault::changed_meanwhile);
    }
    CHECK(problems == 1);
}

TEST_CASE("a name that cannot be looked at while it is read ahead is told with its reason",
          "[ahead][gather]") {
    TempFolder temp;
    make_tree(temp, "in");
    class Refuses final : public ForwardingFileSystem {
        Result<Status> status(const Handle& folder, const std::string& name) override {
            if (name == "777") return failure(Fault::io, "refused by the test", join(folder.path(), name));
            if (name == "778") return failure(Fault::not_found, "went away", join(folder.path(), name));
            return disk->status(folder, name);
        }
    } disk;
    const Batch batch = value(gather(disk, {temp.path("in/many")}));
    std::size_t told_of = 0;
    for (const Entry& entry : batch.entries) {
        CHECK(entry.name != "778");
        if (entry.name == "777") {
            REQUIRE(entry.problem());
            CHECK(entry.problem()->step == "refused by the test");
            ++told_of;
        }
    }
    CHECK(told_of == 1);
    CHECK_FALSE(batch.entries.front().complete);
}

TEST_CASE("what goes through a turnstile goes in the order of its numbers, whoever brings it", "[ahead]") {
    for (const unsigned count : {0U, 1U, 3U}) {
        AheadThreads threads(count);
        Turnstile order;
        std::vector<std::size_t> through;  // one at a time: no lock
        std::atomic<int> at_once = 0;
        Turns(threads, 300, [&](std::size_t at) {
            if (at % 7 != 3) {  // those do not come after all, and nobody waits for them for ever
                order.wait_for(at);
                CHECK(at_once++ == 0);
                through.push_back(at);
                --at_once;
            }
            order.pass(at);
            order.pass(at);
            order.wait_for(at);  // again: it is through
        }).finish();
        CHECK(through.size() == 257);
        CHECK(std::is_sorted(through.begin(), through.end()));
    }
}

TEST_CASE("who helps with turns does so for as long as it is wanted, and no turn is taken twice or left",
          "[ahead]") {
    for (const unsigned count : {0U, 1U, 3U}) {
        AheadThreads threads(count);
        std::vector<std::atomic<int>> done(200);
        Turns turns(threads, done.size(), [&](std::size_t at) { ++done[at]; });
        int asked = 0;
        turns.help_while([&] { return ++asked <= 5; });
        CHECK(asked <= 6);  // 6: asked once more, and told no
        if (count == 0)
            CHECK(std::count_if(done.begin(), done.end(), [](const auto& one) { return one > 0; }) == 5);
        turns.help_while([] { return false; });
        if (count == 0) turns.help_while([] { return true; });  // until there is none left
        turns.finish();
        turns.help_while([] { return true; });
        CHECK(std::all_of(done.begin(), done.end(), [](const auto& one) { return one == 1; }));
    }
}

TEST_CASE("things in turn that nobody takes are dropped: nothing works on them once they are gone",
          "[ahead]") {
    for (const unsigned count : {1U, 3U}) {
        AheadThreads threads(count);
        std::atomic<int> begun = 0;
        std::atomic<int> ended = 0;
        {
            std::latch first(1);
            InTurn<int> asked(threads);
            for (int number = 0; number < 6; ++number)
                asked.ask([&] {
                    if (++begun == 1) first.count_down();
                    for (int turn = 0; turn < 1000; ++turn) std::this_thread::yield();
                    return ++ended;
                });
            first.wait();  // one of them is worked on by now
        }
        const int at_the_end = begun;
        CHECK(ended == at_the_end);
        CHECK(at_the_end < 6);  // the last was never given to a thread
        CHECK(threads.ask<int>([] { return 7; })->take() == 7);
        CHECK(begun == at_the_end);
    }
}

TEST_CASE("named folders are read ahead, and each as it is when its turn has come", "[ahead][disk]") {
    const bool swapped = GENERATE(false, true);
    TempFolder temp;
    for (const char* folder : {"a", "b", "c", "d"})
        for (int file = 0; file < 3; ++file)
            temp.write(std::string("from/") + folder + "/" + folder + std::to_string(file), folder);
    temp.write("from/b2/other", "");
    temp.write("from/c.txt", "between two folders");
    class Watched final : public ForwardingFileSystem {
    public:
        std::function<void()> while_a_is_read;
        std::latch b_is_read{1};
        std::atomic<int> b_was_listed = 0;
        Result<std::vector<Name>> list(const Handle& folder) override {
            auto names = disk->list(folder);
            if (name_of(folder.path()) == "a" && while_a_is_read) while_a_is_read();
            if (name_of(folder.path()) == "b" && b_was_listed++ == 0) b_is_read.count_down();
            return names;
        }
    } disk;
    if (swapped && useful_threads() > 1)
        disk.while_a_is_read = [&] {
            disk.b_is_read.wait();
            fs::rename(temp.path("from/b"), temp.path("from/was b"));
            fs::rename(temp.path("from/b2"), temp.path("from/b"));
        };
    const std::vector<std::string> sources{temp.path("from/a"), temp.path("from/b"), temp.path("from/c"),
                                           temp.path("from/c.txt"), temp.path("from/d")};
    const Batch batch = value(gather(disk, sources, {}));
    const bool is_other = swapped && useful_threads() > 1;
    CHECK(disk.b_was_listed == (is_other ? 2 : 1));
    const auto b = is_other ? std::vector<std::string>{"b/", "b/other"}
                            : std::vector<std::string>{"b/", "b/b0", "b/b1", "b/b2"};
    std::vector<std::string> wanted{"a/", "a/a0", "a/a1", "a/a2"};
    wanted.insert(wanted.end(), b.begin(), b.end());
    for (const char* rest : {"c/", "c/c0", "c/c1", "c/c2", "c.txt", "d/", "d/d0", "d/d1", "d/d2"})
        wanted.emplace_back(rest);
    CHECK(told(batch, temp.path("from")) == wanted);
}
