// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QComboBox>
#include <QDesktopServices>
#include <QLabel>
#include <QListView>
#include <QMenu>
#include <QPushButton>
#include <filesystem>

#include "desk.h"
#include "support/catch.h"
#include "support/fact_files.h"
#include "support/jobs.h"
#include "tasks/bench.h"
#include "tasks/instruction_file.h"
#include "views/bench/folder_level_row.h"
#include "views/bench/folder_levels_panel.h"
#include "views/collisions/collisions_page.h"
#include "views/parts/opening.h"

// Photos sorted by year and town, as somebody does it in the window.

using namespace tavlo;

namespace {

constexpr std::pair<double, double> inverness{57.49, -4.22};
constexpr std::pair<double, double> torshavn{62.01, -6.77};

/// Sixty photos of three years and two towns; every twelfth knows no date, and the tenth no place.
void make_photos(const TempFolder& temp) {
    for (int at = 1; at <= 60; ++at) {
        Photo photo;
        if (at % 12 != 0)
            photo.taken = std::to_string(2029 + at % 3) + ":05:0" + std::to_string(1 + at % 9) + " 09:14:07";
        if (at != 10) photo.place = at % 2 == 0 ? inverness : torshavn;
        photo.behind = std::to_string(at);
        temp.write("desk/photos/quay-" + std::to_string(100 + at) + ".jpg", photo_bytes(photo));
    }
}

/// What the desktop was asked to open.
class Opened : public QObject {
    Q_OBJECT
public:
    Opened() { QDesktopServices::setUrlHandler(QStringLiteral("file"), this, "take"); }
    ~Opened() override { QDesktopServices::unsetUrlHandler(QStringLiteral("file")); }
    QList<QUrl> all;
public slots:
    void take(const QUrl& url) { all << url; }
};

}  // namespace

TEST_CASE("photos are sorted by year and town, one is corrected, opened, and all come back",
          "[window][sort]") {
    Desk desk;
    make_photos(desk.temp);
    desk.temp.folder("desk/archive");
    const std::string to = desk.temp.path("desk/archive");
    desk.open();
    Bench& bench = desk.window->bench();
    bench.setOperation(Operation::move);
    bench.replacePicks({desk.temp.path("desk/photos")});
    bench.setDestination(to);
    REQUIRE(desk.driver->settle());
    desk.stroke(Qt::Key_S, Qt::ControlModifier | Qt::ShiftModifier);
    CHECK(desk.driver->find<QWidget>("folderLevels")->isVisible());
    CHECK(bench.job().structure.sort_into ==
          "{taken:%Y|=undated}/{town|country|=no place}");  // as photos usually are
    auto* panel = desk.driver->find<FolderLevelsPanel>("folderLevels");
    desk.driver->find<QPushButton>("levelSets")->menu()->aboutToShow();
    desk.driver->find<QPushButton>("levelSets")->menu()->actions().front()->trigger();  // pictures: year,
                                                                                        // then town
    REQUIRE(desk.driver->settle());
    CHECK(desk.sentence().contains(QStringLiteral("in folders by year taken, then town, or else country")));
    CHECK(bench.view().files == 60);
    const auto rows = panel->findChildren<FolderLevelRow*>();
    REQUIRE(rows.size() == 2);
    CHECK(rows[0]->accessibleName().contains(QStringLiteral("year taken")));
    const auto& plan = *bench.plan();
    CHECK(plan.totals.items ==
          60 + 4 + 2 + 2 + 2 + 1 +
              1);  // years or none, two towns in each year, one without, one place unknown
    CHECK(desk.rowOf(QStringLiteral("undated/")) >= 0);
    CHECK(desk.rowOf(QStringLiteral("2030/")) >= 0);

    // the one without a place is said to be of a town; that can be undone
    const auto lost = [&] {
        for (ItemId id = 0; id < bench.plan()->items.size(); ++id)
            if (bench.plan()->name(bench.plan()->items[id]) == "quay-110.jpg") return id;
        return no_item;
    };
    CHECK(bench.plan()->final_path(bench.plan()->items[lost()]) == to + "/2030/no place/quay-110.jpg");
    bench.sayFact({lost()}, "town", std::string("Elgin"));
    REQUIRE(desk.driver->settle());
    CHECK(bench.plan()->final_path(bench.plan()->items[lost()]) == to + "/2030/Elgin/quay-110.jpg");
    bench.history().undo();
    REQUIRE(desk.driver->settle());
    CHECK(bench.plan()->final_path(bench.plan()->items[lost()]) == to + "/2030/no place/quay-110.jpg");
    bench.history().redo();
    REQUIRE(desk.driver->settle());

    CHECK(bench.view().refusals.empty());
    CHECK(desk.driver->find<QPushButton>("start")->isEnabled());
    desk.driver->click("start");
    const std::string receipt = desk.finished();
    CHECK(desk.temp.has("desk/archive/2030/Elgin/quay-110.jpg"));
    CHECK(desk.temp.has("desk/archive/undated/Inverness/quay-112.jpg"));
    CHECK(desk.temp.has("desk/archive/2029/T\u00f3rshavn/quay-101.jpg") !=
          desk.temp.has("desk/archive/2030/T\u00f3rshavn/quay-101.jpg"));
    const auto head = value(value(Store::open(desk.temp.path("state")))->receipt(receipt));
    CHECK(head.sentence.find("in folders by year taken, then town") != std::string::npos);
    bool undone = false;
    desk.window->runs().undoAtOnce(receipt, QStringLiteral("Undo it."),
                                   [&](const RunEnd&) { undone = true; });
    REQUIRE(WindowDriver::wait([&] { return undone; }));
    CHECK(desk.temp.has("desk/photos/quay-110.jpg"));
    CHECK(std::filesystem::is_empty(to));
}

TEST_CASE("levels are added, moved by keys and typed, what means nothing is said and changes nothing",
          "[window][sort]") {
    Desk desk;
    for (const char* file : {"desk/in/a.pdf", "desk/in/b.txt"}) desk.temp.write(file, file);
    desk.open();
    Bench& bench = desk.window->bench();
    bench.replacePicks({desk.temp.path("desk/in")});
    bench.setDestination(desk.temp.path("desk/to"));
    REQUIRE(desk.driver->settle());
    desk.stroke(Qt::Key_S, Qt::ControlModifier | Qt::ShiftModifier);
    REQUIRE(desk.driver->settle());
    CHECK(bench.job().structure.sort_into == "{kind|=other}/{initial}");  // nothing in them tells more
    auto* panel = desk.driver->find<FolderLevelsPanel>("folderLevels");
    QTest::keyClick(panel->findChildren<FolderLevelRow*>()[0]->findChild<QComboBox*>(), Qt::Key_Down,
                    Qt::AltModifier);
    REQUIRE(desk.driver->settle());
    CHECK(bench.job().structure.sort_into == "{initial}/{kind|=other}");
    desk.driver->find<QPushButton>("addLevel")->menu()->aboutToShow();
    desk.driver->find<QPushButton>("addLevel")->menu()->actions().back()->trigger();  // text with facts in
                                                                                      // braces
    desk.driver->type("levelText", QStringLiteral("by {townn}"));
    REQUIRE(desk.driver->settle());
    CHECK(bench.job().structure.sort_into == "{initial}/{kind|=other}/by ");  // as far as it could be read
    CHECK(desk.driver->find<QLabel>("levelsNote")->text().contains(QStringLiteral("townn")));
    desk.driver->type("levelText", QStringLiteral("by {owner}"));
    REQUIRE(desk.driver->settle());
    CHECK(bench.job().structure.sort_into == "{initial}/{kind|=other}/by {owner}");
    desk.driver->click("noLevels");
    REQUIRE(desk.driver->settle());
    CHECK(bench.job().structure == Structure{});
    CHECK_FALSE(panel->isVisible());
}

TEST_CASE("levels are kept under a name, and a fact is said of what is selected", "[window][sort]") {
    Desk desk;
    desk.temp.write("desk/in/a.jpg", photo_bytes({.taken = "2031:05:02 09:14:07"}));
    desk.temp.write("desk/in/b.jpg", photo_bytes({.taken = "2030:05:02 09:14:07", .place = inverness}));
    desk.open();
    Bench& bench = desk.window->bench();
    bench.replacePicks({desk.temp.path("desk/in")});
    bench.setDestination(desk.temp.path("desk/to"));
    Structure sorted;
    sorted.sort_into = "{town}/{taken:%Y-%m}";
    bench.setStructure(sorted);
    REQUIRE(desk.driver->settle());
    CHECK(desk.driver->find<QWidget>("folderLevels")->isVisible());
    Desk::willAnswer(QStringLiteral("By town"));
    desk.entry("levelSets", QStringLiteral("Keep these under a name\u2026"))->trigger();
    desk.driver->click("noLevels");
    REQUIRE(desk.driver->settle());
    CHECK(bench.plan()->totals.items == 3);
    desk.entry("levelSets", QStringLiteral("By town"))->menu()->actions().front()->trigger();
    REQUIRE(desk.driver->settle());
    CHECK(bench.job().structure.sort_into == "{town}/{taken:%Y-%m}");
    CHECK(desk.temp.path("desk/to/unknown/2031-05/a.jpg") ==
          bench.plan()->final_path(bench.plan()->items[2]));
    bench.sayFact({2}, "taken", *moment_from("1999"));
    bench.sayFact({2}, "town", std::string("Elgin"));
    REQUIRE(desk.driver->settle());
    CHECK(desk.temp.path("desk/to/Elgin/1999-01/a.jpg") == bench.plan()->final_path(bench.plan()->items[2]));
    bench.sayFact({2}, "town", std::nullopt);
    REQUIRE(desk.driver->settle());
    CHECK(desk.temp.path("desk/to/unknown/1999-01/a.jpg") ==
          bench.plan()->final_path(bench.plan()->items[2]));
    CHECK(fact_from_text(*known_fact("track"), "7 of 12").error().fault == Fault::refused);
    CHECK(fact_from_text(*known_fact("taken"), "soon").error().fault == Fault::refused);
}

TEST_CASE("what is there under another name has a clause of its own, and a group among what is to be decided",
          "[window][elsewhere]") {
    Desk desk;
    desk.temp.write("desk/in/a.pdf", "the same bytes");
    desk.temp.write("desk/in/new.pdf", "new");
    desk.temp.write("desk/to/deep/b.pdf", "the same bytes");
    desk.open();
    Bench& bench = desk.window->bench();
    bench.replacePicks({desk.temp.path("desk/in/a.pdf"), desk.temp.path("desk/in/new.pdf")});
    bench.setDestination(desk.temp.path("desk/to"));
    REQUIRE(desk.driver->settle());
    CHECK_FALSE(desk.sentence().contains(QStringLiteral("another name")));
    bench.setElsewhere(Decision::skip);
    REQUIRE(desk.driver->settle());
    CHECK(desk.sentence().contains(QStringLiteral("what is already there under another name is skipped")));
    CHECK(bench.plan()->totals.of(Outcome::skipped) == 1);
    CHECK(bench.collisionRule() == CollisionRule::ask);
    bench.setCollisionRule(CollisionRule::newer_wins);  // which says nothing of it
    REQUIRE(desk.driver->settle());
    CHECK(bench.plan()->totals.of(Outcome::skipped) == 1);
    bench.setElsewhere(Decision::undecided);
    REQUIRE(desk.driver->settle());
    CHECK(bench.plan()->totals.of(Outcome::undecided) == 1);
    desk.driver->click("placeCollisions");
    REQUIRE(WindowDriver::wait(
        [&] { return desk.window->collisions().collisions().view()->plan == bench.plan(); }));
    desk.driver->key("groupList", Qt::Key_2);  // come in: there is nothing to be overwritten
    REQUIRE(desk.driver->settle());
    CHECK(bench.plan()->totals.of(Outcome::created) == 2);
    CHECK(bench.plan()->items[bench.plan()->colliding.front()].collision->decision == Decision::rename);
    bench.setElsewhere(std::nullopt);
    REQUIRE(desk.driver->settle());
    CHECK(bench.plan()->colliding.empty());
}

TEST_CASE("what was said of facts outlasts the window", "[sort]") {
    Instruction asked;
    asked.job.structure.sort_into = "{town}";
    SaidFacts said{{1, 2, 3, 4}, {}};
    said.facts.correct("town", std::string("Elgin"));
    said.facts.correct("taken", *moment_from("2031:05:02"));
    asked.said.emplace("/in/a", said);
    const auto read = value(instruction_from_text(to_text(asked), "/state/instruction"));
    CHECK(read.said == asked.said);
    CHECK(read.job == asked.job);
}

TEST_CASE("things are opened in their own programs, whatever bytes their names have", "[window]") {
    CHECK(file_address("/a b/\xff#?.pdf").toEncoded() == "file:///a%20b/%FF%23%3F.pdf");
    Opened opened;
    Desk desk;
    desk.temp.write("desk/a.pdf", "a");
    desk.open();
    desk.driver->clickRow("folderList", 0);
    desk.stroke(Qt::Key_Return);
    REQUIRE(opened.all.size() == 1);
    CHECK(opened.all[0] == file_address(desk.temp.path("desk/a.pdf")));
    CHECK(desk.window->bench().picks().empty());
}

#include "sort_test.moc"
