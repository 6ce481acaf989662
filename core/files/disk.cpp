// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <dirent.h>
#include <fcntl.h>
#include <linux/fs.h>
#include <linux/openat2.h>
#include <sys/ioctl.h>
#include <sys/stat.h>
#include <sys/syscall.h>
#include <sys/sysmacros.h>
#include <sys/vfs.h>
#include <unistd.h>

#include <algorithm>
#include <array>
#include <atomic>
#include <cerrno>
#include <csignal>
#include <cstdio>
#include <cstring>

#include "files/attributes.h"
#include "files/disk_calls.h"
#include "files/extents.h"
#include "files/file_system.h"
#include "files/path.h"
#include "files/volume.h"

namespace tavlo {

namespace {

class Disk final : public FileSystem {
public:
    Result<Handle> open_folder(const std::string& path) override {
        return open_at(AT_FDCWD, path.c_str(), path, 0);
    }

    Result<Handle> open_folder_in(const Handle& folder, const std::string& name) override {
        return open_at(folder.descriptor(), name.c_str(), join(folder.path(), name), O_NOFOLLOW);
    }

    Result<Handle> open_folder_in_mount(const Handle& folder, const std::string& name) override {
        open_how how{};
        how.flags = O_RDONLY | O_DIRECTORY | O_CLOEXEC | O_NOFOLLOW;
        how.resolve = RESOLVE_NO_XDEV | RESOLVE_NO_SYMLINKS | RESOLVE_NO_MAGICLINKS | RESOLVE_BENEATH;
        const auto path = join(folder.path(), name);
        const auto fd =
            static_cast<int>(::syscall(SYS_openat2, folder.descriptor(), name.c_str(), &how, sizeof how));
        Handle opened(fd, path);
        if (fd < 0) {
            if (errno == EXDEV)
                return failure(system_error(EXDEV, "is a mount of another file system", path));
            if (errno != ENOSYS && errno != EPERM) return failed("open folder", path);
            auto plain = open_folder_in(
                folder, name);  // before Linux 5.6, or in a sandbox that does not know the call
            if (!plain) return plain;
            opened = std::move(*plain);
            const auto here = mount(folder);
            const auto there = mount(opened);
            if (!here || !there || *here != *there)
                return failure(system_error(EXDEV, "is a mount of another file system", path));
        }
        const auto around = status(folder);  // a subvolume is no mount, and another device all the same
        const auto inside = status(opened);
        if (!around || !inside) return failure(around ? inside.error() : around.error());
        if (around->id.device != inside->id.device)
            return failure(system_error(EXDEV, "lies on another file system", path));
        return opened;
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
        if (::statx(folder.descriptor(), name.c_str(), AT_SYMLINK_NOFOLLOW | AT_NO_AUTOMOUNT, wanted_of_statx,
                    &s) != 0)
            return failed("look at", folder, name);
        return marked(s, folder.descriptor(), name.c_str());
    }

    Result<Status> status(const Handle& open) override {
        struct statx s {};
        if (::statx(open.descriptor(), "", AT_EMPTY_PATH, wanted_of_statx, &s) != 0)
            return failed("look at", open.path());
        return marked(s, open.descriptor(), nullptr);
    }

    Result<Volume> volume(const Handle& folder) override {
        const auto looked = status(folder);
        if (!looked) return failure(looked.error());
        auto volume = volume_of(folder.descriptor(), folder.path());
        if (volume) volume->device = looked->id.device;
        return volume;
    }

    Result<VolumeIdentity> volume_identity(const Handle& open) override {
        return volume_identity_of(open.descriptor(), open.path());
    }
    Result<std::uint64_t> mount(const Handle& open) override {
        return mount_of(open.descriptor(), open.path());
    }
    Result<std::vector<std::string>> mounts_below(const Handle& folder) override {
        return tavlo::mounts_below(folder.descriptor(), folder.path());
    }

    Result<std::string> read_link(const Handle& folder, const std::string& name) override {
        std::string target(4096, '\0');
        const ssize_t length = ::readlinkat(folder.descriptor(), name.c_str(), target.data(), target.size());
        if (length < 0) return failed("read link", folder, name);
        target.resize(static_cast<std::size_t>(length));
        return target;
    }

    Result<std::string> real_path(const Handle& folder) override {
        std::string path(
            64 * 1024,
            '\0');  // deeper than PATH_MAX answers ENAMETOOLONG or is cut: then it is no path to store
        const auto link = "/proc/self/fd/" + std::to_string(folder.descriptor());
        const ssize_t length = ::readlink(link.c_str(), path.data(), path.size());
        if (length < 0) return failed("find path of", folder.path());
        path.resize(static_cast<std::size_t>(length));
        return path;
    }

    Result<void> may_write(const Handle& folder) override {
        if (::faccessat(folder.descriptor(), ".", W_OK | X_OK, AT_EACCESS) != 0)
            return failed("write into folder", folder.path());
        return {};
    }

    Result<OpenedFile> open_file(const Handle& folder, const std::string& name) override {
        // O_NONBLOCK: should a fifo have taken the name meanwhile, this must not wait for a writer
        const int flags = O_RDONLY | O_NOFOLLOW | O_NONBLOCK | O_NOCTTY | O_CLOEXEC;
        int fd =
            uninterrupted([&] { return ::openat(folder.descriptor(), name.c_str(), flags | O_NOATIME); });
        if (fd < 0 && errno == EPERM)
            fd = ::openat(folder.descriptor(), name.c_str(), flags);  // not the owner
        if (fd < 0) return failed("open", folder, name);
        Handle handle(fd, join(folder.path(), name));
        const auto opened = status(handle);
        if (!opened) return failure(opened.error());
        if (opened->type != FileType::file)
            return failure(Fault::changed_meanwhile, "is no longer a regular file", handle.path());
        return OpenedFile{std::move(handle), *opened};
    }

    Result<std::size_t> read_at(const Handle& file, std::uint64_t offset,
                                std::span<std::byte> into) override {
        std::size_t total = 0;
        while (total < into.size()) {
            const ssize_t got = uninterrupted([&] {
                return ::pread(file.descriptor(), into.data() + total, into.size() - total,
                               static_cast<off_t>(offset + total));
            });
            if (got < 0) return failed("read", file.path());
            if (got == 0) break;
            total += static_cast<std::size_t>(got);
        }
        return total;
    }

    using FileSystem::attributes;
    Result<Attributes> attributes(const Handle& open, const Status& seen) override {
        return read_attributes(open.descriptor(), seen);
    }

    Writer writer(const Handle& file) override {
        if (::fcntl(file.descriptor(), F_SETSIG, SIGURG) != 0)
            return Writer::unknown;  // ignored, should somebody open it just now
        if (::fcntl(file.descriptor(), F_SETLEASE, F_RDLCK) != 0)
            return errno == EAGAIN ? Writer::some : Writer::unknown;
        ::fcntl(file.descriptor(), F_SETLEASE, F_UNLCK);
        return Writer::none;
    }

    Result<Staged> stage(const Handle& folder, const std::string& part_name, std::uint32_t mode) override {
        // without setuid and setgid: they are for its owner to be, which it may not have yet
        int fd = ::openat(folder.descriptor(), ".", O_TMPFILE | O_RDWR | O_CLOEXEC, mode & 0777U);
        if (fd >= 0) return Staged(Handle(fd, folder.path()));
        // a file system without such files says so in one of many ways; what else is wrong the second try
        // will say
        if (errno == ENOSPC || errno == EDQUOT || errno == EROFS || errno == EMFILE || errno == ENFILE ||
            errno == EACCES)
            return failed("stage a file", folder.path());
        const int own = uninterrupted([&] { return ::fcntl(folder.descriptor(), F_DUPFD_CLOEXEC, 0); });
        if (own < 0) return failed("stage a file", folder.path());
        Handle held(own, folder.path());
        fd = ::openat(folder.descriptor(), part_name.c_str(),
                      O_CREAT | O_EXCL | O_RDWR | O_NOFOLLOW | O_CLOEXEC, 0600);
        if (fd < 0) return failed("stage a file", folder, part_name);
        return Staged(Handle(fd, folder.path()), std::move(held), part_name);
    }

    Result<void> close_check(const Staged& staged) override {
        // closing any of a file's descriptors asks the file system to say what went wrong (close(2), "Dealing
        // with error returns")
        const int again = ::fcntl(staged.file().descriptor(), F_DUPFD_CLOEXEC, 0);
        if (again < 0) return failed("close", staged.file().path());
        if (::close(again) != 0 && errno != EINTR) return failed("close", staged.file().path());
        return {};
    }

    Result<void> write_at(const Staged& staged, std::uint64_t offset,
                          std::span<const std::byte> bytes) override {
        while (!bytes.empty()) {
            const ssize_t put = uninterrupted([&] {
                return ::pwrite(staged.file().descriptor(), bytes.data(), bytes.size(),
                                static_cast<off_t>(offset));
            });
            if (put < 0) return failed("write", staged.file().path());
            bytes = bytes.subspan(static_cast<std::size_t>(put));
            offset += static_cast<std::uint64_t>(put);
        }
        return {};
    }

    bool share_all_blocks(const Handle& a, const Handle& b) override {
        return lie_on_same_blocks(a.descriptor(), b.descriptor());
    }

    Result<void> share_blocks(const Handle& from, const Staged& staged) override {
        if (::ioctl(staged.file().descriptor(), FICLONE, from.descriptor()) == 0) return {};
        if (errno == ENOSPC || errno == EDQUOT || errno == EIO)
            return failed("share blocks", staged.file().path());
        return failure(Fault::unsupported, "share blocks", staged.file().path());
    }

    Result<std::uint64_t> copy_range(const Handle& from, std::uint64_t offset, const Staged& staged,
                                     std::uint64_t length_bytes) override {
        auto in = static_cast<off64_t>(offset);
        auto out = static_cast<off64_t>(offset);
        const ssize_t copied = uninterrupted([&] {
            return ::copy_file_range(from.descriptor(), &in, staged.file().descriptor(), &out, length_bytes,
                                     0);
        });
        if (copied >= 0) return static_cast<std::uint64_t>(copied);
        if (errno == EXDEV || errno == EINVAL || errno == EOPNOTSUPP || errno == ENOSYS || errno == EPERM)
            return failure(Fault::unsupported, "copy inside the kernel", from.path());
        return failed("copy", from.path());
    }

    Result<std::pair<std::uint64_t, std::uint64_t>> next_data(const Handle& file, std::uint64_t offset,
                                                              std::uint64_t size_bytes) override {
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
        (void)::sync_file_range(staged.file().descriptor(), static_cast<off64_t>(offset),
                                static_cast<off64_t>(length_bytes), SYNC_FILE_RANGE_WRITE);
    }

    Result<void> set_size(const Staged& staged, std::uint64_t size_bytes) override {
        if (::ftruncate(staged.file().descriptor(), static_cast<off_t>(size_bytes)) != 0)
            return failed("set size", staged.file().path());
        return {};
    }

    Result<std::vector<std::string>> set_attributes(const Handle& open, const Attributes& wanted) override {
        const auto now = status(open);
        if (!now) return failure(now.error());
        return give_attributes(open.descriptor(), *now, wanted);
    }

    std::vector<std::string> cannot_hold(const Handle& open, const Attributes& wanted) override {
        return tavlo::cannot_hold(open.descriptor(), wanted);
    }

    Result<void> set_mode(const Handle& open, std::uint32_t mode) override {
        if (::fchmod(open.descriptor(), mode) != 0) return failed("set permissions", open.path());
        return {};
    }

    Result<void> set_link_attributes(const Handle& folder, const std::string& name,
                                     const Attributes& wanted) override {
        if (::fchownat(folder.descriptor(), name.c_str(), wanted.owner, wanted.group, AT_SYMLINK_NOFOLLOW) !=
                0 &&
            errno != EPERM)
            return failed("set owner of link", folder, name);
        const timespec times[2] = {to_timespec(wanted.accessed_ns), to_timespec(wanted.modified_ns)};
        if (::utimensat(folder.descriptor(), name.c_str(), times, AT_SYMLINK_NOFOLLOW) != 0 &&
            errno != EOPNOTSUPP)
            return failed("set times of link", folder, name);
        return {};
    }

    Result<void> forget_cached(const Handle& file) override {
        const int code = ::posix_fadvise(file.descriptor(), 0, 0, POSIX_FADV_DONTNEED);
        if (code != 0) return failure(system_error(code, "drop cached bytes", file.path()));
        return {};
    }

    void read_ahead(const Handle& file, std::uint64_t length_bytes) override {
        (void)::posix_fadvise(file.descriptor(), 0, static_cast<off_t>(length_bytes), POSIX_FADV_WILLNEED);
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

    Result<void> link_file(const Handle& from, const std::string& name, const Handle& to,
                           const std::string& new_name) override {
        if (::linkat(from.descriptor(), name.c_str(), to.descriptor(), new_name.c_str(), 0) != 0)
            return failed("link", to, new_name);
        return {};
    }

    Result<void> make_link(const Handle& folder, const std::string& name,
                           const std::string& points_at) override {
        if (::symlinkat(points_at.c_str(), folder.descriptor(), name.c_str()) != 0)
            return failed("make link", folder, name);
        return {};
    }

    Result<void> make_folder(const Handle& folder, const std::string& name, std::uint32_t mode) override {
        if (::mkdirat(folder.descriptor(), name.c_str(), mode) != 0)
            return failed("make folder", folder, name);
        return {};
    }

    Result<void> move_to_free_name(const Handle& from, const std::string& name, const Handle& to,
                                   const std::string& new_name) override {
        if (::renameat2(from.descriptor(), name.c_str(), to.descriptor(), new_name.c_str(),
                        RENAME_NOREPLACE) == 0)
            return {};
        if (!has_no_such_flag(errno)) return failed("move to free name", to, new_name);
        return move_without_flag(from, name, to, new_name);
    }

    Result<void> exchange(const Handle& a, const std::string& a_name, const Handle& b,
                          const std::string& b_name) override {
        if (::renameat2(a.descriptor(), a_name.c_str(), b.descriptor(), b_name.c_str(), RENAME_EXCHANGE) == 0)
            return {};
        if (has_no_such_flag(errno))
            return failure(Fault::unsupported, "exchange names", join(b.path(), b_name));
        return failed("exchange names", b, b_name);
    }

    Result<void> remove_file(const Handle& folder, const std::string& name) override {
        if (::unlinkat(folder.descriptor(), name.c_str(), 0) != 0) return failed("remove", folder, name);
        return {};
    }

    Result<void> remove_empty_folder(const Handle& folder, const std::string& name) override {
        if (::unlinkat(folder.descriptor(), name.c_str(), AT_REMOVEDIR) != 0)
            return failed("remove folder", folder, name);
        return {};
    }

    Result<void> sync(const Handle& open) override {
        if (uninterrupted([&] { return ::fsync(open.descriptor()); }) == 0) return {};
        if (errno == EINVAL || errno == EROFS) return {};  // nothing here that could be synced (fsync(2))
        if (errno == EBADF && is_place_only(open)) return sync_volume(open);
        return failed("make durable", open.path());
    }

    Result<void> sync_volume(const Handle& folder) override {
        if (uninterrupted([&] { return ::syncfs(folder.descriptor()); }) == 0) return {};
        if (errno != EBADF || !is_place_only(folder)) return failed("make durable", folder.path());
        // a folder that may be entered and not read: any file on the volume will do
        const Handle any(::openat(folder.descriptor(), ".", O_TMPFILE | O_RDWR | O_CLOEXEC, 0600),
                         folder.path());
        if (!any.is_open() || ::syncfs(any.descriptor()) != 0) return failed("make durable", folder.path());
        return {};
    }

private:
    static Result<Handle> open_at(int at, const char* name, std::string path, int flags) {
        int fd =
            uninterrupted([&] { return ::openat(at, name, O_RDONLY | O_DIRECTORY | O_CLOEXEC | flags); });
        // a folder that may be entered and written but not listed can still be worked in
        if (fd < 0 && errno == EACCES) fd = ::openat(at, name, O_PATH | O_DIRECTORY | O_CLOEXEC | flags);
        if (fd < 0) return failed("open folder", path);
        return Handle(fd, std::move(path));
    }

    static bool is_place_only(const Handle& open) {
        return (::fcntl(open.descriptor(), F_GETFL) & O_PATH) != 0;
    }
    static bool has_no_such_flag(int code) { return code == EINVAL || code == ENOSYS || code == EOPNOTSUPP; }

    /// With Identity::fleeting where it belongs. Which file systems are so is asked once for each mount.
    Result<Status> marked(const struct statx& s, int at, const char* name) {
        Status status = from_statx(s);
        const std::uint64_t key = (s.stx_mnt_id * 0x9E3779B97F4A7C15U) ^ status.id.device;
        std::atomic<std::uint64_t>& lasting = lasting_[key % lasting_.size()];
        if (lasting.load(std::memory_order_relaxed) == key) return status;
        Handle here;
        if (name != nullptr) here = Handle(::openat(at, name, O_PATH | O_NOFOLLOW | O_CLOEXEC), {});
        struct statfs kind {};
        // what cannot be asked counts as one of which nothing is known
        const bool asked = name == nullptr ? ::fstatfs(at, &kind) == 0
                                           : here.is_open() && ::fstatfs(here.descriptor(), &kind) == 0;
        if (asked && inodes_last(static_cast<std::uint64_t>(kind.f_type)))
            lasting.store(key, std::memory_order_relaxed);
        else
            status.id.device |= Identity::fleeting;
        return status;
    }

    /// For file systems that know no RENAME_NOREPLACE: a link, which cannot replace, and an unlink. Where
    /// there are no links either, the name is looked at and then given, with nothing that would keep another
    /// program out in between.
    Result<void> move_without_flag(const Handle& from, const std::string& name, const Handle& to,
                                   const std::string& new_name) {
        const auto what = status(from, name);
        if (!what) return failure(what.error());
        if (what->type == FileType::folder) {
            // rename(2) replaces a folder only while it is empty, and this one is our own
            if (auto made = make_folder(to, new_name, 0700); !made) return made;
            if (::renameat(from.descriptor(), name.c_str(), to.descriptor(), new_name.c_str()) == 0)
                return {};
            if (errno == EEXIST || errno == ENOTEMPTY) {  // some do not replace even an empty one
                ::unlinkat(to.descriptor(), new_name.c_str(), AT_REMOVEDIR);
                return rename_to_absent(from, name, to, new_name);
            }
            const auto error = failed("move to free name", to, new_name);
            ::unlinkat(to.descriptor(), new_name.c_str(), AT_REMOVEDIR);
            return error;
        }
        if (::linkat(from.descriptor(), name.c_str(), to.descriptor(), new_name.c_str(), 0) != 0) {
            const bool knows_no_links =
                errno == EPERM || errno == ENOSYS || errno == EOPNOTSUPP || errno == EMLINK;
            return knows_no_links ? rename_to_absent(from, name, to, new_name)
                                  : Result<void>(failed("link", to, new_name));
        }
        const auto arrived = status(to, new_name);
        if (!arrived || arrived->id != what->id) {
            ::unlinkat(to.descriptor(), new_name.c_str(), 0);
            return failure(Fault::changed_meanwhile, "changed while it was moved", join(from.path(), name));
        }
        // the other name goes only while it is still the same thing's: should somebody have put something in
        // its place, that stays
        const auto still = status(from, name);
        if (!still || still->id != what->id) {
            if (!still && still.error().fault == Fault::not_found) return {};
            ::unlinkat(to.descriptor(), new_name.c_str(), 0);
            return failure(Fault::changed_meanwhile, "changed while it was moved", join(from.path(), name));
        }
        return remove_file(from, name);
    }

    Result<void> rename_to_absent(const Handle& from, const std::string& name, const Handle& to,
                                  const std::string& new_name) {
        const auto held = status(to, new_name);
        if (held) return failure(system_error(EEXIST, "move to free name", join(to.path(), new_name)));
        if (held.error().fault != Fault::not_found) return failure(held.error());
        if (::renameat(from.descriptor(), name.c_str(), to.descriptor(), new_name.c_str()) != 0)
            return failed("move to free name", to, new_name);
        return {};
    }

    /// mounts and devices whose inode numbers last, as far as is known
    std::array<std::atomic<std::uint64_t>, 16> lasting_{};
};

}  // namespace

std::unique_ptr<FileSystem> make_disk() { return std::make_unique<Disk>(); }

}  // namespace tavlo
