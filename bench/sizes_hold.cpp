// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <fcntl.h>
#include <unistd.h>

#include <QElapsedTimer>
#include <filesystem>
#include <string>

#include "holds.h"
#include "models/sizes_model.h"
#include "views/sizes/sizes_page.h"
#include "window_driver.h"

// sizes_hold FOLDER [FILES]: so many files (1,000,000) below FOLDER, a thousand to a folder, weighed in the
// real window: until the first bars are there, until all are, and for how long the interface's thread was
// held.

int main(int count, char** words) {
    const Measured measured(count, words, 1'000'000);
    const std::filesystem::path& place = measured.place;
    for (int made = 0; made < measured.files;) {
        const auto folder = place / "in" / std::to_string(made / 1000);
        std::filesystem::create_directories(folder);
        for (int at = 0; at < 1000 && made < measured.files; ++at, ++made) {
            const int file =
                ::open((folder / std::to_string(at)).c_str(), O_CREAT | O_WRONLY | O_CLOEXEC, 0600);
            if (file < 0) return 1;
            ::close(file);
        }
    }
    std::filesystem::create_directories(place / "start");
    {
        MainWindow window(place / "start", (place / "state").string());
        window.show();
        WindowDriver driver(window);
        driver.settle();
        auto* page = window.findChild<SizesPage*>();
        Holds holds;
        QElapsedTimer clock;
        driver.click("placeSizes");
        WindowDriver::wait([&] { return !page->isWeighing(); });
        holds.begin();
        clock.start();
        page->weigh((place / "in").string());
        WindowDriver::wait([&] { return page->folder() == place / "in" && page->model().rowCount() > 0; });
        std::printf("first bars after %lld ms\n", static_cast<long long>(clock.elapsed()));
        WindowDriver::wait([&] { return !page->isWeighing(); }, 600'000);
        holds.end("weighed");
        holds.begin();
        driver.settle();
        QTest::qWait(500);
        holds.end("afterwards");
    }
    return 0;
}
