// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <optional>
#include <string_view>

namespace tavlo {

/// What archives are made in.
enum class ArchiveFormat : std::uint8_t { zip, tar, tar_gz, tar_xz, tar_zst };

/// How hard it is pressed: the time it takes against the room it needs.
enum class Press : std::uint8_t { fast, normal, small };

/// By the extension of a file's name, in letters of either case: ".zip", ".tar", ".tar.gz", ".tgz",
/// ".tar.xz", ".tar.zst". nullopt: another; or the name is nothing but the extension
std::optional<ArchiveFormat> archive_format(std::string_view name);

/// By its extension a file is an archive that can be read: what people call one, not every file that is made
/// as one.
bool looks_like_archive(std::string_view name);

/// What the format can keep of a file besides its bytes, its mode, its date and links.
struct FormatKeeps {
    bool owner = false;
    bool extended_attributes = false;
    bool hard_links = false;
    bool holes = false;
    bool any_name = false;  ///< also one that is no UTF-8
};
FormatKeeps what_it_keeps(ArchiveFormat format);

std::string_view to_text(ArchiveFormat format) noexcept;  ///< its extension, without the dot: "tar.gz"
std::string_view to_text(Press press) noexcept;
std::optional<ArchiveFormat> archive_format_from_text(std::string_view text) noexcept;
std::optional<Press> press_from_text(std::string_view text) noexcept;

}  // namespace tavlo
