// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <memory>
#include <optional>
#include <string>

#include "files/file_system.h"
#include "keep/receipt.h"

namespace tavlo {

/// A place for a thing that leaves: a folder, and a name in it. In the Safe it is a private folder for a
/// version, which lies in it under its own name; or, shared, for several of different names.
struct Slot {
    std::shared_ptr<const Handle> shelf;   ///< the run's folder in the Safe, which the folder lies in; in the
                                           ///< trash the folder of its notes
    std::shared_ptr<const Handle> folder;  ///< what the thing is put into
    std::string number;  ///< the slot's name on the shelf: random, never used twice; none in the trash
    std::string path;    ///< absolute, links resolved
    /// the Safe entry's id: "RECEIPT.NUMBER", shared "RECEIPT.NUMBER-WHICH"; none in the trash
    std::string entry;
    std::uint64_t device = 0;
    bool shared = false;  ///< it goes with the run's end, if it holds nothing, and not before
    std::string name{};   ///< that the thing is to have there
};

/// A thing that was put in its place.
struct Kept {
    std::string place;                   ///< its path by now
    Identity id;                         ///< as the file system says of it there
    std::optional<SafeEntry> version{};  ///< in the Safe
};

/// Where what leaves goes: the Safe, or the trash of the desktop. It gets there by a rename that cannot
/// replace, on its own file system, and comes back from there.
class Keeper {
public:
    virtual ~Keeper() = default;

    /// A place for a thing of this name, which lies in `folder`: to be noted in the journal before anything
    /// is touched.
    /// errors   no_permission, other_file_system: there is none that it can be renamed to; refused: it holds
    ///          that place, or is in it
    virtual Result<Slot> slot_for(const Handle& folder, const std::string& name, FileType type) = 0;
    /// Puts the thing there. errors: changed_meanwhile: it is not the expected one, and stays; as slot_for()
    virtual Result<Kept> keep(const Slot& slot, const Handle& folder, const std::string& name,
                              const Identity& expected) = 0;
    /// Something has come back out of a folder of its, where it had this name: what was noted of it there
    /// goes.
    virtual void gave_back(const Handle& folder, const std::string& name) = 0;
    /// Once the run is through: what holds nothing goes, what is noted of the whole is brought up to date.
    virtual void tidy() = 0;
};

}  // namespace tavlo
