// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QFont>
#include <QFontDatabase>

// The kinds of text that there are, made of the desktop's own fonts.

/// What a thing is called, or what counts most of a line.
inline QFont strong_font(QFont font, bool is_strong = true) {
    font.setWeight(is_strong ? QFont::DemiBold : QFont::Normal);
    return font;
}

/// What stands beside it: tags, counts, notes.
inline QFont small_font(QFont font) {
    if (font.pointSizeF() > 0) font.setPointSizeF(font.pointSizeF() * 0.88);
    return font;
}

/// A file's own text, each letter as wide as the next.
inline QFont text_font(const QFont& beside) {
    QFont font = QFontDatabase::systemFont(QFontDatabase::FixedFont);
    font.setPointSizeF(small_font(beside).pointSizeF());
    return font;
}
