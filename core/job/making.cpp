// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "job/making.h"

#include <algorithm>
#include <unordered_map>

namespace tavlo {

Batch folders_to_make(const Job& job) {
    Batch batch;
    const FolderId root = batch.folders.add_root(job.into);
    std::unordered_map<std::string, EntryId> known;  // by path from there
    for (const auto& path : job.make) {
        EntryId parent = no_entry;
        for (std::size_t at = 0; at < path.size();) {
            const auto end = std::min(path.find('/', at), path.size());
            const auto [found, fresh] =
                known.try_emplace(path.substr(0, end), static_cast<EntryId>(batch.entries.size()));
            if (fresh) {
                Entry entry;
                entry.folder = parent == no_entry ? root : batch.entries[parent].inside;
                entry.name = path.substr(at, end - at);
                entry.inside = batch.folders.add(entry.folder, entry.name);
                entry.parent = parent;
                entry.status.type = FileType::folder;
                entry.made = true;
                batch.entries.push_back(std::move(entry));
            }
            parent = found->second;
            at = end + 1;
        }
    }
    return batch;
}

}  // namespace tavlo
