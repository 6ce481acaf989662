// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/stretches.h"

#include <algorithm>

namespace tavlo {

namespace {

// below this, asking costs more than reading
constexpr std::uint64_t worth_asking_bytes = 64 * 1024;
// blocks that a file system counts besides the data's: trees of extents
constexpr std::uint64_t slack_bytes = 64 * 1024;

}  // namespace

Result<std::vector<Stretch>> stretches_of(FileSystem& disk, const Handle& file, const Status& seen) {
    const std::uint64_t size = seen.id.size_bytes;
    const std::vector<Stretch> whole{{0, size}};
    if (size <= worth_asking_bytes || seen.allocated_bytes >= size) return whole;
    std::vector<Stretch> found;
    std::uint64_t data = 0;
    for (std::uint64_t offset = 0; offset < size;) {
        const auto next = disk.next_data(file, offset, size);
        if (!next) return failure(next.error());
        if (next->first >= size) break;
        if (next->second <= next->first) return whole;  // an answer that leads nowhere
        found.push_back({next->first, next->second});
        data += next->second - next->first;
        offset = next->second;
    }
    // fewer data than blocks: written ahead, or a hole that is none
    return seen.allocated_bytes > data + data / 8 + slack_bytes ? whole : found;
}

}  // namespace tavlo
