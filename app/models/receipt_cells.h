// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QString>
#include <QVariant>
#include <string>

#include "keep/receipt.h"
#include "models/outcome_model.h"

// The cells of a row that says what came of one item: of a receipt, and of a run while it goes.

struct ReceiptColumns {
    enum Column { Name, Size, Result, Where, Count };
    static constexpr int ToneRole = Qt::UserRole + 1;
};

/// destination  of the run: places in it are said from there on
QVariant receipt_cell(const tavlo::ReceiptItem& item, int column, int role, const std::string& destination);
QVariant receipt_header(int section, Qt::Orientation orientation, int role);
