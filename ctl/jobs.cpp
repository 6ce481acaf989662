// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <fmt/format.h>

#include <algorithm>
#include <iostream>
#include <map>
#include <nlohmann/json.hpp>

#include "commands.h"
#include "files/path.h"
#include "job/job_files.h"
#include "job/last_runs.h"
#include "job/schedule.h"
#include "keep/documents.h"
#include "paths.h"
#include "report.h"
#include "streams.h"

// Saved jobs: kept, listed, and when they run by themselves.

using namespace tavlo;

namespace {

std::optional<std::int64_t> next_of(const JobUnits& units, const std::string& name) {
    const auto calendar = units.calendar(name);
    const auto next = calendar ? next_by_calendar(*calendar) : Result<std::vector<std::int64_t>>();
    return next && !next->empty() ? std::optional(next->front()) : std::nullopt;
}

std::string how_it_ended(Ending ending) {
    switch (ending) {
        case Ending::done: return "done";
        case Ending::some_failed: return "some failed";
        case Ending::some_undecided: return "some undecided";
        case Ending::stopped: return "stopped";
        case Ending::refused: return "refused";
    }
    return {};
}

}  // namespace

int list_jobs(Store& store, const Arguments& arguments) {
    const auto all = JobFiles().all(now_ns());
    if (!all) return failed_for(all.error());
    const auto heads = store.receipts();
    const auto last = heads ? last_runs(*heads) : std::map<std::string, ReceiptHead>();
    const JobUnits units;
    nlohmann::ordered_json list = nlohmann::ordered_json::array();
    for (const JobFiles::Kept& kept : *all) {
        const auto ran = last.find(kept.name);
        const auto next = next_of(units, kept.name);
        const bool by_itself = units.are_there(kept.name);
        if (!arguments.json) {
            std::cout << printable(kept.name);
            if (!kept.job) std::cout << "  broken: " << printable(kept.job.error().step);
            if (ran != last.end())
                std::cout << "  last " << local_time(ran->second.started_ns) << ' '
                          << how_it_ended(ending_of(ran->second));
            if (next) std::cout << "  next " << local_time(*next);
            if (by_itself && !next) std::cout << "  when something changes";
            std::cout << '\n';
            continue;
        }
        nlohmann::ordered_json one;
        one["name"] = to_utf8(kept.name);
        one["file"] = to_utf8(kept.file);
        one["steps"] =
            kept.job ? nlohmann::ordered_json(kept.job->steps.size()) : nlohmann::ordered_json(nullptr);
        one["last"] = nullptr;
        if (ran != last.end())
            one["last"] = {{"receipt", ran->second.id},
                           {"started", utc_text(ran->second.started_ns)},
                           {"status", exit_for(ran->second)}};
        one["scheduled"] = by_itself;
        one["next"] = next ? nlohmann::ordered_json(utc_text(*next)) : nlohmann::ordered_json(nullptr);
        if (!kept.job) one["error"] = to_utf8(printable(kept.job.error().step));
        list.push_back(std::move(one));
    }
    if (arguments.json)
        std::cout
            << nlohmann::ordered_json({{"tavlo", 1}, {"document", "jobs"}, {"jobs", std::move(list)}}).dump(2)
            << '\n';
    return done;
}

int save_job(const Arguments& arguments) {
    const auto job = read_saved_job(arguments.saved, now_ns());
    if (!job) return refuse_for(job.error());
    if (job->schedule && job->schedule->calendar)
        if (const auto next = next_by_calendar(*job->schedule->calendar);
            !next && next.error().fault == Fault::refused) {
            say(printable(arguments.saved) + ": schedule.calendar: " + printable(next.error().path) + " " +
                next.error().step);
            return refused;
        }
    const auto kept = JobFiles().write(*job, arguments.replaces);
    return kept ? done : refuse_for(kept.error());
}

int show_job(const Arguments& arguments) {
    const auto job = JobFiles().read(arguments.saved, now_ns());
    if (!job) return refuse_for(job.error());
    std::cout << to_json(*job);
    return done;
}

int forget_job(const Arguments& arguments) {
    const auto forgotten = JobFiles().forget(arguments.saved);
    if (!forgotten) return refuse_for(forgotten.error());
    const auto gone = JobUnits().take_away(arguments.saved);
    return gone ? done : failed_for(gone.error());
}

int schedule_job(const Arguments& arguments) {
    const JobUnits units;
    if (arguments.never) {
        const bool is_job = JobFiles().read(arguments.saved, now_ns()) || units.are_there(arguments.saved);
        if (!is_job)
            return refuse_for(
                {Fault::not_found, 0, "is no saved job; tavloctl jobs lists them", arguments.saved});
        const auto gone = units.take_away(arguments.saved);
        return gone ? done : failed_for(gone.error());
    }
    const auto job = JobFiles().read(arguments.saved, now_ns());
    if (!job) return refuse_for(job.error());
    const bool is_said = arguments.schedule.calendar || arguments.schedule.when_changed;
    if (!is_said && !job->schedule)
        return refuse_for({Fault::refused, 0, "does not say when it runs; --calendar or --when-changed does",
                           arguments.saved});
    const Schedule schedule = is_said ? arguments.schedule : *job->schedule;
    if (schedule.calendar)
        if (const auto next = next_by_calendar(*schedule.calendar); !next) return refuse_for(next.error());
    const auto put = units.put(*job, schedule, program_path(), arguments.state_folder);
    if (!put) return put.error().fault == Fault::refused ? refuse_for(put.error()) : failed_for(put.error());
    if (put->empty()) return done;
    say("the units are written to " + printable(JobUnits::usual_folder()) +
        ", and not switched on: " + printable(*put));
    return some_failed;
}
