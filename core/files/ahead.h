// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <atomic>
#include <condition_variable>
#include <deque>
#include <exception>
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

    bool is_done() const { return state_ == State::done; }

    /// It is not needed any more: nobody begins with it, and who has is through when this returns.
    void drop() {
        auto waits = State::waits;
        if (!state_.compare_exchange_strong(waits, State::done)) wait_until_done();
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
    /// things to do. Throws what doing it has thrown.
    T take() {
        if (!do_unless_begun()) wait_until_done();
        if (thrown_) std::rethrow_exception(thrown_);
        return std::move(*made_);
    }

private:
    void work() override {
        try {
            made_.emplace(how_());
        } catch (...) {
            thrown_ = std::current_exception();
        }
        how_ = nullptr;  // with all that it holds
    }
    std::function<T()> how_;
    std::optional<T> made_;
    std::exception_ptr thrown_;
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
    unsigned count() const { return threads_; }
    /// how  what it touches is its own or guarded
    template <class T>
    std::shared_ptr<Ahead<T>> ask(std::function<T()> how) {
        auto work = std::make_shared<Ahead<T>>(std::move(how));
        see_to(work);
        return work;
    }
    void see_to(std::shared_ptr<AheadWork> work) {
        if (threads_ > 0) put(std::move(work));
    }

private:
    void put(std::shared_ptr<AheadWork> work);
    void go_on();

    std::atomic<unsigned> threads_;
    std::mutex guard_;
    std::condition_variable comes_;
    std::deque<std::shared_ptr<AheadWork>> waiting_;
    bool ends_ = false;
    std::vector<std::jthread> running_;
};

/// Things of one kind that are taken in the order in which they were asked for, no more than a few ahead. What is
/// not taken is dropped: nobody works on one of them, or touches what it is made of, once this is gone.
template <class T>
class InTurn {
public:
    explicit InTurn(AheadThreads& threads) : threads_(threads) {}
    ~InTurn() {
        for (const auto& one : asked_) one->drop();
    }
    InTurn(const InTurn&) = delete;
    InTurn& operator=(const InTurn&) = delete;
    bool is_full() const { return asked_.size() >= most; }
    bool is_empty() const { return asked_.empty(); }
    /// how  as AheadThreads::ask() has it. Given to a thread when the next one is asked for: one alone needs none.
    void ask(std::function<T()> how) {
        if (!asked_.empty()) threads_.see_to(asked_.back());
        asked_.push_back(std::make_shared<Ahead<T>>(std::move(how)));
    }
    /// The first of them. While another thread is at that, those behind it are seen to here.
    T take() {
        const auto first = std::move(asked_.front());
        asked_.pop_front();
        if (!first->do_unless_begun())
            for (auto next = asked_.begin(); next != asked_.end() && !first->is_done(); ++next)
                (void)(*next)->do_unless_begun();
        return first->take();
    }

private:
    static constexpr std::size_t most = 8;
    AheadThreads& threads_;
    std::deque<std::shared_ptr<Ahead<T>>> asked_;
};

}  // namespace tavlo
