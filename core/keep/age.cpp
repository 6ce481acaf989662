// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "keep/age.h"

namespace tavlo {

namespace {

constexpr std::int64_t hour_ns = 3'600'000'000'000;
constexpr std::int64_t day_ns = 24 * hour_ns;
constexpr std::int64_t longest_off_ns =
    60 * day_ns;  // a machine may stand still for so long; more is taken for a clock put right

/// Between two readings the clock on the wall went otherwise than time does.
bool has_leapt(const Timekeeper::Reading& before, const Timekeeper::Reading& after) {
    const std::int64_t wall = after.wall_ns - before.wall_ns;
    if (wall < -hour_ns) return true;
    if (before.boot.empty()) return false;  // of a version from before readings were noted
    if (before.boot != after.boot) return wall > longest_off_ns;
    const std::int64_t drift = wall - (after.since_boot_ns - before.since_boot_ns);
    return drift > hour_ns || drift < -hour_ns;
}

}  // namespace

std::optional<std::int64_t> Ages::of(const SafeEntry& entry) const {
    if (!entry.boot.empty() && entry.boot == now_.boot) return now_.since_boot_ns - entry.since_boot_ns;
    if (entry.set_aside_ns > now_.wall_ns) return std::nullopt;
    Timekeeper::Reading at{entry.set_aside_ns, entry.since_boot_ns, entry.boot};
    // readings of later: those of its own start of the machine that are, and all of the starts after it
    std::size_t first = 0;
    if (!at.boot.empty())
        for (std::size_t i = 0; i < seen_.size(); ++i)
            if (seen_[i].boot == at.boot && seen_[i].since_boot_ns <= at.since_boot_ns) first = i + 1;
    for (std::size_t i = first; i < seen_.size(); ++i) {
        if (has_leapt(at, seen_[i])) return std::nullopt;
        at = seen_[i];
    }
    if (has_leapt(at, now_)) return std::nullopt;
    return now_.wall_ns - entry.set_aside_ns;
}

}  // namespace tavlo
