// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "batch/keep_way.h"

#include <unordered_map>

#include "files/path.h"

namespace tavlo {

namespace {

class WayKeeper {
public:
    WayKeeper(FileSystem& disk, const Batch& batch, const std::string& from)
        : disk_(disk), batch_(batch), from_(from) {
        out_.folders = batch.folders;
        out_.above = batch.above;
        out_.time_step_ns = batch.time_step_ns;
        for (FolderId id = 0; id < batch.folders.size(); ++id)
            if (batch.folders.parent(id) == no_folder) roots_.emplace(batch.folders.name(id), id);
    }

    Result<Batch> run() && {
        std::vector<EntryId> now(batch_.entries.size(), no_entry);
        for (EntryId id = 0; id < batch_.entries.size(); ++id) {
            Entry entry = batch_.entries[id];
            if (entry.parent == no_entry) {
                const auto way = way_to(batch_.folders.path(entry.folder));
                if (!way) return failure(way.error());
                entry.parent = *way;
            } else {
                entry.parent = now[entry.parent];
            }
            now[id] = static_cast<EntryId>(out_.entries.size());
            out_.entries.push_back(std::move(entry));
        }
        return std::move(out_);
    }

private:
    /// The entry that stands for a folder on the way, made where it is missing; none for `from` itself and
    /// what is not below it.
    Result<EntryId> way_to(const std::string& folder) {
        if (folder == from_ || !is_within(folder, from_)) return no_entry;
        if (const auto found = ways_.find(folder); found != ways_.end()) return found->second;
        const auto above = way_to(std::string(parent_of(folder)));
        if (!above) return above;
        const auto handle = disk_.open_folder(folder);
        if (!handle) return failure(handle.error());
        const auto status = disk_.status(*handle);
        if (!status) return failure(status.error());
        Entry entry;
        entry.folder = root(std::string(parent_of(folder)), {});
        entry.inside = root(folder, status->id);
        entry.parent = *above;
        entry.name = std::string(name_of(folder));
        entry.status = *status;
        entry.complete = false;
        entry.way = true;
        const auto id = static_cast<EntryId>(out_.entries.size());
        out_.entries.push_back(std::move(entry));
        ways_.emplace(folder, id);
        return id;
    }

    FolderId root(const std::string& path, const Identity& id) {
        const auto [found, fresh] = roots_.try_emplace(path, no_folder);
        if (fresh) found->second = out_.folders.add_root(path, id);
        return found->second;
    }

    FileSystem& disk_;
    const Batch& batch_;
    const std::string& from_;
    Batch out_;
    std::unordered_map<std::string, FolderId> roots_;  ///< by path
    std::unordered_map<std::string, EntryId> ways_;    ///< by path
};

}  // namespace

Result<Batch> keep_way(FileSystem& disk, const Batch& batch, const std::string& from) {
    return WayKeeper(disk, batch, from).run();
}

}  // namespace tavlo
