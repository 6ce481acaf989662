// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "jobs_tour.h"

#include <QAction>
#include <QDialog>
#include <QListView>
#include <QPushButton>
#include <QTimer>

#include "job/job_files.h"
#include "keep/store.h"
#include "tasks/bench.h"
#include "views/gathering/gathering_side.h"
#include "views/settings/settings_dialog.h"

using namespace tavlo;

void JobsTour::keepJobs(const std::string& office) {
    for (const char* name : {"Permits into the archive", "Quay photos by place"})
        if (const auto job = read_saved_job(office + "/Jobs/" + name + ".json", now_ns()))
            (void)JobFiles().write(*job, true);
}

bool JobsTour::run() {
    window_.show();
    driver_.settle();
    driver_.click("placeJobs");
    WindowDriver::wait([this] { return driver_.find<QWidget>("stepCard3") != nullptr; });
    camera_.takeBoth("jobs");
    takeDialog("jobWhenButton", "jobs-when");
    {
        SettingsDialog settings(Settings::load(), &window_);
        settings.show();
        camera_.takeBoth("settings");
    }
    driver_.click("stepChange1");
    driver_.settle();
    camera_.takeBoth("jobs-change");
    driver_.click("jobLeave");
    WindowDriver::wait([this] { return driver_.find<QWidget>("stepCard3") != nullptr; });
    driver_.click("jobRun");
    WindowDriver::wait([this] { return driver_.find<QPushButton>("jobRun")->isEnabled(); });
    driver_.settle();
    QTest::qWait(600);
    camera_.take("jobs-ran");
    auto* jobs = driver_.find<QListView>("jobs");
    jobs->setCurrentIndex(jobs->model()->index(1, 0));
    QTest::qWait(100);
    camera_.take("jobs-sorting");
    driver_.click("placeBench");
    driver_.openFolder(office_ + "/Desks/Quay/Announcements");
    driver_.type("filter", QStringLiteral("*.wav"));
    driver_.settle();
    driver_.key("folderList", Qt::Key_A, Qt::ControlModifier);
    driver_.key("folderList", Qt::Key_Space);
    window_.bench().setOperation(Operation::copy);
    window_.bench().setDestination(office_ + "/Archive/Announcements");
    driver_.settle();
    QTimer::singleShot(400, &window_, [this] {
        camera_.take("jobs-keep");
        for (auto* dialog : window_.findChildren<QDialog*>()) dialog->reject();
    });
    window_.findChild<QAction*>(QStringLiteral("keepAsJob"))->trigger();
    return camera_.isGood();
}

void JobsTour::takeDialog(const char* button, const char* name) {
    QTimer::singleShot(900, &window_, [this, name] {
        camera_.take(name);
        for (auto* dialog : window_.findChildren<QDialog*>()) dialog->reject();
    });
    driver_.click(button);
}
