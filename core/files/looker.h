// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <memory>
#include <string>
#include <vector>

#include "files/file_system.h"
#include "files/folder_tree.h"

namespace tavlo {

/// Looks at single places by path, without following links below the folders that people named.
class Looker {
public:
    Looker(FileSystem& disk, const std::vector<std::string>& roots);
    Looker(const Looker&) = delete;
    Looker& operator=(const Looker&) = delete;

    Result<Status> status(const std::string& path);
    Result<OpenedFile> open_file(const std::string& path);
    Result<std::string> read_link(const std::string& path);
    Result<Attributes> folder_attributes(const std::string& path);
    Result<std::vector<Name>> list(const std::string& path);

private:
    Result<std::shared_ptr<const Handle>> folder_of(const std::string& path);

    FileSystem& disk_;
    FolderTree tree_;
    FolderPaths paths_;
    FolderHandles handles_;
};

}  // namespace tavlo
