// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "progress_line.h"

#include <fmt/format.h>

#include <algorithm>
#include <cstdio>

#include "streams.h"

namespace {

constexpr std::chrono::milliseconds interval{100};

std::string amount(double bytes) {
    static constexpr const char* units[] = {"B", "KiB", "MiB", "GiB", "TiB"};
    std::size_t unit = 0;
    for (; bytes >= 1024 && unit + 1 < std::size(units); ++unit) bytes /= 1024;
    return unit == 0 ? fmt::format("{:.0f} {}", bytes, units[unit])
                     : fmt::format("{:.1f} {}", bytes, units[unit]);
}

}  // namespace

/// Now and then, and when something else begins.
bool ProgressLine::is_due(const char* what) {
    if (!shown_ || (what == what_ && Clock::now() < next_)) return false;
    what_ = what;
    next_ = Clock::now() + interval;
    return true;
}

void ProgressLine::put_line(const std::string& text) {
    put(stderr, "\r\033[K" + text);
    std::fflush(stderr);
    on_line_ = true;
}

void ProgressLine::say_now(const std::string& what) {
    const std::lock_guard lock(mutex_);
    if (shown_) put_line(what);
}

void ProgressLine::counted(const char* what, std::uint64_t so_far, const char* things) {
    const std::lock_guard lock(mutex_);
    if (is_due(what)) put_line(fmt::format("{}: {} {}", what, so_far, things));
}

void ProgressLine::counted(const char* what, std::uint64_t done, std::uint64_t of, const char* things) {
    const std::lock_guard lock(mutex_);
    if (is_due(what)) put_line(fmt::format("{}: {} of {} {}", what, done, of, things));
}

void ProgressLine::run_begins(const tavlo::Totals& planned) {
    const std::lock_guard lock(mutex_);
    planned_ = {planned.items, planned.bytes};
}

void ProgressLine::add_item() {
    const std::lock_guard lock(mutex_);
    ++done_.items;
    show_run();
}

void ProgressLine::add_bytes(std::uint64_t bytes) {
    const std::lock_guard lock(mutex_);
    done_.bytes += bytes;
    show_run();
}

void ProgressLine::show_run() {
    if (!is_due("run")) return;
    const auto now = Clock::now();
    forecast_.add(now, done_);
    std::string text =
        fmt::format("{} of {} items, {} of {}", done_.items, planned_.items,
                    amount(static_cast<double>(done_.bytes)), amount(static_cast<double>(planned_.bytes)));
    if (const double rate = forecast_.bytes_per_second(); rate > 0)
        text += fmt::format(", {}/s", amount(rate));
    if (const auto left = forecast_.left(now, planned_)) {
        const auto seconds = left->count();
        text += seconds >= 3600
                    ? fmt::format(", {}:{:02}:{:02} left", seconds / 3600, seconds / 60 % 60, seconds % 60)
                    : fmt::format(", {}:{:02} left", seconds / 60, seconds % 60);
    }
    put_line(text);
}

void ProgressLine::clear() {
    const std::lock_guard lock(mutex_);
    if (on_line_) put(stderr, "\r\033[K");
    on_line_ = false;
}
