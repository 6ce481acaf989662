// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "translations.h"

#include <QApplication>
#include <QLocale>
#include <QTranslator>

void install_translations(QApplication& application) {
    auto* plurals = new QTranslator(&application);
    if (plurals->load(QStringLiteral(":/i18n/tavlo_en.qm"))) QApplication::installTranslator(plurals);
    auto* own = new QTranslator(&application);
    if (own->load(QLocale(), QStringLiteral("tavlo"), QStringLiteral("_"), QStringLiteral(":/i18n"))) QApplication::installTranslator(own);
}
