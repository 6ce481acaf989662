// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#define CATCH_CONFIG_RUNNER
#include <QApplication>
#include <QTemporaryDir>

#include "support/catch.h"
#include "theme/theme.h"
#include "translations.h"

int main(int count, char** words) {
    const QTemporaryDir own;  // neither reads nor writes anybody's settings, nor anybody's small pictures
    qputenv("XDG_CONFIG_HOME", own.filePath(QStringLiteral("config")).toUtf8());
    qputenv("XDG_CACHE_HOME", own.filePath(QStringLiteral("cache")).toUtf8());
    if (qEnvironmentVariableIsEmpty("QT_QPA_PLATFORM")) qputenv("QT_QPA_PLATFORM", "offscreen");
    QApplication application(count, words);
    QApplication::setApplicationName(QStringLiteral("tavlo-tests"));
    install_translations(application);
    apply_theme(application, ThemeChoice::light);
    return Catch::Session().run(count, words);
}
