// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QApplication>
#include <QLabel>
#include <QMenu>
#include <QPushButton>
#include <filesystem>

#include "keep/store.h"
#include "models/safe_model.h"
#include "support/catch.h"
#include "support/temp_folder.h"
#include "tasks/bench.h"
#include "tasks/keeping.h"
#include "tasks/runs.h"
#include "undo/take_back.h"
#include "views/runs/lane_view.h"
#include "views/safe/safe_page.h"
#include "window_driver.h"

using namespace tavlo;

namespace {

/// A window after a run that has set two versions aside, and so many more.
struct SafeScene {
    explicit SafeScene(int more = 0) {
        std::vector<std::string> sources{temp.path("from/a.txt"), temp.path("from/b.txt")};
        for (int i = 0; i < more; ++i) {
            const std::string name = "more-" + std::to_string(i);
            sources.push_back(temp.write("from/" + name, "new " + name));
            temp.write("to/" + name, "old, and longer " + name);
        }
        for (const char* name : {"a.txt", "b.txt"}) {
            temp.write(std::string("from/") + name, std::string("new ") + name);
            temp.write(std::string("to/") + name, std::string("old, and longer ") + name);
        }
        window = std::make_unique<MainWindow>(temp.path("from"), temp.path("state"));
        window->resize(1280, 800);
        window->show();
        driver.emplace(*window);
        REQUIRE(driver->settle());
        window->bench().replacePicks(sources);
        window->bench().setDestination(temp.path("to"));
        window->bench().setCollisionRule(CollisionRule::incoming_wins);
        REQUIRE(driver->settle());
        driver->click("start");
        REQUIRE(driver->settle());
        driver->click("placeSafe");
        REQUIRE(WindowDriver::wait([&] { return rows() == 2 + more; }));
    }
    ~SafeScene() {
        window.reset();
        if (const auto store = Store::open(temp.path("state"))) (void)empty_safe(*make_disk(), **store);
    }
    int rows() const { return driver->find<RowView>("safeList")->model()->rowCount(); }
    bool isShown(const char* name) const { return driver->find<QWidget>(name)->isVisible(); }

    TempFolder temp;
    std::unique_ptr<MainWindow> window;
    std::optional<WindowDriver> driver;
};

}  // namespace

TEST_CASE(
    "a version is looked at, and comes back: over what is there, which goes to the Safe, or to a free place",
    "[window][safe]") {
    SafeScene shelf;
    CHECK(shelf.driver->find<QLabel>("safeTitle")->text().startsWith("2 versions in the Safe"));
    shelf.driver->clickRow("safeList", shelf.driver->rowNamed("safeList", QStringLiteral("a.txt")));
    REQUIRE(WindowDriver::wait([&] {
        return shelf.driver->find<QWidget>("safePage")
            ->findChild<QLabel*>(QStringLiteral("rightTitle"))
            ->text()
            .contains("There now");
    }));
    shelf.driver->click("safeBack");
    REQUIRE(WindowDriver::wait(
        [&] { return shelf.isShown("safeQuestion"); }));  // its place is held: asked, not guessed
    CHECK(shelf.temp.read("to/a.txt") == "new a.txt");
    shelf.driver->click("safeYes");
    REQUIRE(WindowDriver::wait([&] { return shelf.temp.read("to/a.txt") == "old, and longer a.txt"; }));
    REQUIRE(shelf.driver->settle());
    REQUIRE(WindowDriver::wait([&] { return shelf.rows() == 2; }));  // the new one lies there instead
    std::filesystem::remove(shelf.temp.path("to/b.txt"));
    shelf.driver->clickRow("safeList", shelf.driver->rowNamed("safeList", QStringLiteral("b.txt")));
    shelf.driver->click("safeBack");
    REQUIRE(WindowDriver::wait([&] { return shelf.temp.read("to/b.txt") == "old, and longer b.txt"; }));
    REQUIRE(shelf.driver->settle());
    REQUIRE(WindowDriver::wait([&] { return shelf.rows() == 1; }));
}

TEST_CASE("versions are removed for good only after what that means was said", "[window][safe]") {
    SafeScene shelf;
    shelf.driver->key("safeList", Qt::Key_A, Qt::ControlModifier);
    shelf.driver->click("safeRemove");
    REQUIRE(WindowDriver::wait([&] { return shelf.isShown("safeQuestion"); }));
    CHECK(
        shelf.driver->find<QLabel>("safeQuestionWords")->text() ==
        "2 versions would be gone for good; that is not undone. 1 run can then no longer be undone in full.");
    shelf.driver->click("safeNo");
    CHECK_FALSE(shelf.isShown("safeQuestion"));
    CHECK(shelf.rows() == 2);
    shelf.driver->click("safeRemove");
    REQUIRE(WindowDriver::wait([&] { return shelf.isShown("safeQuestion"); }));
    shelf.driver->click("safeYes");
    REQUIRE(WindowDriver::wait([&] { return shelf.rows() == 0; }));
    CHECK((*Store::open(shelf.temp.path("state")))->safe_entries()->empty());
    CHECK(shelf.temp.read("to/a.txt") == "new a.txt");
}

TEST_CASE("removing for good has a lane: it is paused there, and stopped, and what did not go stays",
          "[window][safe]") {
    constexpr int files = 300;
    SafeScene shelf(files);
    const auto left = [&] {
        return static_cast<int>((*Store::open(shelf.temp.path("state")))->safe_entries()->size());
    };
    shelf.driver->key("safeList", Qt::Key_A, Qt::ControlModifier);
    shelf.driver->click("safeRemove");
    REQUIRE(WindowDriver::wait([&] { return shelf.isShown("safeQuestion"); }));
    QStringList said;
    QObject::connect(shelf.driver->find<SafePage>("safePage"), &SafePage::said,
                     [&](const QString& words) { said << words; });
    Runs& runs = shelf.window->runs();
    const auto before = runs.lanes().size();
    bool held = false;
    const auto holding = QObject::connect(&runs, &Runs::lanesChanged, [&] {
        if (!held && runs.lanes().front()->isLive()) held = true, runs.lanes().front()->setPaused(true);
    });
    shelf.driver->click("safeYes");
    QObject::disconnect(holding);
    REQUIRE(runs.lanes().size() == before + 1);
    RunLane& lane = *runs.lanes().front();
    CHECK(lane.status().sentence == "Remove 302 versions from the Safe for good");
    CHECK(lane.status().state == LaneState::paused);
    CHECK(left() > 0);
    LaneView view(runs, lane);
    CHECK_FALSE(view.findChild<QPushButton*>(QStringLiteral("laneMore"))->isVisibleTo(&view));
    CHECK_FALSE(view.findChild<QPushButton*>(QStringLiteral("laneReceipt"))->isVisibleTo(&view));
    runs.stop(lane, RunLane::After::keep);
    REQUIRE(WindowDriver::wait([&] { return runs.lanes().size() == before; }));
    REQUIRE(WindowDriver::wait([&] { return shelf.rows() == left(); }));
    REQUIRE(left() > 0);
    const int gone = files + 2 - left();
    CHECK(said.last() == QStringLiteral("%1 versions are gone for good.").arg(gone));
    shelf.driver->key("safeList", Qt::Key_A, Qt::ControlModifier);
    shelf.driver->click("safeRemove");
    REQUIRE(WindowDriver::wait([&] { return shelf.isShown("safeQuestion"); }));
    shelf.driver->click("safeYes");
    REQUIRE(WindowDriver::wait([&] { return shelf.rows() == 0; }));
    CHECK(left() == 0);
}

TEST_CASE("the Safe's list is narrowed, put in order, and emptied by what its menu names", "[window][safe]") {
    SafeScene shelf;
    auto* list = shelf.driver->find<RowView>("safeList");
    shelf.driver->type("safeFilter", QStringLiteral("b.txt"));
    REQUIRE(WindowDriver::wait([&] { return shelf.rows() == 1; }));
    shelf.driver->type("safeFilter", {});
    REQUIRE(WindowDriver::wait([&] { return shelf.rows() == 2; }));
    for (const auto& [order, first] :
         {std::pair(Qt::AscendingOrder, "a.txt"), std::pair(Qt::DescendingOrder, "b.txt")}) {
        list->sortByColumn(SafeModel::NameColumn, order);
        REQUIRE(WindowDriver::wait([&, first = first] {
            return list->model()->index(0, 0).data().toString() == QLatin1String(first);
        }));
    }
    shelf.driver->click("safeEmpty");
    auto* menu = qobject_cast<QMenu*>(QApplication::activePopupWidget());
    REQUIRE(menu != nullptr);
    REQUIRE(menu->actions().size() == 5);
    CHECK_FALSE(menu->actions()[0]->isEnabled());  // nothing is a year old
    CHECK(menu->actions()[4]->text().startsWith("Everything: 2 versions"));
    menu->actions()[4]->trigger();
    menu->close();
    REQUIRE(WindowDriver::wait([&] { return shelf.isShown("safeQuestion"); }));
    shelf.driver->click("safeYes");
    REQUIRE(WindowDriver::wait([&] { return shelf.rows() == 0; }));
    CHECK(shelf.driver->find<QLabel>("safeTitle")->text() == "The Safe is empty");
}

TEST_CASE(
    "versions leave the Safe by themselves only at the age that was set, a Safe that is too large is said "
    "once",
    "[safe]") {
    SafeScene shelf;
    const auto store = Store::open(shelf.temp.path("state"));
    const auto entries = (*store)->safe_entries();
    SafeEntry old = entries->front();
    REQUIRE((*store)->forget_safe_entries({old.id}));
    constexpr std::int64_t hundred_days_ns = 100 * std::int64_t{86'400'000'000'000};
    old.set_aside_ns -= hundred_days_ns;  // by both clocks
    old.since_boot_ns -= hundred_days_ns;
    RunRecords records;
    records.set_aside.push_back(old);
    REQUIRE((*store)->record(old.receipt, records));
    Keeping keeping(shelf.temp.path("state"));
    QStringList said;
    QObject::connect(&keeping, &Keeping::said, [&](const QString& words) { said << words; });
    keeping.apply({});
    keeping.lookAtSafe({.safe_limit = 10});
    REQUIRE(WindowDriver::wait([&] { return said.size() == 1; }));
    CHECK(said[0].startsWith("The Safe takes"));
    CHECK((*store)->safe_entries()->size() == 2);
    keeping.lookAtSafe({.safe_limit = 10});
    QTest::qWait(100);
    keeping.apply({.safe_days = 90, .receipt_days = 1});
    REQUIRE(WindowDriver::wait([&] { return said.size() == 2; }));
    CHECK(said[1] == "1 version has left the Safe, past the age that you have set.");
    CHECK((*store)->safe_entries()->size() == 1);
    CHECK((*store)->receipts()->size() == 1);
    Keeping at_start(shelf.temp.path("state"));
    QObject::connect(&at_start, &Keeping::said, [&](const QString& words) { said << words; });
    at_start.apply({.safe_days = 90, .safe_limit = 10});  // an age does not silence the warning
    REQUIRE(WindowDriver::wait([&] { return said.size() == 3; }));
    CHECK(said[2].startsWith("The Safe takes"));
}
