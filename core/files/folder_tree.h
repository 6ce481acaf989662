// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <list>
#include <memory>
#include <string>
#include <unordered_map>
#include <unordered_set>
#include <vector>

#include "files/file_system.h"

namespace tavlo {

using FolderId = std::uint32_t;
inline constexpr FolderId no_folder = UINT32_MAX;

/// Folders as a tree of names: each path is kept once, however many entries lie in it, and any of them can be
/// opened step by step from its root. A root is an absolute path that a person named.
class FolderTree {
public:
    FolderId add_root(std::string path, Identity id = {});
    FolderId add(FolderId parent, std::string name, Identity id = {});

    std::size_t size() const noexcept { return nodes_.size(); }
    FolderId parent(FolderId folder) const { return nodes_.at(folder).parent; }
    const std::string& name(FolderId folder) const { return nodes_.at(folder).name; }  ///< a root's: its path
    /// device and inode 0 where the folder was not there to be looked at
    const Identity& identity(FolderId folder) const { return nodes_.at(folder).id; }
    void rename(FolderId folder, const std::string& name);  ///< where it lies, a root too
    void set_identity(FolderId folder, const Identity& id) { nodes_.at(folder).id = id; }
    std::string path(FolderId folder) const;
    /// Of something in a folder; of the folder itself where the name is empty.
    std::string path_of(FolderId folder, std::string_view name) const;
    /// The path from (and without) its root: "" for a root.
    std::string path_in_root(FolderId folder) const;

private:
    struct Node {
        FolderId parent = no_folder;
        std::string name;
        Identity id;
    };
    std::vector<Node> nodes_;
};

/// Gives folders of a tree by path, making nodes as needed below given roots.
class FolderPaths {
public:
    /// roots    folders that people named; what lies below one is reached from it without following links
    FolderPaths(FolderTree& tree, const std::vector<std::string>& roots);
    FolderId at(const std::string& path);

private:
    FolderTree& tree_;
    std::unordered_set<std::string> roots_;
    std::unordered_map<std::string, FolderId> known_;
};

/// Open handles on the folders of a tree; few at a time, opened again when needed.
/// A folder that is not the one whose identity the tree holds is not opened: a link or another folder that
/// was swapped in cannot lead a run astray (promise 8).
class FolderHandles {
public:
    /// most_open  fewer where this process may not have many (handle_limit())
    FolderHandles(FileSystem& disk, const FolderTree& tree, std::size_t most_open = 128);
    /// errors   changed_meanwhile: another folder, or a link, stands there now
    Result<std::shared_ptr<const Handle>> open(FolderId folder);
    void forget(FolderId folder);  ///< after the folder was moved or removed

private:
    using Open = std::pair<FolderId, std::shared_ptr<const Handle>>;
    Result<Handle> open_below(FolderId folder, const Handle* parent);

    FileSystem& disk_;
    const FolderTree& tree_;
    std::size_t most_open_;
    std::list<Open> recent_;
    std::unordered_map<FolderId, std::list<Open>::iterator> index_;
};

}  // namespace tavlo
