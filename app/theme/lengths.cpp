// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "theme/lengths.h"

#include <QApplication>
#include <QFontMetricsF>
#include <cmath>

int digits(double count) {
    return static_cast<int>(
        std::ceil(QFontMetricsF(QApplication::font()).horizontalAdvance(QLatin1Char('0')) * count));
}

int lines(double count) {
    return static_cast<int>(std::ceil(QFontMetricsF(QApplication::font()).height() * count));
}
