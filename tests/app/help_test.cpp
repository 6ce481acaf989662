// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <sys/resource.h>
#include <unistd.h>

#include <QLineEdit>
#include <QListWidget>
#include <QMenuBar>
#include <QProcess>
#include <QTextBrowser>
#include <QTreeWidget>
#include <algorithm>
#include <csignal>
#include <fstream>
#include <functional>
#include <sstream>

#include "command_line.h"
#include "desk.h"
#include "support/catch.h"
#include "tasks/bench.h"
#include "tasks/file_clips.h"
#include "tasks/found_place.h"
#include "views/gathering/gathering_side.h"
#include "views/help/action_palette.h"

using namespace tavlo;

namespace {

QString keys_page() {
    QFile file(QStringLiteral(":/manual/keys.md"));
    REQUIRE(file.open(QIODevice::ReadOnly));
    return QString::fromUtf8(file.readAll());
}

}  // namespace

TEST_CASE("every key of the menus stands on the page of keys", "[window][help]") {
    Desk desk;
    desk.temp.write("desk/a", "a");
    desk.open();
    const QString page = keys_page();
    int keys = 0;
    const std::function<void(const QList<QAction*>&)> check = [&](const QList<QAction*>& actions) {
        for (const QAction* action : actions) {
            if (action->menu() != nullptr) check(action->menu()->actions());
            const QString key = action->shortcut().toString(QKeySequence::PortableText);
            if (key.isEmpty()) continue;
            ++keys;
            CAPTURE(action->text().toStdString(), key.toStdString());
            CHECK(page.contains(key));
        }
    };
    check(desk.window->menuBar()->actions());
    CHECK(keys > 35);
}

TEST_CASE("any action is found by letters of its words, and done", "[window][help]") {
    Desk desk;
    desk.temp.write("desk/a", "a");
    desk.open();
    desk.window->bench().replacePicks({desk.temp.path("desk/a")});
    REQUIRE(desk.driver->settle());
    auto* waits = new QTimer(qApp);
    QObject::connect(waits, &QTimer::timeout, waits, [&, waits] {
        auto* palette = qobject_cast<ActionPalette*>(QApplication::activeModalWidget());
        if (palette == nullptr) return;
        waits->stop();
        waits->deleteLater();
        auto* line = palette->findChild<QLineEdit*>();
        auto* list = palette->findChild<QTreeWidget*>();
        const int all = list->topLevelItemCount();
        line->setText(QStringLiteral("nothing is called so"));
        CHECK(list->topLevelItemCount() == 0);
        line->setText(QStringLiteral("arch PACK"));  // in any order and case
        CHECK(list->topLevelItemCount() >= 1);
        CHECK(list->topLevelItemCount() < all);
        line->setText(QStringLiteral("pack into"));
        QTest::keyClick(line, Qt::Key_Return);
    });
    waits->start(10);
    desk.window->findChild<QAction*>(QStringLiteral("findAction"))->trigger();
    CHECK(desk.window->bench().job().operation == Operation::pack);
}

TEST_CASE("the manual is inside the program, and is searched through", "[window][help]") {
    Desk desk;
    desk.temp.write("desk/a", "a");
    desk.open();
    desk.window->findChild<QAction*>(QStringLiteral("helpKeys"))->trigger();
    auto* pages = desk.window->findChild<QListWidget*>(QStringLiteral("manualPages"));
    auto* page = desk.window->findChild<QTextBrowser*>(QStringLiteral("manualPage"));
    REQUIRE(pages != nullptr);
    CHECK(pages->count() >= 9);
    CHECK(page->toPlainText().startsWith(QStringLiteral("Keys")));
    desk.window->findChild<QLineEdit*>(QStringLiteral("manualSearch"))->setText(QStringLiteral("go_on"));
    CHECK(pages->currentItem()->text() == QStringLiteral("Saved jobs"));
    int shown = 0;
    for (int row = 0; row < pages->count(); ++row) shown += pages->item(row)->isHidden() ? 0 : 1;
    CHECK(shown < pages->count());
}

TEST_CASE("the command line takes paths and file addresses, and says what is wrong with others", "[help]") {
    const CommandLine places = read_command_line(
        {"a b", "/x/../y", "file:///srv/a%20b", "file://localhost/z", "--", "--help"}, "/here");
    CHECK(places.wrong.empty());
    CHECK(places.places == std::vector<std::string>{"/here/a b", "/y", "/srv/a b", "/z", "/here/--help"});
    CHECK_FALSE(places.help);
    CHECK(read_command_line({"--help"}, "/").help);
    CHECK(read_command_line({"--version"}, "/").version);
    for (const char* wrong : {"--folder", "-x", "", "file://elsewhere/a", "https://elsewhere/a"}) {
        CAPTURE(wrong);
        CHECK_FALSE(read_command_line({wrong}, "/").wrong.empty());
    }
    CHECK(usage().find("--version") != std::string::npos);
}

TEST_CASE("an address that leads to another machine is no path of this one", "[help]") {
    CHECK(path_from_uri("file:///a/b") == "/a/b");
    CHECK(path_from_uri("file:/a/b") == "/a/b");
    CHECK(path_from_uri("file://localhost/a%ff") == "/a\xff");
    CHECK(path_from_uri("file://host/a/b").empty());
    CHECK(path_from_uri("sftp://host/a/b").empty());
}

TEST_CASE("a file opens its folder with itself selected, and what is not there the nearest folder",
          "[window][help]") {
    Desk desk;
    for (const char* name : {"a", "b", "c"}) desk.temp.write(std::string("desk/") + name, name);
    desk.temp.write("other/deep/file", "file");
    CHECK(found_place(desk.temp.path("other")).folder == desk.temp.path("other"));
    const FoundPlace missing = found_place(desk.temp.path("other/none/of/it"));
    CHECK(missing.folder == desk.temp.path("other"));
    CHECK(missing.missing == desk.temp.path("other/none/of/it"));
    desk.open();
    desk.window->openPlace(desk.temp.path("other/deep/file"));
    REQUIRE(WindowDriver::wait(
        [&] { return desk.window->gathering().folder() == desk.temp.path("other/deep"); }));
    REQUIRE(desk.driver->settle());
    desk.window->openPlace(desk.temp.path("desk/b"));
    REQUIRE(WindowDriver::wait([&] { return desk.window->gathering().folder() == desk.temp.path("desk"); }));
    REQUIRE(desk.driver->settle());
    const auto* list = desk.driver->find<RowView>("folderList");
    REQUIRE(WindowDriver::wait([&] {
        return list->currentIndex().row() == desk.driver->rowNamed("folderList", QStringLiteral("b"));
    }));
}

namespace {

/// The real program, which finds nothing of whoever runs the tests.
void prepare_program(QProcess& program, const TempFolder& temp, const char* platform) {
    QProcessEnvironment environment = QProcessEnvironment::systemEnvironment();
    for (const char* variable : {"XDG_STATE_HOME", "XDG_CONFIG_HOME"})
        environment.insert(QLatin1String(variable), QString::fromStdString(temp.path("home")));
    environment.insert(QStringLiteral("QT_QPA_PLATFORM"), QLatin1String(platform));
    program.setProcessEnvironment(environment);
}

/// The window stands: its state folder is made.
void start_window(QProcess& program, const TempFolder& temp) {
    prepare_program(program, temp, "offscreen");
    program.start(QStringLiteral(TAVLO_PROGRAM), {QString::fromStdString(temp.path(""))});
    REQUIRE(program.waitForStarted());
    REQUIRE(WindowDriver::wait([&] { return temp.has("home/tavlo"); }));
}

}  // namespace

TEST_CASE("the program says its version without a display, and ends at once when it is told to", "[help]") {
    const TempFolder temp;
    QProcess program;
    prepare_program(program, temp, "no such platform");
    program.start(QStringLiteral(TAVLO_PROGRAM), {QStringLiteral("--version")});
    REQUIRE(program.waitForFinished());
    CHECK(program.exitCode() == 0);
    CHECK(program.readAllStandardOutput().startsWith("tavlo "));
    start_window(program, temp);
    QTest::qWait(300);
    ::kill(static_cast<pid_t>(program.processId()), SIGTERM);
    REQUIRE(program.waitForFinished(2000));
    CHECK(program.exitStatus() == QProcess::NormalExit);
    CHECK(program.exitCode() == 0);
}

TEST_CASE("the window may have as many files open as a run has use for, on a desktop that allows few",
          "[help]") {
    const TempFolder temp;
    rlimit now{};
    REQUIRE(::getrlimit(RLIMIT_NOFILE, &now) == 0);
    const rlim_t most = std::min<rlim_t>(now.rlim_max, 4096);
    QProcess program;
    program.setChildProcessModifier([most] {
        const rlimit few{std::min<rlim_t>(most, 256), most};
        if (::setrlimit(RLIMIT_NOFILE, &few) != 0) ::_exit(1);
    });
    start_window(program, temp);
    std::ifstream limits("/proc/" + std::to_string(program.processId()) + "/limits");
    std::string allowed;
    for (std::string line; std::getline(limits, line);)
        if (std::istringstream words(line.substr(0, 14) == "Max open files" ? line.substr(14) : "");
            words >> allowed)
            break;
    CHECK(allowed == std::to_string(most));
    ::kill(static_cast<pid_t>(program.processId()), SIGTERM);
    REQUIRE(program.waitForFinished(5000));
}
