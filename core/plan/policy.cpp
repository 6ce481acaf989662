// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "plan/policy.h"

namespace tavlo {

Decision Policy::decide(const Pair& pair, std::optional<Finding> finding) const {
    if (!finding) return Decision::undecided;
    const auto which = static_cast<std::size_t>(*finding);
    if (pair.held.inode != 0 && *finding != Finding::type && *finding != Finding::twin &&
        *finding != Finding::elsewhere) {
        const auto a = pair.incoming.size_bytes;
        const auto b = pair.held.size_bytes;
        const auto relation = a < b   ? SizeRelation::smaller
                              : a > b ? SizeRelation::larger
                                      : SizeRelation::same_size;
        if (const auto& sized = when_sized[which][static_cast<std::size_t>(relation)]) return *sized;
    }
    return when[which].value_or(otherwise);
}

Outcome Policy::of_elsewhere(Decision decision, bool by_hand) const {
    if (decision == Decision::skip) return Outcome::skipped;
    const bool is_asked = by_hand || when[static_cast<std::size_t>(Finding::elsewhere)].has_value();
    return decision == Decision::undecided && is_asked ? Outcome::undecided : Outcome::created;
}

}  // namespace tavlo
