// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <unordered_map>

#include "files/path.h"
#include "layout/layout.h"

namespace tavlo {

namespace {

/// Makes each folder once, with those that it lies in.
class FolderMaker {
public:
    FolderMaker(Batch& batch, const std::string& destination, bool folds_case)
        : batch_(batch), root_(batch.folders.add_root(destination)), folds_case_(folds_case) {}

    EntryId make(const std::string& path) {
        EntryId above = no_entry;
        for (std::size_t at = 0; at < path.size();) {
            const auto end = std::min(path.find('/', at), path.size());
            above = level(path.substr(0, end), path.substr(at, end - at), above);
            at = end + 1;
        }
        return above;
    }

private:
    EntryId level(const std::string& path, std::string name, EntryId above) {
        const auto [found, fresh] = known_.try_emplace(folds_case_ ? folded(path) : path,
                                                       static_cast<EntryId>(batch_.entries.size()));
        if (!fresh) return found->second;
        Entry entry;
        entry.folder = above == no_entry ? root_ : batch_.entries[above].inside;
        entry.inside = batch_.folders.add(entry.folder, name);
        entry.parent = above;
        entry.name = std::move(name);
        entry.status.type = FileType::folder;
        entry.made = true;
        batch_.entries.push_back(std::move(entry));
        return found->second;
    }

    Batch& batch_;
    FolderId root_;
    bool folds_case_;
    std::unordered_map<std::string, EntryId> known_;  ///< by path from the destination
};

/// A folder that could be read does not arrive; what is in it does.
bool dissolves(const Entry& entry) { return entry.status.type == FileType::folder && !entry.problem(); }

class SortedLayouter {
public:
    SortedLayouter(const Sorted& sorted, const std::string& destination, const WantedName& wanted)
        : batch_(sorted.batch),
          sorted_(sorted),
          wanted_(wanted),
          arrival_of_(batch_.entries.size(), UINT32_MAX) {
        layout_.targets.add_root(destination);
        layout_.several_feed.push_back(true);
        layout_.whole_folders = false;
    }

    Layout run() && {
        for (EntryId id = 0; id < sorted_.folder_of.size(); ++id) {
            const Entry& entry = batch_.entries[id];
            if (!dissolves(entry))
                arrive(id, sorted_.folder_of[id]);
            else if (!batch_.is_named(entry) && !entry.way)
                layout_.dissolved.push_back(id);
        }
        return std::move(layout_);
    }

private:
    /// Folders come right before the first that goes into them.
    std::uint32_t arrive(EntryId id, EntryId folder) {
        Arrival arrival;
        arrival.entry = id;
        arrival.folder = 0;
        if (folder != no_entry) {
            arrival.parent = arrival_of_[folder] != UINT32_MAX
                                 ? arrival_of_[folder]
                                 : arrive(folder, batch_.entries[folder].parent);
            arrival.folder = layout_.arrivals[arrival.parent].inside;
        }
        const Entry& entry = batch_.entries[id];
        if (entry.made) {
            arrival.inside = layout_.targets.add(arrival.folder, entry.name);
            layout_.several_feed.push_back(true);
        }
        const auto at = static_cast<std::uint32_t>(layout_.arrivals.size());
        if (auto name = wanted_ && !entry.made ? wanted_(id) : std::nullopt) {
            if (name->problem) layout_.problems.emplace(at, name->problem);
            if (name->name != entry.name) {
                arrival.name = static_cast<std::uint32_t>(layout_.names.size());
                layout_.names.push_back(std::move(name->name));
            }
        }
        arrival_of_[id] = at;
        layout_.arrivals.push_back(arrival);
        return at;
    }

    const Batch& batch_;
    const Sorted& sorted_;
    const WantedName& wanted_;
    Layout layout_;
    std::vector<std::uint32_t> arrival_of_;
};

}  // namespace

Sorted sort(const Batch& batch, const std::string& destination,
            const std::function<std::string(EntryId)>& folder_for, bool folds_case) {
    Sorted sorted{batch};
    sorted.folder_of.resize(batch.entries.size(), no_entry);
    FolderMaker maker(sorted.batch, destination, folds_case);
    for (EntryId id = 0; id < batch.entries.size(); ++id)
        if (!dissolves(batch.entries[id])) sorted.folder_of[id] = maker.make(folder_for(id));
    return sorted;
}

Layout lay_out_sorted(const Sorted& sorted, const std::string& destination, const WantedName& wanted) {
    return SortedLayouter(sorted, destination, wanted).run();
}

}  // namespace tavlo
