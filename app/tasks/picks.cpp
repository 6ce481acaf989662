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
    return found == by_folder_.end() ? Names() : Names(found->second.names.begin(), found->second.names.end());
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
    const auto is_news = [&](const std::string& name) { return known.names.contains(name) != wanted.in; };
    if (!std::all_of(wanted.names->begin(), wanted.names->end(), is_news)) {
        Names news;
        std::copy_if(wanted.names->begin(), wanted.names->end(), std::back_inserter(news), is_news);
        change.names = std::make_shared<const Names>(std::move(news));
    }
    const auto before = known.names.size();
    if (wanted.in) {
        known.names.reserve(before + change.names->size());
        known.names.insert(change.names->begin(), change.names->end());
        known.storage.push_back(change.names);
    } else {
        for (const std::string& name : *change.names) known.names.erase(name);
    }
    count_ += known.names.size();
    count_ -= before;
    if (known.names.empty()) by_folder_.erase(wanted.folder);
    return change;
}

std::vector<Picks::Change> Picks::changesTo(const Names& paths) const {
    ByFolder wanted;
    for (const auto& path : paths) wanted[std::string(parent_of(path))].emplace_back(name_of(path));
    std::vector<Change> changes;
    for (const auto& [folder, picked] : by_folder_) changes.push_back(Change::of(folder, namesIn(folder), false));
    for (auto& [folder, names] : wanted) changes.push_back(Change::of(folder, std::move(names), true));
    return changes;
}
