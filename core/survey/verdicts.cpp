// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "survey/verdicts.h"

#include <algorithm>
#include <iterator>

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

HashKey with(bool verdict, const HashKey& key) {
    HashKey kept = bare(key);
    kept.low |= verdict ? verdict_bit : 0;
    return kept;
}

// a key is looked for in two lines of memory, and the index is a thirtieth of the whole
constexpr std::size_t keys_in_a_share = 8;

std::size_t share_of(const HashKey& key, std::size_t shares) { return ((key.high >> 32U) * shares) >> 32U; }

}  // namespace

/// Of the key, or of the first after it.
std::size_t Verdicts::place(const HashKey& key) const {
    if (sorted_.empty()) return 0;
    const HashKey sought = bare(key);
    const std::size_t share = share_of(sought, first_of_share_.size() - 1);
    const auto at = [this](std::size_t place) {
        return sorted_.begin() + static_cast<std::ptrdiff_t>(place);
    };
    return static_cast<std::size_t>(
        std::lower_bound(at(first_of_share_[share]), at(first_of_share_[share + 1]), sought) -
        sorted_.begin());
}

void Verdicts::index() {
    const std::size_t shares = sorted_.size() / keys_in_a_share + 1;
    first_of_share_.assign(shares + 1, static_cast<std::uint32_t>(sorted_.size()));
    for (std::size_t at = sorted_.size(); at-- > 0;)
        first_of_share_[share_of(sorted_[at], shares)] = static_cast<std::uint32_t>(at);
    for (std::size_t share = shares; share-- > 0;)
        first_of_share_[share] = std::min(first_of_share_[share], first_of_share_[share + 1]);
}

void Verdicts::learn(const HashKey& key, bool verdict) {
    const std::size_t at = place(key);
    if (at < sorted_.size() && bare(sorted_[at]) == bare(key)) {
        sorted_[at] = with(verdict, key);
        return;
    }
    fresh_[bare(key)] = verdict;
    if (fresh_.size() >= std::max(least_fresh, sorted_.size() / sorted_for_each_fresh)) sort_in({});
}

void Verdicts::learn(const std::vector<std::pair<HashKey, bool>>& verdicts) {
    if (verdicts.size() >= least_fresh) return sort_in(verdicts);
    for (const auto& [key, verdict] : verdicts) learn(key, verdict);
}

std::optional<bool> Verdicts::of(const HashKey& key) const {
    if (!fresh_.empty())
        if (const auto found = fresh_.find(bare(key)); found != fresh_.end()) return found->second;
    const std::size_t at = place(key);
    if (at == sorted_.size() || bare(sorted_[at]) != bare(key)) return std::nullopt;
    return (sorted_[at].low & verdict_bit) != 0;
}

/// With what waits, and with more that came after that.
void Verdicts::sort_in(const std::vector<std::pair<HashKey, bool>>& more) {
    std::vector<HashKey> fresh;
    fresh.reserve(fresh_.size() + more.size());
    for (const auto& [key, verdict] : fresh_) fresh.push_back(with(verdict, key));
    for (const auto& [key, verdict] : more) fresh.push_back(with(verdict, key));
    fresh_.clear();
    const auto before = [](const HashKey& one, const HashKey& other) { return bare(one) < bare(other); };
    if (!std::is_sorted(fresh.begin(), fresh.end(), before))
        std::stable_sort(fresh.begin(), fresh.end(), before);
    std::vector<HashKey> all;  // as large as it must be: one that grew by itself would be up to twice that
    all.reserve(sorted_.size() + fresh.size());
    std::merge(sorted_.begin(), sorted_.end(), fresh.begin(), fresh.end(), std::back_inserter(all), before);
    // of one key the last one holds: merge() has earlier ones first
    const auto first = std::unique(all.rbegin(), all.rend(), [](const HashKey& one, const HashKey& other) {
        return bare(one) == bare(other);
    });
    all.erase(all.begin(), first.base());
    sorted_ = std::move(all);
    index();
}

}  // namespace tavlo
