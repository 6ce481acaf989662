// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <optional>
#include <string_view>

namespace tavlo {

enum class Operation : std::uint8_t { copy, move, undo, restore, rename, remove, make, unpack, pack };

/// How the incoming thing compares with the one that holds the name; or, `elsewhere`, what else there is of
/// it: its name is free, and its bytes are in the destination under another.
enum class Finding : std::uint8_t { same, newer, older, same_date, type, twin, elsewhere };
inline constexpr int finding_count = 7;

/// How the incoming file's size compares with that of the one that holds the name.
enum class SizeRelation : std::uint8_t { smaller, same_size, larger };
inline constexpr int size_relation_count = 3;

/// What becomes of an item whose name is taken.
enum class Decision : std::uint8_t { undecided, skip, overwrite, rename };

/// What comes, or came, of an item.
enum class Outcome : std::uint8_t {
    planned,
    created,
    overwritten,
    renamed,
    skipped,
    merged,
    undecided,
    failed,
    removed,
    restored
};
inline constexpr int outcome_count = 10;

/// Where what is removed is kept, to be brought back from.
enum class Shelf : std::uint8_t {
    safe,
    trash,  ///< of the desktop (freedesktop.org Trash specification 1.0)
};

// The text forms are part of the contract and of what is stored; unknown text is an error (nullopt), never a
// default.
std::string_view to_text(Operation operation) noexcept;
std::string_view to_text(Finding finding) noexcept;
std::string_view to_text(Decision decision) noexcept;
std::string_view to_text(Outcome outcome) noexcept;
std::string_view to_text(Shelf shelf) noexcept;
std::optional<Operation> operation_from_text(std::string_view text) noexcept;
std::optional<Finding> finding_from_text(std::string_view text) noexcept;
std::optional<Decision> decision_from_text(std::string_view text) noexcept;
std::optional<Outcome> outcome_from_text(std::string_view text) noexcept;
std::optional<Shelf> shelf_from_text(std::string_view text) noexcept;

}  // namespace tavlo
