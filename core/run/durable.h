// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <memory>
#include <unordered_map>
#include <vector>

#include "files/file_system.h"
#include "run/staging.h"

namespace tavlo {

/// Makes durable what a run does, on every volume that it touches, each in the way that is known to work
/// there: one call for the whole file system where that can be trusted (Volume::syncs_whole), else each file
/// and each folder by itself, and what closing says is heard. One thread at a time, but for what begin() gives.
class Durable {
public:
    explicit Durable(FileSystem& disk) : disk_(disk) {}

    /// Something will be written on the volume of this folder. Its descriptor is kept from here on, so that
    /// syncfs(2) tells of every error since (errors are told once to each description of an open file).
    /// device   of the folder, as in Identity
    Result<void> touch(std::uint64_t device, const Handle& folder);
    /// A name in this folder was taken, or went.
    void changed(std::uint64_t device, std::shared_ptr<const Handle> folder);

    struct Failed {
        std::size_t at;  ///< in `files`
        Error error;
    };
    struct Synced {
        std::vector<Failed> failed{};
        Result<void> names{};  ///< that had changed by then, as settle() has it
    };
    /// What makes these staged files durable, with every name that has changed so far: to be called once, by
    /// any thread, while names go on changing here. What it is said of by then is no longer settle()'s.
    std::function<Synced()> begin(std::vector<const StagedCopy*> files);
    /// Makes every name durable that was taken or went. errors: of the first volume where it failed; the
    /// others were done all the same
    Result<void> settle();
    /// No name has changed that is not durable.
    bool is_settled() const { return changed_.empty() && earlier_.has_value(); }

private:
    struct Known {
        std::shared_ptr<const Handle> folder;
        bool whole = false;
    };
    /// Names to be made durable.
    struct Changed {
        std::vector<std::shared_ptr<const Handle>> volumes;  ///< as a whole
        std::vector<std::shared_ptr<const Handle>> folders;  ///< where not
        Result<void> earlier{};                              ///< of what was synced before
    };
    Changed take_changed();
    bool syncs_whole(std::uint64_t device) const;
    static Result<void> sync_folder(FileSystem& disk, const Handle& folder);
    static Result<void> sync_names(FileSystem& disk, const Changed& changed);

    FileSystem& disk_;
    std::unordered_map<std::uint64_t, Known> volumes_;  ///< by device
    /// by device; folders where not whole
    std::unordered_map<std::uint64_t, std::vector<std::shared_ptr<const Handle>>> changed_{};
    Result<void> earlier_{};  ///< of folders that were synced between
};

}  // namespace tavlo
