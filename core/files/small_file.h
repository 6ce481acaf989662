// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstddef>
#include <string>

#include "files/result.h"

namespace tavlo {

/// The bytes of a file that a person wrote, or that should be small: a list, settings.
/// errors   not_found, no_permission, io; refused: it is larger than `most_bytes`, or no regular file
Result<std::string> read_small_file(const std::string& path, std::size_t most_bytes = std::size_t{16} << 20);

/// The same of what is open already, a pipe too; `name` is what errors call it.
Result<std::string> read_small(int descriptor, const std::string& name,
                               std::size_t most_bytes = std::size_t{16} << 20);

/// Puts these bytes in the place of a file's, in one step: a reader sees the old ones or the new ones, also
/// after a power cut. The folders above it are made where they are missing. The file keeps its permissions; a
/// link stays one, and what it leads to is replaced. Nothing else in the folder is touched.
/// errors   no_permission, no_space, io; refused: it is there and no regular file
Result<void> write_small_file(const std::string& path, const std::string& bytes);

}  // namespace tavlo
