#pragma once

#include <optional>
#include <string>
#include <unordered_map>
#include <vector>

#include "keep/receipt.h"
#include "plan/plan.h"

namespace tavlo {

/// What an undo was planned on: the receipt, its folders, the Safe entries it names, and how the places look now.
struct UndoBasis {
    ReceiptHead head;
    std::vector<ReceiptItem> items;
    std::vector<FolderTrace> folders;
    std::unordered_map<std::string, SafeEntry> entries;  ///< by id
    /// Which items are taken back, by number; empty: all. With some, folders that the run made stay, but for chosen ones.
    std::vector<bool> chosen{};
    bool some = false;
    /// Whose, and of when, folders are that are made anew.
    std::uint32_t user = 0;
    std::uint32_t group = 0;
    std::int64_t now_ns = 0;

    struct Seen {
        Status status;
        std::string points_at{};  ///< of links only
        Attributes attributes{};  ///< of folders only
        bool changed = false;     ///< since the run, though size and date do not tell
    };
    std::unordered_map<std::string, Seen> places;  ///< by path; absent: nothing is there
};

/// Chooses items to be taken back, and what hangs on them: all in a folder that is chosen, whatever else the run put at one
/// place, and the other names of a file that was moved between file systems.
/// taken_back  stays as it is: an undo has had it already
void choose(UndoBasis& basis, const std::vector<std::uint64_t>& numbers, const std::vector<std::uint64_t>& taken_back);

/// The places that have to be looked at before an undo can be planned. Pure.
std::vector<std::string> places_to_look_at(const UndoBasis& basis);

/// A run's undo as a plan like any other: what arrived goes back (a move) or into the Safe (a copy), what was set aside
/// comes back, folders that were made go when they are empty, folders that were removed are made again. What was
/// changed since is left undecided. Works on the receipt of an undo too. Pure.
Plan plan_undo(const UndoBasis& basis);

}  // namespace tavlo
