// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <fcntl.h>
#include <sys/stat.h>
#include <unistd.h>

#include <filesystem>
#include <fstream>
#include <functional>
#include <optional>

#include "files/own.h"
#include "files/path.h"
#include "recover/recover.h"
#include "run/safe_folder.h"
#include "support/catch.h"
#include "support/contents.h"
#include "support/every_call.h"
#include "support/kill_scene.h"
#include "support/mounts.h"
#include "support/temp_folder.h"
#include "support/tree.h"

// The Safe where somebody, or a mount, is in the way; and whatever lies in it is found.

using namespace tavlo;
namespace fs = std::filesystem;

namespace {

/// A file on a volume of its own that was overwritten, and lies in the Safe there.
struct Replaced {
    Replaced() {
        if (!volume.mounted) return;
        temp.write("from/a", "incoming");
        temp.write("volume/to/a", "held, and longer");
        jobs.emplace(temp.path("state"));
        ran = jobs->run(with(copy({temp.path("from/a")}, volume.path + "/to"), Decision::overwrite));
        kept = value(jobs->store->safe_entry(ran.items[0].set_aside));
    }
    TempFolder temp{"/dev/shm"};
    Mount volume = Mount::memory(temp.path("volume"));
    mutable std::optional<Jobs> jobs;
    Ran ran;
    SafeEntry kept;
};

}  // namespace

TEST_CASE("what is mounted inside something that leaves stays, and emptying the Safe does not cross a mount",
          "[fault][mount]") {
    TempFolder temp("/dev/shm");
    const Mount volume = Mount::memory(temp.path("volume"));
    NEEDS(volume)
    temp.write("volume/to/old/deep/file", "old");
    temp.write("volume/to/plain/file", "plain");
    temp.write("from/new", "new");
    Jobs jobs(temp.path("state"));
    Job job = copy({temp.path("from/new")}, volume.path + "/to");
    job.clearing = Clearing::all;
    SECTION("one that is there when it is planned") {
        const Mount inside = Mount::memory(volume.path + "/to/old/deep/mounted");
        NEEDS(inside)
        temp.write("volume/to/old/deep/mounted/theirs", "theirs");
        const Ran ran = jobs.run(job);
        CHECK(ran.item(volume.path + "/to/old").result == Outcome::failed);
        CHECK(ran.item(volume.path + "/to/plain").result == Outcome::removed);
        CHECK(temp.read("volume/to/old/deep/mounted/theirs") == "theirs");
    }
    SECTION("one that comes between the plan and the run") {
        const Outlook outlook = value(prepare(*jobs.disk, job));
        const Mount inside = Mount::memory(volume.path + "/to/old/deep/mounted");
        NEEDS(inside)
        temp.write("volume/to/old/deep/mounted/theirs", "theirs");
        CHECK(jobs.carry_out(*outlook.plan).item(volume.path + "/to/old").result == Outcome::failed);
        CHECK(temp.read("volume/to/old/deep/mounted/theirs") == "theirs");
    }
    SECTION("one that comes once it lies in the Safe") {
        const Ran ran = jobs.run(job);
        const SafeEntry kept = value(jobs.store->safe_entry(ran.item(volume.path + "/to/old").set_aside));
        const std::string at = kept.stored + "/deep/mounted";
        const bool another_device = GENERATE(false, true);
        temp.write("elsewhere/theirs", "theirs");
        {
            const Mount inside = another_device ? Mount::memory(at) : Mount::bind(volume.path + "/to", at);
            NEEDS(inside)
            const Emptied emptied = value(empty_safe(*jobs.disk, *jobs.store));
            REQUIRE(emptied.problems.size() == 1);
            CHECK(emptied.problems[0].path == at);
            CHECK(emptied.removed.size() == 1);  // the other one
            CHECK(temp.read("volume/to/new") == "new");
        }
        CHECK(value(empty_safe(*jobs.disk, *jobs.store)).removed.size() == 1);
        CHECK_FALSE(fs::exists(kept.stored));
    }
}

TEST_CASE(
    "a Safe that somebody put a link in the place of is neither emptied, nor restored from, nor undone with",
    "[fault][safe]") {
    const Replaced replaced;
    NEEDS(replaced.volume)
    const TempFolder& temp = replaced.temp;
    Jobs& jobs = *replaced.jobs;
    const Ran& ran = replaced.ran;
    const SafeEntry& kept = replaced.kept;
    const fs::path slot = fs::path(kept.stored).parent_path();
    const int level = GENERATE(0, 1, 2);  // the slot, the run's shelf, the Safe itself
    CAPTURE(level);
    fs::path swapped = slot;
    for (int i = 0; i < level; ++i) swapped = swapped.parent_path();
    const fs::path below = kept.stored.substr(swapped.string().size() + 1);
    fs::create_directories((fs::path(temp.path("theirs")) / below).parent_path());
    std::ofstream(fs::path(temp.path("theirs")) / below) << "held, and longer";
    fs::rename(swapped, swapped.string() + " away");
    fs::create_symlink(temp.path("theirs"), swapped);
    CHECK(value(empty_safe(*jobs.disk, *jobs.store)).removed.empty());
    CHECK_FALSE(prepare_restore(*jobs.disk, *jobs.store, kept.id, temp.path("elsewhere")));
    const Ran undone = jobs.undo(ran.head.id);
    CHECK(undone.of(Outcome::restored) == 0);
    CHECK(fs::exists(fs::path(temp.path("theirs")) / below));
    CHECK(temp.read("volume/to/a") == "incoming");
    fs::remove(swapped);
    fs::rename(swapped.string() + " away", swapped);
    CHECK(value(empty_safe(*jobs.disk, *jobs.store)).removed.size() == 1);
}

TEST_CASE("restoring looks at what lies there before it trusts the index", "[fault][safe]") {
    const Replaced replaced;
    NEEDS(replaced.volume)
    const TempFolder& temp = replaced.temp;
    Jobs& jobs = *replaced.jobs;
    const Ran& ran = replaced.ran;
    const SafeEntry& kept = replaced.kept;
    fs::rename(kept.stored, kept.stored + ".kept");
    std::ofstream(kept.stored) << "another file's";
    const auto restored = prepare_restore(*jobs.disk, *jobs.store, kept.id, temp.path("elsewhere"));
    REQUIRE_FALSE(restored);
    CHECK(restored.error().fault == Fault::changed_meanwhile);
    CHECK(jobs.undo(ran.head.id).of(Outcome::failed) == 1);
    CHECK(temp.read("volume/to/a") == "incoming");
    fs::rename(kept.stored + ".kept", kept.stored);
}

TEST_CASE("what lies in a slot is found again, whatever became of its item", "[fault][safe]") {
    /// Ends the process after the nth change of a name.
    class Dies final : public ForwardingFileSystem {
    public:
        explicit Dies(int after) : left(after) {}
        int left;
        Result<void> count(const std::function<Result<void>()>& call) {
            auto done = call();
            if (--left == 0) throw std::runtime_error("the process ends here");
            return done;
        }
        Result<void> take_free_name(Staged& s, const Handle& f, const std::string& n) override {
            return count([&] { return disk->take_free_name(s, f, n); });
        }
        Result<void> move_to_free_name(const Handle& a, const std::string& n, const Handle& b,
                                       const std::string& m) override {
            return count([&] { return disk->move_to_free_name(a, n, b, m); });
        }
        Result<void> exchange(const Handle& a, const std::string& n, const Handle& b,
                              const std::string& m) override {
            if (in_two_steps) return failure(Fault::unsupported, "exchange", "");
            return count([&] { return disk->exchange(a, n, b, m); });
        }
        Result<void> remove_file(const Handle& f, const std::string& n) override {
            return count([&] { return disk->remove_file(f, n); });
        }
        bool in_two_steps = false;
    };
    const bool in_two_steps = GENERATE(false, true);
    const bool edited = GENERATE(false, true);  // the new file, between the crash and the recovery
    bool died = true;
    for (int after = 1; died; ++after) {
        CAPTURE(in_two_steps, edited, after);
        TempFolder temp("/dev/shm");
        const Mount volume = Mount::memory(temp.path("volume"));
        const Mount source = Mount::memory(temp.path("source"));
        NEEDS(volume)
        temp.write("source/a", "incoming a");
        temp.write("source/b", "incoming b");
        temp.write("volume/to/a", "held a, and longer");
        temp.write("volume/to/b", "held b, and longer");
        Jobs jobs(temp.path("state"));
        Job job =
            with(move({source.path + "/a", source.path + "/b"}, volume.path + "/to"), Decision::overwrite);
        const Outlook outlook = value(prepare(*jobs.disk, job));
        Dies dies(after);
        dies.in_two_steps = in_two_steps;
        died = false;
        try {
            (void)carry_out(dies, *jobs.store, *outlook.plan, {});
        } catch (const std::runtime_error&) {
            died = true;
        }
        if (edited && temp.read("volume/to/a") == "incoming a")
            std::ofstream(temp.path("volume/to/a"), std::ios::app) << ", edited";
        const Recovered recovered = value(recover(*jobs.disk, *jobs.store));
        CHECK(recovered.problems.empty());
        const auto all = [&] {
            auto contents = contents_of(volume.path);
            contents.merge(contents_of(source.path));
            return contents;
        }();
        CHECK(all.contains("held a, and longer"));
        CHECK(all.contains("held b, and longer"));
        std::set<std::string> indexed;
        for (const SafeEntry& entry : value(jobs.store->safe_entries())) indexed.insert(entry.stored);
        for (const auto& entry : fs::recursive_directory_iterator(volume.path))
            if (entry.is_regular_file() &&
                entry.path().string().find(safe_folder_name()) != std::string::npos)
                CHECK(indexed.contains(entry.path().string()));
        check_no_litter(volume.path);
        check_no_litter(source.path);
    }
}
