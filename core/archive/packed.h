// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <optional>
#include <string>
#include <string_view>
#include <utility>
#include <vector>

#include "files/result.h"
#include "files/types.h"

namespace tavlo {

/// One thing in an archive, as its headers tell.
struct PackedThing {
    std::string path;  ///< exact bytes, as they stand there
    FileType type = FileType::other;
    bool is_hard_link = false;  ///< another name of the file that `points_at` names
    std::string points_at{};    ///< a link's text, a hard link's other name
    std::uint64_t size_bytes = 0;
    std::int64_t modified_ns = 0;  ///< since 1970-01-01 UTC
    bool is_dated = false;
    std::uint32_t mode = 0;   ///< 0: it says none
    std::uint32_t owner = 0;  ///< for one that is packed; of one that is unpacked it is not believed
    std::uint32_t group = 0;
    std::vector<std::pair<std::string, std::string>> extended{};  ///< xattr(7)
    /// begin and end of what is no hole; empty: there is none
    std::vector<std::pair<std::uint64_t, std::uint64_t>> stretches{};
    std::string problem{};  ///< why it cannot be taken out
};

/// What is said once all of them were told.
struct PackedEnd {
    std::string damage{};           ///< why nothing is known of what comes behind; empty: that was all
    std::int64_t time_step_ns = 1;  ///< of the dates
};

/// What the helper says, each with its kind and its length ahead.
enum class Frame : std::uint8_t {
    thing,    ///< PackedThing, in the archive's order
    end,      ///< PackedEnd
    refused,  ///< why this is no archive that can be read
    at,       ///< number of a file whose bytes follow, and whether that was asked for
    bytes,    ///< offset in the file, and what stands there
    whole,    ///< the file is through, and its own checksum right
    broken,   ///< why it is not
};

inline constexpr std::size_t longest_frame_bytes = 4 * 1024 * 1024;
inline constexpr std::size_t frame_head_bytes = 5;

/// Kind and length of what follows, little-endian, and that: what is said first, and what is said then.
void append_frame(std::string& text, Frame kind, std::string_view first, std::string_view then = {});
/// What such a head says follows it. nullopt: more than any frame has
std::optional<std::size_t> frame_length(std::string_view head);
/// Frame::bytes
void append_bytes(std::string& text, std::uint64_t offset, std::string_view bytes);

std::string packed_text(const PackedThing& thing);
std::string packed_text(const PackedEnd& end);
/// errors  corrupt
Result<PackedThing> thing_from(const std::string& text);
Result<PackedEnd> end_from(const std::string& text);

/// A number of eight bytes, little-endian.
void append_number(std::string& text, std::uint64_t number);
std::uint64_t number_at(std::string_view text, std::size_t at);

}  // namespace tavlo
