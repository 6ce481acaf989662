// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <sys/resource.h>

#include <filesystem>
#include <iterator>

/// Handles that this process has open now.
inline rlim_t open_handles() {
    namespace fs = std::filesystem;
    return static_cast<rlim_t>(
        std::distance(fs::directory_iterator("/proc/self/fd"), fs::directory_iterator()));
}

/// This process may have so many handles open, as long as this is there.
class FewHandles {
public:
    explicit FewHandles(rlim_t max) {
        ::getrlimit(RLIMIT_NOFILE, &before_);
        const rlimit few{max, before_.rlim_max};
        ::setrlimit(RLIMIT_NOFILE, &few);
    }
    ~FewHandles() { ::setrlimit(RLIMIT_NOFILE, &before_); }
    FewHandles(const FewHandles&) = delete;
    FewHandles& operator=(const FewHandles&) = delete;

private:
    rlimit before_{};
};
