// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QBoxLayout>
#include <QMargins>

// How far things stand from one another, in pixels that the screen's scale has been taken from: no page has lengths of its own.

/// From the edges of what holds them.
namespace Inset {
inline constexpr QMargins none{0, 0, 0, 0};
inline constexpr QMargins page{18, 14, 18, 12};  ///< a page or a dialog as a whole
inline constexpr QMargins across{18, 8, 18, 8};  ///< a part as wide as the window
inline constexpr QMargins panel{14, 10, 14, 8};  ///< a part of one side; as far in as the text of lists
inline constexpr QMargins bar{14, 5, 14, 5};     ///< one line between others
inline constexpr QMargins below{14, 0, 14, 8};   ///< what goes on below such a part
inline constexpr QMargins heading{0, 8, 0, 2};   ///< words above what they are about
inline constexpr QMargins strip{0, 8, 0, 8};     ///< what reaches from edge to edge
inline constexpr QMargins row{0, 1, 0, 1};       ///< one of many rows
inline constexpr QMargins field{5, 1, 5, 1};     ///< what stands in a frame that looks like a field
inline constexpr QMargins fields{36, 2, 0, 0};   ///< below rows, as far in as their fields
inline constexpr QMargins in_line{0, 3, 0, 3};   ///< words on one line with buttons
}  // namespace Inset

/// From each other.
namespace Gap {
inline constexpr int none = 0;
inline constexpr int line = 1;    ///< the ground between shows as a line
inline constexpr int tight = 2;   ///< rows of one list
inline constexpr int close = 4;   ///< what belongs together
inline constexpr int beside = 8;  ///< one thing and the next
inline constexpr int apart = 18;  ///< what has nothing to do with one another
}  // namespace Gap

inline void space_out(QBoxLayout* layout, const QMargins& inset, int gap) {
    layout->setContentsMargins(inset);
    layout->setSpacing(gap);
}
