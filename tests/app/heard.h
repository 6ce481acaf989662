// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QStringList>

class QWidget;

/// What a widget is called by whoever reads it out; of a box of choices that is its label, as its text is the
/// choice.
QString heard(QWidget& widget);

/// What can be heard of a window, a line for each thing that says something of itself, below what it is in:
///   table Outcome
///     row header a.txt, undecided
///       choice Skip (checked)
/// What is not on view is left out, and what only holds other things together.
QStringList heard_tree(QWidget& window);
