// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QAbstractButton>
#include <QAction>
#include <QFile>
#include <QLabel>
#include <QLibraryInfo>
#include <QProcess>
#include <QRegularExpression>
#include <QStandardPaths>
#include <QTemporaryDir>
#include <QXmlStreamReader>

#include "in_language.h"
#include "support/catch.h"
#include "support/temp_folder.h"
#include "tasks/bench.h"
#include "views/main_window.h"
#include "window_driver.h"

namespace {

struct Message {
    QString source;
    QStringList forms;  ///< one, or one for each number
    bool finished = true;
};

std::vector<Message> messages_of(const QString& path) {
    QFile file(path);
    REQUIRE(file.open(QIODevice::ReadOnly));
    QXmlStreamReader xml(&file);
    std::vector<Message> all;
    while (!xml.atEnd()) {
        if (xml.readNext() != QXmlStreamReader::StartElement) continue;
        if (xml.name() == QLatin1String("message")) all.emplace_back();
        if (all.empty()) continue;
        if (xml.name() == QLatin1String("source")) all.back().source = xml.readElementText();
        if (xml.name() == QLatin1String("numerusform")) all.back().forms << xml.readElementText();
        if (xml.name() == QLatin1String("translation")) {
            all.back().finished = !xml.attributes().hasAttribute(QLatin1String("type"));
            if (xml.readNext() == QXmlStreamReader::Characters && !xml.isWhitespace())
                all.back().forms << xml.text().toString();
        }
    }
    return all;
}

QString file_of(const QString& language) {
    return QStringLiteral(SOURCE "/app/i18n/tavlo_%1.ts").arg(language);
}

QStringList places_in(const QString& text) {
    static const QRegularExpression place(QStringLiteral("%L?[0-9]|%L?n|\\{[^}]*\\}"));
    QStringList found;
    for (auto at = place.globalMatch(text); at.hasNext();) found << at.next().captured();
    found.sort();
    found.removeDuplicates();
    return found;
}

}  // namespace

TEST_CASE(
    "each language has every text, with the places of its parts, and a letter to reach it by where it had "
    "one",
    "[languages]") {
    const auto language = GENERATE(QStringLiteral("de"), QStringLiteral("fr"));
    const auto all = messages_of(file_of(language));
    CHECK(all.size() > 1300);
    for (const Message& one : all) {
        CAPTURE(language.toStdString(), one.source.toStdString());
        CHECK(one.finished);
        REQUIRE_FALSE(one.forms.isEmpty());
        CHECK(places_in(one.source) == places_in(one.forms.last()));
        const QString plain = QString(one.source).remove(QStringLiteral("&&"));
        CHECK(plain.contains(QLatin1Char('&')) == one.forms.last().contains(QLatin1Char('&')));
        for (const QString& form : one.forms) CHECK_FALSE(form.isEmpty());
    }
}

TEST_CASE("no text of the program is missing in a language", "[languages]") {
    const auto language = GENERATE(QStringLiteral("de"), QStringLiteral("fr"));
    const QString lupdate = QStandardPaths::findExecutable(
        QStringLiteral("lupdate"), {QLibraryInfo::path(QLibraryInfo::BinariesPath),
                                    QLibraryInfo::path(QLibraryInfo::LibraryExecutablesPath)});
    if (lupdate.isEmpty()) {
        WARN("skipped: there is no lupdate");
        return;
    }
    const QTemporaryDir folder;
    const QString copy = folder.filePath(QStringLiteral("tavlo_%1.ts").arg(language));
    REQUIRE(QFile::copy(file_of(language), copy));
    QProcess update;
    update.start(lupdate, {QStringLiteral("-silent"), QStringLiteral("-no-obsolete"),
                           QStringLiteral(SOURCE "/app"), QStringLiteral("-ts"), copy});
    REQUIRE(update.waitForFinished(120'000));
    REQUIRE(update.exitCode() == 0);
    for (const Message& one : messages_of(copy)) {
        CAPTURE(language.toStdString(), one.source.toStdString());
        CHECK(one.finished);
    }
}

TEST_CASE("in another language nothing in the window stays in English", "[languages]") {
    const auto language = GENERATE(QStringLiteral("de"), QStringLiteral("fr"));
    const InLanguage spoken(language);
    std::map<QString, QString> other_in_it;
    for (const Message& one : messages_of(file_of(language)))
        if (one.forms.last() != one.source && !one.source.contains(QLatin1Char('%')))
            other_in_it[one.source] = one.forms.last();
    TempFolder temp;
    temp.write("desk/a.pdf", "1");
    temp.write("desk/b.pdf", "2");
    temp.write("to/a.pdf", "3");
    MainWindow window(temp.path("desk"), temp.path("state"));
    window.show();
    const WindowDriver driver(window);
    REQUIRE(driver.settle());
    window.bench().replacePicks({temp.path("desk/a.pdf"), temp.path("desk/b.pdf")});
    window.bench().setDestination(temp.path("to"));
    REQUIRE(driver.settle());
    QStringList texts;
    for (const auto* button : window.findChildren<QAbstractButton*>())
        texts << button->text() << button->toolTip();
    for (const auto* action : window.findChildren<QAction*>()) texts << action->text();
    for (const auto* label : window.findChildren<QLabel*>()) texts << label->text();
    CHECK(texts.size() > 200);
    for (const QString& text : texts) {
        CAPTURE(language.toStdString(), text.toStdString());
        CHECK_FALSE(other_in_it.contains(text));
    }
    CHECK(driver.find<QPushButton>("start")->text() ==
          (language == QLatin1String("de") ? "1 von 2 kopieren" : "Copier 1 sur 2"));
}
