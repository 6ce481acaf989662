// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QString>
#include <string>

#include "keep/receipt.h"
#include "tasks/outcome_tree.h"

// The destination as it will be, for reading elsewhere.

/// A tree by indentation, a name a line; what arrives is marked with a word.
std::string outcome_as_text(const OutcomeTree& tree);
/// A row for each item of the plan: source, target, where it ends up, result, finding, size (RFC 4180).
std::string outcome_as_csv(const OutcomeTree& tree);
/// The plan document (docs/contract.md).
std::string outcome_as_json(const OutcomeTree& tree);
/// A page to be printed: the tree with sizes, dates and what happens; of more lines than `most`, how many are
/// left out. A receipt as a page, in the same way.
QString receipt_as_html(const tavlo::ReceiptHead& head, const std::vector<tavlo::ReceiptItem>& items,
                        std::size_t most);
QString outcome_as_html(const OutcomeTree& tree, std::size_t most);
