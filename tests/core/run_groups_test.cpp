// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <fcntl.h>
#include <sys/resource.h>
#include <sys/stat.h>

#include <algorithm>
#include <atomic>
#include <cerrno>
#include <chrono>
#include <condition_variable>
#include <functional>
#include <mutex>
#include <thread>
#include <utility>

#include "files/forwarding.h"
#include "recover/recover.h"
#include "support/catch.h"
#include "support/few_handles.h"
#include "support/jobs.h"
#include "support/temp_folder.h"
#include "support/tree.h"

using namespace tavlo;

// Files become durable in groups. While one does, the next is read and written; nothing of either has a name.

namespace {

constexpr int in_a_group = 16;

/// Counts what one thread does, for another that waits for so much of it.
class Count {
public:
    void one_more() {
        {
            const std::lock_guard lock(mutex_);
            ++count_;
        }
        more_.notify_all();
    }
    /// returns  how much there is by then; fewer: it is tired of waiting
    int wait_for(int wanted, std::chrono::seconds at_most = std::chrono::seconds(20)) {
        std::unique_lock lock(mutex_);
        more_.wait_for(lock, at_most, [&] { return count_ >= wanted; });
        return count_;
    }

private:
    std::mutex mutex_;
    std::condition_variable more_;
    int count_ = 0;
};

/// Its first sync of a volume ends once so many files were staged, or when it is tired of waiting.
class SlowSync final : public ForwardingFileSystem {
public:
    explicit SlowSync(int until) : until_(until) {}
    std::atomic<int> named = 0;
    int staged_by_then = 0;
    int named_by_then = 0;

    Result<Staged> stage(const Handle& folder, const std::string& part, std::uint32_t mode) override {
        auto staged = disk->stage(folder, part, mode);
        staged_.one_more();
        return staged;
    }
    Result<void> sync_volume(const Handle& folder) override {
        if (!was_called_.exchange(true)) {
            staged_by_then = staged_.wait_for(until_, std::chrono::seconds(until_ > in_a_group ? 60 : 0));
            named_by_then = named;
        }
        return disk->sync_volume(folder);
    }
    Result<void> take_free_name(Staged& staged, const Handle& folder, const std::string& name) override {
        ++named;
        return disk->take_free_name(staged, folder, name);
    }

private:
    const int until_;
    Count staged_;
    std::atomic<bool> was_called_ = false;
};

/// Its first sync ends once the run's own thread has staged a file meanwhile, or when it is tired of waiting.
class WaitsForOwn final : public ForwardingFileSystem {
public:
    std::atomic<bool> own_has_staged = false;

    Result<Staged> stage(const Handle& folder, const std::string& part, std::uint32_t mode) override {
        if (syncs_ && std::this_thread::get_id() == own_) {
            own_has_staged = true;
            by_own_.one_more();
        } else if (syncs_) {  // and leaves it something to do
            wait();
        }
        return disk->stage(folder, part, mode);
    }
    Result<void> sync_volume(const Handle& folder) override {
        syncs_ = true;
        wait();
        return disk->sync_volume(folder);
    }

private:
    void wait() {
        if (!tired_) tired_ = by_own_.wait_for(1) == 0;
    }
    const std::thread::id own_ = std::this_thread::get_id();
    Count by_own_;
    std::atomic<bool> syncs_ = false;
    std::atomic<bool> tired_ = false;
};

/// Its first rename happens once so many looks were taken at things in a folder, or when it is tired of waiting.
class LooksFirst final : public ForwardingFileSystem {
public:
    explicit LooksFirst(int looks) : wanted_(looks) {}
    int looks_by_then = 0;

    using ForwardingFileSystem::status;
    Result<Status> status(const Handle& folder, const std::string& name) override {
        if (name != "box") looks_.one_more();
        return disk->status(folder, name);
    }
    Result<void> move_to_free_name(const Handle& from, const std::string& name, const Handle& to,
                                   const std::string& new_name) override {
        if (!has_renamed_.exchange(true)) looks_by_then = looks_.wait_for(wanted_);
        return disk->move_to_free_name(from, name, to, new_name);
    }

private:
    const int wanted_;
    Count looks_;
    std::atomic<bool> has_renamed_ = false;
};

/// Counts what has its new name, and of how much of that a sync has begun and ended since.
class CountsDurable final : public ForwardingFileSystem {
public:
    std::function<void(int named, int durable)> now_and_then;

    Result<void> move_to_free_name(const Handle& from, const std::string& name, const Handle& to,
                                   const std::string& new_name) override {
        if (named_ % 1000 == 999) now_and_then(named_, durable_);
        ++named_;
        return disk->move_to_free_name(from, name, to, new_name);
    }
    Result<void> sync_volume(const Handle& folder) override {
        const int by_now = named_;
        auto synced = disk->sync_volume(folder);
        durable_ = by_now;
        return synced;
    }

private:
    std::atomic<int> named_ = 0;
    std::atomic<int> durable_ = 0;
};

/// As on a file system without nameless files: what is staged has a hidden name, and holds its folder.
class PartFiles final : public ForwardingFileSystem {
public:
    Result<Staged> stage(const Handle& folder, const std::string& part, std::uint32_t) override {
        Handle file(::openat(folder.descriptor(), part.c_str(), O_RDWR | O_CREAT | O_EXCL | O_CLOEXEC, 0600),
                    folder.path() + "/" + part);
        if (!file.is_open()) return failure(system_error(errno, "create", file.path()));
        Handle in = folder.duplicate();
        if (!in.is_open()) return failure(system_error(errno, "open", folder.path()));
        return Staged(std::move(file), std::move(in), part);
    }
};

struct Copied {
    explicit Copied(TempFolder& temp) : jobs(temp.path("state")) {
        for (int i = 0; i < 5 * in_a_group; ++i)
            temp.write("from/box/" + std::to_string(i), "file " + std::to_string(i));
        plan = value(prepare(*jobs.disk, copy({temp.path("from/box")}, temp.path("to")))).plan;
    }
    Jobs jobs;
    std::shared_ptr<const Plan> plan;
};

}  // namespace

TEST_CASE("while a group becomes durable the next one is read and written, and neither has a name",
          "[run][groups]") {
    TempFolder temp;
    Copied copied(temp);
    SlowSync disk(2 * in_a_group);
    RunOptions options;
    options.group_files = in_a_group;
    options.threads = 2;
    const auto head = value(carry_out(disk, *copied.jobs.store, *copied.plan, options));
    CHECK(disk.staged_by_then >= 2 * in_a_group);
    CHECK(disk.named_by_then == 0);
    CHECK(head.totals.of(Outcome::created) == 5 * in_a_group + 1);
    CHECK(tree_of(temp.path("to")) == tree_of(temp.path("from")));
}

TEST_CASE("the run's own thread reads and writes too while it waits for a group to become durable",
          "[run][groups]") {
    TempFolder temp;
    Copied copied(temp);
    WaitsForOwn disk;
    RunOptions options;
    options.group_files = in_a_group;
    options.threads = 2;
    const auto head = value(carry_out(disk, *copied.jobs.store, *copied.plan, options));
    CHECK(disk.own_has_staged);
    CHECK(head.totals.of(Outcome::created) == 5 * in_a_group + 1);
}

TEST_CASE("a run of one thread does one thing after the other", "[run][groups]") {
    TempFolder temp;
    Copied copied(temp);
    SlowSync disk(in_a_group);
    RunOptions options;
    options.group_files = in_a_group;
    options.threads = 1;
    const auto head = value(carry_out(disk, *copied.jobs.store, *copied.plan, options));
    CHECK(disk.named_by_then == 0);
    CHECK(head.totals.of(Outcome::created) == 5 * in_a_group + 1);
    CHECK(tree_of(temp.path("to")) == tree_of(temp.path("from")));
}

TEST_CASE("what is to be renamed is looked at before the group before it has its names", "[run][groups]") {
    TempFolder temp;
    Copied copied(temp);
    temp.folder("to/box");  // so that it is not renamed whole
    const Tree before = tree_of(temp.path("from"), {.folder_times = false});
    const auto plan = value(prepare(*copied.jobs.disk, move({temp.path("from/box")}, temp.path("to")))).plan;
    LooksFirst disk(2 * in_a_group);
    RunOptions options;
    options.group_files = in_a_group;
    options.threads = 2;
    const auto head = value(carry_out(disk, *copied.jobs.store, *plan, options));
    CHECK(disk.looks_by_then == 2 * in_a_group);
    CHECK(head.totals.of(Outcome::created) == 5 * in_a_group);
    CHECK(tree_of(temp.path("to"), {.folder_times = false}) == before);
}

TEST_CASE("of very many renames none is recorded before its name is durable, and not all wait for the end",
          "[run][groups]") {
    constexpr int many = 20'000;
    TempFolder temp;
    Jobs jobs(temp.path("state"));
    temp.folder("to/box");
    const Handle box = value(jobs.disk->open_folder(temp.folder("from/box")));
    for (int i = 0; i < many; ++i)
        REQUIRE(::mknodat(box.descriptor(), std::to_string(i).c_str(), S_IFREG | 0644, 0) == 0);
    const auto plan = value(prepare(*jobs.disk, move({temp.path("from/box")}, temp.path("to")))).plan;
    std::string id;
    RunEvents events;
    events.begun = [&](const ReceiptHead& head) { id = head.id; };
    CountsDurable disk;
    int most_recorded = 0;
    disk.now_and_then = [&](int named, int durable) {
        int recorded = 0;  // by another program's eyes
        const auto store = value(Store::open(temp.path("state")));
        REQUIRE(
            store->each_item(id, [&](ReceiptItem&& item) { recorded += item.result == Outcome::created; }));
        CAPTURE(named, durable, recorded);
        CHECK(recorded <= durable);
        most_recorded = std::max(most_recorded, recorded);
    };
    const auto head = value(carry_out(disk, *jobs.store, *plan, {}, events));
    CHECK(head.totals.of(Outcome::created) == many);
    CHECK(most_recorded > 0);
}

TEST_CASE("where few handles may be open a group is small, so that three of them leave enough for the rest",
          "[run][groups]") {
    constexpr int few = 64;
    constexpr int of_others = 24;  // the journal's, folders', those of what is just read, the program's own
    TempFolder temp;
    Copied copied(temp);
    const FewHandles limit(few);
    RunOptions options;
    SECTION("each file holds two where there are no nameless ones") {
        SlowSync disk(0);
        options.threads = 1;
        const auto head = value(carry_out(disk, *copied.jobs.store, *copied.plan, options));
        const int in_group = disk.staged_by_then / 2;  // one thread asks for a sync with the next one staged
        CHECK(in_group > 1);
        CHECK(3 * 2 * in_group + of_others <= few);
        CHECK(head.totals.of(Outcome::created) == 5 * in_a_group + 1);
    }
    SECTION("and nothing fails for want of one") {
        PartFiles disk;
        options.threads = 4;
        const auto head = value(carry_out(disk, *copied.jobs.store, *copied.plan, options));
        CHECK(head.totals.of(Outcome::created) == 5 * in_a_group + 1);
        CHECK(tree_of(temp.path("to")) == tree_of(temp.path("from")));
    }
}

TEST_CASE(
    "what stands in the journal for a group is there before any of it has its name, and gone at the end",
    "[run][groups]") {
    TempFolder temp;
    Copied copied(temp);
    RunOptions options;
    options.group_files = in_a_group;
    options.threads = 2;
    std::string id;
    RunEvents events;
    int seen = 0;
    events.begun = [&](const ReceiptHead& head) { id = head.id; };
    events.item = [&](ItemId, const ReceiptItem& item) {
        if (item.type != FileType::file || ++seen % in_a_group != 1) return;
        // by another program's eyes: intentions of what has its name, and of its whole group
        const auto store = value(Store::open(temp.path("state")));
        const auto noted = value(store->intents(id));
        CHECK(noted.size() >= static_cast<std::size_t>(in_a_group));
        CHECK(std::any_of(noted.begin(), noted.end(),
                          [&](const Intent& intent) { return intent.fresh.could_be(item.after); }));
    };
    const auto head = value(carry_out(*copied.jobs.disk, *copied.jobs.store, *copied.plan, options, events));
    CHECK(seen == 5 * in_a_group);
    CHECK(value(copied.jobs.store->intents(head.id)).empty());
}

TEST_CASE(
    "a wish to stop is heard between two names of a group, and the rest is gone on with and undone whole",
    "[run][groups]") {
    TempFolder temp;
    for (int i = 0; i < 60; ++i) {
        temp.write("from/box/" + std::to_string(i), "file " + std::to_string(i));
        if (i % 3 == 0) temp.write("to/box/" + std::to_string(i), "there before " + std::to_string(i));
    }
    const Tree before = tree_of(temp.path("to"), {.folder_times = false});
    const bool moves = GENERATE(false, true);
    Jobs jobs(temp.path("state"));
    Job job = moves ? move({temp.path("from/box")}, temp.path("to"))
                    : copy({temp.path("from/box")}, temp.path("to"));
    job.policy.otherwise = Decision::overwrite;
    const auto plan = value(prepare(*jobs.disk, job)).plan;
    std::stop_source stop;
    RunOptions options;
    options.stop = stop.get_token();
    RunEvents events;
    int settled = 0;
    events.item = [&](ItemId, const ReceiptItem&) {
        if (++settled == 20) stop.request_stop();
    };
    const auto stopped = value(carry_out(*jobs.disk, *jobs.store, *plan, options, events));
    CHECK(stopped.state == RunState::stopped);
    CHECK(settled == 20);
    CHECK(stopped.totals.of(Outcome::planned) == 41);
    const auto done = value(resume(*jobs.disk, *jobs.store, stopped.id, {}));
    CHECK(done.state == RunState::done);
    CHECK(done.totals.of(Outcome::created) == 40);
    CHECK(done.totals.of(Outcome::overwritten) == 20);
    for (int i = 0; i < 60; ++i)
        CHECK(temp.read("to/box/" + std::to_string(i)) == "file " + std::to_string(i));
    CHECK(temp.has("from/box") == !moves);
    CHECK(jobs.undo(done.id).of(Outcome::failed) == 0);
    CHECK(tree_of(temp.path("to"), {.folder_times = false}) == before);
}
