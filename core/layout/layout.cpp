// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "layout/layout.h"

#include <unordered_map>

#include "files/path.h"
#include "names/names.h"

namespace tavlo {

namespace {

/// Which folders hold, however deep, something that is no folder.
std::vector<bool> filled_folders(const Batch& batch) {
    std::vector<bool> filled(batch.entries.size());
    for (auto id = static_cast<EntryId>(batch.entries.size()); id-- > 0;) {
        const Entry& entry = batch.entries[id];
        if ((entry.status.type != FileType::folder || filled[id]) && entry.parent != no_entry)
            filled[entry.parent] = true;
    }
    return filled;
}

/// The folder that an archive stands for: "permits.tar.gz" for "permits"
std::string stem_of(const std::string& name) { return name.substr(0, extension_start(name, FileType::file)); }

class Layouter {
public:
    Layouter(const Batch& batch, const std::string& destination, const Structure& structure, bool folds_case,
             const WantedName& wanted)
        : batch_(batch),
          structure_(structure),
          folds_case_(folds_case),
          wanted_(wanted),
          arrival_of_(batch.entries.size(), UINT32_MAX) {
        layout_.targets.add_root(destination);
        fed_by_.push_back(no_folder);
        layout_.several_feed.push_back(false);
        if (structure.subfolders == Subfolders::filled) filled_ = filled_folders(batch);
    }

    Layout run() && {
        for (EntryId id = 0; id < batch_.entries.size(); ++id) place(id);
        return std::move(layout_);
    }

private:
    void place(EntryId id) {
        const Entry& entry = batch_.entries[id];
        const bool named = batch_.is_named(entry);
        const bool is_folder = entry.status.type == FileType::folder;
        const bool dissolved =
            structure_.contents && named && is_folder && !entry.problem();  // only what is in it arrives
        if (!named && !entry.way && !inside_wanted_folder(entry)) return leave_out(id);
        if (is_folder && !entry.problem() && (structure_.flatten || dissolved)) {
            if (!dissolved && !entry.way) layout_.dissolved.push_back(id);
            if (entry.parent != no_entry)
                arrival_of_[id] = arrival_of_[entry.parent];  // what is in it comes in the folder on the way
            return;
        }
        if (entry.way ? structure_.contents && structure_.subfolders == Subfolders::filled && !filled_[id]
                      : is_folder && !entry.problem() && !named && !wanted_subfolder(id))
            return leave_out(id);
        Arrival arrival;
        arrival.entry = id;
        arrival.folder = 0;
        if (!structure_.flatten && entry.parent != no_entry) {
            arrival.parent = arrival_of_[entry.parent];
            if (arrival.parent != UINT32_MAX) arrival.folder = layout_.arrivals[arrival.parent].inside;
        }
        if (is_folder && !entry.problem())
            arrival.inside = node_for(arrival.folder, entry.archive ? stem_of(entry.name) : entry.name);
        feed(arrival.folder, entry.folder);
        if (entry.real())
            layout_.several_feed[arrival.folder] = true;  // in an archive a name may stand twice
        if (wanted_ && !is_folder) name_on_the_way(arrival, id);
        if (entry.archive) {
            arrival.name = static_cast<std::uint32_t>(layout_.names.size());
            layout_.names.push_back(stem_of(entry.name));
        }
        arrival_of_[id] = static_cast<std::uint32_t>(layout_.arrivals.size());
        layout_.arrivals.push_back(arrival);
    }

    /// Names that come from anywhere: two files of one folder may want the same.
    void name_on_the_way(Arrival& arrival, EntryId id) {
        auto name = wanted_(id);
        if (!name) return;
        if (name->problem)
            layout_.problems.emplace(static_cast<std::uint32_t>(layout_.arrivals.size()), name->problem);
        layout_.several_feed[arrival.folder] = true;
        if (name->name == batch_.entries[id].name) return;
        arrival.name = static_cast<std::uint32_t>(layout_.names.size());
        layout_.names.push_back(std::move(name->name));
    }

    /// With subfolders left out, only what lies directly in a source folder comes along.
    bool inside_wanted_folder(const Entry& entry) const {
        if (left_out_[entry.parent]) return false;
        return structure_.subfolders != Subfolders::none || batch_.is_named(batch_.entries[entry.parent]);
    }

    bool wanted_subfolder(EntryId id) const {
        if (structure_.subfolders == Subfolders::none) return false;
        return structure_.subfolders == Subfolders::all || filled_[id];
    }

    void leave_out(EntryId id) {
        left_out_[id] = true;
        layout_.whole_folders = false;
    }

    FolderId node_for(FolderId parent, const std::string& name) {
        auto key = std::to_string(parent) + '/' + (folds_case_ ? folded(name) : name);
        const auto [found, fresh] = nodes_.try_emplace(std::move(key), no_folder);
        if (fresh) {
            found->second = layout_.targets.add(parent, name);
            fed_by_.push_back(no_folder);
            layout_.several_feed.push_back(folds_case_);
        }
        return found->second;
    }

    void feed(FolderId target, FolderId source) {
        if (fed_by_[target] == no_folder) fed_by_[target] = source;
        if (fed_by_[target] != source || folds_case_) layout_.several_feed[target] = true;
    }

    const Batch& batch_;
    const Structure& structure_;
    bool folds_case_;
    const WantedName& wanted_;
    Layout layout_;
    std::vector<std::uint32_t> arrival_of_;
    std::vector<FolderId> fed_by_;
    std::vector<bool> left_out_ = std::vector<bool>(batch_.entries.size());
    std::vector<bool> filled_;
    std::unordered_map<std::string, FolderId> nodes_;
};

}  // namespace

Layout lay_out(const Batch& batch, const std::string& destination, const Structure& structure,
               bool folds_case, const WantedName& wanted) {
    return Layouter(batch, destination, structure, folds_case, wanted).run();
}

}  // namespace tavlo
