// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

// Inside run/ only.

#include <algorithm>
#include <functional>
#include <string>
#include <unordered_set>
#include <vector>

namespace tavlo {

/// Places by a hash of them: of a million nearly all are named once, and no more than that has to be known of
/// those.
class PlacesNamedTwice {
public:
    void add(const std::string& path) { hashes_.push_back(std::hash<std::string>{}(path)); }
    /// Once all are there.
    void settle() {
        std::sort(hashes_.begin(), hashes_.end());
        for (std::size_t at = 1; at < hashes_.size(); ++at)
            if (hashes_[at] == hashes_[at - 1]) twice_.insert(hashes_[at]);
        hashes_ = {};
    }
    /// Two that share a hash count as well: then more is kept in mind than has to be.
    bool contain(const std::string& path) const {
        return !twice_.empty() && twice_.contains(std::hash<std::string>{}(path));
    }

private:
    std::vector<std::size_t> hashes_;
    std::unordered_set<std::size_t> twice_;
};

}  // namespace tavlo
