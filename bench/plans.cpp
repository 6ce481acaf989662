// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <fcntl.h>
#include <fmt/format.h>
#include <unistd.h>

#include <cstdio>
#include <optional>
#include <string>
#include <vector>

#include "job/prepare.h"
#include "keep/store.h"
#include "works.h"

using namespace tavlo;
namespace fs = std::filesystem;

namespace {

/// A whole job over what is nearly all the same already; against a walk that looks at both sides.
void again(const Workplace& place, int files) {
    constexpr int fresh = 12;
    std::vector<fs::path> there;
    for (const auto& entry : fs::recursive_directory_iterator(place.folder / "to"))
        if (entry.is_regular_file()) there.push_back(entry.path());
    const auto some_are_gone = [&] {
        for (std::size_t at = 0; at < fresh; ++at) fs::remove(there[at * there.size() / fresh]);
    };
    const auto look = [&] {
        bare_walk(::open((place.folder / "from").c_str(), O_RDONLY | O_DIRECTORY));
        bare_walk(::open((place.folder / "to").c_str(), O_RDONLY | O_DIRECTORY));
    };
    std::vector<double> looking;
    std::vector<double> planned;
    std::vector<double> doing;
    for (int round = 0; round < rounds(); ++round) {
        some_are_gone();
        looking.push_back(seconds(look));
        doing.push_back(seconds([&] {
            planned.push_back(
                place.carry_out_job(Operation::copy, place.folder / "from", place.folder / "to"));
        }));
    }
    row(fmt::format("  copy all of them, of which {} are new", fresh), median(looking), median(doing));
    std::printf("%-44s %41.3f s\n", "  of this until there is a plan", median(planned));
    count_calls(
        files, look,
        [&] { place.carry_out_job(Operation::copy, place.folder / "from", place.folder / "to"); },
        some_are_gone);
}

}  // namespace

void plans(const Workplace& place, int files) {
    for (int folder = 0; folder < files / 1000; ++folder) {
        const fs::path inside = place.folder / "from" / std::to_string(folder / 100) / std::to_string(folder);
        fs::create_directories(inside);
        for (int i = 0; i < 1000; ++i)
            ::close(::open(
                (inside / ("invoice-" + std::to_string(folder) + "-" + std::to_string(i) + ".pdf")).c_str(),
                O_CREAT | O_WRONLY, 0644));
    }
    Job job;
    job.what.sources = {place.folder / "from"};
    job.into = place.folder / "to";
    std::vector<double> bare;
    std::vector<double> ours;
    std::uint64_t entries = 0;
    std::uint64_t bytes = 0;
    for (int round = 0; round < rounds(); ++round) {
        bare.push_back(
            seconds([&] { entries = bare_walk(::open(place.folder.c_str(), O_RDONLY | O_DIRECTORY)); }));
        const std::uint64_t before = memory_bytes();
        const auto disk = make_disk();
        std::optional<Outlook> outlook;
        ours.push_back(seconds([&] {
            auto planned = prepare(*disk, job);
            check(planned.has_value(), "plan");
            outlook = std::move(*planned);
        }));
        if (round == 0) bytes = (memory_bytes() - before) / outlook->plan->items.size();
    }
    row("plan " + std::to_string(entries) + " entries", median(bare), median(ours));
    std::printf("%-48s %llu bytes of memory for each entry\n", "", static_cast<unsigned long long>(bytes));
    fs::remove_all(place.folder / "from");
}

void same(const Workplace& place, int files, std::size_t bytes, bool as_a_job) {
    make_files(place.folder / "from", files, bytes);
    fs::copy(place.folder / "from", place.folder / "to", fs::copy_options::recursive);
    for (const auto& entry : fs::recursive_directory_iterator(place.folder / "from"))
        if (entry.is_regular_file())
            fs::last_write_time(place.folder / "to" / fs::relative(entry.path(), place.folder / "from"),
                                entry.last_write_time());
    std::vector<double> reading;
    std::vector<double> comparing;
    std::vector<double> looking;
    std::vector<double> remembering;
    const auto disk = make_disk();
    Job job;
    job.what.sources = {place.folder / "from"};
    job.into = place.folder / "to";
    job.structure.contents = true;
    job.policy.when[static_cast<std::size_t>(Finding::same)] = Decision::skip;
    for (int round = 0; round < rounds(); ++round) {
        reading.push_back(seconds([&] { bare_read(place.folder / "from", place.folder / "to"); }));
        KnownContents known;
        const auto batch = gather(*disk, job.what.sources);
        check(batch.has_value(), "gather");
        const auto outlook = look_ahead(*disk, job, std::make_shared<const Batch>(std::move(*batch)), known);
        check(outlook.has_value(), "plan");
        comparing.push_back(seconds(
            [&] { check(compare_pairs(*disk, *outlook->plan, known, nullptr).has_value(), "compare"); }));
    }
    place.carry_out_job(Operation::copy, place.folder / "from", place.folder / "to");
    for (int round = 0; round < rounds(); ++round) {
        looking.push_back(seconds([&] {
            bare_walk(::open((place.folder / "from").c_str(), O_RDONLY | O_DIRECTORY));
            bare_walk(::open((place.folder / "to").c_str(), O_RDONLY | O_DIRECTORY));
        }));
        const auto store = Store::open(place.folder / "state");
        remembering.push_back(seconds([&] {
            const auto outlook = prepare(*disk, job, store->get());
            check(outlook && outlook->plan->totals.of(Outcome::skipped) == static_cast<std::uint64_t>(files),
                  "all the same");
        }));
    }
    row("compare " + std::to_string(files) + " pairs of " + std::to_string(bytes) + " bytes", median(reading),
        median(comparing));
    row("plan " + std::to_string(files) + " that are the same already", median(looking), median(remembering));
    if (as_a_job) again(place, files);
    fs::remove_all(place.folder / "from");
    fs::remove_all(place.folder / "to");
}
