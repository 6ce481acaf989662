// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <algorithm>

#include "files/path.h"
#include "plan/planner.h"

namespace tavlo {

std::string Plan::target_path(const Item& item) const { return targets.path_of(item.folder, name(item)); }
Pair Plan::pair(const Item& item) const {
    const Collision& collision = *item.collision;
    return collision.decided_on()
               ? *collision.decided_on()
               : pair_of(entry(item).status, collision.held_by_batch ? FileState{} : collision.held);
}
std::string Plan::final_path(const Item& item) const { return finals.path_of(item.folder, final_name(item)); }

Totals total(const Plan& plan) {
    Totals totals;
    for (const Item& item : plan.items) {
        if (item.role == Role::archive) continue;
        ++totals.items;
        totals.count(item.outcome);
        const Status& status = plan.entry(item).status;
        if (arrives(item.outcome) && status.type == FileType::file) totals.bytes += status.id.size_bytes;
    }
    return totals;
}

std::optional<Finding> compare(const Entry& incoming, const Held& held, const KnownContents& known,
                               std::int64_t time_step_ns) {
    const FileState& a = incoming.status;
    const FileState& b = held.status;
    if (a.type != b.type) return Finding::type;
    if (a.id.same_thing(b.id)) return Finding::same;  // two names of one file
    if (a.type == FileType::link && incoming.points_at() == held.points_at.get()) return Finding::same;
    if (a.type == FileType::file && a.id.size_bytes == b.id.size_bytes) {
        // no bytes are the same bytes; but what comes through a server may say that it has none, and have
        // some
        const bool surely_empty = a.id.size_bytes == 0 && a.id.inodes_last() && b.id.inodes_last();
        const auto same = surely_empty ? std::optional(true) : known.same(pair_of(a, b));
        if (!same) return std::nullopt;
        if (*same) return Finding::same;
    }
    const auto gap = a.id.modified_ns - b.id.modified_ns;
    if (gap == 0 || std::abs(gap) < time_step_ns) return Finding::same_date;
    return gap > 0 ? Finding::newer : Finding::older;
}

Plan make_plan(const Wishes& wishes, std::shared_ptr<const Batch> batch, const Layout& layout,
               const Survey& survey, const KnownContents& known) {
    std::vector<bool> keeping(layout.standing ? layout.arrivals.size() : 0);
    for (;;) {
        Planner planner(wishes, batch, layout, survey, known, keeping);
        Plan plan = std::move(planner).run();
        if (planner.misjudged().empty()) {
            if (plan.steps.empty()) plan.steps = in_reading_order(plan);
            return plan;
        }
        for (const auto at : planner.misjudged()) keeping[at] = true;
    }
}

}  // namespace tavlo
