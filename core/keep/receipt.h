// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <memory>
#include <optional>
#include <string>
#include <vector>

#include "files/result.h"
#include "files/types.h"
#include "plan/plan.h"
#include "plan/words.h"

namespace tavlo {

enum class RunState : std::uint8_t { done, stopped, interrupted };
std::string_view to_text(RunState state) noexcept;
std::optional<RunState> run_state_from_text(std::string_view text) noexcept;

/// A run as it stands in the list of past runs.
struct ReceiptHead {
    std::string id;  ///< sorts by time: "20310502-091407-k3f9"
    Operation operation = Operation::copy;
    std::string sentence;  ///< what the run was asked to do, in the words of whoever asked; may be empty
    std::string job{};     ///< the same as a document (job/document.h); empty where it came of none
    std::string destination;
    std::int64_t started_ns = 0;
    std::int64_t finished_ns = 0;  ///< 0 while it has not
    RunState state = RunState::interrupted;
    std::vector<std::string> roots{};  ///< folders that people named; below them no link is followed
    std::string undoes{};              ///< the receipt that this run took back
    bool undoes_some = false;          ///< of that, chosen items only
    bool paused = false;               ///< stopped, to be gone on with when somebody says so
    std::string undone_by{};           ///< the receipt of the run that took this one back
    std::string waits_for{};  ///< why a stopped run stopped by itself: "PATH: the disk is full"; else empty
    /// what is wrong with the run as a whole: its end could not be made durable; else empty
    std::string problem{};
    bool may_lose = false;    ///< attributes may get lost with their sources, somebody said so
    std::uint8_t verify = 0;  ///< a Verify, so that who goes on with it does it alike
    Totals totals{};
};

/// How a run came out, or a step of a saved job: the exit statuses of docs/contract.md.
enum class Ending : std::uint8_t { done = 0, some_failed = 1, refused = 2, some_undecided = 3, stopped = 4 };
Ending ending_of(const Totals& totals);
Ending ending_of(const ReceiptHead& head);

struct ReceiptCollision {
    std::optional<Finding> finding;
    std::uint64_t size_bytes = 0;
    std::int64_t modified_ns = 0;
    Decision decision = Decision::undecided;
    std::string elsewhere{};  ///< of that finding: the place where the bytes were
};

struct Collision;
ReceiptCollision receipt_collision(const Collision& planned);

/// What came of one item.
struct ReceiptItem {
    std::string source;
    std::string target;      ///< the place first asked for
    std::string final_path;  ///< where it ended up, when that is not target
    FileType type = FileType::file;
    std::uint64_t size_bytes = 0;
    std::int64_t modified_ns = 0;
    std::optional<ReceiptCollision> collision{};
    Outcome result = Outcome::planned;
    std::string set_aside{};     ///< the Safe entry that holds what was overwritten or removed
    std::string brought_back{};  ///< the Safe entry that was used up
    std::string hash{};
    std::string error{};
    std::optional<Fault> fault{};  ///< of a failed one: what the error means, where that is known
    Action action = Action::copy;
    Role role = Role::arrives;
    Shelf shelf = Shelf::safe;  ///< as of the plan's item; what went to the trash lies at final_path
    bool moved_whole = false;   ///< a folder that went by one rename, itself or inside one
    std::string not_kept{};     ///< attributes that the target could not keep, comma-separated
    Identity linked_source{};   ///< of a source with several hard links; inode 0 otherwise
    /// What the file system said of the thing once it was in place: what "changed since" is measured against.
    Identity after{};
    std::int64_t after_status_changed_ns = 0;
    std::uint32_t after_mode = 0;

    const std::string& place() const { return final_path.empty() ? target : final_path; }
};

/// A folder that a run made on the way to its destination, or removed once it was empty.
struct FolderTrace {
    bool made = false;  ///< else removed
    std::string path;
    Attributes attributes{};  ///< of a removed one
    Identity id{};
};

/// One version in the Safe.
struct SafeEntry {
    std::string id;        ///< "RECEIPT.NUMBER"
    std::string original;  ///< the place it held
    std::string stored;    ///< where it lies now
    std::string receipt;
    FileType type = FileType::file;
    Identity identity;
    std::int64_t set_aside_ns = 0;  ///< by the clock on the wall; 0: when it is recorded
    std::string boot{};             ///< as in Timekeeper::Reading; empty in entries of older versions
    std::int64_t since_boot_ns = 0;
};

/// How much of one run lies in the Safe.
struct SafeAmount {
    std::uint64_t versions = 0;
    std::uint64_t bytes = 0;  ///< of files
};

/// A file system that a run has to do with, under the number that it had then.
struct VolumeRecord {
    std::uint64_t device = 0;  ///< as in Identity
    VolumeIdentity identity;
    std::string path;  ///< of a folder on it
};

}  // namespace tavlo
