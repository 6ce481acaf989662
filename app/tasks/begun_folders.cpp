// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/begun_folders.h"

#include <algorithm>

#include "archive/archive_files.h"
#include "files/file_system.h"
#include "files/natural.h"
#include "files/own.h"
#include "files/path.h"

using namespace tavlo;

BegunFolders begun_folders(const std::string& path, bool inside, const std::stop_token& stop) {
    BegunFolders found;
    const auto disk = make_disk_with_archives();
    const std::string begin = inside ? std::string() : std::string(name_of(path));
    const auto folder = disk->open_folder(inside ? path : std::string(parent_of(path)));
    const auto names = folder ? disk->list(*folder) : Result<std::vector<Name>>(failure(folder.error()));
    found.exists = inside && folder;
    for (std::string at = path; at != "/" && !stop.stop_requested() && !disk->open_folder(at);
         at = std::string(parent_of(at)))
        ++found.missing;
    if (!names) return found;
    for (const Name& name : *names) {
        if (stop.stop_requested()) return found;
        if (name.hint != FileType::folder || is_own(*disk, *folder, name.bytes)) continue;
        found.exists |= name.bytes == begin;
        if (name.bytes.starts_with(begin)) found.names.push_back(name.bytes);
    }
    std::sort(found.names.begin(), found.names.end(), natural_less);
    return found;
}
