// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <memory>
#include <optional>
#include <unordered_map>
#include <utility>
#include <vector>

#include "files/result.h"
#include "files/types.h"
#include "survey/verdicts.h"

namespace tavlo {

/// The two of a pair that want one name. Their times of status change are part of it: a date of change can be
/// set back by anybody, that one cannot.
struct Pair {
    Identity incoming;
    Identity held;
    std::int64_t incoming_changed_ns = 0;
    std::int64_t held_changed_ns = 0;
    bool operator==(const Pair&) const = default;
};

inline Pair pair_of(const FileState& incoming, const FileState& held) {
    return {incoming.id, held.id, incoming.status_changed_ns, held.status_changed_ns};
}

struct PairHash {
    std::size_t operator()(const Pair& pair) const noexcept {
        const auto mix = [](std::size_t seed, std::uint64_t value) {
            return seed ^
                   (std::hash<std::uint64_t>{}(value) + 0x9e3779b97f4a7c15ULL + (seed << 6) + (seed >> 2));
        };
        std::size_t seed = 0;
        for (const Identity* id : {&pair.incoming, &pair.held})
            for (const std::uint64_t value :
                 {id->device, id->inode, id->size_bytes, static_cast<std::uint64_t>(id->modified_ns)})
                seed = mix(seed, value);
        for (const std::int64_t value : {pair.incoming_changed_ns, pair.held_changed_ns})
            seed = mix(seed, static_cast<std::uint64_t>(value));
        return seed;
    }
};

/// A file that holds the bytes of another.
struct Elsewhere {
    std::shared_ptr<const std::string> path;
    FileState held;
};

/// What has been found out by reading: whether the two of a pair hold the same bytes. Tied to device, inode,
/// size and times of change of both, so that a pair that changed is a pair not read yet. A million are known
/// by a hash of 128 bits of all that.
class KnownContents {
public:
    void learn(const Pair& pair, bool same) { same_.learn(key_of(pair), same); }
    /// Many at once, in less time; by what key_of() in survey/pair_key.h makes of each pair.
    void learn(const std::vector<std::pair<HashKey, bool>>& found) { same_.learn(found); }
    void learn_problem(const Pair& pair, Error why) {
        problems_[key_of(pair)] = std::make_shared<const Error>(std::move(why));
    }
    /// Why a pair could not be compared; null where it was, or was not tried.
    std::shared_ptr<const Error> problem(const Pair& pair) const {
        if (problems_.empty()) return nullptr;
        const auto found = problems_.find(key_of(pair));
        return found == problems_.end() ? nullptr : found->second;
    }
    std::optional<bool> same(const Pair& pair) const { return same_.of(key_of(pair)); }
    bool is_empty() const { return same_.is_empty() && problems_.empty(); }

    /// Where the bytes of a file are too, in the destination that was looked through.
    void learn_elsewhere(const FileState& of, Elsewhere found) {
        elsewhere_[key_of(pair_of(of, {}))] = std::move(found);
    }
    const Elsewhere* elsewhere(const FileState& of) const {
        const auto found = elsewhere_.empty() ? elsewhere_.end() : elsewhere_.find(key_of(pair_of(of, {})));
        return found == elsewhere_.end() ? nullptr : &found->second;
    }
    void forget_elsewhere() { elsewhere_.clear(); }

private:
    static HashKey key_of(const Pair& pair);

    Verdicts same_;
    std::unordered_map<HashKey, std::shared_ptr<const Error>, HashOfKey> problems_;
    std::unordered_map<HashKey, Elsewhere, HashOfKey> elsewhere_;
};

/// What was found out by reading, kept from one run to the next.
class ContentsMemory {
public:
    virtual ~ContentsMemory() = default;
    /// Learns all that is remembered, where that takes less time than asking for so many pairs.
    /// returns  whether it does
    virtual Result<bool> recall_all(KnownContents& known, std::size_t pairs) = 0;
    /// Learns what is remembered of these pairs, and maybe of others.
    virtual Result<void> recall(const std::vector<Pair>& pairs, KnownContents& known) = 0;
    virtual Result<void> remember(const std::vector<std::pair<Pair, bool>>& found) = 0;
};

/// The hashes (Hasher) of files that were read whole, kept from one run to the next.
class HashMemory {
public:
    virtual ~HashMemory() = default;
    /// take  (place in `of`, hash)
    virtual Result<void> recall_hashes(const std::vector<Status>& of,
                                       const std::function<void(std::size_t, std::string&&)>& take) = 0;
    virtual Result<void> remember_hashes(const std::vector<std::pair<Status, std::string>>& hashes) = 0;
};

}  // namespace tavlo
