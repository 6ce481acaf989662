// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <tsl/robin_set.h>

#include <map>
#include <memory>
#include <string>
#include <string_view>
#include <vector>

/// Names, by the folder that they lie in; handed on, not copied: they may be a million.
using NamesByFolder = std::map<std::string, std::shared_ptr<const std::vector<std::string>>>;

/// What is in hand: names by the folder that they lie in. Looks nothing up on a disk. There may be a million,
/// so a change shares its names with all that have to do with it, and no list of them is copied.
class Picks {
public:
    using Names = std::vector<std::string>;
    using ByFolder = std::map<std::string, Names>;
    struct Change {
        std::string folder;
        std::shared_ptr<const Names> names;
        bool in;  ///< else out

        static Change of(std::string folder, Names names, bool in) {
            return {std::move(folder), std::make_shared<const Names>(std::move(names)), in};
        }
        Change reversed() const { return {folder, names, !in}; }
    };

    std::size_t count() const { return count_; }
    bool empty() const { return count_ == 0; }
    bool contain(const std::string& folder, const std::string& name) const;
    std::size_t in(const std::string& folder) const;  ///< how many
    Names folders() const;
    Names namesIn(const std::string& folder) const;  ///< in no order
    Names paths() const;                             ///< in the order of their bytes
    /// Something is in hand, and by its names nothing but archives.
    bool areArchivesAlone() const;

    /// returns  what of it was new
    Change note(const Change& wanted);
    /// What it takes for these paths to be in hand, and nothing else.
    std::vector<Change> changesTo(const Names& paths) const;

private:
    /// The names of one folder. 100,000 come and go at once, so those that came in their order stay as they came
    /// until some of them go, or others come.
    class Picked {
    public:
        std::size_t size() const { return sorted_ ? sorted_->size() : names_.size(); }
        bool contains(const std::string& name) const;
        std::vector<std::string_view> names() const;
        /// returns  by name: whether it changed anything
        std::vector<bool> note(const std::shared_ptr<const Names>& names, bool in);

    private:
        bool noteAll(const std::shared_ptr<const Names>& names, bool in);
        void takeApart();

        std::shared_ptr<const Names> sorted_;     ///< all of them, each once; null: `names_` has them
        tsl::robin_set<std::string_view> names_;  ///< in `storage_`; without a node for each
        std::vector<std::shared_ptr<const Names>> storage_;
    };
    std::map<std::string, Picked> by_folder_;
    std::size_t count_ = 0;
};
