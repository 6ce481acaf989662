// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QByteArray>
#include <QJsonObject>

/// Where two files differ: "first" (the first differing byte, counted from 0; -1: none was found), and for
/// texts and sheets "rows": arrays of how a row goes ("=" in both, "<" only left, ">" only right, "~"
/// changed), the left text and the right text. "kind" is what the rows are: "text", "cells" or "bytes" (no
/// rows). "cut": there is more than was looked at.
QJsonObject compare_files(const QByteArray& left, const QByteArray& right);
