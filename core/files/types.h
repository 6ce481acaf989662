#pragma once

#include <cstdint>
#include <string>
#include <string_view>
#include <utility>
#include <vector>

namespace tavlo {

enum class FileType : std::uint8_t { file, folder, link, other };  // other: fifo, socket, device

std::string_view to_text(FileType type) noexcept;

/// What tells one thing on a disk from another, and from its own later self.
struct Identity {
    std::uint64_t device = 0;
    std::uint64_t inode = 0;
    std::uint64_t size_bytes = 0;
    std::int64_t modified_ns = 0;  ///< time of change of the contents, since 1970-01-01 UTC

    bool operator==(const Identity&) const = default;
    bool same_thing(const Identity& other) const noexcept { return device == other.device && inode == other.inode; }
};

/// What one look (statx(2), links not followed) says about a name.
struct Status {
    FileType type = FileType::other;
    Identity id;
    std::int64_t status_changed_ns = 0;  ///< ctime
    std::int64_t accessed_ns = 0;
    std::uint64_t allocated_bytes = 0;
    std::uint32_t mode = 0;  ///< permission bits with setuid, setgid, sticky: mode & 07777
    std::uint32_t owner = 0;
    std::uint32_t group = 0;
    std::uint32_t links = 1;
    bool mount_point = false;
};

/// All that a copy has to carry besides the bytes.
struct Attributes {
    std::uint32_t mode = 0;
    std::uint32_t owner = 0;
    std::uint32_t group = 0;
    std::int64_t accessed_ns = 0;
    std::int64_t modified_ns = 0;
    std::vector<std::pair<std::string, std::string>> extended;  ///< xattr(7), access control lists among them
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
    bool holds_links = true;       ///< symbolic ones
    bool keeps_attributes = true;  ///< owner, permissions, extended attributes
    bool read_only = false;
};

}  // namespace tavlo
