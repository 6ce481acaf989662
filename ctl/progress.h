#pragma once

#include <chrono>
#include <cstdint>

#include "plan/plan.h"

/// One line on standard error that says how far a run is; nothing where that is no terminal.
class Progress {
public:
    Progress(const tavlo::Totals& planned, bool shown) : planned_(planned), shown_(shown) {}
    void add_item();
    void add_bytes(std::uint64_t bytes);
    void clear();

private:
    void show();

    const tavlo::Totals& planned_;
    bool shown_;
    bool on_line_ = false;
    std::uint64_t items_ = 0;
    std::uint64_t bytes_ = 0;
    std::chrono::steady_clock::time_point next_{};
};
