// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translations.h"

#include <QApplication>
#include <QLibraryInfo>
#include <QLocale>
#include <QTranslator>

namespace {

/// The first of these folders that has the language; later ones are asked before earlier ones.
void install(QApplication& application, const QString& name, const QStringList& folders) {
    auto* translator = new QTranslator(&application);
    for (const QString& folder : folders)
        if (translator->load(QLocale(), name, QStringLiteral("_"), folder)) {
            QApplication::installTranslator(translator);
            return;
        }
    delete translator;
}

}  // namespace

void install_translations(QApplication& application) {
    auto* plurals = new QTranslator(&application);
    if (plurals->load(QStringLiteral(":/i18n/tavlo_en.qm"))) QApplication::installTranslator(plurals);
    // a language that is not built in is a file beside the program's others
    install(application, QStringLiteral("tavlo"),
            {QApplication::applicationDirPath() + QStringLiteral("/../share/tavlo/translations"),
             QStringLiteral(":/i18n")});
    install(application, QStringLiteral("qtbase"), {QLibraryInfo::path(QLibraryInfo::TranslationsPath)});
}
