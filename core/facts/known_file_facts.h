// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <map>
#include <memory>
#include <string>
#include <tuple>
#include <vector>

#include "facts/file_facts.h"
#include "files/types.h"

namespace tavlo {

/// What files have told about themselves so far: tied to device, inode, size and times, so that one that has
/// changed is one not read yet.
class KnownFileFacts {
public:
    void learn(const Status& of, std::shared_ptr<const FileFacts> facts) {
        known_[key_of(of)] = std::move(facts);
    }
    /// null: it was not read
    const FileFacts* find(const Status& of) const {
        const auto found = known_.find(key_of(of));
        return found == known_.end() ? nullptr : found->second.get();
    }
    std::size_t size() const noexcept { return known_.size(); }

private:
    using Key = std::tuple<std::uint64_t, std::uint64_t, std::uint64_t, std::int64_t, std::int64_t>;
    static Key key_of(const Status& of) {
        return {of.id.device, of.id.inode, of.id.size_bytes, of.id.modified_ns, of.status_changed_ns};
    }
    std::map<Key, std::shared_ptr<const FileFacts>> known_;
};

/// Facts that somebody has said of one thing, as it was then; they go ahead of what it tells. Of one that has
/// changed since they count no more.
struct SaidFacts {
    Identity of;
    FileFacts facts;
    bool operator==(const SaidFacts&) const = default;
};
using FactsSaid = std::map<std::string, SaidFacts>;  ///< by the thing's path

/// What files have told, kept from one run to the next.
class FactsMemory {
public:
    virtual ~FactsMemory() = default;
    /// Learns what is remembered of these.
    virtual Result<void> recall_facts(const std::vector<Status>& of, KnownFileFacts& known) = 0;
    using Told = std::pair<Status, std::shared_ptr<const FileFacts>>;
    virtual Result<void> remember_facts(const std::vector<Told>& told) = 0;
};

}  // namespace tavlo
