// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

namespace tavlo {

/// Whether two open files lie on exactly the same blocks of one file system, so that they hold the same bytes
/// without being read (ioctl_fiemap: Documentation/filesystems/fiemap.rst of the Linux kernel). What of them
/// waits to be written is written first: else the map is of the past. false also where the file system does
/// not say.
bool lie_on_same_blocks(int one, int other);

}  // namespace tavlo
