// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/runs.h"

#include <QAbstractItemModelTester>
#include <QAction>
#include <QElapsedTimer>
#include <QLabel>
#include <QListView>
#include <QMenu>
#include <QPushButton>
#include <filesystem>
#include <thread>

#include "files/drives.h"
#include "job/prepare.h"
#include "keep/drive_turn.h"
#include "models/receipt_cells.h"
#include "models/run_models.h"
#include "support/catch.h"
#include "support/loop.h"
#include "support/mounts.h"
#include "support/temp_folder.h"
#include "support/tree.h"
#include "tasks/bench.h"
#include "text.h"
#include "undo/take_back.h"
#include "views/runs/lane_view.h"
#include "views/runs/lane_words.h"
#include "views/runs/runs_page.h"
#include "window_driver.h"

// Runs in their lanes: steered, gone on with, tried again, in the real window.

using namespace tavlo;

namespace {

constexpr std::uint64_t mega = 1024 * 1024;

struct Yard {
    Yard() {
        for (const char* name : {"one", "two", "three"})
            for (int number = 0; number < 4; ++number)
                temp.write(std::string(name) + "/part-" + std::to_string(number), std::string(mega, *name));
        open();
    }
    ~Yard() {
        close();
        if (const auto store = Store::open(temp.path("state"))) (void)empty_safe(*make_disk(), **store);
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

}  // namespace

TEST_CASE("runs on one drive queue up, one is paused so that another finishes, one is put first",
          "[window][runs]") {
    Yard yard;
    yard.runs().limitAll(6 * mega);
    RunLane* one = yard.start("one");
    RunLane* two = yard.start("two");
    RunLane* three = yard.start("three");
    REQUIRE(yard.wait([&] { return one->status().done.bytes > 0 && two->drives() && three->drives(); }));
    CHECK(one->status().state == LaneState::running);
    CHECK(two->status().state == LaneState::waiting);
    CHECK(three->status().state == LaneState::waiting);
    CHECK(yard.driver->find<QLabel>("runsTitle")->text() == "1 going on · 2 waiting");
    yard.press(one, "lanePause");
    REQUIRE(yard.wait([&] { return two->status().state == LaneState::running; }));
    CHECK(one->status().state == LaneState::paused);
    QTest::qWait(200);
    const auto held_at = one->status().done.bytes;
    yard.press(three, "laneFirst");
    REQUIRE(yard.wait([&] { return three->status().state == LaneState::running; }));
    CHECK(two->status().state == LaneState::waiting);  // it goes on by itself
    CHECK(&yard.lane(0) == three);
    yard.press(one, "laneMore");
    yard.choose("Behind the next one");
    yard.press(one, "lanePause");  // "Go on": behind what goes by now
    CHECK(one->status().state == LaneState::waiting);
    CHECK(one->status().done.bytes == held_at);
    yard.runs().limitAll(0);
    REQUIRE(yard.driver->settle());
    for (const char* name : {"one", "two", "three"})
        CHECK(tree_of(yard.temp.path(std::string("to-") + name + "/" + name)) ==
              tree_of(yard.temp.path(name)));
    yard.driver->click("clearRuns");
    CHECK(yard.runs().lanes().empty());
    CHECK(yard.driver->find<QLabel>("runsEmpty")->isVisible());
}

TEST_CASE("runs on different drives go side by side, a limit is kept", "[window][runs]") {
    Yard yard;
    std::filesystem::create_directories(yard.temp.path("memory"));
    const Mount memory = Mount::memory(yard.temp.path("memory"));
    NEEDS(memory);
    std::filesystem::copy(yard.temp.path("two"), yard.temp.path("memory/two"),
                          std::filesystem::copy_options::recursive);
    QElapsedTimer clock;
    yard.runs().limitAll(1);  // until both are there
    RunLane* one = yard.start("one");
    RunLane* two = yard.start("memory/two", yard.temp.path("memory/to"));
    REQUIRE(yard.wait([&] {
        return one->status().state == LaneState::running && two->status().state == LaneState::running;
    }));
    one->limit(4 * mega);
    yard.runs().limitAll(0);
    clock.start();
    REQUIRE(yard.wait([&] { return !two->isLive(); }));
    CHECK(one->isLive());
    REQUIRE(yard.driver->settle());
    CHECK(clock.elapsed() > 700);  // 4 MB, but for what was begun and saved up before
}

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

TEST_CASE("what a run does is listed as it goes, and narrowed by a name", "[window][runs]") {
    Yard yard;
    auto* log = yard.driver->find<RowView>("runLog");
    const QAbstractItemModelTester tester(log->model(),
                                          QAbstractItemModelTester::FailureReportingMode::Fatal);
    for (int number = 0; number < 10'100; ++number) yard.temp.write("many/" + std::to_string(number), "x");
    yard.start("one");
    yard.start("many");
    REQUIRE(yard.driver->settle());
    REQUIRE(yard.runs().lanes().size() == 2);
    const auto look_at = [&](bool large) {
        for (const auto& lane : yard.runs().lanes())
            if ((lane->status().all.items > 1000) == large) yard.view(lane.get())->setFocus();
    };
    look_at(false);
    CHECK(log->model()->rowCount() == 5);
    look_at(true);
    CHECK(log->model()->rowCount() == static_cast<int>(RunLane::most_logged));
    yard.driver->type("runFilter", QStringLiteral("1009"));
    CHECK(log->model()->rowCount() == 11);  // 1009, and 10090 to 10099
    CHECK(log->model()->index(0, ReceiptColumns::Result).data().toString() == "copied");
}

TEST_CASE("nothing above the bottom line moves when a run starts, ends and is closed", "[window][runs]") {
    Yard yard;
    yard.driver->click("placeBench");
    const auto* line = yard.driver->find<QWidget>("runLine");
    const auto* words = yard.driver->find<QLabel>("runWords");
    const QRect at_rest = line->geometry();
    CHECK(words->text() == "Nothing is going on");
    CHECK_FALSE(yard.driver->find<QWidget>("closeRun")->isVisible());
    yard.runs().limitAll(6 * mega);
    const RunLane* one = yard.start("one");
    REQUIRE(yard.wait([&] { return one->status().done.bytes > 0; }));
    REQUIRE(yard.driver->find<QWidget>("stopRun")->isVisible());
    CHECK(line->geometry() == at_rest);
    yard.runs().limitAll(0);
    REQUIRE(yard.driver->settle());
    CHECK(words->text().startsWith("Done: "));
    CHECK(line->geometry() == at_rest);
    yard.driver->click("closeRun");
    CHECK(words->text() == "Nothing is going on");
    CHECK(line->geometry() == at_rest);
}

TEST_CASE("a run of another program has a lane here while it goes", "[window][runs]") {
    Yard yard;
    Pace pace;
    pace.hold();
    std::jthread other([&] {
        const auto disk = make_disk();
        const auto store = Store::open(yard.temp.path("state"));
        Job job;
        job.what.sources = {yard.temp.path("one")};
        job.into = yard.temp.path("to");
        RunOptions options;
        options.sentence = "Copy what the other program copies.";
        options.pace = &pace;
        (void)carry_out(*disk, **store, *prepare(*disk, job)->plan, options);
    });
    REQUIRE(yard.wait([&] {
        return yard.state(0) == LaneState::elsewhere;
    }));  // it is looked for while the page is on view
    CHECK(yard.lane(0).status().sentence == "Copy what the other program copies.");
    CHECK(yard.lane(0).status().all.items == 5);
    CHECK(yard.runs().isIdle());
    pace.release();
    REQUIRE(yard.wait([&] { return yard.runs().lanes().empty(); }));
    CHECK(yard.temp.has("to/one/part-3"));
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

TEST_CASE(
    "lanes are gone through, paused and stopped by keys, a stopped run is gone on with from its receipt",
    "[window][runs]") {
    Yard yard;
    yard.runs().limitAll(4 * mega);
    RunLane* one = yard.start("one");
    RunLane* two = yard.start("two");
    REQUIRE(yard.wait([&] { return one->status().state == LaneState::running && two->drives(); }));
    yard.view(one)->setFocus();
    QTest::keyClick(yard.view(one), Qt::Key_Space);
    CHECK(one->status().state == LaneState::paused);
    QTest::keyClick(yard.view(one), Qt::Key_Down);
    CHECK(yard.view(two)->hasFocus());
    REQUIRE(yard.wait([&] { return yard.view(two)->accessibleName().endsWith("going on"); }));
    QTest::keyClick(yard.view(two), Qt::Key_Delete);
    yard.choose("Stop, and keep what is done");
    REQUIRE(yard.wait([&] { return !two->isLive(); }));
    CHECK(two->status().state == LaneState::stopped);
    yard.press(two, "laneReceipt");
    auto* go_on = yard.driver->find<QPushButton>("receiptGoOn");
    REQUIRE(yard.wait([&] { return go_on->isVisible(); }));
    yard.runs().limitAll(0);
    yard.driver->click("receiptGoOn");
    REQUIRE(yard.wait([&] { return two->status().state == LaneState::done; }));
    yard.driver->click("placeRuns");
    yard.view(one)->setFocus();
    QTest::keyClick(yard.view(one), Qt::Key_Space);
    REQUIRE(yard.driver->settle());
    for (const char* name : {"one", "two"})
        CHECK(tree_of(yard.temp.path(std::string("to-") + name + "/" + name)) ==
              tree_of(yard.temp.path(name)));
}

TEST_CASE("keys of the bench change nothing while another place is on view", "[window][runs]") {
    Yard yard;
    yard.window->bench().replacePicks({yard.temp.path("one")});
    yard.window->bench().setDestination(yard.temp.path("to"));
    REQUIRE(yard.driver->settle());
    const auto& list = *yard.driver->find<RowView>("folderList");
    yard.driver->click("placeBench");
    yard.driver->clickRow("folderList", yard.driver->rowNamed("folderList", QStringLiteral("two")));
    REQUIRE(list.selectionModel()->hasSelection());
    yard.driver->click("placeRuns");
    for (const auto key : {Qt::Key_C, Qt::Key_X, Qt::Key_V, Qt::Key_Return, Qt::Key_F})
        QTest::keyClick(yard.window.get(), key, Qt::ControlModifier);
    QTest::keyClick(yard.window.get(), Qt::Key_Delete);
    REQUIRE(yard.driver->settle());
    CHECK(yard.window->bench().job().operation == Operation::copy);
    CHECK(yard.window->bench().picks().count() == 1);
    CHECK(yard.runs().lanes().empty());
    CHECK(yard.temp.has("two/part-0"));
    yard.driver->click("placeSafe");
    QTest::keyClick(yard.window.get(), Qt::Key_F, Qt::ControlModifier);
    CHECK(yard.driver->find<QWidget>("safeFilter")->hasFocus());
    yard.driver->click("placeBench");
    QTest::keyClick(yard.window.get(), Qt::Key_Return, Qt::ControlModifier);
    REQUIRE(yard.driver->settle());
    CHECK(yard.temp.has("to/one/part-0"));
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

TEST_CASE("a lane says how far it is, and what can be done, in words", "[text]") {
    using namespace std::chrono_literals;
    CHECK(left_words(1s) == "1 s left");
    CHECK(left_words(59s) == "59 s left");
    CHECK(left_words(100s) == "about 2 min left");
    CHECK(left_words(59min) == "about 59 min left");
    CHECK(left_words(95min) == "about 1.5 h left");
    LaneStatus status;
    status.state = LaneState::running;
    status.done = {136, 0};
    status.all = {212, 0};
    CHECK(amounts_words(status) == "136 of 212 items");
    CHECK(done_part(status) == Approx(136.0 / 212));
    status.done.bytes = 512;
    status.all.bytes = 1000;
    CHECK(amounts_words(status).startsWith("136 of 212 items · 512"));
    status.still_counting = true;
    CHECK(amounts_words(status).endsWith(", still counting"));
    status.state = LaneState::done;
    CHECK(done_part(status) == 1);
    for (const auto fault : {Fault::not_found, Fault::no_permission, Fault::changed_meanwhile,
                             Fault::no_space, Fault::unreachable, Fault::io})
        CHECK(remedy_words(fault).endsWith("."));
    CHECK(remedy_words(Fault::refused).isEmpty());
    CHECK(remedy_words(std::nullopt).isEmpty());
    for (int state = 0; state <= static_cast<int>(LaneState::refused); ++state)
        CHECK_FALSE(state_words(static_cast<LaneState>(state)).isEmpty());
}

TEST_CASE("drives are had in turn with other programs, and left to them by a run that is paused",
          "[window][runs]") {
    Yard yard;
    const std::string state = yard.temp.path("state");
    const auto drives = drives_below(yard.temp.path("one"));
    REQUIRE_FALSE(drives.empty());
    std::optional<DriveTurn> other(std::move(*DriveTurn::take(state, drives)));
    yard.runs().limitAll(mega);
    RunLane* one = yard.start("one");
    REQUIRE(yard.wait([&] { return one->drives().has_value(); }));
    CHECK(one->status().state == LaneState::waiting);
    CHECK(one->status().done.bytes == 0);
    other.reset();
    REQUIRE(yard.wait([&] { return one->status().done.bytes > 0; }));
    CHECK(DriveTurn::take(state, drives).error().fault == Fault::name_taken);
    yard.runs().pause(*one);
    REQUIRE(yard.wait([&] { return DriveTurn::take(state, drives).has_value(); }));
    yard.runs().limitAll(0);
    yard.runs().goOn(*one);
    REQUIRE(yard.driver->settle());
    CHECK(one->status().state == LaneState::done);
    REQUIRE(yard.wait([&] { return DriveTurn::take(state, drives).has_value(); }));
}
