// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <map>
#include <string>
#include <vector>

#include "keep/receipt.h"

namespace tavlo {

/// The saved job that a run was a step of; empty: of none.
std::string job_of(const ReceiptHead& head);

/// By the name of each saved job that ran: the head of its last step.
/// heads  newest first
std::map<std::string, ReceiptHead> last_runs(const std::vector<ReceiptHead>& heads);

}  // namespace tavlo
