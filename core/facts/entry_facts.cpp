// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "facts/entry_facts.h"

#include <pwd.h>

#include <array>

#include "files/path.h"
#include "names/letters.h"
#include "names/names.h"
#include "select/numbers.h"

namespace tavlo {

namespace {

std::string user_name(std::uint32_t user) {
    std::array<char, 4096> buffer{};
    passwd entry{};
    passwd* found = nullptr;
    const bool known =
        ::getpwuid_r(user, &entry, buffer.data(), buffer.size(), &found) == 0 && found != nullptr;
    return known ? found->pw_name : std::to_string(user);
}

}  // namespace

std::optional<Fact> EntryFacts::of_name(std::string_view name, FileType type, std::string_view fact) const {
    const auto start = extension_start(name, type);
    if (fact == "name") return Fact(std::string(name.substr(0, start)));
    if (fact == "ext")
        return start == name.size() ? std::nullopt : std::optional<Fact>(std::string(name.substr(start)));
    if (fact == "initial") return Fact(initial_of(name));
    if (fact == "kind") {
        const Kind* kind = type == FileType::folder ? nullptr : kinds_.of(name);
        return kind == nullptr ? std::nullopt : std::optional<Fact>(kind->name);
    }
    const auto numbers = fact == "number" ? numbers_in(name.substr(0, start)) : std::vector<NumberInName>();
    return numbers.empty() ? std::nullopt : std::optional<Fact>(numbers.back().value);
}

/// Between the source folder and it.
std::string EntryFacts::folders(const Entry& entry) const {
    std::string path;
    for (EntryId above = entry.parent; above != no_entry && !batch_.is_named(batch_.entries[above]);
         above = batch_.entries[above].parent)
        path = path.empty() ? batch_.entries[above].name : batch_.entries[above].name + "/" + path;
    return path;
}

const Fact* EntryFacts::said(const Entry& entry, std::string_view fact) const {
    if (said_.empty()) return nullptr;
    const auto found = said_.find(batch_.source_path(entry));
    return found != said_.end() && found->second.of == entry.status.id ? found->second.facts.find(fact)
                                                                       : nullptr;
}

std::optional<Fact> EntryFacts::find(EntryId id, std::string_view name, std::uint64_t n,
                                     std::string_view fact) const {
    const Entry& entry = batch_.entries[id];
    if (const Fact* one = said(entry, fact)) return *one;
    if (fact == "n") return Fact(n);
    if (fact == "now") return Fact(Moment{now_ns_});
    if (fact == "size") return Fact(entry.status.id.size_bytes);
    if (fact == "owner") return Fact(user_name(entry.status.owner));
    if (fact == "changed" || fact == "date" || fact == "time")
        return Fact(Moment{entry.status.id.modified_ns});
    if (fact == "folder") return Fact(std::string(name_of(batch_.folders.path(entry.folder))));
    if (fact == "folders") {
        std::string between = folders(entry);
        return between.empty() ? std::nullopt : std::optional<Fact>(std::move(between));
    }
    if (const KnownFact* known = known_fact(fact); known != nullptr && known->of == KnownFact::Of::all)
        return of_name(name, entry.status.type, fact);
    const FileFacts* told = told_ ? told_->find(entry.status) : nullptr;
    const Fact* one = told != nullptr ? told->find(fact) : nullptr;
    return one != nullptr ? std::optional(*one) : std::nullopt;
}

}  // namespace tavlo
