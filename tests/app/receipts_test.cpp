// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QListView>
#include <filesystem>

#include "support/catch.h"
#include "support/temp_folder.h"
#include "tasks/bench.h"
#include "tasks/outcome_export.h"
#include "tasks/past_runs.h"
#include "window_driver.h"

using namespace tavlo;

namespace {

/// A window after two runs: some permits one after the other into two folders.
struct Past {
    Past() {
        for (const char* name : {"permit-0416.pdf", "permit-0417.pdf", "list.csv"})
            temp.write(std::string("from/") + name, name);
        window = std::make_unique<MainWindow>(temp.path("from"), temp.path("state"));
        window->resize(1280, 800);
        window->show();
        driver.emplace(*window);
        REQUIRE(driver->settle());
        run({"from/permit-0416.pdf", "from/permit-0417.pdf"}, "one");
        run({"one/permit-0416.pdf", "from/list.csv"}, "two");
        driver->click("placeReceipts");
        REQUIRE(WindowDriver::wait([this] { return receipts() == 2; }));
    }
    void run(const std::vector<std::string>& names, const char* into) {
        std::vector<std::string> paths;
        for (const auto& name : names) paths.push_back(temp.path(name));
        window->bench().replacePicks(paths);
        window->bench().setDestination(temp.path(into));
        REQUIRE(driver->settle());
        driver->click("start");
        REQUIRE(driver->settle());
    }
    int receipts() const { return driver->find<QListView>("receipts")->model()->rowCount(); }
    int items() const { return driver->find<RowView>("receiptItems")->model()->rowCount(); }

    TempFolder temp;
    std::unique_ptr<MainWindow> window;
    std::optional<WindowDriver> driver;
};

}  // namespace

TEST_CASE("where a file went: every run that touched it, newest first, and in each just its items",
          "[window][receipts]") {
    Past past;
    past.driver->type("receiptSearch", QStringLiteral("permit-0417"));
    REQUIRE(WindowDriver::wait([&] { return past.receipts() == 1 && past.items() == 1; }));
    past.driver->type("receiptSearch", QStringLiteral("0416"));
    REQUIRE(WindowDriver::wait([&] { return past.receipts() == 2; }));
    past.driver->type("receiptSearch", QStringLiteral("nowhere at all"));
    REQUIRE(WindowDriver::wait([&] { return past.receipts() == 0; }));
    past.driver->type("receiptSearch", {});
    REQUIRE(WindowDriver::wait([&] { return past.receipts() == 2 && past.items() == 2; }));
}

TEST_CASE("a receipt is checked again, written out, and shown by result", "[window][receipts]") {
    Past past;
    auto& list = *past.driver->find<QListView>("receipts");
    list.setCurrentIndex(list.model()->index(1, 0));
    REQUIRE(WindowDriver::wait([&] { return past.items() == 2; }));
    PastRuns runs(past.temp.path("state"));
    const std::string id = list.currentIndex().data(Qt::UserRole + 1).toString().toStdString();
    std::optional<std::size_t> differing;
    QObject::connect(&runs, &PastRuns::checked,
                     [&](const std::string&, const auto& differs) { differing = differs->size(); });
    runs.check(id);
    REQUIRE(WindowDriver::wait([&] { return differing.has_value(); }));
    CHECK(*differing == 0);
    past.temp.write("one/permit-0417.pdf", "somebody else's work");
    differing.reset();
    runs.check(id);
    REQUIRE(WindowDriver::wait([&] { return differing.has_value(); }));
    CHECK(*differing == 1);
    int written = 0;
    QObject::connect(&runs, &PastRuns::exported, [&](const QString&) { ++written; });
    runs.exportTo(id, past.temp.path("receipt.csv"));
    REQUIRE(WindowDriver::wait([&] { return written == 1; }));
    CHECK(past.temp.read("receipt.csv").starts_with("source,target,final,result"));
    runs.exportTo(id, past.temp.path("receipt.json"));
    REQUIRE(WindowDriver::wait([&] { return written == 2; }));
    CHECK(past.temp.read("receipt.json").find("\"document\":\"receipt\"") != std::string::npos);
    runs.exportTo(id, past.temp.path("receipt.html"));
    REQUIRE(WindowDriver::wait([&] { return written == 3; }));
    CHECK(past.temp.read("receipt.html").find("permit-0417.pdf") != std::string::npos);
    ReceiptHead head;
    const std::vector<ReceiptItem> items(3);
    CHECK(receipt_as_html(head, items, 1).contains(QStringLiteral("2 more lines")));
}

TEST_CASE("an undo says what it left in the Safe, and frees that room once the source is seen to hold it",
          "[window][receipts]") {
    Past past;
    auto& list = *past.driver->find<QListView>("receipts");
    list.setCurrentIndex(list.model()->index(0, 0));
    REQUIRE(WindowDriver::wait([&] { return past.items() == 2; }));
    CHECK_FALSE(past.driver->find<QWidget>("freeRoom")->isVisible());
    past.driver->click("undo");
    REQUIRE(WindowDriver::wait([&] { return past.driver->find<QWidget>("undoNow")->isVisible(); }));
    past.driver->click("undoNow");
    REQUIRE(past.driver->settle());
    REQUIRE(WindowDriver::wait([&] { return past.receipts() == 3; }));
    list.setCurrentIndex(list.model()->index(0, 0));
    auto* note = past.driver->find<QLabel>("receiptNote");
    REQUIRE(WindowDriver::wait([&] { return note->text().contains("left 2 versions in the Safe"); }));
    past.temp.write("from/permit-0416.pdf", "the source is another by now");
    past.driver->click("freeRoom");
    CHECK(note->text().contains("would be gone for good"));
    past.driver->click("leaveUndo");  // nothing happens
    REQUIRE(WindowDriver::wait([&] { return past.driver->find<QWidget>("freeRoom")->isVisible(); }));
    const auto versions = [&] { return (*Store::open(past.temp.path("state")))->safe_entries()->size(); };
    const auto before = versions();
    past.driver->click("freeRoom");
    past.driver->click("freeRoomNow");
    REQUIRE(
        WindowDriver::wait([&] { return versions() == before - 1 && note->text().contains("1 version"); }));
    const auto left = (*Store::open(past.temp.path("state")))->safe_entries();
    CHECK(left->front().original.ends_with("permit-0416.pdf"));
}

TEST_CASE("a receipt is narrowed by what came of its items, also within a search", "[window][receipts]") {
    Past past;
    auto& list = *past.driver->find<QListView>("receipts");
    past.temp.write("from/list.csv", "another list by now");
    past.run({"from/permit-0416.pdf", "from/permit-0417.pdf", "from/list.csv"}, "two");
    past.driver->click("placeReceipts");
    REQUIRE(WindowDriver::wait([&] { return past.receipts() == 3; }));
    list.setCurrentIndex(list.model()->index(0, 0));
    auto* results = past.driver->find<QComboBox>("receiptResults");
    REQUIRE(WindowDriver::wait([&] { return past.items() == 3 && results->isVisible(); }));
    const int created = results->findText(QStringLiteral("copied"), Qt::MatchStartsWith);
    REQUIRE(created > 0);
    results->setCurrentIndex(created);
    emit results->activated(created);
    REQUIRE(WindowDriver::wait([&] { return past.items() == 1; }));
    past.driver->type("receiptSearch", QStringLiteral("list"));
    REQUIRE(WindowDriver::wait([&] { return past.items() == 0; }));  // it was left undecided
    results->setCurrentIndex(0);
    emit results->activated(0);
    REQUIRE(WindowDriver::wait([&] { return past.items() == 1; }));
}
