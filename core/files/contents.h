// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <functional>
#include <stop_token>
#include <string>

#include "files/file_system.h"
#include "files/pace.h"

namespace tavlo {

/// What a long work over bytes is given: to be told to stop, to say how far it is (bytes since the last
/// call), and how fast it may read.
struct Meter {
    std::stop_token stop{};
    std::function<void(std::uint64_t bytes)> advance{};
    Pace* pace = nullptr;  ///< null: as fast as it can

    /// How much is read next, at most so much; waits while nothing may be. 0: it is to stop
    std::uint64_t next_piece(std::uint64_t most_bytes) const {
        if (pace != nullptr) return pace->wait(stop) ? pace->piece(most_bytes) : 0;
        return stop.stop_requested() ? 0 : most_bytes;
    }
    /// So much was read, and is done.
    void add(std::uint64_t bytes) const {
        if (pace != nullptr) (void)pace->spend(bytes, stop);
        pass(bytes);
    }
    /// So much is done without being read: holes, shared blocks.
    void pass(std::uint64_t bytes) const {
        if (advance) advance(bytes);
    }
};

/// Copies all bytes of an open file into a staged one; holes stay holes. It is read to its end, whatever it
/// says its size is.
/// seen     the file, as it was opened
/// hash     also computes the hash; the bytes then pass through memory
/// returns  the hash's text, or "" where none was asked for
/// errors   changed_meanwhile: it is longer or shorter than it says; cancelled, no_space, io: drop the staged
///          file
Result<std::string> copy_bytes(FileSystem& disk, const Handle& from, const Staged& to, const Status& seen,
                               bool hash, const Meter& meter);

/// Reads a whole file through memory, to its end, whatever it says its size is.
/// seen  the file, as it was opened
/// take  is given each piece with its offset; what is left out between them is holes. Its errors end the
///       reading
/// errors  as copy_bytes()
Result<void> read_pieces(
    FileSystem& disk, const Handle& file, const Status& seen, const Meter& meter,
    const std::function<Result<void>(std::uint64_t offset, std::span<const std::byte> piece)>& take);

/// Reads a whole file to its end; holes count as the zeros they stand for. returns the hash's text (Hasher).
Result<std::string> hash_of(FileSystem& disk, const Handle& file, const Meter& meter);

/// Whether two open files hold the same bytes, found by reading both up to the first difference.
Result<bool> same_bytes(FileSystem& disk, const Handle& a, const Handle& b, const Meter& meter);

}  // namespace tavlo
