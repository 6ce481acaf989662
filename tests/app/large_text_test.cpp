// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QHeaderView>
#include <QTableView>
#include <optional>

#include "in_language.h"
#include "support/catch.h"
#include "support/temp_folder.h"
#include "tasks/bench.h"
#include "theme/lengths.h"
#include "theme/theme.h"
#include "views/main_window.h"
#include "views/parts/button_row.h"
#include "window_driver.h"
#include "wording.h"

namespace {

/// The application's text in another size, for as long as this is there.
class TextSize {
public:
    explicit TextSize(double points) : before_(QApplication::font()) {
        QFont font = before_;
        font.setPointSizeF(points);
        QApplication::setFont(font);
        apply_theme(*qApp, ThemeChoice::light);
    }
    ~TextSize() {
        QApplication::setFont(before_);
        apply_theme(*qApp, ThemeChoice::light);
    }
    TextSize(const TextSize&) = delete;
    TextSize& operator=(const TextSize&) = delete;

private:
    QFont before_;
};

/// Figures are never cut: neither are sizes and dates overprinted, nor rows too low.
void holds_its_figures(const QTableView& list, const std::vector<int>& columns) {
    const QFontMetrics metrics(list.font());
    REQUIRE(list.model()->rowCount() > 0);
    for (int row = 0; row < list.model()->rowCount(); ++row)
        for (const int column : columns) {
            if (list.isColumnHidden(column)) continue;
            const QString text = list.model()->index(row, column).data().toString();
            CAPTURE(list.objectName().toStdString(), text.toStdString(), row, column);
            CHECK(metrics.horizontalAdvance(text) <= list.columnWidth(column));
            CHECK(metrics.height() <= list.rowHeight(row));
        }
}

}  // namespace

TEST_CASE("with text of any size figures have their room, and all decisions can be reached, in German too",
          "[looks][large]") {
    const double points = GENERATE(9.0, 11.0, 13.0, 16.0);
    const bool german = GENERATE(false, true);
    CAPTURE(points, german);
    const TextSize size(points);
    std::optional<InLanguage> spoken;
    if (german) spoken.emplace(QStringLiteral("de"));
    TempFolder temp;
    for (const char* name : {"desk/permit-0413.pdf", "desk/permit-0414.pdf", "to/permit-0413.pdf"})
        temp.write(name, std::string(987'654, name[0]));
    temp.date("desk/permit-0413.pdf", 1'943'000'000);
    temp.date("to/permit-0413.pdf", 1'942'000'000);
    MainWindow window(temp.path("desk"), temp.path("state"));
    window.resize(1400, 900);
    window.show();
    const WindowDriver driver(window);
    REQUIRE(driver.settle());
    window.bench().replacePicks({temp.path("desk/permit-0413.pdf"), temp.path("desk/permit-0414.pdf")});
    window.bench().setDestination(temp.path("to"));
    REQUIRE(driver.settle());
    const auto* here = driver.find<QTableView>("folderList");
    std::vector<int> columns;
    for (int column = 1; column < here->model()->columnCount(); ++column) columns.push_back(column);
    holds_its_figures(*here, columns);
    const auto* there = driver.find<QTableView>("outcomeList");
    const int last = there->model()->columnCount() - 1;
    holds_its_figures(*there, {1, 2});
    CHECK(buttons_width(there->font(), decision_choices()) <= there->columnWidth(last));
    driver.click("placeCollisions");
    REQUIRE(driver.settle());
    const auto* pairs = driver.find<QTableView>("pairList");
    REQUIRE(WindowDriver::wait([&] { return pairs->model()->rowCount() == 1; }));
    CHECK(buttons_width(pairs->font(), decision_choices()) <=
          pairs->columnWidth(pairs->model()->columnCount() - 1));
}

TEST_CASE("with large text the window still fits a small screen, whichever place is open", "[looks][large]") {
    const std::string language = GENERATE("en", "de", "fr");
    CAPTURE(language);
    const TextSize size(14);
    const InLanguage spoken(QString::fromStdString(language));
    TempFolder temp;
    temp.write("desk/permit-0413.pdf", "x");
    temp.write("to/permit-0413.pdf", "y");
    MainWindow window(temp.path("desk"), temp.path("state"));
    window.show();
    const WindowDriver driver(window);
    REQUIRE(driver.settle());
    window.bench().replacePicks({temp.path("desk/permit-0413.pdf")});
    window.bench().setDestination(temp.path("to"));
    REQUIRE(driver.settle());
    for (const char* place : {"placeBench", "placeCollisions", "placeRuns", "placeReceipts", "placeSafe",
                              "placeJobs", "placeSizes"}) {
        driver.click(place);
        REQUIRE(driver.settle());
        CAPTURE(place);
        CHECK(window.minimumSizeHint().width() <= 1280);
    }
}

TEST_CASE("names keep their room with large text: other columns go, and come back with the room",
          "[looks][large]") {
    const TextSize size(14);
    TempFolder temp;
    temp.write("desk/permit-0413.pdf", "x");
    temp.write("to/permit-0413.pdf", "yy");
    MainWindow window(temp.path("desk"), temp.path("state"));
    window.resize(1280, 800);
    window.show();
    const WindowDriver driver(window);
    REQUIRE(driver.settle());
    window.bench().replacePicks({temp.path("desk/permit-0413.pdf")});
    window.bench().setDestination(temp.path("to"));
    REQUIRE(driver.settle());
    driver.click("asInHand");
    REQUIRE(driver.settle());
    const auto* batch = driver.find<QTableView>("batchList");
    const auto* pairs = driver.find<QTableView>("pairList");
    const auto shown = [](const QTableView& list) {
        int columns = 0;
        for (int column = 0; column < list.model()->columnCount(); ++column)
            columns += list.isColumnHidden(column) ? 0 : 1;
        return columns;
    };
    CHECK(batch->columnWidth(0) >= digits(23));
    const int with_little_room = shown(*batch);
    CHECK(with_little_room < batch->model()->columnCount());
    window.resize(2600, 800);
    REQUIRE(driver.settle());
    CHECK(shown(*batch) == batch->model()->columnCount());
    CHECK(batch->columnWidth(0) >= digits(23));
    driver.click("placeCollisions");
    REQUIRE(driver.settle());
    CHECK(shown(*pairs) == pairs->model()->columnCount());
    window.resize(1172, 800);
    REQUIRE(driver.settle());
    CHECK(pairs->columnWidth(0) >= digits(20));
    CHECK(shown(*pairs) < pairs->model()->columnCount());
    driver.click("placeBench");
    REQUIRE(driver.settle());
    CHECK(shown(*batch) <= with_little_room);
}
