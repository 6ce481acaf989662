// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "camera.h"

#include <QApplication>
#include <QDir>
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
    if (!picture.save(path)) {
        std::fprintf(stderr, "tavlo-tour: %s cannot be written\n", qPrintable(path));
        good_ = false;
    }
}
