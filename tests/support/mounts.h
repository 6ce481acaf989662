// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <sys/types.h>

#include <string>
#include <vector>

/// A file system of its own, mounted for one test; unmounted at the end. Where mounting is not allowed,
/// `mounted` is false and `why` says so: such a test ends with a message, having tested nothing.
class Mount {
public:
    /// A tmpfs of so many bytes.
    static Mount memory(const std::string& at, const std::string& options = "size=32m");
    /// A file system made in an image file and mounted through a loop device: "ext4", "xfs", "btrfs".
    static Mount image(const std::string& kind, const std::string& image_path, const std::string& at,
                       unsigned megabytes);
    /// The file system odd_disk on top of a folder, with its oddities (support/odd_disk.cpp).
    static Mount odd(const std::string& backing, const std::string& at,
                     const std::vector<std::string>& oddities = {});
    /// Whatever a program mounts that stays in the foreground, or comes back once it is mounted.
    static Mount by(const std::vector<std::string>& command, const std::string& at);
    /// A folder seen in a second place (mount(2), MS_BIND).
    static Mount bind(const std::string& folder, const std::string& at);
    static Mount overlay(const std::string& lower, const std::string& upper, const std::string& work,
                         const std::string& at);
    /// An image that was made before.
    static Mount again(const std::string& image_path, const std::string& at);
    Mount() = default;
    Mount(Mount&& other) noexcept;
    Mount& operator=(Mount&&) = delete;
    ~Mount();

    bool mounted = false;
    std::string why;
    std::string path;

private:
    pid_t server_ = -1;  ///< of a file system that a program serves
};

/// Ends a test with a message where its file system could not be mounted.
#define NEEDS(mount)                      \
    if (!(mount).mounted) {               \
        WARN("skipped: " << (mount).why); \
        return;                           \
    }

/// The same for whatever else it needs.
#define NEEDS_THAT(condition, otherwise) \
    if (!(condition)) {                  \
        WARN("skipped: " << otherwise);  \
        return;                          \
    }
