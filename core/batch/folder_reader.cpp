// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "batch/folder_reader.h"

#include <algorithm>
#include <span>

#include "archive/archive_files.h"
#include "files/parallel.h"

namespace tavlo {

namespace {

constexpr std::size_t at_a_time = 512;     // names
constexpr std::size_t most_listings = 16;  // folders that are read before the walk comes to them

std::vector<Name> sorted(std::vector<Name> names) {
    std::sort(names.begin(), names.end(), [](const Name& a, const Name& b) { return a.bytes < b.bytes; });
    return names;
}

std::vector<Result<Status>> look_at(FileSystem& disk, const Handle& folder, std::span<const Name> names) {
    std::vector<Result<Status>> found;
    found.reserve(names.size());
    for (const Name& name : names) found.push_back(disk.status(folder, name.bytes));
    return found;
}

std::span<const Name> some_of(const std::vector<Name>& names, std::size_t from) {
    return std::span(names).subspan(from, std::min(at_a_time, names.size() - from));
}

}  // namespace

FolderReader::FolderReader(FileSystem& disk, FolderHandles& handles)
    : disk_(disk), handles_(handles), threads_(useful_threads() - 1) {}

Result<FolderReader::Names> FolderReader::list(FolderId folder) {
    const auto handle = handles_.open(folder);
    auto names = handle ? disk_.list(**handle) : Result<std::vector<Name>>(failure(handle.error()));
    if (!names) return failure(names.error());
    return std::make_shared<const std::vector<Name>>(sorted(std::move(*names)));
}

FolderReader::Listing FolderReader::read(FileSystem& disk, const Handle& around, const std::string& name) {
    const auto inside = disk.open_folder_in(around, name);
    const auto status = inside ? disk.status(*inside) : Result<Status>(failure(inside.error()));
    auto list = status ? disk.list(*inside) : Result<std::vector<Name>>(failure(status.error()));
    if (!list) return {};
    auto all = std::make_shared<const std::vector<Name>>(sorted(std::move(*list)));
    auto first = look_at(disk, *inside, some_of(*all, 0));
    return {std::move(all), std::move(first), status->id};
}

void FolderReader::expect(std::shared_ptr<const Handle> around, std::string name) {
    auto how = [&disk = disk_, around = std::move(around), name]() -> Listing {
        const auto there = disk.status(*around, name);  // an archive could be opened like a folder
        return there && there->type == FileType::folder ? read(disk, *around, name) : Listing{};
    };
    expected_.push_back({std::move(name), threads_.ask<Listing>(std::move(how))});
}

void FolderReader::come_to(const std::string& name) {
    met_ = nullptr;
    const auto same = [&](const Expected& one) { return one.name == name; };
    const auto found = std::find_if(expected_.begin(), expected_.end(), same);
    if (found == expected_.end()) return;
    met_ = found->listing;
    expected_.erase(expected_.begin(), found + 1);
}

Result<void> FolderReader::enter(FolderId folder, const Identity& id, bool goes_deeper) {
    const auto asked = std::exchange(met_, nullptr);
    Listing listing = asked ? take(*asked) : Listing{};
    if (!listing.names ||
        !listing.id.same_thing(id)) {  // as it is now, with the reason where it cannot be read
        auto names = list(folder);
        if (!names) return failure(names.error());
        listing = {std::move(*names), {}, id};
    }
    levels_.push_back({folder, goes_deeper, std::move(listing.names), 0, 0, std::move(listing.first)});
    if (!levels_.back().found.empty()) ask_ahead(levels_.back());
    return {};
}

/// While another thread is at it, those that come after it are seen to here.
FolderReader::Listing FolderReader::take(Ahead<Listing>& wanted) {
    const auto see_to = [&](const auto& behind) {
        for (auto next = behind.begin(); next != behind.end() && !wanted.is_done(); ++next)
            (void)next->listing->do_unless_begun();
    };
    if (!wanted.do_unless_begun()) levels_.empty() ? see_to(expected_) : see_to(levels_.back().asked);
    return wanted.take();
}

void FolderReader::leave() {
    met_ = nullptr;
    listings_ -= levels_.back().asked.size();
    levels_.pop_back();
    if (!levels_.empty()) ask_ahead(levels_.back());
}

FolderReader::Met FolderReader::next() {
    Level& level = levels_.back();
    if (level.next == level.from + level.found.size()) look(level);
    const std::size_t at = level.next++;
    met_ = nullptr;
    for (; !level.asked.empty() && level.asked.front().at <= at; level.asked.pop_front()) {
        if (level.asked.front().at == at) met_ = level.asked.front().listing;
        --listings_;
    }
    return {(*level.names)[at], std::move(level.found[at - level.from])};
}

/// What the next names of a folder are.
void FolderReader::look(Level& level) {
    level.from = level.next;
    if (const auto coming = std::exchange(level.coming, nullptr)) {
        level.found = coming->take();
    } else if (const auto handle = handles_.open(level.folder)) {
        level.found = look_at(disk_, **handle, some_of(*level.names, level.from));
    } else {
        level.found.assign(some_of(*level.names, level.from).size(), failure(handle.error()));
    }
    ask_ahead(level);
}

bool FolderReader::is_to_be_asked(const Level& level, std::size_t at) const {
    const auto& status = level.found[at - level.from];
    return at >= level.next && status && status->type == FileType::folder && !status->mount_point &&
           !is_packed(status->id);  // what is in an archive is read from one end to the other, by one
}

/// The names behind those that are known, and the folders among these.
void FolderReader::ask_ahead(Level& level) {
    const std::size_t known = level.from + level.found.size();
    const bool all_known = known == level.names->size();
    const bool full = listings_ >= most_listings || !level.goes_deeper;
    if (!threads_.has_some() || ((all_known || level.coming) && (full || level.offered == known))) return;
    const auto handle = handles_.open(level.folder);
    if (!handle) return;
    level.offered = std::max(level.offered, level.from);
    for (; level.goes_deeper && level.offered < known && listings_ < most_listings; ++level.offered) {
        if (!is_to_be_asked(level, level.offered)) continue;
        const auto how = [&disk = disk_, around = *handle, names = level.names, at = level.offered] {
            return read(disk, *around, (*names)[at].bytes);
        };
        level.asked.push_back({level.offered, threads_.ask<Listing>(how)});
        ++listings_;
    }
    if (all_known || level.coming) return;
    level.coming = threads_.ask<Statuses>([&disk = disk_, folder = *handle, names = level.names, known] {
        return look_at(disk, *folder, some_of(*names, known));
    });
}

}  // namespace tavlo
