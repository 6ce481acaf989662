// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QGuiApplication>
#include <QStyle>

/// Where a part of a cell is, as text runs: from right to left it is mirrored within the whole. What is
/// painted by hand is thought of from left to right, and put in its place by this.
inline QRect mirrored(const QRect& whole, const QRect& part) {
    return QStyle::visualRect(QGuiApplication::layoutDirection(), whole, part);
}

inline bool runs_from_right() { return QGuiApplication::isRightToLeft(); }
