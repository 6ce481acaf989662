// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <optional>
#include <vector>

#include "keep/clock.h"
#include "keep/receipt.h"

namespace tavlo {

/// How old versions are, by clocks as far as they can be trusted: a version that was set aside while the
/// clock stood wrong must not pass for one of years ago once it is put right. Pure.
class Ages {
public:
    /// seen   readings of the clock that were noted at times, in their order
    Ages(std::vector<Timekeeper::Reading> seen, Timekeeper::Reading now)
        : seen_(std::move(seen)), now_(std::move(now)) {}
    /// nullopt: it cannot be told, as the clock has leapt since, or the version is of a time that is yet to
    /// come
    std::optional<std::int64_t> of(const SafeEntry& entry) const;

private:
    std::vector<Timekeeper::Reading> seen_;
    Timekeeper::Reading now_;
};

}  // namespace tavlo
