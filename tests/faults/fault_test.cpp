// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <sys/stat.h>

#include <atomic>
#include <filesystem>
#include <fstream>
#include <optional>
#include <set>

#include "files/path.h"
#include "job/retry.h"
#include "recover/recover.h"
#include "support/catch.h"
#include "support/contents.h"
#include "support/every_call.h"
#include "support/jobs.h"
#include "support/kill_scene.h"
#include "support/mounts.h"
#include "support/temp_folder.h"
#include "support/tree.h"

// Every call that can fail on a disk is made to fail once, in turn, in several ways. Whatever happens to the
// run: every content that existed before exists now, or in the Safe; no name shows half a file; and after
// recovery no litter is left.

using namespace tavlo;

namespace {

/// The nth call fails; all others reach the disk.
class FaultAt final : public EveryCall {
public:
    FaultAt(int nth, Error error) : nth_(nth), error_(std::move(error)) {}
    bool was_reached() const { return calls_ > nth_; }

private:
    std::optional<Error> before_call() override {
        return calls_++ == nth_ ? std::optional(error_) : std::nullopt;
    }

    int nth_;
    std::atomic<int> calls_ = 0;  // of several threads of a run
    Error error_;
};

void make_scene(const std::string& from, const std::string& to) {
    namespace fs = std::filesystem;
    const auto write = [](const std::string& path, const std::string& bytes) {
        fs::create_directories(fs::path(path).parent_path());
        std::ofstream(path) << bytes;
    };
    for (const char* name : {"new", "over", "second name", "sub/deep"})
        write(from + "/box/" + name, std::string("incoming ") + name);
    fs::create_symlink("new", from + "/box/link");
    fs::create_hard_link(from + "/box/new", from + "/box/twice");
    fs::create_directories(from + "/box/empty");
    write(to + "/box/over", "held, and longer");
    write(to + "/box/second name", "held too, and longer");
    write(to + "/box/extra", "not of the batch");
    write(to + "/more/file", "nor this");
}

struct Work {
    const char* words;
    Operation operation;
    bool other_file_system;
    Clearing clearing = Clearing::none;
    bool makes_room = false;      ///< what holds a name gets another one
    std::size_t group_files = 0;  ///< RunOptions
};

/// Two file systems in memory, and a job from one into itself or the other.
struct FaultScene {
    explicit FaultScene(const Work& kind)
        : one(Mount::memory(temp.path("one"))),
          two(Mount::memory(temp.path("two"))),
          from(one.path + "/from"),
          to((kind.other_file_system ? two.path : one.path) + "/to") {
        job.operation = kind.operation;
        job.what.sources = {from + "/box"};
        job.into = to;
        job.policy.otherwise = Decision::overwrite;
        job.clearing = kind.clearing;
    }
    /// As if nothing had been run yet.
    void begin() const {
        for (const auto& mount : {one.path, two.path})
            for (const auto& entry : std::filesystem::directory_iterator(mount))
                std::filesystem::remove_all(entry.path());
        std::filesystem::remove_all(temp.path("state"));
        make_scene(from, to);
    }

    TempFolder temp{"/dev/shm"};
    Mount one;
    Mount two;
    std::string from;
    std::string to;
    Job job{};
};

}  // namespace

TEST_CASE("any one call may fail: nothing is lost, no half file is seen, no litter stays", "[fault]") {
    const auto kind =
        GENERATE(Work{"copy", Operation::copy, false}, Work{"move", Operation::move, false},
                 Work{"copy across", Operation::copy, true}, Work{"move across", Operation::move, true},
                 Work{"copy, one by one", Operation::copy, false, Clearing::none, false, 1},
                 Work{"copy, emptied first", Operation::copy, false, Clearing::all},
                 Work{"move, leaving nothing extra", Operation::move, false, Clearing::extra},
                 Work{"copy, making room", Operation::copy, false, Clearing::none, true});
    const auto error = GENERATE(Error{Fault::io, EIO, "test", ""}, Error{Fault::no_space, ENOSPC, "test", ""},
                                Error{Fault::name_taken, EEXIST, "test", ""},
                                Error{Fault::other_file_system, EXDEV, "test", ""},
                                Error{Fault::changed_meanwhile, 0, "test", ""});
    const bool undoing = GENERATE(false, true);
    FaultScene scene(kind);
    NEEDS(scene.one)
    NEEDS(scene.two)
    const auto& [temp, one, two, from, to, job] = scene;
    bool reached = true;
    for (int nth = 0; reached; ++nth) {
        scene.begin();
        CAPTURE(kind.words, error.code, static_cast<int>(error.fault), undoing, nth);
        const auto store = value(Store::open(temp.path("state")));
        const auto disk = make_disk();
        std::shared_ptr<const Plan> plan = value(prepare(*disk, job)).plan;
        if (kind.makes_room) {
            Asked making_room = job;
            for (const ItemId id : plan->colliding)
                making_room.decisions.add(plan->source_path(plan->items[id]),
                                          {plan->pair(plan->items[id]), Decision::rename, {}, {}, true});
            plan = value(prepare(*disk, making_room)).plan;
        }
        if (undoing) {
            const auto head = value(carry_out(*disk, *store, *plan, {}));
            plan = std::make_shared<const Plan>(value(prepare_undo(*disk, *store, head.id)));
        }
        auto before = contents_of(one.path);
        before.merge(contents_of(two.path));

        FaultAt faulty(nth, error);
        RunOptions options;
        options.group_files = kind.group_files;
        const auto head = carry_out(faulty, *store, *plan, options);
        reached = faulty.was_reached();
        REQUIRE(head);
        std::uint64_t items = 0;
        REQUIRE(store->each_item(head->id, [&](ReceiptItem&&) { ++items; }));
        CHECK(items == plan->items.size());
        REQUIRE(recover(*disk, *store));

        auto after = contents_of(one.path);
        after.merge(contents_of(two.path));
        CHECK(after == before);
        for (const auto& mount : {one.path, two.path})
            for (const auto& entry : std::filesystem::recursive_directory_iterator(mount))
                CHECK(entry.path().filename().string().find(".tavlo-part-") == std::string::npos);
        // what the receipt says arrived, is there
        REQUIRE(store->each_item(head->id, [&](ReceiptItem&& item) {
            const bool there = std::filesystem::exists(std::filesystem::symlink_status(item.place()));
            if (arrives(item.result)) CHECK(there);
        }));
        if (!reached) CHECK(head->totals.of(Outcome::failed) + head->totals.of(Outcome::undecided) == 0);
    }
}

TEST_CASE("what any one call made fail is tried again, undone in part over another failure, and undone whole",
          "[fault][retry]") {
    const auto kind = GENERATE(Work{"copy", Operation::copy, false}, Work{"move", Operation::move, false},
                               Work{"move across", Operation::move, true});
    const Error error{Fault::io, EIO, "test", ""};
    FaultScene scene(kind);
    NEEDS(scene.one)
    NEEDS(scene.two)
    const auto& [temp, one, two, from, to, job] = scene;
    // (of two names of one file, one may come back before the other where a call fails: then they are two)
    const TreeOptions but_for_times{.folder_times = false, .hard_links = !kind.other_file_system};
    bool reached = true;
    for (int nth = 0; reached; ++nth) {
        scene.begin();
        CAPTURE(kind.words, nth);
        const Tree from_before = tree_of(from, but_for_times);
        const Tree to_before = tree_of(to, but_for_times);
        const auto store = value(Store::open(temp.path("state")));
        const auto disk = make_disk();
        const auto plan = value(prepare(*disk, job)).plan;
        FaultAt faulty(nth, error);
        auto head = value(carry_out(faulty, *store, *plan, {}));
        reached = faulty.was_reached();
        if (head.totals.of(Outcome::failed) > 0) {
            const Again again = value(failed_again(*disk, *store, head.id, {}));
            CHECK(again.not_possible.empty());
            head = value(carry_on_settled(*disk, *store, head.id, again.settlement));
        }
        CHECK(head.totals.of(Outcome::failed) + head.totals.of(Outcome::undecided) == 0);
        CHECK(head.totals.items == plan->items.size());
        if (kind.operation == Operation::move)  // an empty folder may stay where it could not be looked at
            for (const auto& [path, what] : tree_of(from, but_for_times))
                CHECK(std::filesystem::is_directory(from + "/" + path));
        const Plan some = value(prepare_undo(*disk, *store, head.id, {1, 2, 3}));
        FaultAt again_faulty(nth, error);
        (void)value(carry_out(again_faulty, *store, some, {}));
        reached = reached || again_faulty.was_reached();
        if (value(store->receipt(head.id)).undone_by.empty()) {
            const auto rest =
                value(carry_out(*disk, *store, value(prepare_undo(*disk, *store, head.id)), {}));
            REQUIRE(store->each_item(rest.id, [](ReceiptItem&& item) {
                if (item.result == Outcome::failed || item.result == Outcome::undecided)
                    UNSCOPED_INFO(item.source << ": " << item.error);
            }));
            CHECK(rest.totals.of(Outcome::failed) + rest.totals.of(Outcome::undecided) == 0);
        }
        CHECK(differences(tree_of(from, but_for_times), from_before) == "");
        CHECK(differences(tree_of(to, but_for_times), to_before) == "");
    }
}
