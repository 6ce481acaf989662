// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "models/same_item.h"

#include <algorithm>

using namespace tavlo;

ItemId same_item(const Plan& plan, const Plan& before, ItemId item) {
    const Item& was = before.items[item];
    const bool same_batch = plan.batch == before.batch && !before.leaves(was);
    const Entry& thing = before.entry(was);
    const auto is_it = [&](const Item& one) {
        if (same_batch) return one.entry == was.entry;
        // of 100,000 paths just those of this name are put together
        return plan.entry(one).name == thing.name && plan.source_path(one) == before.source_path(was);
    };
    if (item < plan.items.size() && is_it(plan.items[item])) return item;  // mostly
    const auto found = std::find_if(plan.items.begin(), plan.items.end(), is_it);
    return found == plan.items.end() ? no_item : static_cast<ItemId>(found - plan.items.begin());
}
