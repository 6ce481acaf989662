#include "files/contents.h"

#include <algorithm>
#include <cstring>
#include <optional>
#include <vector>

#include "files/hash.h"

namespace tavlo {

namespace {

// below this a plain read and write costs less than the calls that avoid them (measured, see docs/safety.md)
constexpr std::uint64_t small_file_bytes = 64 * 1024;
constexpr std::size_t buffer_bytes = 1024 * 1024;
constexpr std::uint64_t kernel_step_bytes = 4 * 1024 * 1024;  // so that a stop or a pause is heard inside a large file

std::span<std::byte> buffer(int which) {
    thread_local std::vector<std::byte> memory[2];
    if (memory[which].empty()) memory[which].resize(buffer_bytes);
    return memory[which];
}

tl::unexpected<Error> cancelled(const Handle& file) { return failure(Fault::cancelled, "stopped", file.path()); }

/// true: done; false: this pair of file systems can't, and nothing was written
Result<bool> copy_inside_kernel(FileSystem& disk, const Handle& from, const Staged& to, std::uint64_t size, const Meter& meter) {
    if (auto shared = disk.share_blocks(from, to); shared) {
        meter.pass(size);
        return true;
    } else if (shared.error().fault != Fault::unsupported) {
        return failure(shared.error());
    }
    bool any = false;
    for (std::uint64_t offset = 0; offset < size;) {
        const auto data = disk.next_data(from, offset, size);
        if (!data) return failure(data.error());
        meter.pass(data->first - offset);
        offset = data->first;
        while (offset < data->second) {
            const std::uint64_t piece = meter.next_piece(std::min(kernel_step_bytes, data->second - offset));
            if (piece == 0) return cancelled(from);
            const auto copied = disk.copy_range(from, offset, to, piece);
            if (!copied) {
                if (copied.error().fault == Fault::unsupported && !any) return false;
                return failure(copied.error());
            }
            if (*copied == 0) return failure(Fault::changed_meanwhile, "became shorter while it was read", from.path());
            any = true;
            disk.start_writing(to, offset, *copied);
            offset += *copied;
            meter.add(*copied);
        }
    }
    if (auto sized = disk.set_size(to, size); !sized) return failure(sized.error());
    return true;
}

}  // namespace

Result<std::string> copy_bytes(FileSystem& disk, const Handle& from, const Staged& to, std::uint64_t size, bool hash, const Meter& meter) {
    if (!hash && size > small_file_bytes) {
        const auto done = copy_inside_kernel(disk, from, to, size, meter);
        if (!done) return failure(done.error());
        if (*done) return std::string{};
    }
    std::optional<Hasher> hasher;
    if (hash) hasher.emplace();
    const auto memory = buffer(0);
    std::uint64_t offset = 0;
    std::pair<std::uint64_t, std::uint64_t> data{0, size};
    bool data_known = size <= small_file_bytes;
    bool holes = false;
    while (offset < size) {
        if (!data_known || offset >= data.second) {
            const auto next = disk.next_data(from, offset, size);
            if (!next) return failure(next.error());
            data = *next;
            data_known = true;
        }
        const bool in_hole = offset < data.first;
        const std::uint64_t end = in_hole ? data.first : data.second;
        const std::uint64_t most = std::min<std::uint64_t>(memory.size(), end - offset);
        const std::uint64_t bytes = in_hole && !meter.stop.stop_requested() ? most : meter.next_piece(most);
        if (bytes == 0) return cancelled(from);
        const auto piece = memory.first(static_cast<std::size_t>(bytes));
        if (in_hole) {
            holes = true;
            std::memset(piece.data(), 0, piece.size());
        } else {
            const auto got = disk.read_at(from, offset, piece);
            if (!got) return failure(got.error());
            if (*got < piece.size()) return failure(Fault::changed_meanwhile, "became shorter while it was read", from.path());
            if (auto written = disk.write_at(to, offset, piece); !written) return failure(written.error());
        }
        if (hasher) hasher->add(piece);
        offset += piece.size();
        in_hole ? meter.pass(piece.size()) : meter.add(piece.size());
    }
    if (holes)
        if (auto sized = disk.set_size(to, size); !sized) return failure(sized.error());
    return hasher ? hasher->text() : std::string{};
}

Result<std::string> hash_of(FileSystem& disk, const Handle& file, const Meter& meter) {
    Hasher hasher;
    const auto memory = buffer(0);
    for (std::uint64_t offset = 0;;) {
        const std::uint64_t piece = meter.next_piece(memory.size());
        if (piece == 0) return cancelled(file);
        const auto got = disk.read_at(file, offset, memory.first(static_cast<std::size_t>(piece)));
        if (!got) return failure(got.error());
        if (*got == 0) return hasher.text();
        hasher.add(memory.first(*got));
        offset += *got;
        meter.add(*got);
    }
}

Result<bool> same_bytes(FileSystem& disk, const Handle& a, const Handle& b, const Meter& meter) {
    const auto one = buffer(0);
    const auto two = buffer(1);
    for (std::uint64_t offset = 0;;) {
        if (meter.stop.stop_requested()) return cancelled(a);
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
