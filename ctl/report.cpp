// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "report.h"

#include <fmt/chrono.h>
#include <fmt/format.h>
#include <unistd.h>

#include <algorithm>
#include <array>
#include <iostream>

#include "files/path.h"
#include "job/saved_job.h"
#include "keep/documents.h"
#include "streams.h"

using namespace tavlo;

namespace {

constexpr std::uint64_t most_undecided_named = 20;

/// What an undo took away lies in the Safe: how much that is, and how its room comes back.
void print_kept_by_undo(Store& store, const ReceiptHead& head) {
    if (head.undoes.empty()) return;
    const auto kept = store.safe_amount_of(head.id);
    if (!kept || kept->versions == 0) return;
    std::cout << fmt::format(
        "{} of them lie in the Safe now, {} bytes; tavloctl safe empty --of {} removes what the source still "
        "holds\n",
        kept->versions, kept->bytes, head.id);
}

}  // namespace

int exit_for(const Totals& totals) { return static_cast<int>(ending_of(totals)); }
int exit_for(const ReceiptHead& head) { return static_cast<int>(ending_of(head)); }

int worse(int one, int other) {
    constexpr std::array by_weight{done, some_undecided, some_failed, stopped};
    const auto weight = [&](int status) {
        return std::find(by_weight.begin(), by_weight.end(), status) - by_weight.begin();
    };
    return weight(one) >= weight(other) ? one : other;
}

int refuse_for(const Error& error) {
    say(describe(error));
    return refused;
}

int failed_for(const Error& error) {
    say(describe(error));
    return some_failed;
}

std::string summary(const Totals& totals) {
    return fmt::format("{} items: {}", totals.items, in_words(totals));
}

std::string local_time(std::int64_t ns) {
    return fmt::format("{:%Y-%m-%d %H:%M:%S}", fmt::localtime(static_cast<std::time_t>(ns / 1'000'000'000)));
}

bool shows_progress(const Arguments& arguments, std::FILE* beside) {
    if (arguments.quiet || arguments.verbose) return false;
    if (arguments.progress != Arguments::ShowProgress::automatic)
        return arguments.progress == Arguments::ShowProgress::always;
    if (beside != nullptr && isatty(fileno(beside)) != 0) return false;
    return isatty(STDERR_FILENO) != 0;
}

void print_not_kept(Store& store, const std::string& receipt) {
    if (const auto lost = store.not_kept(receipt))
        for (const auto& [attributes, items] : *lost)
            std::cout << fmt::format("{} items could not keep: {}\n", items, printable(attributes));
}

int print_plan(const Plan& plan, bool json) {
    if (json) {
        write_plan(std::cout, plan);
        return exit_for(plan.totals);
    }
    for (const Item& item : plan.items) {
        const ReceiptItem planned = planned_item(plan, item);
        std::cout << fmt::format("{:<11} {}", to_text(item.outcome), printable(planned.place()));
        if (planned.collision) {
            const auto& finding = planned.collision->finding;
            std::cout << fmt::format("  ({})",
                                     finding ? to_text(*finding) : std::string_view("changed since"));
            if (finding == Finding::twin) std::cout << "  from " << printable(planned.source);
        }
        if (!planned.error.empty()) std::cout << "  " << printable(planned.error);
        std::cout << '\n';
    }
    std::cout << summary(plan.totals) << '\n';
    return exit_for(plan.totals);
}

RunReport::RunReport(const Arguments& arguments, ProgressLine& progress, const Plan* plan)
    : arguments_(arguments), progress_(progress), plan_(plan) {}

RunEvents RunReport::events() {
    RunEvents events;
    events.begun = [this](const ReceiptHead& head) {
        begun_ = true;
        progress_.run_begins(head.totals);
    };
    events.bytes = [this](std::uint64_t bytes) { progress_.add_bytes(bytes); };
    events.item = [this](ItemId id, const ReceiptItem& item) {
        progress_.add_item();
        if (item.result == Outcome::failed) {
            progress_.clear();
            say(printable(item.source) + ": " + printable(item.error));
        }
        if (item.result == Outcome::undecided && !arguments_.quiet) name_undecided(id, item);
        if (!arguments_.verbose) return;
        const std::string line = fmt::format("{:<11} {}\n", to_text(item.result), printable(item.place()));
        if (arguments_.json)
            put(stderr, line);
        else
            std::cout << line << std::flush;  // somebody watches
    };
    if (!arguments_.verbose) events.skipped = [this](ItemId) { progress_.add_item(); };
    events.waits = [this](const Error& why) {
        progress_.clear();
        say(describe(why) + "; waiting");
    };
    return events;
}

ItemId RunReport::twin_of(ItemId id) {
    if (plan_ == nullptr) return no_item;
    if (twins_.empty())
        for (const ItemId one : plan_->colliding) {
            const Item& item = plan_->items[one];
            if (item.collision->finding != Finding::twin) continue;
            const auto [found, is_first] = twins_.try_emplace({item.folder, plan_->name(item)}, one, no_item);
            if (!is_first && found->second.second == no_item) found->second.second = one;
        }
    const auto found = twins_.find({plan_->items[id].folder, plan_->name(plan_->items[id])});
    if (found == twins_.end()) return no_item;
    return found->second.first == id ? found->second.second : found->second.first;
}

std::string RunReport::why_undecided(ItemId id, const ReceiptItem& item) {
    if (!item.collision) return item.error;
    if (!item.collision->finding) return "the name is taken";
    if (item.collision->finding != Finding::twin)
        return fmt::format("the name is taken, finding {}", to_text(*item.collision->finding));
    const ItemId twin = twin_of(id);
    if (twin == no_item) return "a twin: another of the batch wants its name";
    return "a twin: " + printable(plan_->source_path(plan_->items[twin])) + " wants the same name";
}

/// One by one as what failed is; of very many the first.
void RunReport::name_undecided(ItemId id, const ReceiptItem& item) {
    if (++undecided_ > most_undecided_named && !arguments_.verbose) return;
    progress_.clear();
    say(fmt::format("{}: undecided: {}: {}", printable(item.source), why_undecided(id, item),
                    printable(item.target)));
}

void RunReport::end() {
    progress_.clear();
    if (undecided_ > most_undecided_named && !arguments_.verbose)
        say(fmt::format("and {} more that are undecided", undecided_ - most_undecided_named));
}

int print_receipt(Store& store, const ReceiptHead& head, const Arguments& arguments) {
    if (!head.problem.empty()) say(printable(head.problem));
    if (arguments.json) {
        if (auto written = write_receipt(std::cout, head, store); !written)
            return failed_for(written.error());
    } else {
        std::cout << summary(head.totals) << '\n';
        print_not_kept(store, head.id);
        print_kept_by_undo(store, head);
        std::cout << "receipt " << head.id << '\n';
    }
    return exit_for(head);
}

int carry_out_and_report(Store& store, const Arguments& arguments, ProgressLine& progress, RunOptions wanted,
                         const Plan* plan,
                         const std::function<Result<ReceiptHead>(const RunOptions&, const RunEvents&)>& work,
                         Totals* totals) {
    StopOnSignal signal;
    RunReport report(arguments, progress, plan);
    wanted.stop = signal.token();
    const auto head = work(wanted, report.events());
    report.end();
    if (head && totals != nullptr) *totals = head->totals;
    if (head) return print_receipt(store, *head, arguments);
    return report.has_begun() ? failed_for(head.error()) : refuse_for(head.error());
}

int carry_out_plan(FileSystem& disk, Store& store, const Plan& plan, const Arguments& arguments,
                   ProgressLine& progress, RunOptions wanted, Totals* totals) {
    return carry_out_and_report(
        store, arguments, progress, std::move(wanted), &plan,
        [&](const RunOptions& options, const RunEvents& events) {
            return carry_out(disk, store, plan, options, events);
        },
        totals);
}
