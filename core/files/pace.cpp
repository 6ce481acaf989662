// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/pace.h"

#include <algorithm>

namespace tavlo {

namespace {
constexpr std::uint64_t pieces_a_second = 20;  // under a limit
constexpr std::uint64_t least_piece = 4096;
constexpr std::chrono::milliseconds most_saved{100};  // time not used is not kept for a burst
}  // namespace

void Pace::hold() {
    const std::scoped_lock lock(mutex_);
    held_ = true;
}

void Pace::release() {
    const std::scoped_lock lock(mutex_);
    held_ = false;
    changed_.notify_all();
}

void Pace::limit(std::uint64_t bytes_per_second) {
    const std::scoped_lock lock(mutex_);
    bytes_per_second_ = bytes_per_second;
    due_ = Clock::now();  // what was waited for under the old one is not waited for any longer
    changed_.notify_all();
}

std::uint64_t Pace::limited_to() const {
    const std::scoped_lock lock(mutex_);
    return bytes_per_second_;
}

bool Pace::wait(const std::stop_token& stop) {
    if (above_ && !above_->wait(stop)) return false;
    std::unique_lock lock(mutex_);
    changed_.wait(lock, stop, [this] { return !held_; });
    return !stop.stop_requested();
}

std::uint64_t Pace::piece(std::uint64_t most_bytes) const {
    const std::uint64_t most = above_ ? above_->piece(most_bytes) : most_bytes;
    const std::uint64_t limit = limited_to();
    return limit == 0 ? most : std::min(most, std::max(least_piece, limit / pieces_a_second));
}

bool Pace::spend(std::uint64_t bytes, const std::stop_token& stop) {
    if (above_ && !above_->spend(bytes, stop)) return false;
    std::unique_lock lock(mutex_);
    if (bytes_per_second_ == 0 && !held_) return !stop.stop_requested();
    if (bytes_per_second_ != 0) {
        const std::chrono::duration<double> takes(static_cast<double>(bytes) /
                                                  static_cast<double>(bytes_per_second_));
        due_ = std::max(due_, Clock::now() - most_saved) + std::chrono::duration_cast<Clock::duration>(takes);
    }
    while (!stop.stop_requested()) {
        if (held_)
            changed_.wait(lock, stop, [this] { return !held_; });
        else if (const auto due = due_; bytes_per_second_ != 0 && Clock::now() < due)
            changed_.wait_until(lock, stop, due, [&] { return held_ || due_ < due; });
        else
            return true;
    }
    return false;
}

}  // namespace tavlo
