// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <compare>
#include <cstdint>
#include <optional>
#include <unordered_map>
#include <utility>
#include <vector>

namespace tavlo {

/// 128 bits of a hash that stand for what they were made of.
struct HashKey {
    std::uint64_t high = 0;
    std::uint64_t low = 0;
    auto operator<=>(const HashKey&) const = default;
};

struct HashOfKey {
    std::size_t operator()(const HashKey& key) const noexcept { return key.low; }
};

/// What has been found of many: yes or no, by key. A million are 16 MB: most lie sorted, one beside another,
/// the verdict in the place of the key's lowest bit; the last ones wait in a table until they are worth
/// being sorted in.
class Verdicts {
public:
    /// A later verdict takes the place of an earlier one.
    void learn(const HashKey& key, bool verdict);
    /// Many at once, in less time.
    void learn(const std::vector<std::pair<HashKey, bool>>& verdicts);
    std::optional<bool> of(const HashKey& key) const;
    bool is_empty() const { return sorted_.empty() && fresh_.empty(); }

private:
    void sort_in(const std::vector<std::pair<HashKey, bool>>& more);
    void index();
    std::size_t place(const HashKey& key) const;

    std::vector<HashKey> sorted_;
    std::vector<std::uint32_t> first_of_share_;           ///< keys are hashes: each share of them holds a few
    std::unordered_map<HashKey, bool, HashOfKey> fresh_;  ///< by keys whose lowest bit is 0
};

}  // namespace tavlo
