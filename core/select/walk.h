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

/// Goes through all that lies below a folder, folder by folder; follows no link, crosses into no mount, leaves out what is
/// Tavlo's own.
/// meet     false: not into this folder
/// errors   the folder itself cannot be read, cancelled
Result<Walked> walk_below(FileSystem& disk, const std::string& folder, std::stop_token stop, const std::function<bool(const Met&)>& meet);

/// What can be said of a folder by looking at all that is below it.
struct FolderFacts {
    struct Thing {
        std::string path;  ///< from the folder
        std::uint64_t bytes = 0;
    };
    std::uint64_t files = 0;
    std::uint64_t folders = 0;
    std::uint64_t bytes = 0;
    std::int64_t newest_ns = 0;
    std::string newest{};                      ///< path from the folder; "" where there is no file
    std::vector<Thing> largest_files{};        ///< at most ten, the largest first
    std::vector<Thing> large_folders{};        ///< whose contents reach the size asked for, the largest first
    std::vector<std::string> empty_folders{};  ///< at most a thousand
    std::uint64_t unread = 0;                  ///< folders that could not be read: the figures are without them
};

/// large_folder_bytes  from which size on folders below are listed
/// on_progress         now and then, with what is known so far (totals only)
Result<FolderFacts> facts_below(FileSystem& disk, const std::string& folder, std::uint64_t large_folder_bytes = UINT64_MAX,
                                std::stop_token stop = {}, const std::function<void(const FolderFacts&)>& on_progress = {});

}  // namespace tavlo
