// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <unistd.h>

#include <QAbstractItemModel>
#include <filesystem>
#include <fstream>

#include "holds.h"
#include "tasks/bench.h"
#include "tasks/runs.h"
#include "views/receipts/receipts_page.h"
#include "views/runs/lane_words.h"
#include "window_driver.h"

// run_hold FOLDER [FILES]: so many empty files (1,000,000) below FOLDER, in folders of 1,000, copied in the
// real window with the page of runs on view; then its receipt is opened, it is undone, and what lies in the
// Safe by then is narrowed, chosen and removed. Prints for how long the interface's thread was held, and what
// memory it took as the run went.

namespace {

double resident_mib() {
    std::ifstream statm("/proc/self/statm");
    double all = 0;
    double resident = 0;
    statm >> all >> resident;
    return resident * static_cast<double>(::sysconf(_SC_PAGESIZE)) / (1024 * 1024);
}

}  // namespace

int main(int count, char** words) {
    const Measured measured(count, words, 1'000'000);
    const std::filesystem::path& place = measured.place;
    const int files = measured.files;
    constexpr int in_a_folder = 1000;
    for (int folder = 0; folder < files / in_a_folder; ++folder) {
        const auto inside = place / "from/box" / std::to_string(folder);
        std::filesystem::create_directories(inside);
        for (int file = 0; file < in_a_folder; ++file)
            std::ofstream(inside / ("file-" + std::to_string(file)));
    }
    std::filesystem::create_directories(place / "start");
    {
        MainWindow window(place / "start", (place / "state").string());
        window.resize(1280, 800);
        window.show();
        const WindowDriver driver(window);
        driver.settle();
        window.bench().replacePicks({(place / "from/box").string()});
        window.bench().setDestination((place / "to").string());
        WindowDriver::wait([&] { return window.bench().plan() != nullptr && !window.bench().isWorking(); },
                           600'000);
        press(driver.find<QWidget>("placeRuns"));
        Holds holds;
        holds.begin();
        press(driver.find<QWidget>("start"));
        const auto reached = [&](double part) {
            const auto& lanes = window.runs().lanes();
            return !lanes.empty() && (!lanes.front()->isLive() || done_part(lanes.front()->status()) >= part);
        };
        for (const double part : {0.1, 0.5, 0.9}) {
            WindowDriver::wait([&] { return reached(part); }, 1'200'000);
            std::printf("  %3.0f %% done: %.0f MiB\n", part * 100, resident_mib());
        }
        WindowDriver::wait([&] { return reached(0.999); }, 1'200'000);
        holds.end("a run of so many items, until its end");
        holds.begin();
        driver.settle();
        holds.end("  and what comes after it");
        const auto* items = driver.find<RowView>("receiptItems")->model();
        press(driver.find<QWidget>("placeReceipts"));
        holds.begin();
        WindowDriver::wait(
            [&] { return items->rowCount() >= files && !items->index(0, 0).data().toString().isEmpty(); },
            600'000);
        holds.end("its receipt opened");
        holds.begin();
        WindowDriver::wait(
            [&] { return !items->index(items->rowCount() - 1, 0).data().toString().isEmpty(); }, 600'000);
        holds.end("its last page");
        holds.begin();
        press(driver.find<QWidget>("undo"));
        WindowDriver::wait([&] { return driver.find<QWidget>("undoNow")->isVisible(); }, 600'000);
        holds.end("its undo planned");
        press(driver.find<QWidget>("undoNow"));
        holds.begin();
        press(driver.find<QWidget>("placeRuns"));
        WindowDriver::wait([&] { return reached(0.999); }, 1'200'000);
        driver.settle();
        holds.end("undone");
        const auto* versions = driver.find<RowView>("safeList")->model();
        holds.begin();
        press(driver.find<QWidget>("placeSafe"));
        WindowDriver::wait([&] { return versions->rowCount() >= files; }, 600'000);
        holds.end("the Safe opened");
        holds.begin();
        driver.type("safeFilter", QStringLiteral("file-99"));
        WindowDriver::wait([&] { return versions->rowCount() < files; }, 600'000);
        holds.end("narrowed by a name");
        driver.type("safeFilter", {});
        WindowDriver::wait([&] { return versions->rowCount() >= files; }, 600'000);
        holds.begin();
        driver.key("safeList", Qt::Key_A, Qt::ControlModifier);
        press(driver.find<QWidget>("safeRemove"));
        WindowDriver::wait([&] { return driver.find<QWidget>("safeQuestion")->isVisible(); }, 600'000);
        holds.end("all of it chosen, and asked about");
        holds.begin();
        press(driver.find<QWidget>("safeYes"));
        WindowDriver::wait([&] { return versions->rowCount() == 0; }, 1'200'000);
        holds.end("emptied");
    }
}
