// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <filesystem>
#include <fstream>

#include "archive/archive_files.h"
#include "files/path.h"
#include "recover/recover.h"
#include "support/archives.h"
#include "support/catch.h"
#include "support/every_call.h"
#include "support/kill_scene.h"
#include "support/mounts.h"
#include "support/temp_folder.h"
#include "support/tree.h"

// Packing, where any call fails, and where the program ends before any call: no half archive under its name,
// no source gone unproved.

using namespace tavlo;

namespace {

struct PackScene {
    explicit PackScene(bool removes, const std::string& extension = "tar.gz", bool over = false,
                       const std::string& more = {})
        : file("mail/x." + extension) {
        for (const char* name : {"in/a", "in/b", "in/deep/c", "in/deep/d"})
            temp.write(name, std::string(name) + std::string(2000, 'x'));
        temp.write("in/large", std::string(1'200'000, 'l'));
        std::filesystem::create_symlink("a", temp.path("in/link"));
        if (!more.empty()) temp.write(more, more);
        if (over) temp.write(file, "what was there");
        before = tree_of(temp.path("in"), {.folder_times = false});
        Job job;
        job.operation = Operation::pack;
        job.what.sources = {temp.path("in")};
        job.into = temp.path(file);
        job.then_remove = removes;
        job.policy.otherwise = Decision::overwrite;
        plan = value(prepare(*make_disk(), job)).plan;
    }
    TempFolder temp{"/dev/shm"};
    std::string file;
    Tree before;
    std::shared_ptr<const Plan> plan;
};

/// What has the archive's name is whole, and holds what has gone, or is what was there before; the undo
/// brings everything back.
void check_whole(PackScene& scene, Jobs& jobs, const std::string& receipt, bool over) {
    const bool made = scene.temp.has(scene.file) && scene.temp.read(scene.file) != "what was there";
    if (over) CHECK(scene.temp.has(scene.file));
    if (scene.temp.has("in")) check_no_litter(scene.temp.path("in"));
    if (scene.temp.has("mail")) check_no_litter(scene.temp.path("mail"));
    if (made) {
        Jobs others(scene.temp.path("other-state"));
        others.disk = make_disk_with_archives();
        Job job = copy({scene.temp.path(scene.file)}, scene.temp.path("out"));
        job.operation = Operation::unpack;
        CHECK(others.run(job).of(Outcome::failed) == 0);
    }
    REQUIRE(jobs.store->each_item(receipt, [&](ReceiptItem&& item) {
        if (item.type == FileType::folder || item.role == Role::archive) return;
        CAPTURE(item.source, to_text(item.result), item.error);
        const bool stands = std::filesystem::exists(std::filesystem::symlink_status(item.source));
        CHECK(stands == item.set_aside.empty());
        if (!stands) CHECK(made);
        if (item.result == Outcome::created) CHECK(made);
    }));
    const auto head = value(jobs.store->receipt(receipt));
    if (head.totals.of(Outcome::created) == 0) return;
    (void)jobs.undo(receipt);
    for (const SafeEntry& left : value(jobs.store->safe_entries()))
        if (is_within(left.original, scene.temp.path("in")))
            (void)carry_out(*jobs.disk, *jobs.store,
                            value(prepare_restore(*jobs.disk, *jobs.store, left.id, "", std::nullopt)), {});
    CHECK(differences(tree_of(scene.temp.path("in"), {.folder_times = false}), scene.before) == "");
}

}  // namespace

TEST_CASE("a packing that ends before any call is recovered to its end, and undone", "[fault][pack]") {
    const bool removes = GENERATE(false, true);
    const bool over = GENERATE(false, true);
    bool reached = true;
    for (int nth = 0; reached; ++nth) {
        PackScene scene(removes, "tar.gz", over);
        CAPTURE(nth, removes, over);
        Jobs jobs(scene.temp.path("state"));
        AtCall dying(nth, AtCall::dies);
        carry_out_until_it_dies(dying, *jobs.store, *scene.plan);
        reached = dying.was_reached();
        const auto interrupted = value(jobs.store->receipts());
        if (interrupted.empty()) continue;
        CHECK(value(recover(*jobs.disk, *jobs.store)).problems.empty());
        const auto head = value(jobs.store->receipt(interrupted[0].id));
        CHECK(head.state == RunState::done);
        CHECK(head.totals.of(Outcome::created) == 8);
        CHECK(scene.temp.has("in") != removes);
        check_whole(scene, jobs, head.id, over);
    }
}

TEST_CASE("where any call of a packing fails, no half archive has its name, and no source has gone unproved",
          "[fault][pack]") {
    const bool removes = GENERATE(false, true);
    const std::string extension = GENERATE("zip", "tar.zst");
    bool reached = true;
    for (int nth = 0; reached; ++nth) {
        PackScene scene(removes, extension, true);
        CAPTURE(nth, removes, extension);
        Jobs jobs(scene.temp.path("state"));
        AtCall failing(nth, AtCall::fails);
        const auto head = value(carry_out(failing, *jobs.store, *scene.plan, {}));
        reached = failing.was_reached();
        if (!reached) CHECK(head.totals.of(Outcome::created) == 8);
        check_whole(scene, jobs, head.id, true);
    }
}

TEST_CASE(
    "a source that changes while it is packed is packed as it is in the end, or left out, never a mixture",
    "[fault][pack]") {
    for (const std::uint64_t size : {3000ULL, 3'000'000ULL}) {
        for (const int changes : {1, 5}) {
            CAPTURE(size, changes);
            PackScene scene(false, "zip");
            scene.temp.write("in/moving", std::string(size, '0'));
            Job job;
            job.operation = Operation::pack;
            job.what.sources = {scene.temp.path("in")};
            job.into = scene.temp.path(scene.file);
            const auto plan = value(prepare(*make_disk(), job)).plan;
            struct Changes : ForwardingFileSystem {
                Result<std::size_t> read_at(const Handle& f, std::uint64_t o,
                                            std::span<std::byte> into) override {
                    auto read = ForwardingFileSystem::read_at(f, o, into);
                    if (f.path().ends_with("/moving") && o == 0 && left-- > 0) {
                        std::fstream file(path, std::ios::in | std::ios::out);
                        file.seekp(1) << static_cast<char>('a' + left);
                    }
                    return read;
                }
                std::string path;
                int left = 0;
            } disk;
            disk.path = scene.temp.path("in/moving");
            disk.left = changes;
            Jobs jobs(scene.temp.path("state"));
            const auto head = value(carry_out(disk, *jobs.store, *plan, {}));
            const bool is_in = changes == 1;
            CHECK(head.totals.of(Outcome::failed) == (is_in ? 0 : 1));
            CHECK(head.totals.of(Outcome::created) == (is_in ? 9 : 8));
            jobs.disk = make_disk_with_archives();
            Job out = copy({scene.temp.path(scene.file)}, scene.temp.path("out"));
            out.operation = Operation::unpack;
            CHECK(jobs.run(out).of(Outcome::failed) == 0);
            CHECK(scene.temp.has("out/in/moving") == is_in);
            if (is_in) CHECK(scene.temp.read("out/in/moving") == scene.temp.read("in/moving"));
        }
    }
}

TEST_CASE(
    "where a source cannot be reached and somebody waits for it, no archive is made without it, and it stays",
    "[fault][pack]") {
    struct Gone : ForwardingFileSystem {
        Result<OpenedFile> open_file(const Handle& f, const std::string& n) override {
            if (n == last) return failure(Fault::unreachable, "the disk is away", n);
            return ForwardingFileSystem::open_file(f, n);
        }
        std::string last;
    };
    for (const char* last : {"zz, behind all others", "large", "a"}) {
        CAPTURE(last);
        PackScene scene(true, "zip", false, "in/zz, behind all others");
        Gone disk;
        disk.last = last;
        Jobs jobs(scene.temp.path("state"));
        RunOptions waits;
        waits.pause_when_stuck = true;
        const auto head = value(carry_out(disk, *jobs.store, *scene.plan, waits));
        CHECK(head.state == RunState::stopped);
        CHECK_FALSE(scene.temp.has(scene.file));
        CHECK(differences(tree_of(scene.temp.path("in"), {.folder_times = false}), scene.before) == "");
        CHECK(value(recover(*jobs.disk, *jobs.store)).problems.empty());  // it is back
        CHECK(value(jobs.store->receipt(head.id)).totals.of(Outcome::created) == 9);
        check_whole(scene, jobs, head.id, false);
    }
}

TEST_CASE("an archive for which there is no room is not there, and can be gone on with once there is",
          "[fault][pack][mount]") {
    const TempFolder temp;
    const Mount small = Mount::memory(temp.path("small"), "size=1m");
    NEEDS(small);
    temp.write("in/a", "a");
    std::string noise;
    for (unsigned at = 0, state = 1; at < 3'000'000; ++at)
        noise += static_cast<char>((state = state * 1103515245 + 12345) >> 16);
    temp.write("in/noise", noise);
    Job job;
    job.operation = Operation::pack;
    job.what.sources = {temp.path("in")};
    job.into = temp.path("small/x.zip");
    const auto plan = value(prepare(*make_disk(), job)).plan;
    Jobs jobs(temp.path("state"));
    const auto failed = jobs.carry_out(*plan);
    CHECK(failed.of(Outcome::failed) == 3);
    CHECK_FALSE(temp.has("small/x.zip"));
    CHECK(std::filesystem::is_empty(temp.path("small")));
    RunOptions waits;
    waits.pause_when_stuck = true;
    const auto stopped = jobs.carry_out(*plan, waits);
    CHECK(stopped.head.state == RunState::stopped);
    CHECK(stopped.head.waits_for.find("full") != std::string::npos);
    CHECK_FALSE(temp.has("small/x.zip"));
}
