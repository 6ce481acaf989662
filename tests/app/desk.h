// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QAction>
#include <QApplication>
#include <QInputDialog>
#include <QMenu>
#include <QPushButton>
#include <QTest>
#include <QTimer>
#include <optional>
#include <string>
#include <utility>

#include "models/outcome_model.h"
#include "support/catch.h"
#include "support/temp_folder.h"
#include "tasks/runs.h"
#include "views/outcome/outcome_side.h"
#include "window_driver.h"

/// The real window over the folder "desk" of a test's own, worked by keys and mouse.
struct Desk {
    void open() {
        window.emplace(temp.path("desk"), temp.path("state"));
        window->show();
        REQUIRE(QTest::qWaitForWindowExposed(&*window));
        driver.emplace(*window);
        QObject::connect(&window->runs(), &Runs::finished,
                         [this](const RunEnd& end) { ended = end.head->id; });
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
    /// An entry of a button's menu, filled as it is when somebody opens it.
    QAction* entry(const char* button, const QString& text) const {
        QMenu* menu = driver->find<QPushButton>(button)->menu();
        emit menu->aboutToShow();
        for (QAction* action : menu->actions())
            if (action->text() == text) return action;
        FAIL("no entry " << text.toStdString());
        return nullptr;
    }
    /// The next question for a text is answered so.
    static void willAnswer(const QString& text) {
        auto* waits = new QTimer(qApp);
        QObject::connect(waits, &QTimer::timeout, waits, [waits, text] {
            auto* dialog = qobject_cast<QInputDialog*>(QApplication::activeModalWidget());
            if (dialog == nullptr) return;
            waits->deleteLater();
            dialog->setTextValue(text);
            dialog->accept();
        });
        waits->start(10);
    }
    QString sentence() const { return driver->find<QWidget>("instruction")->accessibleName(); }
    /// The receipt of a run that was started; it may have ended before anybody asks.
    std::string finished() {
        REQUIRE(WindowDriver::wait([&] { return !ended.empty(); }));
        return std::exchange(ended, {});
    }
    QString cell(int row, OutcomeModel::Column column) {
        return window->outcome().model().index(row, column).data().toString();
    }
    int rowOf(const QString& name) const { return driver->rowNamed("outcomeList", name); }

    TempFolder temp;
    std::string ended;
    std::optional<MainWindow> window;
    std::optional<WindowDriver> driver;
    int strokes = 0;
};
