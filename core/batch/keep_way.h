// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>

#include "batch/batch.h"
#include "files/file_system.h"

namespace tavlo {

/// Puts the folders between `from` and the sources that lie below it into a batch, so that the sources arrive
/// in folders of those names. They are only the way: nothing else in them comes along, and a move leaves them
/// where they are.
/// from    absolute path; a source that does not lie below it stays as it is
/// errors  a folder on the way that is gone by now, or cannot be looked at
Result<Batch> keep_way(FileSystem& disk, const Batch& batch, const std::string& from);

}  // namespace tavlo
