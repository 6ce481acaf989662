// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QAbstractItemModelTester>
#include <QLabel>
#include <QListView>
#include <QPushButton>
#include <filesystem>

#include "job/prepare.h"
#include "models/receipt_cells.h"
#include "models/run_models.h"
#include "support/catch.h"
#include "support/loop.h"
#include "support/mounts.h"
#include "support/tree.h"
#include "tasks/bench.h"
#include "tasks/runs.h"
#include "views/runs/runs_page.h"
#include "yard.h"

// How runs end, and are gone on with, tried again or taken back, in the real window.

using namespace tavlo;

TEST_CASE("a run that is paused when the window is closed is there at the next start, and goes on",
          "[window][runs]") {
    Yard yard;
    yard.runs().limitAll(4 * mega);
    RunLane* one = yard.start("one");
    RunLane* two = yard.start("two");
    REQUIRE(yard.wait([&] { return one->status().done.bytes > mega && two->drives(); }));
    yard.runs().pauseAllForLater();
    yard.close();
    CHECK_FALSE(yard.temp.has("to-two"));
    yard.open();
    REQUIRE(
        yard.wait([&] { return yard.state(0) == LaneState::paused && yard.state(1) == LaneState::paused; }));
    CHECK(yard.driver->find<QLabel>("runWords")->text() == "2 runs are paused since the last time.");
    CHECK(yard.lane(0).status().sentence.startsWith("Copy 5 items"));
    yard.press(&yard.lane(1), "lanePause");
    REQUIRE(yard.driver->settle());
    CHECK(yard.state(0) == LaneState::paused);
    yard.press(&yard.lane(0), "laneStop");  // given up
    yard.choose("Stop, and keep what is done");
    REQUIRE(yard.wait([&] { return yard.runs().lanes().size() == 1; }));
    CHECK(tree_of(yard.temp.path("to-two/two")) == tree_of(yard.temp.path("two")));
    QTest::qWait(100);
    yard.close();
    yard.open();
    QTest::qWait(200);
    CHECK(yard.runs().lanes().empty());
}

TEST_CASE("a run is stopped, and what it had done is taken back", "[window][runs]") {
    Yard yard;
    for (int number = 0; number < 300; ++number)
        yard.temp.write("one/many/" + std::to_string(number), "small");
    yard.runs().limitAll(6 * mega);
    RunLane* one = yard.start("one");
    REQUIRE(yard.wait([&] { return one->status().done.bytes > mega; }));
    yard.press(one, "laneStop");
    yard.choose("Stop, and take back what is done");
    REQUIRE(yard.wait([&] { return yard.state(0) == LaneState::done && yard.runs().lanes().size() == 1; }));
    CHECK(yard.lane(0).status().sentence.startsWith("Undo: Copy"));
    CHECK_FALSE(yard.temp.has("to-one/one"));
    CHECK(yard.temp.has("one/many/299"));
}

TEST_CASE("what failed is tried again once its cause is mended, or left", "[window][runs]") {
    Yard yard;
    yard.window->bench().replacePicks({yard.temp.path("one")});
    yard.window->bench().setDestination(yard.temp.path("to"));
    REQUIRE(yard.driver->settle());
    std::filesystem::rename(yard.temp.path("one/part-1"), yard.temp.path("elsewhere"));
    std::filesystem::remove(yard.temp.path("one/part-2"));
    yard.driver->click("start");
    REQUIRE(yard.driver->settle());
    RunLane& lane = yard.lane(0);
    auto* faults = yard.driver->find<QListView>("faultList");
    REQUIRE(faults->model()->rowCount() == 2);
    const QAbstractItemModelTester tester(faults->model(),
                                          QAbstractItemModelTester::FailureReportingMode::Fatal);
    CHECK(faults->model()->index(0, 0).data().toString() == "part-1");
    CHECK(faults->model()->index(0, 0).data(RunFaultsModel::WhyRole).toString().startsWith("is not there"));
    CHECK(yard.window->runsPage().needsSomebody() == 2);
    std::filesystem::rename(yard.temp.path("elsewhere"), yard.temp.path("one/part-1"));
    faults->setCurrentIndex(faults->model()->index(0, 0));
    CHECK(yard.driver->find<QPushButton>("tryAgain")->text() == "Try 1 again");
    yard.driver->click("tryAgain");
    REQUIRE(yard.wait([&] { return !lane.isLive() && faults->model()->rowCount() == 1; }));
    CHECK(yard.temp.has("to/one/part-1"));
    yard.driver->click("leaveFault");
    REQUIRE(yard.wait([&] { return !lane.isLive() && faults->model()->rowCount() == 0; }));
    const auto store = Store::open(yard.temp.path("state"));
    const auto heads = (*store)->receipts();
    REQUIRE(heads->size() == 1);
    CHECK(heads->front().totals.of(Outcome::failed) == 0);
    CHECK(heads->front().totals.of(Outcome::skipped) == 1);
}

TEST_CASE("chosen items of a receipt are undone, as a plan first", "[window][receipts]") {
    Yard yard;
    yard.start("one");
    REQUIRE(yard.driver->settle());
    yard.press(&yard.lane(0), "laneReceipt");
    auto* items = yard.driver->find<RowView>("receiptItems");
    REQUIRE(yard.wait([&] {
        return items->model()->rowCount() == 5 && items->model()->index(2, 0).data().toString() == "part-1";
    }));
    items->selectRow(2);
    CHECK(yard.driver->find<QPushButton>("undo")->text() == QString("Undo 1 chosen…"));
    yard.driver->click("undo");
    REQUIRE(yard.wait([&] { return yard.driver->find<QWidget>("undoNow")->isVisible(); }));
    CHECK(yard.driver->find<QPushButton>("undoNow")->text() == "Undo 1 item");
    yard.driver->click("undoNow");
    REQUIRE(yard.driver->settle());
    CHECK_FALSE(yard.temp.has("to-one/one/part-1"));
    CHECK(yard.temp.has("to-one/one/part-0"));
    auto* list = yard.driver->find<QListView>("receipts");
    REQUIRE(yard.wait([&] { return list->model()->rowCount() == 2; }));
    list->setCurrentIndex(list->model()->index(1, 0));
    REQUIRE(yard.wait([&] {
        return items->model()->index(2, ReceiptColumns::Where).data().toString() == "taken back since";
    }));
    REQUIRE(yard.wait(
        [&] { return yard.driver->find<QPushButton>("undo")->isEnabled(); }));  // the rest can still be
    CHECK(yard.driver->find<QPushButton>("undo")->text() == QString("Undo…"));
}

TEST_CASE("a run that fills the disk waits in its lane, over a restart too, and goes on when there is room",
          "[window][runs]") {
    Yard yard;
    std::filesystem::create_directories(yard.temp.path("small"));
    const Mount small = Mount::memory(yard.temp.path("small"), "size=6m");
    NEEDS(small);
    yard.window->bench().replacePicks({yard.temp.path("one")});
    yard.window->bench().setDestination(small.path);
    REQUIRE(yard.driver->settle());
    yard.temp.write("small/ballast", std::string(4 * mega, 'b'));
    yard.driver->click("start");
    REQUIRE(yard.driver->settle());
    CHECK(yard.state(0) == LaneState::stuck);
    CHECK(yard.lane(0).status().why.contains("the disk is full"));
    CHECK(yard.window->runsPage().needsSomebody() == 1);
    yard.close();
    yard.open();
    REQUIRE(yard.wait([&] { return yard.state(0) == LaneState::paused; }));
    std::filesystem::remove(yard.temp.path("small/ballast"));
    yard.press(&yard.lane(0), "lanePause");
    REQUIRE(yard.driver->settle());
    CHECK(yard.state(0) == LaneState::done);
    CHECK(tree_of(small.path + "/one") == tree_of(yard.temp.path("one")));
}

TEST_CASE(
    "a run whose disk has gone waits in its lane, and goes on once the disk is back, under whatever number",
    "[window][runs]") {
    Yard yard;
    DiskThatComesBack disk(yard.temp.path(), yard.temp.path("disk"));
    NEEDS_THAT(disk.mounted, "a disk cannot be mounted here");
    yard.close();
    {
        std::stop_source soon;
        const auto store = Store::open(yard.temp.path("state"));
        Job job;
        job.what.sources = {yard.temp.path("one")};
        job.into = yard.temp.path("disk/to");
        RunOptions options;
        options.threads = 1;
        options.stop = soon.get_token();
        options.sentence = "Copy to a disk that goes.";
        RunEvents events;
        events.at_hand = [&](const std::string&) { soon.request_stop(); };
        const auto head =
            carry_out(*make_disk(), **store, *prepare(*make_disk(), job)->plan, options, events);
        REQUIRE(head->state == RunState::stopped);
        REQUIRE((*store)->set_paused(head->id, true));
    }
    disk.go_away();
    yard.open();
    REQUIRE(yard.wait([&] { return yard.state(0) == LaneState::paused; }));
    yard.press(&yard.lane(0), "lanePause");  // "Go on"
    REQUIRE(yard.wait([&] { return yard.state(0) == LaneState::stuck; }));
    CHECK(yard.lane(0).status().why.contains("waits for its volume"));
    CHECK_FALSE(yard.temp.has("disk/to"));  // nothing under the empty mount point
    REQUIRE(disk.come_back());
    yard.press(&yard.lane(0), "lanePause");
    REQUIRE(yard.wait([&] { return yard.state(0) == LaneState::done; }));
    CHECK(yard.temp.has("disk/to/one/part-3"));
    yard.close();
}
