// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QAbstractItemView>
#include <QImage>
#include <QStandardItemModel>
#include <QTableView>
#include <QTreeView>

#include "support/catch.h"
#include "theme/theme.h"
#include "views/parts/row_view.h"
#include "window_driver.h"

namespace {

QImage picture_of(QWidget& widget) {
    QImage picture(widget.size(), QImage::Format_RGB32);
    picture.fill(Qt::white);  // the views have no ground of their own
    widget.render(&picture);
    return picture;
}

/// Where the keyboard is must be seen: with the focus somewhere else the picture is another one.
void shows_focus(QAbstractItemView& view) {
    QStandardItemModel model(4, 2);
    for (int row = 0; row < 4; ++row)
        for (int column = 0; column < 2; ++column)
            model.setItem(row, column, new QStandardItem(QStringLiteral("cell")));
    view.setModel(&model);
    QWidget window;
    auto* other = new QLineEdit(&window);
    other->setGeometry(0, 210, 100, 30);
    view.setParent(&window);
    view.setGeometry(0, 0, 300, 200);
    window.resize(300, 250);
    window.show();
    view.setFocus();
    view.setCurrentIndex(model.index(1, 0));
    view.selectionModel()->select(model.index(1, 0),
                                  QItemSelectionModel::ClearAndSelect | QItemSelectionModel::Rows);
    REQUIRE(WindowDriver::wait([&] { return view.hasFocus(); }));
    const QImage with = picture_of(*view.viewport());
    view.setCurrentIndex(model.index(2, 0));
    view.selectionModel()->select(model.index(1, 0),
                                  QItemSelectionModel::ClearAndSelect | QItemSelectionModel::Rows);
    const QImage elsewhere = picture_of(*view.viewport());
    CHECK(with != elsewhere);  // the current row, whatever is selected
    other->setFocus();
    REQUIRE(WindowDriver::wait([&] { return !view.hasFocus(); }));
    const QImage without = picture_of(*view.viewport());
    CHECK(elsewhere != without);
    // what is selected has an edge of its own, which does not hang on the pale ground
    const QRect row = view.visualRect(model.index(1, 0));
    CHECK(without.pixelColor(0, row.center().y()).name() == Theme::current().edge.name());
    CHECK(without.pixelColor(0, view.visualRect(model.index(3, 0)).center().y()).name() !=
          Theme::current().edge.name());
    view.setParent(nullptr);
}

}  // namespace

TEST_CASE("lists, tables and trees show where the keyboard is, and what is selected", "[looks]") {
    RowView rows;
    shows_focus(rows);
    WithFocus<QListView> list;
    shows_focus(list);
    WithFocus<QTreeView> tree;
    shows_focus(tree);
}
