// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/runs.h"

#include <QAbstractItemModelTester>
#include <QElapsedTimer>
#include <QLabel>
#include <QPushButton>
#include <filesystem>
#include <thread>

#include "files/drives.h"
#include "job/prepare.h"
#include "keep/drive_turn.h"
#include "models/receipt_cells.h"
#include "support/catch.h"
#include "support/mounts.h"
#include "support/tree.h"
#include "tasks/bench.h"
#include "views/runs/lane_words.h"
#include "views/runs/runs_page.h"
#include "yard.h"

// Runs in their lanes, steered, in the real window.

using namespace tavlo;

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

TEST_CASE("what the button does not start, its key does not either, and why is said", "[window][runs]") {
    Yard yard;
    const auto words = [&] { return yard.driver->find<QLabel>("runWords")->text(); };
    const auto start = [&] {
        QTest::keyClick(yard.window.get(), Qt::Key_Return, Qt::ControlModifier);
        REQUIRE(yard.driver->settle());
    };
    yard.driver->click("placeBench");
    REQUIRE(yard.driver->settle());
    start();
    CHECK(words() == "Pick files and choose a destination first");
    yard.window->bench().replacePicks({yard.temp.path("one")});
    yard.window->bench().setDestination(yard.temp.path("one/deeper"));  // into itself
    QTest::keyClick(yard.window.get(), Qt::Key_Return, Qt::ControlModifier);
    CHECK(words() == "Not worked out yet");
    REQUIRE(yard.driver->settle());
    REQUIRE(yard.window->bench().plan());
    REQUIRE_FALSE(yard.window->bench().view().refusals.empty());
    const QString refusal = yard.window->bench().view().refusals.front();
    start();
    CHECK(yard.runs().lanes().empty());
    CHECK(words() == refusal);
    std::filesystem::create_directories(yard.temp.path("to"));
    std::filesystem::copy(yard.temp.path("one/part-0"), yard.temp.path("to/part-0"));  // the same already
    yard.window->bench().replacePicks({yard.temp.path("one/part-0")});
    yard.window->bench().setDestination(yard.temp.path("to"));
    REQUIRE(yard.driver->settle());
    start();
    CHECK(words() == "Nothing would be done");
    CHECK(yard.runs().lanes().empty());
    CHECK_FALSE(yard.temp.has("one/deeper"));
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
