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

namespace {

/// Puts names into a path from its end on, with the slashes that stand between them.
class FromTheEnd {
public:
    explicit FromTheEnd(std::string& path) : path_(path), end_(path.size()) {}
    void put(std::string_view name) {
        path_.replace(end_ - name.size(), name.size(), name);
        end_ -= std::min(end_, name.size() + 1);
    }

private:
    std::string& path_;
    std::size_t end_;
};

}  // namespace

std::string FolderTree::path_of(FolderId folder, std::string_view name) const {
    if (name.empty()) return path(folder);
    std::size_t size = name.size();
    FolderId root = folder;
    for (; parent(root) != no_folder; root = parent(root)) size += this->name(root).size() + 1;
    const std::string_view top = this->name(root);
    size += top.size() + (top.empty() || top.back() == '/' ? 0 : 1);
    std::string path(size, '/');
    FromTheEnd rest(path);
    rest.put(name);
    for (FolderId at = folder; at != root; at = parent(at)) rest.put(this->name(at));
    path.replace(0, top.size(), top);
    return path;
}

std::string FolderTree::path(FolderId folder) const {
    return parent(folder) == no_folder ? name(folder) : path_of(parent(folder), name(folder));
}

std::string FolderTree::path_in_root(FolderId folder) const {
    std::size_t size = 0;
    for (FolderId at = folder; parent(at) != no_folder; at = parent(at)) size += name(at).size() + 1;
    std::string path(size == 0 ? 0 : size - 1, '/');
    FromTheEnd names(path);
    for (FolderId at = folder; parent(at) != no_folder; at = parent(at)) names.put(name(at));
    return path;
}

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
