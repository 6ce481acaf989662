// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <cstdio>
#include <filesystem>
#include <fstream>

#include "holds.h"
#include "models/folder_model.h"
#include "models/outcome_model.h"
#include "tasks/bench.h"
#include "tasks/runs.h"
#include "views/gathering/gathering_side.h"
#include "views/outcome/outcome_side.h"
#include "window_driver.h"

// window_hold FOLDER [FILES]: makes a folder of so many files (100,000) below FOLDER, opens it in the real
// window, filters it key by key, picks all of it, plans and runs a copy, and prints for how long the
// interface's thread was held at the most in each step.

namespace {

void make_files(const std::filesystem::path& folder, int files) {
    std::filesystem::create_directories(folder);
    for (int i = 0; i < files; ++i) std::ofstream(folder / ("permit-" + std::to_string(i) + ".pdf")) << i;
}

}  // namespace

int main(int count, char** words) {
    const Measured measured(count, words, 100'000);
    const std::filesystem::path& place = measured.place;
    const int files = measured.files;
    make_files(place / "from", files);
    std::filesystem::create_directories(place / "start");
    {
        MainWindow window(place / "start", (place / "state").string());
        window.show();
        WindowDriver driver(window);
        driver.settle();
        Holds holds;

        holds.begin();
        QElapsedTimer first;
        first.start();
        window.gathering().openFolder(place / "from");
        WindowDriver::wait([&] { return window.gathering().model().rowCount() > 0; });
        const auto first_rows = first.nsecsElapsed();
        driver.settle();
        holds.end("open the folder");
        std::printf("%-44s %9.1f ms\n", "  until its first rows are there",
                    static_cast<double>(first_rows) / 1e6);
        WindowDriver::wait([&] { return window.gathering().model().narrow({}).has_value(); });

        holds.begin();
        driver.find<QWidget>("pickBox")->setFocus();
        QTest::keyClicks(driver.find<QWidget>("pickBox"), QStringLiteral("permit 9987"), Qt::NoModifier, 1);
        holds.end("eleven keys in the pick box");
        driver.key("pickBox", Qt::Key_Escape);

        holds.begin();
        driver.type("filter", QStringLiteral("99 -5 *7.pdf"));
        driver.settle();
        holds.end("filter it, key by key");
        driver.type("filter", {});
        driver.settle();

        holds.begin();
        window.gathering().pickShown();
        WindowDriver::wait([&] { return window.bench().picks().count() > 0; }, 60'000);
        driver.settle();
        holds.end("pick all of it");

        holds.begin();
        window.bench().setDestination(place / "to");
        driver.settle();
        holds.end("plan a copy into a new folder");

        holds.begin();
        press(driver.find<QWidget>("start"));
        driver.settle();
        holds.end("run it");

        window.bench().replacePicks({(place / "from").string()});
        window.bench().setStructure({true, tavlo::Subfolders::all, false});
        holds.begin();
        driver.settle();
        holds.end("plan it again, all names taken, read all pairs");
    }
}
