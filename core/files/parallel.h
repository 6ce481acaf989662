// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <atomic>
#include <cstddef>
#include <functional>
#include <memory>
#include <vector>

#include "files/ahead.h"

namespace tavlo {

/// How many threads are worth having for work that is half waiting for a disk, half of the processor: 1 to 4.
unsigned useful_threads();

/// The calling thread, and those that it starts from then on, give way to others where the processor does not
/// do for all: to one that somebody waits for. source: setpriority(2), on Linux of a thread
void give_way() noexcept;

/// The calling thread works in short turns, and somebody waits for each: once it wakes it is to have a
/// processor soon, for no more of it in all. Known to Linux since 6.12; before that nothing changes.
/// source: sched_setattr(2); sched-eevdf.rst of the kernel, "slice"
void work_in_short_turns() noexcept;

/// work(0) to work(count - 1), each once, begun by threads that last while the one that asks does something
/// else; by finish() that one joins in.
class Turns {
public:
    /// in_order: each after the one before it, on one thread; who asks does not join in
    enum class By : bool { any, in_order };
    /// work  does not throw, and what it touches is its own or guarded
    Turns(AheadThreads& threads, std::size_t count, std::function<void(std::size_t)> work, By by = By::any);
    ~Turns() { finish(); }
    Turns(const Turns&) = delete;
    Turns& operator=(const Turns&) = delete;
    /// Returns when all are done.
    void finish();

private:
    void take_turns();

    const std::size_t count_;
    const std::function<void(std::size_t)> work_;
    const By by_;
    std::atomic<std::size_t> next_{0};
    std::vector<std::shared_ptr<Ahead<bool>>> others_;
};

/// Does work(0) to work(count - 1), each once, on so many threads, this one among them; returns when all are
/// done.
/// work     does not throw, and what it touches is its own or guarded
void in_parallel(unsigned threads, std::size_t count, const std::function<void(std::size_t)>& work);

}  // namespace tavlo
