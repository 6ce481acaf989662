// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "facts/reader.h"

#include <poll.h>
#include <sys/socket.h>

#include <algorithm>
#include <array>
#include <cerrno>
#include <chrono>
#include <deque>
#include <thread>

#include "files/helper.h"

namespace tavlo {

namespace {

using Clock = std::chrono::steady_clock;

constexpr std::size_t asked_ahead = 16;  // files that one helper knows of: more would only wait
constexpr std::chrono::milliseconds look_for_stop{100};

/// One process, spoken to in its order: a path and a NUL in, a line of JSON out.
class Helper {
public:
    static Result<Helper> start(const std::string& program) {
        auto process = HelperProcess::start(program);
        if (!process) return failure(process.error());
        return Helper(std::move(*process));
    }
    Result<void> end() { return process_.end_and_tell(); }

    int descriptor() const { return process_.descriptor(); }

    bool ask(const std::string& path, std::size_t at) {
        if (asked.empty()) since = Clock::now();
        asked.push_back(at);
        const auto size = path.size() + 1;
        return ::send(process_.descriptor(), path.c_str(), size, MSG_NOSIGNAL) == static_cast<ssize_t>(size);
    }

    /// take  each whole line
    /// returns  it is alive
    template <class Take>
    bool answers(std::size_t longest, Take take) {
        std::array<char, 65536> bytes{};
        const auto count = ::recv(process_.descriptor(), bytes.data(), bytes.size(), 0);
        if (count < 0) return errno == EINTR || errno == EAGAIN;
        if (count == 0) return false;
        answer_.append(bytes.data(), static_cast<std::size_t>(count));
        std::size_t from = 0;
        for (std::size_t end = answer_.find('\n'); end != std::string::npos && !asked.empty();
             end = answer_.find('\n', from)) {
            since = Clock::now();
            const std::size_t at = asked.front();
            asked.pop_front();
            take(at, std::string_view(answer_).substr(from, end - from));
            from = end + 1;
        }
        answer_.erase(0, from);
        return answer_.size() <= longest;
    }

    std::deque<std::size_t> asked;  ///< and not answered
    Clock::time_point since;        ///< when the first of them was begun

private:
    explicit Helper(HelperProcess process) : process_(std::move(process)) {}
    HelperProcess process_;
    std::string answer_;
};

unsigned usual_helpers() { return std::clamp(std::thread::hardware_concurrency(), 1U, 8U); }

/// The files of one call on their way through the helpers.
class Reading {
public:
    using Take = std::function<void(std::size_t, FileFacts&&)>;

    Reading(const std::string& program, const FactReader::Bounds& bounds,
            const std::vector<std::string>& paths, const Take& take)
        : program_(program),
          bounds_(bounds),
          paths_(paths),
          take_(take),
          most_(std::min<std::size_t>(bounds.helpers != 0 ? bounds.helpers : usual_helpers(), paths.size())) {
    }

    Result<void> run(const std::stop_token& stop) {
        while (answered_ < paths_.size()) {
            if (stop.stop_requested()) return failure(Fault::cancelled, "stopped", "");
            if (auto started = start_helpers(); !started) return started;
            std::vector<pollfd> waits;
            for (const Helper& helper : helpers_) waits.push_back({helper.descriptor(), POLLIN, 0});
            ::poll(waits.data(), waits.size(), static_cast<int>(look_for_stop.count()));
            for (std::size_t which = helpers_.size(); which-- > 0;)
                if (auto heard = hear(which, waits[which].revents != 0); !heard) return heard;
        }
        return {};
    }

private:
    bool is_more() const { return !again_.empty() || next_ < paths_.size(); }

    std::size_t next_one() {
        if (again_.empty()) return next_++;
        const std::size_t at = again_.front();
        again_.pop_front();
        return at;
    }

    void give(std::size_t at, FileFacts&& facts) {
        ++answered_;
        take_(at, std::move(facts));
    }

    /// The file that it was at tells nothing; the others are asked of another.
    void lose(std::size_t which) {
        const std::deque<std::size_t> asked = helpers_[which].asked;
        helpers_.erase(helpers_.begin() + static_cast<std::ptrdiff_t>(which));
        if (asked.empty()) return;
        again_.insert(again_.end(), asked.begin() + 1, asked.end());
        give(asked.front(), {});
    }

    Result<void> start_helpers() {
        while (helpers_.size() < most_ && is_more()) {
            auto started = Helper::start(program_);
            if (!started) return failure(started.error());
            helpers_.push_back(std::move(*started));
            const std::size_t at = next_one();
            if (helpers_.back().ask(paths_[at], at)) continue;
            if (auto loaded = helpers_.back().end(); !loaded) return loaded;  // it ended before it was asked
            lose(helpers_.size() - 1);
        }
        return {};
    }

    Result<void> hear(std::size_t which, bool speaks) {
        Helper& helper = helpers_[which];
        bool alive = true;
        if (speaks)
            alive = helper.answers(bounds_.longest_answer, [&](std::size_t at, std::string_view line) {
                auto facts = facts_from_json(line);
                give(at, facts ? std::move(*facts) : FileFacts());
            });
        while (alive && helper.asked.size() < asked_ahead && is_more()) {
            const std::size_t at = next_one();
            alive = helper.ask(paths_[at], at);
        }
        const bool late = !helper.asked.empty() &&
                          Clock::now() - helper.since > std::chrono::milliseconds(bounds_.longest_ms);
        if (alive && !late) return {};
        if (auto loaded = helper.end(); !loaded) return loaded;
        lose(which);
        return {};
    }

    const std::string& program_;
    const FactReader::Bounds& bounds_;
    const std::vector<std::string>& paths_;
    const Take& take_;
    const std::size_t most_;
    std::vector<Helper> helpers_;
    std::deque<std::size_t> again_;  // that were asked of a helper that is gone
    std::size_t next_ = 0;
    std::size_t answered_ = 0;
};

}  // namespace

std::string facts_program() { return helper_program("tavlo-facts"); }

FactReader::FactReader(std::string program, Bounds bounds) : program_(std::move(program)), bounds_(bounds) {}

Result<void> FactReader::read(const std::vector<std::string>& paths,
                              const std::function<void(std::size_t, FileFacts&&)>& take,
                              const std::stop_token& stop) {
    return Reading(program_, bounds_, paths, take).run(stop);
}

}  // namespace tavlo
