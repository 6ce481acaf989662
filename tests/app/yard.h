// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QAction>
#include <QApplication>
#include <QMenu>
#include <QPushButton>
#include <QTest>
#include <cstdint>
#include <functional>
#include <memory>
#include <optional>
#include <string>

#include "keep/store.h"
#include "support/catch.h"
#include "support/temp_folder.h"
#include "tasks/bench.h"
#include "tasks/runs.h"
#include "undo/empty_safe.h"
#include "views/runs/lane_view.h"
#include "window_driver.h"

inline constexpr std::uint64_t mega = 1024 * 1024;

/// The real window on its page of runs, with three folders to be copied.
struct Yard {
    Yard() {
        for (const char* name : {"one", "two", "three"})
            for (int number = 0; number < 4; ++number)
                temp.write(std::string(name) + "/part-" + std::to_string(number), std::string(mega, *name));
        open();
    }
    ~Yard() {
        close();
        if (const auto store = tavlo::Store::open(temp.path("state")))
            (void)tavlo::empty_safe(*tavlo::make_disk(), **store);
    }
    Yard(const Yard&) = delete;
    Yard& operator=(const Yard&) = delete;
    void open() {
        window = std::make_unique<MainWindow>(temp.path(), temp.path("state"));
        window->resize(1280, 800);
        window->show();
        driver.emplace(*window);
        REQUIRE(driver->settle());
        driver->click("placeRuns");
    }
    void close() {
        driver.reset();
        window.reset();
    }
    Runs& runs() const { return window->runs(); }
    RunLane& lane(std::size_t at) const { return *runs().lanes().at(at); }
    LaneState state(std::size_t at) const {
        return at < runs().lanes().size() ? lane(at).status().state : LaneState::refused;
    }
    RunLane* start(const std::string& source, const std::string& into) const {
        window->bench().replacePicks({temp.path(source)});
        window->bench().setDestination(into);
        const auto before = runs().lanes().size();
        REQUIRE(WindowDriver::wait([&] {
            // that a run before has ended may be looked at just now, and what is pressed then does nothing
            if (!window->bench().isWorking() && driver->find<QWidget>("start")->isEnabled())
                driver->click("start");
            return runs().lanes().size() > before;
        }));
        for (const auto& one : runs().lanes())
            if (one->isLive() && one->status().destination == into) return one.get();
        return nullptr;
    }
    RunLane* start(const std::string& source) const { return start(source, temp.path("to-" + source)); }
    bool wait(const std::function<bool()>& condition) const { return WindowDriver::wait(condition); }
    LaneView* view(const RunLane* of) const {
        for (LaneView* one : window->findChildren<LaneView*>())
            if (one->lane() == of) return one;
        return nullptr;
    }
    void press(const RunLane* of, const char* button) const {
        auto* widget = view(of)->findChild<QPushButton*>(QLatin1String(button));
        REQUIRE(widget->isVisible());
        QTest::mouseClick(widget, Qt::LeftButton);
    }
    void choose(const QString& words) const {
        auto* menu = qobject_cast<QMenu*>(QApplication::activePopupWidget());
        REQUIRE(menu != nullptr);
        for (QAction* action : menu->actions())
            if (action->text() == words) {
                menu->setActiveAction(action);
                QTest::keyClick(menu, Qt::Key_Return);
                return;
            }
        FAIL(words.toStdString());
    }

    TempFolder temp;
    std::unique_ptr<MainWindow> window;
    std::optional<WindowDriver> driver;
};
