#include "select/walk.h"

#include <algorithm>
#include <map>

#include "files/folder_tree.h"
#include "files/own.h"
#include "files/path.h"

namespace tavlo {

namespace {
constexpr std::size_t most_problems = 100;
constexpr std::size_t most_largest = 10;
constexpr std::size_t most_empty = 1000;
constexpr std::uint64_t progress_step = 4096;
}  // namespace

Result<Walked> walk_below(FileSystem& disk, const std::string& folder, std::stop_token stop, const std::function<bool(const Met&)>& meet) {
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
            if (++walked.entries % progress_step == 0 && stop.stop_requested()) return failure(Fault::cancelled, "stopped", folder);
            const bool enter = meet({below, name.bytes, *status});
            if (enter && status->type == FileType::folder && !status->mount_point) waiting.push_back(tree.add(at, name.bytes, status->id));
        }
    }
    return walked;
}

Result<FolderFacts> facts_below(FileSystem& disk, const std::string& folder, std::uint64_t large_folder_bytes, std::stop_token stop,
                                const std::function<void(const FolderFacts&)>& on_progress) {
    FolderFacts facts;
    struct Inside {
        std::uint64_t bytes = 0;
        bool anything = false;
    };
    std::map<std::string, Inside> folders;  // by path from the top: parents sort before what lies in them
    std::uint64_t met_so_far = 0;
    const auto by_size = [](const auto& a, const auto& b) { return a.bytes > b.bytes; };
    const auto walked = walk_below(disk, folder, stop, [&](const Met& met) {
        folders[met.folder].anything = true;
        if (met.status.type == FileType::folder) {
            ++facts.folders;
            folders[join(met.folder, met.name)];
        } else {
            ++facts.files;
            const auto bytes = met.status.type == FileType::file ? met.status.id.size_bytes : 0;
            facts.bytes += bytes;
            folders[met.folder].bytes += bytes;
            if (facts.newest.empty() || met.status.id.modified_ns > facts.newest_ns) {
                facts.newest_ns = met.status.id.modified_ns;
                facts.newest = join(met.folder, met.name);
            }
            if (facts.largest_files.size() < most_largest || bytes > facts.largest_files.back().bytes) {
                const FolderFacts::Thing thing{join(met.folder, met.name), bytes};
                facts.largest_files.insert(std::upper_bound(facts.largest_files.begin(), facts.largest_files.end(), thing, by_size), thing);
                if (facts.largest_files.size() > most_largest) facts.largest_files.pop_back();
            }
        }
        if (++met_so_far % progress_step == 0 && on_progress) on_progress(facts);
        return true;
    });
    if (!walked) return failure(walked.error());
    facts.unread = walked->unread;
    for (auto below = folders.rbegin(); below != folders.rend(); ++below) {
        const auto& [path, inside] = *below;
        if (path.empty()) continue;
        folders[path.find('/') == std::string::npos ? std::string() : std::string(parent_of(path))].bytes += inside.bytes;
        if (inside.bytes >= large_folder_bytes) facts.large_folders.push_back({path, inside.bytes});
        if (!inside.anything && facts.empty_folders.size() < most_empty) facts.empty_folders.push_back(path);
    }
    std::sort(facts.large_folders.begin(), facts.large_folders.end(), by_size);
    std::sort(facts.empty_folders.begin(), facts.empty_folders.end());
    return facts;
}

}  // namespace tavlo
