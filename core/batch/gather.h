// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <memory>
#include <optional>
#include <stop_token>
#include <string>
#include <vector>

#include "batch/batch.h"
#include "files/file_system.h"

namespace tavlo {

struct GatherOptions {
    bool follow_links = false;  ///< take what a link points at in the link's place
    bool archives = false;      ///< each source is an archive, and what is in it is read (ArchiveFiles)
    /// How deep it is read: 0, the sources themselves, not whether they can be read; 1, what lies directly in
    /// them too. nullopt: all
    std::optional<unsigned> depth{};
    std::stop_token stop{};
    std::function<void(std::uint64_t entries)> on_progress{};  ///< now and then, with the number so far
};

/// Reads what lies at and below each source path.
/// sources  absolute paths; a file, folder or link; "path/" takes the folder a link points at
/// returns  every thing found; what could not be read is an entry with its problem
/// errors   a source that is missing or may not be read (promise: refused before anything is touched),
///          cancelled
/// Never crosses into another mount, never opens a fifo, socket or device, never lists Tavlo's own Safe.
Result<Batch> gather(FileSystem& disk, const std::vector<std::string>& sources,
                     const GatherOptions& options = {});

/// The same in steps: what has been read so far is a batch already, to which more comes at its end.
class Gathering {
public:
    Gathering(FileSystem& disk, std::vector<std::string> sources, const GatherOptions& options = {});
    ~Gathering();
    Gathering(const Gathering&) = delete;
    Gathering& operator=(const Gathering&) = delete;
    /// Reads on until so many more entries are there. returns whether that was all; errors as gather()
    Result<bool> read_on(std::size_t more);
    const Batch& batch() const;
    Batch finish() &&;

private:
    struct Parts;
    std::unique_ptr<Parts> parts_;
};

}  // namespace tavlo
