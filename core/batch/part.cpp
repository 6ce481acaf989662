// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "batch/part.h"

#include <algorithm>
#include <unordered_set>

namespace tavlo {

Part part_of(const Batch& batch, const std::vector<EntryId>& which) {
    Part part;
    part.whole = which;
    std::unordered_set<EntryId> around;
    for (const EntryId id : which)
        for (EntryId at = batch.entries[id].parent; at != no_entry && around.insert(at).second;
             at = batch.entries[at].parent)
            part.whole.push_back(at);
    std::sort(part.whole.begin(), part.whole.end());  // parents before children, as they are in the whole
    part.whole.erase(std::unique(part.whole.begin(), part.whole.end()), part.whole.end());
    part.batch.folders = batch.folders;
    part.batch.above = batch.above;
    part.batch.time_step_ns = batch.time_step_ns;
    part.batch.entries.reserve(part.whole.size());
    for (const EntryId id : part.whole) {
        Entry& entry = part.batch.entries.emplace_back(batch.entries[id]);
        if (entry.parent == no_entry) continue;
        const auto parent = std::lower_bound(part.whole.begin(), part.whole.end(), entry.parent);
        entry.parent = static_cast<EntryId>(parent - part.whole.begin());
    }
    return part;
}

}  // namespace tavlo
