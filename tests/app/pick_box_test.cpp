// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <filesystem>
#include <random>
#include <set>

#include "numbered_desk.h"
#include "support/catch.h"
#include "tasks/bench.h"
#include "views/gathering/gathering_side.h"
#include "window_driver.h"

using namespace tavlo;

// What is picked by typing, and the batch that it makes.

namespace {

std::string name_of_number(int number) {
    char name[40];
    std::snprintf(name, sizeof name, "permit-%04d-quay.pdf", number);
    return name;
}

}  // namespace

TEST_CASE("sixty of five hundred, typed as numbers at full speed: few keys, no wrong pick",
          "[window][pick]") {
    NumberedDesk desk(500);
    std::mt19937 random(7);
    std::set<int> wanted;
    while (wanted.size() < 60) wanted.insert(200 + static_cast<int>(random() % 500));
    auto* box = desk.driver->find<QLineEdit>("pickBox");
    box->setFocus();
    int strokes = 0;
    for (const int number : wanted) {  // read off paper, three digits and Return, nothing waited for
        QTest::keyClicks(box, QString::number(number));
        QTest::keyClick(box, Qt::Key_Return);
        strokes += 4;
    }
    CHECK(strokes == 240);
    CHECK(desk.picks() == 60);
    for (const int number : wanted) CHECK(desk.picked(name_of_number(number)));
    CHECK(box->text().isEmpty());
    CHECK(desk.model().rowCount() == 500);
}

TEST_CASE("the pick box adds nothing by a key that came too early", "[window][pick]") {
    NumberedDesk desk(100);  // 0200 to 0299
    auto* box = desk.driver->find<QLineEdit>("pickBox");
    QTest::keyClicks(box, QStringLiteral("24"));
    CHECK(desk.model().rowCount() == 11);  // 0224 and 0240 to 0249
    QTest::keyClick(box, Qt::Key_Return);
    CHECK(desk.picks() == 0);
    CHECK(desk.label("pickState").contains(QStringLiteral("nothing added")));
    QTest::keyClicks(box, QStringLiteral("7"));  // typed on: one is left
    QTest::keyClick(box, Qt::Key_Return);
    CHECK(desk.picked("permit-0247-quay.pdf"));
    // leading zeros or not; among several the arrows choose
    QTest::keyClicks(box, QStringLiteral("0299"));
    QTest::keyClick(box, Qt::Key_Return);
    CHECK(desk.picked("permit-0299-quay.pdf"));
    QTest::keyClicks(box, QStringLiteral("25"));
    QTest::keyClick(box, Qt::Key_Down);
    QTest::keyClick(box, Qt::Key_Down);
    QTest::keyClick(box, Qt::Key_Return);
    CHECK(desk.picks() == 3);
    // none: what was typed stays, and is said; the next name replaces it
    QTest::keyClicks(box, QStringLiteral("999"));
    QTest::keyClick(box, Qt::Key_Return);
    CHECK(desk.picks() == 3);
    CHECK(box->text() == QStringLiteral("999"));
    CHECK(desk.label("pickState").contains(QStringLiteral("999")));
    QTest::keyClicks(box, QStringLiteral("211"));
    QTest::keyClick(box, Qt::Key_Return);
    CHECK(desk.picked("permit-0211-quay.pdf"));
    CHECK(desk.label("pickMissing").contains(QStringLiteral("999")));
    // the last one can be taken back beside the box
    QTest::qWait(20);
    desk.driver->click("pickTakeBack");
    CHECK_FALSE(desk.picked("permit-0211-quay.pdf"));
}

TEST_CASE("sixty of five hundred, as a pasted list: nothing is added before it is confirmed",
          "[window][pick]") {
    NumberedDesk desk(500);
    QString list;
    for (int i = 0; i < 57; ++i) list += QString::number(200 + 7 * i) + QLatin1Char('\n');
    list += QStringLiteral("690-691\n\"permit-0699-quay.pdf\", 1200\nquay\n");
    QApplication::clipboard()->setText(list);
    desk.driver->click("pasteList");
    REQUIRE(
        WindowDriver::wait([&] { return desk.label("listCounts").contains(QStringLiteral("60 found")); }));
    CHECK(desk.label("listCounts").contains(QStringLiteral("1 not found")));
    CHECK(desk.label("listCounts").contains(QStringLiteral("1 still to choose")));
    CHECK(desk.picks() == 0);
    desk.driver->click("listCopy");
    CHECK(QApplication::clipboard()->text().contains(QStringLiteral("1200\tnot found")));
    desk.driver->click("listAdd");
    CHECK(desk.picks() == 60);
    CHECK(desk.picked("permit-0699-quay.pdf"));
    REQUIRE(desk.driver->settle());
    // taken back as one
    desk.window->bench().history().undo();
    CHECK(desk.picks() == 0);
}

TEST_CASE("changes of the batch are undone and done again, and the batch outlasts the window",
          "[window][batch]") {
    NumberedDesk desk(20);
    const auto& driver = *desk.driver;
    driver.clickMark(3);
    driver.clickMark(5);
    desk.window->gathering().pickShown();
    REQUIRE(WindowDriver::wait([&] { return desk.picks() == 20; }));
    auto& history = desk.window->bench().history();
    history.undo();
    CHECK(desk.picks() == 2);
    history.undo();
    CHECK(desk.picks() == 1);
    history.redo();
    CHECK(desk.picks() == 2);
    REQUIRE(driver.settle());
    desk.temp.write("desk/permit-9999-gone.pdf", "x");
    desk.window->bench().pick(desk.temp.path("desk"), {"permit-9999-gone.pdf"});
    REQUIRE(driver.settle());
    std::filesystem::remove(desk.temp.path("desk/permit-9999-gone.pdf"));
    desk.open();  // as after a restart
    CHECK(desk.picks() == 2);
    CHECK(desk.picked("permit-0203-quay.pdf"));
    CHECK(desk.label("runWords").contains(QStringLiteral("no longer there")));
    // what is in hand, as a list, and out of it again
    desk.driver->click("asInHand");
    REQUIRE(WindowDriver::wait(
        [&] { return desk.driver->find<RowView>("batchList")->model()->rowCount() == 2; }));
    desk.driver->clickRow("batchList", 0);
    desk.driver->key("batchList", Qt::Key_Delete);
    CHECK(desk.picks() == 1);
    CHECK(desk.temp.has("desk/permit-0203-quay.pdf"));  // out of the batch, not into the trash
}
