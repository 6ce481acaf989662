// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QLabel>
#include <QTest>
#include <cstdio>
#include <optional>
#include <string>

#include "models/folder_model.h"
#include "support/catch.h"
#include "support/temp_folder.h"
#include "tasks/bench.h"
#include "views/gathering/gathering_side.h"
#include "window_driver.h"

/// A window on a folder of numbered files.
struct NumberedDesk {
    explicit NumberedDesk(int files = 0) {
        for (int i = 0; i < files; ++i) {
            char name[40];
            std::snprintf(name, sizeof name, "desk/permit-%04d-quay.pdf", 200 + i);
            temp.write(name, "permit");
        }
        temp.folder("desk");
        open();
    }
    void open() {
        window.reset();
        window.emplace(temp.path("desk"), temp.path("state"));
        window->show();
        REQUIRE(QTest::qWaitForWindowExposed(&*window));
        driver.emplace(*window);
        REQUIRE(driver->settle());
        REQUIRE(WindowDriver::wait([&] { return model().narrow({}).has_value(); }));
    }
    FolderModel& model() const { return const_cast<MainWindow&>(*window).gathering().model(); }
    QString label(const char* name) const { return driver->find<QLabel>(name)->text(); }
    bool picked(const std::string& name) const {
        return window->bench().picks().contain(temp.path("desk"), name);
    }
    std::size_t picks() const { return window->bench().picks().count(); }

    TempFolder temp;
    mutable std::optional<MainWindow> window;
    std::optional<WindowDriver> driver;
};
