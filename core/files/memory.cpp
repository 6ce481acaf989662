// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/memory.h"

#include <malloc.h>

namespace tavlo {

void give_large_memory_back() {
#ifdef __GLIBC__
    constexpr int large_bytes = 1024 * 1024;
    ::mallopt(M_MMAP_THRESHOLD, large_bytes);
#endif
}

}  // namespace tavlo
