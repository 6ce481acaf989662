// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QCheckBox>
#include <QComboBox>
#include <QDialogButtonBox>
#include <QLabel>
#include <QLineEdit>
#include <filesystem>

#include "desk.h"
#include "models/folder_model.h"
#include "support/archives.h"
#include "support/catch.h"
#include "support/jobs.h"
#include "tasks/bench.h"
#include "views/bench/pack_dialog.h"
#include "views/collisions/collisions_page.h"
#include "views/gathering/gathering_side.h"

// A batch packed, looked into, and two files taken out of it again, as somebody does it in the window.

using namespace tavlo;

namespace {

/// The dialog that comes next is filled in so, and accepted.
void will_pack_as(const QString& name, const char* format) {
    auto* waits = new QTimer(qApp);
    QObject::connect(waits, &QTimer::timeout, waits, [waits, name, format] {
        auto* dialog = qobject_cast<PackDialog*>(QApplication::activeModalWidget());
        if (dialog == nullptr) return;
        waits->deleteLater();
        auto* line = dialog->findChild<QLineEdit*>(QStringLiteral("packName"));
        CHECK(line->accessibleName() == QStringLiteral("Name"));
        line->setText(QStringLiteral("a/b"));
        CHECK_FALSE(dialog->findChild<QDialogButtonBox*>()->button(QDialogButtonBox::Ok)->isEnabled());
        line->setText(name);
        auto* box = dialog->findChild<QComboBox*>(QStringLiteral("packFormat"));
        box->setCurrentIndex(box->findText(QLatin1String(format), Qt::MatchStartsWith));
        dialog->accept();
    });
    waits->start(10);
}

}  // namespace

TEST_CASE("a batch is packed, looked into, two files come out elsewhere, and both are undone",
          "[window][pack]") {
    Desk desk;
    for (const char* file : {"permits/a.pdf", "permits/b.pdf", "permits/maps/quay.txt"})
        desk.temp.write(std::string("desk/") + file, file);
    desk.temp.folder("desk/mail");
    desk.temp.folder("desk/out");
    desk.open();
    Bench& bench = desk.window->bench();
    bench.replacePicks({desk.temp.path("desk/permits")});
    bench.setDestination(desk.temp.path("desk/mail"));
    bench.setOperation(Operation::pack);
    REQUIRE(desk.driver->settle());
    CHECK(bench.job().into == desk.temp.path("desk/mail/permits.zip"));
    CHECK(desk.sentence().contains(QStringLiteral("Pack")));
    CHECK(desk.sentence().contains(QStringLiteral("permits.zip")));
    CHECK(desk.sentence().contains(QStringLiteral("and keep them")));
    will_pack_as(QStringLiteral("permits-2031"), "zip");
    desk.driver->click("phraseDestination");
    REQUIRE(desk.driver->settle());
    CHECK(bench.job().into == desk.temp.path("desk/mail/permits-2031.zip"));
    REQUIRE(bench.plan() != nullptr);
    CHECK(bench.plan()->totals.of(Outcome::created) == 5);
    CHECK(desk.rowOf(QStringLiteral("permits/")) >= 0);         // what will be in it
    CHECK(desk.rowOf(QStringLiteral("permits-2031.zip")) < 0);  // and not what lies around it
    desk.driver->click("start");
    const std::string packed = desk.finished();
    REQUIRE(desk.driver->settle());
    CHECK(desk.temp.has("desk/mail/permits-2031.zip"));
    CHECK(by_python(desk.temp.path(), "print(zipfile.ZipFile('desk/mail/permits-2031.zip').testzip())") ==
          "None\n");

    // into it by Return, as into a folder, and out again
    desk.driver->openFolder(desk.temp.path("desk/mail"));
    REQUIRE(desk.driver->settle());
    desk.driver->clickRow("folderList",
                          desk.driver->rowNamed("folderList", QStringLiteral("permits-2031.zip")));
    desk.driver->key("folderList", Qt::Key_Return);
    REQUIRE(desk.driver->settle());
    CHECK(desk.window->gathering().folder() == desk.temp.path("desk/mail/permits-2031.zip"));
    CHECK(desk.window->gathering().model().rowCount() == 1);
    desk.driver->openFolder(desk.temp.path("desk/mail/permits-2031.zip/permits"));
    REQUIRE(desk.driver->settle());
    CHECK(desk.window->gathering().model().rowCount() == 3);
    bench.setOperation(Operation::copy);
    CHECK(bench.job().into == desk.temp.path("desk/mail"));
    bench.replacePicks({desk.temp.path("desk/mail/permits-2031.zip/permits/a.pdf"),
                        desk.temp.path("desk/mail/permits-2031.zip/permits/maps")});
    bench.setDestination(desk.temp.path("desk/out"));
    REQUIRE(desk.driver->settle());
    desk.driver->click("start");
    const std::string taken = desk.finished();
    CHECK(desk.temp.read("desk/out/a.pdf") == "permits/a.pdf");
    CHECK(desk.temp.read("desk/out/maps/quay.txt") == "permits/maps/quay.txt");
    Jobs jobs(desk.temp.path("state"));
    CHECK(jobs.undo(taken).of(Outcome::failed) == 0);
    CHECK(std::filesystem::is_empty(desk.temp.path("desk/out")));
    CHECK(jobs.undo(packed).of(Outcome::failed) == 0);
    CHECK_FALSE(desk.temp.has("desk/mail/permits-2031.zip"));
    CHECK(desk.temp.read("desk/permits/a.pdf") == "permits/a.pdf");
}

TEST_CASE(
    "archives are unpacked whole from the window, and a member is seen face to face with the file that is "
    "there",
    "[window][archives]") {
    Desk desk;
    desk.temp.write("desk/notes/list.txt", "one\ntwo\nthree\n");
    desk.temp.write("desk/notes/other.txt", "other");
    desk.open();
    // made by the window's own means
    Job packing =
        with(copy({desk.temp.path("desk/notes")}, desk.temp.path("desk/notes.zip")), Decision::undecided);
    packing.operation = Operation::pack;
    Jobs jobs(desk.temp.path("jobs"));
    (void)jobs.run(packing);
    desk.temp.write("to/notes/list.txt", "one\n2\nthree\n");
    desk.temp.date("to/notes/list.txt", 1'000'000'000);
    desk.window->bench().replacePicks({desk.temp.path("desk/notes"), desk.temp.path("desk/notes.zip")});
    CHECK_FALSE(desk.window->bench().picks().areArchivesAlone());
    desk.window->bench().replacePicks({desk.temp.path("desk/notes.zip")});
    desk.window->bench().setDestination(desk.temp.path("to"));
    REQUIRE(desk.driver->settle());
    CHECK(desk.cell(0, OutcomeModel::NameColumn).contains(QStringLiteral("notes")));
    desk.driver->chooseFromMenu("phraseOperation", QStringLiteral("Unpack them"));
    REQUIRE(desk.driver->settle());
    CHECK(desk.sentence().startsWith(QStringLiteral("Unpack ")));
    const auto plan = desk.window->bench().plan();
    REQUIRE(plan);
    CHECK(plan->totals.of(Outcome::undecided) == 1);
    // the two of the pair, read out of the archive and off the disk
    desk.driver->click("placeCollisions");
    REQUIRE(WindowDriver::wait(
        [&] { return desk.driver->rowNamed("pairList", QStringLiteral("notes / list.txt")) >= 0; }));
    desk.driver->clickRow("pairList", 0);
    const auto* in_words = desk.window->collisions().findChild<QLabel*>(QStringLiteral("pairInWords"));
    REQUIRE(WindowDriver::wait([&] { return in_words->text().startsWith(QStringLiteral("1 line")); }));
    for (ItemId id = 0; id < plan->items.size(); ++id)
        if (plan->items[id].outcome == Outcome::undecided)
            desk.window->bench().decide({id}, Decision::overwrite);
    REQUIRE(desk.driver->settle());
    desk.driver->click("placeBench");
    desk.driver->click("start");
    desk.finished();
    CHECK(desk.temp.read("to/notes/list.txt") == "one\ntwo\nthree\n");
    CHECK(desk.temp.read("to/notes/other.txt") == "other");
    REQUIRE(desk.driver->settle());
    CHECK(desk.window->bench().picks().empty());  // what is settled leaves the batch
}
