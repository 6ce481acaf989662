#include <fmt/chrono.h>
#include <fmt/format.h>
#include <unistd.h>

#include <algorithm>
#include <array>
#include <csignal>
#include <cstdio>
#include <functional>
#include <iostream>
#include <thread>

#include "arguments.h"
#include "batch/choose.h"
#include "files/path.h"
#include "files/small_file.h"
#include "keep/documents.h"
#include "progress.h"
#include "run/growing.h"
#include "run/prepare.h"
#include "run/recover.h"
#include "run/take_back.h"
#include "streams.h"

namespace {

using namespace tavlo;
using Command = Arguments::Command;

enum Exit { done = 0, some_failed = 1, refused = 2, some_undecided = 3, stopped = 4 };

int refuse(const Error& error) {
    say(describe(error));
    return refused;
}

int exit_for(const Totals& totals) {
    if (totals.of(Outcome::failed) > 0) return some_failed;
    return totals.of(Outcome::undecided) > 0 ? some_undecided : done;
}

int exit_for(const ReceiptHead& head) {
    if (head.state == RunState::stopped) return stopped;
    return head.problem.empty() ? exit_for(head.totals) : some_failed;
}

/// The one of two that outweighs the other: stopped, failed, undecided, done.
int worse(int one, int other) {
    constexpr std::array by_weight{done, some_undecided, some_failed, stopped};
    const auto weight = [&](int status) { return std::find(by_weight.begin(), by_weight.end(), status) - by_weight.begin(); };
    return weight(one) >= weight(other) ? one : other;
}

std::string summary(const Totals& totals) {
    std::string text;
    for (const auto outcome : {Outcome::created, Outcome::overwritten, Outcome::renamed, Outcome::merged, Outcome::skipped,
                               Outcome::removed, Outcome::restored, Outcome::undecided, Outcome::failed})
        if (totals.of(outcome) > 0) text += fmt::format("{}{} {}", text.empty() ? "" : ", ", totals.of(outcome), to_text(outcome));
    return fmt::format("{} items: {}", totals.items, text.empty() ? "nothing to do" : text);
}

std::string local_time(std::int64_t ns) {
    return fmt::format("{:%Y-%m-%d %H:%M:%S}", fmt::localtime(static_cast<std::time_t>(ns / 1'000'000'000)));
}

int print_plan(const Plan& plan, bool json) {
    if (json) {
        write_plan(std::cout, plan);
    } else {
        for (const Item& item : plan.items) {
            const ReceiptItem planned = planned_item(plan, item);
            std::cout << fmt::format("{:<11} {}", to_text(item.outcome), printable(planned.place()));
            if (planned.collision)
                std::cout << fmt::format(
                    "  ({})", planned.collision->finding ? to_text(*planned.collision->finding) : std::string_view("changed since"));
            if (!planned.error.empty()) std::cout << "  " << printable(planned.error);
            std::cout << '\n';
        }
        std::cout << summary(plan.totals) << '\n';
    }
    return exit_for(plan.totals);
}

/// What the target could not keep is said once, not silently dropped.
void print_not_kept(Store& store, const std::string& receipt) {
    if (const auto lost = store.not_kept(receipt))
        for (const auto& [attributes, items] : *lost)
            std::cout << fmt::format("{} items could not keep: {}\n", items, printable(attributes));
}

/// What an undo took away lies in the Safe: how much that is, and how its room comes back.
void print_kept_by_undo(Store& store, const ReceiptHead& head) {
    if (head.undoes.empty()) return;
    const auto entries = store.safe_entries_of(head.id);
    if (!entries || entries->empty()) return;
    std::uint64_t bytes = 0;
    for (const SafeEntry& entry : *entries)
        if (entry.type == FileType::file) bytes += entry.identity.size_bytes;
    std::cout << fmt::format("{} of them lie in the Safe now, {} bytes; tavloctl safe empty --of {} removes what the source still holds\n",
                             entries->size(), bytes, head.id);
}

bool shows_progress(const Arguments& arguments) {
    if (arguments.quiet || arguments.verbose) return false;
    if (arguments.progress != Arguments::ShowProgress::automatic) return arguments.progress == Arguments::ShowProgress::always;
    return isatty(STDERR_FILENO) != 0;
}

/// What stays undecided, named one by one as what failed is; of very many the first.
class UndecidedNamed {
public:
    explicit UndecidedNamed(bool all) : all_(all) {}
    void name(const ReceiptItem& item) {
        if (++count_ > most && !all_) return;
        std::string why = item.error;
        if (item.collision && item.collision->finding)
            why = item.collision->finding == Finding::twin
                      ? "another of the batch wants its name"
                      : fmt::format("the name is taken, finding {}", to_text(*item.collision->finding));
        else if (item.collision)
            why = "the name is taken";
        say(fmt::format("{}: undecided: {}: {}", printable(item.source), why, printable(item.target)));
    }
    void end() const {
        if (count_ > most && !all_) say(fmt::format("and {} more that are undecided", count_ - most));
    }

private:
    static constexpr std::uint64_t most = 20;
    bool all_;
    std::uint64_t count_ = 0;
};

using Work = std::function<Result<ReceiptHead>(const RunOptions&, const RunEvents&)>;

int carry_out_and_report(Store& store, const Totals& totals, const Arguments& arguments, const std::string& sentence, const Work& work) {
    StopOnSignal signal;
    Progress progress(totals, shows_progress(arguments) && totals.items > 0);
    UndecidedNamed undecided(arguments.verbose);
    RunEvents events;
    bool begun = false;
    events.begun = [&](const ReceiptHead&) { begun = true; };
    events.bytes = [&](std::uint64_t bytes) { progress.add_bytes(bytes); };
    events.item = [&](ItemId, const ReceiptItem& item) {
        progress.add_item();
        if (item.result == Outcome::failed) {
            progress.clear();
            say(printable(item.source) + ": " + printable(item.error));
        }
        if (item.result == Outcome::undecided && !arguments.quiet) {
            progress.clear();
            undecided.name(item);
        }
        if (arguments.verbose)
            put(arguments.json ? stderr : stdout, fmt::format("{:<11} {}\n", to_text(item.result), printable(item.place())));
    };
    events.waits = [&](const Error& why) {
        progress.clear();
        say(describe(why) + "; waiting");
    };
    const auto head = work({sentence, arguments.verify, signal.token()}, events);
    progress.clear();
    undecided.end();
    if (!head && !begun) return refuse(head.error());
    if (!head) {
        say(describe(head.error()));
        return some_failed;
    }
    if (!head->problem.empty()) say(printable(head->problem));
    if (arguments.json) {
        if (auto written = write_receipt(std::cout, *head, store); !written) {
            say(describe(written.error()));
            return some_failed;
        }
    } else {
        std::cout << summary(head->totals) << '\n';
        print_not_kept(store, head->id);
        print_kept_by_undo(store, *head);
        std::cout << "receipt " << head->id << '\n';
    }
    return exit_for(*head);
}

int carry_out_plan(FileSystem& disk, Store& store, const Plan& plan, const Arguments& arguments, const std::string& sentence) {
    return carry_out_and_report(store, plan.totals, arguments, sentence, [&](const RunOptions& options, const RunEvents& events) {
        return carry_out(disk, store, plan, options, events);
    });
}

std::string sentence_for(const Request& request) {
    return fmt::format("{} {} into {}", request.operation == Operation::move ? "Move" : "Copy",
                       request.sources.size() == 1 ? printable(request.sources.front()) : fmt::format("{} sources", request.sources.size()),
                       printable(request.destination));
}

/// Gathers, and leaves what was not asked for. What a list names in vain goes into `misses`.
Result<Batch> gather_chosen(FileSystem& disk, const Arguments& arguments, std::vector<Error>& misses) {
    Selector selector;
    if (!arguments.criteria.lets_all_through()) {
        const auto kinds = load_kinds();
        if (!kinds) return failure(kinds.error());
        auto made = Selector::make(arguments.criteria, *kinds);
        if (!made) return failure(made.error());
        selector = std::move(*made);
    }
    std::string list;
    if (arguments.list_file) {
        auto read = read_small_file(*arguments.list_file);
        if (!read) return failure(read.error());
        list = std::move(*read);
    }
    auto batch = gather(disk, arguments.request.sources, {arguments.request.follow_links, {}, {}});
    if (!batch) return batch;
    if (!selector.lets_all_through()) batch = choose(*batch, selector, arguments.keep_empty_folders);
    if (!arguments.list_file) return batch;
    auto chosen = choose(*batch, list, arguments.keep_empty_folders);
    for (const ListedName& listed : chosen.listed)
        if (listed.fits.empty())
            misses.push_back(
                {Fault::not_found, 0, fmt::format("line {}: nothing fits '{}'", listed.line, listed.text), *arguments.list_file});
    return std::move(chosen.batch);
}

int transfer_while_counting(FileSystem& disk, Store& store, const Arguments& arguments) {
    return carry_out_and_report(store, {}, arguments, sentence_for(arguments.request),
                                [&](const RunOptions& options, const RunEvents& events) {
                                    return carry_out_growing(disk, store, arguments.request, options, events);
                                });
}

int transfer(FileSystem& disk, Store* store, const Arguments& arguments) {
    if (arguments.while_counting) return transfer_while_counting(disk, *store, arguments);
    std::vector<Error> misses;
    auto batch = gather_chosen(disk, arguments, misses);
    if (!batch) return refuse(batch.error());
    const auto outlook = prepare(disk, arguments.request, std::make_shared<const Batch>(std::move(*batch)), store);
    if (!outlook) return refuse(outlook.error());
    if (!outlook->refusals.empty()) {
        for (const Error& refusal : outlook->refusals) refuse(refusal);
        return refused;
    }
    for (const Error& miss : misses) say(describe(miss));
    const int status = arguments.plan_only ? print_plan(*outlook->plan, arguments.json)
                                           : carry_out_plan(disk, *store, *outlook->plan, arguments, sentence_for(arguments.request));
    return misses.empty() || status == stopped ? status : some_failed;
}

int undo(FileSystem& disk, Store& store, const Arguments& arguments) {
    // held until the undo of a run that was interrupted is through; a plan changes nothing, so it settles nothing either
    const auto held = arguments.plan_only ? Result<std::optional<RunLock>>(std::nullopt) : settle_before_undo(disk, store, arguments.id);
    if (!held) return refuse(held.error());
    const auto plan = prepare_undo(disk, store, arguments.id, {}, held->has_value());
    if (!plan) return refuse(plan.error());
    if (arguments.plan_only) return print_plan(*plan, arguments.json);
    return carry_out_plan(disk, store, *plan, arguments, "Undo " + arguments.id);
}

int recover_runs(FileSystem& disk, Store& store, const Arguments& arguments) {
    StopOnSignal signal;
    RunEvents events;
    events.item = [&](ItemId, const ReceiptItem& item) {
        if (item.result == Outcome::failed) say(printable(item.source) + ": " + printable(item.error));
        if (arguments.verbose)
            put(arguments.json ? stderr : stdout, fmt::format("{:<11} {}\n", to_text(item.result), printable(item.place())));
    };
    const auto recovered = recover(disk, store, {{}, Verify::automatic, signal.token()}, events);
    if (!recovered) return refuse(recovered.error());
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
    if (!written) {
        say(describe(written.error()));
        return some_failed;
    }
    return status;
}

int list_receipts(Store& store, bool json) {
    const auto heads = store.receipts();
    if (!heads) return refuse(heads.error());
    const auto goes_on = [&](const ReceiptHead& head) { return head.state != RunState::done && store.is_alive(head.id); };
    if (json) {
        write_receipts(std::cout, *heads, goes_on);
    } else {
        for (const ReceiptHead& head : *heads)
            std::cout << fmt::format("{}  {}  {:<11} {:<7} {}  {}\n", head.id, local_time(head.started_ns),
                                     goes_on(head) ? std::string_view("goes on") : to_text(head.state), to_text(head.operation),
                                     printable(head.destination), summary(head.totals));
    }
    return done;
}

int show_receipt(Store& store, const Arguments& arguments) {
    const auto head = store.receipt(arguments.id);
    if (!head) return refuse(head.error());
    Result<void> shown;
    if (arguments.json) {
        shown = write_receipt(std::cout, *head, store);
    } else {
        std::cout << fmt::format("{}  {}  {}\n", head->id, local_time(head->started_ns), printable(head->sentence));
        shown = store.each_item(head->id, [](ReceiptItem&& item) {
            std::cout << fmt::format("{:<11} {} -> {}", to_text(item.result), printable(item.source), printable(item.place()));
            if (!item.error.empty()) std::cout << "  " << printable(item.error);
            std::cout << '\n';
        });
        std::cout << summary(head->totals) << '\n';
        print_not_kept(store, head->id);
        if (!head->problem.empty()) std::cout << printable(head->problem) << '\n';
    }
    return shown ? done : refuse(shown.error());
}

int check(FileSystem& disk, Store& store, const Arguments& arguments) {
    const auto head = store.receipt(arguments.id);
    if (!head) return refuse(head.error());
    std::optional<CheckWriter> writer;
    if (arguments.json) writer.emplace(std::cout, head->id);
    Checker checker(disk, *head);
    std::uint64_t differing = 0;
    const auto read = store.each_item(head->id, [&](ReceiptItem&& item) {
        const Difference difference = checker.check(item);
        if (difference != Difference::none) ++differing;
        if (writer)
            writer->add(item, difference == Difference::none ? std::string_view{} : to_text(difference));
        else if (difference != Difference::none)
            std::cout << fmt::format("{:<11} {}\n", to_text(difference), printable(item.place()));
    });
    if (writer) writer->end();
    if (!read) {
        say(describe(read.error()));
        return some_failed;
    }
    if (!arguments.json) std::cout << (differing == 0 ? "nothing differs" : fmt::format("{} differ", differing)) << '\n';
    return differing == 0 ? done : some_failed;
}

int list_safe(Store& store, bool json) {
    const auto entries = store.safe_entries();
    if (!entries) return refuse(entries.error());
    if (json) {
        write_safe(std::cout, *entries);
    } else {
        for (const SafeEntry& entry : *entries)
            std::cout << fmt::format("{}  {}  {:>12}  {}\n", entry.id, local_time(entry.set_aside_ns), entry.identity.size_bytes,
                                     printable(entry.original));
    }
    return done;
}

int restore(FileSystem& disk, Store& store, const Arguments& arguments) {
    const auto plan = prepare_restore(disk, store, arguments.id, arguments.into);
    if (!plan) {
        refuse(plan.error());
        return plan.error().fault == Fault::name_taken ? some_undecided : refused;
    }
    return carry_out_plan(disk, store, *plan, arguments, "Bring back " + arguments.id);
}

int empty(FileSystem& disk, Store& store, const Arguments& arguments) {
    const auto emptied =
        arguments.id.empty() ? empty_safe(disk, store, arguments.older_than_days) : remove_proved(disk, store, arguments.id);
    if (!emptied) return refuse(emptied.error());
    for (const Error& problem : emptied->problems) say(describe(problem));
    if (arguments.json)
        list_safe(store, true);
    else
        std::cout << fmt::format("{} versions removed from the Safe\n", emptied->removed.size());
    return emptied->problems.empty() ? done : some_failed;
}

int run(const Arguments& arguments) {
    const auto disk = make_disk();
    // a plan changes nothing, not even the state folder; everything else needs it before it touches a file
    const bool transfers = arguments.command == Command::copy || arguments.command == Command::move;
    if (transfers && arguments.plan_only) return transfer(*disk, nullptr, arguments);
    const auto store = Store::open(arguments.state_folder);
    if (!store) return refuse(store.error());
    switch (arguments.command) {
        case Command::copy:
        case Command::move: return transfer(*disk, store->get(), arguments);
        case Command::receipts: return list_receipts(**store, arguments.json);
        case Command::receipt: return show_receipt(**store, arguments);
        case Command::check: return check(*disk, **store, arguments);
        case Command::undo: return undo(*disk, **store, arguments);
        case Command::recover: return recover_runs(*disk, **store, arguments);
        case Command::safe_list: return list_safe(**store, arguments.json);
        case Command::safe_restore: return restore(*disk, **store, arguments);
        case Command::safe_empty: return empty(*disk, **store, arguments);
    }
    return refused;
}

}  // namespace

int main(int count, char** words) {
    guard_streams();
    std::signal(SIGXFSZ, SIG_IGN);  // a file over the limit is an item's failure (EFBIG), not the end of the run
    const auto arguments = read_arguments(count, words);
    if (!arguments) {
        if (arguments.error().exit == done)
            std::cout << arguments.error().text;
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
