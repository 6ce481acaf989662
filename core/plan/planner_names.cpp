// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/path.h"
#include "names/names.h"
#include "plan/planner.h"

namespace tavlo {

/// The name itself, or counted up from it until nothing there and nothing of the batch has it.
std::string Planner::untaken(FolderId folder, FileType type, const std::string& name) {
    std::string candidate = name;
    for (unsigned number = 2; is_taken(folder, candidate); ++number)
        candidate = numbered_name(name, type, number, volume(folder).max_name_bytes);
    new_names_[folder].insert(fold(folder, candidate));
    return candidate;
}

/// A free name by the decision's own words, its scheme, or the policy's; nobody else's from now on.
std::string Planner::new_name(FolderId folder, const std::string& name, const FileState& status,
                              const std::string& from) {
    const auto taken = [&](const std::string& one) { return is_taken(folder, one); };
    const NewNames& scheme =
        single_ != nullptr && single_->new_names ? *single_->new_names : wishes_.policy.new_names;
    std::string made = single_ != nullptr ? single_->name : std::string();
    const bool usable = !made.empty() && made.find('/') == std::string::npos && made != "." && made != ".." &&
                        name_problem(made, volume(folder)).empty();
    if (!usable)
        made = free_name(name, status.type, scheme, {status.id.modified_ns, from}, taken,
                         volume(folder).max_name_bytes);
    else if (taken(made))  // somebody else has it by now: counted up from it
        made = free_name(made, status.type, {}, {status.id.modified_ns, from}, taken,
                         volume(folder).max_name_bytes);
    new_names_[folder].insert(fold(folder, made));
    return made;
}

bool Planner::is_taken(FolderId folder, const std::string& name) {
    if (held_[folder] != nullptr && held_[folder]->find(name) != nullptr) return true;
    if (wanted_names_.empty()) {  // made once, when the first item is renamed
        wanted_names_.resize(plan_.targets.size());
        for (const Arrival& arrival : layout_.arrivals)
            wanted_names_[arrival.folder].insert(fold(arrival.folder, wanted(arrival)));
    }
    const auto folded_name = fold(folder, name);
    return wanted_names_[folder].contains(folded_name) || new_names_[folder].contains(folded_name);
}

std::string Planner::folder_name(const Entry& entry) const {
    const FolderId folder = entry.folder;
    return plan_.batch->folders.parent(folder) == no_folder
               ? std::string(name_of(plan_.batch->folders.name(folder)))
               : plan_.batch->folders.name(folder);
}

}  // namespace tavlo
