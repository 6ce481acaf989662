// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/ahead.h"

#include <pthread.h>
#include <signal.h>

#include <system_error>

namespace tavlo {

namespace {

/// What is started while this is there gets no signal that is meant for the process: one that the program waits for
/// or holds back elsewhere would end it here (signal(7), pthread_sigmask(3)).
class SignalsHeldBack {
public:
    SignalsHeldBack() {
        sigset_t all{};
        ::sigfillset(&all);
        ::pthread_sigmask(SIG_SETMASK, &all, &before_);
    }
    ~SignalsHeldBack() { ::pthread_sigmask(SIG_SETMASK, &before_, nullptr); }
    SignalsHeldBack(const SignalsHeldBack&) = delete;
    SignalsHeldBack& operator=(const SignalsHeldBack&) = delete;

private:
    sigset_t before_{};
};

}  // namespace

AheadThreads::~AheadThreads() {
    {
        const std::lock_guard lock(guard_);
        ends_ = true;
        waiting_.clear();
    }
    comes_.notify_all();
}

void AheadThreads::put(std::shared_ptr<AheadWork> work) {
    const std::lock_guard lock(guard_);  // what they do may ask for more while they are started
    waiting_.push_back(std::move(work));
    try {
        const SignalsHeldBack held;
        while (running_.size() < threads_) running_.emplace_back([this] { go_on(); });
    } catch (const std::system_error&) {
        // as many as may be had; what they do not do is done where it is needed
        threads_ = static_cast<unsigned>(running_.size());
    }
    comes_.notify_one();
}

void AheadThreads::go_on() {
    for (;;) {
        std::shared_ptr<AheadWork> next;
        {
            std::unique_lock lock(guard_);
            comes_.wait(lock, [&] { return ends_ || !waiting_.empty(); });
            if (ends_) return;
            next = std::move(waiting_.front());
            waiting_.pop_front();
        }
        next->do_unless_begun();
    }
}

}  // namespace tavlo
