// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <atomic>
#include <condition_variable>
#include <deque>
#include <functional>
#include <memory>
#include <mutex>
#include <optional>
#include <thread>
#include <utility>
#include <vector>

namespace tavlo {

/// Something that will be needed, and that a second thread may see to before it is.
class AheadWork {
public:
    virtual ~AheadWork() = default;
    /// Does it, unless somebody has begun.
    bool do_unless_begun() {
        auto waits = State::waits;
        if (!state_.compare_exchange_strong(waits, State::begun)) return false;
        work();
        state_ = State::done;
        state_.notify_all();
        return true;
    }

protected:
    void wait_until_done() { state_.wait(State::begun); }

private:
    virtual void work() = 0;
    enum class State : std::uint8_t { waits, begun, done };
    std::atomic<State> state_ = State::waits;
};

template <class T>
class Ahead final : public AheadWork {
public:
    explicit Ahead(std::function<T()> how) : how_(std::move(how)) {}
    /// What came of it, once; done here where nobody has begun. So nothing waits for a thread that has other
    /// things to do.
    T take() {
        if (!do_unless_begun()) wait_until_done();
        return std::move(*made_);
    }

private:
    void work() override {
        made_.emplace(how_());
        how_ = nullptr;  // with all that it holds
    }
    std::function<T()> how_;
    std::optional<T> made_;
};

/// Threads that see to such things in the order in which they were asked for. Started with the first of them; at
/// the end what nobody has begun is dropped.
class AheadThreads {
public:
    /// threads  0: everything is done where it is needed
    explicit AheadThreads(unsigned threads) : threads_(threads) {}
    ~AheadThreads();
    AheadThreads(const AheadThreads&) = delete;
    AheadThreads& operator=(const AheadThreads&) = delete;

    bool has_some() const { return threads_ > 0; }
    /// how  does not throw, and what it touches is its own or guarded
    template <class T>
    std::shared_ptr<Ahead<T>> ask(std::function<T()> how) {
        auto work = std::make_shared<Ahead<T>>(std::move(how));
        if (threads_ > 0) put(work);
        return work;
    }

private:
    void put(std::shared_ptr<AheadWork> work);
    void go_on();

    unsigned threads_;
    std::mutex guard_;
    std::condition_variable comes_;
    std::deque<std::shared_ptr<AheadWork>> waiting_;
    bool ends_ = false;
    std::vector<std::jthread> running_;
};

}  // namespace tavlo
