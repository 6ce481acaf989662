// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <stop_token>
#include <vector>

#include "batch/batch.h"
#include "facts/known_file_facts.h"

namespace tavlo {

/// Has helpers read what these files of a batch tell about themselves, several at a time, where it is not
/// known yet. A file that tells nothing, or costs a helper its time, is known to tell nothing.
/// disk    where bytes are read that lie in archives, which helpers cannot open by a path
/// memory  what was told before, and where what is told now goes; may be null
/// told    called now and then with the number of files that are known, and of all
/// errors  not_found: there is no helper beside this program; cancelled
Result<void> learn_facts(FileSystem& disk, const Batch& batch, const std::vector<EntryId>& of,
                         KnownFileFacts& known, FactsMemory* memory, const std::stop_token& stop = {},
                         const std::function<void(std::size_t, std::size_t)>& told = {});

/// All files of a batch.
std::vector<EntryId> files_of(const Batch& batch);

}  // namespace tavlo
