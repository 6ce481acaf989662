#include <fmt/format.h>
#include <unistd.h>

#include <iostream>

#include "batch/choose.h"
#include "commands.h"
#include "files/path.h"
#include "files/small_file.h"
#include "report.h"
#include "run/growing.h"
#include "run/prepare.h"
#include "streams.h"

using namespace tavlo;

namespace {

std::string sentence_for(const Request& request) {
    return fmt::format("{} {} into {}", request.operation == Operation::move ? "Move" : "Copy",
                       request.sources.size() == 1 ? printable(request.sources.front()) : fmt::format("{} sources", request.sources.size()),
                       printable(request.destination));
}

Result<std::string> read_list(const std::string& path) {
    return path == "-" ? read_small(STDIN_FILENO, "standard input") : read_small_file(path);
}

/// What of a list could not be met: lines that fit nothing, or that there are no lines.
std::vector<Error> misses_of(const std::vector<ListedName>& listed, const std::string& list) {
    const std::string path = list == "-" ? "standard input" : list;
    std::vector<Error> misses;
    if (listed.empty()) misses.push_back({Fault::not_found, 0, "the list names nothing", path});
    for (const ListedName& one : listed)
        if (one.fits.empty()) misses.push_back({Fault::not_found, 0, fmt::format("line {}: nothing fits '{}'", one.line, one.text), path});
    return misses;
}

/// Gathers, and leaves what was not asked for. What a list names in vain goes into `misses`.
Result<Batch> gather_chosen(FileSystem& disk, const Arguments& arguments, ProgressLine& progress, std::vector<Error>& misses) {
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
        auto read = read_list(*arguments.list_file);
        if (!read) return failure(read.error());
        list = std::move(*read);
    }
    const auto counted = [&](std::uint64_t entries) { progress.counted("counting", entries, "entries"); };
    auto batch = gather(disk, arguments.request.sources, {arguments.request.follow_links, {}, counted});
    if (!batch) return batch;
    if (!selector.lets_all_through()) batch = choose(*batch, selector, arguments.keep_empty_folders);
    if (!arguments.list_file) return batch;
    auto chosen = choose(*batch, list, arguments.keep_empty_folders);
    misses = misses_of(chosen.listed, *arguments.list_file);
    return std::move(chosen.batch);
}

int transfer_while_counting(FileSystem& disk, Store& store, const Arguments& arguments) {
    ProgressLine progress(shows_progress(arguments));
    return carry_out_and_report(store, arguments, progress, sentence_for(arguments.request), nullptr,
                                [&](const RunOptions& options, const RunEvents& events) {
                                    return carry_out_growing(disk, store, arguments.request, options, events);
                                });
}

}  // namespace

int transfer(FileSystem& disk, Store* store, const Arguments& arguments) {
    if (arguments.while_counting) return transfer_while_counting(disk, *store, arguments);
    ProgressLine progress(shows_progress(arguments));
    std::vector<Error> misses;
    auto batch = gather_chosen(disk, arguments, progress, misses);
    if (!batch) {
        progress.clear();
        return refuse_for(batch.error());
    }
    progress.say_now("looking at the destination");
    const auto compared = [&](std::size_t done, std::size_t of) { progress.counted("comparing", done, of, "pairs"); };
    const auto outlook = prepare(disk, arguments.request, std::make_shared<const Batch>(std::move(*batch)), store, {}, compared);
    progress.clear();
    if (!outlook) return refuse_for(outlook.error());
    for (const Error& refusal : outlook->refusals) refuse_for(refusal);
    if (!outlook->refusals.empty()) return refused;
    for (const Error& miss : misses) say(describe(miss));
    const int status = arguments.plan_only
                           ? print_plan(*outlook->plan, arguments.json)
                           : carry_out_plan(disk, *store, *outlook->plan, arguments, progress, sentence_for(arguments.request));
    return misses.empty() || status == stopped ? status : some_failed;
}
