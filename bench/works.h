// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstddef>
#include <cstdint>

#include "workplace.h"

// What is measured, each a row or some: the engine against a bare loop that does the same without a promise.

/// In folders of so many each, as usual and read back; against a loop that promises nothing, and one that
/// syncs each file. In phases: until there is a plan, and from there on.
void small_copies(const Workplace& place, int files, int in_each_folder);
/// What it costs to be told of every item, as the window is: each taken over, the last ten thousand kept;
/// and to be asked for the pace.
void told(const Workplace& place, int files);
/// From the call that holds a run to the last byte that it still reads, inside a large file.
void pauses(const Workplace& place, std::uint64_t bytes);
void large_copy(const Workplace& place, std::uint64_t bytes);
/// On a file system that shares extents.
void shared_copy(const Workplace& place, std::uint64_t bytes);
void moves(const Workplace& place, int files);
/// Every number one up, so that each takes the name of the next; the bare loop goes from the last to the
/// first. And a removal, to another folder.
void names(const Workplace& place, int files);
/// The plan alone: no collisions, nothing is carried out.
void plans(const Workplace& place, int files);
/// Pairs of one size: read the first time, remembered the second; and a whole job over them, where asked.
void same(const Workplace& place, int files, std::size_t bytes, bool as_a_job);
