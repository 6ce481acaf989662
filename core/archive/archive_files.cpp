// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "archive/archive_files.h"

#include <algorithm>

#include "files/path.h"

namespace tavlo {

struct ArchiveFiles::Archive {
    Archive(std::string where, Status seen, VolumeIdentity on, std::unique_ptr<ArchiveReader> by,
            PackedList list)
        : path(std::move(where)),
          status(seen),
          volume(std::move(on)),
          reader(std::move(by)),
          tree(std::move(list), seen) {}
    const std::string path;
    const Status status;
    const VolumeIdentity volume;
    const std::unique_ptr<ArchiveReader> reader;
    const MemberTree tree;
};

struct ArchiveFiles::Inside : Inner {
    Inside(std::shared_ptr<const Archive> of, MemberId which) : archive(std::move(of)), member(which) {}
    const std::shared_ptr<const Archive> archive;
    const MemberId member;
};

namespace {

constexpr std::size_t most_kept = 8;  // archives whose list is kept, each with a process that reads it

tl::unexpected<Error> only_read(const std::string& path) {
    return failure(Fault::unsupported, "lies in an archive, which is only read", path);
}

}  // namespace

ArchiveFiles::ArchiveFiles(std::unique_ptr<FileSystem> below, std::string program)
    : Forwarding(std::move(below)), program_(std::move(program)) {}
ArchiveFiles::~ArchiveFiles() = default;

const ArchiveFiles::Inside* ArchiveFiles::inside(const Handle& handle) {
    return dynamic_cast<const Inside*>(handle.inner());
}

Handle ArchiveFiles::handle_for(const std::shared_ptr<const Archive>& archive, MemberId member,
                                std::string path) {
    return {std::make_shared<const Inside>(archive, member), std::move(path)};
}

Result<MemberId> ArchiveFiles::find(const Handle& folder, const std::string& name) {
    const Inside& at = *inside(folder);
    const auto found = at.archive->tree.find(at.member, name);
    if (!found) return failure(Fault::not_found, "is not in the archive", join(folder.path(), name));
    return *found;
}

Result<std::shared_ptr<const ArchiveFiles::Archive>> ArchiveFiles::read_archive(const Handle& folder,
                                                                                const std::string& path) {
    auto opened = disk->open_file(folder, std::string(name_of(path)));
    if (!opened) return failure(opened.error());
    const std::lock_guard lock(mutex_);
    const auto known = std::find_if(recent_.begin(), recent_.end(), [&](const auto& one) {
        return one->path == path && one->status.id == opened->status.id &&
               one->status.status_changed_ns == opened->status.status_changed_ns;
    });
    if (known != recent_.end()) {
        recent_.splice(recent_.begin(), recent_, known);
        return recent_.front();
    }
    if (opened->status.id.size_bytes == 0)
        return failure(Fault::unsupported, "is no archive: it is empty", path);
    auto on = disk->volume_identity(folder);
    if (!on) return failure(on.error());
    auto reader = std::make_unique<ArchiveReader>(std::move(opened->file), program_);
    auto list = reader->list();
    if (!list) return failure(list.error());
    recent_.push_front(std::make_shared<const Archive>(path, opened->status, std::move(*on),
                                                       std::move(reader), std::move(*list)));
    if (recent_.size() > most_kept) {
        recent_.back()->reader->rest();
        recent_.pop_back();
    }
    return recent_.front();
}

/// The archive that a path is, or leads through.
Result<std::shared_ptr<const ArchiveFiles::Archive>> ArchiveFiles::archive_at(const std::string& path) {
    for (std::string at = path; at != "/" && !at.empty(); at = std::string(parent_of(at))) {
        const auto folder = disk->open_folder(std::string(parent_of(at)));
        if (!folder) continue;
        const auto status = disk->status(*folder, std::string(name_of(at)));
        if (!status) return failure(status.error());
        if (status->type != FileType::file) break;
        return read_archive(*folder, at);
    }
    return failure(Fault::not_a_folder, "is no folder", path);
}

Result<Handle> ArchiveFiles::open_folder(const std::string& path) {
    auto opened = disk->open_folder(path);
    if (opened || opened.error().fault != Fault::not_a_folder) return opened;
    const auto archive = archive_at(path);
    if (!archive && archive.error().fault == Fault::unsupported)
        return failure(Fault::not_a_folder, archive.error().step, path);
    if (!archive) return failure(archive.error());
    Handle at = handle_for(*archive, MemberTree::root, (*archive)->path);
    std::string_view rest = std::string_view(path).substr(std::min(path.size(), (*archive)->path.size()));
    while (!rest.empty()) {
        const auto slash = std::min(rest.find('/'), rest.size());
        const std::string name(rest.substr(0, slash));
        rest.remove_prefix(std::min(slash + 1, rest.size()));
        if (name.empty()) continue;
        auto next = open_folder_in(at, name);
        if (!next) return next;
        at = std::move(*next);
    }
    return at;
}

Result<Handle> ArchiveFiles::open_folder_in(const Handle& folder, const std::string& name) {
    const Inside* at = inside(folder);
    if (at == nullptr) return disk->open_folder_in(folder, name);
    const Archive& archive = *at->archive;
    if (name == "..") {
        if (at->member == MemberTree::root) return disk->open_folder(std::string(parent_of(archive.path)));
        return handle_for(at->archive, archive.tree.member(at->member).parent,
                          std::string(parent_of(folder.path())));
    }
    const auto found = find(folder, name);
    if (!found) return failure(found.error());
    if (archive.tree.member(*found).status.type != FileType::folder)
        return failure(Fault::not_a_folder, "is no folder", join(folder.path(), name));
    return handle_for(at->archive, *found, join(folder.path(), name));
}

Result<Handle> ArchiveFiles::open_folder_in_mount(const Handle& folder, const std::string& name) {
    return inside(folder) == nullptr ? disk->open_folder_in_mount(folder, name)
                                     : open_folder_in(folder, name);
}

Result<std::vector<Name>> ArchiveFiles::list(const Handle& folder) {
    const Inside* at = inside(folder);
    if (at == nullptr) return disk->list(folder);
    const MemberTree& tree = at->archive->tree;
    std::vector<Name> names;
    for (const MemberId child : tree.member(at->member).children)
        names.push_back({tree.member(child).name, tree.member(child).status.type});
    return names;
}

Result<Status> ArchiveFiles::status(const Handle& folder, const std::string& name) {
    const Inside* at = inside(folder);
    if (at == nullptr) return disk->status(folder, name);
    const auto found = find(folder, name);
    if (!found) return failure(found.error());
    const Member& member = at->archive->tree.member(*found);
    if (!member.problem.empty())
        return failure(Fault::refused, member.problem, join(folder.path(), std::string(plain_name(name))));
    return member.status;
}

Result<Status> ArchiveFiles::status(const Handle& open) {
    const Inside* at = inside(open);
    if (at == nullptr) return disk->status(open);
    const Archive& archive = *at->archive;
    const auto now = disk->status(archive.reader->archive());
    if (!now) return failure(now.error());
    if (now->id != archive.status.id || now->status_changed_ns != archive.status.status_changed_ns)
        return failure(Fault::changed_meanwhile, "lies in an archive that was changed meanwhile",
                       open.path());
    return archive.tree.member(at->member).status;
}

Result<Volume> ArchiveFiles::volume(const Handle& folder) {
    const Inside* at = inside(folder);
    if (at == nullptr) return disk->volume(folder);
    Volume volume;
    volume.device = at->archive->status.id.device;
    volume.time_step_ns = at->archive->tree.time_step_ns();
    volume.max_name_bytes = SIZE_MAX;
    return volume;
}

Result<VolumeIdentity> ArchiveFiles::volume_identity(const Handle& open) {
    const Inside* at = inside(open);
    return at == nullptr ? disk->volume_identity(open) : Result<VolumeIdentity>(at->archive->volume);
}

Result<std::uint64_t> ArchiveFiles::mount(const Handle& open) {
    return inside(open) == nullptr ? disk->mount(open) : Result<std::uint64_t>(std::uint64_t{0});
}

Result<std::vector<std::string>> ArchiveFiles::mounts_below(const Handle& folder) {
    return inside(folder) == nullptr ? disk->mounts_below(folder)
                                     : Result<std::vector<std::string>>(std::vector<std::string>{});
}

Result<std::string> ArchiveFiles::read_link(const Handle& folder, const std::string& name) {
    const Inside* at = inside(folder);
    if (at == nullptr) return disk->read_link(folder, name);
    const auto found = find(folder, name);
    if (!found) return failure(found.error());
    return at->archive->tree.member(*found).points_at;
}

Result<std::string> ArchiveFiles::real_path(const Handle& folder) {
    return inside(folder) == nullptr ? disk->real_path(folder) : Result<std::string>(folder.path());
}

Result<void> ArchiveFiles::may_write(const Handle& folder) {
    return inside(folder) == nullptr ? disk->may_write(folder) : Result<void>(only_read(folder.path()));
}

Result<OpenedFile> ArchiveFiles::open_file(const Handle& folder, const std::string& name) {
    const Inside* at = inside(folder);
    if (at == nullptr) return disk->open_file(folder, name);
    const auto seen = status(folder, name);
    if (!seen) return failure(seen.error());
    const std::string path = join(folder.path(), std::string(plain_name(name)));
    if (seen->type != FileType::file) return failure(Fault::changed_meanwhile, "is no file", path);
    return OpenedFile{handle_for(at->archive, *find(folder, name), path), *seen};
}

Result<std::size_t> ArchiveFiles::read_at(const Handle& file, std::uint64_t offset,
                                          std::span<std::byte> into) {
    const Inside* at = inside(file);
    if (at == nullptr) return disk->read_at(file, offset, into);
    const Member& member = at->archive->tree.member(at->member);
    auto read = at->archive->reader->read(member.number, at->archive->tree.thing(member), offset, into);
    if (!read) return failure(read.error().fault, read.error().step, file.path());
    return read;
}

bool ArchiveFiles::share_all_blocks(const Handle& a, const Handle& b) {
    return inside(a) == nullptr && inside(b) == nullptr && disk->share_all_blocks(a, b);
}

Result<Attributes> ArchiveFiles::attributes(const Handle& open, const Status& seen) {
    const Inside* at = inside(open);
    if (at == nullptr) return disk->attributes(open, seen);
    Attributes attributes{seen.mode, seen.owner, seen.group, seen.accessed_ns, seen.id.modified_ns, {}};
    const Member& member = at->archive->tree.member(at->member);
    if (member.number != UINT64_MAX) attributes.extended = at->archive->tree.thing(member).extended;
    return attributes;
}

Writer ArchiveFiles::writer(const Handle& file) {
    return inside(file) == nullptr ? disk->writer(file) : Writer::none;
}

Result<Staged> ArchiveFiles::stage(const Handle& folder, const std::string& part_name, std::uint32_t mode) {
    if (inside(folder) != nullptr) return only_read(folder.path());
    return disk->stage(folder, part_name, mode);
}

Result<void> ArchiveFiles::share_blocks(const Handle& from, const Staged& staged) {
    if (inside(from) != nullptr) return failure(Fault::unsupported, "share blocks", from.path());
    return disk->share_blocks(from, staged);
}

Result<std::uint64_t> ArchiveFiles::copy_range(const Handle& from, std::uint64_t offset, const Staged& staged,
                                               std::uint64_t length_bytes) {
    if (inside(from) != nullptr) return failure(Fault::unsupported, "copy inside the kernel", from.path());
    return disk->copy_range(from, offset, staged, length_bytes);
}

Result<std::pair<std::uint64_t, std::uint64_t>> ArchiveFiles::next_data(const Handle& file,
                                                                        std::uint64_t offset,
                                                                        std::uint64_t size_bytes) {
    const Inside* at = inside(file);
    if (at == nullptr) return disk->next_data(file, offset, size_bytes);
    for (const auto& [begin, end] : at->archive->tree.thing(at->archive->tree.member(at->member)).stretches)
        if (end > offset) return std::pair(std::max(begin, offset), end);
    return std::pair(size_bytes, size_bytes);
}

Result<void> ArchiveFiles::forget_cached(const Handle& file) {
    return inside(file) == nullptr ? disk->forget_cached(file) : Result<void>{};
}

void ArchiveFiles::read_ahead(const Handle& file, std::uint64_t length_bytes) {
    if (inside(file) == nullptr) disk->read_ahead(file, length_bytes);
}

Result<void> ArchiveFiles::set_mode(const Handle& open, std::uint32_t mode) {
    if (inside(open) != nullptr) return only_read(open.path());
    return disk->set_mode(open, mode);
}

Result<std::vector<std::string>> ArchiveFiles::set_attributes(const Handle& open,
                                                              const Attributes& attributes) {
    if (inside(open) != nullptr) return only_read(open.path());
    return disk->set_attributes(open, attributes);
}

Result<void> ArchiveFiles::set_link_attributes(const Handle& folder, const std::string& name,
                                               const Attributes& attributes) {
    if (inside(folder) != nullptr) return only_read(folder.path());
    return disk->set_link_attributes(folder, name, attributes);
}

Result<void> ArchiveFiles::take_free_name(Staged& staged, const Handle& folder, const std::string& name) {
    if (inside(folder) != nullptr) return only_read(folder.path());
    return disk->take_free_name(staged, folder, name);
}

Result<void> ArchiveFiles::link_file(const Handle& from, const std::string& name, const Handle& to,
                                     const std::string& new_name) {
    if (inside(from) != nullptr || inside(to) != nullptr) return only_read(to.path());
    return disk->link_file(from, name, to, new_name);
}

Result<void> ArchiveFiles::make_link(const Handle& folder, const std::string& name,
                                     const std::string& points_at) {
    if (inside(folder) != nullptr) return only_read(folder.path());
    return disk->make_link(folder, name, points_at);
}

Result<void> ArchiveFiles::make_folder(const Handle& folder, const std::string& name, std::uint32_t mode) {
    if (inside(folder) != nullptr) return only_read(folder.path());
    return disk->make_folder(folder, name, mode);
}

Result<void> ArchiveFiles::move_to_free_name(const Handle& from, const std::string& name, const Handle& to,
                                             const std::string& new_name) {
    if (inside(from) != nullptr) return only_read(from.path());
    if (inside(to) != nullptr) return only_read(to.path());
    return disk->move_to_free_name(from, name, to, new_name);
}

Result<void> ArchiveFiles::exchange(const Handle& a, const std::string& a_name, const Handle& b,
                                    const std::string& b_name) {
    if (inside(a) != nullptr) return only_read(a.path());
    if (inside(b) != nullptr) return only_read(b.path());
    return disk->exchange(a, a_name, b, b_name);
}

Result<void> ArchiveFiles::remove_file(const Handle& folder, const std::string& name) {
    if (inside(folder) != nullptr) return only_read(folder.path());
    return disk->remove_file(folder, name);
}

Result<void> ArchiveFiles::remove_empty_folder(const Handle& folder, const std::string& name) {
    if (inside(folder) != nullptr) return only_read(folder.path());
    return disk->remove_empty_folder(folder, name);
}

Result<void> ArchiveFiles::sync(const Handle& open) {
    return inside(open) == nullptr ? disk->sync(open) : Result<void>{};
}
Result<void> ArchiveFiles::sync_volume(const Handle& folder) {
    return inside(folder) == nullptr ? disk->sync_volume(folder) : Result<void>{};
}

std::unique_ptr<FileSystem> make_disk_with_archives() { return std::make_unique<ArchiveFiles>(make_disk()); }

std::string standing_for(FileSystem& disk, const Handle& archive) {
    const auto names = disk.list(archive);
    if (!names || names->size() != 1 || names->front().hint != FileType::folder) return {};
    return disk.status(archive, names->front().bytes) ? names->front().bytes : std::string{};
}

}  // namespace tavlo
