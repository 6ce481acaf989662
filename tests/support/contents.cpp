// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "support/contents.h"

#include <filesystem>
#include <fstream>
#include <sstream>

std::set<std::string> contents_of(const std::string& top) {
    std::set<std::string> contents;
    for (const auto& entry : std::filesystem::recursive_directory_iterator(top)) {
        if (!entry.is_regular_file() || entry.is_symlink()) continue;
        std::ifstream in(entry.path(), std::ios::binary);
        std::ostringstream bytes;
        bytes << in.rdbuf();
        contents.insert(bytes.str());
    }
    return contents;
}
