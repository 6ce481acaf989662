// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <vector>

#include "files/file_system.h"

namespace tavlo {

/// A folder and every folder above it, as things, up to the root or to one that may not be looked into. Found
/// by "..", so that links and mounts on the way are seen as the folders they lead to.
Result<std::vector<Identity>> ancestors(FileSystem& disk, Handle folder);

}  // namespace tavlo
