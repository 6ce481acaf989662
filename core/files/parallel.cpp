// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/parallel.h"

#include <algorithm>
#include <atomic>
#include <system_error>
#include <thread>
#include <vector>

namespace tavlo {

unsigned useful_threads() { return std::clamp(std::thread::hardware_concurrency(), 1U, 4U); }

void in_parallel(unsigned threads, std::size_t count, const std::function<void(std::size_t)>& work) {
    std::atomic<std::size_t> next{0};
    const auto take_turns = [&] {
        for (std::size_t at = next++; at < count; at = next++) work(at);
    };
    std::vector<std::jthread> others;
    const auto wanted = std::min<std::size_t>(threads, count);
    try {
        for (std::size_t other = 1; other < wanted; ++other) others.emplace_back(take_turns);
    } catch (const std::system_error&) {  // as many as may be had: this one does the rest
    }
    take_turns();
}

}  // namespace tavlo
