// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <memory>
#include <stop_token>
#include <string>
#include <string_view>
#include <unordered_map>
#include <vector>

#include "files/ahead.h"
#include "files/file_system.h"
#include "files/folder_tree.h"
#include "files/rare.h"

namespace tavlo {

/// What holds a name in the destination.
struct Held {
    std::string name;
    FileState status;
    Rare<std::string> points_at{};  ///< a link's text
};

/// One folder of the destination as it was read.
class HeldFolder {
public:
    Identity id;
    bool folds_case = false;

    /// A name, folded where the folder folds case.
    std::string key(std::string_view name) const;
    void add(Held held);
    /// Once all are there; what it holds is in the order of the names then.
    void settle();
    const Held* find(std::string_view name) const;
    /// The same, in less time where names are asked for in their order, or against it.
    /// near  about where the last one was found; 0 at first
    const Held* find(std::string_view name, std::size_t& near) const;
    const std::vector<Held>& things() const noexcept { return things_; }

private:
    std::vector<Held> things_;
    std::unordered_map<std::string, std::size_t> folded_;  ///< where it folds case: places in things_, by key
};

/// One named folder as far as a batch touches it: an immutable snapshot, read by survey().
struct Destination {
    std::string path;
    bool exists = false;
    Volume volume;  ///< of the destination, or of the nearest folder above it that exists
    /// The destination and every folder above it, as things: what must not be among the sources.
    std::vector<Identity> ancestors;
    std::unordered_map<std::string, HeldFolder> folders;  ///< by path from the destination; "" is itself
    /// places in it, at any depth, where something is mounted; as paths from it
    std::vector<std::string> mounts{};

    const HeldFolder* folder(const std::string& path_in_root) const;
};

/// Looks at the destination alone: whether it stands, what its file system can do, whether it may be written.
/// errors   not_a_folder, no_permission (it may not be written or made), not_found
Result<Destination> look_at_destination(FileSystem& disk, const std::string& path);

/// The places that a batch touches, as they were read: a root for each folder that somebody named.
struct Survey {
    std::vector<Destination> roots;        ///< one at least
    std::vector<std::uint32_t> root_of{};  ///< by folder of the tree that was surveyed, place in `roots`;
                                           ///< empty: all of them have the first

    const Destination& root(FolderId folder) const { return roots[root_of.empty() ? 0 : root_of[folder]]; }
    /// What a folder of that tree holds; null where it is not there.
    const HeldFolder* folder(const FolderTree& tree, FolderId id) const {
        return root(id).folder(tree.path_in_root(id));
    }
};

/// Lists those folders of a tree that exist; no link is followed.
/// roots    one for each root of the tree, in their order
/// matters  by folder: those that are listed, with those that they lie in; empty: all
Result<Survey> survey(FileSystem& disk, std::vector<Destination> roots, const FolderTree& tree,
                      std::stop_token stop = {}, const std::vector<bool>& matters = {});

/// Everything that one folder holds, as survey() reads it.
/// threads  look at what it holds too
Result<HeldFolder> list_held(FileSystem& disk, const Handle& folder, AheadThreads& threads);

}  // namespace tavlo
