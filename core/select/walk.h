// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <functional>
#include <stop_token>
#include <string>
#include <vector>

#include "files/file_system.h"

namespace tavlo {

/// A thing that was met below a folder.
struct Met {
    const std::string& folder;  ///< path from the folder that the walk began at; "" directly in it
    const std::string& name;
    const Status& status;
};

struct Walked {
    std::uint64_t entries = 0;
    std::vector<Error> problems{};  ///< folders that could not be read, the first hundred
    std::uint64_t unread = 0;       ///< how many could not
};

/// Goes through all that lies below a folder, folder by folder; follows no link, crosses into no mount,
/// leaves out what is Tavlo's own.
/// meet     false: not into this folder
/// errors   the folder itself cannot be read, cancelled
Result<Walked> walk_below(FileSystem& disk, const std::string& folder, std::stop_token stop,
                          const std::function<bool(const Met&)>& meet);

}  // namespace tavlo
