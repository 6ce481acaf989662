// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstddef>
#include <cstdint>
#include <memory>
#include <span>
#include <string>
#include <string_view>
#include <utility>
#include <vector>

#include "files/handle.h"
#include "files/result.h"
#include "files/types.h"

namespace tavlo {

struct Name {
    std::string bytes;
    FileType hint = FileType::other;  ///< from d_type; other also where the file system does not say
};

/// A file that has bytes and attributes but no name that a reader could find yet.
/// Made by FileSystem::stage; gone when dropped, unless it took a name.
class Staged {
public:
    explicit Staged(Handle file) : file_(std::move(file)) {}
    /// For file systems without nameless files: a hidden part-file, removed when dropped.
    Staged(Handle file, Handle folder, std::string part_name)
        : file_(std::move(file)), folder_(std::move(folder)), part_name_(std::move(part_name)) {}
    Staged(Staged&&) noexcept = default;
    Staged& operator=(Staged&&) = delete;
    ~Staged();

    const Handle& file() const noexcept { return file_; }
    const Handle& folder() const noexcept { return folder_; }
    const std::string& part_name() const noexcept { return part_name_; }  ///< empty: nameless
    void part_file_is_gone() noexcept { part_name_.clear(); }

private:
    Handle file_;
    Handle folder_;
    std::string part_name_;
};

/// A regular file opened for reading, with what was seen of it as it was opened.
struct OpenedFile {
    Handle file;
    Status status;
};

/// The one door to the disk: every call that can fail on a disk goes through here, so that tests can make any
/// fail.
///
/// Folders are open handles; `name` is one component: 1 to 255 bytes, no '/', no NUL, need not be UTF-8.
/// No call follows a link at `name`. Interrupted calls are taken up again. Unless said otherwise a call that
/// fails leaves what it was about as it was. Threads: any; a Staged and a file handle by one at a time.
class FileSystem {
public:
    virtual ~FileSystem() = default;

    /// Opens a folder by path, links in it followed: for the places that a person named.
    virtual Result<Handle> open_folder(const std::string& path) = 0;
    /// Opens a folder in a folder. errors: not_a_folder also where the name is a link.
    virtual Result<Handle> open_folder_in(const Handle& folder, const std::string& name) = 0;
    /// The same, but only where neither a mount nor another device begins there. errors: other_file_system
    virtual Result<Handle> open_folder_in_mount(const Handle& folder, const std::string& name) = 0;
    virtual Result<std::vector<Name>> list(const Handle& folder) = 0;  ///< without "." and ".."
    virtual Result<Status> status(const Handle& folder, const std::string& name) = 0;
    virtual Result<Status> status(const Handle& open) = 0;
    virtual Result<Volume> volume(const Handle& folder) = 0;
    virtual Result<VolumeIdentity> volume_identity(const Handle& open) = 0;
    virtual Result<std::uint64_t> mount(
        const Handle& open) = 0;  ///< the number of the mount that it is reached through
    /// Paths of the places below a folder, at any depth, where something is mounted.
    virtual Result<std::vector<std::string>> mounts_below(const Handle& folder) = 0;
    virtual Result<std::string> read_link(const Handle& folder, const std::string& name) = 0;
    /// The path that an open folder has now, links resolved (proc(5), /proc/self/fd).
    virtual Result<std::string> real_path(const Handle& folder) = 0;
    /// Effective rights of this process on a folder: access(2) with W_OK and X_OK
    virtual Result<void> may_write(const Handle& folder) = 0;

    /// Opens a regular file for reading. errors: changed_meanwhile where the name now is a link or special.
    virtual Result<OpenedFile> open_file(const Handle& folder, const std::string& name) = 0;
    /// returns  bytes read, less than asked for only at the end; 0 at or past it
    virtual Result<std::size_t> read_at(const Handle& file, std::uint64_t offset,
                                        std::span<std::byte> into) = 0;
    /// Two open files lie on the same blocks, so that they hold the same bytes (lie_on_same_blocks()).
    virtual bool share_all_blocks(const Handle& a, const Handle& b) = 0;
    /// Attributes of a file or folder, with what was just seen of it.
    virtual Result<Attributes> attributes(const Handle& open, const Status& seen) = 0;
    Result<Attributes> attributes(const Handle& open) {
        const auto seen = status(open);
        if (!seen) return failure(seen.error());
        return attributes(open, *seen);
    }

    /// Whether somebody has the file open for writing just now, found by asking for a lease (fcntl(2),
    /// F_SETLEASE), which is let go at once; unknown where none can be had.
    virtual Writer writer(const Handle& file) = 0;

    /// A new empty file where no reader finds it. source: open(2) on O_TMPFILE; else an O_EXCL part-file of
    /// that name.
    /// mode   permissions that it is to have in the end, as far as the umask lets it have them now: one call
    ///        less for most. A part-file can be found, and is its owner's alone until it is complete.
    virtual Result<Staged> stage(const Handle& folder, const std::string& part_name, std::uint32_t mode) = 0;
    /// What the file system says only when a file is closed (close(2)): over quota, out of room on a server.
    /// The file stays open.
    virtual Result<void> close_check(const Staged& staged) = 0;
    virtual Result<void> write_at(const Staged& staged, std::uint64_t offset,
                                  std::span<const std::byte> bytes) = 0;
    /// The staged file shares the blocks of `from` (ioctl_ficlone(2)). errors: unsupported: nothing was
    /// written.
    virtual Result<void> share_blocks(const Handle& from, const Staged& staged) = 0;
    /// Copies inside the kernel (copy_file_range(2)). returns bytes copied, 0 at the end of `from`.
    /// errors   unsupported: read and write instead
    virtual Result<std::uint64_t> copy_range(const Handle& from, std::uint64_t offset, const Staged& staged,
                                             std::uint64_t length_bytes) = 0;
    /// The next stretch of data at or after `offset`: {start, end}; start == size_bytes where only holes
    /// follow (lseek(2), SEEK_DATA).
    virtual Result<std::pair<std::uint64_t, std::uint64_t>> next_data(const Handle& file,
                                                                      std::uint64_t offset,
                                                                      std::uint64_t size_bytes) = 0;
    /// Asks for a stretch to be written out while the work goes on (sync_file_range(2)). A hint: it says
    /// nothing of errors.
    virtual void start_writing(const Staged& staged, std::uint64_t offset, std::uint64_t length_bytes) = 0;
    virtual Result<void> set_size(const Staged& staged, std::uint64_t size_bytes) = 0;
    /// Gives a file or folder exactly these attributes, times last. What the target cannot keep is not an
    /// error.
    /// returns  the names of what could not be kept: "owner", or an extended attribute's name
    virtual Result<std::vector<std::string>> set_attributes(const Handle& open,
                                                            const Attributes& attributes) = 0;
    /// Of the extended attributes those that would be lost for good with their source (cannot_hold() in
    /// files/attributes.h).
    virtual std::vector<std::string> cannot_hold(const Handle& open, const Attributes& attributes) = 0;
    virtual Result<void> set_mode(const Handle& open, std::uint32_t mode) = 0;
    /// Owner and times of a link itself.
    virtual Result<void> set_link_attributes(const Handle& folder, const std::string& name,
                                             const Attributes& attributes) = 0;
    /// Drops what memory holds of a file, so that the next read comes from the disk (posix_fadvise(2)).
    virtual Result<void> forget_cached(const Handle& file) = 0;
    /// Asks for a file's first bytes to be read while the work goes on (posix_fadvise(2), WILLNEED). A hint.
    virtual void read_ahead(const Handle& file, std::uint64_t length_bytes) = 0;

    /// Gives a completed staged file its name; never replaces what holds the name (linkat(2); promises 2 and
    /// 3).
    virtual Result<void> take_free_name(Staged& staged, const Handle& folder, const std::string& name) = 0;
    /// Another name for a file that has one (linkat(2)); never replaces.
    virtual Result<void> link_file(const Handle& from, const std::string& name, const Handle& to,
                                   const std::string& new_name) = 0;
    virtual Result<void> make_link(const Handle& folder, const std::string& name,
                                   const std::string& points_at) = 0;
    virtual Result<void> make_folder(const Handle& folder, const std::string& name, std::uint32_t mode) = 0;
    /// Moves a thing to a name that must be free (renameat2(2), RENAME_NOREPLACE).
    /// errors   name_taken, other_file_system, …: the thing is where it was
    virtual Result<void> move_to_free_name(const Handle& from, const std::string& name, const Handle& to,
                                           const std::string& new_name) = 0;
    /// Two names trade what they hold in one atomic step (RENAME_EXCHANGE). errors: unsupported on some file
    /// systems.
    virtual Result<void> exchange(const Handle& a, const std::string& a_name, const Handle& b,
                                  const std::string& b_name) = 0;

    /// Takes the name off a file, link or special file that the caller has made or has copied, verified and
    /// looked at.
    virtual Result<void> remove_file(const Handle& folder, const std::string& name) = 0;
    virtual Result<void> remove_empty_folder(const Handle& folder, const std::string& name) = 0;

    virtual Result<void> sync(const Handle& open) = 0;           ///< fsync(2)
    virtual Result<void> sync_volume(const Handle& folder) = 0;  ///< syncfs(2)
};

/// The real one.
std::unique_ptr<FileSystem> make_disk();

}  // namespace tavlo
