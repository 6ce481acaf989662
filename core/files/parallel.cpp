// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/parallel.h"

#include <sys/resource.h>

#include <algorithm>
#include <cerrno>
#include <thread>
#include <utility>

namespace tavlo {

unsigned useful_threads() { return std::clamp(std::thread::hardware_concurrency(), 1U, 4U); }

void give_way() noexcept {
    constexpr int by = 10;  // a tenth of what the others get, and all that they leave
    errno = 0;
    const int now = ::getpriority(PRIO_PROCESS, 0);
    if (errno == 0) (void)::setpriority(PRIO_PROCESS, 0, now + by);
}

Turns::Turns(AheadThreads& threads, std::size_t count, std::function<void(std::size_t)> work)
    : count_(count), work_(std::move(work)) {
    for (std::size_t other = 0; other < std::min<std::size_t>(threads.count(), count); ++other)
        others_.push_back(threads.ask<bool>([this] {
            take_turns();
            return true;
        }));
}

void Turns::finish() {
    take_turns();
    for (const auto& other : others_) (void)other->take();
    others_.clear();
}

void Turns::take_turns() {
    for (std::size_t at = next_++; at < count_; at = next_++) work_(at);
}

void in_parallel(unsigned threads, std::size_t count, const std::function<void(std::size_t)>& work) {
    const std::size_t at_a_time = std::clamp<std::size_t>(count, 1, std::max(threads, 1U));
    AheadThreads others(static_cast<unsigned>(at_a_time - 1));  // beside this one
    Turns(others, count, work).finish();
}

}  // namespace tavlo
