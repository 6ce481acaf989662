#pragma once

#include <cstdint>
#include <functional>
#include <stop_token>
#include <string>

#include "files/file_system.h"

namespace tavlo {

/// What a long work over bytes is given: to be told to stop, and to say how far it is (bytes since the last call).
struct Meter {
    std::stop_token stop{};
    std::function<void(std::uint64_t bytes)> advance{};

    void add(std::uint64_t bytes) const {
        if (advance) advance(bytes);
    }
};

/// Copies all bytes of an open file into a staged one; holes stay holes.
/// hash     also computes the hash; the bytes then pass through memory
/// returns  the hash's text, or "" where none was asked for
/// errors   cancelled, no_space, io: drop the staged file
Result<std::string> copy_bytes(FileSystem& disk, const Handle& from, const Staged& to, std::uint64_t size_bytes, bool hash,
                               const Meter& meter);

/// Reads a whole file. returns the hash's text (Hasher).
Result<std::string> hash_of(FileSystem& disk, const Handle& file, const Meter& meter);

/// Whether two open files hold the same bytes, found by reading both up to the first difference.
Result<bool> same_bytes(FileSystem& disk, const Handle& a, const Handle& b, const Meter& meter);

}  // namespace tavlo
