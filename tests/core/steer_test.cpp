// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <chrono>
#include <filesystem>
#include <thread>

#include "files/drives.h"
#include "recover/recover.h"
#include "run/forecast.h"
#include "support/catch.h"
#include "support/jobs.h"
#include "support/mounts.h"
#include "support/temp_folder.h"

// A run is held, limited and gone on with while it goes; its end is foretold.

using namespace tavlo;
using namespace std::chrono_literals;
using Clock = std::chrono::steady_clock;

namespace {

/// A run on a thread of its own, that can be watched.
struct Going {
    Going(const std::string& state, const Job& job, std::shared_ptr<Pace> with) : pace(std::move(with)) {
        thread = std::jthread([this, state, job] {
            Jobs jobs(state);
            const auto plan = value(prepare(*jobs.disk, job)).plan;
            RunOptions options;
            options.pace = pace.get();
            options.stop = stop.get_token();
            RunEvents events;
            events.begun = [this](const ReceiptHead&) { begun = true; };
            events.bytes = [this](std::uint64_t more) { bytes += more; };
            head = value(carry_out(*jobs.disk, *jobs.store, *plan, options, events));
            ended = true;
        });
    }
    ~Going() {
        stop.request_stop();
        pace->release();
    }
    bool wait(const std::function<bool()>& condition) const {
        const auto until = Clock::now() + 20s;
        while (!condition() && Clock::now() < until) std::this_thread::sleep_for(2ms);
        return condition();
    }

    std::shared_ptr<Pace> pace;
    std::stop_source stop;
    std::atomic<bool> begun = false;
    std::atomic<bool> ended = false;
    std::atomic<std::uint64_t> bytes = 0;
    ReceiptHead head;
    std::jthread thread;
};

constexpr std::uint64_t mib = 1024 * 1024;

}  // namespace

TEST_CASE("a run is held inside a large file, goes on where it was, and can be stopped while it is held",
          "[disk][pace]") {
    TempFolder temp;
    temp.write("from/large", std::string(24 * mib, 'x'));
    temp.write("from/small", "s");
    const bool is_stopped = GENERATE(false, true);
    const auto all = std::make_shared<Pace>();
    const auto pace = std::make_shared<Pace>(all);
    pace->limit(8 * mib);  // so that there is something to interrupt
    Going run(temp.path("state"), copy({temp.path("from")}, temp.path("to")), pace);
    REQUIRE(run.wait([&] { return run.bytes > mib; }));
    (is_stopped ? pace : all)->hold();
    std::this_thread::sleep_for(200ms);  // the longest that it may take to be heard
    const std::uint64_t held_at = run.bytes;
    CHECK(held_at < 24 * mib);
    std::this_thread::sleep_for(300ms);
    CHECK(run.bytes == held_at);
    CHECK_FALSE(temp.has("to/from/large"));
    if (is_stopped) {
        run.stop.request_stop();
        REQUIRE(run.wait([&] { return run.ended.load(); }));
        CHECK(run.head.state == RunState::stopped);
        CHECK_FALSE(temp.has("to/from/large"));
        Jobs jobs(temp.path("state"));
        CHECK(value(resume(*jobs.disk, *jobs.store, run.head.id)).state == RunState::done);
    } else {
        pace->limit(0);
        all->release();
        REQUIRE(run.wait([&] { return run.ended.load(); }));
        CHECK(run.head.state == RunState::done);
    }
    CHECK(temp.read("to/from/large").size() == 24 * mib);
    CHECK(temp.has("to/from/small"));
}

TEST_CASE("a run that waits for its turn is in the journal, and has not even made its destination",
          "[disk][pace]") {
    TempFolder temp;
    temp.write("from/a", "a");
    const auto pace = std::make_shared<Pace>();
    pace->hold();
    Going run(temp.path("state"), copy({temp.path("from/a")}, temp.path("to")), pace);
    REQUIRE(run.wait([&] { return run.begun.load(); }));
    std::this_thread::sleep_for(50ms);
    CHECK_FALSE(temp.has("to"));
    {
        Jobs jobs(temp.path("state"));
        CHECK(value(jobs.store->unfinished()).size() == 1);
        CHECK(value(interrupted_runs(*jobs.store)).empty());  // somebody carries it out
        CHECK(value(jobs.store->so_far(value(jobs.store->receipts()).front().id)) ==
              std::pair<std::uint64_t, std::uint64_t>(0, 1));
    }
    run.stop.request_stop();
    REQUIRE(run.wait([&] { return run.ended.load(); }));
    CHECK_FALSE(temp.has("to"));
    CHECK(run.head.state == RunState::stopped);
    Jobs jobs(temp.path("state"));
    REQUIRE(jobs.store->set_paused(run.head.id, true));
    CHECK(value(jobs.store->receipt(run.head.id)).paused);
    const auto head = value(resume(*jobs.disk, *jobs.store, run.head.id));
    CHECK(head.state == RunState::done);
    CHECK_FALSE(value(jobs.store->receipt(head.id)).paused);
    CHECK(temp.read("to/a") == "a");
}

TEST_CASE("a folder that another run reads or writes just now is not removed from under it, and says why",
          "[disk][pace][remove]") {
    TempFolder temp;
    temp.write("from/box/deep/large", std::string(24 * mib, 'x'));
    temp.write("from/box/small", "s");
    for (const char* other : {"from/other/a", "to/kept/a", "to/box/old/a", "by itself/a"})
        temp.write(other, "a");
    const bool waits_for_its_turn = GENERATE(false, true);
    const auto pace = std::make_shared<Pace>();
    pace->limit(8 * mib);
    if (waits_for_its_turn) pace->hold();
    Going run(temp.path("state"), copy({temp.path("from/box")}, temp.path("to")), pace);
    REQUIRE(run.wait([&] { return waits_for_its_turn ? run.begun.load() : run.bytes > mib; }));
    pace->hold();

    Jobs jobs(temp.path("state"));
    const auto removed = [&](const std::string& what) {
        Job job;
        job.operation = Operation::remove;
        job.what.sources = {temp.path(what)};
        return jobs.run(job).items.at(0);
    };
    for (const char* idle : {"from/other", "to/kept", "by itself", "from/box/small"})
        CHECK(removed(idle).result == Outcome::removed);
    if (waits_for_its_turn) {  // it has touched nothing yet, and finds out by itself
        CHECK(removed("from/box").result == Outcome::removed);
        return;
    }
    // what it reads, part of it, what it lies in; where it goes, and what it goes into there
    for (const char* busy : {"from/box", "from/box/deep", "from", "to", "to/box", "to/box/old"}) {
        CAPTURE(busy);
        const ReceiptItem item = removed(busy);
        CHECK(item.result == Outcome::failed);
        CHECK(item.error == "is being read or written by another run, and stays");
        CHECK(item.source == temp.path(busy));
        CHECK(temp.has(busy));
    }
    pace->limit(0);
    pace->release();
    REQUIRE(run.wait([&] { return run.ended.load(); }));
    CHECK(temp.read("to/box/deep/large").size() == 24 * mib);
    for (const char* free : {"from", "to/box"}) CHECK(removed(free).result == Outcome::removed);
}

TEST_CASE("a limit holds for one run, and for all runs together", "[disk][pace]") {
    TempFolder temp;
    for (int number = 0; number < 64; ++number)
        temp.write("from/" + std::to_string(number), std::string(128 * 1024, 'x'));
    const auto all = std::make_shared<Pace>();
    const auto one = std::make_shared<Pace>(all);
    const auto other = std::make_shared<Pace>(all);
    const bool of_all = GENERATE(false, true);
    if (of_all)
        all->limit(16 * mib);
    else
        one->limit(16 * mib);
    const auto began = Clock::now();
    Going first(temp.path("state"), copy({temp.path("from")}, temp.path("to")), one);
    if (of_all) {
        Going second(temp.path("state-2"), copy({temp.path("from")}, temp.path("to-2")), other);
        REQUIRE(second.wait([&] { return second.ended && first.ended; }));
    }
    REQUIRE(first.wait([&] { return first.ended.load(); }));
    const std::chrono::duration<double> took = Clock::now() - began;
    CHECK(took.count() >
          (of_all ? 0.9 : 0.4));  // 8 MiB a run, but for the tenth of a second that is saved up
    CHECK(first.head.state == RunState::done);
}

TEST_CASE("the time left is steady where the run is, and silent where nothing is known", "[forecast]") {
    Forecast forecast;
    const auto start = Clock::now();
    const Progress all{1000, 1000 * mib};
    CHECK_FALSE(forecast.left(start, all));
    std::vector<std::int64_t> answers;
    for (int tick = 0; tick <= 300; ++tick) {  // 10 items and 10 MiB a second, with a fifth of unrest
        const auto now = start + tick * 100ms;
        const auto done = static_cast<std::uint64_t>(tick + (tick % 7) / 3);
        forecast.add(now, {done, done * mib});
        if (const auto left = forecast.left(now, all)) answers.push_back(left->count() * 10 + tick - 1000);
    }
    REQUIRE(answers.size() > 250);                              // nothing in the first two seconds
    for (const auto off : answers) CHECK(std::abs(off) < 150);  // tenths of a second, of 100 s
    CHECK(forecast.bytes_per_second() > 8.0 * mib);
    CHECK(forecast.bytes_per_second() < 12.0 * mib);
    forecast.begin_again();
    CHECK_FALSE(forecast.left(start + 31s, all));
}

TEST_CASE("file systems in memory are on no common drive, two folders of one file system are on the same",
          "[disk][drives]") {
    TempFolder temp;
    std::filesystem::create_directories(temp.path("one/two"));
    CHECK(drives_below(temp.path("one")) == drives_below(temp.path("one/two/not/there/yet")));
    CHECK_FALSE(drives_below(temp.path("one")).empty());
    CHECK(drives_below("/proc/self/nothing of that name") == drives_below("/proc"));
    std::filesystem::create_directories(temp.path("memory"));
    const Mount memory = Mount::memory(temp.path("memory"));
    NEEDS(memory);
    CHECK(drives_below(temp.path("memory")) != drives_below(temp.path("one")));
}
