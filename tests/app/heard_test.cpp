// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "heard.h"

#include <QAccessible>
#include <QDate>
#include <QFile>
#include <QLabel>
#include <QLocale>
#include <QRegularExpression>

#include "desk.h"
#include "models/collision_models.h"
#include "support/catch.h"
#include "tasks/bench.h"
#include "views/parts/row_view.h"

// Each place as it is read out, and worked from there.

namespace {

/// A desk with one name that is free, one that is taken, and one that is the same already.
struct Office {
    Office() {
        for (const char* name : {"desk/free.txt", "desk/taken.txt", "desk/same.txt"})
            desk.temp.write(name, "of the desk");
        desk.temp.write("there/taken.txt", "older");
        desk.temp.write("there/same.txt", "of the desk");
        for (const char* name :
             {"desk/free.txt", "desk/taken.txt", "desk/same.txt", "there/taken.txt", "there/same.txt"})
            desk.temp.date(name,
                           std::string(name).starts_with("there/taken") ? 1'893'500'000 : 1'925'035'200);
        desk.open();
        desk.window->bench().pick(desk.temp.path("desk"), {"free.txt", "taken.txt", "same.txt"});
        desk.driver->chooseDestination(QString::fromStdString(desk.temp.path("there")));
    }
    Desk desk;
};

/// What differs from one machine and one day to another.
QString settled(QString line, const Desk& desk) {
    const std::filesystem::path folder = desk.temp.path();
    line.replace(QString::fromStdString(folder), QStringLiteral("/OFFICE"));
    line.replace(QString::fromStdString(folder.filename()), QStringLiteral("OFFICE"));
    line.replace(QRegularExpression(QStringLiteral("\\b\\d{1,2}:\\d{2}(:\\d{2})?\\b")),
                 QStringLiteral("TIME"));
    line.replace(QRegularExpression(QStringLiteral("\\b\\d{1,2} [A-Z][a-z]{2} TIME")),
                 QStringLiteral("TODAY TIME"));
    for (const QDate& day : {QDate::currentDate(), QDate::currentDate().addDays(-1)})  // it may be midnight
        line.replace(QLocale::c().toString(day, QStringLiteral("d MMMM yyyy")), QStringLiteral("TODAY"));
    line.replace(QRegularExpression(QStringLiteral("[\\d.]+\\W[A-Za-z]+ free")), QStringLiteral("SOME free"));
    line.replace(QString::fromStdString(folder.parent_path().filename()) + QStringLiteral(" / OFFICE"),
                 QStringLiteral("ABOVE / OFFICE"));
    return line;
}

/// Of the location: folders that the office lies in, which each machine has its own of.
bool is_above(const QString& line) {
    const QString text = line.trimmed();
    return text == QStringLiteral("static text /") ||
           (text.startsWith(QStringLiteral("button Open ")) && !text.contains(QStringLiteral("/OFFICE")));
}

QString kept(const QString& place) { return QStringLiteral(SOURCE "/tests/app/heard/%1.txt").arg(place); }

}  // namespace

TEST_CASE("each place says what it should", "[looks][heard]") {
    Office office;
    Desk& desk = office.desk;
    desk.driver->click("start");
    desk.finished();
    auto* taken = desk.driver->find<QLabel>("namesTaken");  // what was settled has left the batch
    REQUIRE(WindowDriver::wait([&] { return taken->text().startsWith(QLatin1Char('1')); }));
    desk.driver->settle();
    for (const char* place : {"placeBench", "placeCollisions", "placeRuns", "placeReceipts", "placeSafe",
                              "placeJobs", "placeSizes"}) {
        desk.driver->click(place);
        desk.driver->settle();
        const auto lines = [&] {
            QStringList all;
            for (const QString& line : heard_tree(*desk.window))
                if (!is_above(settled(line, desk))) all << settled(line, desk);
            return all;
        };
        QFile file(kept(QString::fromLatin1(place)));
        if (qEnvironmentVariableIsSet("TAVLO_WRITE_HEARD")) {
            QTest::qWait(1000);
            REQUIRE(file.open(QFile::WriteOnly));
            file.write(lines().join(QLatin1Char('\n')).toUtf8() + '\n');
            continue;
        }
        REQUIRE(file.open(QFile::ReadOnly));
        const QStringList should = QString::fromUtf8(file.readAll()).trimmed().split(QLatin1Char('\n'));
        if (WindowDriver::wait([&] { return lines() == should; })) continue;  // places read on other threads
        const QStringList are = lines();
        for (qsizetype at = 0; at < std::max(should.size(), are.size()); ++at) {
            CAPTURE(place, at);
            CHECK(are.value(at).toStdString() == should.value(at).toStdString());
            if (are.value(at) != should.value(at)) break;
        }
    }
}

TEST_CASE("a choice in a row is a button that can be pressed by whoever hears it", "[looks][heard]") {
    Office office;
    Desk& desk = office.desk;
    const auto what_is_there = [&] { return desk.rowOf(QStringLiteral("taken.txt")) + 1; };
    const auto cell = [&](const char* list, int of, int column) {
        auto* all = QAccessible::queryAccessibleInterface(desk.driver->find<QAbstractItemView>(list));
        REQUIRE(all->tableInterface() != nullptr);
        auto* one = all->tableInterface()->cellAt(of, column);
        REQUIRE(one != nullptr);
        return one;
    };
    const auto choices = cell("outcomeList", what_is_there(), OutcomeModel::WhatColumn);
    REQUIRE(choices->childCount() == 3);
    auto* overwrite = choices->child(1);
    CHECK(overwrite->text(QAccessible::Name) == QStringLiteral("Overwrite"));
    CHECK(overwrite->role() == QAccessible::RadioButton);
    CHECK(overwrite->parent() == choices);
    CHECK(choices->indexOfChild(overwrite) == 1);
    CHECK_FALSE(overwrite->state().checked);
    CHECK(choices->rect().contains(overwrite->rect()));
    CHECK(choices->childAt(overwrite->rect().center().x(), overwrite->rect().center().y()) == overwrite);
    REQUIRE(overwrite->actionInterface() != nullptr);
    overwrite->actionInterface()->doAction(QAccessibleActionInterface::pressAction());
    desk.driver->settle();
    CHECK(cell("outcomeList", what_is_there(), OutcomeModel::WhatColumn)->child(1)->state().checked);
    // the same of a group and a pair in Collisions, and a choice that was made is taken back by its group's
    desk.driver->click("placeCollisions");
    desk.driver->settle();
    const int group = desk.driver->rowNamed("groupList", QStringLiteral("Incoming newer"));
    REQUIRE(group >= 0);
    desk.driver->find<QAbstractItemView>("groupList")
        ->setCurrentIndex(desk.driver->find<QAbstractItemView>("groupList")->model()->index(group, 0));
    const auto is_chosen = [&](const char* list, int at, int column, int number) {
        return WindowDriver::wait([&] {
            auto* choice = cell(list, at, column)->child(number);
            return choice != nullptr && choice->state().checked;
        });
    };
    REQUIRE(WindowDriver::wait(
        [&] { return desk.driver->rowNamed("pairList", QStringLiteral("taken.txt")) == 0; }));
    CHECK(is_chosen("pairList", 0, PairModel::DecisionColumn, 1));
    auto* skip_all = cell("groupList", group, 0)->child(0);
    CHECK(skip_all->text(QAccessible::Name) == QStringLiteral("Skip"));
    skip_all->actionInterface()->doAction(QAccessibleActionInterface::pressAction());
    CHECK(is_chosen("pairList", 0, PairModel::DecisionColumn, 0));
    CHECK(is_chosen("outcomeList", what_is_there(), OutcomeModel::WhatColumn, 0));
    // where the focus is said to be is counted as Qt counts
    auto* list = desk.driver->find<RowView>("pairList");
    list->setFocus();
    list->setCurrentIndex(list->model()->index(0, 0));
    auto* all = QAccessible::queryAccessibleInterface(list);
    const int columns = PairModel::ColumnCount + 1;
    CHECK(all->child(columns + 1) == cell("pairList", 0, 0));
    CHECK(all->indexOfChild(cell("pairList", 0, 0)) == columns + 1);
    CHECK(all->child(columns)->role() == QAccessible::RowHeader);
    CHECK(all->focusChild() == cell("pairList", 0, 0));
}
