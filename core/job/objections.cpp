// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "job/objections.h"

#include <algorithm>
#include <utility>

#include "archive/format.h"
#include "facts/fact_wish.h"
#include "files/path.h"
#include "job/choosing.h"
#include "job/packing.h"
#include "names/pattern.h"
#include "plan/traits.h"
#include "select/kinds.h"

namespace tavlo {

namespace {

Error about(std::string member, std::string why) {
    return {Fault::refused, 0, std::move(why), std::move(member)};
}

std::optional<Error> objection_to_selection(const Selection& what, std::int64_t now_ns) {
    const auto criteria = criteria_from(what.files, now_ns);
    if (!criteria) return about(criteria.error().path, criteria.error().step);
    const auto kinds = load_kinds();
    if (!kinds) return kinds.error();
    if (const auto selector = Selector::make(*criteria, *kinds); !selector)
        return about(what.files.regex ? "regex" : "kind", reason(selector.error()));
    if (const auto wishes = fact_wishes_from(what.files.with); !wishes)
        return about("with", wishes.error().step);
    if (const auto size = folder_size_from(what); !size) return about("folders_larger", size.error().step);
    if (what.folders_larger && what.empty_folders)
        return about("empty_folders", "goes not with folders_larger");
    if (what.chooses_folders() && (!what.files.empty() || what.list))
        return about(what.empty_folders ? "empty_folders" : "folders_larger",
                     "goes with no member that chooses files");
    return std::nullopt;
}

std::optional<Error> objection_to_structure(const Job& job) {
    const Structure& structure = job.structure;
    const bool says_subfolders = structure.subfolders != Subfolders::all || job.what.keeps_empty_folders;
    if (structure.flatten && says_subfolders) return about("flatten", "and subfolders exclude each other");
    if (structure.flatten && !structure.kept_from.empty())
        return about("flatten", "and keep_from exclude each other");
    if (structure.sort_into.empty()) return std::nullopt;
    if (structure.flatten || says_subfolders || !structure.kept_from.empty())
        return about("sort_into", std::string("and ") +
                                      (structure.flatten ? "flatten"
                                       : says_subfolders ? "subfolders"
                                                         : "keep_from") +
                                      " exclude each other");
    if (const auto pattern = Pattern::parse_folders(structure.sort_into); !pattern)
        return about("sort_into", pattern.error().step);
    return std::nullopt;
}

/// Members that the operation has no use for.
std::optional<Error> objection_to_rest(const Job& job) {
    const Operation does = job.operation;
    const bool transfers = does == Operation::copy || does == Operation::move;
    const bool arrives_in_folder = transfers || does == Operation::unpack;
    const std::pair<const char*, bool> useless[] = {
        {"into", !job.into.empty() && !traits_of(does).makes_destination && does != Operation::make},
        {"keep_from", !job.structure.kept_from.empty() && !transfers},
        {"sort_into", !job.structure.sort_into.empty() && !arrives_in_folder},
        {"flatten", job.structure.flatten && !traits_of(does).makes_destination},
        {"folders", job.structure.folders_too && does != Operation::rename},
        {"clear", job.clearing != Clearing::none && !arrives_in_folder},
        {"look_elsewhere", job.look_elsewhere && !transfers},
        {"lose_attributes", job.may_lose && !transfers},
        {"verify", job.verify != Verify::automatic && !arrives_in_folder},
        {"to", job.shelf != Shelf::safe && does != Operation::remove},
        {"names", !job.naming.empty() && does == Operation::remove},
        {"then_remove", job.then_remove && does != Operation::pack},
        {"compression", job.press != Press::normal && does != Operation::pack},
        {"make", !job.make.empty() && does != Operation::make},
    };
    for (const auto& [member, is_useless] : useless)
        if (is_useless) return about(member, "is nothing that " + std::string(to_text(does)) + " knows");
    return std::nullopt;
}

}  // namespace

std::optional<Error> objection_to(const Job& job, std::int64_t now_ns) {
    if (job.operation != Operation::make && job.what.sources.empty()) return about("sources", "is missing");
    if (std::find(job.what.sources.begin(), job.what.sources.end(), "") != job.what.sources.end())
        return about("sources", "holds a path that is empty");
    if (job.into.empty() && traits_of(job.operation).makes_destination) return about("into", "is missing");
    if (auto useless = objection_to_rest(job)) return useless;
    if (job.operation == Operation::rename && job.naming.empty())
        return about("names", "is missing: a new name wants a step");
    if (job.operation == Operation::pack)
        if (auto why = objection_to_archive(job.into); !why.empty()) return about("into", why);
    // tables of names are looked for when the step begins
    const auto no_table = [](const std::string&) { return Result<std::string>(std::string()); };
    if (const auto namer = Namer::make(job.naming, no_table); !namer)
        return about("names." + namer.error().path, namer.error().step);
    if (auto structure = objection_to_structure(job)) return structure;
    return objection_to_selection(job.what, now_ns);
}

}  // namespace tavlo
