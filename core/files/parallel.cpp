// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/parallel.h"

#include <sched.h>
#include <sys/resource.h>
#include <sys/syscall.h>
#include <unistd.h>

#include <algorithm>
#include <cerrno>
#include <thread>
#include <utility>

namespace tavlo {

unsigned useful_threads() { return std::clamp(std::thread::hardware_concurrency(), 1U, 4U); }

namespace {

/// As sched_setattr(2) has it; the C library knows no name for it before 2.41, and the kernel's header is none
/// to be included beside <sched.h>.
struct SchedulingAttributes {
    std::uint32_t size = 0;
    std::uint32_t policy = 0;
    std::uint64_t flags = 0;
    std::int32_t nice = 0;
    std::uint32_t priority = 0;
    std::uint64_t runtime_ns = 0;
    std::uint64_t deadline_ns = 0;
    std::uint64_t period_ns = 0;
};

constexpr std::uint64_t not_inherited = 0x01;  // SCHED_FLAG_RESET_ON_FORK

}  // namespace

void give_way() noexcept {
    constexpr int by = 15;  // a thirtieth of what the others get, and all that they leave
    errno = 0;
    const int now = ::getpriority(PRIO_PROCESS, 0);
    if (errno == 0) (void)::setpriority(PRIO_PROCESS, 0, now + by);
}

void work_in_short_turns() noexcept {
    SchedulingAttributes attributes;
    if (::syscall(SYS_sched_getattr, 0, &attributes, sizeof attributes, 0) != 0) return;
    if (attributes.policy != SCHED_OTHER) return;  // somebody wants something else of it
    attributes.flags |= not_inherited;
    attributes.runtime_ns = 100'000;  // the shortest there are
    (void)::syscall(SYS_sched_setattr, 0, &attributes, 0);
}

Turns::Turns(AheadThreads& threads, std::size_t count, std::function<void(std::size_t)> work)
    : count_(count), work_(std::move(work)) {
    for (std::size_t other = 0; other < std::min<std::size_t>(threads.count(), count); ++other)
        others_.push_back(threads.ask<bool>([this] {
            take_turns();
            return true;
        }));
}

void Turns::help_while(const std::function<bool()>& wanted) {
    while (next_ < count_ && wanted())
        if (const std::size_t at = next_++; at < count_) work_(at);
}

void Turns::finish() {
    take_turns();
    for (const auto& other : others_) (void)other->take();
    others_.clear();
}

void Turns::take_turns() {
    for (std::size_t at = next_++; at < count_; at = next_++) work_(at);
}

void Turnstile::wait_for(std::size_t number) {
    std::unique_lock lock(guard_);
    moves_.wait(lock, [&] { return next_ >= number; });
}

void Turnstile::pass(std::size_t number) {
    {
        const std::scoped_lock lock(guard_);
        if (number < next_) return;
        early_.insert(number);
        while (early_.erase(next_) > 0) ++next_;
    }
    moves_.notify_all();
}

void in_parallel(unsigned threads, std::size_t count, const std::function<void(std::size_t)>& work) {
    const std::size_t at_a_time = std::clamp<std::size_t>(count, 1, std::max(threads, 1U));
    AheadThreads others(static_cast<unsigned>(at_a_time - 1));  // beside this one
    Turns(others, count, work).finish();
}

}  // namespace tavlo
