// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "keep/drive_turn.h"

#include <fmt/format.h>

#include <chrono>
#include <condition_variable>
#include <mutex>

namespace tavlo {

namespace {
constexpr std::chrono::milliseconds asked_again{200};
}

/// All or none, and always in the same order: two that want the same drives never wait for one another.
Result<DriveTurn> DriveTurn::take(const std::string& state_folder, const std::set<std::uint64_t>& drives) {
    DriveTurn turn;
    for (const auto drive : drives) {
        auto lock = RunLock::take(state_folder, fmt::format("drive-{:x}", drive));
        if (!lock) return failure(lock.error());
        turn.locks_.push_back(std::move(*lock));
    }
    return turn;
}

Result<DriveTurn> DriveTurn::wait(const std::string& state_folder, const std::set<std::uint64_t>& drives,
                                  const std::stop_token& stop, const std::function<void()>& waits) {
    std::mutex mutex;
    std::condition_variable_any stopped;
    bool told = false;
    for (;;) {
        auto turn = take(state_folder, drives);
        if (turn || turn.error().fault != Fault::name_taken) return turn;
        if (!told && waits) waits();
        told = true;
        std::unique_lock lock(mutex);
        stopped.wait_for(lock, stop, asked_again, [] { return false; });
        if (stop.stop_requested()) return failure(Fault::cancelled, "stopped", state_folder);
    }
}

}  // namespace tavlo
