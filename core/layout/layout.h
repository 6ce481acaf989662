#pragma once

#include <memory>
#include <vector>

#include "batch/batch.h"
#include "layout/structure.h"

namespace tavlo {

/// One entry of a batch and the name it wants.
struct Arrival {
    EntryId entry = no_entry;
    std::uint32_t parent = UINT32_MAX;  ///< the arrival of the folder that it comes in; none at the top
    FolderId folder = no_folder;        ///< in Layout::targets
    FolderId inside = no_folder;        ///< a folder's own node in Layout::targets
};

/// Where each entry of a batch is to arrive. Pure.
struct Layout {
    FolderTree targets;              ///< 0 is the destination itself
    std::vector<Arrival> arrivals;   ///< in the batch's order, parents before children
    std::vector<bool> several_feed;  ///< by folder of targets: entries from more than one source folder want names in it
    std::vector<EntryId> dissolved;  ///< folders that do not arrive themselves, and go when a move empties them
    bool whole_folders = true;       ///< no entry below an arriving folder was left out
};

/// folds_case  the destination holds names that differ in case alone for one
Layout lay_out(const Batch& batch, const std::string& destination, const Structure& structure, bool folds_case);

}  // namespace tavlo
