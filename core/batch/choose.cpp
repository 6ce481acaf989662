// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "batch/choose.h"

#include <algorithm>

#include "select/name_filter.h"

namespace tavlo {

namespace {

bool is_folder(const Entry& entry) { return entry.status.type == FileType::folder; }

/// Those that are kept, folders before what is in them. A folder below which something was left out is not
/// complete any more.
Batch kept(const Batch& batch, const std::vector<bool>& keep) {
    std::vector<bool> thinned(batch.entries.size());
    for (auto id = batch.entries.size(); id-- > 0;) {
        const EntryId parent = batch.entries[id].parent;
        if (parent != no_entry && (!keep[id] || thinned[id])) thinned[parent] = true;
    }
    Batch chosen;
    chosen.folders = batch.folders;
    chosen.above = batch.above;
    chosen.time_step_ns = batch.time_step_ns;
    std::vector<EntryId> now(batch.entries.size(), no_entry);
    for (std::size_t id = 0; id < batch.entries.size(); ++id) {
        if (!keep[id]) continue;
        now[id] = static_cast<EntryId>(chosen.entries.size());
        Entry& entry = chosen.entries.emplace_back(batch.entries[id]);
        if (entry.parent != no_entry) entry.parent = now[entry.parent];
        entry.complete = entry.complete && !thinned[id];
    }
    return chosen;
}

/// keep     by entry; what it says of folders is worked out here
Batch only(const Batch& batch, std::vector<bool> keep, bool keep_empty_folders) {
    for (auto id = batch.entries.size(); id-- > 0;) {
        const Entry& entry = batch.entries[id];
        if (is_folder(entry) && (keep_empty_folders || entry.problem())) keep[id] = true;
        if (entry.parent == no_entry) continue;
        if (keep[id]) keep[entry.parent] = true;
    }
    return kept(batch, keep);
}

}  // namespace

Batch choose(const Batch& batch, const std::function<bool(EntryId)>& fits, bool keep_empty_folders) {
    std::vector<bool> keep(batch.entries.size());
    for (EntryId id = 0; id < keep.size(); ++id) keep[id] = !is_folder(batch.entries[id]) && fits(id);
    return only(batch, std::move(keep), keep_empty_folders);
}

Batch choose(const Batch& batch, const Selector& selector, bool keep_empty_folders) {
    return choose(
        batch, [&](EntryId id) { return selector.fits(batch.entries[id].name, batch.entries[id].status); },
        keep_empty_folders);
}

Batch leave_out_folders(const Batch& batch, const std::vector<std::string>& patterns) {
    std::vector<bool> keep(batch.entries.size());
    for (std::size_t id = 0; id < keep.size(); ++id) {
        const Entry& entry = batch.entries[id];
        const bool is_left_out = is_folder(entry) && !batch.is_named(entry) &&
                                 std::any_of(patterns.begin(), patterns.end(),
                                             [&](const auto& one) { return glob_matches(one, entry.name); });
        keep[id] = !is_left_out && (entry.parent == no_entry || keep[entry.parent]);
    }
    return kept(batch, keep);
}

Batch choose_folders(const Batch& batch, const WantedFolders& wanted) {
    const auto count = batch.entries.size();
    std::vector<std::uint64_t> bytes(count);
    std::vector<bool> holds_things(count);  // that are no folders, or that nobody could look at
    for (auto id = count; id-- > 0;) {
        const Entry& entry = batch.entries[id];
        if (entry.status.type == FileType::file) bytes[id] = entry.status.id.size_bytes;
        if (!is_folder(entry) || entry.problem() || !entry.complete) holds_things[id] = true;
        if (entry.parent == no_entry) continue;
        bytes[entry.parent] += bytes[id];
        if (holds_things[id]) holds_things[entry.parent] = true;
    }
    std::vector<bool> keep(count);
    std::vector<bool> picked(count);
    for (std::size_t id = 0; id < count; ++id) {
        const Entry& entry = batch.entries[id];
        const bool is_inside = entry.parent != no_entry && keep[entry.parent];
        const bool is_large =
            wanted.larger_than_bytes && entry.complete && bytes[id] > *wanted.larger_than_bytes;
        const bool may_be =
            is_folder(entry) && !entry.problem() && !(wanted.inside_only && batch.is_named(entry));
        picked[id] = !is_inside && may_be && (is_large || (wanted.empty && !holds_things[id]));
        keep[id] = is_inside || picked[id];
    }
    for (auto id = count; id-- > 0;)
        if (keep[id] && batch.entries[id].parent != no_entry) keep[batch.entries[id].parent] = true;
    Batch chosen = kept(batch, keep);
    for (std::size_t id = 0, now = 0; id < count; ++id)
        if (keep[id]) chosen.entries[now++].picked = picked[id];
    return chosen;
}

ChosenByList choose(const Batch& batch, std::string_view list, bool keep_empty_folders) {
    std::vector<std::string> names;
    std::vector<std::size_t> entries;
    for (std::size_t id = 0; id < batch.entries.size(); ++id) {
        if (is_folder(batch.entries[id])) continue;
        names.push_back(batch.entries[id].name);
        entries.push_back(id);
    }
    ChosenByList chosen{{}, match_list(list, names)};
    std::vector<bool> keep(batch.entries.size());
    for (ListedName& one : chosen.listed)
        for (std::size_t& fit : one.fits) {
            fit = entries[fit];
            keep[fit] = true;
        }
    chosen.batch = only(batch, std::move(keep), keep_empty_folders);
    return chosen;
}

}  // namespace tavlo
