// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QAbstractButton>
#include <QComboBox>
#include <QLabel>

#include "desk.h"
#include "heard.h"
#include "support/catch.h"
#include "tasks/bench.h"
#include "views/bench/folder_levels_panel.h"
#include "views/bench/name_steps_panel.h"
#include "views/gathering/gathering_side.h"
#include "views/parts/named_combo.h"
#include "views/settings/settings_dialog.h"

// What somebody hears who does not see the window.

namespace {

/// What can have the keyboard and says nothing of itself.
QStringList silent_below(QWidget& top) {
    QStringList silent;
    for (QWidget* widget : top.findChildren<QWidget*>()) {
        if (!widget->isVisibleTo(&top) || (widget->focusPolicy() & Qt::TabFocus) == 0) continue;
        if (widget->focusProxy() != nullptr || widget->objectName().startsWith(QLatin1String("qt_")))
            continue;
        if (heard(*widget).isEmpty())
            silent << QString::fromLatin1(widget->metaObject()->className()) + QLatin1Char(' ') +
                          widget->objectName();
    }
    return silent;
}

/// One file in hand, on its way to where its name is taken.
void collide(Desk& desk) {
    desk.temp.write("desk/a.txt", "new a");
    desk.temp.write("there/a.txt", "old");
    desk.open();
    desk.window->bench().pick(desk.temp.path("desk"), {"a.txt"});
    desk.driver->chooseDestination(QString::fromStdString(desk.temp.path("there")));
}

}  // namespace

TEST_CASE("everything that can have the keyboard has a name, in every place", "[looks]") {
    Desk desk;
    collide(desk);
    for (const char* place : {"placeBench", "placeCollisions", "placeRuns", "placeReceipts", "placeSafe",
                              "placeJobs", "placeSizes"}) {
        desk.driver->click(place);
        QTest::qWait(50);
        const QStringList silent = silent_below(*desk.window);
        CAPTURE(place, silent.join(QStringLiteral("; ")).toStdString());
        CHECK(silent.isEmpty());
    }
    desk.driver->click("placeBench");
    desk.window->gathering().setAsPictures(true);
    CHECK(silent_below(*desk.window).join(QStringLiteral("; ")).toStdString() == "");
    desk.window->gathering().setAsPictures(false);
    desk.stroke(Qt::Key_R, Qt::ControlModifier);  // steps of new names, each with its fields
    QTest::qWait(50);
    CHECK(silent_below(*desk.window).join(QStringLiteral("; ")).toStdString() == "");
    SettingsDialog settings(Settings{}, &*desk.window);
    settings.show();
    CHECK(silent_below(settings).join(QStringLiteral("; ")).toStdString() == "");
}

TEST_CASE(
    "a box of choices has its label beside it wherever it goes, and takes it along when it goes for good",
    "[looks]") {
    QWidget first;
    QWidget second;
    auto* box = new NamedCombo(QStringLiteral("Which of them"), &first);
    CHECK(heard(*box) == QStringLiteral("Which of them"));
    box->setParent(&second);
    CHECK(first.findChildren<QLabel*>().isEmpty());
    CHECK(heard(*box) == QStringLiteral("Which of them"));
    delete box;
    CHECK(second.findChildren<QLabel*>().isEmpty());  // else a list that is read again would gather them
}

TEST_CASE("rows say what they are and how they stand", "[looks]") {
    Desk desk;
    collide(desk);
    const auto says = [&](const char* list, int row) {
        return desk.driver->find<QAbstractItemView>(list)
            ->model()
            ->index(row, 0)
            .data(Qt::AccessibleTextRole)
            .toString();
    };
    CHECK(says("folderList", 0) == QStringLiteral("a.txt, in the batch"));
    CHECK(says("outcomeList", 0).startsWith(QStringLiteral("a.txt, undecided: older")));
    CHECK(says("outcomeList", 1).startsWith(QStringLiteral("a.txt there now, ")));
    // how many wait is part of a place's name, as it is seen on it
    auto* collisions = desk.driver->find<QAbstractButton>("placeCollisions");
    REQUIRE(collisions != nullptr);
    CHECK(heard(*collisions) == QStringLiteral("Collisions, 1"));
}

TEST_CASE("the end of a run, and what is not done, is told without anybody looking", "[looks]") {
    Desk desk;
    desk.temp.write("desk/a.txt", "a");
    desk.temp.folder("there");
    desk.open();
    desk.window->bench().pick(desk.temp.path("desk"), {"a.txt"});
    desk.driver->chooseDestination(QString::fromStdString(desk.temp.path("there")));
    desk.driver->click("start");
    desk.finished();
    auto* words = desk.driver->find<QLabel>("runWords");
    CHECK(WindowDriver::wait([&] { return heard(*words).startsWith(QStringLiteral("Done: 1 copied")); }));
}
