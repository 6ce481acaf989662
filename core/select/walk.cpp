// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "select/walk.h"

#include "files/folder_tree.h"
#include "files/own.h"
#include "files/path.h"

namespace tavlo {

namespace {
constexpr std::size_t most_problems = 100;
constexpr std::uint64_t progress_step = 4096;
}  // namespace

Result<Walked> walk_below(FileSystem& disk, const std::string& folder, std::stop_token stop,
                          const std::function<bool(const Met&)>& meet) {
    FolderTree tree;
    FolderHandles handles(disk, tree, 64);
    std::vector<FolderId> waiting{tree.add_root(folder)};
    Walked walked;
    while (!waiting.empty()) {
        const FolderId at = waiting.back();
        waiting.pop_back();
        if (stop.stop_requested()) return failure(Fault::cancelled, "stopped", folder);
        const auto handle = handles.open(at);
        const auto names = handle ? disk.list(**handle) : Result<std::vector<Name>>(failure(handle.error()));
        if (!names) {
            if (at == 0) return failure(names.error());
            ++walked.unread;
            if (walked.problems.size() < most_problems) walked.problems.push_back(names.error());
            continue;
        }
        const std::string below = tree.path_in_root(at);
        for (const Name& name : *names) {
            if (is_own(disk, **handle, name.bytes)) continue;
            const auto status = disk.status(**handle, name.bytes);
            if (!status) continue;  // went away meanwhile
            if (++walked.entries % progress_step == 0 && stop.stop_requested())
                return failure(Fault::cancelled, "stopped", folder);
            const bool enter = meet({below, name.bytes, *status});
            if (enter && status->type == FileType::folder && !status->mount_point)
                waiting.push_back(tree.add(at, name.bytes, status->id));
        }
    }
    return walked;
}

}  // namespace tavlo
