// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <chrono>
#include <cstdint>
#include <functional>
#include <memory>
#include <span>
#include <stop_token>
#include <string>
#include <vector>

#include "files/file_system.h"

namespace tavlo {

/// A folder with all that lies below it, weighed: an immutable snapshot. Things are known by their numbers; 0
/// is the folder itself.
struct Weighed {
    struct Thing {
        std::uint32_t parent = 0;
        FileType type = FileType::folder;
        std::uint64_t bytes = 0;     ///< of a folder: of all files below it
        std::uint64_t files = 0;     ///< of a folder: things below it that are no folders
        std::int64_t newest_ns = 0;  ///< of a folder: the latest change of these; 0: there are none
        std::string name{};
    };
    std::string folder;         ///< absolute path
    std::vector<Thing> things;  ///< parents before what is in them
    std::uint64_t unread = 0;   ///< folders that could not be read: the figures are without them
    bool complete = false;      ///< else just what lies directly in it is here, with what was met so far

    std::span<const std::uint32_t> inside(std::uint32_t thing) const;  ///< the heaviest first
    std::string path(std::uint32_t thing) const;
    std::uint64_t folders() const;

    /// Below the folder, of more than so many bytes, the largest first.
    std::vector<std::uint32_t> folders_over(std::uint64_t bytes) const;
    static constexpr std::size_t most_files = 200;
    /// as many as most_files, the largest first; once it is complete
    std::vector<std::uint32_t> largest_files{};
    /// Folders below which there is nothing that is no folder, the outermost of them, in the order of their
    /// paths; once it is complete.
    std::vector<std::uint32_t> empty_folders{};

    std::vector<std::uint32_t> place_in_parent{};  ///< by thing: where it stands in inside() of its parent
    /// numbers of all things but the first; those of one parent side by side
    std::vector<std::uint32_t> by_parent{};
    /// by thing, and one more: where in by_parent what lies in it begins
    std::vector<std::uint32_t> first_in{};
};

/// Goes through all that lies below a folder, as walk_below() does.
/// so_far  told about so often, with a snapshot that is not complete
/// errors  the folder itself cannot be read, cancelled
Result<std::shared_ptr<const Weighed>> weigh_below(
    FileSystem& disk, const std::string& folder, std::stop_token stop = {},
    const std::function<void(std::shared_ptr<const Weighed>)>& so_far = {},
    std::chrono::milliseconds so_often = std::chrono::milliseconds(200));

}  // namespace tavlo
