// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <memory>
#include <optional>
#include <string>
#include <utility>
#include <vector>

#include "batch/batch.h"
#include "files/contents.h"
#include "files/file_system.h"
#include "files/parallel.h"

namespace tavlo {

/// A source file's bytes and attributes in a file without a name, with what was seen of the source.
struct StagedCopy {
    Staged staged;
    Status source;                        ///< before and after reading, which are the same
    Identity fresh;                       ///< of the staged file, complete
    std::string hash{};                   ///< where the bytes passed through memory
    std::vector<std::string> not_kept{};  ///< attributes that the target could not keep
};

/// Names of attributes as a receipt holds them, parted by commas.
std::string listed(const std::vector<std::string>& attributes);

/// How a file is staged.
struct Staging {
    bool hash = false;           ///< compute the hash in any case
    bool source_leaves = false;  ///< the source goes afterwards: then it must not be open for writing, nor
                                 ///< lose what cannot be replaced
    bool may_lose = false;       ///< but it may lose attributes, somebody said so
    std::string part_name{};     ///< its hidden name, where there are no nameless files; nobody else's
    /// its bytes are read once those of all before its place are; null: whenever
    Turnstile* order = nullptr;
    std::size_t place = 0;
};

/// Reads a source file completely into a staged one in `into`.
/// errors   changed_meanwhile: the source changed while it was read, twice (promise 5), or cannot be held
///          still; unsupported: an attribute would be lost; refused: it is being written; no_space,
///          no_permission, io, cancelled; in each case nothing is left
Result<StagedCopy> stage_copy(FileSystem& disk, const Handle& source_folder, const std::string& name,
                              const Handle& into, const Staging& how, const Meter& meter);

/// A source file that was read, and held still meanwhile.
struct HeldStill {
    Status source;  ///< before and after
    Attributes attributes;
};

/// Reads a source file by whatever means so that no change of it meanwhile goes unseen (promise 5): its state
/// before and after is looked at, and where dates are too coarse to tell, or somebody has it open for
/// writing, it is read once more.
/// source_leaves  it must not be open for writing then
/// read           all of it
/// is_the_same    reads it again, and says whether that gives the same
/// errors         changed_meanwhile, refused, and those of what reads
Result<HeldStill> read_held_still(
    FileSystem& disk, const Handle& source_folder, const std::string& name, bool source_leaves,
    const Meter& meter, const std::function<Result<void>(const Handle& file, const Status& seen)>& read,
    const std::function<Result<bool>(const Handle& file)>& is_the_same);

/// Makes sure that what is staged is on the disk as it was read: drops it from memory, reads it again,
/// compares; some files ahead, so that the disk need not wait for the next to be asked for.
/// copies   durable, each with its hash
/// returns  the places of those that are not, and why; corrupt: it reads back otherwise
std::vector<std::pair<std::size_t, Error>> verify_staged(FileSystem& disk,
                                                         const std::vector<const StagedCopy*>& copies,
                                                         const Meter& meter);

}  // namespace tavlo
