// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/handle.h"

#include <fcntl.h>
#include <sys/resource.h>
#include <unistd.h>

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
    rlimit limit{};
    if (::getrlimit(RLIMIT_NOFILE, &limit) != 0 || limit.rlim_cur == limit.rlim_max) return;
    limit.rlim_cur = limit.rlim_max;
    (void)::setrlimit(RLIMIT_NOFILE, &limit);
}

std::size_t handle_limit() noexcept {
    rlimit limit{};
    constexpr std::size_t usual = 1024;
    if (::getrlimit(RLIMIT_NOFILE, &limit) != 0) return usual;
    return limit.rlim_cur == RLIM_INFINITY ? SIZE_MAX : static_cast<std::size_t>(limit.rlim_cur);
}

}  // namespace tavlo
