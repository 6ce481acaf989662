// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "text.h"

#include <QApplication>
#include <QDateTime>
#include <QLineEdit>
#include <QTimeZone>
#include <cmath>
#include <thread>

#include "support/catch.h"
#include "theme/theme.h"

// What is written: that it can be read, and what it says.

using namespace tavlo;

TEST_CASE("text stands out from its ground by 4.5 to 1 or more", "[looks]") {
    const auto luminance = [](const QColor& colour) {  // WCAG 2.1, relative luminance
        const auto part = [](double c) {
            return c <= 0.03928 ? c / 12.92 : std::pow((c + 0.055) / 1.055, 2.4);
        };
        return 0.2126 * part(colour.redF()) + 0.7152 * part(colour.greenF()) + 0.0722 * part(colour.blueF());
    };
    const auto contrast = [&](const QColor& a, const QColor& b) {
        const double x = luminance(a) + 0.05;
        const double y = luminance(b) + 0.05;
        return std::max(x, y) / std::min(x, y);
    };
    for (const Theme& theme : {Theme::light(), Theme::night()}) {
        CAPTURE(theme.dark);
        for (const QColor& ground : {theme.ground, theme.paper, theme.strip, theme.field, theme.selection,
                                     theme.accent_wash, theme.amber_wash})
            CHECK(contrast(theme.ink, ground) >= 4.5);
        for (const QColor& ground : {theme.ground, theme.paper, theme.strip, theme.field, theme.amber_wash,
                                     theme.accent_wash, theme.selection})
            CHECK(contrast(theme.muted, ground) >= 4.5);
        for (const QColor& ground : {theme.ground, theme.paper, theme.accent_wash})
            CHECK(contrast(theme.accent, ground) >= 4.5);
        CHECK(contrast(theme.amber, theme.amber_wash) >= 4.5);
        CHECK(contrast(theme.amber, theme.paper) >= 4.5);
        CHECK(contrast(theme.paper, theme.amber) >= 4.5);
        for (const QColor& ground : {theme.plum_wash, theme.paper, theme.ground})
            CHECK(contrast(theme.plum, ground) >= 4.5);
        CHECK(contrast(theme.paper, theme.plum) >= 4.5);
        CHECK(contrast(theme.accent, theme.selection) >= 3.0);  // marks
        CHECK(contrast(theme.on_accent, theme.accent) >= 4.5);
        CHECK(contrast(theme.muted, theme.line) >= 3.0);  // a button that is not available
        CHECK(contrast(theme.paper, theme.ink) >= 4.5);
        // what can be worked: edges of fields and buttons, scroll handles, the bar of a selected row, the
        // frame of the current one
        for (const QColor& ground :
             {theme.ground, theme.paper, theme.strip, theme.field, theme.selection, theme.accent_wash}) {
            CHECK(contrast(theme.edge, ground) >= 3.0);
            CHECK(contrast(theme.accent, ground) >= 3.0);
        }
    }
    for (const auto choice :
         {ThemeChoice::dark, ThemeChoice::light}) {  // what stands in a line before anybody types
        apply_theme(*qApp, choice);
        QLineEdit line;
        line.ensurePolished();
        CHECK(contrast(line.palette().color(QPalette::PlaceholderText), Theme::current().field) >= 4.5);
    }
}

TEST_CASE("sizes, dates and differences are said in words", "[text]") {
    CHECK(size_text(512) == "512 B");
    CHECK(size_text(1536).startsWith("1"));
    CHECK(size_text(250 * 1024).startsWith("250"));
    CHECK(shown("bad\xff\n") == QString("bad\uFFFD\\n"));
    CHECK(short_path("/srv/office/Archive/2031/Permits") == "Archive / 2031 / Permits");
    Status incoming;
    Status held;
    incoming.type = held.type = FileType::file;
    incoming.id.modified_ns = 3 * 86'400'000'000'000;
    incoming.id.size_bytes = 12'288;
    CHECK(difference_text(incoming, held) == QString("3 days newer, 12%1KB larger").arg(QChar(0xa0)));
    CHECK(difference_text(held, incoming) == QString("3 days older, 12%1KB smaller").arg(QChar(0xa0)));
    CHECK(difference_text(held, held) == "same date, same size");
}

TEST_CASE("a date is as clocks have it where one is, in summer and in winter, and without this year's number",
          "[looks]") {
    if (!QTimeZone("Europe/Berlin").isValid()) {
        WARN("no time zones are installed here: skipped");
        return;
    }
    const QByteArray here = qgetenv("TZ");
    qputenv("TZ", "Europe/Berlin");
    QStringList seen;
    const auto ns = [](const char* moment) {
        return QDateTime::fromString(QString::fromLatin1(moment), Qt::ISODate).toMSecsSinceEpoch() *
               1'000'000;
    };
    const QString this_year =
        QDateTime::currentDateTimeUtc().toString(QStringLiteral("yyyy-06-15T12:00:00Z"));
    std::thread([&] {  // that has not asked for the zone yet
        for (const char* moment : {"2019-01-05T23:30:00Z", "2019-07-05T22:30:00Z", "1969-07-20T20:17:00Z"})
            seen << date_text(ns(moment));
        seen << date_text_full(ns("2019-07-05T22:30:01Z"));
        seen << date_text(ns(this_year.toLatin1().constData()));
    })
        .join();
    here.isNull() ? qunsetenv("TZ") : qputenv("TZ", here);
    CHECK(seen[0] == "6 Jan 2019 00:30");
    CHECK(seen[1] == "6 Jul 2019 00:30");
    CHECK(seen[2] == "20 Jul 1969 21:17");
    CHECK(seen[3] == "6 July 2019, 00:30:01");
    CHECK(seen[4] == "15 Jun 14:00");
}
