// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <vector>

#include "keep/journal.h"
#include "keep/receipt.h"
#include "plan/plan.h"
#include "run/run.h"

namespace tavlo {

/// A folder that an item came in: where it was, and where it is by now.
struct WhereItLies {
    std::string source;
    std::string place;
    /// Where something that lay in it, at any depth, lies by now.
    std::string of(const std::string& path) const { return place + path.substr(source.size()); }
};

/// The plan for what an interrupted run has left, and what else it takes to go on with it. Pure.
/// pending   without those that were found done
/// settled   the receipt's items that have a result, by number: folders among them hold what is still to come
struct Rest {
    Plan plan;
    Resumption resumption;
};
Rest plan_rest(const ReceiptHead& head, const std::vector<PendingItem>& pending,
               const std::vector<std::pair<std::uint64_t, ReceiptItem>>& settled);

}  // namespace tavlo
