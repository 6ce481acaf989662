// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

// Preloaded into a program (ld.so(8), LD_PRELOAD): calls that read, write or sync are interrupted every third
// time, and do at most a part of what was asked for otherwise, as signal(7), read(2), write(2) and
// copy_file_range(2) allow.

#include <dlfcn.h>
#include <fcntl.h>
#include <sys/types.h>

#include <algorithm>
#include <atomic>
#include <cerrno>
#include <cstddef>

namespace {

bool interrupted() {
    static std::atomic<unsigned> calls{0};
    if (calls++ % 3 != 0) return false;
    errno = EINTR;
    return true;
}

std::size_t a_part(std::size_t count) { return std::min<std::size_t>(count, 1 + count / 3); }

template <class Call>
Call next(const char* name) {
    return reinterpret_cast<Call>(::dlsym(RTLD_NEXT, name));
}

}  // namespace

extern "C" {

ssize_t pread64(int file, void* into, std::size_t count, off64_t offset) {
    static const auto call = next<ssize_t (*)(int, void*, std::size_t, off64_t)>("pread64");
    return interrupted() ? -1 : call(file, into, a_part(count), offset);
}
ssize_t pread(int file, void* into, std::size_t count, off_t offset) {
    return pread64(file, into, count, offset);
}

ssize_t pwrite64(int file, const void* from, std::size_t count, off64_t offset) {
    static const auto call = next<ssize_t (*)(int, const void*, std::size_t, off64_t)>("pwrite64");
    return interrupted() ? -1 : call(file, from, a_part(count), offset);
}
ssize_t pwrite(int file, const void* from, std::size_t count, off_t offset) {
    return pwrite64(file, from, count, offset);
}

ssize_t copy_file_range(int from, off64_t* from_offset, int to, off64_t* to_offset, std::size_t length,
                        unsigned flags) {
    static const auto call =
        next<ssize_t (*)(int, off64_t*, int, off64_t*, std::size_t, unsigned)>("copy_file_range");
    return interrupted() ? -1 : call(from, from_offset, to, to_offset, a_part(length), flags);
}

int fsync(int file) {
    static const auto call = next<int (*)(int)>("fsync");
    return interrupted() ? -1 : call(file);
}

int syncfs(int file) noexcept {
    static const auto call = next<int (*)(int)>("syncfs");
    return interrupted() ? -1 : call(file);
}
}
