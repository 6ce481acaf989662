// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <set>
#include <string>

namespace tavlo {

/// The drives that a file system lies on: two of them on partitions of one disk share it, and so slow each
/// other down. Device numbers of whole disks (sysfs, /sys/dev/block: `partition`, `slaves`), or the file
/// system's own number where it lies on none: in memory, over a network.
/// device  as in Identity
std::set<std::uint64_t> drives_of(std::uint64_t device);

/// The same for the nearest folder that exists at or above a path; empty where none can be looked at. Follows
/// links; may wait for a slow mount.
std::set<std::uint64_t> drives_below(const std::string& path);

}  // namespace tavlo
