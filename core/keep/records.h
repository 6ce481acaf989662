// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <deque>
#include <string>
#include <utility>
#include <vector>

#include "keep/receipt.h"

namespace tavlo {

/// What a run did in one group, written in one transaction.
struct RunRecords {
    /// with their numbers in the plan; many, and large, so they stay where they are
    std::deque<std::pair<std::uint64_t, ReceiptItem>> items;
    std::vector<FolderTrace> folders;
    std::vector<SafeEntry> set_aside;
    std::vector<std::string> used_up;  ///< Safe entries that were brought back
    /// of an undo: numbers of the items in the receipt that it undoes
    std::vector<std::uint64_t> taken_back;
    /// Folders settled before, that could not keep all attributes once they were filled: number, and what was
    /// lost.
    std::vector<std::pair<std::uint64_t, std::string>> not_kept;
    std::vector<VolumeRecord> volumes;  ///< that it has not had to do with before

    bool is_empty() const;
    void append(RunRecords&& more);
};

}  // namespace tavlo
