#pragma once

#include <string>
#include <vector>

#include "files/file_system.h"

namespace tavlo {

// Small changes in the folder that one looks at. Each says what it did, so that it can be taken back; none replaces anything.

/// Makes a folder, or several in one another ("a/b/c"), below `folder`.
/// returns  the paths that were made, outermost first
/// errors   name_taken, name_not_possible: "..", an empty part, "/" at the start; what was made before the failure goes again
Result<std::vector<std::string>> make_folders(FileSystem& disk, const std::string& folder, const std::string& names);
/// Takes them away again, innermost first.
/// errors   name_taken: one holds something by now; it and those around it stay
Result<void> remove_made_folders(FileSystem& disk, const std::vector<std::string>& paths);

/// Gives one thing in a folder another name.
/// errors   name_taken, name_not_possible, not_found
Result<void> rename_one(FileSystem& disk, const std::string& folder, const std::string& from, const std::string& to);

/// One thing in the trash of the desktop.
struct Trashed {
    std::string original;  ///< the path it had
    std::string file;      ///< where it lies
    std::string info;      ///< its .trashinfo
};

/// Puts a file, link or folder into the trash, by the Desktop Trash Can Specification 1.0 (freedesktop.org): the home trash for
/// what lies on the same file system, $topdir/.Trash/$uid or $topdir/.Trash-$uid for the rest. Nothing is copied.
/// now      seconds since 1970-01-01 UTC, for DeletionDate
/// errors   other_file_system, no_permission: there is no trash that it can be renamed into; it is where it was
Result<Trashed> move_to_trash(FileSystem& disk, const std::string& path, std::int64_t now_s);
/// Brings it back to where it was.
/// errors   name_taken: something holds its place by now; not_found: it is no longer in the trash
Result<void> take_from_trash(FileSystem& disk, const Trashed& trashed);

}  // namespace tavlo
