// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/handle.h"

#include <fcntl.h>
#include <sys/resource.h>
#include <unistd.h>

#include <algorithm>

#include "files/file_system.h"

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
        inner_ = std::move(other.inner_);
    }
    return *this;
}

Handle Handle::duplicate() const { return {::fcntl(descriptor_, F_DUPFD_CLOEXEC, 3), path_}; }

void Handle::close() noexcept {
    if (descriptor_ >= 0) ::close(std::exchange(descriptor_, -1));
    inner_.reset();
}

Staged::~Staged() {
    if (!part_name_.empty() && folder_.is_open()) ::unlinkat(folder_.descriptor(), part_name_.c_str(), 0);
}

void raise_handle_limit() noexcept {
    // and not more: programs that this one starts inherit it, and some go through all that there may be
    constexpr rlim_t useful = 16 * 1024;
    constexpr rlim_t open_at_a_time = 8 * 1024;
    rlimit limit{};
    if (::getrlimit(RLIMIT_NOFILE, &limit) != 0) return;
    if (limit.rlim_cur < std::min(useful, limit.rlim_max)) {
        limit.rlim_cur = std::min(useful, limit.rlim_max);
        if (::setrlimit(RLIMIT_NOFILE, &limit) != 0) return;
    }
    const int any = ::open("/", O_PATH | O_CLOEXEC);
    const int last = ::fcntl(any, F_DUPFD_CLOEXEC, std::min(open_at_a_time, limit.rlim_cur) - 1);
    for (const int fd : {any, last})
        if (fd >= 0) ::close(fd);
}

std::size_t handle_limit() noexcept {
    rlimit limit{};
    constexpr std::size_t usual = 1024;
    if (::getrlimit(RLIMIT_NOFILE, &limit) != 0) return usual;
    return limit.rlim_cur == RLIM_INFINITY ? SIZE_MAX : static_cast<std::size_t>(limit.rlim_cur);
}

}  // namespace tavlo
