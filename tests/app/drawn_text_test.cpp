// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "drawn_text.h"

#include <QApplication>
#include <QImage>

#include "support/catch.h"
#include "theme/fonts.h"

// What lists draw from what was kept looks as the painter draws it at once.

namespace {

const QRect cell(7, 3, 210, 24);

template <class Draw>
QImage drawn(const QFont& font, Qt::LayoutDirection direction, Draw draw) {
    QImage picture(230, 30, QImage::Format_RGB32);
    picture.fill(Qt::white);
    QPainter painter(&picture);
    painter.setFont(font);
    painter.setPen(Qt::black);
    painter.setLayoutDirection(direction);
    draw(painter);
    return picture;
}

QImage kept(const QString& text, const QFont& font, Qt::TextElideMode cut, int width = cell.width(),
            Qt::LayoutDirection direction = Qt::LeftToRight) {
    return drawn(font, direction, [&](QPainter& painter) {
        draw_elided(painter, QRect(cell.left(), cell.top(), width, cell.height()), text, cut);
    });
}

QImage at_once(const QString& text, const QFont& font, Qt::TextElideMode cut, int width = cell.width(),
               Qt::LayoutDirection direction = Qt::LeftToRight) {
    return drawn(font, direction, [&](QPainter& painter) {
        painter.drawText(QRect(cell.left(), cell.top(), width, cell.height()),
                         Qt::AlignLeft | Qt::AlignVCenter,
                         painter.fontMetrics().elidedText(text, cut, width));
    });
}

}  // namespace

TEST_CASE("text of a row looks the same from what was kept: signs, cuts, fonts, widths", "[looks]") {
    const QString text = GENERATE(
        QStringLiteral("permit-0416-north-quay.pdf"), QStringLiteral("<b>no</b> &amp; <i>markup</i>"),
        QStringLiteral("this & that &them"), QString::fromUtf8("Hafenst\u00fcck \u2014 \u00f8re, caf\u00e9"),
        QStringLiteral("a name that is far too long for a cell of this width, as some are.pdf"),
        QString::fromUtf8("\u0645\u0627\u064a\u0648 2031"));
    const QFont plain = QApplication::font();
    for (int round = 0; round < 2; ++round)  // shaped, and from what was kept
        for (const QFont& font : {plain, strong_font(plain), small_font(plain)})
            for (const auto cut : {Qt::ElideMiddle, Qt::ElideRight})
                for (const int width : {cell.width(), 90}) {
                    CAPTURE(text.toStdString(), round, width, font.pointSizeF(), font.weight());
                    CHECK(kept(text, font, cut, width) == at_once(text, font, cut, width));
                    CHECK(kept(text, font, cut, width, Qt::RightToLeft) ==
                          at_once(text, font, cut, width, Qt::RightToLeft));
                }
}

TEST_CASE("words in the middle of a tag or a button look the same from what was kept", "[looks]") {
    const QString text = GENERATE(QStringLiteral("new"), QStringLiteral("overwrites"), QStringLiteral("Skip"),
                                  QString::fromUtf8("\u00dcberschreiben"), QStringLiteral("nom pris"));
    const QFont plain = QApplication::font();
    for (const QFont& font : {plain, strong_font(plain), small_font(plain)}) {
        CAPTURE(text.toStdString(), font.pointSizeF(), font.weight());
        CHECK(drawn_width(font, text) == QFontMetrics(font).horizontalAdvance(text));
        for (const int width : {drawn_width(font, text) + 14, drawn_width(font, text) + 15}) {
            const QRect box(cell.left(), cell.top(), width, cell.height());
            CHECK(drawn(font, Qt::LeftToRight, [&](QPainter& painter) {
                      draw_elided(painter, box, text, Qt::ElideRight, Qt::AlignHCenter);
                  }) == drawn(font, Qt::LeftToRight, [&](QPainter& painter) {
                      painter.drawText(box, Qt::AlignCenter, text);
                  }));
        }
    }
}

TEST_CASE("text at the right ends where its cell does", "[looks]") {
    const QFont font = QApplication::font();
    const auto last_ink = [&](const QString& text) {
        const QImage picture = drawn(font, Qt::LeftToRight, [&](QPainter& painter) {
            draw_elided(painter, cell, text, Qt::ElideRight, Qt::AlignRight);
        });
        for (int x = picture.width(); x-- > 0;)
            for (int y = 0; y < picture.height(); ++y)
                if (picture.pixelColor(x, y).lightness() < 128) return x;
        return -1;
    };
    for (const QString& text : {QStringLiteral("1 open"), QStringLiteral("12 others, 7 open")}) {
        CHECK(last_ink(text) <= cell.right());
        CHECK(last_ink(text) > cell.right() - 5);
    }
}

TEST_CASE("more texts and fonts than are kept are drawn all the same", "[looks]") {
    const QFont font = QApplication::font();
    const QImage first = kept(QStringLiteral("scan-0.tif"), font, Qt::ElideMiddle);
    for (int number = 1; number < 5000; ++number)
        (void)kept(QStringLiteral("scan-%1.tif").arg(number), font, Qt::ElideMiddle);
    for (int size = 20; size < 40; ++size) {
        QFont other = font;
        other.setPixelSize(size);
        (void)kept(QStringLiteral("scan-0.tif"), other, Qt::ElideMiddle);
    }
    CHECK(kept(QStringLiteral("scan-0.tif"), font, Qt::ElideMiddle) == first);
    CHECK(kept(QStringLiteral("scan-1.tif"), font, Qt::ElideMiddle) != first);
}
