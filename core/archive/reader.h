// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <memory>
#include <mutex>
#include <optional>
#include <span>
#include <string>
#include <vector>

#include "archive/frames.h"
#include "archive/packed.h"
#include "files/handle.h"
#include "files/helper.h"

namespace tavlo {

/// What is in an archive, in its order.
struct PackedList {
    std::vector<PackedThing> things;
    PackedEnd end;
};

/// Reads one archive through a process of its own (`tavlo-archive`), bounded in memory and in the time that
/// it takes without getting on: whatever a hostile archive does to the libraries that read it, it costs that
/// archive's files and nothing else. Threads: any; one at a time is served.
class ArchiveReader {
public:
    /// archive  open for reading
    explicit ArchiveReader(Handle archive, std::string program = helper_program("tavlo-archive"));

    /// Reads it through, and holds it against its own checksums where they stand at its end.
    /// errors  unsupported: it is no archive that can be read, or the helper cannot be had; corrupt
    Result<PackedList> list();

    /// The same, told one by one, and behind each file its bytes: all of it once through, however large.
    /// thing, bytes  their errors end it. What is left out between bytes, and up to the file's size, is holes
    /// errors        as list(); where bytes are damaged, PackedEnd says so
    using TakeThing = std::function<Result<void>(PackedThing&& thing)>;
    using TakeBytes = std::function<Result<void>(std::uint64_t offset, std::span<const std::byte> bytes)>;
    Result<PackedEnd> read_through(const TakeThing& thing, const TakeBytes& bytes);

    /// Bytes of a file. Cheap in the archive's order: what comes next is read ahead.
    /// number   of the thing in the list that has them
    /// returns  as FileSystem::read_at(); less than asked for only where the file ends, and has proved to be
    ///          whole
    /// errors   corrupt: it is damaged, or more or less than it says
    Result<std::size_t> read(std::uint64_t number, const PackedThing& file, std::uint64_t offset,
                             std::span<std::byte> into);
    const Handle& archive() const { return archive_; }
    /// Lets the helper go; it is started again when something is read.
    void rest();

private:
    struct Helper {
        HelperProcess process;
        FrameStream frames;
    };

    Result<PackedEnd> told(const char* command, const TakeThing& thing, const TakeBytes& bytes);
    Result<Helper> start(const char* command);
    Result<void> go_to(std::uint64_t number);
    Result<void> go_on();
    Result<FrameStream::Said> receive(Helper& from);
    Error died(Helper& helper);
    Error error(Fault fault, std::string why) const;

    const Handle archive_;
    const std::string program_;
    std::mutex mutex_;
    std::optional<Helper> helper_;
    std::uint64_t number_ = UINT64_MAX;  ///< of the file whose bytes come
    std::string bytes_;                  ///< of it, which came last
    std::uint64_t bytes_at_ = 0;         ///< where they stand in it
    bool is_through_ = false;
    std::string broken_{};  ///< why the file is
    int deaths_ = 0;
};

}  // namespace tavlo
