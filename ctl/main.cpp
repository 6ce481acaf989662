// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <sys/resource.h>

#include <csignal>
#include <iostream>

#include "archive/archive_files.h"
#include "arguments.h"
#include "commands.h"
#include "files/memory.h"
#include "report.h"
#include "streams.h"

namespace {

using Command = Arguments::Command;

int run(const Arguments& arguments) {
    const auto disk = tavlo::make_disk_with_archives();
    // a plan changes nothing, not even the state folder; everything else needs it before it touches a file
    if (arguments.makes_job() && arguments.plan_only) return transfer(*disk, nullptr, arguments);
    if (arguments.command == Command::run && arguments.plan_only) return run_job(*disk, nullptr, arguments);
    if (arguments.command == Command::facts) return show_facts(*disk, arguments);
    if (arguments.command == Command::job_save) return save_job(arguments);
    if (arguments.command == Command::job_show) return show_job(arguments);
    if (arguments.command == Command::job_forget) return forget_job(arguments);
    if (arguments.command == Command::schedule) return schedule_job(arguments);
    const auto store = tavlo::Store::open(arguments.state_folder);
    if (!store) {
        say("the state cannot be kept there: " + describe(store.error()));
        return refused;
    }
    switch (arguments.command) {
        case Command::copy:
        case Command::pack:
        case Command::unpack:
        case Command::move:
        case Command::rename:
        case Command::remove: return transfer(*disk, store->get(), arguments);
        case Command::facts:
        case Command::job_save:
        case Command::job_show:
        case Command::job_forget:
        case Command::schedule: break;  // done already: they need no store
        case Command::jobs: return list_jobs(**store, arguments);
        case Command::run: return run_job(*disk, store->get(), arguments);
        case Command::receipts: return list_receipts(**store, arguments);
        case Command::receipt: return show_receipt(**store, arguments);
        case Command::check: return check(*disk, **store, arguments);
        case Command::undo: return undo(*disk, **store, arguments);
        case Command::recover: return recover_runs(*disk, **store, arguments);
        case Command::safe_list: return list_safe(**store, arguments);
        case Command::safe_restore: return restore(*disk, **store, arguments);
        case Command::safe_empty: return empty(*disk, **store, arguments);
    }
    return refused;
}

}  // namespace

int main(int count, char** words) {
    guard_streams();
    std::ios::sync_with_stdio(
        false);  // a receipt of a million lines is written in pieces, not letter by letter
    std::signal(SIGXFSZ,
                SIG_IGN);  // a file over the limit is an item's failure (EFBIG), not the end of the run
    tavlo::raise_handle_limit();
    tavlo::give_large_memory_back();
    const auto arguments = read_arguments(count, words);
    if (!arguments) {
        if (arguments.error().exit == done)
            std::cout << arguments.error().text << std::flush;
        else
            say(arguments.error().text);
        return arguments.error().exit;
    }
    const int status = run(*arguments);
    std::cout.flush();
    if (!std::cout) {
        say("standard output could not be written");
        // of a run the status says what it came to; of a question nothing was answered
        return status == done && !arguments->carries_out() ? some_failed : status;
    }
    return status;
}
