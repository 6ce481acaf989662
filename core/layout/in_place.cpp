// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "layout/layout.h"

namespace tavlo {

Layout lay_out_in_place(const Batch& batch, const WantedName& wanted) {
    Layout layout;
    layout.targets = batch.folders;
    layout.standing = batch.folders;
    layout.several_feed.assign(batch.folders.size(), true);
    std::vector<std::uint32_t> arrival_of(batch.entries.size(), UINT32_MAX);
    for (EntryId id = 0; id < batch.entries.size(); ++id) {
        const Entry& entry = batch.entries[id];
        // in a folder that is no arrival one still comes below the nearest that is
        const std::uint32_t above = entry.parent == no_entry ? UINT32_MAX : arrival_of[entry.parent];
        arrival_of[id] = above;
        auto name = wanted(id);
        if (!name) continue;
        Arrival arrival;
        arrival.entry = id;
        arrival.parent = above;
        arrival.folder = entry.folder;
        if (entry.status.type == FileType::folder && !entry.problem()) arrival.inside = entry.inside;
        const auto at = static_cast<std::uint32_t>(layout.arrivals.size());
        if (name->problem) layout.problems.emplace(at, name->problem);
        if (name->name != entry.name) {
            if (arrival.inside != no_folder) layout.targets.rename(arrival.inside, name->name);
            arrival.name = static_cast<std::uint32_t>(layout.names.size());
            layout.names.push_back(std::move(name->name));
        }
        arrival_of[id] = at;
        layout.arrivals.push_back(arrival);
    }
    return layout;
}

Layout lay_out_leaving(const Batch& batch, const std::function<bool(EntryId)>& meant) {
    std::vector<bool> goes(batch.entries.size());  // itself, or with a folder
    Layout layout = lay_out_in_place(batch, [&](EntryId id) -> std::optional<Wanted> {
        const Entry& entry = batch.entries[id];
        const bool goes_along = entry.parent != no_entry && goes[entry.parent];
        const bool is_meant = !goes_along && meant(id);
        goes[id] = goes_along || is_meant;
        return is_meant ? std::optional(Wanted{entry.name}) : std::nullopt;
    });
    layout.leaves = true;
    return layout;
}

}  // namespace tavlo
