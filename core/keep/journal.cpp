// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "keep/journal.h"

#include "files/path.h"

namespace tavlo {

PendingItem pending_item(const Plan& plan, ItemId id) {
    const Item& item = plan.items[id];
    const Entry& entry = plan.entry(item);
    PendingItem out;
    out.number = id;
    if (item.parent != no_item) out.parent = item.parent;
    out.source = plan.source_path(item);
    if (entry.real()) out.real = join(plan.batch->folders.path(entry.real()->folder), entry.real()->name);
    out.target = plan.target_path(item);
    out.final_path = plan.final_path(item);
    out.type = entry.status.type;
    out.identity = entry.status.id;
    out.mode = entry.status.mode;
    out.links = entry.status.links;
    out.points_at = entry.points_at();
    out.action = item.action;
    out.role = item.role;
    out.shelf = item.shelf;
    out.parks = item.parks;
    out.outcome = item.outcome;
    out.whole = item.whole;
    out.along = item.along;
    if (item.collision) {
        out.collides = true;
        out.finding = item.collision->finding;
        out.decision = item.collision->decision;
        out.held_type = item.collision->held.type;
        out.held = item.collision->held.id;
        out.held_by_batch = item.collision->held_by_batch;
        out.shared = item.collision->shared;
        if (item.collision->elsewhere()) out.elsewhere = *item.collision->elsewhere();
    }
    out.entry_of_safe = item.extras().entry_of_safe;
    if (item.problem()) out.problem = reason(*item.problem());
    if (item.extras().attributes) out.attributes = *item.extras().attributes;
    if (item.takes_back != no_item) out.takes_back = item.takes_back;
    return out;
}

}  // namespace tavlo
