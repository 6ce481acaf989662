#pragma once

#include <condition_variable>
#include <functional>
#include <mutex>
#include <optional>
#include <stop_token>
#include <thread>

/// A thread that works on the latest wish only: a new task stops the one that is running and replaces one that waits.
/// Whoever posts gets results by queued calls; the destructor stops and joins, so no task outlives its owner.
class LatestWorker {
public:
    using Task = std::function<void(std::stop_token)>;

    LatestWorker() : thread_([this](const std::stop_token& end) { loop(end); }) {}
    ~LatestWorker() {
        thread_.request_stop();
        const std::scoped_lock lock(mutex_);
        running_.request_stop();
    }
    LatestWorker(const LatestWorker&) = delete;
    LatestWorker& operator=(const LatestWorker&) = delete;

    void post(Task task) {
        const std::scoped_lock lock(mutex_);
        running_.request_stop();
        waiting_ = std::move(task);
        wake_.notify_one();
    }

private:
    void loop(const std::stop_token& end) {
        while (true) {
            Task task;
            std::stop_token stop;
            {
                std::unique_lock lock(mutex_);
                if (!wake_.wait(lock, end, [this] { return waiting_.has_value(); })) return;
                if (end.stop_requested()) return;
                task = std::move(*waiting_);
                waiting_.reset();
                running_ = std::stop_source();
                stop = running_.get_token();
            }
            task(stop);
        }
    }

    std::mutex mutex_;
    std::condition_variable_any wake_;
    std::optional<Task> waiting_;
    std::stop_source running_;
    std::jthread thread_;  // last: it ends before what it works on
};
