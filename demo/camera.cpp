// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "camera.h"

#include <QApplication>
#include <QDir>
#include <QLabel>
#include <QPainter>
#include <QTest>
#include <cstdio>
#include <string>

#include "theme/theme.h"

void Camera::takeBoth(const char* name) {
    take(name);
    apply_theme(*qApp, ThemeChoice::dark);
    QTest::qWait(50);
    take((std::string(name) + "-dark").c_str());
    apply_theme(*qApp, ThemeChoice::light);
    QTest::qWait(50);
}

void Camera::take(const char* name) {
    QTest::qWait(60);
    const QString path = QDir(folder_).filePath(QLatin1String(name) + QStringLiteral(".png"));
    QPixmap picture = window_.grab();
    for (QWidget* popup :
         QApplication::topLevelWidgets())  // what is open above the window belongs to the picture
        if (popup->isVisible() && (popup->windowType() == Qt::Popup || popup->windowType() == Qt::Dialog)) {
            QPainter painter(&picture);
            painter.drawPixmap(window_.mapFromGlobal(popup->pos()), popup->grab());
        }
    const auto* note = window_.findChild<QLabel*>(QStringLiteral("balanceNote"));
    const QString refused = QCoreApplication::translate("BalanceBar", "Not possible: %1").section('%', 0, 0);
    if (note != nullptr && note->isVisible() && note->text().startsWith(refused)) {
        std::fprintf(stderr, "tavlo-tour: %s: %s\n", name, qPrintable(note->text()));
        good_ = false;
    }
    if (!picture.save(path)) {
        std::fprintf(stderr, "tavlo-tour: %s cannot be written\n", qPrintable(path));
        good_ = false;
    }
}

void Camera::expect(bool holds, const char* what) {
    if (holds) return;
    std::fprintf(stderr, "tavlo-tour: not seen: %s\n", what);
    good_ = false;
}
