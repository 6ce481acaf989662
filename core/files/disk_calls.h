// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <dirent.h>
#include <sys/stat.h>
#include <sys/sysmacros.h>

#include <cerrno>
#include <cstdint>
#include <string_view>

#include "files/handle.h"
#include "files/path.h"
#include "files/result.h"
#include "files/types.h"

// How the disk's answers are read: errno, statx(2), readdir(3).

namespace tavlo {

inline tl::unexpected<Error> failed(std::string_view step, std::string_view path) {
    return tl::unexpected<Error>(system_error(errno, step, path));
}

inline tl::unexpected<Error> failed(std::string_view step, const Handle& folder, std::string_view name) {
    const int code = errno;
    return tl::unexpected<Error>(system_error(code, step, join(folder.path(), name)));
}

/// A system call again for as long as a signal interrupts it.
template <class Call>
auto uninterrupted(Call call) {
    auto result = call();
    while (result < 0 && errno == EINTR) result = call();
    return result;
}

inline std::int64_t ns(const statx_timestamp& t) { return t.tv_sec * second_ns + t.tv_nsec; }

inline FileType type_of(std::uint16_t mode) {
    switch (mode & S_IFMT) {
        case S_IFREG: return FileType::file;
        case S_IFDIR: return FileType::folder;
        case S_IFLNK: return FileType::link;
        default: return FileType::other;
    }
}

inline FileType type_of_entry(unsigned char kind) {
    switch (kind) {
        case DT_REG: return FileType::file;
        case DT_DIR: return FileType::folder;
        case DT_LNK: return FileType::link;
        default: return FileType::other;
    }
}

// of Linux 6.8 on: a number that no later mount has; the older one is given again once its mount is gone
inline constexpr unsigned mount_id_unique = 0x4000U;
inline constexpr unsigned wanted_of_statx = STATX_BASIC_STATS | STATX_MNT_ID | mount_id_unique;

inline Status from_statx(const struct statx& s) {
    Status status;
    status.type = type_of(s.stx_mode);
    status.id = {makedev(s.stx_dev_major, s.stx_dev_minor), s.stx_ino, s.stx_size, ns(s.stx_mtime)};
    status.status_changed_ns = ns(s.stx_ctime);
    status.accessed_ns = ns(s.stx_atime);
    status.allocated_bytes = s.stx_blocks * 512;
    status.mode = s.stx_mode & 07777U;
    status.owner = s.stx_uid;
    status.group = s.stx_gid;
    status.links = s.stx_nlink;
    status.mount_point = (s.stx_attributes & STATX_ATTR_MOUNT_ROOT) != 0;
    return status;
}

}  // namespace tavlo
