// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <sys/resource.h>

#include <filesystem>
#include <fstream>

#include "holds.h"
#include "tasks/bench.h"
#include "views/bench/balance_bar.h"
#include "views/collisions/collisions_page.h"
#include "window_driver.h"

// plan_hold FOLDER [FILES]: a tree of so many files (1,000,000) below FOLDER, in folders of 1,000, planned in
// the real window into a destination that holds a fifth as many, a fiftieth of them in the way; then the rule
// changes. Prints times, memory and for how long the interface's thread was held.

namespace {

long peak_mib() {
    rusage used{};
    getrusage(RUSAGE_SELF, &used);
    return used.ru_maxrss / 1024;
}

std::string file_name(int folder, int file) {
    return std::to_string(folder) + "/file-" + std::to_string(file);
}

void touch(const std::filesystem::path& path, bool with_bytes) {
    std::ofstream out(path);
    if (with_bytes) out << "held";
}

}  // namespace

int main(int count, char** words) {
    const Measured measured(count, words, 1'000'000);
    const std::filesystem::path& place = measured.place;
    const int files = measured.files;
    constexpr int in_a_folder = 1000;
    for (int folder = 0; folder < files / in_a_folder; ++folder) {
        std::filesystem::create_directories(place / "from/box" / std::to_string(folder));
        std::filesystem::create_directories(place / "to/box" / std::to_string(folder));
        for (int file = 0; file < in_a_folder; ++file)
            touch(place / "from/box" / file_name(folder, file), false);
        for (int file = 0; file < in_a_folder / 5; ++file)  // the first ones hold a name that is wanted
            touch(place / "to/box" / file_name(folder, file < in_a_folder / 50 ? file : file + in_a_folder),
                  true);
    }
    std::filesystem::create_directories(place / "start");
    {
        MainWindow window(place / "start", (place / "state").string());
        window.show();
        WindowDriver driver(window);
        driver.settle();
        Holds holds;
        const long before = peak_mib();
        holds.begin();
        window.bench().replacePicks({(place / "from/box").string()});
        window.bench().setDestination((place / "to").string());
        WindowDriver::wait([&] { return window.bench().plan() != nullptr && !window.bench().isWorking(); },
                           600'000);
        holds.end("gather, survey and plan");
        const auto& totals = window.bench().plan()->totals;
        std::printf("  %lu items, %lu undecided; memory %ld MiB more at the peak\n",
                    static_cast<unsigned long>(totals.items),
                    static_cast<unsigned long>(totals.of(tavlo::Outcome::undecided)), peak_mib() - before);
        for (const auto rule :
             {CollisionRule::keep, CollisionRule::incoming_wins, CollisionRule::both_stay}) {
            holds.begin();
            QElapsedTimer clock;
            clock.start();
            const Shares was = window.bench().view().shares;
            window.bench().setCollisionRule(rule);
            WindowDriver::wait([&] { return window.bench().view().shares != was; });
            std::printf("%-44s %9.1f ms\n", "another rule, until its balance",
                        static_cast<double>(clock.nsecsElapsed()) / 1e6);
            WindowDriver::wait([&] { return !window.bench().isWorking(); }, 600'000);
            holds.end("  and until its plan");
        }
        window.bench().setCollisionRule(CollisionRule::ask);
        WindowDriver::wait([&] { return !window.bench().isWorking(); }, 600'000);
        const auto& collisions = window.collisions().collisions();
        WindowDriver::wait([&] { return collisions.view()->plan == window.bench().plan(); });
        driver.click("placeCollisions");
        for (const auto decision : {tavlo::Decision::skip, tavlo::Decision::overwrite}) {
            holds.begin();
            QElapsedTimer clock;
            clock.start();
            window.bench().decide(collisions.view()->groups.front().items, decision);
            const double stroke = static_cast<double>(clock.nsecsElapsed()) / 1e6;
            WindowDriver::wait([&] { return !window.bench().isWorking(); }, 600'000);
            clock.start();
            WindowDriver::wait([&] { return collisions.view()->plan == window.bench().plan(); });
            std::printf("%-44s %9.1f ms; groups %.1f ms after the plan\n",
                        "a group of all pairs decided in one stroke", stroke,
                        static_cast<double>(clock.nsecsElapsed()) / 1e6);
            holds.end("  and until its plan");
        }
    }
}
