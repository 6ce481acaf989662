// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <optional>
#include <string>

#include "files/file_system.h"
#include "keep/receipt.h"
#include "run/safe_folder.h"

namespace tavlo {

/// Something that is complete and waits for a name: a staged file, a link, a file to be renamed, a folder to
/// be made.
struct Ready {
    /// Makes it appear under a name that must be free. errors: name_taken, …: it is as it was
    std::function<Result<void>(const Handle& folder, const std::string& name)> appear;
    /// Takes it from a name where it appeared back to where it was.
    std::function<Result<void>(const Handle& folder, const std::string& name)> withdraw;
    /// What stands at a name is this very thing, which has left where it was. A call that answers an error
    /// may have been carried out all the same (a server whose reply is lost): what is known of a place is
    /// what is seen there (promise 12).
    std::function<bool(const Handle& folder, const std::string& name, const Status& there)> is_it;
};

/// Moves a thing to a name that must be free, and says what came of it by what is seen, whatever the call
/// answered.
/// moved    the thing, as it is seen at one name or the other; errors as FileSystem::move_to_free_name: it is
///          where it was
Result<void> move_seen(FileSystem& disk, const Handle& from, const std::string& name, const Handle& to,
                       const std::string& new_name, const Identity& moved);
/// The same for removing: nothing is there any more.
Result<void> remove_seen(FileSystem& disk, const Handle& folder, const std::string& name);

struct Placed {
    std::string name;
    Status status;  ///< as the file system says after the step
    std::optional<SafeEntry> set_aside{};
};

/// Gives something ready a free name; never replaces (promise 2).
/// count_from  where the name is taken, counts up from this one until one is free; empty: does not
/// errors    name_taken: nothing was touched
Result<Placed> place_at_free_name(FileSystem& disk, const Handle& folder, const std::string& name,
                                  const std::string& count_from, FileType type, const Ready& ready);

/// Gives something ready a name that is held, and puts what held it into the Safe.
/// expected  what the decision was made about; anything else there is left alone
/// errors    changed_meanwhile: something else holds the name now; nothing was touched
/// Both exist at every instant: the new one takes its place in the Safe's slot, the two trade names in one
/// atomic step (renameat2(2), RENAME_EXCHANGE), what came out is looked at, and traded back if it is not the
/// one agreed on. Where nothing holds the name any more it is taken as a free one.
/// slot      empty, and dropped where it is not needed after all
Result<Placed> place_over(FileSystem& disk, const Slot& slot, const Handle& folder, const std::string& name,
                          const Identity& expected, const Ready& ready);

/// Puts a thing into the Safe. errors: changed_meanwhile: it is not the expected one and stays
Result<SafeEntry> set_aside(FileSystem& disk, const Slot& slot, const Handle& folder, const std::string& name,
                            const Identity& expected);

/// Two names trade what they hold; where the file system cannot do that in one step, in two that are each
/// unable to replace.
Result<void> trade(FileSystem& disk, const Handle& slot, const Handle& folder, const std::string& name);

/// The name that the old one has in its slot for a moment, where a trade takes two steps.
std::string name_while_traded(const std::string& name);

/// Whether a thing is the expected one. Renaming leaves device, inode, size and time of change as they are; a
/// folder's size and time are its entries' affair. Where inodes do not last it is known by the rest alone.
bool is_expected(const Status& found, const Identity& expected);
/// The same, but its contents may have changed meanwhile, where its inode tells that it is still the one.
bool is_still_it(const Status& found, const Identity& then);

/// The Safe entry for what lies in a slot.
/// original  the place it held
SafeEntry entry_for(const std::string& id, const std::string& slot_path, const std::string& original,
                    const Status& status);

}  // namespace tavlo
