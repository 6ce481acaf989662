// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

namespace tavlo {

/// For the start of a program that plans: what a list of a million has grown out of goes back to the system. By
/// itself glibc keeps blocks of up to 32 MiB for later once one of that size was freed (mallopt(3),
/// M_MMAP_THRESHOLD), which is a tenth of what a plan of a million takes.
void give_large_memory_back();

}  // namespace tavlo
