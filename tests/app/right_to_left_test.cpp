// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QImage>
#include <QLabel>
#include <QPainter>
#include <QPushButton>

#include "desk.h"
#include "drawn_text.h"
#include "models/folder_model.h"
#include "support/catch.h"
#include "tasks/bench.h"
#include "tasks/runs.h"
#include "text.h"
#include "theme/theme.h"
#include "views/gathering/gathering_side.h"
#include "views/parts/button_row.h"
#include "views/parts/mirrored.h"
#include "views/runs/lane_view.h"

namespace {

/// The whole program runs from right to left for one test.
struct FromRight {
    FromRight() { QGuiApplication::setLayoutDirection(Qt::RightToLeft); }
    ~FromRight() { QGuiApplication::setLayoutDirection(Qt::LeftToRight); }
};

/// The part of a picture, by its columns, that is not white; -1: none is.
std::pair<int, int> inked(const QImage& picture) {
    int first = -1;
    int last = -1;
    for (int x = 0; x < picture.width(); ++x)
        for (int y = 0; y < picture.height(); ++y)
            if (picture.pixel(x, y) != qRgb(255, 255, 255)) {
                if (first == -1) first = x;
                last = x;
            }
    return {first, last};
}

template <class Paint>
std::pair<int, int> inked_by(Paint paint) {
    QImage picture(400, 30, QImage::Format_RGB32);
    picture.fill(Qt::white);
    QPainter painter(&picture);
    painter.setLayoutDirection(QGuiApplication::layoutDirection());
    paint(painter, picture.rect());
    painter.end();
    return inked(picture);
}

}  // namespace

TEST_CASE("what is painted by hand is mirrored from right to left", "[looks]") {
    const QStringList words{QStringLiteral("skip"), QStringLiteral("overwrite"), QStringLiteral("rename")};
    const QRect cell(0, 0, 400, 30);
    const Choices choices{words, -1, cell};
    const QRect first = button_rect(choices, QApplication::font(), 0);
    const auto tag = [](QPainter& painter, const QRect& rect) {
        paint_tag(painter, rect, QStringLiteral("new"), 0);
    };
    const auto figures = [](QPainter& painter, const QRect& rect) {
        painter.setPen(Qt::black);
        draw_tabular(painter, rect, Qt::AlignRight, QStringLiteral("12 May"));
    };
    CHECK(inked_by(tag).second < 200);
    CHECK(inked_by(figures).first > 200);
    {
        const FromRight mirror;
        const QRect now = button_rect(choices, QApplication::font(), 0);
        CHECK(now.width() == first.width());
        CHECK(cell.right() - now.right() == first.left() - cell.left());
        CHECK(button_at(choices, QApplication::font(), now.center()) == 0);
        CHECK(buttons_width(QApplication::font(), words) >
              3 * first.width() / 2);  // which does not hang on it
        CHECK(inked_by(tag).first > 200);
        CHECK(inked_by(figures).second < 200);
    }
    CHECK(mirrored(cell, QRect(0, 0, 10, 30)) == QRect(0, 0, 10, 30));
}

TEST_CASE("figures have one width, and the letters beside them stay together", "[looks]") {
    const auto draw = [](const QString& text) {
        return inked_by([text](QPainter& painter, const QRect& rect) {
            painter.setPen(Qt::black);
            draw_tabular(painter, rect, Qt::AlignRight, text);
        });
    };
    CHECK(draw(QStringLiteral("1 May")).second == draw(QStringLiteral("8 May")).second);
    // letters that join have another picture than the same letters one by one
    const QString month = QString::fromUtf8("\u0645\u0627\u064a\u0648");
    QImage joined(400, 30, QImage::Format_RGB32);
    joined.fill(Qt::white);
    QImage drawn = joined;
    {
        QPainter painter(&joined);
        painter.drawText(joined.rect(), Qt::AlignRight | Qt::AlignVCenter, month);
        QPainter other(&drawn);
        draw_tabular(other, drawn.rect(), Qt::AlignRight, month);
    }
    CHECK(drawn == joined);
}

TEST_CASE("the real window works from right to left: sentence, marks, decisions, folders that open",
          "[window]") {
    Desk desk;
    desk.temp.write("desk/in/a.txt", "new a");
    desk.temp.write("desk/in/b.txt", "b");
    desk.temp.write("there/a.txt", "old");
    const FromRight mirror;
    desk.open();
    CHECK(desk.window->layoutDirection() == Qt::RightToLeft);
    desk.driver->openFolder(desk.temp.path("desk/in"));
    auto& model = desk.window->gathering().model();
    desk.driver->clickMark(model.rowOf("a.txt"));
    desk.driver->clickMark(model.rowOf("b.txt"));
    CHECK(desk.window->bench().picks().count() == 2);
    desk.driver->chooseDestination(QString::fromStdString(desk.temp.path("there")));
    // the sentence begins at the right
    const auto x = [&](const char* name) {
        auto* part = desk.driver->find<QWidget>(name);
        return part->mapTo(&*desk.window, QPoint(0, 0)).x();
    };
    CHECK(x("phraseOperation") > x("phraseItems"));
    CHECK(x("folderList") > x("outcomeList"));
    CHECK(x("start") < x("phraseOperation"));
    // a decision by a click on its button, which is mirrored too
    desk.driver->decideByClick(QStringLiteral("a.txt"), tavlo::Decision::skip);
    CHECK(desk.window->bench().plan()->totals.of(tavlo::Outcome::skipped) == 1);
    // what is in the batch is marked at its right edge
    auto* list = desk.driver->find<QAbstractItemView>("folderList");
    const QRect row = list->visualRect(model.index(model.rowOf("b.txt"), 0));
    const QImage seen = list->viewport()->grab().toImage();
    CHECK(seen.pixelColor(row.right() - 2, row.center().y()).name() == Theme::current().accent.name());
    CHECK(seen.pixelColor(row.left() + 2, row.center().y()).name() != Theme::current().accent.name());
}

TEST_CASE("what is put in its place by hand is mirrored too: the buttons of a lane", "[window]") {
    Desk desk;
    desk.temp.write("desk/a.txt", "new a");
    const FromRight mirror;
    desk.open();
    desk.window->bench().replacePicks({desk.temp.path("desk/a.txt")});
    desk.window->bench().setDestination(desk.temp.path("there"));
    REQUIRE(desk.driver->settle());
    desk.driver->click("start");
    REQUIRE(WindowDriver::wait([&] { return desk.window->runs().lanes().size() == 1; }));
    desk.driver->click("placeRuns");
    REQUIRE(desk.driver->settle());
    const auto* lane = desk.driver->find<LaneView>("lane");
    REQUIRE(lane != nullptr);
    const auto* buttons = lane->findChild<QWidget*>("laneButtons");
    REQUIRE(buttons != nullptr);
    CHECK(buttons->geometry().right() < lane->width() / 2);  // the sentence begins at the right
    CHECK(buttons->geometry().left() >= 0);
}
