// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/looker.h"

#include "files/path.h"

namespace tavlo {

Looker::Looker(FileSystem& disk, const std::vector<std::string>& roots)
    : disk_(disk), paths_(tree_, roots), handles_(disk, tree_, 64) {}

Result<std::shared_ptr<const Handle>> Looker::folder_of(const std::string& path) {
    return handles_.open(paths_.at(std::string(parent_of(path))));
}

Result<Status> Looker::status(const std::string& path) {
    const auto folder = folder_of(path);
    if (!folder) return failure(folder.error());
    return disk_.status(**folder, std::string(name_of(path)));
}

Result<OpenedFile> Looker::open_file(const std::string& path) {
    const auto folder = folder_of(path);
    if (!folder) return failure(folder.error());
    return disk_.open_file(**folder, std::string(name_of(path)));
}

Result<std::string> Looker::read_link(const std::string& path) {
    const auto folder = folder_of(path);
    if (!folder) return failure(folder.error());
    return disk_.read_link(**folder, std::string(name_of(path)));
}

Result<Attributes> Looker::folder_attributes(const std::string& path) {
    const auto folder = folder_of(path);
    if (!folder) return failure(folder.error());
    const auto opened = disk_.open_folder_in(**folder, std::string(name_of(path)));
    if (!opened) return failure(opened.error());
    return disk_.attributes(*opened);
}

Result<std::vector<Name>> Looker::list(const std::string& path) {
    const auto folder = folder_of(path);
    if (!folder) return failure(folder.error());
    const auto opened = disk_.open_folder_in(**folder, std::string(name_of(path)));
    if (!opened) return failure(opened.error());
    return disk_.list(*opened);
}

}  // namespace tavlo
