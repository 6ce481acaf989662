#pragma once

#include <string>
#include <vector>

#include "batch/batch.h"
#include "select/criteria.h"
#include "select/name_list.h"

namespace tavlo {

/// Leaves only those files (and links and other things that are no folders) in a batch that fit. Folders in which nothing is
/// left go too, unless they are kept.
/// What could not be read and might have fitted stays, with its problem.
Batch choose(const Batch& batch, const Selector& selector, bool keep_empty_folders);

/// Leaves out folders inside the sources whose whole name fits one of these patterns (glob(7)), with all that is in them.
Batch leave_out_folders(const Batch& batch, const std::vector<std::string>& patterns);

struct ChosenByList {
    Batch batch;
    std::vector<ListedName> listed;  ///< what the list asked for, with the numbers of the entries that were chosen from
};

/// Leaves only what a list names; where several fit, all of them.
ChosenByList choose(const Batch& batch, std::string_view list, bool keep_empty_folders);

}  // namespace tavlo
