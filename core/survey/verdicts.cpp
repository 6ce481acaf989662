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

}  // namespace

/// Of the key, or of the first after it. Keys are hashes, so they lie evenly: it is looked for around where its
/// share of all that a key can be says, within a stretch that grows until it holds it.
std::size_t Verdicts::place(const HashKey& key) const {
    const HashKey sought = bare(key);
    const std::size_t size = sorted_.size();
    const std::size_t guess = ((sought.high >> 32U) * size) >> 32U;
    std::size_t from = guess;
    std::size_t to = guess;
    for (std::size_t step = 16; from > 0 && !(sorted_[from - 1] < sought); step *= 2)
        from -= std::min(step, from);
    for (std::size_t step = 16; to < size && sorted_[to] < sought; step *= 2) to += std::min(step, size - to);
    const auto first = sorted_.begin();
    return static_cast<std::size_t>(std::lower_bound(first + static_cast<std::ptrdiff_t>(from),
                                                     first + static_cast<std::ptrdiff_t>(to), sought) -
                                    first);
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
}

}  // namespace tavlo
