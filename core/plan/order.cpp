// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/order.h"

#include <algorithm>
#include <memory_resource>
#include <string_view>
#include <tuple>
#include <unordered_map>

#include "archive/members.h"
#include "plan/plan.h"

namespace tavlo {

Rename stays_in_nobodys_way(std::uint32_t which) {
    return {"-" + std::to_string(which), "=" + std::to_string(which)};
}

Rename by_a_hidden_name(std::string place) { return {place, place}; }

Ordered order(std::span<const Rename> wanted) {
    std::pmr::monotonic_buffer_resource nodes;
    std::pmr::unordered_map<std::string_view, std::uint32_t> leaves(&nodes);
    leaves.reserve(wanted.size());
    for (std::uint32_t which = 0; which < wanted.size(); ++which) leaves.emplace(wanted[which].leaves, which);
    Ordered ordered;
    ordered.steps.reserve(wanted.size());
    std::vector<bool> done(wanted.size());
    std::vector<std::uint32_t> waiting;  // each for the one after it
    for (std::uint32_t first = 0; first < wanted.size(); ++first) {
        bool parked = false;
        for (std::uint32_t at = first; !done[at];) {
            done[at] = true;
            waiting.push_back(at);
            const auto holder = leaves.find(wanted[at].takes);
            if (holder == leaves.end()) break;
            parked = holder->second == first;
            if (parked) ordered.steps.push_back({first, true});
            at = holder->second;
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
