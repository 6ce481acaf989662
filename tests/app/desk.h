#pragma once

#include <QApplication>
#include <QTest>
#include <catch2/catch.hpp>
#include <optional>
#include <string>
#include <utility>

#include "models/outcome_model.h"
#include "support/temp_folder.h"
#include "tasks/runs.h"
#include "views/outcome_side.h"
#include "window_driver.h"

/// The real window over the folder "desk" of a test's own, worked by keys and mouse.
struct Desk {
    void open() {
        window.emplace(temp.path("desk"), temp.path("state"));
        window->show();
        REQUIRE(QTest::qWaitForWindowExposed(&*window));
        driver.emplace(*window);
        QObject::connect(&window->runs(), &Runs::finished, [this](const RunEnd& end) { ended = end.head->id; });
        REQUIRE(driver->settle());
    }
    /// One key, counted.
    void stroke(Qt::Key key, Qt::KeyboardModifiers with = Qt::NoModifier) {
        ++strokes;
        QWidget* at = QApplication::activePopupWidget();
        if (at == nullptr) at = QApplication::focusWidget();
        QTest::keyClick(at != nullptr ? at : &*window, key, with);
        QTest::qWait(10);
    }
    QString sentence() const { return driver->find<QWidget>("instruction")->accessibleName(); }
    /// The receipt of a run that was started; it may have ended before anybody asks.
    std::string finished() {
        REQUIRE(WindowDriver::wait([&] { return !ended.empty(); }));
        return std::exchange(ended, {});
    }
    QString cell(int row, OutcomeModel::Column column) { return window->outcome().model().index(row, column).data().toString(); }
    int rowOf(const QString& name) const { return driver->rowNamed("outcomeList", name); }

    TempFolder temp;
    std::string ended;
    std::optional<MainWindow> window;
    std::optional<WindowDriver> driver;
    int strokes = 0;
};
