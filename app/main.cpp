#include <QApplication>
#include <QSettings>
#include <csignal>
#include <cstdio>

#include "command_line.h"
#include "ending.h"
#include "keep/store.h"
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

}  // namespace

int main(int count, char** words) {
    std::signal(SIGXFSZ, SIG_IGN);  // a file over the limit is an item's failure (EFBIG), not the end of the run
    const QByteArray here = qgetenv("PWD");
    // before anything needs a display
    const CommandLine wanted = read_command_line({words + 1, words + count}, here.startsWith('/') ? here.toStdString() : "/");
    if (wanted.help || wanted.version) {
        std::fputs(wanted.help ? usage().c_str() : "tavlo " TAVLO_VERSION "\n", stdout);
        return 0;
    }
    if (!wanted.wrong.empty()) {
        std::fprintf(stderr, "tavlo: %s\n", wanted.wrong.c_str());
        return 2;
    }
    QApplication application(count, words);
    QApplication::setOrganizationName(QStringLiteral("tavlo"));
    QApplication::setApplicationName(QStringLiteral("tavlo"));
    QApplication::setDesktopFileName(QStringLiteral("tavlo"));
    install_translations(application);
    apply_theme(application, static_cast<ThemeChoice>(QSettings().value(QStringLiteral("theme"), 0).toInt()));
    const EndSignals ending(end_all_windows);
    MainWindow window(home(), tavlo::default_state_folder());
    window.keepPlace();
    window.show();
    for (std::size_t at = 0; at < wanted.places.size(); ++at)
        at == 0 ? window.openPlace(wanted.places[at]) : window.openOther(wanted.places[at]);
    return QApplication::exec();
}
