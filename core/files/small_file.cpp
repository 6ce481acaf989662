// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/small_file.h"

#include <fcntl.h>
#include <sys/stat.h>
#include <unistd.h>

#include <cerrno>
#include <cstdlib>
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

namespace {

/// Where the bytes are to go: through links, also one whose file is not made yet.
Result<std::string> followed(const std::string& path) {
    constexpr int max_links = 40;  // path_resolution(7)
    namespace fs = std::filesystem;
    fs::path at = path;
    for (int links = 0; links < max_links; ++links) {
        std::error_code not_a_link;
        const fs::path to = fs::read_symlink(at, not_a_link);
        if (not_a_link) return at.string();
        at = to.is_absolute() ? to : at.parent_path() / to;
    }
    return failure(system_error(ELOOP, "follow", path));
}

Result<void> put_all(const Handle& file, const std::string& bytes) {
    for (std::size_t at = 0; at < bytes.size();) {
        const ssize_t put = ::write(file.descriptor(), bytes.data() + at, bytes.size() - at);
        if (put < 0 && errno == EINTR) continue;
        if (put < 0) return failure(system_error(errno, "write", file.path()));
        at += static_cast<std::size_t>(put);
    }
    if (::fsync(file.descriptor()) != 0) return failure(system_error(errno, "make durable", file.path()));
    return {};
}

}  // namespace

Result<void> write_small_file(const std::string& path, const std::string& bytes) {
    const auto place = followed(path);
    if (!place) return failure(place.error());
    const std::string folder(parent_of(*place));
    std::error_code made;
    std::filesystem::create_directories(folder, made);
    if (made) return failure(system_error(made.value(), "make folder", folder));
    struct stat before {};
    const bool is_there = ::lstat(place->c_str(), &before) == 0;
    if (is_there && !S_ISREG(before.st_mode)) return failure(Fault::refused, "is no regular file", path);
    std::string fresh = join(folder, ".tavlo-write-XXXXXX");  // a name that nobody has, mkstemp(3)
    const Handle file(::mkostemp(fresh.data(), O_CLOEXEC), path);
    if (!file.is_open()) return failure(system_error(errno, "write", path));
    auto written = put_all(file, bytes);
    if (written && is_there && ::fchmod(file.descriptor(), before.st_mode & 07777U) != 0)
        written = failure(system_error(errno, "keep the permissions of", path));
    if (written && ::rename(fresh.c_str(), place->c_str()) != 0)
        written = failure(system_error(errno, "replace", path));
    if (!written) ::unlink(fresh.c_str());
    return written;
}

}  // namespace tavlo
