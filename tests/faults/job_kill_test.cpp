// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <chrono>
#include <cstdlib>
#include <filesystem>
#include <random>

#include "job/job_files.h"
#include "keep/run_lock.h"
#include "support/catch.h"
#include "support/kill_scene.h"
#include "support/rounds.h"
#include "support/temp_folder.h"
#include "support/tree.h"

// A saved job, killed in any of its steps: the step that was begun is finished by recovery, later ones are
// not begun, and the job can be run again at once.

using namespace tavlo;

namespace {

constexpr int files = 120;
constexpr TreeOptions without_times{.folder_times = false, .times = false};

struct JobScene {
    JobScene() {
        temp.write("job.json", R"({"tavlo":1,"document":"job","name":"three steps","steps":[
            {"operation":"copy","sources":["in"],"contents":true,"into":"copied","on_collision":"skip"},
            {"operation":"move","sources":["in"],"contents":true,"into":"moved","on_collision":"skip"},
            {"operation":"note","file":"log.txt","line":"{totals}"}]})");
    }
    void begin() const {
        for (const char* name : {"in", "copied", "moved", "state", "log.txt"})
            std::filesystem::remove_all(temp.path(name));
        for (int at = 0; at < files; ++at)
            temp.write("in/" + std::to_string(at), std::string(2000, static_cast<char>('a' + at % 26)));
    }
    int run(long microseconds) const {
        return run_tavloctl_for(TAVLOCTL, temp.path("state"), {"run", "--quiet", temp.path("job.json")},
                                microseconds);
    }
    TempFolder temp{"/dev/shm"};
};

}  // namespace

TEST_CASE("a saved job that is killed in any of its steps loses nothing, and goes from there",
          "[kill][job]") {
    const JobScene scene;
    scene.begin();
    const Tree in = tree_of(scene.temp.path("in"), without_times);
    const auto begun = std::chrono::steady_clock::now();
    REQUIRE(scene.run(-1) == 0);
    const auto whole =
        std::chrono::duration_cast<std::chrono::microseconds>(std::chrono::steady_clock::now() - begun)
            .count();
    const Tree copied = tree_of(scene.temp.path("copied"), without_times);
    const Tree moved = tree_of(scene.temp.path("moved"), without_times);
    REQUIRE(moved.size() == in.size());
    const std::uint64_t seed = std::random_device{}();
    std::mt19937_64 random(seed);
    for (int kill = 0; kill < rounds("TAVLO_KILLS", 12); ++kill) {
        scene.begin();
        const auto after = static_cast<long>(random() % static_cast<std::uint64_t>(whole));
        CAPTURE(seed, kill, after);
        const int status = scene.run(after);
        CHECK_FALSE(RunLock::is_held(scene.temp.path("state"), lock_of_job("three steps")));
        CHECK(run_tavloctl_for(TAVLOCTL, scene.temp.path("state"), {"recover"}, -1) == 0);
        const bool second_begun = scene.temp.has("moved");
        if (second_begun) {
            CHECK(differences(tree_of(scene.temp.path("moved"), without_times), moved).empty());
            CHECK(differences(tree_of(scene.temp.path("copied"), without_times), copied).empty());
        } else {
            CHECK(differences(tree_of(scene.temp.path("in"), without_times), in).empty());
            CHECK_FALSE(scene.temp.has("log.txt"));
        }
        for (const char* place : {"in", "copied", "moved"})
            if (scene.temp.has(place)) check_no_litter(scene.temp.path(place));
        if (status == 0) continue;
        REQUIRE(scene.run(-1) == 0);  // from there
        CHECK(differences(tree_of(scene.temp.path("copied"), without_times), copied).empty());
        CHECK(differences(tree_of(scene.temp.path("moved"), without_times), moved).empty());
        CHECK(scene.temp.has("log.txt"));
    }
}
