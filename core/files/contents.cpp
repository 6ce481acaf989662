// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/contents.h"

#include <algorithm>
#include <cstring>
#include <optional>
#include <vector>

#include "files/hash.h"
#include "files/stretches.h"

namespace tavlo {

namespace {

// below this a plain read and write costs less than the calls that avoid them (measured, see docs/safety.md)
constexpr std::uint64_t small_file_bytes = 64 * 1024;
constexpr std::size_t buffer_bytes = 1024 * 1024;
constexpr std::uint64_t kernel_step_bytes =
    4 * 1024 * 1024;  // so that a stop or a pause is heard inside a large file

std::span<std::byte> buffer(int which) {
    thread_local std::vector<std::byte> memory[2];
    if (memory[which].empty()) memory[which].resize(buffer_bytes);
    return memory[which];
}

tl::unexpected<Error> cancelled(const Handle& file) {
    return failure(Fault::cancelled, "stopped", file.path());
}

tl::unexpected<Error> became_shorter(const Handle& file) {
    return failure(Fault::changed_meanwhile, "is shorter than it says", file.path());
}

/// A size of 0, or any, may be a lie: what comes after it is looked for (proc(5) has such files, and servers
/// do).
Result<void> check_end(FileSystem& disk, const Handle& file, std::uint64_t size) {
    std::byte one{};
    const auto got = disk.read_at(file, size, std::span(&one, 1));
    if (!got) return failure(got.error());
    if (*got != 0) return failure(Fault::changed_meanwhile, "is longer than it says", file.path());
    return {};
}

/// true: done; false: this pair of file systems can't, and nothing was written
Result<bool> copy_inside_kernel(FileSystem& disk, const Handle& from, const Staged& to, const Status& seen,
                                const Meter& meter) {
    const std::uint64_t size = seen.id.size_bytes;
    if (auto shared = disk.share_blocks(from, to); shared) {
        meter.pass(size);
        return true;
    } else if (shared.error().fault != Fault::unsupported) {
        return failure(shared.error());
    }
    const auto stretches = stretches_of(disk, from, seen);
    if (!stretches) return failure(stretches.error());
    bool any = false;
    std::uint64_t offset = 0;
    for (const Stretch& data : *stretches) {
        meter.pass(data.begin - offset);
        offset = data.begin;
        while (offset < data.end) {
            const std::uint64_t piece = meter.next_piece(std::min(kernel_step_bytes, data.end - offset));
            if (piece == 0) return cancelled(from);
            const auto copied = disk.copy_range(from, offset, to, piece);
            if (!copied) {
                if (copied.error().fault == Fault::unsupported && !any) return false;
                return failure(copied.error());
            }
            if (*copied == 0 && !any) return false;  // some say so of what can only be read
            if (*copied == 0) return became_shorter(from);
            any = true;
            disk.start_writing(to, offset, *copied);
            offset += *copied;
            meter.add(*copied);
        }
    }
    meter.pass(size - offset);
    if (auto sized = disk.set_size(to, size); !sized) return failure(sized.error());
    return true;
}

/// Reads a file through memory, piece by piece, to its end; what is a hole comes as zeros, unread.
/// take    is given each piece, with whether it is a hole; errors of it end the reading
/// returns the bytes in all
template <class Take>
Result<std::uint64_t> read_through(FileSystem& disk, const Handle& file, const Status& seen,
                                   const Meter& meter, Take take) {
    const auto stretches = stretches_of(disk, file, seen);
    if (!stretches) return failure(stretches.error());
    const auto memory = buffer(0);
    std::uint64_t offset = 0;
    const auto hole_until = [&](std::uint64_t end) -> Result<void> {
        if (offset < end)
            std::memset(memory.data(), 0,
                        static_cast<std::size_t>(std::min<std::uint64_t>(memory.size(), end - offset)));
        while (offset < end) {
            if (meter.stop.stop_requested()) return cancelled(file);
            const auto piece =
                memory.first(static_cast<std::size_t>(std::min<std::uint64_t>(memory.size(), end - offset)));
            if (Result<void> taken = take(offset, piece, true); !taken) return taken;
            offset += piece.size();
            meter.pass(piece.size());
        }
        return {};
    };
    for (const Stretch& data : *stretches) {
        if (auto passed = hole_until(data.begin); !passed) return failure(passed.error());
        while (offset < data.end) {
            const std::uint64_t bytes =
                meter.next_piece(std::min<std::uint64_t>(memory.size(), data.end - offset));
            if (bytes == 0) return cancelled(file);
            const auto piece = memory.first(static_cast<std::size_t>(bytes));
            const auto got = disk.read_at(file, offset, piece);
            if (!got) return failure(got.error());
            if (*got < piece.size()) return became_shorter(file);
            if (Result<void> taken = take(offset, piece, false); !taken) return failure(taken.error());
            offset += piece.size();
            meter.add(piece.size());
        }
    }
    if (auto passed = hole_until(seen.id.size_bytes); !passed) return failure(passed.error());
    if (auto ended = check_end(disk, file, offset); !ended) return failure(ended.error());
    return offset;
}

}  // namespace

Result<std::string> copy_bytes(FileSystem& disk, const Handle& from, const Staged& to, const Status& seen,
                               bool hash, const Meter& meter) {
    const std::uint64_t size = seen.id.size_bytes;
    if (!hash && size > small_file_bytes) {
        const auto done = copy_inside_kernel(disk, from, to, seen, meter);
        if (!done) return failure(done.error());
        if (*done) {
            if (auto ended = check_end(disk, from, size); !ended) return failure(ended.error());
            return std::string{};
        }
    }
    std::optional<Hasher> hasher;
    if (hash) hasher.emplace();
    bool holes = false;
    const auto read = read_through(disk, from, seen, meter,
                                   [&](std::uint64_t offset, std::span<const std::byte> piece, bool hole) {
                                       holes = holes || hole;
                                       if (hasher) hasher->add(piece);
                                       return hole ? Result<void>{} : disk.write_at(to, offset, piece);
                                   });
    if (!read) return failure(read.error());
    if (holes)
        if (auto sized = disk.set_size(to, size); !sized) return failure(sized.error());
    return hasher ? hasher->text() : std::string{};
}

Result<void> read_pieces(FileSystem& disk, const Handle& file, const Status& seen, const Meter& meter,
                         const std::function<Result<void>(std::uint64_t, std::span<const std::byte>)>& take) {
    const auto read = read_through(disk, file, seen, meter,
                                   [&](std::uint64_t offset, std::span<const std::byte> piece, bool hole) {
                                       return hole ? Result<void>{} : take(offset, piece);
                                   });
    return read ? Result<void>{} : Result<void>(failure(read.error()));
}

Result<std::string> hash_of(FileSystem& disk, const Handle& file, const Meter& meter) {
    const std::uint64_t first = meter.next_piece(buffer_bytes);
    if (first == 0) return cancelled(file);
    const auto begin = buffer(0).first(static_cast<std::size_t>(first));
    const auto got = disk.read_at(file, 0, begin);
    if (!got) return failure(got.error());
    if (*got < begin.size()) {  // all of it: as of nearly every file, and nothing more has to be asked
        Hasher hasher;
        hasher.add(begin.first(*got));
        meter.add(*got);
        return hasher.text();
    }
    const auto seen = disk.status(file);
    if (!seen) return failure(seen.error());
    Hasher hasher;
    const auto read =
        read_through(disk, file, *seen, meter, [&](std::uint64_t, std::span<const std::byte> piece, bool) {
            hasher.add(piece);
            return Result<void>{};
        });
    if (!read) return failure(read.error());
    return hasher.text();
}

namespace {

/// The next offset at or after one where either file may hold something else than zeros.
std::uint64_t next_of(const std::vector<Stretch>& stretches, std::size_t& at, std::uint64_t offset) {
    while (at < stretches.size() && stretches[at].end <= offset) ++at;
    return at == stretches.size() ? UINT64_MAX : std::max(offset, stretches[at].begin);
}

}  // namespace

Result<bool> same_bytes(FileSystem& disk, const Handle& a, const Handle& b, const Meter& meter) {
    if (meter.stop.stop_requested()) return cancelled(a);
    const auto first_a = disk.read_at(a, 0, buffer(0));
    if (!first_a) return failure(first_a.error());
    const auto first_b = disk.read_at(b, 0, buffer(1));
    if (!first_b) return failure(first_b.error());
    if (*first_a != *first_b || std::memcmp(buffer(0).data(), buffer(1).data(), *first_a) != 0) return false;
    meter.add(*first_a);
    if (*first_a < buffer_bytes) return true;
    const auto seen_a = disk.status(a);
    const auto seen_b = disk.status(b);
    if (!seen_a || !seen_b) return failure(seen_a ? seen_b.error() : seen_a.error());
    const auto data_a = stretches_of(disk, a, *seen_a);
    const auto data_b = stretches_of(disk, b, *seen_b);
    if (!data_a || !data_b) return failure(data_a ? data_b.error() : data_a.error());
    const auto one = buffer(0);
    const auto two = buffer(1);
    const std::uint64_t size = std::min(seen_a->id.size_bytes, seen_b->id.size_bytes);
    std::size_t at_a = 0;
    std::size_t at_b = 0;
    for (std::uint64_t offset = buffer_bytes;;) {
        if (meter.stop.stop_requested()) return cancelled(a);
        // holes of both are passed over; behind the sizes that they say, both are read until they end
        if (offset < size)
            offset = std::min(size, std::min(next_of(*data_a, at_a, offset), next_of(*data_b, at_b, offset)));
        const auto left = disk.read_at(a, offset, one);
        if (!left) return failure(left.error());
        const auto right = disk.read_at(b, offset, two);
        if (!right) return failure(right.error());
        if (*left != *right || std::memcmp(one.data(), two.data(), *left) != 0) return false;
        if (*left < one.size()) return true;
        offset += *left;
        meter.add(*left);
    }
}

}  // namespace tavlo
