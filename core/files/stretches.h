// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <vector>

#include "files/file_system.h"

namespace tavlo {

/// A stretch of a file that holds data: [begin, end) in bytes.
struct Stretch {
    std::uint64_t begin = 0;
    std::uint64_t end = 0;
    bool operator==(const Stretch&) const = default;
};

/// Where a file holds data, in order. Holes are believed only where what SEEK_HOLE says and the number of
/// blocks agree (lseek(2)); else all of it is one stretch, holes that are none cost their reading only.
/// seen   the file as it is now
Result<std::vector<Stretch>> stretches_of(FileSystem& disk, const Handle& file, const Status& seen);

}  // namespace tavlo
