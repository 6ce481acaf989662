// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "tasks/batch_file.h"

#include <sys/stat.h>

#include "files/path.h"
#include "files/small_file.h"

using namespace tavlo;

namespace {
constexpr std::string_view head = "tavlo batch 1\n";
constexpr std::size_t most_bytes = std::size_t{1} << 30;
}  // namespace

std::string batch_file(const std::string& state_folder) { return join(state_folder, "batch"); }

Result<void> save_batch(const std::string& state_folder, const std::vector<std::string>& paths) {
    std::string bytes(head);
    for (const auto& path : paths) (bytes += path) += '\0';
    return write_small_file(batch_file(state_folder), bytes);
}

Result<SavedBatch> load_batch(const std::string& state_folder) {
    const auto bytes = read_small_file(batch_file(state_folder), most_bytes);
    if (!bytes) return failure(bytes.error());
    if (!bytes->starts_with(head))
        return failure(Fault::corrupt, "is no batch that this version knows", batch_file(state_folder));
    SavedBatch saved;
    for (std::size_t at = head.size(); at < bytes->size();) {
        const auto end = std::min(bytes->find('\0', at), bytes->size());
        std::string path = bytes->substr(at, end - at);
        at = end + 1;
        struct stat status {};
        if (path.empty() || path.front() != '/') continue;
        if (::lstat(path.c_str(), &status) == 0)
            saved.paths.push_back(std::move(path));
        else
            ++saved.missing;
    }
    return saved;
}
