// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <memory>
#include <stop_token>
#include <string>
#include <string_view>
#include <vector>

#include "keep/store.h"

namespace tavlo {

/// One item of a past run that had to do with a name.
struct NameHit {
    std::string receipt;
    std::uint64_t number = 0;  ///< of the item in it
};

/// Which runs touched a file or folder: an index of the words in the paths of all receipts, in a database of
/// its own beside them. It only helps: it is made again where it is missing or damaged, and follows the
/// receipts when it is asked (SQLite's FTS5).
class NameSearch {
public:
    static Result<std::unique_ptr<NameSearch>> open(const std::string& state_folder);
    virtual ~NameSearch() = default;
    /// Takes in the receipts that have ended since the last time.
    virtual Result<void> follow(Store& store, std::stop_token stop = {}) = 0;
    /// Items whose paths have all of these words, in any order; parts of a word parted by no blank
    /// ("permit-0416") stand together in this order, and the last may be only begun. Newest run first.
    virtual Result<std::vector<NameHit>> find(std::string_view words, std::size_t most) = 0;
};

}  // namespace tavlo
