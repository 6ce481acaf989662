// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/found_place.h"

#include "files/file_system.h"
#include "files/path.h"

using namespace tavlo;

FoundPlace found_place(const std::string& path) {
    const auto disk = make_disk();
    if (disk->open_folder(path)) return {path};
    const std::string above(parent_of(path));
    if (const auto folder = disk->open_folder(above);
        folder && disk->status(*folder, std::string(name_of(path))))
        return {above, std::string(name_of(path))};
    FoundPlace found{above, {}, path};
    while (found.folder != "/" && !disk->open_folder(found.folder))
        found.folder = std::string(parent_of(found.folder));
    return found;
}
