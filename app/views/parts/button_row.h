// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QRect>
#include <QStringList>

class QColor;
class QFont;
class QPainter;
class QStyleOptionViewItem;

// A few words side by side of which one may be chosen, drawn in a cell of a list.

struct Choices {
    QStringList words{};
    int chosen = -1;  ///< -1: none of them
    QRect cell{};     ///< that they are drawn in
};

/// Where the n-th word is.
QRect button_rect(const Choices& choices, const QFont& font, int number);
/// What a cell must have to show all of them.
int buttons_width(const QFont& font, const QStringList& words);
/// The word under a point; -1: none.
int button_at(const Choices& choices, const QFont& font, const QPoint& at);
/// takes_away  the word that is plum when it is chosen; -1: none
void paint_buttons(QPainter& painter, const Choices& choices, int takes_away);

/// The ground of a row, as selected or in a colour of its own, and the line below it.
void paint_row_ground(QPainter& painter, const QStyleOptionViewItem& option, const QColor& ground);

/// A word in a small tag, in a Tone; returns the width it took.
int paint_tag(QPainter& painter, const QRect& cell, const QString& text, int tone);
inline constexpr int before_cell = 14;  ///< room at both ends of a cell, as in the header
inline constexpr int after_cell = 10;
