// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QAbstractItemModelTester>
#include <QClipboard>
#include <QLabel>
#include <QListView>
#include <QProcess>
#include <QPushButton>
#include <filesystem>

#include "files/path.h"
#include "job/prepare.h"
#include "keep/journal.h"
#include "models/collision_models.h"
#include "models/folder_model.h"
#include "models/outcome_model.h"
#include "models/receipt_cells.h"
#include "models/receipt_models.h"
#include "models/safe_model.h"
#include "support/catch.h"
#include "support/mounts.h"
#include "support/temp_folder.h"
#include "support/tree.h"
#include "tasks/bench.h"
#include "tasks/instruction_file.h"
#include "tasks/runs.h"
#include "text.h"
#include "theme/theme.h"
#include "undo/take_back.h"
#include "views/collisions/collisions_page.h"
#include "views/gathering/gathering_side.h"
#include "views/outcome/outcome_side.h"
#include "window_driver.h"

using namespace tavlo;

namespace {

/// The sample office in a folder of its own, and the window on it.
struct Office {
    Office() {
        REQUIRE(QProcess::execute(QStringLiteral(DEMO_DATA), {QString::fromStdString(root())}) == 0);
        window.emplace(root() + "/Inbox/Harbour desk", temp.path("state"));
        window->resize(1280, 800);
        window->show();
        REQUIRE(QTest::qWaitForWindowExposed(&*window));
        driver.emplace(*window);
        REQUIRE(driver->settle());
    }
    ~Office() {
        window.reset();
        const auto store = Store::open(temp.path("state"));
        if (store) (void)empty_safe(*make_disk(), **store);
    }
    Office(const Office&) = delete;
    Office& operator=(const Office&) = delete;
    std::string root() const { return temp.path("office"); }
    std::string permits() const { return root() + "/Archive/2031/Permits"; }
    QString text(const char* label) const { return driver->find<QLabel>(label)->text(); }
    bool isShown(const char* widget) const { return driver->find<QWidget>(widget)->isVisible(); }

    /// What a row of the outcome says, by the item's name.
    QString tag(const QString& name) {
        const int row = driver->rowNamed("outcomeList", name);
        return row < 0 ? QStringLiteral("(not shown)")
                       : window->outcome().model().index(row, 0).data(OutcomeModel::TagRole).toString();
    }
    void pick(const QString& name) const {
        const int row = driver->rowNamed("folderList", name);
        INFO(name.toStdString());
        REQUIRE(row >= 0);
        driver->clickMark(row);
    }

    TempFolder temp;
    std::optional<MainWindow> window;
    std::optional<WindowDriver> driver;
};

}  // namespace

TEST_CASE("the main job by mouse and keys: gather, see, settle, run, undo", "[window]") {
    Office office;
    WindowDriver& driver = *office.driver;
    const Tree inbox = tree_of(office.root() + "/Inbox");
    const Tree archive = tree_of(office.root() + "/Archive", {.folder_times = false});
    QPushButton* start = driver.find<QPushButton>("start");
    CHECK_FALSE(start->isEnabled());

    // two folders; by a click on the edge, and by selecting and Space
    driver.openFolder(office.root() + "/Scanner/Permits");
    driver.type("filter", QStringLiteral("0420"));
    REQUIRE(driver.settle());
    driver.clickRow("folderList", 0);
    driver.key("folderList", Qt::Key_Space);
    driver.openFolder(office.root() + "/Inbox/Harbour desk");
    for (const char* name :
         {"permit-0409-fuel-jetty.pdf", "permit-0410-slipway.pdf", "permit-0413-visiting-tender.pdf",
          "permit-0416-north-quay.pdf", "permit-0418-slipway.pdf", "permit-0420-repairs-dock-2.pdf",
          "quay-rates.csv", "Stamped"})
        office.pick(QLatin1String(name));
    CHECK(office.window->bench().picks().count() == 9);
    driver.chooseDestination(QString::fromStdString(office.permits()));

    // the outcome shows every finding, and the sentence is true
    CHECK(office.tag("permit-0410-slipway.pdf") == "new");
    CHECK(office.tag("permit-0409-fuel-jetty.pdf") == "same");
    CHECK(office.tag("permit-0413-visiting-tender.pdf") == "newer");
    CHECK(office.tag("permit-0416-north-quay.pdf") == "older");
    CHECK(office.tag("quay-rates.csv") == "same date");
    CHECK(office.tag("Stamped/") == "other type");
    CHECK(office.tag("permit-0420-repairs-dock-2.pdf") == "twin");
    CHECK(start->text() == "Copy 1 of 11");  // one is the same, nine are undecided
    CHECK(driver.find<QWidget>("instruction")->accessibleName() ==
          QString("Copy 11 items from 2 folders into Archive / 2031 / Permits, keeping subfolders; where a "
                  "name is taken, ask me; "
                  "9 undecided stay in hand."));
    CHECK(office.text("toSettle").contains("9 to settle"));

    // one overwrite and one skip by click, one rename by key
    driver.decideByClick("permit-0413-visiting-tender.pdf", Decision::overwrite);
    driver.decideByClick("permit-0416-north-quay.pdf", Decision::skip);
    driver.clickRow("outcomeList", driver.rowNamed("outcomeList", "permit-0418-slipway.pdf"));
    driver.key("outcomeList", Qt::Key_3);
    REQUIRE(driver.settle());
    CHECK(office.tag("permit-0413-visiting-tender.pdf") == "overwrite");
    CHECK(office.tag("permit-0418-slipway.pdf") == "rename");

    // what the outcome side says will be there, by place
    const auto plan = office.window->bench().plan();
    std::map<std::string, std::string> promised;  // place -> source
    for (const Item& item : plan->items)
        if (arrives(item.outcome)) promised[plan->final_path(item)] = plan->source_path(item);
    REQUIRE(promised.size() == 3);
    driver.click("start");
    REQUIRE(driver.settle());
    CHECK(office.isShown("runReceipt"));
    for (const auto& [place, source] : promised) {
        CAPTURE(place);
        CHECK(office.temp.read(place.substr(office.temp.path().size() + 1)) ==
              office.temp.read(source.substr(office.temp.path().size() + 1)));
    }
    CHECK(promised.contains(office.permits() + "/permit-0418-slipway-2.pdf"));
    CHECK(tree_of(office.root() + "/Inbox") == inbox);

    // what is undecided stays in hand; what is settled has left it
    CHECK(office.window->bench().picks().count() == 4);

    // undo, shown as a plan first
    driver.click("runReceipt");
    REQUIRE(WindowDriver::wait([&] {
        return driver.find<QListView>("receipts")->model()->rowCount() == 1 && office.isShown("undo");
    }));
    REQUIRE(WindowDriver::wait([&] { return office.text("receiptTitle").startsWith("Copy 11 items"); }));
    driver.click("undo");
    REQUIRE(WindowDriver::wait([&] { return office.isShown("undoNow"); }));
    CHECK(driver.find<RowView>("undoItems")->model()->rowCount() == 3);
    CHECK(
        office.temp.has("office/Archive/2031/Permits/permit-0410-slipway.pdf"));  // nothing has happened yet
    driver.click("undoNow");
    REQUIRE(driver.settle());
    CHECK(tree_of(office.root() + "/Archive", {.folder_times = false}) == archive);
    CHECK(tree_of(office.root() + "/Inbox") == inbox);
}

TEST_CASE("a move of folders into a folder that does not exist yet, and back", "[window]") {
    Office office;
    WindowDriver& driver = *office.driver;
    const Tree before = tree_of(office.root());
    driver.chooseFromMenu("phraseOperation", QStringLiteral("Move to"));
    driver.openFolder(office.root() + "/Inbox");
    for (const char* name : {"Harbour desk", "Odd names", "All permits"}) office.pick(QLatin1String(name));
    driver.chooseDestination(QString::fromStdString(office.root() + "/Archive/2031/From the inbox"));
    CHECK(driver.find<QPushButton>("start")->text().startsWith("Move "));
    driver.click("start");
    REQUIRE(driver.settle());
    CHECK_FALSE(office.temp.has("office/Inbox/Odd names"));
    CHECK(office.temp.has("office/Archive/2031/From the inbox/Odd names/two\nlines.txt"));
    CHECK(office.window->bench().picks().empty());
    driver.click("runReceipt");
    REQUIRE(WindowDriver::wait(
        [&] { return office.isShown("undo") && office.text("receiptTitle").startsWith("Move "); }));
    driver.click("undo");
    REQUIRE(WindowDriver::wait([&] { return office.isShown("undoNow"); }));
    driver.key("undoNow", Qt::Key_Space);
    REQUIRE(driver.settle());
    Tree after = tree_of(office.root());
    // folders that files left and came back to have another date; everything else is as it was
    for (const char* touched : {"Inbox", "Archive/2031"}) after[touched] = before.at(touched);
    CHECK(after == before);
}

TEST_CASE("every underlined part of the sentence does what it says", "[window]") {
    Office office;
    WindowDriver& driver = *office.driver;
    Bench& bench = office.window->bench();
    office.pick("Attachments");
    office.pick("permit-0413-visiting-tender.pdf");
    driver.chooseDestination(QString::fromStdString(office.permits()));
    driver.chooseFromMenu("phraseOperation", QStringLiteral("Move to"));
    CHECK(bench.job().operation == Operation::move);
    driver.chooseFromMenu("phraseShape", "All files in one folder");
    REQUIRE(driver.settle());
    CHECK(bench.job().structure.flatten);
    CHECK(driver.rowNamed("outcomeList", "berth-plan-01.png") >= 0);
    driver.chooseFromMenu("phraseRule", "The newer one wins");
    REQUIRE(driver.settle());
    CHECK(office.tag("permit-0413-visiting-tender.pdf") == "overwrite");
    driver.chooseFromMenu("phraseItems", "Show the batch as a list");
    CHECK(office.isShown("batchList"));
    driver.chooseFromMenu("phraseItems", "Empty the batch");
    CHECK(bench.picks().empty());
    CHECK_FALSE(driver.find<QPushButton>("start")->isEnabled());
}

TEST_CASE("marks stay while one filters, sorts, goes elsewhere and comes back", "[window]") {
    Office office;
    WindowDriver& driver = *office.driver;
    office.pick("permit-0430-crane-barge.pdf");
    driver.type("filter", "*.csv");
    REQUIRE(driver.settle());
    CHECK(driver.rowNamed("folderList", "permit-0430-crane-barge.pdf") < 0);
    driver.key("folderList", Qt::Key_Backspace);
    REQUIRE(driver.settle());
    CHECK(office.window->gathering().folder() == office.root() + "/Inbox");
    driver.key("folderList", Qt::Key_Return);  // the folder that one came from is the current one
    REQUIRE(driver.settle());
    const int row = driver.rowNamed("folderList", "permit-0430-crane-barge.pdf");
    REQUIRE(row >= 0);
    CHECK(office.window->gathering().model().index(row, 0).data(FolderModel::PickedRole).toBool());
    CHECK(office.text("pickedHere").contains("1 picked here"));
    driver.clickMark(row);
    CHECK(office.window->bench().picks().empty());
}

TEST_CASE("the balance shows one share of the batch, what is not possible is said and not started",
          "[window]") {
    Office office;
    WindowDriver& driver = *office.driver;
    office.pick("permit-0409-fuel-jetty.pdf");
    office.pick("permit-0410-slipway.pdf");
    driver.chooseDestination(QString::fromStdString(office.permits()));
    driver.click("share3");  // the same ones
    CHECK(office.window->outcome().model().rowCount() == 1);
    driver.click("share3");
    CHECK(office.window->outcome().model().rowCount() > 10);
    driver.click("putHere");  // the folder that they come from
    REQUIRE(driver.settle());
    CHECK(office.text("balanceNote").contains("onto itself"));
    CHECK_FALSE(driver.find<QPushButton>("start")->isEnabled());
    driver.chooseDestination(QString::fromStdString(office.root() + "/Inbox/.desk-notes"));
    CHECK(office.text("balanceNote").contains("is not a folder"));
}

TEST_CASE("copy and paste: in hand here, put there", "[window]") {
    Office office;
    WindowDriver& driver = *office.driver;
    driver.clickRow("folderList", driver.rowNamed("folderList", "permit-0410-slipway.pdf"));
    driver.key("folderList", Qt::Key_X, Qt::ControlModifier);
    CHECK(office.window->bench().job().operation == Operation::move);
    CHECK(QApplication::clipboard()->mimeData()->urls().size() == 1);
    driver.openFolder(office.root() + "/Scanner/Empty tray");
    driver.key("folderList", Qt::Key_V, Qt::ControlModifier);
    REQUIRE(driver.settle());
    CHECK(office.window->bench().job().into == office.root() + "/Scanner/Empty tray");
    CHECK(office.tag("permit-0410-slipway.pdf") == "new");
    CHECK(office.temp.has(
        "office/Inbox/Harbour desk/permit-0410-slipway.pdf"));  // a paste shows, it does not run
}

TEST_CASE("models keep to their contract", "[model]") {
    Office office;
    FolderModel& folder = office.window->gathering().model();
    OutcomeModel& outcome = office.window->outcome().model();
    const QAbstractItemModelTester folder_tester(&folder,
                                                 QAbstractItemModelTester::FailureReportingMode::Fatal);
    const QAbstractItemModelTester outcome_tester(&outcome,
                                                  QAbstractItemModelTester::FailureReportingMode::Fatal);
    ReceiptsModel receipts;
    ReceiptItemsModel items;
    const QAbstractItemModelTester receipts_tester(&receipts,
                                                   QAbstractItemModelTester::FailureReportingMode::Fatal);
    const QAbstractItemModelTester items_tester(&items,
                                                QAbstractItemModelTester::FailureReportingMode::Fatal);
    GroupModel groups;
    SafeModel safe;
    const QAbstractItemModelTester groups_tester(&groups,
                                                 QAbstractItemModelTester::FailureReportingMode::Fatal);
    const QAbstractItemModelTester pairs_tester(&office.window->collisions().pairs(),
                                                QAbstractItemModelTester::FailureReportingMode::Fatal);
    const QAbstractItemModelTester safe_tester(&safe, QAbstractItemModelTester::FailureReportingMode::Fatal);
    auto listing = std::make_shared<SafeListing>();
    for (const char* place : {"/to/b 10", "/to/b 9", "/elsewhere/c"}) {
        SafeRow row;
        row.entry.original = place;
        row.entry.stored = std::string("/safe/run/1") + place;
        row.entry.identity.size_bytes = row.entry.original.size();
        listing->rows.push_back(row);
    }
    std::vector<SafeColumn> sorted_by;
    QObject::connect(&safe, &SafeModel::sortWanted, [&](SafeColumn by, bool) { sorted_by.push_back(by); });
    safe.sort(SafeModel::PlaceColumn, Qt::AscendingOrder);
    CHECK(sorted_by == std::vector{SafeColumn::place});  // it is put in order elsewhere
    safe.setArrangement(std::make_shared<const SafeArrangement>(SafeArrangement{listing, {2, 1}, -1}));
    CHECK(safe.rowCount() == 2);
    CHECK(safe.index(1, 0).data().toString() == "b 9");
    receipts.setHeads(std::make_shared<const std::vector<ReceiptHead>>(3));
    std::vector<std::uint64_t> wanted;
    QObject::connect(&items, &ReceiptItemsModel::pageWanted,
                     [&](const std::string&, std::uint64_t first) { wanted.push_back(first); });
    items.setReceipt("run", "/to", 1'000'000, true);
    CHECK(items.rowCount() == 1'000'001);
    CHECK(items.number(1'000'000) == rest_number);
    items.takePage("run", 0, {});
    wanted.clear();
    CHECK(items.index(700'000, ReceiptColumns::Name).data().toString().isEmpty());
    CHECK(items.index(600'000, ReceiptColumns::Name).data().toString().isEmpty());
    REQUIRE(wanted ==
            std::vector<std::uint64_t>{700'000 - 700'000 % ReceiptItemsModel::page_size});  // one at a time
    ReceiptItem seven;
    seven.source = "/from/seven";
    items.takePage("run", wanted.front(), {{700'000, seven}});
    CHECK(items.index(700'000, ReceiptColumns::Name).data().toString() == "seven");
    items.setNumbers(std::vector<std::uint64_t>{1, 700'000});
    CHECK(items.rowCount() == 2);
    CHECK(items.index(1, ReceiptColumns::Name).data().toString() == "seven");
    items.setDifferences(std::make_shared<const std::map<std::uint64_t, QString>>(
        std::map<std::uint64_t, QString>{{3, QStringLiteral("other bytes now")}}));
    REQUIRE(items.rowCount() == 1);
    CHECK(items.index(0, ReceiptColumns::Where).data().toString() == "other bytes now");
    office.pick("Attachments");
    office.driver->chooseDestination(QString::fromStdString(office.permits()));
    const int row = office.driver->rowNamed("outcomeList", "Attachments/");
    const int closed = outcome.rowCount();
    office.driver->clickRow("outcomeList", row);
    office.driver->key("outcomeList", Qt::Key_Right);
    CHECK(outcome.rowCount() == closed + 11);
    office.driver->key("outcomeList", Qt::Key_Left);
    CHECK(outcome.rowCount() == closed);
    folder.setSorting(static_cast<int>(FolderColumn::size), Qt::DescendingOrder);
    REQUIRE(office.driver->settle());
    CHECK(folder.row(3).status.id.size_bytes >= folder.row(4).status.id.size_bytes);
}

TEST_CASE("a run that was interrupted is offered at the next start, and one click finishes it", "[window]") {
    TempFolder temp;
    for (int i = 0; i < 20; ++i) temp.write("from/" + std::to_string(i), std::to_string(i) + " of twenty");
    {
        // what a killed program leaves: everything in the journal, nothing done
        const auto disk = make_disk();
        const auto store = Store::open(temp.path("state"));
        REQUIRE(store);
        Job job;
        job.what.sources = {temp.path("from")};
        job.into = temp.path("to");
        const auto outlook = prepare(*disk, job);
        REQUIRE(outlook);
        ReceiptHead head;
        head.id = new_receipt_id(now_ns());
        head.started_ns = now_ns();
        head.sentence = "Copy 21 items.";
        head.destination = job.into;
        head.roots = {temp.path(), temp.path("to")};
        REQUIRE((*store)->begin(head, outlook->plan->items.size(), [&](std::uint64_t item) {
            return pending_item(*outlook->plan, static_cast<ItemId>(item));
        }));
    }
    MainWindow window(temp.path("from"), temp.path("state"));
    window.show();
    const WindowDriver driver(window);
    REQUIRE(WindowDriver::wait([&] { return driver.find<QWidget>("goOn")->isVisible(); }));
    CHECK(driver.find<QLabel>("runWords")->text().startsWith("Interrupted: Copy 21 items."));
    CHECK_FALSE(temp.has("to"));
    driver.click("goOn");
    REQUIRE(WindowDriver::wait(
        [&] { return driver.find<QLabel>("runWords")->text().startsWith("Done: 21 copied"); }));
    CHECK(tree_of(temp.path("to/from")) == tree_of(temp.path("from")));
}

TEST_CASE("a run that is stopped can be gone on with", "[window]") {
    TempFolder temp;
    for (int i = 0; i < 3000; ++i) temp.write("from/" + std::to_string(i), std::string(30'000, 'x'));
    MainWindow window(temp.path(), temp.path("state"));
    window.show();
    const WindowDriver driver(window);
    REQUIRE(driver.settle());
    driver.clickMark(driver.rowNamed("folderList", "from"));
    driver.chooseDestination(QString::fromStdString(temp.path("to")));
    driver.click("start");
    REQUIRE(WindowDriver::wait([&] { return temp.has("to/from"); }));
    driver.click("stopRun");
    REQUIRE(driver.settle());
    if (!driver.find<QLabel>("runWords")->text().startsWith("Stopped")) {
        WARN("the run was over before it could be stopped");
        return;
    }
    CHECK(window.bench().picks().count() == 1);
    driver.click("goOn");
    REQUIRE(driver.settle());
    CHECK(driver.find<QLabel>("runWords")->text().startsWith("Done: "));
    CHECK(tree_of(temp.path("to/from")) == tree_of(temp.path("from")));
}

TEST_CASE("a full disk pauses the run, says what it waits for, and one click goes on", "[window]") {
    Office office;
    auto& driver = *office.driver;
    const Mount small = Mount::memory(office.temp.path("small"), "size=3m");
    NEEDS(small)
    for (const char* name : {"a", "b", "c"})
        office.temp.write(std::string("large/") + name, std::string(700'000, *name));
    office.window->bench().replacePicks({office.temp.path("large")});
    office.window->bench().setDestination(small.path);
    REQUIRE(driver.settle());
    const std::string ballast =
        office.temp.write("small/ballast", std::string(2'000'000, 'b'));  // after the plan
    driver.click("start");
    REQUIRE(driver.settle());
    CHECK(office.text("runWords").contains(QStringLiteral("Paused")));
    CHECK(office.text("runWords").contains(QStringLiteral("the disk is full")));
    REQUIRE(office.isShown("goOn"));
    std::filesystem::remove(ballast);
    driver.click("goOn");
    REQUIRE(driver.settle());
    CHECK(office.text("runWords").contains(QStringLiteral("Done")));
    CHECK(tree_of(small.path).size() == 4);
}

TEST_CASE(
    "a plan outlasts the window: sentence, batch and decisions, a pair that changed meanwhile is undecided "
    "again",
    "[window]") {
    Office office;
    auto& driver = *office.driver;
    for (const char* name :
         {"permit-0413-visiting-tender.pdf", "permit-0416-north-quay.pdf", "permit-0418-slipway.pdf"})
        office.pick(name);
    driver.chooseDestination(QString::fromStdString(office.permits()));
    driver.chooseFromMenu("phraseOperation", QStringLiteral("Move to"));
    driver.decideByClick(QStringLiteral("permit-0413-visiting-tender.pdf"), Decision::overwrite);
    driver.decideByClick(QStringLiteral("permit-0416-north-quay.pdf"), Decision::skip);
    REQUIRE(driver.settle());
    office.window.reset();
    std::filesystem::last_write_time(office.permits() + "/permit-0416-north-quay.pdf",
                                     std::filesystem::file_time_type::clock::now());
    office.window.emplace(office.root() + "/Inbox/Harbour desk", office.temp.path("state"));
    office.window->show();
    office.driver.emplace(*office.window);
    REQUIRE(office.driver->settle());
    CHECK(office.window->bench().job().operation == Operation::move);
    CHECK(office.window->bench().job().into == office.permits());
    CHECK(office.tag("permit-0413-visiting-tender.pdf") == "overwrite");
    CHECK(office.tag("permit-0416-north-quay.pdf") == "newer");
    CHECK(office.window->bench().plan()->totals.of(Outcome::undecided) == 2);
    const Instruction damaged;
    CHECK_FALSE(instruction_from_text("{}", "there"));
    CHECK(instruction_from_text(to_text(damaged), "there").has_value());
}
