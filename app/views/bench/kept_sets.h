// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QString>
#include <functional>

class QMenu;
class QWidget;

// What somebody has kept under a name, in the settings, a group of them for each sort of thing.

/// An entry for each that is kept: to be used, or forgotten.
/// use  what was kept; nullptr: it means nothing any more, and is not offered
using UseKept = std::function<std::function<void()>(const QString& kept)>;
void offer_kept(QMenu& menu, const QString& group, const UseKept& use);
/// Asks for a name, and keeps `value` under it. returns the name; empty: nothing was kept
QString keep_under_a_name(QWidget* parent, const QString& title, const QString& group, const QString& value);
