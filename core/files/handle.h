#pragma once

#include <cstddef>
#include <string>
#include <utility>

namespace tavlo {

/// An open file or folder, closed when it goes; with the path it was opened by, for messages only.
class Handle {
public:
    Handle() = default;
    Handle(int descriptor, std::string path) : descriptor_(descriptor), path_(std::move(path)) {}
    Handle(Handle&& other) noexcept : descriptor_(std::exchange(other.descriptor_, -1)), path_(std::move(other.path_)) {}
    Handle& operator=(Handle&& other) noexcept;
    Handle(const Handle&) = delete;
    Handle& operator=(const Handle&) = delete;
    ~Handle() { close(); }

    int descriptor() const noexcept { return descriptor_; }
    bool is_open() const noexcept { return descriptor_ >= 0; }
    const std::string& path() const noexcept { return path_; }
    void close() noexcept;
    /// Gives it away, open.
    int take() noexcept { return std::exchange(descriptor_, -1); }

private:
    int descriptor_ = -1;
    std::string path_;
};

/// As many files and folders may be open as the machine allows: the soft limit becomes the hard one (getrlimit(2)). For programs, at their
/// start.
void raise_handle_limit() noexcept;

/// How many handles may be open at a time in this process; what holds many divides them.
std::size_t handle_limit() noexcept;

}  // namespace tavlo
