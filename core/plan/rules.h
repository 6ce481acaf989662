#pragma once

#include <array>
#include <optional>
#include <string>

#include "plan/decisions.h"
#include "plan/words.h"

namespace tavlo {

/// Which subfolders come along: all; those in which a file ends up; none, so that only files directly inside do.
enum class Subfolders : std::uint8_t { all, filled, none };

/// How a batch is laid out in the destination.
struct Shape {
    bool contents = false;  ///< what is inside each source folder, not the folder itself
    Subfolders subfolders = Subfolders::all;
    bool flatten = false;  ///< every file directly into the destination
    /// A folder that sources lie below, however deep: those on the way from it to them are kept too. Empty: none are.
    std::string kept_from{};
    bool operator==(const Shape&) const = default;
};

/// What becomes of what is in the destination and not of the batch.
enum class Clearing : std::uint8_t {
    none,   ///< it stays
    extra,  ///< it goes to the Safe, out of the destination and every folder of it that the batch merges into
    all,    ///< the destination is emptied first: all that is in it goes to the Safe
};

/// What is to be done where a name is taken, and with what nothing of the batch has to do with.
struct Rules {
    Decision otherwise = Decision::undecided;
    std::array<std::optional<Decision>, finding_count> when{};
    /// By finding and size, ahead of `when`; of files that meet files in the destination.
    std::array<std::array<std::optional<Decision>, size_relation_count>, finding_count> when_sized{};
    Decisions single{};  ///< about single pairs, ahead of all the rest
    NewNames new_names{};
    /// What the destination cannot hold under its name arrives under the nearest one that it can (possible_name()).
    bool adapt_names = false;
    /// A move goes on where the target cannot keep what people put into extended attributes, or into an access control list.
    bool may_lose = false;
    Clearing clearing = Clearing::none;

    /// What the rules say of a pair that nobody has decided about.
    /// finding  nullopt: not compared yet
    Decision decide(const Pair& pair, std::optional<Finding> finding) const;
    Decision decide(const std::string& source_path, const Pair& pair, std::optional<Finding> finding) const;
};

}  // namespace tavlo
