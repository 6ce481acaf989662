// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/order.h"

#include <algorithm>
#include <tuple>
#include <unordered_map>

#include "archive/members.h"
#include "plan/plan.h"

namespace tavlo {

Ordered order(std::span<const Rename> wanted, std::size_t places) {
    constexpr std::uint32_t nobody = UINT32_MAX;
    std::vector<std::uint32_t> holders(places, nobody);
    for (std::uint32_t which = 0; which < wanted.size(); ++which)
        if (wanted[which].leaves != placeless) holders[wanted[which].leaves] = which;
    Ordered ordered;
    ordered.steps.reserve(wanted.size());
    std::vector<bool> done(wanted.size());
    std::vector<std::uint32_t> waiting;  // each for the one after it
    for (std::uint32_t first = 0; first < wanted.size(); ++first) {
        bool parked = false;
        for (std::uint32_t at = first; !done[at];) {
            done[at] = true;
            waiting.push_back(at);
            const std::uint32_t holder = wanted[at].takes == placeless ? nobody : holders[wanted[at].takes];
            if (holder == nobody) break;
            parked = holder == first;
            if (parked) ordered.steps.push_back({first, true});
            at = holder;
        }
        for (; !waiting.empty(); waiting.pop_back()) ordered.steps.push_back({waiting.back(), false});
    }
    return ordered;
}

std::vector<Ordered::Step> in_reading_order(const Plan& plan) {
    const auto is_read_there = [&](const Item& item) {
        return !plan.leaves(item) && plan.entry(item).status.type == FileType::file &&
               is_packed(plan.entry(item).status.id);
    };
    if (std::none_of(plan.items.begin(), plan.items.end(), is_read_there)) return {};
    // rank, archive in the order of the batch, place in it
    using Reading = std::tuple<int, std::uint32_t, std::uint64_t, ItemId>;
    std::unordered_map<std::uint64_t, std::uint32_t> archives;
    std::vector<Reading> places;
    places.reserve(plan.items.size());
    for (ItemId id = 0; id < plan.items.size(); ++id) {
        const Item& item = plan.items[id];
        const bool is_twin = item.collision && item.collision->finding == Finding::twin;
        if (!is_read_there(item) || is_twin) {
            places.emplace_back(is_twin ? 2 : 0, 0, 0, id);
            continue;
        }
        const Identity& in_archive = plan.entry(item).status.id;
        const std::uint64_t place = place_in_archive(in_archive);
        const auto which =
            archives.try_emplace(in_archive.inode - place, static_cast<std::uint32_t>(archives.size()))
                .first->second;
        places.emplace_back(1, which, place, id);
    }
    std::sort(places.begin(), places.end());
    std::vector<Ordered::Step> steps;
    steps.reserve(places.size());
    for (const Reading& place : places) steps.push_back({std::get<3>(place), false});
    return steps;
}

}  // namespace tavlo
