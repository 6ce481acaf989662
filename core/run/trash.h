// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <map>
#include <memory>
#include <string>
#include <unordered_set>
#include <vector>

#include "files/file_system.h"
#include "run/keeper.h"

namespace tavlo {

/// The trash of the desktop, by the Trash specification 1.0 (freedesktop.org): the home trash for what lies
/// on its file system, $topdir/.Trash/$uid or $topdir/.Trash-$uid for the rest. Nothing is copied, and
/// nothing goes to the trash of another volume.
///
/// A thing's note (info/NAME.trashinfo) comes whole and first, and reserves the name; it says when the run
/// began and which it was, so that recovery knows it again. The sizes of folders (directorysizes) are brought
/// up to date by tidy().
class Trash final : public Keeper {
public:
    /// receipt     names what is written on the way, where there are no nameless files
    /// started_ns  of the run, since 1970-01-01 UTC
    Trash(FileSystem& disk, std::string receipt, std::int64_t started_ns);

    Result<Slot> slot_for(const Handle& folder, const std::string& name, FileType type) override;
    Result<Kept> keep(const Slot& slot, const Handle& folder, const std::string& name,
                      const Identity& expected) override;
    void gave_back(const Handle& folder, const std::string& name) override;
    void tidy() override;

    /// Why nothing that lies in a folder can go to a trash; nothing is made to find that out. ok: it can
    /// errors   no_permission
    Result<void> possible(const Handle& folder);
    /// Where the trashes are that what lies in a folder could go to, there or not: absolute paths. What lies
    /// in one of them is in the trash already, and what holds one cannot go.
    std::vector<std::string> places_for(const Handle& folder);

    /// Of a thing that was about to go when its run was interrupted: where it lies in the trash, its note
    /// made whole; of one that does not, a note without a thing goes.
    /// files     the folder that it was to be put into; name: what it was to be called there
    /// original  the place it had
    /// returns   its name there; empty: it is not there
    std::string settle(const std::string& files, const std::string& name, const std::string& original,
                       const Identity& expected);

private:
    struct Can {
        std::shared_ptr<const Handle> folder;
        std::shared_ptr<const Handle> files;
        std::shared_ptr<const Handle> info;
        std::string path;  ///< absolute, links resolved
        std::string top;   ///< what the paths in its notes are relative to; empty: they are absolute
        std::uint64_t device = 0;
        bool syncs_whole = false;
        std::unordered_set<std::string> given{};  ///< names, by slot_for()
        std::vector<std::string> came{};          ///< folders that were put in
        std::vector<std::string> went{};
    };
    using Mounted = std::pair<std::uint64_t, std::uint64_t>;  // device and mount

    Result<Can*> can_for(const Handle& folder);
    bool is_beside_home_trash(const Mounted& place);
    Result<Can> find(const Handle& folder, const Mounted& place);
    Result<Can> opened(Handle folder, std::string top);
    Result<Can*> can_of(const Handle& files);
    std::string note_for(const Can& can, const std::string& original) const;
    std::string of_run() const;
    Result<void> write_note(const Can& can, const std::string& kept, const std::string& original);
    std::string part();
    void update_sizes(Can& can);

    FileSystem& disk_;
    std::string receipt_;
    std::string date_;  ///< of its notes
    std::uint64_t parts_;
    std::map<Mounted, std::unique_ptr<Can>> cans_{};  ///< by where the things lie
};

}  // namespace tavlo
