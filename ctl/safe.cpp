// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <fmt/format.h>

#include <iostream>

#include "commands.h"
#include "files/path.h"
#include "keep/documents.h"
#include "report.h"
#include "streams.h"
#include "undo/empty_safe.h"
#include "undo/take_back.h"

using namespace tavlo;

int list_safe(Store& store, const Arguments& arguments) {
    Result<void> listed;
    if (arguments.json)
        listed = write_safe(std::cout, store);
    else
        listed = store.each_safe_entry([](SafeEntry&& entry) {
            std::cout << fmt::format("{}  {}  {:>12}  {}\n", entry.id, local_time(entry.set_aside_ns),
                                     entry.identity.size_bytes, printable(entry.original));
        });
    return listed ? done : refuse_for(listed.error());
}

int restore(FileSystem& disk, Store& store, const Arguments& arguments) {
    const auto plan = prepare_restore(disk, store, arguments.id, arguments.into);
    if (!plan) {
        refuse_for(plan.error());
        return plan.error().fault == Fault::name_taken ? some_undecided : refused;
    }
    ProgressLine progress(shows_progress(arguments));
    return carry_out_plan(disk, store, *plan, arguments, progress,
                          {.sentence = "Bring back " + arguments.id});
}

int empty(FileSystem& disk, Store& store, const Arguments& arguments) {
    ProgressLine progress(shows_progress(arguments));
    const auto so_far = [&](std::uint64_t looked_at, std::uint64_t of) {
        progress.counted("emptying", looked_at, of, "versions");
    };
    const auto emptied = arguments.id.empty() ? empty_safe(disk, store, arguments.older_than_days, so_far)
                                              : remove_proved(disk, store, arguments.id, so_far);
    progress.clear();
    if (!emptied) return refuse_for(emptied.error());
    for (const Error& problem : emptied->problems) say(describe(problem));
    if (arguments.json) {
        if (list_safe(store, arguments) != done) return some_failed;
    } else {
        std::cout << fmt::format("{} versions removed from the Safe\n", emptied->removed.size());
    }
    return emptied->problems.empty() ? done : some_failed;
}
