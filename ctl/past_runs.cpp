// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <fmt/format.h>

#include <iostream>

#include "commands.h"
#include "files/path.h"
#include "keep/documents.h"
#include "recover/recover.h"
#include "report.h"
#include "streams.h"
#include "undo/check.h"
#include "undo/take_back.h"

using namespace tavlo;

int list_receipts(Store& store, const Arguments& arguments) {
    const auto heads = store.receipts();
    if (!heads) return refuse_for(heads.error());
    const auto goes_on = [&](const ReceiptHead& head) {
        return head.state != RunState::done && store.is_alive(head.id);
    };
    if (arguments.json) {
        write_receipts(std::cout, *heads, goes_on);
        return done;
    }
    for (const ReceiptHead& head : *heads)
        std::cout << fmt::format("{}  {}  {:<11} {:<7} {}  {}\n", head.id, local_time(head.started_ns),
                                 goes_on(head) ? std::string_view("goes on") : to_text(head.state),
                                 to_text(head.operation), printable(head.destination), summary(head.totals));
    return done;
}

int show_receipt(Store& store, const Arguments& arguments) {
    const auto head = store.receipt(arguments.id);
    if (!head) return refuse_for(head.error());
    ProgressLine progress(shows_progress(arguments, stdout));
    auto read = [&, so_far = std::uint64_t{0}]() mutable {
        progress.counted("reading", ++so_far, head->totals.items, "items");
    };
    Result<void> shown;
    if (arguments.json) {
        shown = write_receipt(std::cout, *head, store, read);
    } else {
        std::cout << fmt::format("{}  {}  {}\n", head->id, local_time(head->started_ns),
                                 printable(head->sentence));
        fmt::memory_buffer line;
        shown = store.each_item(head->id, [&](ReceiptItem&& item) {
            line.clear();
            fmt::format_to(std::back_inserter(line), "{:<11} {} -> {}", to_text(item.result),
                           printable(item.source), printable(item.place()));
            if (!item.error.empty()) fmt::format_to(std::back_inserter(line), "  {}", printable(item.error));
            line.push_back('\n');
            std::cout.write(line.data(), static_cast<std::streamsize>(line.size()));
            read();
        });
        std::cout << summary(head->totals) << '\n';
        print_not_kept(store, head->id);
        if (!head->problem.empty()) std::cout << printable(head->problem) << '\n';
    }
    progress.clear();
    return shown ? done : refuse_for(shown.error());
}

int check(FileSystem& disk, Store& store, const Arguments& arguments) {
    const auto head = store.receipt(arguments.id);
    if (!head) return refuse_for(head.error());
    ProgressLine progress(shows_progress(arguments));
    std::optional<CheckWriter> writer;
    if (arguments.json) writer.emplace(std::cout, head->id);
    Checker checker(disk, *head);
    std::uint64_t differing = 0;
    std::uint64_t checked = 0;
    const auto read = store.each_item(head->id, [&](ReceiptItem&& item) {
        if (is_packed(item.action)) return;  // of a run that packed the archive alone is compared, as a whole
        const Difference difference = checker.check(item);
        progress.counted("checking", ++checked, head->totals.items, "items");
        if (difference != Difference::none) ++differing;
        if (writer) {
            writer->add(item, difference == Difference::none ? std::string_view{} : to_text(difference));
        } else if (difference != Difference::none) {
            progress.clear();
            std::cout << fmt::format("{:<11} {}\n", to_text(difference), printable(item.place()));
        }
    });
    progress.clear();
    if (writer) writer->end();
    if (!read) return failed_for(read.error());
    if (!arguments.json)
        std::cout << (differing == 0 ? "nothing differs" : fmt::format("{} differ", differing)) << '\n';
    return differing == 0 ? done : some_failed;
}

int undo(FileSystem& disk, Store& store, const Arguments& arguments) {
    ProgressLine progress(shows_progress(arguments));
    // held until the undo of a run that was interrupted is through; a plan changes nothing, so it settles
    // nothing either
    const auto held = arguments.plan_only ? Result<std::optional<RunLock>>(std::nullopt)
                                          : settle_before_undo(disk, store, arguments.id);
    if (!held) return refuse_for(held.error());
    const auto looked_at = [&](std::uint64_t looked, std::uint64_t of) {
        progress.counted("looking", looked, of, "items");
    };
    const auto plan = prepare_undo(disk, store, arguments.id, {}, held->has_value(), looked_at);
    progress.clear();
    if (!plan) return refuse_for(plan.error());
    if (arguments.plan_only) return print_plan(*plan, arguments.json);
    return carry_out_plan(disk, store, *plan, arguments, progress, {.sentence = "Undo " + arguments.id});
}

int recover_runs(FileSystem& disk, Store& store, const Arguments& arguments) {
    ProgressLine progress(shows_progress(arguments));
    StopOnSignal signal;
    RunReport report(arguments, progress);
    const auto recovered = recover(disk, store, {.stop = signal.token()}, report.events());
    report.end();
    if (!recovered) return refuse_for(recovered.error());
    for (const auto& id : recovered->alive) say(id + ": is still going on, and was left alone");
    for (const Error& problem : recovered->problems) say(describe(problem));
    int status = recovered->problems.empty() ? done : some_failed;
    for (const ReceiptHead& head : recovered->completed) {
        status = worse(status, exit_for(head));
        if (!arguments.json) std::cout << head.id << "  " << summary(head.totals) << '\n';
    }
    if (!arguments.json) {
        if (recovered->completed.empty() && recovered->problems.empty()) std::cout << "nothing to recover\n";
        return status;
    }
    const auto written = write_recovery(std::cout, recovered->completed, store);
    return written ? status : failed_for(written.error());
}
