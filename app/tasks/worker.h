// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QMetaObject>
#include <QObject>
#include <condition_variable>
#include <deque>
#include <functional>
#include <mutex>
#include <stop_token>
#include <thread>
#include <utility>

#include "files/parallel.h"

/// Calls `work` later, on the thread of `who`; not at all once that is gone.
template <class Work>
void later(QObject* who, Work work) {
    QMetaObject::invokeMethod(who, std::move(work), Qt::QueuedConnection);
}

/// A thread that works for one object, which is asked there and answered here. The destructor stops and
/// joins, so no work outlives its owner.
class Worker {
public:
    using Task = std::function<void(const std::stop_token&)>;

    /// newest  a new wish stops the one that is worked on, replaces one that waits, and nothing but its own
    ///         answer arrives; each: they are worked on one after the other, also those that wait when the
    ///         owner goes
    enum class Serves { newest, each };
    explicit Worker(Serves serves)
        : serves_(serves), thread_([this](const std::stop_token& end) { loop(end); }) {}
    ~Worker() {
        thread_.request_stop();
        const std::scoped_lock lock(mutex_);
        if (serves_ == Serves::newest) running_.request_stop();
    }
    Worker(const Worker&) = delete;
    Worker& operator=(const Worker&) = delete;

    /// For work that answers by itself, now and then.
    void post(Task task) {
        const std::scoped_lock lock(mutex_);
        if (serves_ == Serves::newest) {
            running_.request_stop();
            waiting_.clear();
        }
        waiting_.push_back(std::move(task));
        wake_.notify_one();
    }

    /// work  (stop) -> answer, on this thread
    /// then  (answer), on the thread of `who`, which owns this and asks from there
    template <class Work, class Then>
    void ask(QObject* who, Work work, Then then) {
        const auto wish = ++wishes_;
        post([this, who, wish, work = std::move(work),
              then = std::move(then)](const std::stop_token& stop) mutable {
            auto answer = work(stop);
            if (stop.stop_requested()) return;
            later(who, [this, wish, then = std::move(then), answer = std::move(answer)]() mutable {
                if (serves_ == Serves::each || wish == wishes_) then(std::move(answer));
            });
        });
    }

private:
    void loop(const std::stop_token& end) {
        tavlo::give_way();  // to the interface's thread
        while (true) {
            Task task;
            std::stop_token stop;
            {
                std::unique_lock lock(mutex_);
                if (!wake_.wait(lock, end, [this] { return !waiting_.empty(); })) return;
                if (end.stop_requested() && serves_ == Serves::newest) return;
                task = std::move(waiting_.front());
                waiting_.pop_front();
                running_ = std::stop_source();
                stop = running_.get_token();
            }
            task(stop);
        }
    }

    const Serves serves_;
    std::uint64_t wishes_ = 0;  ///< the owner's thread's alone
    std::mutex mutex_;
    std::condition_variable_any wake_;
    std::deque<Task> waiting_;
    std::stop_source running_;
    std::jthread thread_;  // last: it ends before what it works on
};

/// For what is shown: only the newest wish matters.
class LatestWorker : public Worker {
public:
    LatestWorker() : Worker(Serves::newest) {}
};

/// For what is written, or read to be taken in: each wish is meant.
class EachWorker : public Worker {
public:
    EachWorker() : Worker(Serves::each) {}
};
