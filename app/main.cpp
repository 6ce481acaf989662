#include <QApplication>
#include <QSettings>
#include <csignal>
#include <cstdio>

#include "files/path.h"
#include "keep/store.h"
#include "theme/theme.h"
#include "translations.h"
#include "views/main_window.h"

namespace {

std::string current_folder() {
    const char* home = std::getenv("HOME");
    return home != nullptr && home[0] == '/' ? home : "/";
}

}  // namespace

/// tavlo [FOLDER]
int main(int count, char** words) {
    std::signal(SIGXFSZ, SIG_IGN);  // a file over the limit is an item's failure (EFBIG), not the end of the run
    QApplication application(count, words);
    QApplication::setOrganizationName(QStringLiteral("tavlo"));
    QApplication::setApplicationName(QStringLiteral("tavlo"));
    QApplication::setDesktopFileName(QStringLiteral("tavlo"));
    install_translations(application);
    apply_theme(application, static_cast<ThemeChoice>(QSettings().value(QStringLiteral("theme"), 0).toInt()));
    if (count > 2) {
        std::fprintf(stderr, "usage: tavlo [FOLDER]\n");
        return 2;
    }
    const QByteArray here = qgetenv("PWD");
    const std::string folder = count == 2 ? tavlo::normalised(words[1], here.startsWith('/') ? here.toStdString() : "/") : current_folder();
    MainWindow window(folder, tavlo::default_state_folder());
    window.show();
    return QApplication::exec();
}
