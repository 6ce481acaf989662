// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <optional>
#include <string>
#include <vector>

#include "keep/receipt.h"
#include "keep/store.h"
#include "plan/plan.h"

namespace tavlo {

/// What an undo is planned on: the receipt, and how the places that it names look now. A run may have had a
/// million items, so they are gone through and not held, and a place is looked at when it is asked for.
class UndoBasis {
public:
    virtual ~UndoBasis() = default;

    ReceiptHead head;
    std::vector<FolderTrace> folders;
    /// Which items are taken back, by number; empty: all. With some, folders that the run made stay, but for
    /// chosen ones.
    std::vector<bool> chosen{};
    bool some = false;
    /// Whose, and of when, folders are that are made anew.
    std::uint32_t user = 0;
    std::uint32_t group = 0;
    std::int64_t now_ns = 0;

    struct Seen {
        Status status;
        std::string points_at{};  ///< of links only
    };
    /// The items that have a result, in their order or against it.
    virtual void each(Store::Order order,
                      const std::function<void(std::uint64_t number, const ReceiptItem&)>& take) = 0;
    /// What is at a place now; nullopt: nothing, or nothing that can be reached.
    virtual std::optional<Seen> look(const std::string& path) = 0;
    /// Whether what the run put there was changed since, though its size and date do not tell.
    virtual bool is_changed(const ReceiptItem& item, const Status& now) = 0;
    /// Of a folder.
    virtual std::optional<Attributes> attributes(const std::string& path) = 0;
    /// How many names a folder holds; nullopt where it cannot be listed.
    virtual std::optional<std::size_t> names_in(const std::string& path) = 0;
    /// A version in the Safe, where it lies there still, with the numbers of now.
    virtual std::optional<SafeEntry> version(const std::string& id) = 0;
    /// Where the folders and the other versions lie that the run has set aside.
    virtual std::vector<SafeEntry> folder_versions() = 0;
    virtual std::vector<std::string> shelves() = 0;
};

/// Whether an item did something that an undo can take back.
bool took_effect(const ReceiptItem& item);

/// Chooses items to be taken back, and what hangs on them: all in a folder that is chosen, whatever else the
/// run put at one place, and the other names of a file that was moved between file systems.
/// items       of the receipt, by number
/// taken_back  stays as it is: an undo has had it already
/// returns     by number
std::vector<bool> choose(const std::vector<ReceiptItem>& items, const std::vector<std::uint64_t>& numbers,
                         const std::vector<std::uint64_t>& taken_back);

/// A run's undo as a plan like any other: what arrived goes back (a move) or into the Safe (a copy), what was
/// set aside comes back, folders that were made go when they are empty, folders that were removed are made
/// again. What was changed since is left undecided. Works on the receipt of an undo too. The same basis gives
/// the same plan.
Plan plan_undo(UndoBasis& basis);

}  // namespace tavlo
