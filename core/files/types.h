// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <string>
#include <string_view>
#include <utility>
#include <vector>

namespace tavlo {

inline constexpr std::int64_t second_ns = 1'000'000'000;  ///< nanoseconds

enum class FileType : std::uint8_t { file, folder, link, other };  // other: fifo, socket, device

std::string_view to_text(FileType type) noexcept;

/// What tells one thing on a disk from another, and from its own later self.
struct Identity {
    /// Set in `device` where the numbers of inodes do not last: a link, a rename, a while unseen, and the
    /// same thing has another one (what comes through FUSE, FAT, most networks).
    static constexpr std::uint64_t fleeting = std::uint64_t{1} << 63;

    /// number of the file system, as it is mounted now; see Volumes for what lasts
    std::uint64_t device = 0;
    std::uint64_t inode = 0;
    std::uint64_t size_bytes = 0;
    std::int64_t modified_ns = 0;  ///< time of change of the contents, since 1970-01-01 UTC

    bool inodes_last() const noexcept { return (device & fleeting) == 0; }
    /// Two looks of now at one thing.
    bool same_thing(const Identity& other) const noexcept {
        return device == other.device && inode == other.inode;
    }
    /// A look of now and one of another time, and nothing speaks against their being of one thing.
    bool could_be(const Identity& then) const noexcept {
        return device == then.device && (inode == then.inode || !inodes_last());
    }
    /// The same thing, its contents as they were, as far as its file system can tell.
    bool operator==(const Identity& then) const noexcept {
        return could_be(then) && size_bytes == then.size_bytes && modified_ns == then.modified_ns;
    }
};

/// What a thing is, and how it stood: as much of a look as is kept of a million things at a time.
struct FileState {
    Identity id;
    std::int64_t status_changed_ns = 0;  ///< ctime
    std::uint16_t mode = 0;              ///< permission bits with setuid, setgid, sticky: mode & 07777
    FileType type = FileType::other;
    bool mount_point = false;
};

/// What one look (statx(2), links not followed) says about a name.
struct Status : FileState {
    std::uint32_t links = 1;
    std::int64_t accessed_ns = 0;
    std::uint64_t allocated_bytes = 0;
    std::uint32_t owner = 0;
    std::uint32_t group = 0;
};

/// All that a copy has to carry besides the bytes.
struct Attributes {
    std::uint32_t mode = 0;
    std::uint32_t owner = 0;
    std::uint32_t group = 0;
    std::int64_t accessed_ns = 0;
    std::int64_t modified_ns = 0;
    std::vector<std::pair<std::string, std::string>> extended;  ///< xattr(7), access control lists among them
    std::vector<std::string> unread{};  ///< names of those that are there and could not be read
};

/// Whether somebody has a file open for writing, or mapped so.
enum class Writer : std::uint8_t { none, some, unknown };

/// What a file system is, whatever number it has today: a disk that is plugged in again, an image, a
/// subvolume has another one then.
struct VolumeIdentity {
    std::string text;  ///< "ext4 8f3c…", or the kind and what is mounted: "fuse.sshfs host:/share"
    /// by an identifier of its own; else by what is mounted, which another might be too
    bool is_sure = false;
    bool operator==(const VolumeIdentity& other) const { return text == other.text; }
};

/// What the file system of a folder can and cannot do.
struct Volume {
    std::uint64_t device = 0;
    std::uint64_t free_bytes = 0;
    std::uint64_t free_inodes = UINT64_MAX;  ///< UINT64_MAX where the file system does not count them
    std::int64_t time_step_ns = 1;           ///< coarsest step of a time of change
    std::size_t max_name_bytes = 255;
    std::uint64_t max_file_bytes = UINT64_MAX;
    std::string_view forbidden_in_names{};  ///< characters besides '/' and NUL
    bool folds_case = false;
    /// it does, or nobody knows: what lies behind FUSE or a network does not say
    bool may_fold_case = false;
    bool holds_links = true;       ///< symbolic ones
    bool keeps_attributes = true;  ///< owner, permissions, extended attributes
    bool read_only = false;
    /// One call makes all of it durable and says whether that worked: known of few (core/files/volume.h);
    /// else each file and folder is synced by itself, and what closing says is heard.
    bool syncs_whole = false;
};

}  // namespace tavlo
