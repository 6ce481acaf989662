// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <string>
#include <vector>

#include "files/file_system.h"
#include "keep/store.h"
#include "recover/settle.h"

namespace tavlo {

/// What failed in a copy or a move, to be tried again once its cause was mended: as it was asked for then, on
/// the things as they are now. A decision that was taken holds where both still are what it was about; where
/// something else holds the name, the item ends undecided. carry_on_settled() then does it, under the same
/// receipt. With an item come the failed folders that it lies in.
/// only     numbers of the items; empty: all that failed
/// errors   not_found; refused: the run has not ended, was undone, or was an undo
struct Again {
    Settlement settlement;
    /// numbers, and why: the source is gone
    std::vector<std::pair<std::uint64_t, std::string>> not_possible;
};
Result<Again> failed_again(FileSystem& disk, Store& store, const std::string& receipt,
                           const std::vector<std::uint64_t>& only);

/// Somebody has decided to leave these as they are: what failed counts as skipped; its reason stays with it.
/// errors   as above, and name_taken: the run goes on
Result<ReceiptHead> leave_failed(Store& store, const std::string& receipt,
                                 const std::vector<std::uint64_t>& only);

}  // namespace tavlo
