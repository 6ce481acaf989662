// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <SQLiteCpp/SQLiteCpp.h>
#include <fcntl.h>
#include <sys/mman.h>
#include <sys/stat.h>
#include <sys/xattr.h>
#include <unistd.h>

#include <atomic>
#include <filesystem>
#include <fstream>
#include <mutex>

#include "files/own.h"
#include "recover/recover.h"
#include "run/safe_folder.h"
#include "support/catch.h"
#include "support/contents.h"
#include "support/every_call.h"
#include "support/kill_scene.h"
#include "support/mounts.h"
#include "support/temp_folder.h"
#include "support/tree.h"

// What the promises say where a disk, a clock or another program does not play by the rules.

using namespace tavlo;
namespace fs = std::filesystem;

namespace {

/// The nth call that changes names is carried out, and answers an error all the same: a reply that was lost.
class LostReply final : public ForwardingFileSystem {
public:
    LostReply(int nth, Error error) : nth_(nth), error_(std::move(error)) {}
    bool was_reached() const { return calls_ > nth_; }

    Result<void> take_free_name(Staged& s, const Handle& f, const std::string& n) override {
        return reply(disk->take_free_name(s, f, n));
    }
    Result<void> link_file(const Handle& a, const std::string& n, const Handle& b,
                           const std::string& m) override {
        return reply(disk->link_file(a, n, b, m));
    }
    Result<void> make_link(const Handle& f, const std::string& n, const std::string& p) override {
        return reply(disk->make_link(f, n, p));
    }
    Result<void> make_folder(const Handle& f, const std::string& n, std::uint32_t m) override {
        return reply(disk->make_folder(f, n, m));
    }
    Result<void> move_to_free_name(const Handle& a, const std::string& n, const Handle& b,
                                   const std::string& m) override {
        return reply(disk->move_to_free_name(a, n, b, m));
    }
    Result<void> exchange(const Handle& a, const std::string& n, const Handle& b,
                          const std::string& m) override {
        return reply(disk->exchange(a, n, b, m));
    }
    Result<void> remove_file(const Handle& f, const std::string& n) override {
        return reply(disk->remove_file(f, n));
    }
    Result<void> remove_empty_folder(const Handle& f, const std::string& n) override {
        return reply(disk->remove_empty_folder(f, n));
    }

private:
    Result<void> reply(Result<void> done) {
        return done && calls_++ == nth_ ? Result<void>(failure(error_)) : done;
    }
    int nth_;
    Error error_;
    std::atomic<int> calls_ = 0;
};

}  // namespace

TEST_CASE("a call that is carried out and answers an error loses nothing, and the receipt says what is there",
          "[fault][lost]") {
    const bool moves = GENERATE(false, true);
    const bool across = GENERATE(false, true);
    const bool undoing = GENERATE(false, true);
    const auto error =
        GENERATE(Error{Fault::io, EIO, "test", ""}, Error{Fault::name_taken, EEXIST, "test", ""},
                 Error{Fault::not_found, ENOENT, "test", ""});
    TempFolder temp("/dev/shm");
    const Mount one = Mount::memory(temp.path("one"));
    const Mount two = Mount::memory(temp.path("two"));
    NEEDS(one)
    NEEDS(two)
    const std::string to = (across ? two.path : one.path) + "/to";
    bool reached = true;
    for (int nth = 0; reached; ++nth) {
        CAPTURE(moves, across, undoing, error.code, nth);
        for (const auto& mount : {one.path, two.path})
            for (const auto& entry : fs::directory_iterator(mount)) fs::remove_all(entry.path());
        fs::remove_all(temp.path("state"));
        for (const char* name : {"box/new", "box/over", "box/sub/deep"})
            temp.write(std::string("one/from/") + name, std::string("in ") + name);
        temp.link("one/from/box/link", "new");
        const std::string below = across ? "two/to/" : "one/to/";
        temp.write(below + "box/over", "held, and longer");
        auto before = contents_of(one.path);
        before.merge(contents_of(two.path));
        const auto store = value(Store::open(temp.path("state")));
        const auto disk = make_disk();
        Job job = with(copy({one.path + "/from/box"}, to), Decision::overwrite);
        if (moves) job.operation = Operation::move;
        auto plan = value(prepare(*disk, job)).plan;
        if (undoing)
            plan = std::make_shared<const Plan>(
                value(prepare_undo(*disk, *store, value(carry_out(*disk, *store, *plan, {})).id)));
        LostReply losing(nth, error);
        const ReceiptHead head = value(carry_out(losing, *store, *plan, {}));
        reached = losing.was_reached();
        REQUIRE(recover(*disk, *store));
        auto after = contents_of(one.path);
        after.merge(contents_of(two.path));
        for (const auto& content : before) CHECK(after.contains(content));
        check_no_litter(temp.path());
        REQUIRE(store->each_item(head.id, [&](ReceiptItem&& item) {
            UNSCOPED_INFO(item.source << " -> " << item.place() << ": " << to_text(item.result) << " "
                                      << item.error);
            const bool there = fs::exists(fs::symlink_status(item.place()));
            const bool source = fs::exists(fs::symlink_status(item.source));
            if (arrives(item.result)) CHECK(there);
            if (item.result == Outcome::removed) CHECK_FALSE(there);
            if (!undoing && item.action == Action::move && item.type != FileType::folder &&
                arrives(item.result))
                CHECK_FALSE(source);
            if (item.action == Action::move && item.result == Outcome::failed)
                CHECK((source || there || !item.set_aside.empty()));
        }));
        // every version that is in the Safe is in its index
        std::set<std::string> indexed;
        for (const SafeEntry& entry : value(store->safe_entries())) indexed.insert(entry.stored);
        for (const auto& mount : {one.path, two.path})
            for (const auto& entry : fs::recursive_directory_iterator(mount))
                if (entry.is_regular_file() &&
                    entry.path().string().find(safe_folder_name()) != std::string::npos)
                    CHECK(indexed.contains(entry.path().string()));
    }
}

TEST_CASE("recovery makes copies durable before their sources go, on every disk that they lie on",
          "[fault][durable]") {
    class DiesBeforeSourcesGo final : public ForwardingFileSystem {
        Result<void> move_to_free_name(const Handle& a, const std::string& n, const Handle& b,
                                       const std::string& m) override {
            if (hidden_name(m) == HiddenName::leaving) throw std::runtime_error("the process ends here");
            return disk->move_to_free_name(a, n, b, m);
        }
    };
    class Watching final : public ForwardingFileSystem {
    public:
        std::set<std::uint64_t> synced;
        std::uint64_t copies_on = 0;
        bool removed_too_early = false;
        Result<void> sync_volume(const Handle& f) override {
            auto done = disk->sync_volume(f);
            synced.insert(value(disk->status(f)).id.device);
            return done;
        }
        Result<void> remove_file(const Handle& f, const std::string& n) override {
            removed_too_early |= !synced.contains(copies_on);
            return disk->remove_file(f, n);
        }
    };
    TempFolder temp("/dev/shm");
    const Mount other = Mount::memory(temp.path("other"));
    NEEDS(other)
    for (int i = 0; i < 20; ++i)
        temp.write("from/box/" + std::to_string(i), "the only copy " + std::to_string(i));
    Jobs jobs(temp.path("state"));
    const Outlook outlook = value(prepare(*jobs.disk, move({temp.path("from/box")}, other.path)));
    DiesBeforeSourcesGo dies;
    CHECK_THROWS(carry_out(dies, *jobs.store, *outlook.plan, {}));
    Watching watching;
    watching.copies_on =
        value(watching.disk->status(value(watching.disk->open_folder(other.path)))).id.device;
    const Recovered recovered = value(recover(watching, *jobs.store));
    REQUIRE(recovered.completed.size() == 1);
    CHECK(recovered.completed[0].totals.of(Outcome::created) == 21);
    CHECK_FALSE(watching.removed_too_early);
    CHECK(temp.read("other/box/7") == "the only copy 7");
    CHECK_FALSE(temp.has("from/box"));
}

TEST_CASE("a move between file systems takes room for one group of files, not for two", "[fault][groups]") {
    /// Counts what was staged and still has its source.
    class Counting final : public ForwardingFileSystem {
    public:
        int at_once = 0;
        int most_at_once = 0;
        std::mutex mutex;
        Result<Staged> stage(const Handle& f, const std::string& n, std::uint32_t m) override {
            const std::lock_guard lock(mutex);
            most_at_once = std::max(most_at_once, ++at_once);
            return disk->stage(f, n, m);
        }
        Result<void> remove_file(const Handle& f, const std::string& n) override {
            const std::lock_guard lock(mutex);
            --at_once;
            return disk->remove_file(f, n);
        }
    };
    TempFolder temp("/dev/shm");
    const Mount other = Mount::memory(temp.path("other"));
    NEEDS(other)
    for (int i = 0; i < 100; ++i) temp.write("from/box/" + std::to_string(i), std::to_string(i));
    Jobs jobs(temp.path("state"));
    const Outlook outlook = value(prepare(*jobs.disk, move({temp.path("from/box")}, other.path)));
    Counting counting;
    RunOptions options;
    options.group_files = 10;
    const auto head = value(carry_out(counting, *jobs.store, *outlook.plan, options));
    CHECK(head.totals.of(Outcome::created) == 101);
    CHECK(counting.most_at_once == 10);
    CHECK(counting.at_once == 0);
}

TEST_CASE("a source that says it holds nothing, and holds something, does not arrive empty", "[fault]") {
    TempFolder temp("/dev/shm");
    Jobs jobs(temp.path("state"));
    const Ran ran = jobs.run(copy({"/proc/version"}, temp.path("to")));  // says 0 bytes
    CHECK(ran.items[0].result == Outcome::failed);
    CHECK(ran.items[0].error.find("longer than it says") != std::string::npos);
    CHECK_FALSE(temp.has("to/version"));
}

TEST_CASE(
    "a file that somebody has open for writing does not leave, and one mapped so is copied whole or not at "
    "all",
    "[fault][writer]") {
    TempFolder temp;  // on a real disk: memory does not date what is written through a mapping
    const Mount other = Mount::memory(temp.path("other"));
    NEEDS(other)
    temp.write("from/log", std::string(200'000, 'a'));
    Jobs jobs(temp.path("state"));
    const int writer = ::open(temp.path("from/log").c_str(), O_RDWR | O_CLOEXEC);
    REQUIRE(writer >= 0);
    const Ran moved = jobs.run(move({temp.path("from/log")}, other.path));
    CHECK(moved.items[0].result == Outcome::failed);
    CHECK(moved.items[0].error.find("open for writing") != std::string::npos);
    CHECK(temp.read("from/log").size() == 200'000);
    CHECK_FALSE(temp.has("other/log"));

    auto* bytes = static_cast<char*>(::mmap(nullptr, 200'000, PROT_READ | PROT_WRITE, MAP_SHARED, writer, 0));
    REQUIRE(bytes != MAP_FAILED);
    ::close(writer);
    bytes[0] = 'b';  // dirty before the copy begins: writing more moves no date by itself
    class WritesWhileRead final : public ForwardingFileSystem {
    public:
        char* bytes = nullptr;
        Result<std::size_t> read_at(const Handle& f, std::uint64_t o, std::span<std::byte> into) override {
            auto got = disk->read_at(f, o, into);
            if (o == 0 && into.size() > 1) bytes[0] = ++last, bytes[199'999] = last;
            return got;
        }
        char last = 'c';
    };
    WritesWhileRead writes;
    writes.bytes = bytes;
    const Outlook outlook = value(prepare(*jobs.disk, copy({temp.path("from/log")}, temp.path("to"))));
    RunOptions options;
    options.verify = Verify::read_back;  // so that the bytes pass through memory
    const auto head = value(carry_out(writes, *jobs.store, *outlook.plan, options));
    if (head.totals.of(Outcome::created) == 1) {
        const std::string copied = temp.read("to/log");
        CHECK(copied.front() == copied.back());
    }
    ::munmap(bytes, 200'000);
    CHECK(jobs.run(move({temp.path("from/log")}, other.path)).items[0].result == Outcome::created);
}

TEST_CASE("two writes within one tick of a coarse clock: what arrives is what the source holds",
          "[fault][writer]") {
    /// Dates by whole 20 ms, as clocks of some do, and is written in once more just after it was read.
    class Coarse final : public ForwardingFileSystem {
    public:
        std::string path;
        bool written = false;
        static tavlo::Status rounded(tavlo::Status status) {
            constexpr std::int64_t step = 20'000'000;
            status.id.modified_ns -= status.id.modified_ns % step;
            status.status_changed_ns -= status.status_changed_ns % step;
            return status;
        }
        Result<tavlo::OpenedFile> open_file(const Handle& f, const std::string& n) override {
            auto opened = disk->open_file(f, n);
            if (opened) opened->status = rounded(opened->status);
            return opened;
        }
        Result<tavlo::Status> status(const Handle& o) override {
            auto found = disk->status(o);
            return found ? Result<tavlo::Status>(rounded(*found)) : found;
        }
        Result<tavlo::Status> status(const Handle& f, const std::string& n) override {
            auto found = disk->status(f, n);
            return found ? Result<tavlo::Status>(rounded(*found)) : found;
        }
        Result<tavlo::Volume> volume(const Handle& f) override {
            auto found = disk->volume(f);
            if (found) found->time_step_ns = 20'000'000;
            return found;
        }
        Result<std::size_t> read_at(const Handle& f, std::uint64_t o, std::span<std::byte> into) override {
            auto got = disk->read_at(f, o, into);
            if (o == 0 && into.size() > 1 && !std::exchange(written, true)) {
                const int fd = ::open(path.c_str(), O_WRONLY | O_CLOEXEC);
                CHECK(::pwrite(fd, "second", 6, 0) == 6);
                ::close(fd);
            }
            return got;
        }
    };
    for (int turn = 0; turn < 5; ++turn) {
        TempFolder temp("/dev/shm");
        Jobs jobs(temp.path("state"));
        auto coarse = std::make_unique<Coarse>();
        coarse->path = temp.write("from/a", "first ");
        jobs.disk = std::move(coarse);
        const Ran ran = jobs.run(copy({temp.path("from/a")}, temp.path("to")));
        if (ran.items[0].result == Outcome::created) CHECK(temp.read("to/a") == "second");
    }
}

TEST_CASE("a state that another program keeps locked makes a run wait, not end", "[fault][locked]") {
    TempFolder temp("/dev/shm");
    temp.write("from/box/a", "a");
    const auto disk = make_disk();
    const auto store =
        value(Store::open(temp.path("state"), Timekeeper::system(), std::chrono::milliseconds(1)));
    const auto plan = value(prepare(*disk, copy({temp.path("from/box")}, temp.path("to")))).plan;
    SQLite::Database other(temp.path("state/tavlo.sqlite"), SQLite::OPEN_READWRITE);
    RunEvents events;
    int waited = 0;
    events.begun = [&](const ReceiptHead&) { other.exec("begin immediate"); };
    events.waits = [&](const Error& why) {
        CHECK(why.fault == Fault::locked);
        if (++waited == 3) other.exec("rollback");
    };
    const auto head = value(carry_out(*disk, *store, *plan, {}, events));
    CHECK(waited == 3);
    CHECK(head.totals.of(Outcome::created) == 2);
    CHECK(head.state == RunState::done);
}

TEST_CASE("what only looks like Tavlo's own is somebody's, and comes along", "[fault][own]") {
    TempFolder temp("/dev/shm");
    const std::vector<std::string> theirs{safe_folder_name() + "/letter", ".tavlo-safe-notes/a",
                                          ".tavlo-part-notes", ".tavlo-part-1-1"};
    for (const auto& name : theirs) temp.write("from/box/" + name, "theirs");
    temp.write("from/box/.tavlo-safe-7/20310502-091407-k3f9/slot/version", "ours");
    temp.write("from/box/" + part_name("20310502-091407-k3f9", 7), "ours");
    Jobs jobs(temp.path("state"));
    jobs.run(copy({temp.path("from/box")}, temp.path("to")));
    for (const auto& name : theirs) CHECK(temp.read("to/box/" + name) == "theirs");
    CHECK_FALSE(temp.has("to/box/.tavlo-safe-7"));
    CHECK_FALSE(temp.has("to/box/" + part_name("20310502-091407-k3f9", 7)));
}
