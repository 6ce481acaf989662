// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <array>
#include <atomic>
#include <functional>
#include <map>
#include <memory>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include "archive/writer.h"
#include "files/contents.h"
#include "files/file_system.h"
#include "files/hash.h"
#include "run/staging.h"

namespace tavlo {

/// A thing that is to go into an archive, as it was looked at.
struct ToPack {
    std::string member;              ///< its path in the archive
    std::string path;                ///< where it is, for errors
    const Handle* folder = nullptr;  ///< that it lies in
    std::string name;                ///< there
    const Handle* inside = nullptr;  ///< of a folder: itself, open
    Status agreed;                   ///< of then
    std::string points_at;           ///< of a link
    bool leaves = false;  ///< the source goes once it is packed: then nobody may have it open for writing
};

/// What was packed.
struct PackedAs {
    Status source;         ///< as it was read
    std::string hash;      ///< of a file
    std::string not_kept;  ///< what the format cannot keep of it: names of attributes, "links"
};

/// A small file as it was read, whole.
struct SmallFile {
    HeldStill held;
    std::string hash;
    /// with their offsets; what is left out between them is holes
    std::vector<std::pair<std::uint64_t, std::vector<std::byte>>> pieces;
};
/// nullopt: it is not small
using ReadAhead = std::optional<Result<SmallFile>>;

/// One archive on its way: things go in one after another, out of sight; all of it is read back before it is
/// anything. It knows files and folders, and nothing of a run.
class ArchiveSink {
public:
    /// into       the folder that it is to lie in
    /// part_name  its hidden name, where there are no nameless files
    /// path       where it is to be; its extension says the format
    /// grown      told its size in bytes when it has grown, by the thread that packs; may be null
    /// errors     the file cannot be made, or the helper cannot be had
    static Result<std::unique_ptr<ArchiveSink>> start(FileSystem& disk, const Handle& into,
                                                      const std::string& part_name, const std::string& path,
                                                      Press press,
                                                      std::function<void(std::uint64_t bytes)> grown);

    /// Reads a file whole, if it is small, before it is its turn; nothing goes in yet. On any thread.
    ReadAhead read_ahead(const ToPack& thing, const Meter& meter) const;
    /// read    what read_ahead() gave for it
    /// errors  of the source: changed_meanwhile: while it was read; refused: it is another one than was
    ///         looked at, or somebody writes it; of the archive: then failed() says so
    Result<PackedAs> add(const ToPack& thing, const Meter& meter, ReadAhead read = {});
    /// Why the archive cannot be made.
    const std::optional<Error>& failed() const { return writer_->failed(); }
    /// It holds a part of a file that then could not be read to its end: it is to be begun anew.
    bool is_spoilt() const { return writer_->things() > prints_.size(); }
    bool is_empty() const { return prints_.empty(); }
    /// Makes it durable, and reads every member back out of it. meter  to be stopped by
    /// errors  corrupt: it reads back otherwise than it was packed
    Result<StagedCopy> finish(const Meter& meter);

private:
    struct FirstName {
        Identity id;
        std::string member;
        std::string hash;
    };

    ArchiveSink(FileSystem& disk, std::string path, Staged staged, std::function<void(std::uint64_t)> grown);
    /// For the writer's thread: the next bytes of the archive.
    Result<void> take(std::span<const std::byte> bytes);
    void say_if_grown();
    Result<PackedAs> add_file(const ToPack& file, const Meter& meter, ReadAhead read, PackedThing& thing);
    Result<PackedAs> add_further_name(const ToPack& file, const Status& known, const FirstName& first,
                                      PackedThing& thing);
    Result<PackedAs> add_small(const ToPack& file, SmallFile read, PackedThing& thing);
    Result<PackedAs> add_large(const ToPack& file, const Meter& meter, PackedThing& thing);
    PackedAs packed_as(const HeldStill& held, std::string hash) const;
    Result<void> begin_file(const ToPack& file, std::uint64_t size_bytes, const Attributes& attributes,
                            std::vector<std::pair<std::uint64_t, std::uint64_t>> stretches,
                            PackedThing& thing);
    Result<PackedAs> add_other(const ToPack& other, PackedThing& thing);
    PackedThing told_of(const ToPack& thing, const Attributes& attributes) const;
    Result<void> read_back(const Meter& meter);

    FileSystem& disk_;
    const std::string path_;
    const FormatKeeps keeps_;
    Staged staged_;
    Hasher hasher_;
    std::atomic<std::uint64_t> size_bytes_ = 0;
    std::uint64_t written_out_ = 0;  ///< bytes whose way to the disk has begun
    std::function<void(std::uint64_t)> grown_;
    std::uint64_t said_bytes_ = 0;  ///< by that
    std::unique_ptr<ArchiveWriter> writer_;
    /// What stands for all that is to be read back of one thing.
    struct Print {
        std::array<std::byte, 16> all{};
        std::uint64_t size_bytes = 0;  ///< looked at first: what is damaged may say any
        bool operator==(const Print&) const = default;
    };
    static Print print_of(const PackedThing& thing, std::string_view hash);
    std::vector<Print> prints_;  ///< of those that are whole in it, in their order
    /// of files with several, by device and inode
    std::map<std::pair<std::uint64_t, std::uint64_t>, FirstName> first_names_;
};

}  // namespace tavlo
