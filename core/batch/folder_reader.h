// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <deque>
#include <memory>
#include <vector>

#include "files/ahead.h"
#include "files/file_system.h"
#include "files/folder_tree.h"

namespace tavlo {

/// Reads folders for a walk that goes through each in the order of its names, and into those in it as it meets
/// them. What the walk will come to next is read by other threads meanwhile, no more than a few folders, and a
/// few hundred names of each.
class FolderReader {
public:
    /// handles  of the tree that the walk makes
    FolderReader(FileSystem& disk, FolderHandles& handles);

    /// Folders that the walk will come to by their names once it is through with the one it is in: read
    /// meanwhile, a few of them.
    bool may_expect() const { return threads_.has_some() && expected_.size() < most_expected; }
    void expect(std::shared_ptr<const Handle> around, std::string name);
    /// It has come to the thing of that name; those that were expected before it do not come any more.
    void come_to(const std::string& name);

    /// Goes into a folder: the one that next() or come_to() was about last, or another.
    /// id           what it was when it was looked at
    /// goes_deeper  whether the walk will go into folders in it
    /// errors       it cannot be opened, or listed
    Result<void> enter(FolderId folder, const Identity& id, bool goes_deeper);
    void leave();
    std::size_t depth() const { return levels_.size(); }
    FolderId folder() const { return levels_.back().folder; }
    /// There is nothing more in the folder that was entered last.
    bool at_end() const { return levels_.back().next == levels_.back().names->size(); }

    struct Met {
        const Name& name;  ///< until its folder is left
        Result<Status> status;
    };
    /// The next thing in that folder.
    Met next();

private:
    using Names = std::shared_ptr<const std::vector<Name>>;
    using Statuses = std::vector<Result<Status>>;
    struct Listing {
        Names names{};     ///< null: it could not be read
        Statuses first{};  ///< of the first of them
        Identity id{};     ///< of what was read
    };
    static Listing read(FileSystem& disk, const Handle& around, const std::string& name);
    struct Asked {
        std::size_t at;  ///< in the names
        std::shared_ptr<Ahead<Listing>> listing;
    };
    struct Expected {
        std::string name;
        std::shared_ptr<Ahead<Listing>> listing;
    };
    struct Level {
        FolderId folder;
        bool goes_deeper;
        Names names;
        std::size_t next = 0;
        std::size_t from = 0;  ///< `found` is of the names from there on
        Statuses found{};
        std::shared_ptr<Ahead<Statuses>> coming{};  ///< of the names behind those
        std::size_t offered = 0;  ///< before it: folders that were asked for, or are not to be
        std::deque<Asked> asked{};
    };

    Result<Names> list(FolderId folder);
    Listing take(Ahead<Listing>& wanted);
    void look(Level& level);
    void ask_ahead(Level& level);
    bool is_to_be_asked(const Level& level, std::size_t at) const;

    FileSystem& disk_;
    FolderHandles& handles_;
    std::vector<Level> levels_;
    std::size_t listings_ = 0;             ///< that were asked for and not taken
    std::shared_ptr<Ahead<Listing>> met_;  ///< of the folder that next() or come_to() was about last
    static constexpr std::size_t most_expected = 8;
    std::deque<Expected> expected_;
    AheadThreads threads_;
};

}  // namespace tavlo
