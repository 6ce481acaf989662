// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <filesystem>
#include <set>
#include <string>

#include "support/catch.h"

/// Every note in a trash is of a thing that lies there, and the other way round; nothing hidden is left.
/// can  the folder that holds `files` and `info`; it need not be there
inline void check_trash_is_whole(const std::string& can) {
    if (!std::filesystem::exists(can + "/files")) return;
    std::set<std::string> files;
    std::set<std::string> notes;
    for (const auto& one : std::filesystem::directory_iterator(can + "/files"))
        files.insert(one.path().filename());
    for (const auto& one : std::filesystem::directory_iterator(can + "/info")) {
        CHECK(one.path().extension() == ".trashinfo");
        CHECK(one.file_size() > 0);
        notes.insert(one.path().stem());
    }
    CHECK(files == notes);
    for (const auto& one : std::filesystem::directory_iterator(can))
        CHECK(one.path().filename().string().front() != '.');
}
