// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include "views/parts/button_row.h"

class QModelIndex;

/// A delegate whose cells have choices: for the mouse, and for whoever hears the window (ListAccess).
class Choosing {
public:
    virtual ~Choosing() = default;
    /// cell  where the index is drawn
    /// returns  without words where there is nothing to choose
    virtual Choices choicesOf(const QModelIndex& index, const QRect& cell) const = 0;
    virtual void choose(const QModelIndex& index, int number) = 0;

protected:
    Choosing() = default;
    Choosing(const Choosing&) = default;
    Choosing& operator=(const Choosing&) = default;
};
