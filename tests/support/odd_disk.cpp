// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

// A file system for tests, through FUSE: hands everything on to a folder, and is odd in the ways that it is
// told to be.
//
//   odd_disk BACKING MOUNTPOINT [ODDITY...]
//
//   no-flags          rename knows no flags (EINVAL)
//   no-links          hard links are refused (EPERM)
//   one-mode          every file and folder has the mode 0777, whatever is asked for
//   no-xattr          extended attributes are not kept (ENOTSUP)
//   lying-size        a file called "lies" says that it holds 0 bytes
//   close-fails=N     closing the Nth file that was written answers EDQUOT, and its bytes are gone
//   lost=CALL:N       the Nth rename, unlink or link is carried out, and answers EIO all the same
//   log=FILE          each fsync of a file ("file NAME") or folder ("folder") is noted there
//
// Inode numbers are libfuse's own: they do not last.

#define FUSE_USE_VERSION 31
#include <dirent.h>
#include <fcntl.h>
#include <fuse.h>
#include <sys/stat.h>
#include <sys/statvfs.h>
#include <sys/xattr.h>
#include <unistd.h>

#include <cerrno>
#include <cstdio>
#include <cstdlib>
#include <cstring>
#include <set>
#include <string>

namespace {

std::string backing;
std::set<std::string> oddities;
std::string lost_call;
int lost_at = 0;
int lost_calls = 0;
int close_fails_at = 0;
int closes = 0;
std::set<std::uint64_t> flushed;
std::string log_path;

bool is(const char* oddity) { return oddities.count(oddity) != 0; }
std::string real(const char* path) { return backing + path; }
int answer(int result) { return result == -1 ? -errno : 0; }

/// What a call answers once it is carried out.
int reply(const char* call, int result) {
    if (result == 0 && lost_call == call && ++lost_calls == lost_at) return -EIO;
    return result;
}

void note(const std::string& line) {
    if (log_path.empty()) return;
    if (FILE* log = std::fopen(log_path.c_str(), "a")) {
        std::fprintf(log, "%s\n", line.c_str());
        std::fclose(log);
    }
}

int odd_getattr(const char* path, struct stat* out, fuse_file_info*) {
    if (::lstat(real(path).c_str(), out) != 0) return -errno;
    if (is("one-mode") && !S_ISLNK(out->st_mode)) out->st_mode = (out->st_mode & S_IFMT) | 0777;
    if (is("lying-size") && std::strstr(path, "/lies") != nullptr && S_ISREG(out->st_mode)) out->st_size = 0;
    return 0;
}

int odd_readlink(const char* path, char* into, size_t size) {
    const ssize_t length = ::readlink(real(path).c_str(), into, size - 1);
    if (length < 0) return -errno;
    into[length] = '\0';
    return 0;
}

int odd_readdir(const char* path, void* buffer, fuse_fill_dir_t fill, off_t, fuse_file_info*,
                fuse_readdir_flags) {
    DIR* folder = ::opendir(real(path).c_str());
    if (folder == nullptr) return -errno;
    while (const dirent* entry = ::readdir(folder))
        fill(buffer, entry->d_name, nullptr, 0, fuse_fill_dir_flags{});
    ::closedir(folder);
    return 0;
}

int odd_mkdir(const char* path, mode_t mode) { return answer(::mkdir(real(path).c_str(), mode)); }
int odd_symlink(const char* to, const char* path) { return answer(::symlink(to, real(path).c_str())); }
int odd_unlink(const char* path) { return reply("unlink", answer(::unlink(real(path).c_str()))); }
int odd_rmdir(const char* path) { return answer(::rmdir(real(path).c_str())); }

int odd_rename(const char* from, const char* to, unsigned flags) {
    if (flags != 0 && is("no-flags")) return -EINVAL;
    return reply("rename",
                 answer(::renameat2(AT_FDCWD, real(from).c_str(), AT_FDCWD, real(to).c_str(), flags)));
}

int odd_link(const char* from, const char* to) {
    if (is("no-links")) return -EPERM;
    return reply("link", answer(::link(real(from).c_str(), real(to).c_str())));
}

int odd_chmod(const char* path, mode_t mode, fuse_file_info*) {
    return is("one-mode") ? 0 : answer(::chmod(real(path).c_str(), mode));
}
int odd_chown(const char* path, uid_t user, gid_t group, fuse_file_info*) {
    return answer(::lchown(real(path).c_str(), user, group));
}
int odd_truncate(const char* path, off_t size, fuse_file_info*) {
    return answer(::truncate(real(path).c_str(), size));
}
int odd_utimens(const char* path, const timespec times[2], fuse_file_info*) {
    return answer(::utimensat(AT_FDCWD, real(path).c_str(), times, AT_SYMLINK_NOFOLLOW));
}

int odd_create(const char* path, mode_t mode, fuse_file_info* info) {
    const int fd = ::open(real(path).c_str(), info->flags | O_CREAT | O_CLOEXEC, mode);
    if (fd < 0) return -errno;
    info->fh = static_cast<std::uint64_t>(fd);
    return 0;
}

int odd_open(const char* path, fuse_file_info* info) {
    const int fd = ::open(real(path).c_str(), (info->flags & ~(O_NOATIME | O_NOFOLLOW)) | O_CLOEXEC);
    if (fd < 0) return -errno;
    info->fh = static_cast<std::uint64_t>(fd);
    info->direct_io = is("lying-size");  // else the kernel reads no more than it was told of
    return 0;
}

int odd_read(const char*, char* into, size_t size, off_t offset, fuse_file_info* info) {
    const ssize_t got = ::pread(static_cast<int>(info->fh), into, size, offset);
    return got < 0 ? -errno : static_cast<int>(got);
}

int odd_write(const char*, const char* from, size_t size, off_t offset, fuse_file_info* info) {
    const ssize_t put = ::pwrite(static_cast<int>(info->fh), from, size, offset);
    return put < 0 ? -errno : static_cast<int>(put);
}

int odd_flush(const char* path, fuse_file_info* info) {
    if (path == nullptr) return 0;
    const bool written = (::fcntl(static_cast<int>(info->fh), F_GETFL) & O_ACCMODE) != O_RDONLY;
    if (!written || close_fails_at == 0 || !flushed.insert(info->fh).second || ++closes != close_fails_at)
        return 0;
    if (::truncate(real(path).c_str(), 0) != 0) return -EIO;
    return -EDQUOT;
}

int odd_release(const char*, fuse_file_info* info) {
    flushed.erase(info->fh);
    ::close(static_cast<int>(info->fh));
    return 0;
}

int odd_fsync(const char* path, int, fuse_file_info*) {
    note(std::string("file ") + (path != nullptr ? path : "(gone)"));
    return 0;
}

int odd_fsyncdir(const char* path, int, fuse_file_info*) {
    note(std::string("folder ") + (path != nullptr ? path : "(gone)"));
    return 0;
}

int odd_statfs(const char* path, struct statvfs* out) { return answer(::statvfs(real(path).c_str(), out)); }

int odd_setxattr(const char* path, const char* name, const char* value, size_t size, int flags) {
    return is("no-xattr") ? -ENOTSUP : answer(::lsetxattr(real(path).c_str(), name, value, size, flags));
}
int odd_getxattr(const char* path, const char* name, char* value, size_t size) {
    if (is("no-xattr")) return -ENOTSUP;
    const ssize_t got = ::lgetxattr(real(path).c_str(), name, value, size);
    return got < 0 ? -errno : static_cast<int>(got);
}
int odd_listxattr(const char* path, char* list, size_t size) {
    if (is("no-xattr")) return -ENOTSUP;
    const ssize_t got = ::llistxattr(real(path).c_str(), list, size);
    return got < 0 ? -errno : static_cast<int>(got);
}
int odd_removexattr(const char* path, const char* name) {
    return is("no-xattr") ? -ENOTSUP : answer(::lremovexattr(real(path).c_str(), name));
}

void* odd_init(fuse_conn_info*, fuse_config* config) {
    config->attr_timeout = config->entry_timeout = config->negative_timeout = 0;
    config->hard_remove = 1;
    return nullptr;
}

}  // namespace

int main(int count, char** words) {
    if (count < 3) return 2;
    backing = words[1];
    for (int at = 3; at < count; ++at) {
        const std::string word = words[at];
        if (word.rfind("close-fails=", 0) == 0) {
            close_fails_at = std::atoi(word.c_str() + std::strlen("close-fails="));
        } else if (word.rfind("lost=", 0) == 0) {
            const auto colon = word.find(':');
            lost_call = word.substr(std::strlen("lost="), colon - std::strlen("lost="));
            lost_at = std::atoi(word.c_str() + colon + 1);
        } else if (word.rfind("log=", 0) == 0) {
            log_path = word.substr(std::strlen("log="));
        } else {
            oddities.insert(word);
        }
    }
    fuse_operations calls{};
    calls.getattr = odd_getattr;
    calls.readlink = odd_readlink;
    calls.readdir = odd_readdir;
    calls.mkdir = odd_mkdir;
    calls.symlink = odd_symlink;
    calls.unlink = odd_unlink;
    calls.rmdir = odd_rmdir;
    calls.rename = odd_rename;
    calls.link = odd_link;
    calls.chmod = odd_chmod;
    calls.chown = odd_chown;
    calls.truncate = odd_truncate;
    calls.utimens = odd_utimens;
    calls.create = odd_create;
    calls.open = odd_open;
    calls.read = odd_read;
    calls.write = odd_write;
    calls.flush = odd_flush;
    calls.release = odd_release;
    calls.fsync = odd_fsync;
    calls.fsyncdir = odd_fsyncdir;
    calls.statfs = odd_statfs;
    calls.setxattr = odd_setxattr;
    calls.getxattr = odd_getxattr;
    calls.listxattr = odd_listxattr;
    calls.removexattr = odd_removexattr;
    calls.init = odd_init;
    char program[] = "odd_disk";
    char foreground[] = "-f";
    char one_thread[] = "-s";
    char* arguments[] = {program, foreground, one_thread, words[2], nullptr};
    return fuse_main(4, arguments, &calls, nullptr);
}
