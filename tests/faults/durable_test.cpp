// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <sys/stat.h>

#include <atomic>
#include <filesystem>
#include <set>

#include "support/catch.h"
#include "support/jobs.h"
#include "support/mounts.h"
#include "support/temp_folder.h"
#include "undo/take_back.h"

// Nothing is said to be done that a power cut could take back.

using namespace tavlo;
namespace fs = std::filesystem;

namespace {

/// Knows which places were there when the last sync that has ended began.
class WatchingSyncs final : public ForwardingFileSystem {
public:
    std::string top;
    std::string state;
    std::set<std::uint64_t> synced;
    std::set<std::string> durable;
    std::string untrue;
    Result<void> sync_volume(const Handle& f) override {
        std::set<std::string> there;
        for (const auto& entry : fs::recursive_directory_iterator(top)) there.insert(entry.path().string());
        look();
        auto done = disk->sync_volume(f);
        look();
        const auto device = value(disk->status(f)).id.device;
        synced.insert(device);
        for (const auto& path : there) {
            struct stat status {};
            if (::lstat(path.c_str(), &status) == 0 && status.st_dev == device) durable.insert(path);
        }
        return done;
    }
    void look() {
        const auto store = Store::open(state);
        if (!store) return;
        for (const ReceiptHead& head : value((*store)->receipts()))
            if (!(*store)->each_item(head.id, [&](ReceiptItem&& item) {
                    if (arrives(item.result) && !durable.contains(item.place())) untrue = item.place();
                }))
                untrue = "unreadable";
    }
};

}  // namespace

TEST_CASE("the journal says done only of what was durable before, and every disk of a run is synced",
          "[fault][durable]") {
    TempFolder temp("/dev/shm");
    const Mount one = Mount::memory(temp.path("to"));
    NEEDS(one)
    const Mount below = Mount::memory(temp.path("to/box/nested"));
    NEEDS(below)
    for (int i = 0; i < 1400; ++i) temp.write("from/box/" + std::to_string(i), std::to_string(i));
    for (int i = 0; i < 40; ++i) temp.write("from/box/nested/" + std::to_string(i), std::to_string(i));
    Jobs jobs(temp.path("state"));
    const Outlook outlook = value(prepare(*jobs.disk, copy({temp.path("from/box")}, one.path)));
    WatchingSyncs watching;
    watching.top = temp.path("to");
    watching.state = temp.path("state");
    RunOptions options;
    options.group_files = 200;  // several are on their way at a time
    const auto head = value(carry_out(watching, *jobs.store, *outlook.plan, options));
    CHECK(head.totals.of(Outcome::created) == 1440);
    CHECK(watching.untrue == "");
    CHECK(watching.synced.size() == 2);
    // and so in taking it back
    watching.synced.clear();
    const Plan undo = value(prepare_undo(*jobs.disk, *jobs.store, head.id));
    CHECK(value(carry_out(watching, *jobs.store, undo, options)).totals.of(Outcome::removed) == 1440);
    CHECK(watching.synced.size() == 2);
}

TEST_CASE("what is the same already is not noted together with names that are not durable yet",
          "[fault][durable]") {
    TempFolder temp("/dev/shm");
    for (int i = 0; i < 20; ++i) temp.write("from/box/a/" + std::to_string(i), "new");
    for (int i = 0; i < 9000; ++i)  // more than are kept before they are written
        for (const char* place : {"from/box/b/", "to/box/b/"}) temp.write(place + std::to_string(i), "s");
    Jobs jobs(temp.path("state"));
    Job job = copy({temp.path("from/box")}, temp.path("to"));
    job.policy.when[static_cast<std::size_t>(Finding::same)] = Decision::skip;
    const Outlook outlook = value(prepare(*jobs.disk, job));
    WatchingSyncs watching;
    watching.top = temp.path("to");
    watching.state = temp.path("state");
    RunOptions options;
    options.group_files = 20;
    const auto head = value(carry_out(watching, *jobs.store, *outlook.plan, options));
    CHECK(head.totals.of(Outcome::skipped) == 9000);
    CHECK(head.totals.of(Outcome::created) == 21);
    CHECK(watching.untrue == "");
}

TEST_CASE(
    "names that a sync in the middle of a run should have made durable, and did not, are not said to be done",
    "[fault][durable]") {
    class FailsFromSecond final : public ForwardingFileSystem {
    public:
        std::atomic<int> synced = 0;
        Result<void> sync_volume(const Handle& f) override {
            return ++synced > 1 ? Result<void>(failure(error)) : disk->sync_volume(f);
        }
        Result<void> sync(const Handle& o) override {
            return synced > 1 ? Result<void>(failure(error)) : disk->sync(o);
        }
        Error error{Fault::io, EIO, "make durable", "disk"};
    };
    TempFolder temp("/dev/shm");
    constexpr int in_a_group = 20;
    for (int i = 0; i < 3 * in_a_group; ++i) temp.write("from/box/" + std::to_string(i), std::to_string(i));
    Jobs jobs(temp.path("state"));
    const Outlook outlook = value(prepare(*jobs.disk, copy({temp.path("from/box")}, temp.path("to"))));
    FailsFromSecond fails;
    RunOptions options;
    options.group_files = in_a_group;
    const auto head = value(carry_out(fails, *jobs.store, *outlook.plan, options));
    CHECK(head.totals.of(Outcome::created) == 1);  // the folder, whose name the first sync was about
    CHECK(head.totals.of(Outcome::failed) == 3 * in_a_group);
    CHECK(head.problem.find("may not have reached the disk") != std::string::npos);
}

TEST_CASE("a last sync that fails is the result of the run", "[fault][durable]") {
    class FailsLast final : public ForwardingFileSystem {
    public:
        bool failing = false;
        Result<void> take_free_name(Staged& s, const Handle& f, const std::string& n) override {
            failing = true;
            return disk->take_free_name(s, f, n);
        }
        Result<void> sync_volume(const Handle& f) override {
            return failing ? Result<void>(failure(error)) : disk->sync_volume(f);
        }
        Result<void> sync(const Handle& o) override {
            return failing ? Result<void>(failure(error)) : disk->sync(o);
        }
        Error error{Fault::io, EIO, "make durable", "disk"};
    };
    TempFolder temp("/dev/shm");
    temp.write("from/a", "a");
    Jobs jobs(temp.path("state"));
    const Outlook outlook = value(prepare(*jobs.disk, copy({temp.path("from/a")}, temp.path("to"))));
    FailsLast fails;
    const auto head = value(carry_out(fails, *jobs.store, *outlook.plan, {}));
    CHECK(head.totals.of(Outcome::failed) == 1);
    CHECK(head.problem.find("may not have reached the disk") != std::string::npos);
    CHECK(value(jobs.store->receipt(head.id)).problem == head.problem);
}
