// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <stop_token>

#include "batch/batch.h"
#include "files/file_system.h"
#include "survey/contents.h"

namespace tavlo {

/// Finds those files of a batch whose bytes are somewhere below a folder already, under whatever name, in no
/// version that was set aside. Only files of equal size are read, each once, and their hashes are compared
/// (Hasher).
/// known   learns them (KnownContents::elsewhere()); of several places the first by path
/// memory  of what was read before, and where what is read now goes; may be null
/// read    called now and then with how many files were read, and of how many
/// errors  cancelled; what cannot be read is not found, no more
Result<void> find_elsewhere(FileSystem& disk, const Batch& batch, const std::string& folder,
                            KnownContents& known, HashMemory* memory, const std::stop_token& stop = {},
                            const std::function<void(std::size_t, std::size_t)>& read = {});

}  // namespace tavlo
