// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "facts/summary.h"

#include <algorithm>
#include <unordered_map>

namespace tavlo {

namespace {

constexpr std::size_t most_values = 3;
constexpr std::size_t most_counted =
    10'000;  // different values of one fact; what comes after is too rare to be shown

std::vector<std::string> commonest(const std::unordered_map<std::string, std::uint64_t>& counts) {
    std::vector<std::pair<std::string, std::uint64_t>> all(counts.begin(), counts.end());
    const auto shown = std::min(all.size(), most_values);
    std::partial_sort(all.begin(), all.begin() + static_cast<std::ptrdiff_t>(shown), all.end(),
                      [](const auto& one, const auto& other) {
                          return one.second != other.second ? one.second > other.second
                                                            : one.first < other.first;
                      });
    std::vector<std::string> values;
    for (std::size_t at = 0; at < shown; ++at) values.push_back(all[at].first);
    return values;
}

}  // namespace

std::vector<FactSummary> summarise(const Batch& batch, const EntryFacts& facts) {
    std::vector<FactSummary> all;
    for (const KnownFact& known : known_facts()) {
        if (known.name == "n" || known.name == "now") continue;
        KnownFact in_years = known;
        if (known.kind == KnownFact::Kind::moment) in_years.usual_format = "%Y";
        FactSummary summary{known.name};
        std::unordered_map<std::string, std::uint64_t> counts;
        for (EntryId id = 0; id < batch.entries.size(); ++id) {
            const Entry& entry = batch.entries[id];
            if (entry.status.type == FileType::folder || entry.problem()) continue;
            const auto fact = facts.find(id, entry.name, 0, known.name);
            auto value = fact ? as_in_a_name(in_years, *fact) : std::nullopt;
            if (!value) continue;
            ++summary.known_of;
            if (counts.size() < most_counted || counts.contains(*value)) ++counts[std::move(*value)];
        }
        summary.values = commonest(counts);
        if (summary.known_of > 0) all.push_back(std::move(summary));
    }
    return all;
}

}  // namespace tavlo
