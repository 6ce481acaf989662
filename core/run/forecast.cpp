// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "run/forecast.h"

#include <algorithm>
#include <cmath>

namespace tavlo {

namespace {

using Seconds = std::chrono::duration<double>;

constexpr Seconds looked_back_on{15};
constexpr Seconds rate_over{3};
constexpr Seconds least_known{2};
// what a file costs besides its bytes, as bytes: some 0.2 ms at 300 MB/s (measured by the engine's bench)
constexpr double bytes_for_an_item = 64.0 * 1024;
constexpr double differs_much = 0.15;

double work(const Progress& progress) {
    return static_cast<double>(progress.bytes) + bytes_for_an_item * static_cast<double>(progress.items);
}

}  // namespace

void Forecast::add(Clock::time_point when, const Progress& done) {
    samples_.push_back({when, done});
    while (samples_.size() > 2 && when - samples_[1].when >= looked_back_on) samples_.pop_front();
}

void Forecast::begin_again() {
    samples_.clear();
    ends_.reset();
}

std::optional<std::chrono::seconds> Forecast::left(Clock::time_point now, const Progress& all) {
    if (samples_.size() < 2) return std::nullopt;
    const Seconds span = samples_.back().when - samples_.front().when;
    const double done = work(samples_.back().done) - work(samples_.front().done);
    if (span < least_known || done <= 0) return std::nullopt;
    const double to_do = std::max(0.0, work(all) - work(samples_.back().done));
    const Seconds fresh(to_do / done * span.count());
    const Seconds before = ends_ ? Seconds(*ends_ - now) : Seconds(0);
    if (!ends_ || before.count() < 1 ||
        std::abs(fresh.count() - before.count()) > std::max(2.0, differs_much * before.count()))
        ends_ = now + std::chrono::duration_cast<Clock::duration>(fresh);
    return std::chrono::seconds(std::llround(std::ceil(std::max(1.0, Seconds(*ends_ - now).count()))));
}

double Forecast::bytes_per_second() const {
    if (samples_.size() < 2) return 0;
    const Sample& last = samples_.back();
    const auto first = std::find_if(samples_.begin(), samples_.end(),
                                    [&](const Sample& one) { return last.when - one.when <= rate_over; });
    const Seconds span = last.when - first->when;
    if (span.count() < 0.4) return 0;
    return static_cast<double>(last.done.bytes - std::min(last.done.bytes, first->done.bytes)) / span.count();
}

}  // namespace tavlo
