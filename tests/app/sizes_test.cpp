// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QTreeView>

#include "desk.h"
#include "models/sizes_model.h"
#include "support/catch.h"
#include "tasks/bench.h"
#include "views/sizes/sizes_page.h"

// What stands out below a folder, and what becomes of it.

using namespace tavlo;

namespace {

void make_files(const TempFolder& temp) {
    temp.write("desk/large/file", std::string(5000, 'x'));
    temp.write("desk/large/deep/other", std::string(3000, 'y'));
    temp.write("desk/small", "x");
    temp.folder("desk/empty");
}

/// A desk of known weights, on view in the place for sizes.
struct Scales {
    explicit Scales(Desk& desk) : desk_(desk), page(opened(desk)) {
        REQUIRE(WindowDriver::wait([&] {
            return !page.isWeighing() && page.model().weighed() && page.model().weighed()->complete;
        }));
    }
    static SizesPage& opened(Desk& desk) {
        make_files(desk.temp);
        desk.open();
        desk.stroke(Qt::Key_7, Qt::AltModifier);
        return *desk.driver->find<SizesPage>("sizesPage");
    }
    QStringList names(const QModelIndex& parent = {}) const {
        QStringList names;
        for (int row = 0; row < page.model().rowCount(parent); ++row)
            names << page.model().index(row, 0, parent).data().toString();
        return names;
    }
    void select(const std::string& path) const {
        auto* tree = desk_.driver->find<QTreeView>("sizes");
        tree->selectionModel()->select(page.model().indexOf(path),
                                       QItemSelectionModel::ClearAndSelect | QItemSelectionModel::Rows);
    }
    Desk& desk_;
    SizesPage& page;
};

}  // namespace

TEST_CASE("sizes are a place to work in: folders open, what stands out is listed, and goes into the batch",
          "[window][sizes]") {
    Desk desk;
    const Scales scales(desk);
    CHECK(scales.names() == QStringList{"large/", "small", "empty/"});
    const QModelIndex large = scales.page.model().indexOf(desk.temp.path("desk/large"));
    CHECK(scales.names(large) == QStringList{"file", "deep/"});
    CHECK(large.data(SizesModel::ShareRole).toDouble() == 1.0);
    CHECK(scales.page.model().index(1, 0, large).data(SizesModel::ShareRole).toDouble() == Approx(0.6));
    CHECK(scales.page.model().index(1, 0, large).parent() == large);
    desk.driver->click("sizesShow2");
    CHECK(scales.names() == QStringList{"empty/"});
    desk.driver->click("sizesShow1");
    CHECK(scales.names() == QStringList{"large/file", "large/deep/other", "small"});
    desk.driver->click("sizesShow3");
    CHECK(scales.names().isEmpty());
    desk.driver->type("sizesOver", QStringLiteral("4K"));
    CHECK(scales.names() == QStringList{"large/"});
    desk.driver->find<QTreeView>("sizes")->selectAll();
    CHECK(desk.driver->find<QLabel>("sizesChosen")->text().contains(QStringLiteral("1 selected")));
    desk.driver->click("sizesPick");
    CHECK(desk.window->bench().picks().contain(desk.temp.path("desk"), "large"));
}

TEST_CASE("the sizes follow the disk, what was open stays open, and what is selected becomes what is removed",
          "[window][sizes]") {
    Desk desk;
    const Scales scales(desk);
    auto* tree = desk.driver->find<QTreeView>("sizes");
    tree->expand(scales.page.model().indexOf(desk.temp.path("desk/large")));
    scales.select(desk.temp.path("desk/large/deep"));
    REQUIRE(WindowDriver::wait([&] {  // once the watch stands, what comes is seen
        desk.temp.write("desk/large/news", std::string(9000, 'z'));
        QTest::qWait(400);
        return scales.names(scales.page.model().indexOf(desk.temp.path("desk/large")))
            .contains(QStringLiteral("news"));
    }));
    const QModelIndex large = scales.page.model().indexOf(desk.temp.path("desk/large"));
    CHECK(scales.names(large).front() == "news");
    CHECK(tree->isExpanded(large));
    CHECK(tree->selectionModel()->isSelected(scales.page.model().indexOf(desk.temp.path("desk/large/deep"))));
    desk.driver->click("sizesRemove");
    REQUIRE(desk.driver->settle());
    CHECK(desk.window->bench().job().operation == Operation::remove);
    CHECK(desk.window->bench().plan()->totals.of(Outcome::removed) == 1);
    CHECK(desk.temp.has("desk/large/deep/other"));  // nothing goes before it is started
    desk.stroke(Qt::Key_Z, Qt::ControlModifier);
    CHECK(desk.window->bench().picks().empty());
}
