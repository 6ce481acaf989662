// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <fmt/format.h>

#include <iostream>

#include "commands.h"
#include "files/path.h"
#include "job/document.h"
#include "job/growing.h"
#include "job/prepare.h"
#include "paths.h"
#include "report.h"
#include "streams.h"

using namespace tavlo;

namespace {

std::string sentence_of_step(const Job& job) {
    const std::string what = job.what.sources.size() == 1
                                 ? printable(job.what.sources.front())
                                 : fmt::format("{} sources", job.what.sources.size());
    if (job.operation == Operation::remove)
        return fmt::format("Remove {}{}, to the {}", job.structure.contents ? "what is in " : "", what,
                           job.shelf == Shelf::trash ? "trash" : "Safe");
    if (job.operation == Operation::rename)
        return fmt::format("New names {} {}", job.structure.contents ? "in" : "for", what);
    const char* verb = job.operation == Operation::move     ? "Move"
                       : job.operation == Operation::unpack ? "Unpack"
                       : job.operation == Operation::pack   ? "Pack"
                                                            : "Copy";
    return fmt::format("{} {} into {}", verb, what, printable(job.into));
}

/// What a saved job does is headed with its name.
std::string sentence_for(const Job& job) {
    return (job.name.empty() ? "" : job.name + ": ") + sentence_of_step(job);
}

RunOptions options_for(const Job& job) {
    return {.sentence = sentence_for(job), .job = to_json(job), .verify = job.verify, .press = job.press};
}

int transfer_while_counting(FileSystem& disk, Store& store, const Arguments& arguments) {
    ProgressLine progress(shows_progress(arguments));
    return carry_out_and_report(store, arguments, progress, options_for(arguments.job), nullptr,
                                [&](const RunOptions& options, const RunEvents& events) {
                                    return carry_out_growing(disk, store, arguments.job, options, events);
                                });
}

}  // namespace

int transfer(FileSystem& disk, Store* store, const Arguments& arguments, Totals* totals) {
    if (arguments.while_counting) return transfer_while_counting(disk, *store, arguments);
    ProgressLine progress(shows_progress(arguments));
    const auto counted = [&](std::uint64_t entries) { progress.counted("counting", entries, "entries"); };
    const auto told = [&](std::size_t done, std::size_t of) {
        progress.counted("reading facts", done, of, "files");
    };
    const auto read = [&](std::size_t done, std::size_t of) {
        progress.counted("looking elsewhere", done, of, "files");
    };
    const auto compared = [&](std::size_t done, std::size_t of) {
        progress.counted("comparing", done, of, "pairs");
    };
    Asked asked = arguments.job;
    asked.kept = folders_to_keep(arguments.state_folder);
    const auto gathered = [&] {
        progress.say_now(arguments.job.into.empty() ? "looking at the folders"
                                                    : "looking at the destination");
    };
    auto outlook = prepare(disk, std::move(asked), store, {}, {counted, gathered, told, read, compared});
    progress.clear();
    if (!outlook) return refuse_for(outlook.error());
    for (const Error& refusal : outlook->refusals) refuse_for(refusal);
    if (!outlook->refusals.empty()) return refused;
    for (const Error& miss : outlook->misses) say(describe(miss));
    const bool has_all = outlook->misses.empty();
    const auto plan = std::move(outlook->plan);
    *outlook = {};  // what the plan was made from is not held beside it: of a million that is 110 MB
    if (totals != nullptr) *totals = plan->totals;
    const int status = arguments.plan_only ? print_plan(*plan, arguments.json)
                                           : carry_out_plan(disk, *store, *plan, arguments, progress,
                                                            options_for(arguments.job), totals);
    return has_all || status == stopped ? status : some_failed;
}
