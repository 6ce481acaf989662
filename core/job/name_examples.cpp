// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "job/name_examples.h"

#include <algorithm>

#include "facts/entry_facts.h"
#include "files/small_file.h"
#include "names/names.h"

namespace tavlo {

namespace {

constexpr std::size_t most_examples = 5;

bool has_other_letters(const std::string& name) {
    return std::any_of(name.begin(), name.end(),
                       [](char c) { return static_cast<unsigned char>(c) >= 0x80; });
}

bool takes_a_name(const Plan& plan, const Item& item) {
    if (item.role == Role::renamed) return true;
    return item.role == Role::arrives && plan.entry(item).status.type != FileType::folder;
}

/// Items in the order in which they tell most.
std::vector<ItemId> telling(const Plan& plan) {
    ItemId first = no_item;
    ItemId longest = no_item;
    ItemId lettered = no_item;
    ItemId bare = no_item;
    for (ItemId id = 0; id < plan.items.size(); ++id) {
        const Item& item = plan.items[id];
        if (!takes_a_name(plan, item)) continue;
        const Entry& entry = plan.entry(item);
        if (first == no_item) first = id;
        if (longest == no_item || entry.name.size() > plan.entry(plan.items[longest]).name.size())
            longest = id;
        if (lettered == no_item && has_other_letters(entry.name)) lettered = id;
        const bool is_bare = entry.status.type == FileType::file &&
                             extension_start(entry.name, entry.status.type) == entry.name.size();
        if (bare == no_item && is_bare) bare = id;
    }
    std::vector<ItemId> chosen;
    const auto take = [&](ItemId id) {
        if (id != no_item && std::find(chosen.begin(), chosen.end(), id) == chosen.end())
            chosen.push_back(id);
    };
    take(first);
    for (const ItemId id : plan.colliding) {
        if (chosen.size() >= 3) break;
        if (takes_a_name(plan, plan.items[id])) take(id);
    }
    for (const ItemId id : {longest, lettered, bare}) take(id);
    for (ItemId id = 0; id < plan.items.size() && chosen.size() < most_examples; ++id)
        if (takes_a_name(plan, plan.items[id])) take(id);
    if (chosen.size() > most_examples) chosen.resize(most_examples);
    return chosen;
}

}  // namespace

std::vector<NameExample> name_examples(const Job& job, const Plan& plan, std::int64_t now_ns) {
    std::vector<NameExample> examples;
    auto kinds = load_kinds();
    if (job.naming.empty() || !kinds) return examples;
    const EntryFacts facts(*plan.batch, std::move(*kinds), now_ns);
    std::vector<Namer> up_to;  // the first step, the first two, …
    for (std::size_t steps = 1; steps <= job.naming.steps.size(); ++steps) {
        Naming naming = job.naming;
        naming.steps.resize(steps);
        auto namer = Namer::make(naming, [](const std::string& path) { return read_small_file(path); });
        if (!namer) break;
        up_to.push_back(std::move(*namer));
    }
    std::vector<std::uint64_t> numbers(plan.items.size());
    std::uint64_t n = job.naming.count_from;
    for (ItemId id = 0; id < plan.items.size(); ++id) {
        if (!takes_a_name(plan, plan.items[id])) continue;
        numbers[id] = n;
        n += job.naming.count_by;
    }
    for (const ItemId id : telling(plan)) {
        const Item& item = plan.items[id];
        const Entry& entry = plan.entry(item);
        NameExample example{entry.name};
        for (Namer& namer : up_to) {
            auto name =
                namer.name(entry.name, entry.status.type, [&](std::string_view fact, std::string_view now) {
                    return facts.find(item.entry, now, numbers[id], fact);
                });
            if (!name) {
                example.problem = name.error().step;
                break;
            }
            example.after.push_back(std::move(*name));
        }
        example.collides = item.collision != nullptr;
        examples.push_back(std::move(example));
    }
    return examples;
}

}  // namespace tavlo
