// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <iostream>

#include "batch/gather.h"
#include "commands.h"
#include "facts/entry_facts.h"
#include "facts/reader.h"
#include "files/path.h"
#include "keep/documents.h"
#include "report.h"
#include "streams.h"

using namespace tavlo;

namespace {

/// All that is known of one thing, in the order that facts are listed in.
FileFacts all_facts(const Batch& batch, const Kinds& kinds, FileFacts&& told) {
    const auto known = std::make_shared<KnownFileFacts>();
    known->learn(batch.entries[0].status, std::make_shared<const FileFacts>(std::move(told)));
    const EntryFacts facts(batch, kinds, 0, known);
    FileFacts all;
    for (const KnownFact& one : known_facts()) {
        if (one.name == "n" || one.name == "now") continue;  // of a batch, and of a run
        auto fact = facts.find(0, batch.entries[0].name, 0, one.name);
        const bool is_part = one.name == "date" || one.name == "time";  // of a moment: told as it is written
        if (fact && is_part) fact = as_in_a_name(one, *fact).value_or("");
        if (fact) all.set(one.name, std::move(*fact));
    }
    return all;
}

void print(const std::string& path, const FileFacts& facts) {
    std::cout << printable(path) << '\n';
    for (const auto& [name, fact] : facts.all()) {
        std::cout << name << '\t';
        if (const auto* text = std::get_if<std::string>(&fact)) std::cout << printable(*text);
        if (const auto* number = std::get_if<std::uint64_t>(&fact)) std::cout << *number;
        if (const auto* moment = std::get_if<Moment>(&fact)) std::cout << written(*moment);
        std::cout << '\n';
    }
}

}  // namespace

int show_facts(FileSystem& disk, const Arguments& arguments) {
    const auto kinds = load_kinds();
    if (!kinds) return refuse_for(kinds.error());
    std::vector<Batch> things;
    std::vector<std::string> paths;
    int status = done;
    for (const auto& source : arguments.job.what.sources) {
        auto batch = gather(disk, {source}, {.depth = 0});
        if (!batch) {
            status = failed_for(batch.error());
            continue;
        }
        const Entry& entry = batch->entries.front();
        paths.push_back(entry.status.type == FileType::file ? batch->source_path(entry) : std::string());
        things.push_back(std::move(*batch));
    }
    std::vector<FileFacts> told(things.size());
    FactReader reader;
    if (auto read =
            reader.read(paths, [&](std::size_t at, FileFacts&& facts) { told[at] = std::move(facts); });
        !read)
        return refuse_for(read.error());
    std::vector<std::pair<std::string, FileFacts>> files;
    for (std::size_t at = 0; at < things.size(); ++at) {
        const Batch& batch = things[at];
        files.emplace_back(batch.source_path(batch.entries.front()),
                           all_facts(batch, *kinds, std::move(told[at])));
    }
    if (arguments.json)
        write_facts(std::cout, files);
    else
        for (const auto& [path, facts] : files) print(path, facts);
    return status;
}
