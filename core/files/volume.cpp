// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/volume.h"

#include <blkid/blkid.h>
#include <fcntl.h>
#include <linux/btrfs.h>
#include <linux/fs.h>
#include <sys/ioctl.h>
#include <sys/stat.h>
#include <sys/statvfs.h>
#include <sys/sysmacros.h>
#include <sys/vfs.h>
#include <unistd.h>

#include <algorithm>
#include <array>
#include <cerrno>
#include <cstdlib>
#include <fstream>
#include <memory>
#include <optional>
#include <sstream>

#include "files/handle.h"
#include "files/path.h"
#include "files/types.h"

namespace tavlo {

namespace {

// f_type of statfs(2); linux/magic.h knows some of them only
constexpr std::uint64_t magic_ext = 0xEF53;
constexpr std::uint64_t magic_xfs = 0x58465342;
constexpr std::uint64_t magic_btrfs = 0x9123683E;
constexpr std::uint64_t magic_f2fs = 0xF2F52010;
constexpr std::uint64_t magic_tmpfs = 0x01021994;
constexpr std::uint64_t magic_ramfs = 0x858458f6;
constexpr std::uint64_t magic_overlay = 0x794c7630;
constexpr std::uint64_t magic_nfs = 0x6969;
constexpr std::uint64_t magic_bcachefs = 0xca451a4e;
constexpr std::uint64_t magic_jfs = 0x3153464a;
constexpr std::uint64_t magic_zfs = 0x2fc12fc1;
constexpr std::uint64_t magic_squash = 0x73717368;
constexpr std::uint64_t magic_erofs = 0xE0F5E1E2;
constexpr std::uint64_t magic_msdos = 0x4d44;
constexpr std::uint64_t magic_exfat = 0x2011BAB0;
constexpr std::uint64_t magic_ntfs3 = 0x7366746e;
constexpr std::uint64_t magic_fuse = 0x65735546;

/// Their syncfs(2) reaches the disk, and says so where that failed. Not overlay: it hides the errors of what
/// it lies on. Not FUSE: the call reaches no server. Not networks: each has its own ways.
constexpr std::array sync_as_one{magic_ext, magic_xfs, magic_btrfs, magic_f2fs, magic_tmpfs, magic_ramfs};

/// The number of an inode is kept on the disk, or as long as the file system is mounted.
constexpr std::array keep_inodes{magic_ext,   magic_xfs,     magic_btrfs, magic_f2fs,     magic_tmpfs,
                                 magic_ramfs, magic_overlay, magic_nfs,   magic_bcachefs, magic_jfs,
                                 magic_zfs,   magic_squash,  magic_erofs, magic_ntfs3};

template <class List>
bool is_among(const List& list, std::uint64_t kind) {
    return std::find(list.begin(), list.end(), kind) != list.end();
}

tl::unexpected<Error> failed(std::string_view step, std::string_view path) {
    return tl::unexpected<Error>(system_error(errno, step, path));
}

/// One line of /proc/self/mountinfo.
struct MountLine {
    std::uint64_t id = 0;
    std::string point;
    std::string kind;
    std::string source;
};

/// "\040" and its like as the bytes they stand for (proc(5)).
std::string unescaped(const std::string& text) {
    std::string out;
    for (std::size_t at = 0; at < text.size(); ++at) {
        if (text[at] != '\\' || at + 3 >= text.size()) {
            out += text[at];
            continue;
        }
        out += static_cast<char>(std::strtoul(text.substr(at + 1, 3).c_str(), nullptr, 8));
        at += 3;
    }
    return out;
}

Result<std::vector<MountLine>> mounts() {
    std::ifstream file("/proc/self/mountinfo");
    if (!file) return failed("read the mounts", "/proc/self/mountinfo");
    std::vector<MountLine> found;
    for (std::string line; std::getline(file, line);) {
        std::istringstream words(line);
        MountLine mount;
        std::string parent, device, root, options, word;
        words >> mount.id >> parent >> device >> root >> mount.point >> options;
        while (words >> word && word != "-") {
        }
        words >> mount.kind >> mount.source;
        mount.point = unescaped(mount.point);
        mount.source = unescaped(mount.source);
        found.push_back(std::move(mount));
    }
    return found;
}

Result<std::string> real_path_of(int open, const std::string& path) {
    std::string real(64 * 1024, '\0');
    const ssize_t length =
        ::readlink(("/proc/self/fd/" + std::to_string(open)).c_str(), real.data(), real.size());
    if (length < 0) return failed("find path of", path);
    real.resize(static_cast<std::size_t>(length));
    return real;
}

std::string hex(const unsigned char* bytes, std::size_t count) {
    static constexpr char digits[] = "0123456789abcdef";
    std::string text;
    for (std::size_t at = 0; at < count; ++at) {
        text += digits[bytes[at] >> 4U];
        text += digits[bytes[at] & 15U];
    }
    return text;
}

/// ext4 and, from Linux 6.9 on, others (ioctl_ext4_getfsuuid, FS_IOC_GETFSUUID): the same layout of an answer
/// each.
std::optional<std::string> uuid_by_kernel(int open, std::uint64_t kind) {
    struct {
        std::uint8_t length = 0;
        std::uint8_t uuid[16] = {};
    } general;
    constexpr unsigned long get_general = _IOR(0x15, 0, decltype(general));
    if (::ioctl(open, get_general, &general) == 0 && general.length == 16) return hex(general.uuid, 16);
    if (kind == magic_ext) {
        struct {
            std::uint32_t length = 16;
            std::uint32_t flags = 0;
            std::uint8_t uuid[16] = {};
        } ext4;
        constexpr unsigned long get_ext4 = _IOR('f', 44, std::uint64_t);
        if (::ioctl(open, get_ext4, &ext4) == 0) return hex(ext4.uuid, 16);
    }
    if (kind == magic_btrfs) {
        btrfs_ioctl_fs_info_args info{};
        if (::ioctl(open, BTRFS_IOC_FS_INFO, &info) == 0) return hex(info.fsid, 16);
    }
    return std::nullopt;
}

std::optional<std::string> uuid_by_blkid(std::uint64_t device) {
    const std::unique_ptr<char, decltype(&std::free)> name(
        ::blkid_devno_to_devname(static_cast<dev_t>(device)), &std::free);
    if (!name) return std::nullopt;
    const std::unique_ptr<char, decltype(&std::free)> uuid(::blkid_get_tag_value(nullptr, "UUID", name.get()),
                                                           &std::free);
    if (!uuid) return std::nullopt;
    return std::string(uuid.get());
}

/// A subvolume has a number of its own in its file system (btrfs(5)): found for the inode that every one
/// begins with.
std::string subvolume(int open) {
    btrfs_ioctl_ino_lookup_args lookup{};
    constexpr std::uint64_t first_inode = 256;  // BTRFS_FIRST_FREE_OBJECTID, the root of every subvolume
    lookup.objectid = first_inode;
    return ::ioctl(open, BTRFS_IOC_INO_LOOKUP, &lookup) == 0 ? " " + std::to_string(lookup.treeid)
                                                             : std::string();
}

}  // namespace

bool inodes_last(std::uint64_t kind) noexcept { return is_among(keep_inodes, kind); }

Result<std::uint64_t> mount_of(int open, const std::string& path) {
    struct statx s {};
    if (::statx(open, "", AT_EMPTY_PATH, STATX_MNT_ID, &s) != 0) return failed("look at", path);
    return s.stx_mnt_id;
}

Result<Volume> volume_of(int open, const std::string& path) {
    struct statvfs space {};
    struct statfs kind {};
    if (::fstatvfs(open, &space) != 0 || ::fstatfs(open, &kind) != 0)
        return failed("look at file system", path);
    const auto magic = static_cast<std::uint64_t>(kind.f_type);
    Volume volume;
    volume.free_bytes = std::uint64_t{space.f_bavail} * space.f_frsize;
    if (space.f_files != 0) volume.free_inodes = space.f_favail;
    volume.read_only = (space.f_flag & ST_RDONLY) != 0;
    volume.max_name_bytes = kind.f_namelen > 0 ? static_cast<std::size_t>(kind.f_namelen) : 255;
    volume.syncs_whole = is_among(sync_as_one, magic);
    switch (magic) {
        case magic_msdos:
            volume.max_file_bytes = UINT32_MAX;
            volume.time_step_ns = 2 * second_ns;
            volume.holds_links = volume.keeps_attributes = false;
            volume.forbidden_in_names = "\\:*?\"<>|";
            volume.folds_case = true;
            break;
        case magic_exfat:
            volume.time_step_ns = second_ns / 100;
            volume.holds_links = volume.keeps_attributes = false;
            volume.forbidden_in_names = "\\:*?\"<>|";
            volume.folds_case = true;
            break;
        case magic_ntfs3: volume.time_step_ns = 100; break;
        default: {
            int flags = 0;  // ext4 and f2fs fold case folder by folder
            if (magic != magic_fuse && ::ioctl(open, FS_IOC_GETFLAGS, &flags) == 0)
                volume.folds_case = (flags & FS_CASEFOLD_FL) != 0;
        }
    }
    volume.may_fold_case =
        volume.folds_case || !volume.syncs_whole;  // kinds that are known to be sound are known in this too
    // FAT's f_namelen counts code units times the longest encoding of one
    volume.max_name_bytes =
        std::min<std::size_t>(volume.max_name_bytes, volume.forbidden_in_names.empty() ? 255 : 765);
    return volume;
}

Result<VolumeIdentity> volume_identity_of(int open, const std::string& path) {
    struct statfs kind {};
    struct statx s {};
    if (::fstatfs(open, &kind) != 0) return failed("look at file system", path);
    if (::statx(open, "", AT_EMPTY_PATH, STATX_BASIC_STATS | STATX_MNT_ID, &s) != 0)
        return failed("look at", path);
    const auto magic = static_cast<std::uint64_t>(kind.f_type);
    const auto all = mounts();
    if (!all) return failure(all.error());
    const auto mount = std::find_if(all->begin(), all->end(),
                                    [&](const MountLine& line) { return line.id == s.stx_mnt_id; });
    const std::string name = mount == all->end() ? "?" : mount->kind;
    // what lies in memory has an identifier of its own for each time that it is mounted, and never comes back
    // as it was: by its name then
    const bool in_memory = magic == magic_tmpfs || magic == magic_ramfs;
    auto uuid = in_memory ? std::nullopt : uuid_by_kernel(open, magic);
    if (!uuid && s.stx_dev_major != 0) uuid = uuid_by_blkid(makedev(s.stx_dev_major, s.stx_dev_minor));
    if (uuid)
        return VolumeIdentity{name + " " + *uuid + (magic == magic_btrfs ? subvolume(open) : std::string()),
                              true};
    const std::string source = mount == all->end() ? "?" : mount->source;
    return VolumeIdentity{name + " " + source, false};
}

Result<std::vector<std::string>> mounts_below(int folder, const std::string& path) {
    const auto real = real_path_of(folder, path);
    if (!real) return failure(real.error());
    const auto all = mounts();
    if (!all) return failure(all.error());
    std::vector<std::string> below;
    for (const MountLine& mount : *all)
        if (mount.point != *real && is_within(mount.point, *real)) below.push_back(mount.point);
    return below;
}

}  // namespace tavlo
