// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <functional>
#include <optional>
#include <string>
#include <vector>

#include "batch/batch.h"
#include "select/criteria.h"
#include "select/name_list.h"

namespace tavlo {

/// Leaves only those files (and links and other things that are no folders) in a batch that fit. Folders in
/// which nothing is left go too, unless they are kept. What could not be read and might have fitted stays,
/// with its problem.
Batch choose(const Batch& batch, const Selector& selector, bool keep_empty_folders);
/// fits  of what is no folder
Batch choose(const Batch& batch, const std::function<bool(EntryId)>& fits, bool keep_empty_folders);

/// Leaves out folders inside the sources whose whole name fits one of these patterns (glob(7)), with all that
/// is in them.
Batch leave_out_folders(const Batch& batch, const std::vector<std::string>& patterns);

/// Which folders are asked for, each whole, the outermost of those that fit.
struct WantedFolders {
    /// those whose files, at any depth, say that they add up to more
    std::optional<std::uint64_t> larger_than_bytes{};
    bool empty = false;        ///< those below which there is nothing that is no folder
    bool inside_only = false;  ///< a source itself is none
};
/// Leaves those, with all that is in them; the folders that they lie in come along. One of which a part was
/// left out, or could not be read, is not whole, and not empty.
Batch choose_folders(const Batch& batch, const WantedFolders& wanted);

struct ChosenByList {
    Batch batch;
    /// what the list asked for, with the numbers of the entries that were chosen from
    std::vector<ListedName> listed;
};

/// Leaves only what a list names; where several fit, all of them.
ChosenByList choose(const Batch& batch, std::string_view list, bool keep_empty_folders);

}  // namespace tavlo
