// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QAction>
#include <QCheckBox>
#include <QComboBox>
#include <QSettings>
#include <QSpinBox>
#include <QTimer>

#include "support/catch.h"
#include "support/temp_folder.h"
#include "tasks/bench.h"
#include "views/main_window.h"
#include "views/settings/settings_dialog.h"
#include "window_driver.h"

using namespace tavlo;

TEST_CASE("settings are one value, kept and read again", "[settings]") {
    TempFolder temp;
    QSettings::setDefaultFormat(QSettings::IniFormat);
    QSettings::setPath(QSettings::IniFormat, QSettings::UserScope, QString::fromStdString(temp.path()));
    Settings set;
    set.looks = 2;
    set.without_waiting = true;
    set.first_rule = CollisionRule::newer_wins;
    set.reads_back = true;
    set.rate_limit = 12'345'678;
    set.keeping = {30, 5'000'000'000, 365};
    set.save();
    const Settings read = Settings::load();
    CHECK(read.looks == 2);
    CHECK(read.without_waiting);
    CHECK(read.first_rule == CollisionRule::newer_wins);
    CHECK(read.reads_back);
    CHECK(read.rate_limit == 12'345'678);
    CHECK(read.keeping.safe_days == 30);
    CHECK(read.keeping.safe_limit == 5'000'000'000);
    CHECK(read.keeping.receipt_days == 365);
    QSettings().setValue(QStringLiteral("firstRule"), 99);  // of another version
    QSettings().setValue(QStringLiteral("theme"), -4);
    CHECK(Settings::load().first_rule == CollisionRule::ask);
    CHECK(Settings::load().looks == 0);
    QSettings::setDefaultFormat(QSettings::NativeFormat);
}

TEST_CASE("the dialog shows what is set, and gives back what somebody chooses, and nothing else",
          "[settings]") {
    Settings set;
    set.rate_limit = 1'500'000;  // no whole number of MiB
    set.keeping.safe_limit = 7;
    SettingsDialog dialog(set);
    const Settings same = dialog.wanted();
    CHECK(same.rate_limit == 1'500'000);
    CHECK(same.keeping.safe_limit == 7);
    CHECK(same.first_rule == CollisionRule::ask);
    dialog.findChild<QComboBox*>("settingRule")->setCurrentIndex(static_cast<int>(CollisionRule::both_stay));
    dialog.findChild<QComboBox*>("settingLooks")->setCurrentIndex(1);
    dialog.findChild<QCheckBox*>("settingReadsBack")->click();
    dialog.findChild<QSpinBox*>("settingLimit")->setValue(0);
    dialog.findChild<QComboBox*>("settingSafeDays")->setCurrentIndex(2);
    const Settings wanted = dialog.wanted();
    CHECK(wanted.first_rule == CollisionRule::both_stay);
    CHECK(wanted.looks == 1);
    CHECK(wanted.reads_back);
    CHECK(wanted.rate_limit == 0);
    CHECK(wanted.keeping.safe_days == 90);
    CHECK(wanted.keeping.safe_limit == 7);
}

TEST_CASE("a batch begins with the rule that is set, and one in hand keeps its own", "[settings]") {
    TempFolder temp;
    temp.write("desk/a", "1");
    Bench bench(temp.path("state"));
    bench.beginWith(CollisionRule::both_stay, true);
    CHECK(bench.collisionRule() == CollisionRule::both_stay);
    CHECK(bench.job().verify == Verify::read_back);
    bench.pick(temp.path("desk"), {"a"});
    bench.setCollisionRule(CollisionRule::newer_wins);
    bench.beginWith(CollisionRule::keep, false);
    CHECK(bench.collisionRule() == CollisionRule::newer_wins);
    CHECK(bench.job().verify == Verify::automatic);
}

TEST_CASE("no setting takes anything out of the Safe without asking there first", "[settings][window]") {
    TempFolder temp;
    QSettings::setDefaultFormat(QSettings::IniFormat);
    QSettings::setPath(QSettings::IniFormat, QSettings::UserScope,
                       QString::fromStdString(temp.path("settings")));
    {
        temp.write("desk/a", "1");
        MainWindow window(temp.path("desk"), temp.path("state"));
        window.show();
        const WindowDriver driver(window);
        REQUIRE(driver.settle());
        QTimer poll;
        QObject::connect(&poll, &QTimer::timeout, [&] {
            auto* dialog = window.findChild<QDialog*>("settingsDialog");
            if (dialog == nullptr || !dialog->isVisible()) return;
            poll.stop();
            dialog->findChild<QComboBox*>("settingSafeDays")->setCurrentIndex(3);
            dialog->findChild<QCheckBox*>("settingReadsBack")->setChecked(true);
            dialog->accept();
        });
        poll.start(20);
        window.findChild<QAction*>("settings")->trigger();
        CHECK(Settings::load().reads_back);
        CHECK(Settings::load().keeping.safe_days == 0);  // as long as nobody has said yes
        REQUIRE(WindowDriver::wait([&] {
            const auto* question = window.findChild<QWidget*>("safeQuestion");
            return question != nullptr && question->isVisible();
        }));
    }
    QSettings::setDefaultFormat(QSettings::NativeFormat);
}
