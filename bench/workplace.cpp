// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "workplace.h"

#include <algorithm>
#include <chrono>
#include <cstdio>
#include <cstdlib>
#include <utility>

#include "job/prepare.h"
#include "keep/store.h"
#include "system_calls.h"

using namespace tavlo;
namespace fs = std::filesystem;

int rounds() {
    const char* wanted = std::getenv("TAVLO_ROUNDS");
    return wanted != nullptr ? std::max(1, std::atoi(wanted)) : 3;
}

Workplace::Workplace(fs::path path) : folder(std::move(path)) {
    fs::remove_all(folder);
    fs::create_directories(folder);
}

Workplace::~Workplace() { fs::remove_all(folder); }

double Workplace::carry_out_job(Operation operation, const fs::path& from, const fs::path& to,
                                const RunOptions& options, const RunEvents& events) const {
    const auto disk = make_disk();
    const auto store = Store::open(folder / "state");
    check(store.has_value(), "state");
    Job job;
    job.operation = operation;
    job.what.sources = {from};
    job.into = to;
    job.structure = {true, Subfolders::all, false};
    job.policy.when[static_cast<std::size_t>(Finding::same)] = Decision::skip;
    const auto began = std::chrono::steady_clock::now();
    const auto outlook = prepare(*disk, job, store->get());
    check(outlook && outlook->refusals.empty(), "prepare");
    const std::chrono::duration<double> planned = std::chrono::steady_clock::now() - began;
    const auto head = carry_out(*disk, **store, *outlook->plan, options, events);
    check(head && head->totals.of(Outcome::failed) == 0, "run");
    return planned.count();
}

void row(const std::string& work, double bare, double ours) {
    std::printf("%-48s bare %7.3f s   ours %7.3f s   %5.2f times\n", work.c_str(), bare, ours, ours / bare);
    std::fflush(stdout);
}

void count_calls(int files, const std::function<void()>& bare, const std::function<void()>& ours,
                 const std::function<void()>& between) {
    const auto loop = system_calls(bare);
    between();
    const auto run = system_calls(ours);
    if (loop && run)
        std::printf("%-48s bare %7.1f     ours %7.1f\n", "  system calls a file", *loop / files,
                    *run / files);
    between();
}
