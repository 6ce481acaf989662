// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "survey/contents.h"

#include <xxhash.h>

#include <array>

#include "survey/pair_key.h"

namespace tavlo {

HashKey key_of(const Pair& pair) {
    const std::array<std::uint64_t, 10> all{pair.incoming.device,
                                            pair.incoming.inode,
                                            pair.incoming.size_bytes,
                                            static_cast<std::uint64_t>(pair.incoming.modified_ns),
                                            static_cast<std::uint64_t>(pair.incoming_changed_ns),
                                            pair.held.device,
                                            pair.held.inode,
                                            pair.held.size_bytes,
                                            static_cast<std::uint64_t>(pair.held.modified_ns),
                                            static_cast<std::uint64_t>(pair.held_changed_ns)};
    const auto hash = XXH3_128bits(all.data(), sizeof all);
    return {hash.high64, hash.low64};
}

HashKey KnownContents::key_of(const Pair& pair) { return tavlo::key_of(pair); }

}  // namespace tavlo
