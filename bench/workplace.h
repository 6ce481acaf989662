// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <filesystem>
#include <functional>
#include <string>

#include "bare.h"
#include "job/job.h"
#include "run/run.h"

/// How often each work is measured, in turn with its bare loop; what is printed is the median. By the variable
/// TAVLO_ROUNDS, or 3.
int rounds();

/// A folder that works are measured in; it is gone at the end.
class Workplace {
public:
    explicit Workplace(std::filesystem::path path);
    ~Workplace();
    Workplace(const Workplace&) = delete;
    Workplace& operator=(const Workplace&) = delete;

    /// Plans and carries out. Ends the program where something fails.
    /// returns  how long it took until there was a plan, in seconds
    double carry_out_job(tavlo::Operation operation, const std::filesystem::path& from,
                         const std::filesystem::path& to, const tavlo::RunOptions& options = {},
                         const tavlo::RunEvents& events = {}) const;

    const std::filesystem::path folder;
};

/// One line of what is printed; both in seconds.
void row(const std::string& work, double bare, double ours);
/// The system calls of both, for each of so many files, where they can be counted here.
void count_calls(int files, const std::function<void()>& bare, const std::function<void()>& ours,
                 const std::function<void()>& between);
