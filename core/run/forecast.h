// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <chrono>
#include <cstdint>
#include <deque>
#include <optional>

namespace tavlo {

/// How far a run is, and how far it goes.
struct Progress {
    std::uint64_t items = 0;
    std::uint64_t bytes = 0;
};

/// When a run will be through, from how it went in the last quarter of a minute. A file costs time by itself,
/// whatever is in it, so items count as well as bytes. Says nothing before it knows something, and does not
/// jump about: between two answers that differ little it counts down.
class Forecast {
public:
    using Clock = std::chrono::steady_clock;
    /// The run was this far then. Not called while it is held; after that, begin_again().
    void add(Clock::time_point when, const Progress& done);
    /// What was measured before a pause says nothing of the time in it.
    void begin_again();
    /// all  of the run, as counted by now
    std::optional<std::chrono::seconds> left(Clock::time_point now, const Progress& all);
    /// Bytes a second over the last few seconds; 0 while it is not known.
    double bytes_per_second() const;

private:
    struct Sample {
        Clock::time_point when;
        Progress done;
    };
    std::deque<Sample> samples_;
    std::optional<Clock::time_point> ends_;  ///< the last answer
};

}  // namespace tavlo
