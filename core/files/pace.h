// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <chrono>
#include <condition_variable>
#include <cstdint>
#include <memory>
#include <mutex>
#include <stop_token>

namespace tavlo {

/// How fast a long work may go: as fast as it can, limited, or held for now. One for each run, below one for
/// all of them. Steered from any thread; the threads that work wait in it.
class Pace {
public:
    /// above  what holds or limits this one too; may be null
    explicit Pace(std::shared_ptr<Pace> above = nullptr) : above_(std::move(above)) {}
    Pace(const Pace&) = delete;
    Pace& operator=(const Pace&) = delete;

    void hold();
    void release();
    /// bytes_per_second  that may be read, by all threads together; 0: no limit
    void limit(std::uint64_t bytes_per_second);
    std::uint64_t limited_to() const;

    /// Waits while it is held, here or above. returns false where it was to stop
    bool wait(const std::stop_token& stop);
    /// How much to read in one go, at most so many bytes: less under a limit, so that it is kept to within a
    /// tenth of a second.
    std::uint64_t piece(std::uint64_t most_bytes) const;
    /// So much was read: waits as long as that may take. returns false where it was to stop
    bool spend(std::uint64_t bytes, const std::stop_token& stop);

private:
    using Clock = std::chrono::steady_clock;
    const std::shared_ptr<Pace> above_;
    mutable std::mutex mutex_;
    std::condition_variable_any changed_;
    bool held_ = false;
    std::uint64_t bytes_per_second_ = 0;
    Clock::time_point due_{};  ///< when what was read so far has used up its time
};

}  // namespace tavlo
