// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <QApplication>
#include <QIcon>
#include <csignal>
#include <cstdio>

#include "command_line.h"
#include "ending.h"
#include "files/handle.h"
#include "files/helper.h"
#include "files/memory.h"
#include "files/parallel.h"
#include "instance.h"
#include "keep/store.h"
#include "tasks/desktop_looks.h"
#include "tasks/desktop_notes.h"
#include "tasks/settings.h"
#include "theme/theme.h"
#include "translations.h"
#include "views/main_window.h"

namespace {

std::string home() {
    const char* home = std::getenv("HOME");
    return home != nullptr && home[0] == '/' ? home : "/";
}

/// Runs pause at their next safe point, and are there at the next start.
void end_all_windows() {
    for (QWidget* widget : QApplication::topLevelWidgets())
        if (auto* window = qobject_cast<MainWindow*>(widget)) window->endNow();
    QApplication::quit();
}

/// A window of its own for each; in the one that is there already, where it shows no more than the folder
/// that it began with.
void open(MainWindow& window, const std::vector<std::string>& places, bool is_fresh) {
    for (const auto& place : places)
        std::exchange(is_fresh, false) ? window.openPlace(place) : window.openOther(place);
}

MainWindow* some_window() {
    if (auto* active = qobject_cast<MainWindow*>(QApplication::activeWindow())) return active;
    for (QWidget* widget : QApplication::topLevelWidgets())
        if (auto* window = qobject_cast<MainWindow*>(widget); window != nullptr && window->isVisible())
            return window;
    return nullptr;
}

}  // namespace

int main(int count, char** words) {
    tavlo::raise_handle_limit();
    tavlo::give_large_memory_back();
    std::signal(SIGXFSZ,
                SIG_IGN);  // a file over the limit is an item's failure (EFBIG), not the end of the run
    const QByteArray here = qgetenv("PWD");
    // before anything needs a display
    const CommandLine wanted =
        read_command_line({words + 1, words + count}, here.startsWith('/') ? here.toStdString() : "/");
    if (wanted.help || wanted.version) {
        std::fputs(wanted.help ? usage().c_str() : "tavlo " TAVLO_VERSION "\n", stdout);
        return 0;
    }
    if (!wanted.wrong.empty()) {
        std::fprintf(stderr, "tavlo: %s\n", wanted.wrong.c_str());
        return 2;
    }
    const std::string state_folder = tavlo::default_state_folder();
    QApplication application(count, words);
    tavlo::work_in_short_turns();
    QApplication::setOrganizationName(QStringLiteral("tavlo"));
    QApplication::setApplicationName(QStringLiteral("tavlo"));
    QApplication::setDesktopFileName(QStringLiteral("io.github.tavlo.Tavlo"));
    QApplication::setWindowIcon(
        QIcon::fromTheme(QStringLiteral("io.github.tavlo.Tavlo"), QIcon(QStringLiteral(":/icon.svg"))));
    Instance instance(DesktopNotes::sessionBus(), state_folder);
    if (instance.handOver(wanted.places)) return 0;
    instance.claim();
    install_translations(application);
    apply_theme(application, static_cast<ThemeChoice>(Settings::load().looks));
    const DesktopLooks looks(DesktopNotes::sessionBus());
    QObject::connect(&looks, &DesktopLooks::wished, &application, [&](std::optional<bool> dark) {
        desktop_wants(dark);
        if (dark == Theme::current().dark) return;  // all of every window would be styled again
        apply_theme(application, static_cast<ThemeChoice>(Settings::load().looks));
    });
    const EndSignals ending(end_all_windows);
    MainWindow window(home(), state_folder);
    window.keepPlace();
    QObject::connect(&instance, &Instance::windowWanted, &window, [&] {
        if (MainWindow* shown = some_window()) return shown->openOther(home());
        window.show();
    });
    QObject::connect(&instance, &Instance::placesWanted, &window,
                     [&](const std::vector<std::string>& places) {
                         MainWindow* shown = some_window();
                         if (shown == nullptr) window.show();
                         open(shown != nullptr ? *shown : window, places, shown == nullptr);
                     });
    if (!wanted.service) window.show();
    open(window, wanted.places, true);
    window.reportMissing(tavlo::missing_helpers({"tavlo-facts", "tavlo-archive", "tavlo-look"}));
    return QApplication::exec();
}
