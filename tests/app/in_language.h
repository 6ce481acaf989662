// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QApplication>
#include <QTranslator>

#include "support/catch.h"

/// The window speaks this language for as long as this is there; a window of it ends before.
class InLanguage {
public:
    explicit InLanguage(const QString& language) {
        REQUIRE(translator_.load(QStringLiteral(":/i18n/tavlo_%1.qm").arg(language)));
        qApp->installTranslator(&translator_);
    }
    ~InLanguage() { qApp->removeTranslator(&translator_); }
    InLanguage(const InLanguage&) = delete;
    InLanguage& operator=(const InLanguage&) = delete;

private:
    QTranslator translator_;
};
