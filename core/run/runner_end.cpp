// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <algorithm>

#include "files/path.h"
#include "run/runner.h"

namespace tavlo {

// What is left to do once all items are through.

/// Source folders that a move took from, and that stayed as they held more, are to have their dates back with
/// what was in them; but for those that somebody has changed since.
void Runner::remember_dates() {
    if (plan_.undoes.empty() || plan_.undoes_some || resumption_ != nullptr) return;
    const auto undone = store_.receipt(plan_.undoes);
    const auto traces = store_.folders(plan_.undoes);
    if (!undone || !traces || !traits_of(undone->operation).removes_emptied_folders) return;
    for (const FolderTrace& trace : *traces) {
        const auto folder =
            trace.made ? Result<Handle>(failure(Fault::not_found, "", "")) : disk_.open_folder(trace.path);
        const auto now = folder ? disk_.status(*folder) : Result<Status>(failure(folder.error()));
        const bool by_the_run = now && now->id.modified_ns >= undone->started_ns - kernel_tick_ns &&
                                now->id.modified_ns <= undone->finished_ns;
        if (by_the_run) dates_.emplace_back(trace.path, trace.attributes.modified_ns);
    }
}

void Runner::give_dates_back() {
    for (const auto& [path, modified_ns] : dates_) {
        const auto folder = disk_.open_folder(path);
        auto attributes = folder ? disk_.attributes(*folder) : Result<Attributes>(failure(folder.error()));
        if (!attributes) continue;
        attributes->modified_ns = modified_ns;
        (void)disk_.set_attributes(*folder, *attributes);
    }
}

/// Attributes and times of the folders that were made, deepest first, now that nothing more goes into them.
void Runner::finish_folders() {
    for (auto folder = to_finish_.rbegin(); folder != to_finish_.rend(); ++folder) {
        const auto handle = targets_.open(folder->folder);
        if (!handle) continue;  // gone or swapped since: it is not ours to touch any more
        const auto lost = disk_.set_attributes(**handle, folder->attributes);
        const std::string names = lost ? listed(*lost) : std::string("attributes");
        if (folder->number && !names.empty()) records_.not_kept.emplace_back(*folder->number, names);
        changed_in(finals_.identity(folder->folder).device, *handle);
    }
}

/// Where a volume could not be synced as a whole: each folder that was finished by itself.
bool Runner::durable_by_folders() {
    return std::all_of(to_finish_.begin(), to_finish_.end(), [&](const FolderToFinish& folder) {
        const auto handle = targets_.open(folder.folder);
        return !handle || disk_.sync(**handle);
    });
}

/// Folders that had to be written for a while have the permissions that they had.
void Runner::give_back_lent() {
    for (auto folder = lent_.rbegin(); folder != lent_.rend(); ++folder)
        (void)disk_.set_mode(*folder->first, folder->second);
    lent_.clear();
}

/// After a move the source folders that have become empty by it go, deepest first. What they were like is
/// noted first, so that an undo can make them again whatever happens in between; of one that stays the note
/// says nothing new.
Result<void> Runner::remove_emptied_folders() {
    std::vector<bool> may_be_empty = took_from_;
    for (auto source = emptied_.rbegin(); source != emptied_.rend(); ++source) {
        const Entry& folder = plan_.batch->entries[source->entry];
        if (!may_be_empty[folder.inside]) continue;
        may_be_empty[folder.folder] = true;
        records_.folders.push_back({false, plan_.batch->source_path(folder), source->attributes, {}});
    }
    if (auto written = write_records(); !written) return written;
    for (auto source = emptied_.rbegin(); source != emptied_.rend(); ++source) {
        const Entry& folder = plan_.batch->entries[source->entry];
        if (!took_from_[folder.inside]) continue;
        const auto parent = sources_.open(folder.folder);
        if (!parent) continue;
        const auto now = disk_.status(**parent, folder.name);
        const bool known = folder.status.id.inode != 0;  // not where an interrupted run is gone on with
        if (!now || (known && !now->id.could_be(folder.status.id))) continue;
        if (!disk_.remove_empty_folder(**parent, folder.name))
            continue;  // it still holds something, and stays
        changed_in(now->id.device, *parent);
        took_from_[folder.folder] = true;
        sources_.forget(folder.inside);
    }
    return {};
}

Result<void> Runner::end() {
    safe_->tidy();
    trash_->tidy();
    tidy_used_slots();
    // what was done is durable before the receipt says so: names taken, and names that went
    if (auto settled = durable_.settle(); !settled) {
        names_are_not_durable(records_, settled.error());
        // attributes of folders, and sources that went, have no record of their own
        if (head_.problem.empty() && !durable_by_folders())
            head_.problem = "its end may not have reached the disk: " + describe(settled.error());
    }
    if (auto written = write_records(); !written) return written;
    // what was not reached stays in the journal, and can be gone on with
    const bool complete = std::none_of(results_.begin(), results_.end(),
                                       [](Outcome result) { return result == Outcome::planned; });
    head_.state = complete ? RunState::done : RunState::stopped;
    head_.waits_for = !complete && stuck_ ? describe(*stuck_) : std::string();
    head_.finished_ns = now_ns();
    return persist([&]() -> Result<void> {
        auto finished = store_.finish(head_);
        if (!finished) return failure(finished.error());
        head_ = std::move(*finished);
        return {};
    });
}

/// The slots that versions were brought back from hold nothing any more.
void Runner::tidy_used_slots() {
    std::unordered_set<FolderId> slots;
    for (const Item& it : plan_.items) {
        if (it.extras().entry_of_safe.empty() || !slots.insert(plan_.entry(it).folder).second) continue;
        const std::string slot = plan_.batch->folders.path(plan_.entry(it).folder);
        const std::string shelf(parent_of(slot));
        if (const auto above = disk_.open_folder(shelf))
            (void)disk_.remove_empty_folder(*above, std::string(name_of(slot)));
        if (const auto safe = disk_.open_folder(std::string(parent_of(shelf))))
            (void)disk_.remove_empty_folder(*safe, std::string(name_of(shelf)));
    }
}

}  // namespace tavlo
