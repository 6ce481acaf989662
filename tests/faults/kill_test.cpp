// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <fmt/format.h>

#include <chrono>
#include <cstdlib>
#include <filesystem>
#include <random>

#include "support/catch.h"
#include "support/environment.h"
#include "support/jobs.h"
#include "support/kill_scene.h"
#include "support/mounts.h"
#include "support/rounds.h"
#include "support/temp_folder.h"
#include "support/trash.h"
#include "support/tree.h"

// The real program, killed with SIGKILL at random instants, and its recovery killed too: in the end
// everything is as if nobody had interfered. How often: TAVLO_KILLS (scripts/torture makes it hundreds).

using namespace tavlo;

namespace {

constexpr TreeOptions without_folder_times{.folder_times = false, .hard_links = true};

}  // namespace

TEST_CASE("killed at any instant and recovered, a run ends as if nobody had interfered", "[kill]") {
    const auto [operation, how] = GENERATE(table<std::string, std::string>({{"copy", "none"},
                                                                            {"move", "none"},
                                                                            {"copy", "all"},
                                                                            {"move", "extra"},
                                                                            {"remove", "safe"},
                                                                            {"remove", "trash"}}));
    const bool other_file_system = GENERATE(false, true);
    const bool removes = operation == "remove";
    if (removes && other_file_system) return;  // it goes nowhere
    CAPTURE(operation, how, other_file_system);
    TempFolder temp("/dev/shm");
    const Environment data("XDG_DATA_HOME", temp.path("data"));
    const std::string to = other_file_system ? "mounted/to" : "to";
    std::optional<Mount> mount;
    if (other_file_system) {
        mount.emplace(Mount::memory(temp.path("mounted")));
        NEEDS(*mount)
    }
    const auto clear = [&] {
        for (const char* name : {"from", "to", "state", "data"}) std::filesystem::remove_all(temp.path(name));
        if (other_file_system)
            for (const auto& entry : std::filesystem::directory_iterator(temp.path("mounted")))
                std::filesystem::remove_all(entry.path());
    };
    std::vector<std::string> job{operation, temp.path("from/box")};
    const std::vector<std::string> transfer{"--into", temp.path(to),  "--when",  "newer=overwrite",
                                            "--when", "older=rename", "--clear", how};
    // folders whole beside files and links
    const std::vector<std::string> removal{temp.path("from/box/1/file-1"), temp.path("from/box/0"), "--to",
                                           how};
    if (removes)
        job = {operation, temp.path("from/box/link"), temp.path("from/box/again"),
               temp.path("from/box/empty")};
    for (int at = 2; removes && at < 60; ++at)
        if (at % 6 != 0)
            job.push_back(temp.path("from/box/" + std::to_string(at % 6) + "/file-" + std::to_string(at)));
    const auto& rest = removes ? removal : transfer;
    job.insert(job.end(), rest.begin(), rest.end());

    make_kill_scene(temp, "from", to);
    const Tree from_before = tree_of(temp.path("from"), without_folder_times);
    const Tree to_before = tree_of(temp.path(to), without_folder_times);
    const auto began = std::chrono::steady_clock::now();
    REQUIRE(run_tavloctl_for(TAVLOCTL, temp.path("state"), job, -1) == 0);
    const auto takes =
        std::chrono::duration_cast<std::chrono::microseconds>(std::chrono::steady_clock::now() - began)
            .count();
    const Tree from_after = tree_of(temp.path("from"));
    const Tree to_after = tree_of(temp.path(to), without_folder_times);
    CHECK((to_after != to_before) != removes);
    const auto items = value(value(Store::open(temp.path("state")))->receipts()).at(0).totals.items;

    const std::vector<std::string> recovery(1, "recover");
    std::mt19937_64 random(std::random_device{}());
    const auto up_to = [&](long most) {
        return static_cast<long>(random() % static_cast<unsigned long>(most));
    };
    int interrupted = 0;
    for (int turn = 0; turn < rounds("TAVLO_KILLS", 12); ++turn) {
        clear();
        make_kill_scene(temp, "from", to);
        const long instant = up_to(takes * 11 / 10 + 1);
        CAPTURE(turn, instant, takes);
        int status = run_tavloctl_for(TAVLOCTL, temp.path("state"), job, instant);
        const bool begun = !value(value(Store::open(temp.path("state")))->receipts()).empty();
        if (status == -1) ++interrupted;
        while (status == -1)
            status =
                run_tavloctl_for(TAVLOCTL, temp.path("state"), recovery, up_to(2) == 0 ? up_to(takes) : -1);
        CHECK(status == 0);
        check_no_litter(temp.path());
        check_trash_is_whole(temp.path("data/Trash"));
        if (!begun) {  // killed before anything was done
            CHECK(differences(tree_of(temp.path("from"), without_folder_times), from_before) == "");
            CHECK(differences(tree_of(temp.path(to), without_folder_times), to_before) == "");
            continue;
        }
        CHECK(tree_of(temp.path("from"), without_folder_times).size() == from_after.size());
        CHECK(differences(tree_of(temp.path(to), without_folder_times), to_after) == "");
        Jobs jobs(temp.path("state"));
        const auto heads = value(jobs.store->receipts());
        REQUIRE(heads.size() == 1);
        CHECK(heads[0].state == RunState::done);
        CHECK(heads[0].totals.items == items);
        CHECK(heads[0].totals.of(Outcome::failed) + heads[0].totals.of(Outcome::undecided) +
                  heads[0].totals.of(Outcome::planned) ==
              0);
        // and its undo, killed and recovered in turn, brings everything back
        status = run_tavloctl_for(TAVLOCTL, temp.path("state"), {"undo", heads[0].id},
                                  up_to(2) == 0 ? up_to(takes) : -1);
        if (status == -1) {
            while (status == -1)
                status = run_tavloctl_for(TAVLOCTL, temp.path("state"), recovery,
                                          up_to(3) == 0 ? up_to(takes) : -1);
            if (value(jobs.store->receipts()).size() == 1)
                status = run_tavloctl_for(TAVLOCTL, temp.path("state"), {"undo", heads[0].id}, -1);
        }
        CHECK(status == 0);
        CHECK(differences(tree_of(temp.path("from"), without_folder_times), from_before) == "");
        CHECK(differences(tree_of(temp.path(to), without_folder_times), to_before) == "");
        check_no_litter(temp.path());
        check_trash_is_whole(temp.path("data/Trash"));
    }
    WARN(operation << ", " << how << (other_file_system ? " between file systems" : "") << ": interrupted "
                   << interrupted << " of " << rounds("TAVLO_KILLS", 12) << " times, a run takes " << takes
                   << " us");
}

TEST_CASE(
    "killed while it is still being counted, a run is finished as far as it was, whole files only, and "
    "undone whole",
    "[kill]") {
    TempFolder temp("/dev/shm");
    for (int i = 0; i < 2600; ++i)
        temp.write("from/box/" + std::to_string(i % 40) + "/f" + std::to_string(i),
                   "bytes of " + std::to_string(i));
    const std::vector<std::string> job{"copy", temp.path("from/box"), "--into", temp.path("to"),
                                       "--while-counting"};
    const auto began = std::chrono::steady_clock::now();
    REQUIRE(run_tavloctl_for(TAVLOCTL, temp.path("state"), job, -1) == 0);
    const auto takes =
        std::chrono::duration_cast<std::chrono::microseconds>(std::chrono::steady_clock::now() - began)
            .count();
    CHECK(differences(tree_of(temp.path("to/box")), tree_of(temp.path("from/box"))) == "");
    std::mt19937_64 random(std::random_device{}());
    int incomplete = 0;
    for (int turn = 0; turn < rounds("TAVLO_KILLS", 12); ++turn) {
        for (const char* name : {"to", "state"}) std::filesystem::remove_all(temp.path(name));
        const long instant = static_cast<long>(random() % static_cast<unsigned long>(takes));
        CAPTURE(turn, instant, takes);
        int status = run_tavloctl_for(TAVLOCTL, temp.path("state"), job, instant);
        while (status == -1)
            status = run_tavloctl_for(
                TAVLOCTL, temp.path("state"), {"recover"},
                random() % 2 == 0 ? static_cast<long>(random() % static_cast<unsigned long>(takes)) : -1);
        check_no_litter(temp.path());
        Jobs jobs(temp.path("state"));
        const auto heads = value(jobs.store->receipts());
        if (heads.empty()) continue;  // killed before it began
        REQUIRE(heads.size() == 1);
        CHECK(heads[0].state == RunState::done);
        const bool all = heads[0].totals.of(Outcome::failed) == 0;
        if (!all) ++incomplete;
        if (all)
            CHECK(status == 0);  // else 1, or 0 where a recovery was killed when it had just been through
        const Tree from = tree_of(temp.path("from/box"), without_folder_times);
        const Tree to = temp.has("to/box") ? tree_of(temp.path("to/box"), without_folder_times) : Tree{};
        for (const auto& [path, what] : to) {
            REQUIRE(from.contains(path));
            CHECK(from.at(path) == what);
        }
        if (all) CHECK(to.size() == from.size());
        // as many things arrived as the receipt says (the box itself is one of them)
        if (!to.empty()) CHECK(to.size() + 1 == heads[0].totals.of(Outcome::created));
        CHECK(run_tavloctl_for(TAVLOCTL, temp.path("state"), {"undo", heads[0].id}, -1) == 0);
        // (a destination that was made in the instant before the kill is not known to be this run's, and
        // stays, empty)
        CHECK((!temp.has("to") || std::filesystem::is_empty(temp.path("to"))));
    }
    WARN("interrupted before all was counted: " << incomplete << " of " << rounds("TAVLO_KILLS", 12)
                                                << " times, a run takes " << takes << " us");
}

TEST_CASE(
    "killed at any instant and recovered, names that are exchanged come out as if nobody had interfered",
    "[kill][rename]") {
    constexpr int files = 300;
    TempFolder temp("/dev/shm");
    const auto name = [](int number) { return fmt::format("f{}", number); };
    std::string table = "x\ty\ny\tx\na\tb\nb\ta\n";
    for (int at = 0; at < files; ++at) table += name(at) + '\t' + name((at + 1) % files) + '\n';
    temp.write("table", table);
    const auto make_scene = [&] {
        for (const char* folder : {"in", "state"}) std::filesystem::remove_all(temp.path(folder));
        for (int at = 0; at < files; ++at) temp.write("in/x/" + name(at), name(at));
        for (const char* file : {"in/y/a", "in/y/b"}) temp.write(file, file);
    };
    const std::vector<std::string> job{"rename",    temp.path("in"), "--contents",
                                       "--folders", "--names-from",  temp.path("table")};
    const std::vector<std::string> recovery(1, "recover");
    make_scene();
    const Tree before = tree_of(temp.path("in"), without_folder_times);
    const auto began = std::chrono::steady_clock::now();
    REQUIRE(run_tavloctl_for(TAVLOCTL, temp.path("state"), job, -1) == 0);
    const auto takes =
        std::chrono::duration_cast<std::chrono::microseconds>(std::chrono::steady_clock::now() - began)
            .count();
    const Tree after = tree_of(temp.path("in"), without_folder_times);
    REQUIRE(temp.read("in/y/" + name(1)) == name(0));
    std::mt19937_64 random(std::random_device{}());
    const auto up_to = [&](long most) {
        return static_cast<long>(random() % static_cast<unsigned long>(most));
    };
    const auto names_and_bytes = [&] {
        std::map<std::string, std::string> all;
        for (const auto& [path, what] : tree_of(temp.path("in"), without_folder_times))
            all[path] = std::filesystem::is_directory(temp.path("in/" + path)) ? "" : temp.read("in/" + path);
        return all;
    };
    const auto meant = names_and_bytes();
    for (int turn = 0; turn < rounds("TAVLO_KILLS", 12); ++turn) {
        make_scene();
        const auto old = names_and_bytes();
        const long instant = up_to(takes * 11 / 10 + 1);
        CAPTURE(turn, instant, takes);
        int status = run_tavloctl_for(TAVLOCTL, temp.path("state"), job, instant);
        while (status == -1)
            status =
                run_tavloctl_for(TAVLOCTL, temp.path("state"), recovery, up_to(2) == 0 ? up_to(takes) : -1);
        CHECK(status == 0);
        check_no_litter(temp.path());
        const auto heads = value(value(Store::open(temp.path("state")))->receipts());
        if (heads.empty()) {
            CHECK(names_and_bytes() == old);
            continue;
        }
        CHECK(names_and_bytes() == meant);
        status = run_tavloctl_for(TAVLOCTL, temp.path("state"), {"undo", heads[0].id},
                                  up_to(2) == 0 ? up_to(takes) : -1);
        while (status == -1)
            status =
                run_tavloctl_for(TAVLOCTL, temp.path("state"), recovery, up_to(2) == 0 ? up_to(takes) : -1);
        check_no_litter(temp.path());
        const bool is_undone = value(value(Store::open(temp.path("state")))->receipts()).size() > 1;
        CHECK(names_and_bytes() == (is_undone ? old : meant));
    }
    CHECK(before != after);
}
