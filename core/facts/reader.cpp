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
        for (std::size_t end = answer_.find('\n'); end != std::string::npos && !asked.empty(); end = answer_.find('\n', from)) {
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

}  // namespace

std::string facts_program() { return helper_program("tavlo-facts"); }

FactReader::FactReader(std::string program, Bounds bounds) : program_(std::move(program)), bounds_(bounds) {}

Result<void> FactReader::read(const std::vector<std::string>& paths, const std::function<void(std::size_t, FileFacts&&)>& take,
                              const std::stop_token& stop) {
    std::deque<std::size_t> again;  // that were asked of a helper that is gone
    std::size_t next = 0;
    std::size_t answered = 0;
    const auto give = [&](std::size_t at, FileFacts&& facts) {
        ++answered;
        take(at, std::move(facts));
    };
    const auto is_more = [&] { return !again.empty() || next < paths.size(); };
    const auto next_one = [&] {
        if (again.empty()) return next++;
        const std::size_t at = again.front();
        again.pop_front();
        return at;
    };
    const std::size_t most = std::min<std::size_t>(bounds_.helpers != 0 ? bounds_.helpers : usual_helpers(), paths.size());
    std::vector<Helper> helpers;
    const auto lose = [&](std::size_t which) {  // the file that it was at tells nothing; the others are asked of another
        Helper& lost = helpers[which];
        const std::deque<std::size_t> asked = lost.asked;
        helpers.erase(helpers.begin() + static_cast<std::ptrdiff_t>(which));
        if (asked.empty()) return;
        again.insert(again.end(), asked.begin() + 1, asked.end());
        give(asked.front(), {});
    };
    while (answered < paths.size()) {
        if (stop.stop_requested()) return failure(Fault::cancelled, "stopped", "");
        while (helpers.size() < most && is_more()) {
            auto started = Helper::start(program_);
            if (!started) return failure(started.error());
            helpers.push_back(std::move(*started));
            const std::size_t at = next_one();
            if (helpers.back().ask(paths[at], at)) continue;
            if (auto loaded = helpers.back().end(); !loaded) return loaded;  // it ended before it was asked
            lose(helpers.size() - 1);
        }
        std::vector<pollfd> waits;
        for (const Helper& helper : helpers) waits.push_back({helper.descriptor(), POLLIN, 0});
        ::poll(waits.data(), waits.size(), static_cast<int>(look_for_stop.count()));
        for (std::size_t which = helpers.size(); which-- > 0;) {
            Helper& helper = helpers[which];
            bool alive = true;
            if (waits[which].revents != 0)
                alive = helper.answers(bounds_.longest_answer, [&](std::size_t at, std::string_view line) {
                    auto facts = facts_from_json(line);
                    give(at, facts ? std::move(*facts) : FileFacts());
                });
            while (alive && helper.asked.size() < asked_ahead && is_more()) {
                const std::size_t at = next_one();
                alive = helper.ask(paths[at], at);
            }
            const bool late = !helper.asked.empty() && Clock::now() - helper.since > std::chrono::milliseconds(bounds_.longest_ms);
            if (!alive || late) {
                if (auto loaded = helper.end(); !loaded) return loaded;
                lose(which);
            }
        }
    }
    return {};
}

}  // namespace tavlo
