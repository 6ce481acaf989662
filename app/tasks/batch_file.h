// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>
#include <vector>

#include "files/result.h"

// What is in hand, from one start of the program to the next: the paths, each ended by a NUL, after a line
// that names the format.

std::string batch_file(const std::string& state_folder);

/// errors   as write_small_file()
tavlo::Result<void> save_batch(const std::string& state_folder, const std::vector<std::string>& paths);

struct SavedBatch {
    std::vector<std::string> paths;  ///< those that still stand
    std::size_t missing = 0;
};

/// errors   not_found; corrupt: it is of another format
tavlo::Result<SavedBatch> load_batch(const std::string& state_folder);
