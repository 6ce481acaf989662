// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <stop_token>
#include <string>
#include <vector>

/// Folders that a path which is being typed may lead to.
struct BegunFolders {
    std::vector<std::string> names;  ///< in natural order
    bool exists = false;             ///< the path is a folder as it stands
    int missing = 0;                 ///< if not, how many folders at its end are not there
};

/// Looks on the disk, for a thread that may wait. What is Tavlo's own is left out.
/// path    absolute; the last part is begun only, unless `inside`
/// inside  what lies in the path is meant
BegunFolders begun_folders(const std::string& path, bool inside, const std::stop_token& stop);
