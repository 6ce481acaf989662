// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "support/jobs.h"

#include <QComboBox>
#include <QDialog>
#include <QLabel>
#include <QLineEdit>
#include <QListView>
#include <QRadioButton>
#include <QTreeWidget>
#include <ctime>
#include <filesystem>
#include <functional>

#include "desk.h"
#include "job/job_files.h"
#include "job/schedule.h"
#include "job_words.h"
#include "keep/store.h"
#include "models/filter_selection.h"
#include "models/jobs_model.h"
#include "support/catch.h"
#include "support/environment.h"
#include "tasks/bench.h"
#include "views/gathering/gathering_side.h"

// Saved jobs, from the bench and back, as somebody works with them in the window.

using namespace tavlo;

namespace {

struct JobsDesk : Desk {
    JobsDesk() : config("XDG_CONFIG_HOME", temp.path("config")) {
        for (const char* name : {"a.pdf", "b.pdf", "c.txt"}) temp.write(std::string("desk/") + name, name);
    }
    std::string config_file(const std::string& name) const { return "config/tavlo/jobs/" + name + ".json"; }
    void keep(const SavedJob& job) { REQUIRE(JobFiles().write(job, false)); }
    SavedJob job(const std::string& name) const { return value(JobFiles().read(name, now_ns())); }
    const Job& step(const SavedJob& of, std::size_t at = 0) const { return std::get<Job>(of.steps[at].what); }
    void goToJobs(int jobs) {
        driver->click("placeJobs");
        REQUIRE(WindowDriver::wait([&] { return rows() == jobs; }));
    }
    int rows() const { return driver->find<QListView>("jobs")->model()->rowCount(); }
    int runs() const { return driver->find<QTreeWidget>("jobRuns")->topLevelItemCount(); }
    QString text(const char* label) const { return driver->find<QLabel>(label)->text(); }
    /// What is done with the dialog of this name, once it is there.
    static void inDialog(const char* name, const std::function<void(QDialog&)>& work) {
        auto* waits = new QTimer(qApp);
        QObject::connect(waits, &QTimer::timeout, waits, [=] {
            auto* dialog = qobject_cast<QDialog*>(QApplication::activeModalWidget());
            if (dialog == nullptr || dialog->objectName() != QLatin1String(name)) return;
            waits->stop();
            waits->deleteLater();
            work(*dialog);
        });
        waits->start(10);
    }
    void trigger(const char* action) { window->findChild<QAction*>(QLatin1String(action))->trigger(); }
    Environment config;
};

template <class Widget>
Widget& in(QDialog& dialog, const char* name) {
    auto* found = dialog.findChild<Widget*>(QLatin1String(name));
    REQUIRE(found != nullptr);
    return *found;
}

std::string this_year() {
    const std::time_t now = std::time(nullptr);
    char text[8];
    std::strftime(text, sizeof text, "%Y", std::localtime(&now));
    return text;
}

SavedJob copies(const std::string& from, const std::string& into, Decision where_taken) {
    Job job = with(copy({as_pattern(from)}, as_pattern(into)), where_taken);
    job.structure.contents = true;
    SavedJob saved{"copies", {}};
    saved.steps.emplace_back().what = std::move(job);
    return saved;
}

}  // namespace

TEST_CASE("what is on the bench is kept as a job that takes what fits then, and is run with a click",
          "[window][jobs]") {
    JobsDesk desk;
    desk.open();
    desk.driver->type("filter", QStringLiteral("*.pdf"));
    REQUIRE(desk.driver->settle());
    desk.driver->key("folderList", Qt::Key_A, Qt::ControlModifier);
    desk.driver->key("folderList", Qt::Key_Space);
    desk.window->bench().setDestination(desk.temp.path("archive"));
    REQUIRE(desk.driver->settle());
    JobsDesk::inDialog("keepJob", [](QDialog& dialog) {
        CHECK_FALSE(in<QPushButton>(dialog, "keepJobNow").isEnabled());
        in<QLineEdit>(dialog, "keepJobName").setText(QStringLiteral("not/this"));
        CHECK_FALSE(in<QPushButton>(dialog, "keepJobNow").isEnabled());
        in<QLineEdit>(dialog, "keepJobName").setText(QStringLiteral("PDFs away"));
        CHECK(in<QLabel>(dialog, "keepJobSentence").text().contains(QStringLiteral("*.pdf")));
        CHECK_FALSE(in<QLabel>(dialog, "keepJobNote").text().isEmpty());  // nobody is asked
        QTest::mouseClick(&in<QPushButton>(dialog, "keepJobNow"), Qt::LeftButton);
    });
    desk.trigger("keepAsJob");
    const Job kept = desk.step(desk.job("PDFs away"));
    CHECK(kept.what.sources == std::vector{desk.temp.path("desk")});
    CHECK(kept.what.files.filter == "*.pdf");
    CHECK(kept.structure.contents);
    CHECK(kept.structure.subfolders == Subfolders::none);
    desk.temp.write("desk/later.pdf", "later");
    desk.goToJobs(1);
    desk.driver->click("jobRun");
    desk.finished();
    REQUIRE(WindowDriver::wait([&] { return desk.runs() == 1; }));
    CHECK(desk.temp.read("archive/later.pdf") == "later");
    CHECK(desk.temp.has("archive/a.pdf"));
    CHECK_FALSE(desk.temp.has("archive/c.txt"));
    auto* runs = desk.driver->find<QTreeWidget>("jobRuns");
    CHECK(runs->topLevelItem(0)->text(1) == QStringLiteral("done"));
    emit runs->itemActivated(runs->topLevelItem(0), 0);
    REQUIRE(WindowDriver::wait(
        [&] { return desk.text("receiptTitle").startsWith(QStringLiteral("PDFs away: ")); }));
}

TEST_CASE("a name that is another job's is told, and replaced only when that is said", "[window][jobs]") {
    JobsDesk desk;
    SavedJob before = copies(desk.temp.path("desk"), desk.temp.path("to"), Decision::skip);
    before.name = "weekly";
    desk.keep(before);
    desk.open();
    desk.window->bench().replacePicks({desk.temp.path("desk/c.txt")});
    desk.window->bench().setDestination(desk.temp.path("elsewhere"));
    REQUIRE(desk.driver->settle());
    JobsDesk::inDialog("keepJob", [&](QDialog& dialog) {
        in<QLineEdit>(dialog, "keepJobName").setText(QStringLiteral("weekly"));
        in<QRadioButton>(dialog, "keepJobThese").setChecked(true);
        auto& keep = in<QPushButton>(dialog, "keepJobNow");
        QTest::mouseClick(&keep, Qt::LeftButton);
        CHECK(WindowDriver::wait(
            [&] { return keep.isEnabled() && keep.text() == QStringLiteral("Replace it"); }));
        CHECK(desk.job("weekly") == before);
        QTest::mouseClick(&keep, Qt::LeftButton);
    });
    desk.trigger("keepAsJob");
    const Job kept = desk.step(desk.job("weekly"));
    CHECK(kept.what.sources == std::vector{desk.temp.path("desk/c.txt")});
    CHECK(kept.into == desk.temp.path("elsewhere"));
}

TEST_CASE(
    "a step goes onto the bench, comes back changed with its dates still dates, and the bench is as it was",
    "[window][jobs]") {
    JobsDesk desk;
    SavedJob job = copies(desk.temp.path("desk"), desk.temp.path("archive"), Decision::skip);
    std::get<Job>(job.steps[0].what).into += "/{now:%Y}";
    std::get<Job>(job.steps[0].what).what.files.name = {"*.pdf"};
    desk.keep(job);
    desk.open();
    desk.window->bench().replacePicks({desk.temp.path("desk/c.txt")});
    desk.window->bench().setDestination(desk.temp.path("mine"));
    REQUIRE(desk.driver->settle());
    desk.goToJobs(1);
    CHECK(desk.driver->find<QLabel>("stepSentence")->text().contains(QStringLiteral("{year}")));
    desk.driver->click("stepChange1");
    REQUIRE(desk.driver->settle());
    CHECK(desk.window->bench().job().into == desk.temp.path("archive/" + this_year()));
    REQUIRE(desk.window->bench().plan());
    CHECK(desk.window->bench().plan()->totals.items == 2);
    CHECK(desk.sentence().contains(QStringLiteral("(*.pdf)")));
    desk.window->bench().setOperation(Operation::move);
    REQUIRE(desk.driver->settle());
    desk.driver->click("jobPutBack");
    REQUIRE(WindowDriver::wait([&] { return desk.step(desk.job("copies")).operation == Operation::move; }));
    const Job changed = desk.step(desk.job("copies"));
    CHECK(changed.into == desk.temp.path("archive") + "/{now:%Y}");
    CHECK(changed.what.files.name == std::vector<std::string>{"*.pdf"});
    REQUIRE(desk.driver->settle());
    CHECK(desk.window->bench().job().into == desk.temp.path("mine"));
    CHECK(desk.window->bench().picks().contain(desk.temp.path("desk"), "c.txt"));
    CHECK(desk.window->bench().job().what.files.empty());
    CHECK_FALSE(desk.temp.has("archive"));  // nothing ran
}

TEST_CASE("steps are added, ordered, switched off, and the line of a note is written after the others",
          "[window][jobs]") {
    JobsDesk desk;
    desk.keep(copies(desk.temp.path("desk"), desk.temp.path("to"), Decision::skip));
    desk.open();
    desk.goToJobs(1);
    JobsDesk::inDialog("stepDialog", [&](QDialog& dialog) {
        auto& file = in<QLineEdit>(dialog, "stepFile");
        file.setText(QStringLiteral("/logs/{no such word}.txt"));
        CHECK_FALSE(in<QLabel>(dialog, "stepToday").text().isEmpty());
        file.setText(QString::fromStdString(desk.temp.path("logs")) + QStringLiteral("/{year}.txt"));
        in<QLineEdit>(dialog, "stepLine").setText(QStringLiteral("{job}: {totals}"));
        CHECK(in<QLabel>(dialog, "stepToday").text().contains(QString::fromStdString(this_year())));
        dialog.accept();
    });
    desk.entry("jobAddStep", QStringLiteral("A line in a text file…"))->trigger();
    REQUIRE(WindowDriver::wait([&] { return desk.job("copies").steps.size() == 2; }));
    REQUIRE(WindowDriver::wait([&] { return desk.driver->find<QWidget>("stepCard2") != nullptr; }));
    CHECK(std::get<Note>(desk.job("copies").steps[1].what).file == desk.temp.path("logs") + "/{now:%Y}.txt");
    desk.entry("stepMore2", QStringLiteral("Earlier"))->trigger();
    REQUIRE(
        WindowDriver::wait([&] { return std::holds_alternative<Note>(desk.job("copies").steps[0].what); }));
    QTest::qWait(50);
    REQUIRE(WindowDriver::wait([&] { return desk.driver->find<QWidget>("stepSee2") != nullptr; }));
    desk.entry("stepMore1", QStringLiteral("Later"))->trigger();
    REQUIRE(
        WindowDriver::wait([&] { return std::holds_alternative<Note>(desk.job("copies").steps[1].what); }));
    REQUIRE(WindowDriver::wait([&] { return desk.driver->find<QWidget>("stepSee1") != nullptr; }));
    desk.driver->click("jobRun");
    REQUIRE(WindowDriver::wait([&] { return desk.temp.has("logs/" + this_year() + ".txt"); }));
    CHECK(desk.temp.read("logs/" + this_year() + ".txt") == "copies: 3 created\n");
    REQUIRE(WindowDriver::wait([&] { return desk.driver->find<QPushButton>("jobRun")->isEnabled(); }));
    desk.entry("stepMore1", QStringLiteral("Switched off"))->trigger();
    REQUIRE(WindowDriver::wait([&] { return desk.job("copies").steps[0].off; }));
}

TEST_CASE("what a job left undecided is settled in Collisions, and its run goes on under its receipt",
          "[window][jobs]") {
    JobsDesk desk;
    desk.temp.write("to/a.pdf", "an older one, of another size");
    desk.temp.date("to/a.pdf", 1'000'000'000);
    desk.keep(copies(desk.temp.path("desk"), desk.temp.path("to"), Decision::undecided));
    desk.open();
    desk.goToJobs(1);
    CHECK(desk.text("jobConcerns").contains(QStringLiteral("6 kinds of collision")));
    desk.driver->click("jobRun");
    const std::string receipt = desk.finished();
    REQUIRE(WindowDriver::wait([&] { return desk.driver->find<QWidget>("jobSettle")->isVisible(); }));
    CHECK(desk.temp.has("to/b.pdf"));
    CHECK(desk.temp.read("to/a.pdf") == "an older one, of another size");
    desk.driver->click("jobSettle");
    REQUIRE(desk.driver->settle());
    const auto plan = desk.window->bench().plan();
    REQUIRE(plan);
    CHECK(plan->totals.of(Outcome::undecided) == 1);
    for (ItemId id = 0; id < plan->items.size(); ++id)
        if (plan->items[id].outcome == Outcome::undecided)
            desk.window->bench().decide({id}, Decision::overwrite);
    REQUIRE(desk.driver->settle());
    desk.driver->click("placeBench");
    desk.driver->click("start");
    CHECK(desk.finished() == receipt);
    CHECK(desk.temp.read("to/a.pdf") == "a.pdf");
    const auto head = value(value(Store::open(desk.temp.path("state")))->receipt(receipt));
    CHECK(head.totals.of(Outcome::undecided) == 0);
    CHECK(head.totals.of(Outcome::overwritten) == 1);
}

TEST_CASE("a broken job is listed with its fault and its file, and cannot be run", "[window][jobs]") {
    JobsDesk desk;
    desk.temp.write(desk.config_file("broken"), "{ \"tavlo\": 1,");
    desk.open();
    desk.goToJobs(1);
    CHECK_FALSE(desk.driver->find<QPushButton>("jobRun")->isEnabled());
    CHECK(desk.text("jobConcerns")
              .contains(QString::fromStdString(desk.temp.path(desk.config_file("broken")))));
    CHECK(desk.temp.read(desk.config_file("broken")) == "{ \"tavlo\": 1,");
}

TEST_CASE("a job is set to run by itself, in words, and forgotten with its units", "[window][jobs]") {
    JobsDesk desk;
    const Environment no_bus("DBUS_SESSION_BUS_ADDRESS", "unix:path=/nowhere");
    desk.keep(copies(desk.temp.path("desk"), desk.temp.path("to"), Decision::skip));
    desk.open();
    desk.goToJobs(1);
    const bool knows_calendars = next_by_calendar("Mon..Fri 18:00").has_value();
    if (!knows_calendars) WARN("systemd-analyze is not there: the next times are not looked at");
    JobsDesk::inDialog("whenDialog", [&](QDialog& dialog) {
        in<QRadioButton>(dialog, "whenWorkingDays").setChecked(true);
        if (knows_calendars)
            CHECK(WindowDriver::wait(
                [&] { return in<QLabel>(dialog, "whenNext").text().count(QLatin1Char('\n')) == 3; }));
        in<QRadioButton>(dialog, "whenCalendar").setChecked(true);
        in<QLineEdit>(dialog, "whenExpression").setText(QStringLiteral("whenever"));
        if (knows_calendars)
            CHECK(WindowDriver::wait([&] {
                return in<QLabel>(dialog, "whenNext").property("tone").toString() == QStringLiteral("amber");
            }));
        in<QRadioButton>(dialog, "whenWorkingDays").setChecked(true);
        dialog.accept();
    });
    desk.driver->click("jobWhenButton");
    REQUIRE(WindowDriver::wait([&] { return desk.temp.has("config/systemd/user/tavlo-job-copies.timer"); }));
    CHECK(desk.temp.read("config/systemd/user/tavlo-job-copies.timer").find("OnCalendar=Mon..Fri 18:00\n") !=
          std::string::npos);
    REQUIRE(WindowDriver::wait(
        [&] { return desk.text("jobWhen").contains(QStringLiteral("every working day at 18:00")); }));
    CHECK(desk.job("copies").schedule->calendar == "Mon..Fri 18:00");
    desk.entry("jobMore", QStringLiteral("Forget…"))->trigger();
    CHECK(desk.temp.has(desk.config_file("copies")));
    desk.driver->click("jobForgetNow");
    REQUIRE(WindowDriver::wait([&] { return desk.rows() == 0; }));
    CHECK_FALSE(desk.temp.has(desk.config_file("copies")));
    CHECK_FALSE(desk.temp.has("config/systemd/user/tavlo-job-copies.timer"));
}

TEST_CASE("dates in places are words that are typed, and come back as they were", "[jobs]") {
    for (const char* pattern :
         {"/a/{now:%Y}/{now:%m}", "/a/{now:%F}/x{now:%V}", "/{{literal}}/{now:%d}", "/plain"}) {
        CAPTURE(pattern);
        CHECK(place_from_typed(place_as_typed(pattern)) == pattern);
        CHECK_FALSE(place_as_typed(pattern).contains(QLatin1Char('%')));
    }
    CHECK(place_as_typed("/a/{now:%Y-%m}") == QStringLiteral("/a/{year}-{month}"));
    CHECK(place_as_typed("/a/{now}") == QStringLiteral("/a/{date}"));
    CHECK(place_as_typed("/a/{now:%A}") ==
          QStringLiteral("/a/{now:%A}"));  // no word for it: it stays as it is
    CHECK(place_from_typed(QStringLiteral("/a/{now:%A}")) == "/a/{now:%A}");
}

TEST_CASE("a filter is said as a job says it, or not at all", "[jobs]") {
    FilterState filter;
    CHECK(selection_of(filter) == Selection{});
    filter.words = QStringLiteral("permit -draft");
    filter.kinds = QStringList{QStringLiteral("pictures")};
    filter.changed = FilterState::Changed::last_month;
    filter.only_empty = true;
    filter.parity = Parity::odd;
    filter.not_below = QStringLiteral("Drafts, old*");
    const auto what = selection_of(filter);
    REQUIRE(what);
    CHECK(what->files.filter == "permit -draft");
    CHECK(what->files.kind == std::vector<std::string>{"pictures"});
    CHECK(what->files.changed_after == "last-month");
    CHECK(what->files.changed_before == "this-month");
    CHECK(what->files.smaller == "1");
    CHECK(what->files.number == "odd");
    CHECK(what->not_below == std::vector<std::string>{"Drafts", "old*"});
    // the same files are meant
    const QDate today(2031, 5, 14);
    const auto said =
        criteria_from(what->files, QDateTime(today, QTime(15, 0)).toMSecsSinceEpoch() * 1'000'000);
    REQUIRE(said);
    const Criteria meant = filter.criteria(today);
    CHECK(said->changed_from_ns == meant.changed_from_ns);
    CHECK(said->changed_before_ns == meant.changed_before_ns);
    CHECK(said->words == meant.words);
    filter.owner = 1;
    CHECK_FALSE(selection_of(filter));
    filter.owner.reset();
    filter.match_case = true;
    CHECK_FALSE(selection_of(filter));
}

TEST_CASE("what is to be settled is the latest run of a step, also where other steps followed it", "[jobs]") {
    const auto run = [](Operation operation, const char* into, Outcome came) {
        ReceiptHead head;
        head.operation = operation;
        head.destination = into;
        head.state = RunState::done;
        head.totals.count(came);
        return head;
    };
    KeptJob job{"job", "file"};
    CHECK(run_to_settle(job) == nullptr);
    // newest first: the second step of a run whose first left something
    job.runs = {run(Operation::remove, "", Outcome::removed),
                run(Operation::copy, "/to", Outcome::undecided)};
    CHECK(run_to_settle(job) == &job.runs[1]);
    // the same step again since, without anything left
    job.runs.insert(job.runs.begin(), run(Operation::copy, "/to", Outcome::created));
    CHECK(run_to_settle(job) == nullptr);
    job.runs.insert(job.runs.begin(), run(Operation::copy, "/elsewhere", Outcome::undecided));
    CHECK(run_to_settle(job) == &job.runs[0]);
    job.runs[0].undone_by = "another";
    CHECK(run_to_settle(job) == nullptr);
}
