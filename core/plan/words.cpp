// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/words.h"

namespace tavlo {

std::string_view to_text(Operation operation) noexcept {
    switch (operation) {
        case Operation::copy: return "copy";
        case Operation::move: return "move";
        case Operation::undo: return "undo";
        case Operation::restore: return "restore";
        case Operation::rename: return "rename";
        case Operation::remove: return "remove";
        case Operation::make: return "make";
        case Operation::unpack: return "unpack";
        case Operation::pack: return "pack";
    }
    return {};
}

std::string_view to_text(Finding finding) noexcept {
    switch (finding) {
        case Finding::same: return "same";
        case Finding::newer: return "newer";
        case Finding::older: return "older";
        case Finding::same_date: return "same-date";
        case Finding::type: return "type";
        case Finding::twin: return "twin";
        case Finding::elsewhere: return "elsewhere";
    }
    return {};
}

std::string_view to_text(Decision decision) noexcept {
    switch (decision) {
        case Decision::undecided: return "undecided";
        case Decision::skip: return "skip";
        case Decision::overwrite: return "overwrite";
        case Decision::rename: return "rename";
    }
    return {};
}

std::string_view to_text(Outcome outcome) noexcept {
    switch (outcome) {
        case Outcome::planned: return "planned";
        case Outcome::created: return "created";
        case Outcome::overwritten: return "overwritten";
        case Outcome::renamed: return "renamed";
        case Outcome::skipped: return "skipped";
        case Outcome::merged: return "merged";
        case Outcome::undecided: return "undecided";
        case Outcome::failed: return "failed";
        case Outcome::removed: return "removed";
        case Outcome::restored: return "restored";
    }
    return {};
}

std::string_view to_text(Shelf shelf) noexcept {
    switch (shelf) {
        case Shelf::safe: return "safe";
        case Shelf::trash: return "trash";
    }
    return {};
}

namespace {

template <class Word>
std::optional<Word> word_from_text(std::string_view text, Word last) noexcept {
    for (int i = 0; i <= static_cast<int>(last); ++i)
        if (const auto word = static_cast<Word>(i); to_text(word) == text) return word;
    return std::nullopt;
}

}  // namespace

std::optional<Operation> operation_from_text(std::string_view text) noexcept {
    return word_from_text(text, Operation::pack);
}
std::optional<Finding> finding_from_text(std::string_view text) noexcept {
    return word_from_text(text, Finding::elsewhere);
}
std::optional<Decision> decision_from_text(std::string_view text) noexcept {
    return word_from_text(text, Decision::rename);
}
std::optional<Outcome> outcome_from_text(std::string_view text) noexcept {
    return word_from_text(text, Outcome::restored);
}
std::optional<Shelf> shelf_from_text(std::string_view text) noexcept {
    return word_from_text(text, Shelf::trash);
}

}  // namespace tavlo
