// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>
#include <vector>

#include "files/result.h"
#include "files/types.h"

namespace tavlo {

// What is known of file systems, by their kind. All take an open file or folder, also one that is open as a
// place only (O_PATH).

/// What the file system can and cannot do.
Result<Volume> volume_of(int open, const std::string& path);

/// What it is, whatever its number: its own UUID (asked of ext4, XFS and Btrfs themselves, else by libblkid),
/// a Btrfs subvolume by its number in that; else its kind and what is mounted (/proc/self/mountinfo,
/// proc(5)).
Result<VolumeIdentity> volume_identity_of(int open, const std::string& path);

/// Whether its inode numbers last; Identity::fleeting is for those where they do not.
/// kind   f_type of statfs(2)
bool inodes_last(std::uint64_t kind) noexcept;

/// The mount that an open file or folder is reached through (statx(2), STATX_MNT_ID).
Result<std::uint64_t> mount_of(int open, const std::string& path);

/// The places below a folder, at any depth, where something is mounted: their paths.
Result<std::vector<std::string>> mounts_below(int folder, const std::string& path);

}  // namespace tavlo
