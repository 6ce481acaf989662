// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <atomic>
#include <condition_variable>
#include <cstddef>
#include <functional>
#include <memory>
#include <mutex>
#include <set>
#include <vector>

#include "files/ahead.h"

namespace tavlo {

/// How many threads are worth having for work that is half waiting for a disk, half of the processor: 1 to 4.
unsigned useful_threads();

/// The calling thread, and those that it starts from then on, give way to others where the processor does not
/// do for all: to one that somebody waits for. source: setpriority(2), on Linux of a thread
void give_way() noexcept;

/// The calling thread works in short turns, and somebody waits for each: once it wakes it is to have a
/// processor soon, for no more of it in all. Threads that it starts, and programs that it opens files in, have
/// usual ones. Known to Linux since 6.12; before that nothing changes.
/// source: sched_setattr(2); sched-eevdf.rst of the kernel, "slice"
void work_in_short_turns() noexcept;

/// work(0) to work(count - 1), each once, begun by threads that last while the one that asks does something
/// else; by finish() that one joins in.
class Turns {
public:
    /// work  does not throw, and what it touches is its own or guarded
    Turns(AheadThreads& threads, std::size_t count, std::function<void(std::size_t)> work);
    ~Turns() { finish(); }
    Turns(const Turns&) = delete;
    Turns& operator=(const Turns&) = delete;
    /// Joins in for as long as that is wanted, asked before each, and there is one that nobody has begun.
    void help_while(const std::function<bool()>& wanted);
    /// Returns when all are done.
    void finish();

private:
    void take_turns();

    const std::size_t count_;
    const std::function<void(std::size_t)> work_;
    std::atomic<std::size_t> next_{0};
    std::vector<std::shared_ptr<Ahead<bool>>> others_;
};

/// Lets things through in the order of their numbers, whichever threads bring them: those that are brought by
/// Turns, say, so that whoever waits waits for somebody who is at it.
class Turnstile {
public:
    void wait_for(std::size_t number);  ///< until all before it are through
    void pass(std::size_t number);      ///< it is through, or does not come after all; may be said again

private:
    std::mutex guard_;
    std::condition_variable moves_;
    std::size_t next_ = 0;         ///< all before it are through
    std::set<std::size_t> early_;  ///< behind it, and through
};

/// Does work(0) to work(count - 1), each once, on so many threads, this one among them; returns when all are
/// done.
/// work     does not throw, and what it touches is its own or guarded
void in_parallel(unsigned threads, std::size_t count, const std::function<void(std::size_t)>& work);

}  // namespace tavlo
