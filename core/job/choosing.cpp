// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "job/choosing.h"

#include <fmt/format.h>
#include <unistd.h>

#include <algorithm>

#include "batch/choose.h"
#include "facts/entry_facts.h"
#include "facts/fact_wish.h"
#include "facts/learn.h"
#include "files/path.h"
#include "files/small_file.h"
#include "select/amounts.h"

namespace tavlo {

namespace {

constexpr std::string_view from_standard_input = "-";

Result<Selector> selector_for(const CriteriaText& files, std::int64_t now_ns) {
    if (files.empty()) return Selector();
    const auto criteria = criteria_from(files, now_ns);
    if (!criteria) return failure(criteria.error());
    const auto kinds = load_kinds();
    if (!kinds) return failure(kinds.error());
    return Selector::make(*criteria, *kinds);
}

std::vector<Error> misses_of(const std::vector<ListedName>& listed, const std::string& list) {
    const std::string path = list == from_standard_input ? "standard input" : list;
    std::vector<Error> misses;
    if (listed.empty()) misses.push_back({Fault::not_found, 0, "the list names nothing", path});
    for (const ListedName& one : listed)
        if (one.fits.empty())
            misses.push_back(
                {Fault::not_found, 0, fmt::format("line {}: nothing fits '{}'", one.line, one.text), path});
    return misses;
}

Result<Batch> choose_by_facts(FileSystem& disk, const Batch& batch, const Selection& what,
                              std::int64_t now_ns, KnownFileFacts& told, FactsMemory* memory,
                              const std::stop_token& stop,
                              const std::function<void(std::size_t, std::size_t)>& progress) {
    const auto wishes = fact_wishes_from(what.files.with);
    if (!wishes) return failure(wishes.error());
    auto kinds = load_kinds();
    if (!kinds) return failure(kinds.error());
    const bool in_files = std::any_of(wishes->begin(), wishes->end(),
                                      [](const FactWish& one) { return one.fact->of != KnownFact::Of::all; });
    if (in_files)
        if (auto learnt = learn_facts(disk, batch, files_of(batch), told, memory, stop, progress); !learnt)
            return failure(learnt.error());
    const EntryFacts facts(batch, std::move(*kinds), now_ns, std::make_shared<const KnownFileFacts>(told));
    const auto fits = [&](EntryId id) {
        return std::all_of(wishes->begin(), wishes->end(), [&](const FactWish& one) {
            return one.fits(facts.find(id, batch.entries[id].name, 0, one.fact->name));
        });
    };
    return choose(batch, fits, what.keeps_empty_folders);
}

}  // namespace

GatherOptions gathering_of(const Job& job, GatherOptions options) {
    options.follow_links = job.what.follow_links;
    options.archives = traits_of(job.operation).opens_archives;
    if (job.what.chooses_folders()) return options;
    if (job.operation == Operation::rename && !job.structure.contents) options.depth = 0;
    if (job.operation == Operation::remove && !job.what.chooses_files())
        options.depth = job.structure.contents ? 1 : 0;
    return options;
}

Result<std::optional<std::uint64_t>> folder_size_from(const Selection& what) {
    if (!what.folders_larger) return std::optional<std::uint64_t>{};
    if (const auto size = size_from_text(*what.folders_larger)) return size;
    return failure(Fault::refused,
                   "wants a size such as 500, 20K, 1.5M or 2G, not '" + printable(*what.folders_larger) + "'",
                   "folders_larger");
}

Result<Chosen> gather_chosen(FileSystem& disk, const Job& job, std::int64_t now_ns,
                             const GatherOptions& options, FactsMemory* memory,
                             const std::function<void(std::size_t, std::size_t)>& told) {
    const Selection& what = job.what;
    const auto selector = selector_for(what.files, now_ns);
    if (!selector) return failure(selector.error());
    std::string list;
    if (what.list) {
        auto read = *what.list == from_standard_input ? read_small(STDIN_FILENO, "standard input")
                                                      : read_small_file(*what.list);
        if (!read) return failure(read.error());
        list = std::move(*read);
    }
    auto batch = gather(disk, what.sources, gathering_of(job, options));
    if (!batch) return failure(batch.error());
    if (!what.not_below.empty()) batch = leave_out_folders(*batch, what.not_below);
    if (what.chooses_folders()) {
        const auto larger = folder_size_from(what);
        if (!larger) return failure(larger.error());
        batch = choose_folders(*batch, {*larger, what.empty_folders, job.structure.contents});
    }
    if (!selector->lets_all_through()) batch = choose(*batch, *selector, what.keeps_empty_folders);
    const auto facts = std::make_shared<KnownFileFacts>();
    if (!what.files.with.empty()) {
        batch = choose_by_facts(disk, *batch, what, now_ns, *facts, memory, options.stop, told);
        if (!batch) return failure(batch.error());
    }
    if (!what.list) return Chosen{std::move(*batch), {}, facts};
    auto chosen = choose(*batch, list, what.keeps_empty_folders);
    return Chosen{std::move(chosen.batch), misses_of(chosen.listed, *what.list), facts};
}

}  // namespace tavlo
