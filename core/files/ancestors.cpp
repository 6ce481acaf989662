// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/ancestors.h"

namespace tavlo {

Result<std::vector<Identity>> ancestors(FileSystem& disk, Handle folder) {
    std::vector<Identity> found;
    for (;;) {
        const auto here = disk.status(folder);
        if (!here) return failure(here.error());
        if (!found.empty() && found.back().same_thing(here->id)) return found;
        found.push_back(here->id);
        auto above = disk.open_folder_in(folder, "..");
        if (!above) return found;
        folder = std::move(*above);
    }
}

}  // namespace tavlo
