#pragma once

#include <string>

/// A file system of its own, mounted for one test; unmounted at the end. Where mounting is not allowed, `mounted` is false
/// and `why` says so: such a test ends with a message, having tested nothing.
class Mount {
public:
    /// A tmpfs of so many bytes.
    static Mount memory(const std::string& at, const std::string& options = "size=32m");
    /// A file system made in an image file and mounted through a loop device: "ext4", "xfs", "btrfs".
    static Mount image(const std::string& kind, const std::string& image_path, const std::string& at, unsigned megabytes);
    /// An image that was made before.
    static Mount again(const std::string& image_path, const std::string& at);
    Mount() = default;
    Mount(Mount&& other) noexcept;
    Mount& operator=(Mount&&) = delete;
    ~Mount();

    bool mounted = false;
    std::string why;
    std::string path;
};

/// Ends a test with a message where its file system could not be mounted.
#define NEEDS(mount)                      \
    if (!(mount).mounted) {               \
        WARN("skipped: " << (mount).why); \
        return;                           \
    }
