// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QAction>
#include <QDragEnterEvent>
#include <QDropEvent>
#include <QLabel>
#include <QMenu>
#include <QMimeData>
#include <QPushButton>

#include "desk.h"
#include "models/folder_model.h"
#include "support/catch.h"
#include "tasks/bench.h"
#include "tasks/file_clips.h"
#include "tasks/kept_desk.h"
#include "views/gathering/gathering_side.h"
#include "views/outcome/outcome_side.h"

// Several windows, and what a run brought in, seen where it is.

namespace {

MainWindow* other_than(const MainWindow& window) {
    for (QWidget* widget : QApplication::topLevelWidgets())
        if (auto* other = qobject_cast<MainWindow*>(widget);
            other != nullptr && other != &window && other->isVisible())
            return other;
    return nullptr;
}

QAction* action(MainWindow& window, const QString& words) {
    for (QAction* one : window.findChildren<QAction*>())
        if (QString(one->text()).remove(QLatin1Char('&')) == words) return one;
    FAIL("no action " << words.toStdString());
    return nullptr;
}

MainWindow* open_another(Desk& desk) {
    action(*desk.window, QStringLiteral("Another window"))->trigger();
    MainWindow* other = other_than(*desk.window);
    REQUIRE(other != nullptr);
    REQUIRE(WindowDriver::wait(
        [&] { return !other->bench().isWorking() && !other->gathering().model().isLoading(); }));
    return other;
}

/// Closes, and waits until it has gone with all that it held.
void close(MainWindow* window) {
    bool gone = false;
    QObject::connect(window, &QObject::destroyed, [&] { gone = true; });
    window->close();
    REQUIRE(WindowDriver::wait([&] { return gone; }));
}

}  // namespace

TEST_CASE("each window has a desk of its own, which nobody else has while it stands", "[windows]") {
    TempFolder temp;
    const auto first = take_desk(temp.path("state"));
    const auto second = take_desk(temp.path("state"));
    REQUIRE((first && second));
    CHECK(first->folder == temp.path("state"));
    CHECK(second->folder == temp.path("state/windows/2"));
    std::optional<KeptDesk> third = take_desk(temp.path("state"));
    CHECK(third->folder == temp.path("state/windows/3"));
    third.reset();
    CHECK(take_desk(temp.path("state"))->folder == temp.path("state/windows/3"));
    temp.write("no-folder", "");
    CHECK_FALSE(take_desk(temp.path("no-folder/state")));
}

TEST_CASE("a second window keeps what it has in hand, and the next second window takes it up", "[windows]") {
    Desk desk;
    desk.temp.write("desk/a.txt", "a");
    desk.temp.write("desk/b.txt", "b");
    desk.open();
    const std::string at = desk.temp.path("desk");
    desk.window->bench().pick(at, {"a.txt"});
    MainWindow* other = open_another(desk);
    CHECK(other->bench().picks().empty());  // the first one's is the first one's
    other->bench().pick(at, {"b.txt"});
    REQUIRE(WindowDriver::wait([&] { return !other->bench().isWorking(); }));
    close(other);
    other = open_another(desk);
    CHECK(other->bench().picks().paths() == std::vector<std::string>{at + "/b.txt"});
    CHECK(desk.window->bench().picks().paths() == std::vector<std::string>{at + "/a.txt"});
    close(other);
}

TEST_CASE("what is in hand is handed over to another window by a menu, and taken back in each", "[windows]") {
    Desk desk;
    for (const char* name : {"a.txt", "b.txt", "c.txt"}) desk.temp.write(std::string("desk/") + name, name);
    desk.open();
    const std::string at = desk.temp.path("desk");
    auto* menu = desk.window->findChild<QMenu*>(QStringLiteral("handOver"));
    REQUIRE(menu != nullptr);
    emit menu->aboutToShow();
    REQUIRE(menu->actions().size() == 1);
    CHECK_FALSE(menu->actions().front()->isEnabled());  // there is nobody to hand it to, which is said

    MainWindow* other = open_another(desk);
    other->bench().pick(at, {"c.txt"});
    desk.window->bench().pick(at, {"a.txt", "b.txt"});
    emit menu->aboutToShow();
    REQUIRE(menu->actions().size() == 1);
    CHECK(menu->actions().front()->text() == other->windowTitle());
    menu->actions().front()->trigger();
    CHECK(desk.window->bench().picks().empty());
    CHECK(other->bench().picks().count() == 3);
    desk.window->bench().history().undo();
    CHECK(desk.window->bench().picks().count() == 2);
    other->bench().history().undo();
    CHECK(other->bench().picks().paths() == std::vector<std::string>{at + "/c.txt"});
    close(other);
}

TEST_CASE("what is dragged out of one window's batch is taken in hand in the other", "[windows]") {
    Desk desk;
    for (const char* name : {"a.txt", "b.txt"}) desk.temp.write(std::string("desk/") + name, name);
    desk.open();
    const std::string at = desk.temp.path("desk");
    desk.window->bench().pick(at, {"a.txt", "b.txt"});
    REQUIRE(desk.driver->settle());
    desk.driver->click("asInHand");
    auto* list = desk.driver->find<RowView>("batchList");
    REQUIRE(WindowDriver::wait([&] { return list->model()->rowCount() == 2; }));
    list->selectRow(1);
    const std::unique_ptr<QMimeData> dragged = list->dragged();
    REQUIRE(dragged != nullptr);
    CHECK(from_mime(dragged.get()).paths == std::vector<std::string>{at + "/b.txt"});

    MainWindow* other = open_another(desk);
    auto* target = &other->outcome();
    QDragEnterEvent enter(QPoint(5, 5), Qt::CopyAction, dragged.get(), Qt::LeftButton, Qt::NoModifier);
    QApplication::sendEvent(target, &enter);
    CHECK(enter.isAccepted());
    QDropEvent drop(QPointF(5, 5), Qt::CopyAction, dragged.get(), Qt::LeftButton, Qt::NoModifier);
    QApplication::sendEvent(target, &drop);
    CHECK(other->bench().picks().paths() == std::vector<std::string>{at + "/b.txt"});
    CHECK(desk.window->bench().picks().count() == 2);  // a copy of what is in hand, not a move of it
    close(other);
}

TEST_CASE("what came in with a run is shown where it is, for as long as one looks there", "[windows]") {
    Desk desk;
    desk.temp.write("desk/in/new.txt", "new");
    desk.temp.write("desk/in/deep/below.txt", "below");
    desk.temp.write("there/old.txt", "old");
    desk.open();
    auto& model = desk.window->gathering().model();
    const auto came_in = [&](const char* name) {
        return model.index(model.rowOf(name), 0).data(FolderModel::CameInRole).toBool();
    };
    const auto shows = [&](const std::string& folder, int rows) {
        return WindowDriver::wait(
            [&] { return model.folder() == folder && !model.isLoading() && model.rowCount() == rows; });
    };
    desk.driver->openFolder(desk.temp.path("desk/in"));
    desk.window->bench().pick(desk.temp.path("desk/in"), {"new.txt", "deep"});
    desk.driver->chooseDestination(QString::fromStdString(desk.temp.path("there")));
    desk.driver->click("start");
    desk.finished();
    auto* show = desk.driver->find<QPushButton>("runShow");
    REQUIRE(WindowDriver::wait([&] { return show->isVisible(); }));
    desk.driver->click("runShow");
    REQUIRE(shows(desk.temp.path("there"), 3));
    CHECK(desk.driver->find<QWidget>("arrivalsLine")->isVisible());
    CHECK(came_in("new.txt"));
    CHECK(came_in("deep"));
    CHECK_FALSE(came_in("old.txt"));
    CHECK(model.index(model.rowOf("new.txt"), 0)
              .data(Qt::AccessibleTextRole)
              .toString()
              .contains(QStringLiteral("came in")));
    desk.driver->click("arrivalsOnly");
    REQUIRE(shows(desk.temp.path("there"), 2));
    CHECK(model.rowOf("old.txt") == -1);
    // deeper it goes on
    desk.driver->openFolder(desk.temp.path("there/deep"));
    REQUIRE(shows(desk.temp.path("there/deep"), 1));
    CHECK(came_in("below.txt"));
    // elsewhere it is over, also when one comes back
    desk.driver->openFolder(desk.temp.path("desk"));
    CHECK_FALSE(desk.driver->find<QWidget>("arrivalsLine")->isVisible());
    desk.driver->openFolder(desk.temp.path("there"));
    REQUIRE(shows(desk.temp.path("there"), 3));
    CHECK_FALSE(came_in("new.txt"));
}
