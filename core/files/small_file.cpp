// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/small_file.h"

#include <fcntl.h>
#include <sys/stat.h>
#include <unistd.h>

#include <cerrno>
#include <filesystem>

#include "files/handle.h"
#include "files/path.h"

namespace tavlo {

Result<std::string> read_small_file(const std::string& path, std::size_t most_bytes) {
    // O_NONBLOCK: a fifo must not wait for a writer
    const Handle file(::open(path.c_str(), O_RDONLY | O_CLOEXEC | O_NONBLOCK), path);
    struct stat status {};
    if (!file.is_open() || ::fstat(file.descriptor(), &status) != 0)
        return failure(system_error(errno, "read", path));
    if (!S_ISREG(status.st_mode)) return failure(Fault::refused, "is no regular file", path);
    return read_small(file.descriptor(), path, most_bytes);
}

Result<std::string> read_small(int descriptor, const std::string& name, std::size_t most_bytes) {
    std::string bytes;
    char piece[65536];
    for (;;) {
        const ssize_t got = ::read(descriptor, piece, sizeof piece);
        if (got < 0 && errno == EINTR) continue;
        if (got < 0) return failure(system_error(errno, "read", name));
        if (got == 0) return bytes;
        bytes.append(piece, static_cast<std::size_t>(got));
        if (bytes.size() > most_bytes)
            return failure(Fault::refused, "is too large to be read at once", name);
    }
}

Result<void> write_small_file(const std::string& path, const std::string& bytes) {
    std::error_code made;
    std::filesystem::create_directories(std::string(parent_of(path)), made);
    if (made) return failure(system_error(made.value(), "make folder", parent_of(path)));
    const std::string fresh = path + ".new";
    const auto failed = [&](const char* step) {
        const int code = errno;
        ::unlink(fresh.c_str());
        return failure(system_error(code, step, path));
    };
    const Handle file(::open(fresh.c_str(), O_WRONLY | O_CREAT | O_TRUNC | O_CLOEXEC | O_NOFOLLOW, 0600),
                      fresh);
    if (!file.is_open()) return failed("write");
    for (std::size_t at = 0; at < bytes.size();) {
        const ssize_t put = ::write(file.descriptor(), bytes.data() + at, bytes.size() - at);
        if (put < 0 && errno == EINTR) continue;
        if (put < 0) return failed("write");
        at += static_cast<std::size_t>(put);
    }
    if (::fsync(file.descriptor()) != 0) return failed("make durable");
    if (::rename(fresh.c_str(), path.c_str()) != 0) return failed("replace");
    return {};
}

}  // namespace tavlo
