// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <list>
#include <memory>
#include <mutex>
#include <optional>
#include <string>

#include "archive/members.h"
#include "files/forwarding.h"

namespace tavlo {

/// The disk, on which archives can be opened as folders: `open_folder("/mail/permits.zip/maps")`. What is in
/// one can be listed, looked at and read; nothing there can be written. As a name in its folder an archive
/// stays the file that it is: it is opened by its path alone. A folder, or file, in an archive has an
/// identity of the archive's state (is_packed()): where that changed, it is another thing.
class ArchiveFiles : public Forwarding {
public:
    /// program  the helper that reads archives
    explicit ArchiveFiles(std::unique_ptr<FileSystem> below,
                          std::string program = helper_program("tavlo-archive"));
    ~ArchiveFiles() override;

    using Forwarding::attributes;
    using Forwarding::status;
    /// errors  not_a_folder: nor an archive; corrupt, unsupported: an archive that does not open; why is said
    Result<Handle> open_folder(const std::string& path) override;
    Result<Handle> open_folder_in(const Handle& folder, const std::string& name) override;
    Result<Handle> open_folder_in_mount(const Handle& folder, const std::string& name) override;
    Result<std::vector<Name>> list(const Handle& folder) override;
    Result<Status> status(const Handle& folder, const std::string& name) override;
    Result<Status> status(const Handle& open) override;
    Result<Volume> volume(const Handle& folder) override;
    Result<VolumeIdentity> volume_identity(const Handle& open) override;
    Result<std::uint64_t> mount(const Handle& open) override;
    Result<std::vector<std::string>> mounts_below(const Handle& folder) override;
    Result<std::string> read_link(const Handle& folder, const std::string& name) override;
    Result<std::string> real_path(const Handle& folder) override;
    Result<void> may_write(const Handle& folder) override;
    Result<OpenedFile> open_file(const Handle& folder, const std::string& name) override;
    Result<std::size_t> read_at(const Handle& file, std::uint64_t offset, std::span<std::byte> into) override;
    bool share_all_blocks(const Handle& a, const Handle& b) override;
    Result<Attributes> attributes(const Handle& open, const Status& seen) override;
    Writer writer(const Handle& file) override;
    Result<Staged> stage(const Handle& folder, const std::string& part_name, std::uint32_t mode) override;
    Result<void> share_blocks(const Handle& from, const Staged& staged) override;
    Result<std::uint64_t> copy_range(const Handle& from, std::uint64_t offset, const Staged& staged,
                                     std::uint64_t length_bytes) override;
    Result<std::pair<std::uint64_t, std::uint64_t>> next_data(const Handle& file, std::uint64_t offset,
                                                              std::uint64_t size_bytes) override;
    Result<void> forget_cached(const Handle& file) override;
    void read_ahead(const Handle& file, std::uint64_t length_bytes) override;
    Result<void> set_mode(const Handle& open, std::uint32_t mode) override;
    Result<std::vector<std::string>> set_attributes(const Handle& open,
                                                    const Attributes& attributes) override;
    Result<void> set_link_attributes(const Handle& folder, const std::string& name,
                                     const Attributes& attributes) override;
    Result<void> take_free_name(Staged& staged, const Handle& folder, const std::string& name) override;
    Result<void> link_file(const Handle& from, const std::string& name, const Handle& to,
                           const std::string& new_name) override;
    Result<void> make_link(const Handle& folder, const std::string& name,
                           const std::string& points_at) override;
    Result<void> make_folder(const Handle& folder, const std::string& name, std::uint32_t mode) override;
    Result<void> move_to_free_name(const Handle& from, const std::string& name, const Handle& to,
                                   const std::string& new_name) override;
    Result<void> exchange(const Handle& a, const std::string& a_name, const Handle& b,
                          const std::string& b_name) override;
    Result<void> remove_file(const Handle& folder, const std::string& name) override;
    Result<void> remove_empty_folder(const Handle& folder, const std::string& name) override;
    Result<void> sync(const Handle& open) override;
    Result<void> sync_volume(const Handle& folder) override;

private:
    struct Archive;
    struct Inside;
    static const Inside* inside(const Handle& handle);
    static Result<MemberId> find(const Handle& folder, const std::string& name);
    static Handle handle_for(const std::shared_ptr<const Archive>& archive, MemberId member,
                             std::string path);
    Result<std::shared_ptr<const Archive>> archive_at(const std::string& path);
    Result<std::shared_ptr<const Archive>> read_archive(const Handle& folder, const std::string& path);

    const std::string program_;
    std::mutex mutex_;
    std::list<std::shared_ptr<const Archive>> recent_;
};

/// The real disk, with archives.
std::unique_ptr<FileSystem> make_disk_with_archives();

/// The folder that stands for an archive that is taken whole: the one that all it holds lies in, if there is
/// one; else itself.
/// archive  its folder, opened
/// returns  the name of that folder in it; empty: itself
std::string standing_for(FileSystem& disk, const Handle& archive);

}  // namespace tavlo
