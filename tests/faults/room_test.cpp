// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <cstdlib>
#include <filesystem>
#include <fstream>
#include <latch>
#include <thread>

#include "recover/recover.h"
#include "support/catch.h"
#include "support/every_call.h"
#include "support/kill_scene.h"
#include "support/mounts.h"
#include "support/temp_folder.h"
#include "support/tree.h"

// Disks that fill up while a run goes on, and calls that are cut short.

using namespace tavlo;
namespace fs = std::filesystem;

namespace {

/// Takes all the room that a file system has left, but for so many bytes.
void fill(const std::string& mount, std::uint64_t but_for) {
    std::ofstream ballast(mount + "/ballast", std::ios::binary);
    const std::string piece(4096, 'b');
    while (fs::space(mount).available > but_for + piece.size() && ballast.write(piece.data(), 4096).flush()) {
    }
}

void write_files(const TempFolder& temp, int count, std::size_t bytes) {
    for (int i = 0; i < count; ++i)
        temp.write("from/box/" + std::to_string(i), std::string(bytes, static_cast<char>('a' + i % 26)));
}

}  // namespace

TEST_CASE("a disk that fills up pauses the run, which goes on when there is room again", "[fault][room]") {
    TempFolder temp("/dev/shm");
    const Mount small = Mount::memory(temp.path("small"), "size=8m");
    NEEDS(small)
    const bool moves = GENERATE(false, true);
    write_files(temp, 40, 100'000);
    const Tree from = tree_of(temp.path("from"));
    Jobs jobs(temp.path("state"));
    const std::string to = small.path + "/to";
    const Job job = moves ? move({temp.path("from/box")}, to) : copy({temp.path("from/box")}, to);
    const Outlook outlook = value(prepare(*jobs.disk, job));
    REQUIRE(outlook.refusals.empty());
    fill(small.path, 2'000'000);  // by somebody else, after the plan

    RunOptions options;
    options.pause_when_stuck = true;
    const Ran paused = jobs.carry_out(*outlook.plan, options);
    CHECK(paused.head.state == RunState::stopped);
    CHECK(paused.head.waits_for.find("disk is full") != std::string::npos);
    CHECK(paused.of(Outcome::failed) == 0);
    CHECK(paused.of(Outcome::created) + paused.of(Outcome::planned) == 41);
    CHECK(paused.of(Outcome::planned) > 10);
    CHECK(value(jobs.store->receipt(paused.head.id)).waits_for == paused.head.waits_for);
    check_no_litter(temp.path());

    fs::remove(small.path + "/ballast");
    const ReceiptHead done = value(resume(*jobs.disk, *jobs.store, paused.head.id, options));
    CHECK(done.state == RunState::done);
    CHECK(done.waits_for.empty());
    CHECK(done.totals.of(Outcome::created) == 41);
    CHECK(tree_of(to) == from);
    CHECK(fs::exists(temp.path("from/box")) == !moves);
    jobs.undo(done.id);
    CHECK(tree_of(temp.path("from")) == from);
}

TEST_CASE("without anybody to wait for, what finds no room fails by itself and the rest arrives",
          "[fault][room]") {
    TempFolder temp("/dev/shm");
    const Mount small = Mount::memory(temp.path("small"), "size=2m");
    NEEDS(small)
    temp.write("from/box/a-large", std::string(600'000, 'l'));
    temp.write("from/box/b-small", std::string(5'000, 's'));
    Jobs jobs(temp.path("state"));
    const Ran ran =
        jobs.run_after(move({temp.path("from/box")}, small.path + "/to"), [&] { fill(small.path, 100'000); });
    CHECK(ran.head.state == RunState::done);
    CHECK(ran.item(small.path + "/to/box/a-large").result == Outcome::failed);
    CHECK(ran.item(small.path + "/to/box/a-large").error.find("full") != std::string::npos);
    CHECK(ran.item(small.path + "/to/box/b-small").result == Outcome::created);
    CHECK(temp.read("from/box/a-large").size() == 600'000);
}

TEST_CASE("a state folder that fills up stops the run at once, and what it did is finished or taken back",
          "[fault][room]") {
    TempFolder temp("/dev/shm");
    const Mount state = Mount::memory(temp.path("state"), "size=12m");
    NEEDS(state)
    const bool moves = GENERATE(false, true);
    write_files(temp, 1500, 10);
    for (int i = 0; i < 1500; i += 7) temp.write("to/box/" + std::to_string(i), "held");
    const auto before = tree_of(temp.path("from")).size();
    const auto disk = make_disk();
    auto store = value(Store::open(state.path));
    const Job job = with(moves ? move({temp.path("from/box")}, temp.path("to"))
                               : copy({temp.path("from/box")}, temp.path("to")),
                         Decision::overwrite);
    const Outlook outlook = value(prepare(*disk, job));
    RunEvents events;
    int settled = 0;
    events.item = [&](ItemId, const ReceiptItem&) {
        if (++settled == 300) fill(state.path, 0);
    };
    RunOptions options;
    options.group_files = 200;  // several are on their way by then
    const auto ran = carry_out(*disk, *store, *outlook.plan, options, events);
    REQUIRE_FALSE(ran);
    CHECK(ran.error().fault == Fault::no_space);
    CHECK(describe(ran.error()).find(state.path) != std::string::npos);
    CHECK(settled < 1500);

    fs::remove(state.path + "/ballast");
    store = value(Store::open(state.path));
    const Recovered recovered = value(recover(*disk, *store));
    REQUIRE(recovered.completed.size() == 1);
    CHECK(recovered.completed[0].state == RunState::done);
    CHECK(recovered.completed[0].totals.of(Outcome::failed) +
              recovered.completed[0].totals.of(Outcome::undecided) ==
          0);
    check_no_litter(temp.path());
    const Plan undo = value(prepare_undo(*disk, *store, recovered.completed[0].id));
    CHECK(value(carry_out(*disk, *store, undo, {})).totals.of(Outcome::failed) == 0);
    CHECK(tree_of(temp.path("from")).size() == before);
    CHECK(temp.read("to/box/7") == "held");
    (void)empty_safe(*disk, *store);
}

TEST_CASE("a disk that has gone away, or a quota that is used up, pauses the run too", "[fault][room]") {
    const int code = GENERATE(ENOTCONN, ENODEV, EDQUOT);
    const int calls = GENERATE(20, 60, 100, 140, 180, 220, 260);  // some names taken, and not durable
    const std::size_t group_files = GENERATE(as<std::size_t>(), 0, 4);
    CAPTURE(code, calls, group_files);
    class GoesAway final : public EveryCall {
    public:
        GoesAway(int error, int calls) : error_(error), left_(calls) {}

    private:
        std::optional<Error> before_call() override {
            return --left_ < 0 ? std::optional(system_error(error_, "test", "")) : std::nullopt;
        }
        int error_;
        std::atomic<int> left_;
    };
    TempFolder temp("/dev/shm");
    write_files(temp, 30, 100);
    Jobs jobs(temp.path("state"));
    const Outlook outlook = value(prepare(*jobs.disk, copy({temp.path("from/box")}, temp.path("to"))));
    GoesAway gone(code, calls);
    RunOptions options;
    options.group_files = group_files;
    options.pause_when_stuck = true;
    const ReceiptHead paused = value(carry_out(gone, *jobs.store, *outlook.plan, options));
    CHECK(paused.state == RunState::stopped);
    CHECK_FALSE(paused.waits_for.empty());
    CHECK(paused.totals.of(Outcome::failed) == 0);
    CHECK(value(resume(*jobs.disk, *jobs.store, paused.id, options)).totals.of(Outcome::created) == 31);
    CHECK(tree_of(temp.path("to")) == tree_of(temp.path("from")));
}

TEST_CASE(
    "a disk that hangs holds up its own run only, a stop is heard when it answers, and the rest is gone on "
    "with",
    "[fault][room]") {
    class Hangs final : public EveryCall {
    public:
        std::latch hanging{1};
        std::latch released{1};

    private:
        std::optional<Error> before_call() override {
            if (++calls_ != 60) return std::nullopt;
            hanging.count_down();
            released.wait();
            return std::nullopt;
        }
        std::atomic<int> calls_ = 0;
    };
    TempFolder temp("/dev/shm");
    write_files(temp, 200, 100);
    temp.write("other/file", "goes by");
    Jobs jobs(temp.path("state"));
    const Outlook outlook = value(prepare(*jobs.disk, copy({temp.path("from/box")}, temp.path("to"))));
    Hangs hangs;
    RunOptions options;
    std::stop_source stop;
    options.stop = stop.get_token();
    options.threads = 1;
    std::optional<Result<ReceiptHead>> ended;
    {
        const std::jthread runs([&] {
            const auto store = Store::open(temp.path("state"));
            if (store) ended.emplace(carry_out(hangs, **store, *outlook.plan, options));
        });
        hangs.hanging.wait();
        stop.request_stop();
        // meanwhile another run, and whoever looks at the receipts, are not held up
        CHECK(jobs.run(copy({temp.path("other/file")}, temp.path("elsewhere"))).of(Outcome::created) == 1);
        CHECK(value(interrupted_runs(*jobs.store)).empty());  // it is alive
        CHECK_FALSE(ended);
        hangs.released.count_down();
    }
    REQUIRE(ended);
    const ReceiptHead head = value(*ended);
    CHECK(head.state == RunState::stopped);
    CHECK(head.totals.of(Outcome::failed) == 0);
    CHECK(head.totals.of(Outcome::planned) > 0);
    CHECK(value(resume(*jobs.disk, *jobs.store, head.id)).totals.of(Outcome::created) == 201);
    CHECK(tree_of(temp.path("to")) == tree_of(temp.path("from")));
}

TEST_CASE("a copy that somebody wrote into before recovery is not taken for ours, and its source stays",
          "[fault]") {
    class DiesOncePlaced final : public ForwardingFileSystem {
        Result<void> take_free_name(Staged& staged, const Handle& folder, const std::string& name) override {
            auto taken = disk->take_free_name(staged, folder, name);
            if (taken) throw std::runtime_error("the process ends here");
            return taken;
        }
    };
    TempFolder temp("/dev/shm");
    const Mount other = Mount::memory(temp.path("other"));
    NEEDS(other)
    temp.write("from/file", "the only copy");
    Jobs jobs(temp.path("state"));
    const Outlook outlook = value(prepare(*jobs.disk, move({temp.path("from/file")}, other.path)));
    DiesOncePlaced dies;
    CHECK_THROWS(carry_out(dies, *jobs.store, *outlook.plan, {}));
    REQUIRE(temp.read("other/file") == "the only copy");
    std::ofstream(temp.path("other/file")) << "somebody's words";  // the same inode
    const Recovered recovered = value(recover(*jobs.disk, *jobs.store));
    REQUIRE(recovered.completed.size() == 1);
    CHECK(temp.read("from/file") == "the only copy");
    CHECK(temp.read("other/file") == "somebody's words");
    CHECK(recovered.completed[0].totals.of(Outcome::undecided) == 1);
}

TEST_CASE("what a made folder cannot keep is said in its receipt, with the number of such items", "[fault]") {
    class Forgetful final : public ForwardingFileSystem {
        Result<std::vector<std::string>> set_attributes(const Handle& open,
                                                        const tavlo::Attributes& attributes) override {
            auto lost = disk->set_attributes(open, attributes);
            if (lost) lost->emplace_back("owner");
            return lost;
        }
    };
    TempFolder temp;
    write_files(temp, 3, 10);
    Jobs jobs(temp.path("state"));
    jobs.disk = std::make_unique<Forgetful>();
    const Ran ran = jobs.run(copy({temp.path("from/box")}, temp.path("to")));
    CHECK(ran.item(temp.path("to/box")).not_kept == "owner");
    const auto counted = value(jobs.store->not_kept(ran.head.id));
    REQUIRE(counted.size() == 1);
    CHECK(counted[0] == std::pair<std::string, std::uint64_t>("owner", 4));
}

TEST_CASE("calls that are interrupted or do a part of what was asked make no difference", "[fault][short]") {
#ifdef __SANITIZE_ADDRESS__
    WARN("skipped: the sanitizer's runtime must be the first to be loaded");
    return;
#endif
    TempFolder temp("/dev/shm");
    const Mount other = Mount::memory(temp.path("other"));
    NEEDS(other)
    write_files(temp, 12, 30'000);
    temp.write("from/box/large", std::string(3'000'000, 'L'));
    const Tree from = tree_of(temp.path("from"));
    ::setenv("LD_PRELOAD", SHORT_CALLS, 1);
    const int copied = run_tavloctl_for(TAVLOCTL, temp.path("state"),
                                        {"copy", temp.path("from/box"), "--into", temp.path("to")}, -1);
    const int moved = run_tavloctl_for(TAVLOCTL, temp.path("state"),
                                       {"move", temp.path("to/box"), "--into", other.path + "/to"}, -1);
    ::unsetenv("LD_PRELOAD");
    CHECK(copied == 0);
    CHECK(moved == 0);
    CHECK(tree_of(other.path + "/to") == from);
    CHECK_FALSE(temp.has("to/box"));
}
