#pragma once

#include <array>
#include <optional>
#include <string>
#include <unordered_map>

#include "plan/words.h"
#include "survey/contents.h"

namespace tavlo {

/// Which subfolders come along: all; those in which a file ends up; none, so that only files directly inside do.
enum class Subfolders : std::uint8_t { all, filled, none };

/// How a batch is laid out in the destination.
struct Shape {
    bool contents = false;  ///< what is inside each source folder, not the folder itself
    Subfolders subfolders = Subfolders::all;
    bool flatten = false;  ///< every file directly into the destination
    bool operator==(const Shape&) const = default;
};

/// A decision that somebody took about one pair; it holds only while the pair is that pair.
struct PairDecision {
    Pair pair;  ///< held is empty where the two are of one batch
    Decision decision = Decision::undecided;
};

/// What is to be done where a name is taken.
struct Rules {
    Decision otherwise = Decision::undecided;
    std::array<std::optional<Decision>, finding_count> when{};
    std::unordered_map<std::string, PairDecision> single{};  ///< by source path

    /// finding  nullopt: not compared yet
    Decision decide(const std::string& source_path, const Pair& pair, std::optional<Finding> finding) const;
};

}  // namespace tavlo
