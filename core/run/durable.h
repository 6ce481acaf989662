// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <memory>
#include <span>
#include <unordered_map>
#include <vector>

#include "files/file_system.h"
#include "run/staging.h"

namespace tavlo {

/// Makes durable what a run does, on every volume that it touches, each in the way that is known to work
/// there: one call for the whole file system where that can be trusted (Volume::syncs_whole), else each file
/// and each folder by itself, and what closing says is heard. One thread at a time.
class Durable {
public:
    explicit Durable(FileSystem& disk) : disk_(disk) {}

    /// Something will be written on the volume of this folder. Its descriptor is kept from here on, so that
    /// syncfs(2) tells of every error since (errors are told once to each description of an open file).
    /// device   of the folder, as in Identity
    Result<void> touch(std::uint64_t device, const Handle& folder);
    /// A name in this folder was taken, or went.
    void changed(std::uint64_t device, std::shared_ptr<const Handle> folder);

    /// Makes staged files durable, and where it costs nothing more, names too. What failed is in `failed`, by
    /// its place in `files`.
    struct Failed {
        std::size_t at;
        Error error;
    };
    std::vector<Failed> sync_files(std::span<const StagedCopy* const> files);
    /// Makes every name durable that was taken or went. errors: of the first volume where it failed; the
    /// others were done all the same
    Result<void> settle();
    bool is_settled() const noexcept { return changed_.empty(); }

private:
    struct Known {
        std::shared_ptr<const Handle> folder;
        bool whole = false;
    };
    Result<void> sync_folder(const Handle& folder);
    Result<void> sync_whole(std::uint64_t device, const Known& volume);

    FileSystem& disk_;
    std::unordered_map<std::uint64_t, Known> volumes_;  ///< by device
    /// by device; folders where not whole
    std::unordered_map<std::uint64_t, std::vector<std::shared_ptr<const Handle>>> changed_{};
    Result<void> earlier_{};  ///< of folders that were synced between
};

}  // namespace tavlo
