// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <vector>

#include "batch/batch.h"

namespace tavlo {

/// Some of a batch, as one of its own.
struct Part {
    Batch batch;                   ///< with the folders that they lie in
    std::vector<EntryId> whole{};  ///< by entry of it: its number in the batch that it is of
};

/// which  entries of the batch, in any order
Part part_of(const Batch& batch, const std::vector<EntryId>& which);

}  // namespace tavlo
