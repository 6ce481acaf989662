// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "keep/receipt.h"

#include <fmt/chrono.h>
#include <fmt/format.h>

#include <chrono>
#include <cstdlib>
#include <random>

#include "files/path.h"
#include "keep/store.h"
#include "plan/plan.h"

namespace tavlo {

std::string_view to_text(RunState state) noexcept {
    switch (state) {
        case RunState::done: return "done";
        case RunState::stopped: return "stopped";
        case RunState::interrupted: return "interrupted";
    }
    return {};
}

std::optional<RunState> run_state_from_text(std::string_view text) noexcept {
    for (const auto state : {RunState::done, RunState::stopped, RunState::interrupted})
        if (to_text(state) == text) return state;
    return std::nullopt;
}

Ending ending_of(const Totals& totals) {
    if (totals.of(Outcome::failed) > 0) return Ending::some_failed;
    return totals.of(Outcome::undecided) > 0 ? Ending::some_undecided : Ending::done;
}

Ending ending_of(const ReceiptHead& head) {
    if (head.state == RunState::stopped) return Ending::stopped;
    return head.problem.empty() ? ending_of(head.totals) : Ending::some_failed;
}

ReceiptCollision receipt_collision(const Collision& planned) {
    return {planned.finding, planned.held.id.size_bytes, planned.held.id.modified_ns, planned.decision,
            planned.elsewhere() ? *planned.elsewhere() : std::string()};
}

std::int64_t now_ns() {
    return std::chrono::duration_cast<std::chrono::nanoseconds>(
               std::chrono::system_clock::now().time_since_epoch())
        .count();
}

std::string default_state_folder() {
    const char* state = std::getenv("XDG_STATE_HOME");
    if (state != nullptr && state[0] == '/') return join(state, "tavlo");
    const char* home = std::getenv("HOME");
    return join(home != nullptr && home[0] == '/' ? home : "/", ".local/state/tavlo");
}

std::string new_receipt_id(std::int64_t started_ns) {
    static constexpr char letters[] = "abcdefghijkmnpqrstuvwxyz23456789";
    std::random_device random;
    std::string tail;
    for (int i = 0; i < 4; ++i) tail += letters[random() % (sizeof letters - 1)];
    const std::time_t seconds = started_ns / 1'000'000'000;
    return fmt::format("{:%Y%m%d-%H%M%S}-{}", fmt::gmtime(seconds), tail);
}

}  // namespace tavlo
