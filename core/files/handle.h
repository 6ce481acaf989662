// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstddef>
#include <memory>
#include <string>
#include <utility>

namespace tavlo {

/// What stands behind a handle on something that is no file or folder of the disk itself, as what is packed
/// in an archive: known to the FileSystem that gave it.
class Inner {
public:
    Inner() = default;
    Inner(const Inner&) = delete;
    Inner& operator=(const Inner&) = delete;
    virtual ~Inner() = default;
};

/// An open file or folder, closed when it goes; with the path it was opened by, for messages only.
class Handle {
public:
    Handle() = default;
    Handle(int descriptor, std::string path) : descriptor_(descriptor), path_(std::move(path)) {}
    Handle(std::shared_ptr<const Inner> inner, std::string path)
        : path_(std::move(path)), inner_(std::move(inner)) {}
    Handle(Handle&& other) noexcept
        : descriptor_(std::exchange(other.descriptor_, -1)),
          path_(std::move(other.path_)),
          inner_(std::move(other.inner_)) {}
    Handle& operator=(Handle&& other) noexcept;
    Handle(const Handle&) = delete;
    Handle& operator=(const Handle&) = delete;
    ~Handle() { close(); }

    int descriptor() const noexcept { return descriptor_; }  ///< -1 where something else stands behind it
    bool is_open() const noexcept { return descriptor_ >= 0 || inner_ != nullptr; }
    const Inner* inner() const noexcept { return inner_.get(); }
    const std::string& path() const noexcept { return path_; }
    void close() noexcept;
    /// Another one on the same open file or folder; not open where there may be no more of them.
    Handle duplicate() const;
    /// Gives it away, open.
    int take() noexcept { return std::exchange(descriptor_, -1); }

private:
    int descriptor_ = -1;
    std::string path_;
    std::shared_ptr<const Inner> inner_;
};

/// As many files and folders may be open as a run has use for, and the machine allows (getrlimit(2)): the soft
/// limit of most desktops, 1024, would have a run's groups small, and each group is a sync. Room for them in
/// the kernel's table is made at once, as later it makes threads wait (synchronize_rcu).
/// For programs, at their start, before there are threads.
void raise_handle_limit() noexcept;

/// How many handles may be open at a time in this process; what holds many divides them.
std::size_t handle_limit() noexcept;

}  // namespace tavlo
