// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "job/naming.h"

#include <algorithm>
#include <memory>
#include <unordered_set>

#include "facts/entry_facts.h"
#include "files/path.h"
#include "files/small_file.h"

namespace tavlo {

namespace {

/// Which entries of a batch are to have names by the steps.
class Meant {
public:
    Meant(const Job& job, const Batch& batch) : job_(job), batch_(batch) {
        // what was named in a folder that was named too has come with that
        std::vector<std::string> sources;
        for (const auto& source : job.what.sources) sources.push_back(normalised(source, "/"));
        std::sort(sources.begin(), sources.end());
        const std::string* outer = nullptr;
        for (const auto& source : sources) {
            if (outer != nullptr && is_within(source, *outer))
                named_inside_.insert(source);
            else
                outer = &source;
        }
    }

    bool operator()(EntryId id) const {
        const Entry& entry = batch_.entries[id];
        const bool is_folder = entry.status.type == FileType::folder;
        if (job_.operation != Operation::rename) return !is_folder;
        const bool is_named = batch_.is_named(entry);
        if (job_.what.chooses_folders()) return entry.picked && !(job_.structure.contents && is_named);
        if (!job_.structure.contents)
            return is_named || (!named_inside_.empty() && named_inside_.contains(batch_.source_path(entry)));
        if (is_named) return false;
        const bool direct = batch_.is_named(batch_.entries[entry.parent]);
        if (job_.structure.subfolders == Subfolders::none && !direct) return false;
        return !is_folder || job_.structure.folders_too;
    }

private:
    const Job& job_;
    const Batch& batch_;
    std::unordered_set<std::string> named_inside_;
};

struct Given {
    std::vector<Wanted> names;  ///< by entry
    std::vector<bool> meant;
};

}  // namespace

Result<NamesGiven> give_names(const Asked& asked, const Batch& batch, std::int64_t now_ns) {
    const Job& job = asked.job;
    const TypedNames& typed = asked.typed;
    auto namer = Namer::make(job.naming, [](const std::string& path) { return read_small_file(path); });
    if (!namer) return failure(namer.error());
    auto kinds = load_kinds();
    if (!kinds) return failure(kinds.error());
    const EntryFacts facts(batch, std::move(*kinds), now_ns, asked.facts, asked.said);
    const auto given = std::make_shared<Given>();
    given->names.resize(batch.entries.size());
    given->meant.resize(batch.entries.size());
    const Meant is_meant(job, batch);
    std::uint64_t n = job.naming.count_from;
    for (EntryId id = 0; id < batch.entries.size(); ++id) {
        const Entry& entry = batch.entries[id];
        if (!is_meant(id)) continue;
        given->meant[id] = true;
        auto name = namer->name(
            entry.name, entry.status.type,
            [&](std::string_view fact, std::string_view now) { return facts.find(id, now, n, fact); });
        n += job.naming.count_by;
        const auto by_hand = typed.empty() ? typed.end() : typed.find(batch.source_path(entry));
        if (by_hand != typed.end() && by_hand->second.of == entry.status.id) {
            given->names[id].name = by_hand->second.name;
        } else if (name) {
            given->names[id].name = std::move(*name);
        } else {
            given->names[id].name = entry.name;
            Error why = name.error();
            why.path = batch.source_path(entry);
            given->names[id].problem = std::make_shared<const Error>(std::move(why));
        }
    }
    NamesGiven out;
    out.misses = namer->misses();
    out.wanted = [given](EntryId id) {
        return given->meant[id] ? std::optional(given->names[id]) : std::nullopt;
    };
    return out;
}

}  // namespace tavlo
