#include <dirent.h>
#include <fcntl.h>
#include <linux/fs.h>
#include <linux/magic.h>
#include <sys/ioctl.h>
#include <sys/stat.h>
#include <sys/statvfs.h>
#include <sys/sysmacros.h>
#include <sys/vfs.h>
#include <sys/xattr.h>
#include <unistd.h>

#include <algorithm>
#include <atomic>
#include <cerrno>
#include <cstdio>
#include <cstring>

#include "files/extents.h"
#include "files/file_system.h"
#include "files/path.h"

namespace tavlo {

std::string_view to_text(FileType type) noexcept {
    switch (type) {
        case FileType::file: return "file";
        case FileType::folder: return "folder";
        case FileType::link: return "link";
        case FileType::other: return "other";
    }
    return {};
}

Handle& Handle::operator=(Handle&& other) noexcept {
    if (this != &other) {
        close();
        descriptor_ = std::exchange(other.descriptor_, -1);
        path_ = std::move(other.path_);
    }
    return *this;
}

void Handle::close() noexcept {
    if (descriptor_ >= 0) ::close(std::exchange(descriptor_, -1));
}

Staged::~Staged() {
    if (!part_name_.empty() && folder_.is_open()) ::unlinkat(folder_.descriptor(), part_name_.c_str(), 0);
}

namespace {

constexpr std::uint64_t magic_msdos = 0x4d44;
constexpr std::uint64_t magic_exfat = 0x2011BAB0;
constexpr std::uint64_t magic_ntfs3 = 0x7366746e;
constexpr std::int64_t second_ns = 1'000'000'000;

tl::unexpected<Error> failed(std::string_view step, std::string_view path) {
    return tl::unexpected<Error>(system_error(errno, step, path));
}

tl::unexpected<Error> failed(std::string_view step, const Handle& folder, std::string_view name) {
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

std::int64_t ns(const statx_timestamp& t) { return t.tv_sec * second_ns + t.tv_nsec; }

timespec to_timespec(std::int64_t ns) {
    auto seconds = ns / second_ns;
    auto rest = ns % second_ns;
    if (rest < 0) {
        --seconds;
        rest += second_ns;
    }
    return {seconds, rest};
}

FileType type_of(std::uint16_t mode) {
    switch (mode & S_IFMT) {
        case S_IFREG: return FileType::file;
        case S_IFDIR: return FileType::folder;
        case S_IFLNK: return FileType::link;
        default: return FileType::other;
    }
}

FileType type_of_entry(unsigned char kind) {
    switch (kind) {
        case DT_REG: return FileType::file;
        case DT_DIR: return FileType::folder;
        case DT_LNK: return FileType::link;
        default: return FileType::other;
    }
}

Status from_statx(const struct statx& s) {
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

constexpr std::string_view access_acl = "system.posix_acl_access";
constexpr std::string_view default_acl = "system.posix_acl_default";

std::vector<std::string> extended_names(int descriptor) {
    std::vector<std::string> names;
    const ssize_t needed = ::flistxattr(descriptor, nullptr, 0);
    if (needed <= 0) return names;
    std::string list(static_cast<std::size_t>(needed), '\0');
    const ssize_t got = ::flistxattr(descriptor, list.data(), list.size());
    for (std::size_t at = 0; got > 0 && at < static_cast<std::size_t>(got);) {
        names.emplace_back(list.c_str() + at);
        at += names.back().size() + 1;
    }
    return names;
}

class Disk final : public FileSystem {
public:
    Result<Handle> open_folder(const std::string& path) override { return open_at(AT_FDCWD, path.c_str(), path, 0); }

    Result<Handle> open_folder_in(const Handle& folder, const std::string& name) override {
        return open_at(folder.descriptor(), name.c_str(), join(folder.path(), name), O_NOFOLLOW);
    }

    Result<std::vector<Name>> list(const Handle& folder) override {
        // a description of its own: the position of another reader of this handle is left alone
        const int fd = ::openat(folder.descriptor(), ".", O_RDONLY | O_DIRECTORY | O_CLOEXEC);
        if (fd < 0) return failed("list folder", folder.path());
        DIR* stream = ::fdopendir(fd);
        if (stream == nullptr) {
            const auto error = failed("list folder", folder.path());
            ::close(fd);
            return error;
        }
        const std::unique_ptr<DIR, int (*)(DIR*)> owner(stream, &::closedir);
        std::vector<Name> names;
        for (;;) {
            errno = 0;
            const dirent* entry = ::readdir(stream);
            if (entry == nullptr) break;
            const std::string_view name = entry->d_name;
            if (name == "." || name == "..") continue;
            names.push_back({std::string(name), type_of_entry(entry->d_type)});
        }
        if (errno != 0) return failed("list folder", folder.path());
        return names;
    }

    Result<Status> status(const Handle& folder, const std::string& name) override {
        struct statx s {};
        if (::statx(folder.descriptor(), name.c_str(), AT_SYMLINK_NOFOLLOW | AT_NO_AUTOMOUNT, STATX_BASIC_STATS, &s) != 0)
            return failed("look at", folder, name);
        return from_statx(s);
    }

    Result<Status> status(const Handle& open) override {
        struct statx s {};
        if (::statx(open.descriptor(), "", AT_EMPTY_PATH, STATX_BASIC_STATS, &s) != 0) return failed("look at", open.path());
        return from_statx(s);
    }

    Result<Volume> volume(const Handle& folder) override {
        struct statvfs space {};
        struct statfs kind {};
        const auto looked = status(folder);
        if (!looked) return failure(looked.error());
        if (::fstatvfs(folder.descriptor(), &space) != 0 || ::fstatfs(folder.descriptor(), &kind) != 0)
            return failed("look at file system", folder.path());
        Volume volume;
        volume.device = looked->id.device;
        volume.free_bytes = std::uint64_t{space.f_bavail} * space.f_frsize;
        if (space.f_files != 0) volume.free_inodes = space.f_favail;
        volume.read_only = (space.f_flag & ST_RDONLY) != 0;
        volume.max_name_bytes = kind.f_namelen > 0 ? static_cast<std::size_t>(kind.f_namelen) : 255;
        switch (static_cast<std::uint64_t>(kind.f_type)) {
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
                if (::ioctl(folder.descriptor(), FS_IOC_GETFLAGS, &flags) == 0) volume.folds_case = (flags & FS_CASEFOLD_FL) != 0;
            }
        }
        // FAT's f_namelen counts code units times the longest encoding of one
        volume.max_name_bytes = std::min<std::size_t>(volume.max_name_bytes, volume.forbidden_in_names.empty() ? 255 : 765);
        return volume;
    }

    Result<std::string> read_link(const Handle& folder, const std::string& name) override {
        std::string target(4096, '\0');
        const ssize_t length = ::readlinkat(folder.descriptor(), name.c_str(), target.data(), target.size());
        if (length < 0) return failed("read link", folder, name);
        target.resize(static_cast<std::size_t>(length));
        return target;
    }

    Result<std::string> real_path(const Handle& folder) override {
        std::string path(64 * 1024, '\0');  // deeper than PATH_MAX answers ENAMETOOLONG or is cut: then it is no path to store
        const auto link = "/proc/self/fd/" + std::to_string(folder.descriptor());
        const ssize_t length = ::readlink(link.c_str(), path.data(), path.size());
        if (length < 0) return failed("find path of", folder.path());
        path.resize(static_cast<std::size_t>(length));
        return path;
    }

    Result<void> may_write(const Handle& folder) override {
        if (::faccessat(folder.descriptor(), ".", W_OK | X_OK, AT_EACCESS) != 0) return failed("write into folder", folder.path());
        return {};
    }

    Result<OpenedFile> open_file(const Handle& folder, const std::string& name) override {
        // O_NONBLOCK: should a fifo have taken the name meanwhile, this must not wait for a writer
        const int flags = O_RDONLY | O_NOFOLLOW | O_NONBLOCK | O_NOCTTY | O_CLOEXEC;
        int fd = uninterrupted([&] { return ::openat(folder.descriptor(), name.c_str(), flags | O_NOATIME); });
        if (fd < 0 && errno == EPERM) fd = ::openat(folder.descriptor(), name.c_str(), flags);  // not the owner
        if (fd < 0) return failed("open", folder, name);
        Handle handle(fd, join(folder.path(), name));
        const auto opened = status(handle);
        if (!opened) return failure(opened.error());
        if (opened->type != FileType::file) return failure(Fault::changed_meanwhile, "is no longer a regular file", handle.path());
        return OpenedFile{std::move(handle), *opened};
    }

    Result<std::size_t> read_at(const Handle& file, std::uint64_t offset, std::span<std::byte> into) override {
        std::size_t total = 0;
        while (total < into.size()) {
            const ssize_t got = uninterrupted(
                [&] { return ::pread(file.descriptor(), into.data() + total, into.size() - total, static_cast<off_t>(offset + total)); });
            if (got < 0) return failed("read", file.path());
            if (got == 0) break;
            total += static_cast<std::size_t>(got);
        }
        return total;
    }

    using FileSystem::attributes;
    Result<Attributes> attributes(const Handle& open, const Status& seen) override {
        Attributes attributes{seen.mode, seen.owner, seen.group, seen.accessed_ns, seen.id.modified_ns, {}};
        for (auto& name : extended_names(open.descriptor())) {
            const ssize_t size = ::fgetxattr(open.descriptor(), name.c_str(), nullptr, 0);
            if (size < 0) continue;  // not for us to read, or gone: what cannot be read cannot be carried
            std::string value(static_cast<std::size_t>(size), '\0');
            const ssize_t got = ::fgetxattr(open.descriptor(), name.c_str(), value.data(), value.size());
            if (got < 0) continue;
            value.resize(static_cast<std::size_t>(got));
            attributes.extended.emplace_back(std::move(name), std::move(value));
        }
        return attributes;
    }

    Result<Staged> stage(const Handle& folder) override {
        int fd = ::openat(folder.descriptor(), ".", O_TMPFILE | O_RDWR | O_CLOEXEC, 0600);
        if (fd >= 0) return Staged(Handle(fd, folder.path()));
        if (errno != EOPNOTSUPP && errno != EISDIR && errno != ENOENT) return failed("stage a file", folder.path());
        const int own = uninterrupted([&] { return ::fcntl(folder.descriptor(), F_DUPFD_CLOEXEC, 0); });
        if (own < 0) return failed("stage a file", folder.path());
        Handle held(own, folder.path());
        for (;;) {
            static std::atomic<unsigned> counter{0};
            char name[64];
            std::snprintf(name, sizeof name, ".tavlo-part-%d-%u", ::getpid(), counter.fetch_add(1));
            fd = ::openat(folder.descriptor(), name, O_CREAT | O_EXCL | O_RDWR | O_NOFOLLOW | O_CLOEXEC, 0600);
            if (fd >= 0) return Staged(Handle(fd, folder.path()), std::move(held), name);
            if (errno != EEXIST) return failed("stage a file", folder.path());
        }
    }

    Result<void> write_at(const Staged& staged, std::uint64_t offset, std::span<const std::byte> bytes) override {
        while (!bytes.empty()) {
            const ssize_t put =
                uninterrupted([&] { return ::pwrite(staged.file().descriptor(), bytes.data(), bytes.size(), static_cast<off_t>(offset)); });
            if (put < 0) return failed("write", staged.file().path());
            bytes = bytes.subspan(static_cast<std::size_t>(put));
            offset += static_cast<std::uint64_t>(put);
        }
        return {};
    }

    bool share_all_blocks(const Handle& a, const Handle& b) override { return lie_on_same_blocks(a.descriptor(), b.descriptor()); }

    Result<void> share_blocks(const Handle& from, const Staged& staged) override {
        if (::ioctl(staged.file().descriptor(), FICLONE, from.descriptor()) == 0) return {};
        if (errno == ENOSPC || errno == EDQUOT || errno == EIO) return failed("share blocks", staged.file().path());
        return failure(Fault::unsupported, "share blocks", staged.file().path());
    }

    Result<std::uint64_t> copy_range(const Handle& from, std::uint64_t offset, const Staged& staged, std::uint64_t length_bytes) override {
        auto in = static_cast<off64_t>(offset);
        auto out = static_cast<off64_t>(offset);
        const ssize_t copied =
            uninterrupted([&] { return ::copy_file_range(from.descriptor(), &in, staged.file().descriptor(), &out, length_bytes, 0); });
        if (copied >= 0) return static_cast<std::uint64_t>(copied);
        if (errno == EXDEV || errno == EINVAL || errno == EOPNOTSUPP || errno == ENOSYS || errno == EPERM)
            return failure(Fault::unsupported, "copy inside the kernel", from.path());
        return failed("copy", from.path());
    }

    Result<std::pair<std::uint64_t, std::uint64_t>> next_data(const Handle& file, std::uint64_t offset, std::uint64_t size_bytes) override {
        using Range = std::pair<std::uint64_t, std::uint64_t>;
        const off_t start = ::lseek(file.descriptor(), static_cast<off_t>(offset), SEEK_DATA);
        if (start < 0 && errno == ENXIO) return Range{size_bytes, size_bytes};
        if (start < 0) return Range{offset, size_bytes};  // a file system that does not know holes
        const off_t end = ::lseek(file.descriptor(), start, SEEK_HOLE);
        if (end < 0) return Range{static_cast<std::uint64_t>(start), size_bytes};
        return Range{std::min<std::uint64_t>(static_cast<std::uint64_t>(start), size_bytes),
                     std::min<std::uint64_t>(static_cast<std::uint64_t>(end), size_bytes)};
    }

    void start_writing(const Staged& staged, std::uint64_t offset, std::uint64_t length_bytes) override {
        (void)::sync_file_range(staged.file().descriptor(), static_cast<off64_t>(offset), static_cast<off64_t>(length_bytes),
                                SYNC_FILE_RANGE_WRITE);
    }

    Result<void> set_size(const Staged& staged, std::uint64_t size_bytes) override {
        if (::ftruncate(staged.file().descriptor(), static_cast<off_t>(size_bytes)) != 0) return failed("set size", staged.file().path());
        return {};
    }

    Result<std::vector<std::string>> set_attributes(const Handle& open, const Attributes& wanted) override {
        std::vector<std::string> lost;
        const int fd = open.descriptor();
        const auto now = status(open);
        if (!now) return failure(now.error());
        // the owner first: chown(2) clears setuid and security.capability, which come after it
        if ((now->owner != wanted.owner || now->group != wanted.group) && ::fchown(fd, wanted.owner, wanted.group) != 0) {
            if (::fchown(fd, static_cast<uid_t>(-1), wanted.group) != 0 || now->owner != wanted.owner) lost.emplace_back("owner");
        }
        // an access control list that the folder's default gave, and the source never had
        for (const auto acl : {access_acl, default_acl}) {
            if (acl == default_acl && now->type != FileType::folder) continue;
            const bool has = std::any_of(wanted.extended.begin(), wanted.extended.end(), [&](const auto& x) { return x.first == acl; });
            if (!has) ::fremovexattr(fd, std::string(acl).c_str());
        }
        for (const auto& [name, value] : wanted.extended)
            if (::fsetxattr(fd, name.c_str(), value.data(), value.size(), 0) != 0) lost.push_back(name);
        std::uint32_t mode = wanted.mode;
        // setuid and setgid for somebody else's account would hand out that account's rights
        if (std::find(lost.begin(), lost.end(), "owner") != lost.end() && (mode & 06000U) != 0) mode &= ~06000U;
        if (::fchmod(fd, mode) != 0) lost.emplace_back("mode");
        const timespec times[2] = {to_timespec(wanted.accessed_ns), to_timespec(wanted.modified_ns)};
        if (::futimens(fd, times) != 0) lost.emplace_back("times");
        return lost;
    }

    Result<void> set_link_attributes(const Handle& folder, const std::string& name, const Attributes& wanted) override {
        if (::fchownat(folder.descriptor(), name.c_str(), wanted.owner, wanted.group, AT_SYMLINK_NOFOLLOW) != 0 && errno != EPERM)
            return failed("set owner of link", folder, name);
        const timespec times[2] = {to_timespec(wanted.accessed_ns), to_timespec(wanted.modified_ns)};
        if (::utimensat(folder.descriptor(), name.c_str(), times, AT_SYMLINK_NOFOLLOW) != 0 && errno != EOPNOTSUPP)
            return failed("set times of link", folder, name);
        return {};
    }

    Result<void> forget_cached(const Handle& file) override {
        const int code = ::posix_fadvise(file.descriptor(), 0, 0, POSIX_FADV_DONTNEED);
        if (code != 0) return failure(system_error(code, "drop cached bytes", file.path()));
        return {};
    }

    Result<void> take_free_name(Staged& staged, const Handle& folder, const std::string& name) override {
        if (staged.part_name().empty()) {
            char path[64];
            std::snprintf(path, sizeof path, "/proc/self/fd/%d", staged.file().descriptor());
            if (::linkat(AT_FDCWD, path, folder.descriptor(), name.c_str(), AT_SYMLINK_FOLLOW) != 0)
                return failed("take free name", folder, name);
            return {};
        }
        auto moved = move_to_free_name(staged.folder(), staged.part_name(), folder, name);
        if (moved) staged.part_file_is_gone();
        return moved;
    }

    Result<void> link_file(const Handle& from, const std::string& name, const Handle& to, const std::string& new_name) override {
        if (::linkat(from.descriptor(), name.c_str(), to.descriptor(), new_name.c_str(), 0) != 0) return failed("link", to, new_name);
        return {};
    }

    Result<void> make_link(const Handle& folder, const std::string& name, const std::string& points_at) override {
        if (::symlinkat(points_at.c_str(), folder.descriptor(), name.c_str()) != 0) return failed("make link", folder, name);
        return {};
    }

    Result<void> make_folder(const Handle& folder, const std::string& name, std::uint32_t mode) override {
        if (::mkdirat(folder.descriptor(), name.c_str(), mode) != 0) return failed("make folder", folder, name);
        return {};
    }

    Result<void> move_to_free_name(const Handle& from, const std::string& name, const Handle& to, const std::string& new_name) override {
        if (::renameat2(from.descriptor(), name.c_str(), to.descriptor(), new_name.c_str(), RENAME_NOREPLACE) == 0) return {};
        if (errno != EINVAL && errno != ENOSYS) return failed("move to free name", to, new_name);
        return move_without_flag(from, name, to, new_name);
    }

    Result<void> exchange(const Handle& a, const std::string& a_name, const Handle& b, const std::string& b_name) override {
        if (::renameat2(a.descriptor(), a_name.c_str(), b.descriptor(), b_name.c_str(), RENAME_EXCHANGE) == 0) return {};
        if (errno == EINVAL || errno == ENOSYS) return failure(Fault::unsupported, "exchange names", join(b.path(), b_name));
        return failed("exchange names", b, b_name);
    }

    Result<void> remove_file(const Handle& folder, const std::string& name) override {
        if (::unlinkat(folder.descriptor(), name.c_str(), 0) != 0) return failed("remove", folder, name);
        return {};
    }

    Result<void> remove_empty_folder(const Handle& folder, const std::string& name) override {
        if (::unlinkat(folder.descriptor(), name.c_str(), AT_REMOVEDIR) != 0) return failed("remove folder", folder, name);
        return {};
    }

    Result<void> sync(const Handle& open) override {
        if (uninterrupted([&] { return ::fsync(open.descriptor()); }) == 0) return {};
        if (errno == EINVAL || errno == EBADF) return {};  // nothing here that could be synced (fsync(2))
        return failed("make durable", open.path());
    }

    Result<void> sync_volume(const Handle& folder) override {
        if (uninterrupted([&] { return ::syncfs(folder.descriptor()); }) != 0) return failed("make durable", folder.path());
        return {};
    }

private:
    static Result<Handle> open_at(int at, const char* name, std::string path, int flags) {
        int fd = uninterrupted([&] { return ::openat(at, name, O_RDONLY | O_DIRECTORY | O_CLOEXEC | flags); });
        // a folder that may be entered and written but not listed can still be worked in
        if (fd < 0 && errno == EACCES) fd = ::openat(at, name, O_PATH | O_DIRECTORY | O_CLOEXEC | flags);
        if (fd < 0) return failed("open folder", path);
        return Handle(fd, std::move(path));
    }

    /// For file systems that know no RENAME_NOREPLACE: the two steps are each unable to replace anything.
    Result<void> move_without_flag(const Handle& from, const std::string& name, const Handle& to, const std::string& new_name) {
        const auto what = status(from, name);
        if (!what) return failure(what.error());
        if (what->type == FileType::folder) {
            // rename(2) replaces a folder only while it is empty, and this one is our own
            if (auto made = make_folder(to, new_name, 0700); !made) return made;
            if (::renameat(from.descriptor(), name.c_str(), to.descriptor(), new_name.c_str()) == 0) return {};
            const auto error = failed("move to free name", to, new_name);
            ::unlinkat(to.descriptor(), new_name.c_str(), AT_REMOVEDIR);
            return error;
        }
        if (auto linked = link_file(from, name, to, new_name); !linked) return linked;
        const auto arrived = status(to, new_name);
        if (!arrived || !arrived->id.same_thing(what->id)) {
            ::unlinkat(to.descriptor(), new_name.c_str(), 0);
            return failure(Fault::changed_meanwhile, "changed while it was moved", join(from.path(), name));
        }
        return remove_file(from, name);
    }
};

}  // namespace

std::unique_ptr<FileSystem> make_disk() { return std::make_unique<Disk>(); }

}  // namespace tavlo
