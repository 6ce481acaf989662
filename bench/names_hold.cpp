// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <filesystem>
#include <fstream>
#include <string>

#include "holds.h"
#include "models/folder_model.h"
#include "tasks/bench.h"
#include "tasks/runs.h"
#include "views/gathering/gathering_side.h"
#include "window_driver.h"

// names_hold FOLDER [FILES]: so many files (100,000) of one folder below FOLDER, each given the name of the
// next one, in the real window: planned, the steps changed, carried out. Prints times, and for how long the
// interface's thread was held.

int main(int count, char** words) {
    const Measured measured(count, words, 100'000);
    const std::filesystem::path& place = measured.place;
    const auto name = [](int number) {
        std::string digits = std::to_string(number);
        return "img-" + std::string(6 - digits.size(), '0') + digits + ".jpg";
    };
    std::filesystem::create_directories(place / "in");
    std::filesystem::create_directories(place / "start");
    for (int number = 1; number <= measured.files; ++number) std::ofstream(place / "in" / name(number));
    {
        MainWindow window(place / "start", (place / "state").string());
        window.show();
        WindowDriver driver(window);
        driver.settle();
        Holds holds;
        const auto planned = [&] {
            WindowDriver::wait(
                [&] { return window.bench().plan() != nullptr && !window.bench().isWorking(); }, 600'000);
        };
        tavlo::Naming naming;
        naming.steps = {tavlo::AddToNumbers{1}};
        window.bench().setOperation(tavlo::Operation::rename);
        window.gathering().openFolder(place / "in");
        WindowDriver::wait([&] { return window.gathering().model().rowCount() == measured.files; });
        driver.settle();
        holds.begin();
        window.gathering().pickShown();
        WindowDriver::wait([&] { return window.bench().picks().count() > 0; }, 60'000);
        planned();
        holds.end("picked, and planned");
        holds.begin();
        window.bench().setNaming(naming);
        planned();
        holds.end("a first step");
        naming.steps.emplace_back(tavlo::LetterCase{tavlo::LetterCase::To::upper});
        holds.begin();
        window.bench().setNaming(naming);
        planned();
        holds.end("another step");
        naming.steps.pop_back();
        window.bench().setNaming(naming);
        planned();
        holds.begin();
        bool ended = false;
        QObject::connect(&window.runs(), &Runs::finished, [&](const RunEnd&) { ended = true; });
        press(driver.find<QWidget>("start"));
        WindowDriver::wait([&] { return ended; }, 600'000);
        holds.end("carried out");
        holds.begin();
        driver.settle();
        holds.end("afterwards");
    }
    return 0;
}
