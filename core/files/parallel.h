// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstddef>
#include <functional>

namespace tavlo {

/// How many threads are worth having for work that is half waiting for a disk, half of the processor: 1 to 4.
unsigned useful_threads();

/// Does work(0) to work(count - 1), each once, on so many threads, this one among them; returns when all are
/// done.
/// work     does not throw, and what it touches is its own or guarded
void in_parallel(unsigned threads, std::size_t count, const std::function<void(std::size_t)>& work);

}  // namespace tavlo
