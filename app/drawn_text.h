// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QPainter>
#include <QString>

// Text as lists draw it, a row again and again: shaping it takes most of the time of that, so what was shaped is
// kept for a while. For the window's thread.

/// One line in the painter's font, in the middle of the height, cut where it is too long.
/// alignment  left or right, which are where text begins and ends, or Qt::AlignHCenter
void draw_elided(QPainter& painter, const QRect& rect, const QString& text, Qt::TextElideMode cut,
                 Qt::Alignment alignment = Qt::AlignLeft);

/// Text whose figures all have the same width, so that numbers stand in columns below each other.
void draw_tabular(QPainter& painter, const QRect& rect, Qt::Alignment alignment, const QString& text);

/// How wide one line is, in whole pixels; the same as QFontMetrics::horizontalAdvance().
int drawn_width(const QFont& font, const QString& text);
