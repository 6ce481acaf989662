// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "survey/verdicts.h"

#include <algorithm>

namespace tavlo {

namespace {

constexpr std::uint64_t verdict_bit = 1;
// so each is moved eight times or so before there are twice as many
constexpr std::size_t least_fresh = 4096;
constexpr std::size_t sorted_for_each_fresh = 8;

HashKey bare(HashKey key) {
    key.low &= ~verdict_bit;
    return key;
}

}  // namespace

/// Of the key, or of the first after it.
std::size_t Verdicts::place(const HashKey& key) const {
    return static_cast<std::size_t>(std::lower_bound(sorted_.begin(), sorted_.end(), bare(key)) -
                                    sorted_.begin());
}

void Verdicts::learn(const HashKey& key, bool verdict) {
    const std::size_t at = place(key);
    if (at < sorted_.size() && bare(sorted_[at]) == bare(key)) {
        sorted_[at].low = bare(key).low | (verdict ? verdict_bit : 0);
        return;
    }
    fresh_[bare(key)] = verdict;
    if (fresh_.size() >= std::max(least_fresh, sorted_.size() / sorted_for_each_fresh)) sort_in();
}

std::optional<bool> Verdicts::of(const HashKey& key) const {
    if (!fresh_.empty())
        if (const auto found = fresh_.find(bare(key)); found != fresh_.end()) return found->second;
    const std::size_t at = place(key);
    if (at == sorted_.size() || bare(sorted_[at]) != bare(key)) return std::nullopt;
    return (sorted_[at].low & verdict_bit) != 0;
}

void Verdicts::sort_in() {
    std::vector<HashKey> all;  // as large as it must be: one that grew by itself would be up to twice that
    all.reserve(sorted_.size() + fresh_.size());
    all.assign(sorted_.begin(), sorted_.end());
    for (const auto& [key, verdict] : fresh_)
        all.push_back({key.high, key.low | (verdict ? verdict_bit : 0)});
    const auto middle = all.begin() + static_cast<std::ptrdiff_t>(sorted_.size());
    std::sort(middle, all.end());
    std::inplace_merge(all.begin(), middle, all.end());
    sorted_ = std::move(all);
    fresh_.clear();
}

}  // namespace tavlo
