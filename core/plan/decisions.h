// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <memory>
#include <optional>
#include <string>
#include <unordered_map>
#include <vector>

#include "names/new_names.h"
#include "plan/words.h"
#include "survey/contents.h"

namespace tavlo {

/// What somebody decided about one pair; it holds only while the pair is that pair.
struct PairDecision {
    Pair pair;  ///< Collision::pair; held is empty where nothing in the destination has the name
    /// nullopt: taken back, so that the policy holds again
    std::optional<Decision> decision = Decision::undecided;
    std::optional<NewNames> new_names{};  ///< how rename makes the name, where not as the policy says
    std::string name{};                   ///< the very name for rename; empty: made
    /// rename gives the new name to the one that is there, and the incoming one takes its place
    bool renames_held = false;
};

/// Decisions about single pairs, by source path. Copies share what they hold, so one is handed on and kept to
/// go back to at little cost, however many pairs were decided.
class Decisions {
public:
    using Stroke = std::unordered_map<std::string, PairDecision>;

    /// One stroke: many pairs decided together. It stands ahead of what was decided before.
    void add(Stroke stroke);
    /// The same, put together by whoever first asks what stands for a pair, on its thread.
    /// most  it holds no more pairs than that
    /// made  is called once
    void add(std::size_t most, std::function<Stroke()> made);
    void add(const std::string& source_path, PairDecision decision) {
        add(Stroke{{source_path, std::move(decision)}});
    }
    /// What stands for this pair; null where nothing does.
    const PairDecision* find(const std::string& source_path, const Pair& pair) const;
    bool empty() const { return strokes_.empty(); }
    /// Every path once, with what was decided about it last.
    void each(const std::function<void(const std::string&, const PairDecision&)>& take) const;

private:
    class Kept;
    std::vector<std::shared_ptr<const Kept>> strokes_;  ///< oldest and largest first
};

}  // namespace tavlo
