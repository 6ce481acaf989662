// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/picks.h"

#include <algorithm>

#include "archive/format.h"
#include "files/path.h"

using namespace tavlo;

bool Picks::contain(const std::string& folder, const std::string& name) const {
    const auto found = by_folder_.find(folder);
    return found != by_folder_.end() && found->second.names.contains(name);
}

std::size_t Picks::in(const std::string& folder) const {
    const auto found = by_folder_.find(folder);
    return found == by_folder_.end() ? 0 : found->second.names.size();
}

Picks::Names Picks::folders() const {
    Names folders;
    for (const auto& [folder, picked] : by_folder_) folders.push_back(folder);
    return folders;
}

Picks::Names Picks::namesIn(const std::string& folder) const {
    const auto found = by_folder_.find(folder);
    return found == by_folder_.end() ? Names()
                                     : Names(found->second.names.begin(), found->second.names.end());
}

Picks::Names Picks::paths() const {
    Names paths;
    paths.reserve(count_);
    for (const auto& [folder, picked] : by_folder_) {
        std::vector<std::string_view> names(picked.names.begin(), picked.names.end());
        std::sort(names.begin(), names.end());
        for (const auto& name : names) paths.push_back(join(folder, name));
    }
    return paths;
}

bool Picks::areArchivesAlone() const {
    const auto is_archive = [](std::string_view name) { return looks_like_archive(name); };
    return !by_folder_.empty() && std::all_of(by_folder_.begin(), by_folder_.end(), [&](const auto& folder) {
        return std::all_of(folder.second.names.begin(), folder.second.names.end(), is_archive);
    });
}

Picks::Change Picks::note(const Change& wanted) {
    Picked& known = by_folder_[wanted.folder];
    Change change = wanted;
    const auto before = known.names.size();
    if (wanted.in) known.names.reserve(before + wanted.names->size());
    std::vector<bool> is_news(wanted.names->size());
    std::size_t news = 0;
    for (std::size_t at = 0; at < is_news.size(); ++at) {
        const std::string& name = (*wanted.names)[at];
        is_news[at] = wanted.in ? known.names.insert(name).second : known.names.erase(name) > 0;
        if (is_news[at]) ++news;
    }
    if (wanted.in) known.storage.push_back(wanted.names);
    if (news < is_news.size()) {
        Names names;
        for (std::size_t at = 0; at < is_news.size(); ++at)
            if (is_news[at]) names.push_back((*wanted.names)[at]);
        change.names = std::make_shared<const Names>(std::move(names));
    }
    count_ += known.names.size();
    count_ -= before;
    if (known.names.empty()) by_folder_.erase(wanted.folder);
    return change;
}

std::vector<Picks::Change> Picks::changesTo(const Names& paths) const {
    ByFolder wanted;
    auto last = wanted.end();  // of so many paths most lie where the one before lies
    for (const auto& path : paths) {
        const std::string_view folder = parent_of(path);
        if (last == wanted.end() || last->first != folder)
            last = wanted.try_emplace(std::string(folder)).first;
        last->second.emplace_back(name_of(path));
    }
    std::vector<Change> changes;
    for (const auto& [folder, picked] : by_folder_)
        changes.push_back(Change::of(folder, namesIn(folder), false));
    for (auto& [folder, names] : wanted) changes.push_back(Change::of(folder, std::move(names), true));
    return changes;
}
