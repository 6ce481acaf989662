// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "facts/learn.h"

#include <sys/mman.h>
#include <unistd.h>

#include <algorithm>
#include <cerrno>
#include <numeric>

#include "archive/members.h"
#include "facts/reader.h"
#include "files/contents.h"
#include "files/path.h"

namespace tavlo {

namespace {

constexpr std::size_t told_at_a_time = 1024;  // and remembered
// files out of archives that are held in memory together, for helpers to read; a larger one tells nothing
constexpr std::uint64_t held_at_a_time_bytes = 64 * 1024 * 1024;
constexpr std::size_t held_at_a_time = 64;

using Take = std::function<void(std::size_t, FileFacts&&)>;

/// A file's bytes in memory, which a helper opens by the path of this process's handle (proc(5)).
Result<Handle> held_in_memory(FileSystem& disk, const Handle& folder, const std::string& name) {
    const auto from = disk.open_file(folder, name);
    if (!from) return failure(from.error());
    Handle file(::memfd_create("tavlo", MFD_CLOEXEC), from->file.path());
    if (!file.is_open()) return failure(system_error(errno, "hold in memory", from->file.path()));
    auto read = read_pieces(disk, from->file, from->status, Meter{},
                            [&](std::uint64_t offset, std::span<const std::byte> piece) -> Result<void> {
                                const auto written = ::pwrite(file.descriptor(), piece.data(), piece.size(),
                                                              static_cast<off_t>(offset));
                                if (written == static_cast<ssize_t>(piece.size())) return {};
                                return failure(system_error(errno, "hold in memory", from->file.path()));
                            });
    if (!read) return failure(read.error());
    return file;
}

/// Of files that lie in archives; in the order of those, some at a time.
Result<void> read_packed(FileSystem& disk, const Batch& batch, const std::vector<EntryId>& files,
                         FactReader& reader, const Take& take, const std::stop_token& stop) {
    std::vector<std::size_t> order(files.size());
    std::iota(order.begin(), order.end(), std::size_t{0});
    std::stable_sort(order.begin(), order.end(), [&](std::size_t one, std::size_t other) {
        return batch.entries[files[one]].status.id.inode < batch.entries[files[other]].status.id.inode;
    });
    FolderHandles folders(disk, batch.folders);
    for (std::size_t at = 0; at < order.size();) {
        std::vector<Handle> held;
        std::vector<std::string> paths;
        std::vector<std::size_t> whose;
        for (std::uint64_t bytes = 0; at < order.size() && held.size() < held_at_a_time; ++at) {
            const Entry& entry = batch.entries[files[order[at]]];
            if (!held.empty() && bytes + entry.status.id.size_bytes > held_at_a_time_bytes) break;
            bytes += entry.status.id.size_bytes;
            const Place place = batch.place_of(entry);
            const auto folder = folders.open(place.folder);
            auto file = folder && entry.status.id.size_bytes <= held_at_a_time_bytes
                            ? held_in_memory(disk, **folder, place.name)
                            : Result<Handle>(failure(Fault::unsupported, "", ""));
            if (!file) {
                take(order[at], {});
                continue;
            }
            paths.push_back("/proc/" + std::to_string(::getpid()) + "/fd/" +
                            std::to_string(file->descriptor()));
            whose.push_back(order[at]);
            held.push_back(std::move(*file));
        }
        auto read = reader.read(
            paths, [&](std::size_t which, FileFacts&& facts) { take(whose[which], std::move(facts)); }, stop);
        if (!read) return read;
    }
    return {};
}

}  // namespace

std::vector<EntryId> files_of(const Batch& batch) {
    std::vector<EntryId> files;
    for (EntryId id = 0; id < batch.entries.size(); ++id)
        if (const Entry& entry = batch.entries[id]; entry.status.type == FileType::file && !entry.problem())
            files.push_back(id);
    return files;
}

Result<void> learn_facts(FileSystem& disk, const Batch& batch, const std::vector<EntryId>& of,
                         KnownFileFacts& known, FactsMemory* memory, const std::stop_token& stop,
                         const std::function<void(std::size_t, std::size_t)>& told) {
    const auto unknown = [&] {
        std::vector<EntryId> left;
        for (const EntryId id : of)
            if (known.find(batch.entries[id].status) == nullptr) left.push_back(id);
        return left;
    };
    std::vector<EntryId> left = unknown();
    if (left.empty()) return {};
    if (memory != nullptr) {  // what cannot be recalled is read again
        std::vector<Status> asked;
        for (const EntryId id : left)
            if (const Status& status = batch.entries[id].status; status.id.inodes_last())
                asked.push_back(status);
        (void)memory->recall_facts(asked, known);
        left = unknown();
    }
    std::vector<FactsMemory::Told> news;
    const auto remember = [&] {
        if (memory != nullptr && !news.empty())
            (void)memory->remember_facts(news);  // a help for next time, no more
        news.clear();
    };
    std::size_t done = of.size() - left.size();
    FactReader reader;
    const auto take = [&](EntryId id, FileFacts&& facts) {
        const Status& status = batch.entries[id].status;
        auto shared = std::make_shared<const FileFacts>(std::move(facts));
        known.learn(status, shared);
        if (status.id.inodes_last()) news.emplace_back(status, std::move(shared));
        if (news.size() >= told_at_a_time) remember();
        if (told) told(++done, of.size());
    };
    const auto packed = std::stable_partition(
        left.begin(), left.end(), [&](EntryId id) { return !is_packed(batch.entries[id].status.id); });
    std::vector<std::string> paths;
    for (auto id = left.begin(); id != packed; ++id) {
        const Place place = batch.place_of(batch.entries[*id]);
        paths.push_back(batch.folders.path_of(place.folder, place.name));
    }
    auto read = reader.read(
        paths, [&](std::size_t at, FileFacts&& facts) { take(left[at], std::move(facts)); }, stop);
    if (read && packed != left.end()) {
        const std::vector<EntryId> files(packed, left.end());
        read = read_packed(
            disk, batch, files, reader,
            [&](std::size_t at, FileFacts&& facts) { take(files[at], std::move(facts)); }, stop);
    }
    remember();
    return read;
}

}  // namespace tavlo
