#pragma once

#include <memory>
#include <string>
#include <unordered_map>
#include <vector>

#include "files/file_system.h"

namespace tavlo {

/// A private folder in the Safe for one version, which lies in it under its own name.
struct Slot {
    std::shared_ptr<const Handle> shelf;  ///< the run's folder in the Safe
    Handle folder;
    std::string number;  ///< the slot's name on the shelf
    std::string path;    ///< absolute, links resolved
    std::string entry;   ///< the Safe entry's id: "RECEIPT.NUMBER"
};

/// The Safe of one run: on each file system a folder of the user's own, mode 0700, in the highest folder that the user
/// may write, so that setting aside is a rename; never inside a folder that the run reads as a source.
/// Layout: FOLDER/.tavlo-safe-UID/RECEIPT/NUMBER/NAME
class SafeFolder {
public:
    /// sources  folders that the run reads
    SafeFolder(FileSystem& disk, std::string receipt, std::vector<Identity> sources);

    /// A new slot on the file system of `near`, an open folder.
    Result<Slot> slot(const Handle& near);
    /// Removes a slot, if it holds nothing.
    static void drop(FileSystem& disk, const Slot& slot);
    /// Removes the run's shelves that hold nothing.
    void tidy();

private:
    struct Shelf {
        std::shared_ptr<const Handle> safe;
        std::shared_ptr<const Handle> folder;
        std::string path;
    };
    Result<Shelf> find(const Handle& near);
    Result<Handle> open_own(const Handle& in, const std::string& name);

    FileSystem& disk_;
    std::string receipt_;
    std::vector<Identity> sources_;
    std::unordered_map<std::uint64_t, Shelf> shelves_;  ///< by device
    unsigned next_ = 1;
};

/// The name of the Safe's folder: ".tavlo-safe-" and the effective user's number.
std::string safe_folder_name();

}  // namespace tavlo
