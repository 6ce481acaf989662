// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <memory>
#include <optional>
#include <span>
#include <stdexcept>
#include <string>

#include "archive/packed.h"

// Reading archives of all formats, one thing after the other. For tavlo-archive alone: whatever a hostile
// archive does to the libraries below, it does it in a process that is bounded in memory and time.

/// Why something cannot be read, in words.
struct Broken : std::runtime_error {
    using runtime_error::runtime_error;
};

/// What is in an archive, in its order. Functions throw Broken.
class Members {
public:
    /// take  is given offset and bytes, in order; what lies between is zeros
    using Take = std::function<void(std::uint64_t offset, std::span<const char> bytes)>;

    Members() = default;
    Members(const Members&) = delete;
    Members& operator=(const Members&) = delete;
    virtual ~Members() = default;

    /// The next thing; none: that was all. A file that cannot be taken out says so in its `problem`.
    virtual std::optional<tavlo::PackedThing> next() = 0;
    /// The bytes of the thing that next() gave, checked against what the archive itself says of them.
    virtual void read(const Take& take) = 0;
    /// Once next() has nothing more: whether what it came out of was whole.
    virtual void check_end() {}
    /// After Broken: what they came out of is wrong by its own checksum, so that nothing that was read of it
    /// can be trusted.
    virtual bool nothing_holds() const { return false; }
    virtual std::int64_t time_step_ns() const = 0;
};

/// How far the archive was read, so that a reader that goes on without reading is ended (Watch).
class Progress {
public:
    virtual ~Progress() = default;
    virtual void read_up_to(std::uint64_t offset) = 0;
    virtual void gave(std::uint64_t bytes) = 0;
};

/// The archive is open for reading as this descriptor; its own offset is not used.
struct Source {
    int descriptor = -1;
    std::uint64_t size_bytes = 0;
    Progress* progress = nullptr;
};

bool is_zip(const Source& source);
std::unique_ptr<Members> open_zip(const Source& source);
/// tar of any kind, cpio, 7z, iso and their like, pressed or not
std::unique_ptr<Members> open_stream(const Source& source);
std::unique_ptr<Members> open_members(const Source& source);

/// Gives a stream as it was before it was pressed: gzip, bzip2, xz, zstd and their like; as it is where it is
/// not pressed.
class Unpressed {
public:
    Unpressed() = default;
    Unpressed(const Unpressed&) = delete;
    Unpressed& operator=(const Unpressed&) = delete;
    virtual ~Unpressed() = default;
    /// The next piece; empty at the end. Throws Broken.
    virtual std::span<const char> next() = 0;
    /// The pressed stream ended before its end.
    virtual bool was_cut_short() const = 0;
};
/// none: it is not pressed
std::unique_ptr<Unpressed> open_unpressed(const Source& source);

/// Bytes at an offset; fewer only at the end. Throws Broken.
std::size_t read_source(const Source& source, std::uint64_t offset, std::span<char> into);
