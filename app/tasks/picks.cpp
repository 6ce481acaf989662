// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/picks.h"

#include <algorithm>

#include "archive/format.h"
#include "files/path.h"

using namespace tavlo;

bool Picks::Picked::contains(const std::string& name) const {
    return sorted_ ? std::binary_search(sorted_->begin(), sorted_->end(), name) : names_.contains(name);
}

std::vector<std::string_view> Picks::Picked::names() const {
    if (sorted_) return {sorted_->begin(), sorted_->end()};
    return {names_.begin(), names_.end()};
}

std::vector<bool> Picks::Picked::note(const std::shared_ptr<const Names>& names, bool in) {
    if (noteAll(names, in)) return std::vector<bool>(names->size(), true);
    takeApart();
    if (in) {
        names_.reserve(names_.size() + names->size());
        storage_.push_back(names);
    }
    std::vector<bool> changed(names->size());
    for (std::size_t at = 0; at < changed.size(); ++at) {
        const std::string& name = (*names)[at];
        changed[at] = in ? names_.insert(name).second : names_.erase(name) > 0;
    }
    return changed;
}

/// All of them come, in their order, or all go as they came: none is looked for.
bool Picks::Picked::noteAll(const std::shared_ptr<const Names>& names, bool in) {
    if (!in) {
        const bool all_go = sorted_ && (sorted_ == names || *sorted_ == *names);
        if (all_go) sorted_ = nullptr;
        return all_go;
    }
    const auto not_before = [](const std::string& one, const std::string& next) { return one >= next; };
    if (size() > 0 || names->empty() ||
        std::adjacent_find(names->begin(), names->end(), not_before) != names->end())
        return false;
    sorted_ = names;
    return true;
}

void Picks::Picked::takeApart() {
    const auto all = std::exchange(sorted_, nullptr);
    if (!all) return;
    names_.insert(all->begin(), all->end());
    storage_.push_back(all);
}

bool Picks::contain(const std::string& folder, const std::string& name) const {
    const auto found = by_folder_.find(folder);
    return found != by_folder_.end() && found->second.contains(name);
}

std::size_t Picks::in(const std::string& folder) const {
    const auto found = by_folder_.find(folder);
    return found == by_folder_.end() ? 0 : found->second.size();
}

Picks::Names Picks::folders() const {
    Names folders;
    for (const auto& [folder, picked] : by_folder_) folders.push_back(folder);
    return folders;
}

Picks::Names Picks::namesIn(const std::string& folder) const {
    const auto found = by_folder_.find(folder);
    if (found == by_folder_.end()) return {};
    const auto names = found->second.names();
    return {names.begin(), names.end()};
}

Picks::Names Picks::paths() const {
    Names paths;
    paths.reserve(count_);
    for (const auto& [folder, picked] : by_folder_) {
        auto names = picked.names();
        std::sort(names.begin(), names.end());
        for (const auto& name : names) paths.push_back(join(folder, name));
    }
    return paths;
}

bool Picks::areArchivesAlone() const {
    const auto is_archive = [](std::string_view name) { return looks_like_archive(name); };
    return !by_folder_.empty() && std::all_of(by_folder_.begin(), by_folder_.end(), [&](const auto& folder) {
        const auto names = folder.second.names();
        return std::all_of(names.begin(), names.end(), is_archive);
    });
}

Picks::Change Picks::note(const Change& wanted) {
    Picked& known = by_folder_[wanted.folder];
    Change change = wanted;
    const auto before = known.size();
    const std::vector<bool> is_news = known.note(wanted.names, wanted.in);
    if (std::find(is_news.begin(), is_news.end(), false) != is_news.end()) {
        Names names;
        for (std::size_t at = 0; at < is_news.size(); ++at)
            if (is_news[at]) names.push_back((*wanted.names)[at]);
        change.names = std::make_shared<const Names>(std::move(names));
    }
    count_ += known.size();
    count_ -= before;
    if (known.size() == 0) by_folder_.erase(wanted.folder);
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
