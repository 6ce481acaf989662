// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "job/elsewhere.h"

#include <algorithm>
#include <unordered_map>
#include <unordered_set>

#include "files/contents.h"
#include "files/path.h"
#include "select/walk.h"

namespace tavlo {

namespace {

constexpr std::size_t remembered_at_a_time = 1024;

struct File {
    std::string path;
    Status status;
    std::string hash{};  ///< empty: not read, or not to be read
};

/// What lies below the folder and is as large as one of those.
Result<std::vector<File>> files_of_sizes(FileSystem& disk, const std::string& folder,
                                         const std::unordered_set<std::uint64_t>& sizes,
                                         const std::stop_token& stop) {
    std::vector<File> files;
    const auto walked = walk_below(disk, folder, stop, [&](const Met& met) {
        if (met.status.type == FileType::file && sizes.contains(met.status.id.size_bytes))
            files.push_back(
                {join(met.folder.empty() ? folder : join(folder, met.folder), met.name), met.status});
        return true;
    });
    if (!walked && walked.error().fault == Fault::cancelled) return failure(walked.error());
    std::sort(files.begin(), files.end(),
              [](const File& one, const File& other) { return one.path < other.path; });
    return files;
}

/// Gives each file its hash, by what is remembered or by reading it.
class HashReader {
public:
    HashReader(FileSystem& disk, HashMemory* memory, std::stop_token stop,
               const std::function<void(std::size_t, std::size_t)>& told)
        : disk_(disk), memory_(memory), stop_(std::move(stop)), told_(told) {}

    Result<void> read(std::vector<File*> files) {
        recall(files);
        std::size_t done = 0;
        for (File* file : files) {
            if (stop_.stop_requested()) return failure(Fault::cancelled, "stopped", "");
            if (file->hash.empty()) read_one(*file);
            if (told_) told_(++done, files.size());
        }
        remember();
        return {};
    }

private:
    void recall(const std::vector<File*>& files) {
        std::vector<Status> asked;
        std::vector<File*> of;
        for (File* file : files)
            if (file->status.id.inodes_last()) {
                asked.push_back(file->status);
                of.push_back(file);
            }
        if (memory_ != nullptr)  // what cannot be recalled is read again
            (void)memory_->recall_hashes(
                asked, [&](std::size_t at, std::string&& hash) { of[at]->hash = std::move(hash); });
    }

    void read_one(File& file) {
        const auto folder = disk_.open_folder(std::string(parent_of(file.path)));
        if (!folder) return;
        const auto opened = disk_.open_file(*folder, std::string(name_of(file.path)));
        // another one by now, or one that has changed, is not the one that is spoken of
        if (!opened || opened->status.id != file.status.id) return;
        auto hash = hash_of(disk_, opened->file, Meter{stop_, {}});
        const auto after = hash ? disk_.status(opened->file) : Result<Status>(failure(hash.error()));
        if (!after || after->id != file.status.id ||
            after->status_changed_ns != file.status.status_changed_ns)
            return;
        file.hash = std::move(*hash);
        if (file.status.id.inodes_last()) news_.emplace_back(file.status, file.hash);
        if (news_.size() >= remembered_at_a_time) remember();
    }

    void remember() {
        if (memory_ != nullptr && !news_.empty())
            (void)memory_->remember_hashes(news_);  // a help for next time, no more
        news_.clear();
    }

    FileSystem& disk_;
    HashMemory* memory_;
    std::stop_token stop_;
    const std::function<void(std::size_t, std::size_t)>& told_;
    std::vector<std::pair<Status, std::string>> news_;
};

}  // namespace

Result<void> find_elsewhere(FileSystem& disk, const Batch& batch, const std::string& folder,
                            KnownContents& known, HashMemory* memory, const std::stop_token& stop,
                            const std::function<void(std::size_t, std::size_t)>& read) {
    known.forget_elsewhere();
    std::unordered_set<std::uint64_t> sizes;
    for (const Entry& entry : batch.entries)
        if (entry.status.type == FileType::file && !entry.problem()) sizes.insert(entry.status.id.size_bytes);
    if (sizes.empty()) return {};
    auto there = files_of_sizes(disk, folder, sizes, stop);
    if (!there) return failure(there.error());
    std::unordered_set<std::uint64_t> met;
    for (const File& file : *there) met.insert(file.status.id.size_bytes);
    std::vector<File> incoming;
    for (const Entry& entry : batch.entries) {
        if (entry.status.type != FileType::file || entry.problem() ||
            !met.contains(entry.status.id.size_bytes))
            continue;
        const Place place = batch.place_of(entry);
        incoming.push_back({batch.folders.path_of(place.folder, place.name), entry.status});
    }
    std::vector<File*> all;
    for (std::vector<File>* files : {&incoming, &*there})
        for (File& file : *files) all.push_back(&file);
    if (auto hashed = HashReader(disk, memory, stop, read).read(std::move(all)); !hashed)
        return failure(hashed.error());
    std::unordered_map<std::string, std::vector<const File*>> by_hash;
    for (const File& file : *there)
        if (!file.hash.empty()) by_hash[file.hash].push_back(&file);
    for (const File& file : incoming) {
        const auto found = file.hash.empty() ? by_hash.end() : by_hash.find(file.hash);
        if (found == by_hash.end()) continue;
        const auto is_another = [&](const File* one) {
            return one->status.id.size_bytes == file.status.id.size_bytes &&
                   one->path != file.path;  // it is not elsewhere than itself
        };
        const auto first = std::find_if(found->second.begin(), found->second.end(), is_another);
        if (first != found->second.end())
            known.learn_elsewhere(file.status,
                                  {std::make_shared<const std::string>((*first)->path), (*first)->status});
    }
    return {};
}

}  // namespace tavlo
