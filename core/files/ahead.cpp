// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/ahead.h"

#include <system_error>

namespace tavlo {

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
