// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <chrono>
#include <cstdint>
#include <mutex>
#include <string>

#include "plan/plan.h"
#include "run/forecast.h"

/// One line on standard error, written in place, that says what is being done and how far it is. Told by any
/// thread.
class ProgressLine {
public:
    explicit ProgressLine(bool shown) : shown_(shown) {}
    ~ProgressLine() { clear(); }
    ProgressLine(const ProgressLine&) = delete;
    ProgressLine& operator=(const ProgressLine&) = delete;

    /// Something of which it is not known how long it takes: "reading the destination".
    void say_now(const std::string& what);
    /// "counting: 1200 entries"
    void counted(const char* what, std::uint64_t so_far, const char* things);
    /// "comparing: 3 of 1200 pairs"
    void counted(const char* what, std::uint64_t done, std::uint64_t of, const char* things);

    /// A run: items and bytes, how fast, and how long it will take.
    void run_begins(const tavlo::Totals& planned);
    void add_item();
    void add_bytes(std::uint64_t bytes);

    void clear();

private:
    bool is_due(const char* what);
    void show_run();
    void put_line(const std::string& text);

    using Clock = tavlo::Forecast::Clock;
    const bool shown_;
    std::mutex mutex_;
    bool on_line_ = false;
    const char* what_ = nullptr;  ///< that was said last
    Clock::time_point next_{};
    tavlo::Progress planned_{};
    tavlo::Progress done_{};
    tavlo::Forecast forecast_;
};
