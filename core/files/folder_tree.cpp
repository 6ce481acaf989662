// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/folder_tree.h"

#include <algorithm>

#include "files/path.h"

namespace tavlo {

namespace {
constexpr std::size_t share_of_handles = 16;
constexpr std::size_t least_open = 2;
}  // namespace

FolderId FolderTree::add_root(std::string path, Identity id) {
    nodes_.push_back({no_folder, std::move(path), id});
    return static_cast<FolderId>(nodes_.size() - 1);
}

FolderId FolderTree::add(FolderId parent, std::string name, Identity id) {
    nodes_.push_back({parent, std::move(name), id});
    return static_cast<FolderId>(nodes_.size() - 1);
}

void FolderTree::rename(FolderId folder, const std::string& name) {
    Node& node = nodes_.at(folder);
    node.name = node.parent == no_folder ? join(parent_of(node.name), name) : name;
}

/// The names down to a folder with a slash between each two, after what stands above them.
/// above  room that is left in front
std::string FolderTree::names_down_to(FolderId folder, std::size_t above) const {
    std::size_t size = above;
    for (FolderId at = folder; parent(at) != no_folder; at = parent(at)) size += name(at).size() + 1;
    std::string path(size == above ? size : size - 1, '/');
    std::size_t end = path.size();
    for (FolderId at = folder; parent(at) != no_folder; at = parent(at)) {
        path.replace(end - name(at).size(), name(at).size(), name(at));
        end -= std::min(end, name(at).size() + 1);
    }
    return path;
}

std::string FolderTree::path(FolderId folder) const {
    FolderId root = folder;
    while (parent(root) != no_folder) root = parent(root);
    if (root == folder) return name(root);
    const std::string_view top = name(root);
    const bool needs_slash = !top.empty() && top.back() != '/';
    std::string path = names_down_to(folder, top.size() + (needs_slash ? 1 : 0));
    path.replace(0, top.size(), top);
    return path;
}

std::string FolderTree::path_in_root(FolderId folder) const { return names_down_to(folder, 0); }

FolderPaths::FolderPaths(FolderTree& tree, const std::vector<std::string>& roots)
    : tree_(tree), roots_(roots.begin(), roots.end()) {}

FolderId FolderPaths::at(const std::string& path) {
    if (const auto found = known_.find(path); found != known_.end()) return found->second;
    bool below_root = false;
    if (!roots_.contains(path))
        for (std::string above = path; above != "/" && !above.empty() && !below_root;) {
            above = std::string(parent_of(above));
            below_root = roots_.contains(above);
        }
    const FolderId id = below_root ? tree_.add(at(std::string(parent_of(path))), std::string(name_of(path)))
                                   : tree_.add_root(path);
    known_.emplace(path, id);
    return id;
}

FolderHandles::FolderHandles(FileSystem& disk, const FolderTree& tree, std::size_t most_open)
    : disk_(disk),
      tree_(tree),
      most_open_(std::clamp<std::size_t>(handle_limit() / share_of_handles, least_open, most_open)) {}

Result<Handle> FolderHandles::open_below(FolderId folder, const Handle* parent) {
    auto opened = parent != nullptr ? disk_.open_folder_in(*parent, tree_.name(folder))
                                    : disk_.open_folder(tree_.name(folder));
    if (!opened) {
        Error error = opened.error();
        // with O_NOFOLLOW a link answers "not a folder": where one is known to have been here, it was swapped
        if (error.fault == Fault::not_a_folder && tree_.identity(folder).inode != 0)
            error.fault = Fault::changed_meanwhile;
        return failure(std::move(error));
    }
    const Identity& known = tree_.identity(folder);
    if (known.inode == 0) return opened;
    const auto status = disk_.status(*opened);
    if (!status) return failure(status.error());
    if (!status->id.could_be(known))
        return failure(Fault::changed_meanwhile, "another folder stands here now", opened->path());
    return opened;
}

Result<std::shared_ptr<const Handle>> FolderHandles::open(FolderId folder) {
    std::vector<FolderId> missing;
    std::shared_ptr<const Handle> handle;
    for (FolderId at = folder; at != no_folder; at = tree_.parent(at)) {
        if (const auto found = index_.find(at); found != index_.end()) {
            recent_.splice(recent_.begin(), recent_, found->second);
            handle = found->second->second;
            break;
        }
        missing.push_back(at);
    }
    for (auto at = missing.rbegin(); at != missing.rend(); ++at) {
        auto opened = open_below(*at, handle.get());
        if (!opened) return failure(opened.error());
        handle = std::make_shared<const Handle>(std::move(*opened));
        recent_.emplace_front(*at, handle);
        index_[*at] = recent_.begin();
        if (recent_.size() > most_open_) {
            index_.erase(recent_.back().first);
            recent_.pop_back();
        }
    }
    return handle;
}

void FolderHandles::forget(FolderId folder) {
    if (const auto found = index_.find(folder); found != index_.end()) {
        recent_.erase(found->second);
        index_.erase(found);
    }
}

}  // namespace tavlo
