// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/extents.h"

#include <linux/fiemap.h>
#include <linux/fs.h>
#include <sys/ioctl.h>

#include <cstring>
#include <memory>

namespace tavlo {

namespace {

constexpr unsigned extents_at_once = 256;
constexpr std::size_t map_bytes = sizeof(fiemap) + extents_at_once * sizeof(fiemap_extent);
// of such an extent the map does not say where its bytes are
constexpr unsigned not_telling = FIEMAP_EXTENT_UNKNOWN | FIEMAP_EXTENT_DELALLOC | FIEMAP_EXTENT_ENCODED |
                                 FIEMAP_EXTENT_DATA_ENCRYPTED | FIEMAP_EXTENT_NOT_ALIGNED |
                                 FIEMAP_EXTENT_DATA_INLINE | FIEMAP_EXTENT_DATA_TAIL;

class Map {
public:
    bool read(int file, std::uint64_t from) {
        std::memset(memory_.get(), 0, map_bytes);
        map().fm_start = from;
        map().fm_length = FIEMAP_MAX_OFFSET - from;
        map().fm_flags = FIEMAP_FLAG_SYNC;
        map().fm_extent_count = extents_at_once;
        return ::ioctl(file, FS_IOC_FIEMAP, memory_.get()) == 0;
    }
    unsigned count() { return map().fm_mapped_extents; }
    const fiemap_extent& operator[](unsigned at) { return map().fm_extents[at]; }

private:
    fiemap& map() { return *reinterpret_cast<fiemap*>(memory_.get()); }
    std::unique_ptr<std::uint64_t[]> memory_ = std::make_unique<std::uint64_t[]>((map_bytes + 7) / 8);
};

}  // namespace

bool lie_on_same_blocks(int one, int other) {
    Map a;
    Map b;
    for (std::uint64_t from = 0;;) {
        if (!a.read(one, from) || !b.read(other, from)) return false;
        if (a.count() != b.count() || a.count() == 0) return false;
        for (unsigned at = 0; at < a.count(); ++at) {
            const bool same = a[at].fe_logical == b[at].fe_logical &&
                              a[at].fe_physical == b[at].fe_physical && a[at].fe_length == b[at].fe_length;
            const bool unwritten = ((a[at].fe_flags ^ b[at].fe_flags) & FIEMAP_EXTENT_UNWRITTEN) != 0;
            if (!same || unwritten || ((a[at].fe_flags | b[at].fe_flags) & not_telling) != 0) return false;
        }
        const auto& last = a[a.count() - 1];
        if ((last.fe_flags & FIEMAP_EXTENT_LAST) != 0) return true;
        from = last.fe_logical + last.fe_length;
    }
}

}  // namespace tavlo
