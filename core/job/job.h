// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <map>
#include <memory>
#include <optional>
#include <string>
#include <vector>

#include "archive/format.h"
#include "facts/known_file_facts.h"
#include "layout/structure.h"
#include "names/steps.h"
#include "plan/policy.h"
#include "run/run.h"
#include "select/criteria_text.h"

namespace tavlo {

/// What is taken in hand.
struct Selection {
    std::vector<std::string> sources{};  ///< absolute paths, as gather() takes them
    bool follow_links = false;
    CriteriaText files{};  ///< which of the files in them
    /// folders of these names, inside the sources, are left out with all that is in them
    std::vector<std::string> not_below{};
    std::optional<std::string> folders_larger{};  ///< not files but folders are chosen, each whole: those
                                                  ///< larger than a size, as text
    bool empty_folders = false;                   ///< or those below which there is no file
    /// a file of names, absolute, or "-" for standard input; only what it names
    std::optional<std::string> list{};
    /// Folders in which nothing that is wanted is left come along too; somebody said so, by asking for all
    /// subfolders.
    bool keeps_empty_folders = false;
    bool operator==(const Selection&) const = default;
    /// It takes some of the files in its sources, not the sources whole.
    bool chooses_files() const { return !files.empty() || !not_below.empty() || list.has_value(); }
    bool chooses_folders() const { return folders_larger.has_value() || empty_folders; }
};

/// What somebody asks for: a value that looks nothing up on a disk, and resolves no date. The bench keeps
/// one, every receipt holds the one that it came of, and the options of `tavloctl` make one. Decisions about
/// single pairs are no part of it: they are tied to what is on the disk at the time.
struct Job {
    Operation operation = Operation::copy;  ///< copy, move, rename, remove, make, pack or unpack
    Selection what{};
    std::vector<std::string> make{};  ///< new folders in `into`: "a", "a/b"
    std::string into{};  ///< the destination, an absolute path, or the archive to be made; empty where
                         ///< nothing goes to one
    Structure structure{};
    Naming naming{};
    Policy policy{};
    /// files whose bytes are in the destination already, under whatever name, are found
    bool look_elsewhere = false;
    Clearing clearing = Clearing::none;
    Shelf shelf = Shelf::safe;  ///< where what is removed goes
    bool may_lose = false;      ///< as in Wishes
    Verify verify = Verify::automatic;
    bool then_remove = false;     ///< what was packed, and proved to be, goes to the Safe
    Press press = Press::normal;  ///< how hard an archive is pressed
    std::string name{};           ///< of the saved job that it is a step of; empty: of none
    bool operator==(const Job&) const = default;
};

/// A name that somebody has typed for one thing, as it was then; of one that has changed since it counts no
/// more.
struct TypedName {
    Identity of;
    std::string name;
    bool operator==(const TypedName&) const = default;
};
using TypedNames = std::map<std::string, TypedName>;  ///< by the thing's path

/// A job, and what was decided about pairs and single things of it as they are now.
struct Asked {
    Asked(Job wanted = {}, Decisions decided = {}) : job(std::move(wanted)), decisions(std::move(decided)) {}
    Job job;
    Decisions decisions;
    TypedNames typed{};  ///< ahead of the job's steps
    /// What files have told, for jobs that want to know (needs_file_facts()); null: nothing
    std::shared_ptr<const KnownFileFacts> facts{};
    FactsSaid said{};                 ///< ahead of these
    std::vector<std::string> kept{};  ///< folders that must not be removed, nor what they lie in: the home
                                      ///< folder, where the state is kept
};

/// Folders that no removal may take with it: where the state is kept, and the user's home.
std::vector<std::string> folders_to_keep(const std::string& state_folder);

/// The part of it that a plan is made by.
Wishes wishes_of(const Asked& asked);

/// It has a destination.
bool goes_elsewhere(const Job& job);

/// Both want the same things in the same places: they differ in what is done where a name is taken, if in
/// anything.
bool same_places(const Job& one, const Job& other);

}  // namespace tavlo
