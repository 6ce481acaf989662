// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QClipboard>
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QMenu>
#include <QPushButton>
#include <filesystem>
#include <optional>
#include <utility>

#include "desk.h"
#include "keep/store.h"
#include "models/folder_model.h"
#include "models/outcome_model.h"
#include "support/catch.h"
#include "support/environment.h"
#include "support/temp_folder.h"
#include "support/tree.h"
#include "tasks/bench.h"
#include "tasks/runs.h"
#include "views/bench/example_names.h"
#include "views/gathering/gathering_side.h"
#include "views/outcome/outcome_side.h"

// New names where things are, and removing, as somebody does it in the window.

using namespace tavlo;

namespace {

std::string numbered(int number) {
    return "scan-" + std::string(number < 10 ? "00" : "0") + std::to_string(number) + ".pdf";
}

}  // namespace

TEST_CASE(
    "forty names get a word in front and a number, in few strokes, and the undo gives the old ones back",
    "[window][rename]") {
    Desk desk;
    for (int at = 1; at <= 40; ++at) desk.temp.write("desk/" + numbered(at), std::to_string(at));
    const Tree before = tree_of(desk.temp.path("desk"), {.folder_times = false});
    desk.open();
    desk.driver->clickRow("folderList", 0);
    desk.stroke(Qt::Key_A, Qt::ControlModifier | Qt::ShiftModifier);  // picks all
    desk.stroke(Qt::Key_R, Qt::ControlModifier);
    CHECK(desk.driver->find<QWidget>("nameSteps")->isVisible());
    QTest::keyClicks(QApplication::focusWidget(), QStringLiteral("permit-"));
    desk.stroke(Qt::Key_Return);
    REQUIRE(WindowDriver::wait([] { return QApplication::activePopupWidget() != nullptr; }));
    desk.stroke(Qt::Key_A);  // named anew: {name}-{n:3}{ext}
    REQUIRE(desk.driver->settle());
    CHECK(desk.sentence() == QStringLiteral("Give 40 items in desk new names: permit- in front, then named "
                                            "{name}-{n:3}{ext}; where a name is "
                                            "taken, ask me."));
    CHECK(desk.driver->find<QPushButton>("start")->text() == QStringLiteral("Rename 40 items"));
    const auto& examples = desk.driver->find<ExampleNames>("nameExamples")->examples();
    REQUIRE_FALSE(examples.empty());
    CHECK(examples.front() == ExampleNames::Example{QStringLiteral("scan-001.pdf"),
                                                    QStringLiteral("permit-scan-001-001.pdf"),
                                                    ExampleNames::Kind::changes});
    const int row = desk.rowOf(QStringLiteral("permit-scan-001-001.pdf"));
    REQUIRE(row >= 0);
    CHECK(desk.cell(row + 1, OutcomeModel::NameColumn) ==
          QStringLiteral("scan-001.pdf"));  // the old one below it
    CHECK(tree_of(desk.temp.path("desk"), {.folder_times = false}) == before);
    desk.stroke(Qt::Key_Return, Qt::ControlModifier);
    const std::string id = desk.finished();
    CHECK(desk.strokes <= 20);
    for (int at = 1; at <= 40; ++at)
        CHECK(desk.temp.read("desk/permit-" + numbered(at).substr(0, 8) + "-" + numbered(at).substr(5)) ==
              std::to_string(at));
    desk.window->runs().undoAtOnce(id, QStringLiteral("undo"), [](const RunEnd&) {});
    REQUIRE(WindowDriver::wait(
        [&] { return tree_of(desk.temp.path("desk"), {.folder_times = false}) == before; }));
}

TEST_CASE(
    "numbers are shifted and two names traded by a pasted table, what fits nothing is said, the one that "
    "stays is a collision",
    "[window][rename]") {
    Desk desk;
    for (int at = 1; at <= 4; ++at) desk.temp.write("desk/" + numbered(at), std::to_string(at));
    desk.open();
    desk.window->bench().replacePicks(
        {desk.temp.path("desk/scan-001.pdf"), desk.temp.path("desk/scan-002.pdf")});
    REQUIRE(desk.driver->settle());
    desk.driver->chooseFromMenu("phraseOperation", QStringLiteral("New names"));
    REQUIRE(desk.driver->settle());
    CHECK_FALSE(desk.driver->find<QPushButton>("start")->isEnabled());  // no step says anything yet
    Naming naming;
    naming.steps = {AddToNumbers{1}};
    desk.window->bench().setNaming(naming);
    REQUIRE(desk.driver->settle());
    // scan-001 gets the name that scan-002 gives up; scan-003 stays, and is in the way of that
    const auto& totals = desk.window->bench().plan()->totals;
    CHECK(totals.of(Outcome::undecided) == 2);
    desk.window->bench().setNaming({});
    QApplication::clipboard()->setText(
        QStringLiteral("scan-001.pdf\tscan-002.pdf\nscan-002.pdf\tscan-001.pdf\nscan-009.pdf\tx.pdf\n"));
    desk.driver->find<QPushButton>("nameTable")->menu()->actions().front()->trigger();
    REQUIRE(WindowDriver::wait([&] { return !desk.window->bench().job().naming.empty(); }));
    REQUIRE(desk.driver->settle());
    CHECK(desk.driver->find<QLabel>("nameMisses")->text().contains(QStringLiteral("scan-009.pdf")));
    CHECK(desk.window->bench().plan()->totals.of(Outcome::created) == 2);
    desk.driver->click("start");
    (void)desk.finished();
    CHECK(desk.temp.read("desk/scan-001.pdf") == "2");
    CHECK(desk.temp.read("desk/scan-002.pdf") == "1");
}

TEST_CASE("a name is typed over in the outcome, says so, and is taken back by one key", "[window][rename]") {
    Desk desk;
    for (const char* file : {"a.pdf", "b.pdf"}) desk.temp.write(std::string("desk/") + file, file);
    desk.open();
    desk.window->bench().replacePicks({desk.temp.path("desk/a.pdf"), desk.temp.path("desk/b.pdf")});
    Naming naming;
    naming.steps = {Affix{"x-"}};
    desk.window->bench().setOperation(Operation::rename);
    desk.window->bench().setNaming(naming);
    REQUIRE(desk.driver->settle());
    desk.driver->clickRow("outcomeList", desk.rowOf(QStringLiteral("x-b.pdf")));
    QTest::keyClick(desk.driver->find<QWidget>("outcomeList"), Qt::Key_F2);
    auto* editor = qobject_cast<QLineEdit*>(QApplication::focusWidget());
    REQUIRE(editor != nullptr);
    CHECK(editor->text() == QStringLiteral("x-b.pdf"));
    editor->setText(QStringLiteral("a.pdf"));  // which a.pdf gives up
    QTest::keyClick(editor, Qt::Key_Return);
    REQUIRE(WindowDriver::wait([&] { return desk.window->bench().history().count() > 1; }));
    REQUIRE(desk.driver->settle());
    const int row = desk.rowOf(QStringLiteral("a.pdf"));
    REQUIRE(row >= 0);
    CHECK(desk.window->outcome().model().index(row, 0).data(OutcomeModel::WordsRole).toString() ==
          QStringLiteral("typed by hand"));
    desk.window->bench().history().undo();
    REQUIRE(desk.driver->settle());
    CHECK(desk.rowOf(QStringLiteral("x-b.pdf")) >= 0);
    desk.window->bench().history().redo();
    REQUIRE(desk.driver->settle());
    desk.driver->click("start");
    (void)desk.finished();
    CHECK(desk.temp.read("desk/a.pdf") == "b.pdf");
    CHECK(desk.temp.read("desk/x-a.pdf") == "a.pdf");
}

TEST_CASE("one file is copied under another name: the sentence says which, and so does the receipt",
          "[window][rename]") {
    Desk desk;
    desk.temp.write("desk/a.pdf", "a");
    desk.temp.folder("to");
    desk.open();
    desk.window->bench().replacePicks({desk.temp.path("desk/a.pdf")});
    desk.window->bench().setDestination(desk.temp.path("to"));
    REQUIRE(desk.driver->settle());
    CHECK(desk.sentence().contains(QStringLiteral(", as a.pdf; where")));
    desk.driver->click("phraseNames");
    auto* editor = qobject_cast<QLineEdit*>(QApplication::focusWidget());
    REQUIRE(editor != nullptr);
    editor->setText(QStringLiteral("b.pdf"));
    QTest::keyClick(editor, Qt::Key_Return);
    REQUIRE(
        WindowDriver::wait([&] { return desk.sentence().contains(QStringLiteral(", as b.pdf; where")); }));
    REQUIRE(desk.driver->settle());
    desk.driver->click("start");
    const std::string id = desk.finished();
    CHECK(desk.temp.read("to/b.pdf") == "a");
    CHECK((*Store::open(desk.temp.path("state")))->receipt(id)->sentence.find(", as b.pdf;") !=
          std::string::npos);
}

TEST_CASE("steps are moved and taken out by keys", "[window][rename]") {
    Desk desk;
    desk.temp.write("desk/a.pdf", "a");
    desk.open();
    desk.window->bench().replacePicks({desk.temp.path("desk/a.pdf")});
    Naming naming;
    naming.steps = {Affix{"x"}, LetterCase{LetterCase::To::upper}};
    desk.window->bench().setOperation(Operation::rename);
    desk.window->bench().setNaming(naming);
    REQUIRE(desk.driver->settle());
    const auto name = [&] {
        return desk.window->bench().plan()->final_name(desk.window->bench().plan()->items[0]);
    };
    CHECK(name() == "XA.pdf");
    auto* field = desk.driver->find<QWidget>("nameSteps")->findChild<QLineEdit*>();
    field->setFocus();
    QTest::keyClick(field, Qt::Key_Down, Qt::AltModifier);
    REQUIRE(desk.driver->settle());
    CHECK(name() == "xA.pdf");
    CHECK(desk.sentence().contains(QStringLiteral("capitals, then x in front")));
    // and by the pointer, at the number of the line that was made first
    auto* grip = desk.driver->find<QLabel>("rowGrip");
    QTest::mousePress(grip, Qt::LeftButton, Qt::NoModifier, QPoint(4, 4));
    const QPointF up(4, 4 - 60);
    QMouseEvent move(QEvent::MouseMove, up, grip->mapToGlobal(up), Qt::NoButton, Qt::LeftButton,
                     Qt::NoModifier);
    QApplication::sendEvent(grip, &move);
    QTest::mouseRelease(grip, Qt::LeftButton);
    REQUIRE(desk.driver->settle());
    CHECK(desk.sentence().contains(QStringLiteral("x in front, then capitals")));
    desk.driver->click("rowAway");
    REQUIRE(desk.driver->settle());
    CHECK(desk.window->bench().job().naming.steps.size() == 1);
}

TEST_CASE("steps are kept under a name, used again and forgotten", "[window][rename]") {
    Desk desk;
    desk.temp.write("desk/a.pdf", "a");
    desk.open();
    Bench& bench = desk.window->bench();
    bench.replacePicks({desk.temp.path("desk/a.pdf")});
    bench.setOperation(Operation::rename);
    Naming naming;
    naming.steps = {Affix{"permit-"}, AddToNumbers{1, AddToNumbers::Which::last}};
    naming.whole_names = true;
    bench.setNaming(naming);
    REQUIRE(desk.driver->settle());
    Desk::willAnswer(QStringLiteral("Permits/of now"));
    desk.entry("keptSteps", QStringLiteral("Keep these under a name\u2026"))->trigger();
    bench.setNaming({});
    REQUIRE(desk.driver->settle());
    const auto kept = [&](int at) {
        return desk.entry("keptSteps", QStringLiteral("Permits-of now"))->menu()->actions()[at];
    };
    kept(0)->trigger();
    REQUIRE(desk.driver->settle());
    CHECK(bench.job().naming == naming);
    CHECK(desk.sentence().contains(QStringLiteral("permit- in front, then last number + 1")));
    kept(1)->trigger();
    emit desk.driver->find<QPushButton>("keptSteps")->menu()->aboutToShow();
    CHECK(desk.driver->find<QPushButton>("keptSteps")->menu()->actions().size() == 1);
}

TEST_CASE("what is put into the trash by Delete leaves the batch too", "[window][remove]") {
    Desk desk;
    const Environment trash("XDG_DATA_HOME", desk.temp.path("data"));
    for (const char* file : {"desk/a", "desk/b"}) desk.temp.write(file, file);
    desk.open();
    desk.window->bench().replacePicks({desk.temp.path("desk/a"), desk.temp.path("desk/b")});
    REQUIRE(desk.driver->settle());
    desk.driver->clickRow("folderList", desk.driver->rowNamed("folderList", QStringLiteral("a")));
    desk.stroke(Qt::Key_Delete);
    REQUIRE(WindowDriver::wait([&] { return desk.temp.has("data/Trash/files/a"); }));
    REQUIRE(WindowDriver::wait([&] { return desk.window->bench().picks().count() == 1; }));
    REQUIRE(desk.driver->settle());
    CHECK(desk.window->bench().view().refusals.empty());
}

TEST_CASE("what a filter leaves is removed, what stays is said before, and the undo brings it back",
          "[window][remove]") {
    Desk desk;
    for (const char* file : {"VIDEO-1.mp4", "VIDEO-2.mp4", "scan-1.pdf", "scan-2.pdf", "notes.txt"})
        desk.temp.write(std::string("desk/") + file, std::string(1000, 'x'));
    desk.temp.write("desk/old/deep/a", "a");
    const Environment trash("XDG_DATA_HOME", desk.temp.path("data"));
    const Tree before = tree_of(desk.temp.path("desk"), {.folder_times = false});
    desk.open();
    desk.driver->type("filter", QStringLiteral("-VIDEO"));
    REQUIRE(desk.driver->settle());
    desk.driver->clickRow("folderList", 0);
    desk.stroke(Qt::Key_A, Qt::ControlModifier | Qt::ShiftModifier);
    desk.stroke(Qt::Key_Delete, Qt::ControlModifier);
    REQUIRE(desk.driver->settle());
    CHECK(desk.sentence() == QStringLiteral("Remove 3 items from desk, to the Safe."));
    CHECK(desk.driver->find<QLabel>("outcomeSummary")->text() ==
          QStringLiteral("3 leave · 2 files stay beside them, 2 of them newer than a week"));
    CHECK(desk.driver->find<QLabel>("room")->text().contains(QStringLiteral("in 3 files")));
    CHECK(desk.window->outcome()
              .model()
              .index(desk.rowOf(QStringLiteral("notes.txt")), 0)
              .data(OutcomeModel::KindRole)
              .toInt() == OutcomeModel::Leaving);
    CHECK(tree_of(desk.temp.path("desk"), {.folder_times = false}) == before);
    desk.stroke(Qt::Key_Return, Qt::ControlModifier);
    const std::string id = desk.finished();
    CHECK_FALSE(desk.temp.has("desk/notes.txt"));
    CHECK(desk.temp.has("desk/VIDEO-1.mp4"));
    CHECK(desk.window->bench().picks().empty());  // what has gone is in hand no more
    desk.window->runs().undoAtOnce(id, QStringLiteral("undo"), [](const RunEnd&) {});
    REQUIRE(WindowDriver::wait(
        [&] { return tree_of(desk.temp.path("desk"), {.folder_times = false}) == before; }));
    // a folder goes whole, and can be opened to see with what; this time to the trash
    desk.driver->type("filter", {});
    desk.window->bench().setOperation(Operation::remove);
    desk.window->bench().replacePicks({desk.temp.path("desk/old")});
    desk.driver->chooseFromMenu("phraseShelf", QStringLiteral("To the trash"));
    REQUIRE(desk.driver->settle());
    const int row = desk.rowOf(QStringLiteral("old/"));
    REQUIRE(row >= 0);
    CHECK(desk.window->outcome().model().index(row, 0).data(OutcomeModel::WordsRole).toString() ==
          QStringLiteral("with 1 file, 1 B"));
    desk.window->outcome().model().toggleFolder(row);
    REQUIRE(WindowDriver::wait([&] { return desk.rowOf(QStringLiteral("deep/")) == row + 1; }));
    CHECK(desk.window->outcome().model().index(row + 1, 0).data(OutcomeModel::KindRole).toInt() ==
          OutcomeModel::Leaving);
    desk.driver->click("start");
    (void)desk.finished();
    CHECK(desk.temp.read("data/Trash/files/old/deep/a") == "a");
}

TEST_CASE("what is to be done is changed while the last outcome is still on view", "[window][remove]") {
    Desk desk;
    desk.temp.write("desk/a", "a");
    desk.open();
    for (const Operation operation :
         {Operation::remove, Operation::copy, Operation::rename, Operation::move, Operation::remove}) {
        desk.window->bench().setOperation(operation);
        desk.window->bench().replacePicks(operation == Operation::copy
                                              ? std::vector<std::string>{}
                                              : std::vector{desk.temp.path("desk/a")});
        CHECK(desk.sentence().endsWith(QLatin1Char('.')));
        REQUIRE(desk.driver->settle());
    }
    desk.driver->click("start");  // nothing is left in the folder then
    (void)desk.finished();
    REQUIRE(desk.driver->settle());
    for (const Operation operation : {Operation::rename, Operation::copy, Operation::remove})
        desk.window->bench().setOperation(operation);
    REQUIRE(desk.driver->settle());
    CHECK(desk.window->outcome().model().rowCount() == 0);
}

TEST_CASE("the folder that Tavlo's records lie in is not removed: it is said, and the start is held back",
          "[window][remove]") {
    Desk desk;
    desk.temp.write("desk/a", "a");
    desk.open();
    desk.window->bench().setOperation(Operation::remove);
    desk.window->bench().replacePicks({desk.temp.path("state")});
    REQUIRE(desk.driver->settle());
    CHECK_FALSE(desk.driver->find<QPushButton>("start")->isEnabled());
    CHECK(desk.driver->find<QLabel>("balanceNote")->text().contains(QStringLiteral("records")));
}

TEST_CASE("steps that come from elsewhere leave the lines alone that say so already", "[window][rename]") {
    Desk desk;
    desk.temp.write("desk/a.txt", "a");
    desk.open();
    desk.driver->clickRow("folderList", 0);
    desk.stroke(Qt::Key_A, Qt::ControlModifier | Qt::ShiftModifier);
    desk.stroke(Qt::Key_R, Qt::ControlModifier);
    QTest::keyClicks(QApplication::focusWidget(), QStringLiteral("x-"));
    REQUIRE(desk.driver->settle());
    QWidget* const typed_into = QApplication::focusWidget();
    Bench& bench = desk.window->bench();
    tavlo::Naming more = bench.job().naming;
    REQUIRE(more.steps.size() == 1);
    more.steps.emplace_back(tavlo::LetterCase{tavlo::LetterCase::To::upper});
    bench.setNaming(more);
    REQUIRE(desk.driver->settle());
    CHECK(QApplication::focusWidget() == typed_into);
    const auto boxes = [&] {
        int seen = 0;
        for (const auto* box : desk.window->findChildren<QComboBox*>(QStringLiteral("stepKind")))
            if (box->isVisible()) ++seen;
        return seen;
    };
    CHECK(boxes() == 2);
    more.steps.pop_back();
    bench.setNaming(more);  // its line goes with it
    REQUIRE(desk.driver->settle());
    CHECK(WindowDriver::wait([&] { return boxes() == 1; }));
    CHECK(QApplication::focusWidget() == typed_into);
    bench.setNaming({});
    REQUIRE(desk.driver->settle());
    CHECK(WindowDriver::wait([&] { return boxes() == 1; }));  // an empty one, to begin with
    CHECK(QApplication::focusWidget() != typed_into);
}
