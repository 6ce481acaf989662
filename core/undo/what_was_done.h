// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <optional>
#include <set>
#include <string>
#include <unordered_set>
#include <vector>

#include "undo/places_named_twice.h"
#include "undo/undo_plan.h"

namespace tavlo {

/// What a receipt says that has to be known of all of it before the first item is taken back. It is gone
/// through, not held.
class WhatWasDone {
public:
    explicit WhatWasDone(UndoBasis& basis);

    /// It is taken back, by this undo.
    bool counts(std::uint64_t number, const ReceiptItem& item) const;
    /// It got another name where it lies, with all that is in it, which is no item.
    bool made_room(const ReceiptItem& item) const;
    static bool lies_in_trash(const ReceiptItem& item) {
        return item.shelf == Shelf::trash && item.result == Outcome::removed;
    }
    /// It came out of the trash, and goes there again.
    static bool came_out_of_trash(const ReceiptItem& item) {
        return item.shelf == Shelf::trash && item.action == Action::move;
    }

    /// Folders that the plan names as they are: nothing of the run lies above them.
    std::vector<std::string> roots() const;
    /// Items that count name this place more than once, as theirs or as their source.
    bool names_often(const std::string& place) const { return named_.contain(place); }
    /// More than one of them got this place.
    bool gave_often(const std::string& place) const { return wanted_.contain(place); }
    /// Source folders that something goes back into.
    const std::set<std::string>& goes_back_into() const { return goes_back_into_; }
    /// Only where chosen items are taken back: a folder that is gone by now is needed again where one of them
    /// goes back into it.
    bool something_goes_back_into(const std::string& folder);
    /// The run itself has put what stands there.
    bool put(const std::string& place) const;
    /// Of a folder that moved, as it is seen where it went, or in the Safe, where a twin has replaced it
    /// since.
    std::optional<Attributes> attributes_of_moved(const ReceiptItem& folder);

    bool moved_whole() const { return moved_whole_; }  ///< a folder went by one rename
    bool has_folders() const { return has_folders_; }
    bool is_in_order() const { return in_order_; }  ///< everything goes in reverse, folders too

private:
    void go_through();

    UndoBasis& basis_;
    PlacesNamedTwice named_;
    PlacesNamedTwice wanted_;
    std::set<std::string> sources_of_moves_;  ///< folders
    std::set<std::string> goes_back_into_;
    std::set<std::string> trashes_;  ///< folders that something lies in since
    /// folders that chosen items go back into, and those above them
    std::unordered_set<std::string> needed_;
    std::optional<std::vector<SafeEntry>> folder_versions_;
    bool moved_whole_ = false;
    bool has_folders_ = false;
    bool in_order_ = false;
};

}  // namespace tavlo
