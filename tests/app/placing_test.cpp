// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QAction>
#include <QLabel>
#include <QPrinter>
#include <QPushButton>
#include <QSettings>
#include <filesystem>

#include "keep/store.h"
#include "run/run.h"
#include "support/catch.h"
#include "support/temp_folder.h"
#include "support/tree.h"
#include "tasks/bench.h"
#include "tasks/outcome_export.h"
#include "tasks/runs.h"
#include "undo/take_back.h"
#include "views/bench/destination_panel.h"
#include "views/gathering/gathering_side.h"
#include "views/outcome/outcome_side.h"
#include "views/parts/printing.h"
#include "window_driver.h"

using namespace tavlo;

namespace {

struct PlacingDesk {
    PlacingDesk() {
        for (const char* file :
             {"from/2031/May/a.pdf", "from/2030/June/b.pdf", "to/2031/May/old.pdf", "to/list.ods"})
            temp.write(file, file);
        window.emplace(temp.path("from"), temp.path("state"));
        window->resize(1280, 800);
        window->show();
        driver.emplace(*window);
        REQUIRE(driver->settle());
        window->bench().replacePicks({temp.path("from/2031/May/a.pdf"), temp.path("from/2030/June/b.pdf")});
        window->bench().setDestination(temp.path("to"));
        REQUIRE(driver->settle());
    }
    ~PlacingDesk() {
        window.reset();
        if (const auto store = Store::open(temp.path("state"))) (void)empty_safe(*make_disk(), **store);
    }
    QString sentence() const { return driver->find<QWidget>("instruction")->accessibleName(); }

    TempFolder temp;
    std::optional<MainWindow> window;
    std::optional<WindowDriver> driver;
};

}  // namespace

TEST_CASE(
    "folders that things come from are kept from a level on, and what else is there leaves, and comes back",
    "[window][placing]") {
    PlacingDesk place;
    const Tree before = tree_of(place.temp.path("to"), {.folder_times = false});
    place.driver->chooseFromMenu("phraseShape", QStringLiteral("Kept below from: 20"));
    REQUIRE(place.driver->settle());
    CHECK(place.sentence().contains(QStringLiteral("keeping folders below from")));
    place.driver->chooseFromMenu("phraseShape", QStringLiteral("Nothing extra"));
    REQUIRE(place.driver->settle());
    CHECK(place.sentence().contains(QStringLiteral("leaving nothing extra there (2 go)")));
    const int leaving = place.driver->rowNamed("outcomeList", QStringLiteral("list.ods"));
    const QModelIndex row = place.window->outcome().model().index(leaving, 0);
    CHECK(row.data(OutcomeModel::KindRole).toInt() == OutcomeModel::Leaving);
    CHECK(row.data(OutcomeModel::TagRole).toString() == QStringLiteral("to the Safe"));
    place.driver->click("share8");
    CHECK(place.window->outcome().model().rowCount() == 2);
    place.driver->click("share8");
    place.driver->click("start");
    REQUIRE(place.driver->settle());
    CHECK(place.temp.has("to/2031/May/a.pdf"));
    CHECK(place.temp.has("to/2030/June/b.pdf"));
    CHECK_FALSE(place.temp.has("to/2031/May/old.pdf"));
    CHECK_FALSE(place.temp.has("to/list.ods"));
    const auto store = Store::open(place.temp.path("state"));
    const auto undone = carry_out(*make_disk(), **store,
                                  *prepare_undo(*make_disk(), **store, (*store)->receipts()->front().id), {});
    REQUIRE(undone);
    CHECK(tree_of(place.temp.path("to"), {.folder_times = false}) == before);
}

TEST_CASE("a move says where attributes may be lost, once that was asked for, and a click takes it back",
          "[window][placing]") {
    PlacingDesk place;
    place.window->bench().setOperation(Operation::move);
    REQUIRE(place.driver->settle());
    CHECK_FALSE(place.sentence().contains(QStringLiteral("attributes")));
    place.driver->chooseFromMenu("phraseItems", QStringLiteral("Move also what would lose"));
    REQUIRE(place.driver->settle());
    CHECK(
        place.sentence().contains(QStringLiteral(", even where attributes are lost; where a name is taken")));
    CHECK(place.window->bench().plan()->may_lose);
    place.window->bench().setOperation(Operation::copy);
    REQUIRE(place.driver->settle());
    CHECK_FALSE(place.sentence().contains(QStringLiteral("attributes")));
    place.window->bench().setOperation(Operation::move);
    REQUIRE(place.driver->settle());
    place.driver->click("phraseLosing");
    REQUIRE(place.driver->settle());
    CHECK_FALSE(place.window->bench().job().may_lose);
    CHECK_FALSE(place.sentence().contains(QStringLiteral("attributes")));
}

TEST_CASE("what was said for one run is not left over for the next", "[window][placing]") {
    PlacingDesk place;
    place.temp.write("other/precious.txt", "the only copy");
    place.temp.write("from/2031/May/next.pdf", "next");
    Bench& bench = place.window->bench();
    bench.setOperation(Operation::move);
    bench.setClearing(Clearing::all);
    bench.setCollisionRule(CollisionRule::incoming_wins);
    tavlo::Structure flat;
    flat.flatten = true;
    bench.setStructure(flat);
    tavlo::Naming naming;
    naming.steps = {tavlo::Affix{"old "}};
    bench.setNaming(naming);
    REQUIRE(place.driver->settle());
    REQUIRE(place.driver->find<QPushButton>("start")->isEnabled());
    place.driver->click("start");
    CHECK(bench.job().clearing == Clearing::none);  // at once: it was that run's
    REQUIRE(place.driver->settle());
    REQUIRE(place.temp.has("to/old a.pdf"));  // it was carried out as it was said
    REQUIRE_FALSE(place.temp.has("to/2031/May/old.pdf"));
    REQUIRE(bench.picks().empty());
    CHECK(bench.job().operation == Operation::copy);
    CHECK(bench.job().naming.empty());
    CHECK(bench.job().structure == Structure{});
    CHECK(bench.collisionRule() == CollisionRule::ask);
    CHECK_FALSE(bench.history().canUndo());

    bench.replacePicks({place.temp.path("from/2031/May/next.pdf")});
    bench.setDestination(place.temp.path("other"));
    REQUIRE(place.driver->settle());
    CHECK_FALSE(place.sentence().contains(QStringLiteral("empt"), Qt::CaseInsensitive));
    place.driver->click("start");
    REQUIRE(place.driver->settle());
    CHECK(place.temp.read("other/precious.txt") == "the only copy");
    CHECK(place.temp.read("other/next.pdf") == "next");
    CHECK(place.temp.has("from/2031/May/next.pdf"));
}

TEST_CASE("the outcome is printed, long ones up to a number of lines", "[window][placing]") {
    PlacingDesk place;
    const auto& tree = *place.window->bench().view().outcome;
    CHECK(outcome_as_html(tree, 100).contains(QStringLiteral("<b>a.pdf</b>")));
    CHECK(outcome_as_html(tree, 2).contains(QStringLiteral("2 more lines")));
    QPrinter printer;
    printer.setOutputFormat(QPrinter::PdfFormat);
    printer.setOutputFileName(QString::fromStdString(place.temp.path("outcome.pdf")));
    print_html(printer, outcome_as_html(tree, 100));
    CHECK(place.temp.read("outcome.pdf").starts_with("%PDF-"));
}

TEST_CASE("destinations are kept at hand until they are let go, byte for byte", "[window][placing]") {
    const std::string path = "/somewhere/Permits \xff, and more";
    pin_destination(path, true);
    pin_destination(path, true);
    const auto pinned = pinned_destinations();
    CHECK(std::count(pinned.begin(), pinned.end(), path) == 1);
    pin_destination(path, false);
    CHECK(pinned_destinations().size() == pinned.size() - 1);
}

TEST_CASE(
    "a copy begins while it is counted where somebody asked for that, and its totals say that they still "
    "grow",
    "[window][placing]") {
    PlacingDesk place;
    for (int i = 0; i < 3000; ++i)
        place.temp.write("many/" + std::to_string(i % 30) + "/f" + std::to_string(i), "x");
    place.temp.write("to/many/3/f3", "held");
    auto* setting = place.window->findChild<QAction*>(QStringLiteral("withoutWaiting"));
    setting->setChecked(true);
    place.window->bench().setDestination(place.temp.path("to"));
    place.window->bench().replacePicks({place.temp.path("many")});
    CHECK(place.window->bench().isCounting());
    CHECK(place.driver->find<QPushButton>("start")->text() == "Copy, while counting");
    place.driver->click("start");
    REQUIRE(place.driver->settle());
    CHECK(place.temp.read("to/many/29/f2999") == "x");
    CHECK(place.temp.read("to/many/3/f3") == "held");
    const auto store = Store::open(place.temp.path("state"));
    const auto heads = *(*store)->receipts();
    REQUIRE(heads.size() == 1);
    CHECK(heads[0].totals.items == 3031);
    CHECK(heads[0].totals.of(Outcome::undecided) == 1);
    CHECK(place.window->bench().picks().count() == 1);  // with something undecided in it, it stays in hand
    setting->setChecked(false);
}

TEST_CASE("a destination that is typed relative is meant from the folder on view, and said in full",
          "[window][placing]") {
    PlacingDesk place;
    place.temp.write("office/Inbox/a", "a");
    place.temp.write("office/Archive/kept", "kept");
    place.window->gathering().openFolder(place.temp.path("office/Inbox"));
    REQUIRE(place.driver->settle());
    place.driver->click("phraseDestination");
    auto* line = place.driver->find<QLineEdit>("destinationPath");
    auto* note = place.driver->find<QLabel>("destinationNote");
    line->clear();
    QTest::keyClicks(line, QStringLiteral("../Archive/2031/Permits"));
    const QString whole = QString::fromStdString(place.temp.path("office/Archive/2031/Permits"));
    REQUIRE(WindowDriver::wait([&] {
        return note->text().contains(whole + QStringLiteral(": the run will make the last 2 folders"));
    }));
    QTest::keyClick(line, Qt::Key_Return);
    CHECK(place.window->bench().job().into == place.temp.path("office/Archive/2031/Permits"));
}
