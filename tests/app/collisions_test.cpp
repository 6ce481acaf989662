// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QListView>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QUndoStack>
#include <filesystem>

#include "files/path.h"
#include "keep/store.h"
#include "models/collision_models.h"
#include "support/catch.h"
#include "support/temp_folder.h"
#include "tasks/bench.h"
#include "tasks/looker_process.h"
#include "text.h"
#include "undo/take_back.h"
#include "views/collisions/collisions_page.h"
#include "window_driver.h"

using namespace tavlo;

namespace {

constexpr long day = 86'400;
constexpr long then = 1'900'000'000;

/// A window on a batch that meets what is there: n-* newer, o-* older, s-* the same, and twins.
struct Table {
    Table() {
        for (const char* name : {"n-1.pdf", "n-2.pdf", "n-3.jpg"}) meet(name, 3 * day, "incoming, longer");
        for (const char* name : {"o-1.pdf", "o-2.jpg"}) meet(name, -2 * day, "older");
        meet("s-1.pdf", day, "held");
        sources.push_back(temp.write("from/new.pdf", "new"));
        for (const char* twin : {"from/t.ods", "other/t.ods"}) sources.push_back(temp.write(twin, twin));
        window = std::make_unique<MainWindow>(temp.path("from"), temp.path("state"));
        window->resize(1280, 800);
        window->show();
        driver.emplace(*window);
        REQUIRE(driver->settle());
        bench().replacePicks(sources);
        bench().setDestination(temp.path("to"));
        driver->click("placeCollisions");
        settle();
    }
    void meet(const std::string& name, long newer, const std::string& bytes) {
        sources.push_back(temp.write("from/" + name, bytes));
        temp.write("to/" + name, "held");
        temp.date("from/" + name, then + newer);
        temp.date("to/" + name, then);
    }
    Bench& bench() const { return window->bench(); }
    void settle() const {
        REQUIRE(driver->settle());
        REQUIRE(WindowDriver::wait(
            [this] { return window->collisions().collisions().view()->plan == bench().plan(); }));
    }
    QListView* groups() const { return driver->find<QListView>("groupList"); }
    QString group(int row, int role = Qt::DisplayRole) const {
        return groups()->model()->index(row, 0).data(role).toString();
    }
    void goToGroup(const char* title) const {
        for (int row = 0; row < groups()->model()->rowCount(); ++row)
            if (group(row) == QString::fromUtf8(title))
                groups()->setCurrentIndex(groups()->model()->index(row, 0));
        REQUIRE(groups()->currentIndex().data().toString() == QString::fromUtf8(title));
    }
    void groupKey(Qt::Key key) const {
        driver->key("groupList", key);
        settle();
    }
    void pairKey(Qt::Key key, Qt::KeyboardModifiers modifiers = Qt::NoModifier) const {
        driver->key("pairList", key, modifiers);
        settle();
    }
    QString currentPair() const {
        return driver->find<RowView>("pairList")->currentIndex().siblingAtColumn(0).data().toString();
    }
    const Item& item(const std::string& source) const {
        for (const Item& one : bench().plan()->items)
            if (bench().plan()->source_path(one) == temp.path(source)) return one;
        FAIL("no item " << source);
        return bench().plan()->items.front();
    }
    std::uint64_t of(Outcome outcome) const { return bench().plan()->totals.of(outcome); }

    TempFolder temp;
    std::vector<std::string> sources;
    std::unique_ptr<MainWindow> window;
    std::optional<WindowDriver> driver;
};

}  // namespace

TEST_CASE("groups are decided in one stroke, exceptions one by one, and each stroke is undone",
          "[window][collisions]") {
    Table table;
    REQUIRE(table.groups()->model()->rowCount() == 4);
    CHECK(table.group(1) == "Incoming newer");
    CHECK(table.group(1, GroupModel::WordsRole) == "newer by up to 3 days");
    CHECK(table.group(1, GroupModel::CountRole) == "3 pairs");
    CHECK(table.of(Outcome::undecided) == 7);
    table.goToGroup("Incoming newer");
    table.groupKey(Qt::Key_2);
    CHECK(table.of(Outcome::overwritten) == 3);
    CHECK(table.groups()->currentIndex().data().toString() ==
          "Incoming older");  // the next that needs somebody
    table.goToGroup("Incoming newer");
    table.driver->clickRow("pairList", 1);
    table.pairKey(Qt::Key_1);  // an exception
    CHECK(table.item("from/n-2.pdf").outcome == Outcome::skipped);
    CHECK(table.group(1, GroupModel::OtherwiseRole) == "1 other");
    table.bench().history().undo();
    table.settle();
    CHECK(table.of(Outcome::overwritten) == 3);
    table.bench().history().undo();
    table.settle();
    CHECK(table.of(Outcome::undecided) == 7);
    table.bench().history().redo();
    table.settle();
    CHECK(table.of(Outcome::overwritten) == 3);
    // cut by kind, a stroke is for the part alone; so it is for what a filter leaves
    table.driver->find<QComboBox>("groupCut")->setCurrentIndex(static_cast<int>(Cut::kind));
    REQUIRE(WindowDriver::wait([&] { return table.groups()->model()->rowCount() == 6; }));
    table.goToGroup("Incoming newer · pictures");
    table.groupKey(Qt::Key_3);
    CHECK(table.item("from/n-3.jpg").outcome == Outcome::renamed);
    CHECK(table.of(Outcome::overwritten) == 2);
    table.driver->find<QComboBox>("groupCut")->setCurrentIndex(0);
    table.driver->type("pairFilter", QStringLiteral("o-2"));
    REQUIRE(WindowDriver::wait([&] { return table.groups()->model()->rowCount() == 1; }));
    table.goToGroup("Incoming older");
    table.groupKey(Qt::Key_1);
    CHECK(table.item("from/o-2.jpg").outcome == Outcome::skipped);
    CHECK(table.item("from/o-1.pdf").outcome == Outcome::undecided);
}

TEST_CASE("by keys alone: decide and go on, next and last undecided, through all groups",
          "[window][collisions]") {
    Table table;
    CHECK(table.currentPair() == "n-1.pdf");  // the first that needs somebody
    table.pairKey(Qt::Key_2);
    CHECK(table.currentPair() == "n-2.pdf");
    table.pairKey(Qt::Key_1);
    CHECK(table.currentPair() == "n-3.jpg");
    table.pairKey(Qt::Key_3);
    table.pairKey(Qt::Key_N);
    CHECK(table.currentPair() == "o-1.pdf");
    table.pairKey(Qt::Key_A, Qt::ControlModifier);
    table.pairKey(Qt::Key_1);  // both at once
    table.pairKey(Qt::Key_N);
    CHECK(table.currentPair() == "t.ods");
    table.pairKey(Qt::Key_2);  // this one gets it, so the other does not
    CHECK(table.of(Outcome::undecided) == 0);
    CHECK(table.of(Outcome::overwritten) == 1);
    CHECK(table.of(Outcome::renamed) == 1);
    CHECK(table.of(Outcome::skipped) == 5);  // n-2, two older, the same one, a twin
    CHECK(table.driver->find<QLabel>("namesSettled")->text() == "8 settled");
    table.pairKey(Qt::Key_0);
    CHECK(table.of(Outcome::undecided) == 1);
}

TEST_CASE("the pair that is looked at stays so while others come and go, and are decided",
          "[window][collisions]") {
    Table table;
    table.goToGroup("Incoming newer");
    table.driver->clickRow("pairList", 1);
    REQUIRE(table.currentPair() == "n-2.pdf");
    table.meet("a-0.pdf", 5 * day, "incoming, before all of them");
    table.bench().pick(table.temp.path("from"), {"a-0.pdf"});
    table.settle();
    CHECK(table.group(1, GroupModel::CountRole) == "4 pairs");
    CHECK(table.currentPair() == "n-2.pdf");
    table.bench().decide(
        {static_cast<ItemId>(&table.item("from/n-1.pdf") - table.bench().plan()->items.data())},
        Decision::skip);
    table.settle();
    CHECK(table.currentPair() == "n-2.pdf");
    table.bench().unpick(table.temp.path("from"), {"a-0.pdf"});
    table.settle();
    CHECK(table.currentPair() == "n-2.pdf");
    table.bench().unpick(table.temp.path("from"), {"n-2.pdf"});  // that one itself
    table.settle();
    CHECK(table.group(1, GroupModel::CountRole) == "2 pairs");
    CHECK(table.currentPair() == "n-3.jpg");  // n-1 is decided
}

TEST_CASE("new names: typed in place, by a scheme, for the one that is there, a decision is its pair's only",
          "[window][collisions]") {
    Table table;
    auto* name = table.driver->find<QLineEdit>("newName");
    CHECK(name->text() == "n-1-2.pdf");
    table.driver->type("newName", QStringLiteral("first, as it came.pdf"));
    table.driver->key("newName", Qt::Key_Return);
    table.settle();
    CHECK(table.bench().plan()->final_name(table.item("from/n-1.pdf")) == "first, as it came.pdf");
    table.bench().decide({table.bench().plan()->colliding.at(2)},
                         PairDecision{{}, Decision::rename, {}, {}, true});
    table.settle();
    const auto making_room =
        std::count_if(table.bench().plan()->items.begin(), table.bench().plan()->items.end(),
                      [](const Item& item) { return item.role == Role::makes_room; });
    CHECK(making_room == 1);
    // the pair changes: what was decided about it holds no longer, what was decided about others does
    table.temp.write("to/n-1.pdf", "held, and a day's work");
    table.bench().lookAgain();
    table.settle();
    CHECK(table.item("from/n-1.pdf").outcome == Outcome::undecided);
    CHECK(std::any_of(table.bench().plan()->items.begin(), table.bench().plan()->items.end(),
                      [](const Item& item) { return item.role == Role::makes_room; }));
}

TEST_CASE("the rule that the decisions amount to is offered in words, and becomes the batch's",
          "[window][collisions]") {
    Table table;
    auto* rule = table.driver->find<QPushButton>("makeRule");
    CHECK_FALSE(rule->isVisible());
    table.goToGroup("Incoming newer");
    table.groupKey(Qt::Key_2);
    table.goToGroup("Incoming older");
    table.groupKey(Qt::Key_1);
    REQUIRE(rule->isVisible());
    CHECK(rule->accessibleName() == "Make it a rule: newer: overwrite, older: skip");
    QTest::mouseClick(rule, Qt::LeftButton);
    table.settle();
    CHECK(table.bench().collisionRule() == CollisionRule::own);
    CHECK(table.bench().job().policy.when[static_cast<std::size_t>(Finding::newer)] == Decision::overwrite);
    CHECK(table.of(Outcome::overwritten) == 3);
    CHECK_FALSE(rule->isVisible());
}

TEST_CASE("what differs is found by the program that looks: lines, cells, bytes, hostile files harm nothing",
          "[look]") {
    TempFolder temp;
    PairLooker looker;
    std::optional<Differences> seen;
    QObject::connect(&looker, &PairLooker::compared,
                     [&](const Differences& differences) { seen = differences; });
    const auto compare = [&](const std::string& left, const std::string& right) {
        seen.reset();
        looker.lookAt(left, right);
        REQUIRE(WindowDriver::wait([&] { return seen.has_value(); }));
        return *seen;
    };
    using How = Differences::How;
    const auto text =
        compare(temp.write("a.txt", "one\ntwo\nthree\n"), temp.write("b.txt", "one\n2\nthree\nfour\n"));
    REQUIRE(text.rows.size() == 4);
    CHECK(text.rows[0].how == How::same);
    CHECK(text.rows[1].how == How::changed);
    CHECK(text.rows[1].right == "2");
    CHECK(text.rows[3].how == How::only_right);
    CHECK(text.first == 4);
    const auto cells = compare(temp.write("a.csv", "quay,rate\nnorth,41\nslip,\"1,5\"\n"),
                               temp.write("b.csv", "quay,rate\nnorth,40\nslip,\"1,5\"\n"));
    CHECK(cells.cells);
    REQUIRE(cells.rows.size() == 1);
    CHECK(cells.rows[0].left == "B2   41");
    const auto bytes = compare(temp.write("a.bin", std::string(3'000'000, '\0') + "x"),
                               temp.write("b.bin", std::string(3'000'000, '\0') + "y"));
    CHECK(bytes.rows.empty());
    CHECK(bytes.first == 3'000'000);
    CHECK(compare(temp.path("a.bin"), temp.path("a.bin")).first == -1);
    CHECK_FALSE(compare(temp.path("a.bin"), temp.path("missing")).known);
    const auto line_ends = compare(temp.write("unix.txt", "a\nb\n"), temp.write("dos.txt", "a\r\nb\r\n"));
    CHECK(std::all_of(line_ends.rows.begin(), line_ends.rows.end(),
                      [](const auto& row) { return row.how == How::same; }));
    CHECK(line_ends.first == 1);
    const auto damaged = compare(temp.write("a.ods", "PK\x03\x04 nonsense"),
                                 temp.write("b.ods", std::string(100'000, '\xff')));
    CHECK(damaged.known);
    CHECK_FALSE(damaged.cells);
}

TEST_CASE("what a run left undecided, or met on its way, is settled here, and that run goes on with it",
          "[window][collisions]") {
    Table table;
    table.temp.write(
        "to/new.pdf",
        "taken by somebody while the plan stood");  // nobody looks: the watch is of the other page
    table.driver->click("start");
    table.settle();
    CHECK(table.of(Outcome::undecided) == 8);  // the new one too
    CHECK(table.temp.read("to/new.pdf") == "taken by somebody while the plan stood");
    table.goToGroup("Incoming newer");
    table.groupKey(Qt::Key_2);
    table.goToGroup("Incoming older");
    table.groupKey(Qt::Key_3);
    table.driver->click("start");
    table.settle();
    CHECK(table.temp.read("to/n-2.pdf") == "incoming, longer");
    CHECK(table.temp.read("to/o-1-2.pdf") == "older");
    const auto store = Store::open(table.temp.path("state"));
    const auto receipts = *(*store)->receipts();
    REQUIRE(receipts.size() == 1);
    CHECK(receipts[0].totals.of(Outcome::overwritten) >= 3);
    CHECK(receipts[0].totals.of(Outcome::undecided) == 2);  // the twins
    (void)empty_safe(*make_disk(), **store);
}
