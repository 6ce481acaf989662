// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <map>
#include <memory>
#include <string>
#include <unordered_set>
#include <vector>

#include "files/file_system.h"
#include "files/own.h"
#include "keep/receipt.h"
#include "run/keeper.h"

namespace tavlo {

/// The Safe of one run: on each mount of a file system a folder of the user's own, private where the file
/// system knows what that is, in the highest folder that the user may write, so that setting aside is a
/// rename; never inside a folder that the run reads as a source. Layout:
/// FOLDER/.tavlo-safe-UID/RECEIPT/NUMBER/NAME
class SafeFolder final : public Keeper {
public:
    /// sources  folders that the run reads
    SafeFolder(FileSystem& disk, std::string receipt, std::vector<Identity> sources);

    /// A new slot on the mount of `near`, an open folder.
    Result<Slot> slot(const Handle& near);
    /// A place for a file of this name, which nothing is traded with: in the slot that the last such one got,
    /// if the name is free there. A million files that an undo takes away would else make a folder each.
    Result<Slot> shared_slot(const Handle& near, const std::string& name);
    /// Removes a slot, if it holds nothing.
    static void drop(FileSystem& disk, const Slot& slot);
    /// A shared one, but for folders.
    Result<Slot> slot_for(const Handle& folder, const std::string& name, FileType type) override;
    /// set_aside()
    Result<Kept> keep(const Slot& slot, const Handle& folder, const std::string& name,
                      const Identity& expected) override;
    void gave_back(const Handle&, const std::string&) override {
    }  // slots that were used are tidied at the end
    /// Removes the run's shared slots and shelves that hold nothing.
    void tidy() override;

    /// Takes in what the run has on the mount of a folder from before it was interrupted, if anything.
    void find_again(const Handle& near);
    /// A thing in a slot.
    struct Lying {
        std::string slot;  ///< its number
        std::string stored;
        Status status;
    };
    /// All that lies in the run's slots now; empty ones go.
    std::vector<Lying> lying();

private:
    struct Shelf {
        std::shared_ptr<const Handle> safe;
        std::shared_ptr<const Handle> folder;
        std::string path;
        std::uint64_t device = 0;
    };
    std::vector<std::size_t> candidates(const Handle& near);  ///< highest first
    Result<Handle> above(const Handle& near, std::size_t levels);
    Result<Shelf> find(const Handle& near);
    Result<Handle> open_private(const Handle& in, const std::string& name);
    Result<Handle> open_safe(const Handle& in);

    struct Shared {
        Slot slot;
        std::unordered_set<std::string> names;  ///< folded, as the file system may do
    };
    using Mounted = std::pair<std::uint64_t, std::uint64_t>;  // device and mount
    Result<Mounted> mounted(const Handle& near);

    FileSystem& disk_;
    std::string receipt_;
    std::vector<Identity> sources_;
    std::map<Mounted, Shelf> shelves_;
    std::map<Mounted, Shared> shared_;  ///< the last one of each
    std::vector<Slot> to_tidy_;         ///< those before it, without their handles
};

/// The slot of a version, opened step by step from the folder that holds the Safe: no link on the way, the
/// Safe a private folder of this user, and in it still the thing that was set aside (promises 8 and 14).
/// entry    with the numbers that its volume has today
/// errors   not_found: nothing lies there; changed_meanwhile: something else does, or a link leads elsewhere;
///          no_permission: not ours
Result<Handle> open_slot(FileSystem& disk, const SafeEntry& entry);
/// The same in two steps, for those who have many versions of one run before them.
Result<Handle> open_shelf(FileSystem& disk, const SafeEntry& entry);
Result<Handle> open_slot(FileSystem& disk, const Handle& shelf, const SafeEntry& entry);
/// The version lies in its slot, as it was set aside. errors as open_slot()
Result<void> lies_in(FileSystem& disk, const Handle& slot, const SafeEntry& entry);

}  // namespace tavlo
