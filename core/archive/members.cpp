// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "archive/members.h"

#include <unistd.h>
#include <xxhash.h>

#include <algorithm>
#include <array>

#include "files/path.h"

namespace tavlo {

namespace {

constexpr std::uint64_t packed_bit = std::uint64_t{1} << 63;
constexpr unsigned number_bits = 31;
constexpr std::uint64_t number_mask = (std::uint64_t{1} << number_bits) - 1;
constexpr std::uint64_t made_up = std::uint64_t{1}
                                  << (number_bits - 1);  // of folders that no thing of the list stands for
constexpr std::size_t longest_name = 255;
constexpr std::size_t most_folders = 1000;   // one in the other
constexpr std::size_t longest_shown = 1024;  // bytes of a name that cannot be anyway
constexpr std::uint16_t usual_file_mode = 0644;
constexpr std::uint16_t usual_folder_mode = 0755;
constexpr std::uint32_t rights = 0777;  // setuid and setgid are nobody's to bring along

/// Its parts, without those that lead nowhere; nullopt: they lead out of it
std::optional<std::vector<std::string>> parts_of(std::string_view path) {
    if (path.starts_with('/')) return std::nullopt;
    std::vector<std::string> parts;
    while (!path.empty()) {
        const auto end = std::min(path.find('/'), path.size());
        const std::string_view part = path.substr(0, end);
        path.remove_prefix(std::min(end + 1, path.size()));
        if (part == "..") return std::nullopt;
        if (!part.empty() && part != ".") parts.emplace_back(part);
    }
    return parts;
}

std::string joined(const std::vector<std::string>& parts) {
    std::string path;
    for (const auto& part : parts) path += (path.empty() ? "" : "/") + part;
    return path;
}

std::string place_key(MemberId folder, const std::string& name) {
    std::string key(reinterpret_cast<const char*>(&folder), sizeof folder);
    return key += name;
}

}  // namespace

bool is_packed(const Identity& id) { return (id.inode & packed_bit) != 0; }
std::uint64_t place_in_archive(const Identity& id) { return id.inode & number_mask; }
std::string_view plain_name(std::string_view name) { return name.substr(0, name.find('\0')); }

MemberTree::MemberTree(PackedList list, const Status& archive) : list_(std::move(list)), archive_(archive) {
    const std::array<std::uint64_t, 4> state{archive.id.inode, archive.id.size_bytes,
                                             static_cast<std::uint64_t>(archive.id.modified_ns),
                                             static_cast<std::uint64_t>(archive.status_changed_ns)};
    mark_ = packed_bit | (XXH3_64bits(state.data(), sizeof state) << number_bits & ~packed_bit);
    members_.push_back({});
    members_[root].status = status_of(UINT64_MAX);
    by_path_.emplace("", root);
    for (const PackedThing& thing : list_.things)
        if (thing.type != FileType::folder)
            if (const auto parts = parts_of(thing.path)) ++not_folders_[joined(*parts)];
    for (std::uint64_t number = 0; number < list_.things.size(); ++number) take(number);
    if (!list_.end.damage.empty()) {
        const MemberId lost = add(root, "what comes behind the damage");
        members_[lost].problem = list_.end.damage;
    }
    for (Member& member : members_)
        std::sort(member.children.begin(), member.children.end(), [this](MemberId a, MemberId b) {
            return std::pair(members_[a].name, a) < std::pair(members_[b].name, b);
        });
}

std::optional<MemberId> MemberTree::find(MemberId folder, const std::string& name) const {
    const auto found = by_place_.find(place_key(folder, name));
    return found == by_place_.end() ? std::nullopt : std::optional(found->second);
}

MemberId MemberTree::add(MemberId folder, std::string name) {
    std::string unique = name;
    for (unsigned count = 2; by_place_.contains(place_key(folder, unique)); ++count) {
        unique = name;
        unique.push_back('\0');
        unique += std::to_string(count);
    }
    const auto id = static_cast<MemberId>(members_.size());
    by_place_.emplace(place_key(folder, unique), id);
    members_.push_back({});
    members_[id].name = std::move(unique);
    members_[id].parent = folder;
    members_[folder].children.push_back(id);
    return id;
}

MemberId MemberTree::folder_at(std::string_view path) {
    if (const auto known = by_path_.find(std::string(path)); known != by_path_.end()) return known->second;
    const auto slash = path.rfind('/');
    const MemberId above = slash == std::string_view::npos ? root : folder_at(path.substr(0, slash));
    const MemberId id =
        add(above, std::string(slash == std::string_view::npos ? path : path.substr(slash + 1)));
    members_[id].status = status_of(UINT64_MAX);
    members_[id].status.id.inode = mark_ | made_up | id;
    by_path_.emplace(path, id);
    return id;
}

MemberTree::Place MemberTree::place_of(const PackedThing& thing) {
    Place place;
    auto parts = parts_of(thing.path);
    if (!thing.problem.empty() && (!parts || parts->empty())) {
        place.problem = thing.problem;
        return place;
    }
    if (!parts) {
        place.problem = "has a name that leads out of the archive";
        return place;
    }
    if (parts->empty()) {
        if (thing.type != FileType::folder) place.problem = "has no name";
        return place;
    }
    if (parts->size() > most_folders) {
        place.problem = "lies in more than 1,000 folders, one in the other";
        return place;
    }
    for (const auto& part : *parts)
        if (part.size() > longest_name) {
            place.problem = "has a name of over 255 bytes";
            return place;
        }
    std::string path;
    for (std::size_t at = 0; at + 1 < parts->size(); ++at) {
        path += (path.empty() ? "" : "/") + (*parts)[at];
        if (not_folders_.contains(path)) {
            place.problem = "lies below something in the archive that is no folder";
            return place;
        }
    }
    if (thing.type == FileType::folder && not_folders_.contains(joined(*parts))) {
        place.problem = "is a folder of the name of something else in the archive";
        return place;
    }
    place.name = std::move(parts->back());
    place.folder = folder_at(path);
    return place;
}

void MemberTree::fail(std::uint64_t number, const std::string& why) {
    std::string path = list_.things[number].path;
    while (path.size() > 1 && path.ends_with('/')) path.pop_back();
    if (path.empty()) path = "?";
    if (path.size() > longest_shown) path = path.substr(0, longest_shown) + "…";
    const MemberId id = add(root, std::move(path));
    members_[id].status = status_of(number);
    members_[id].problem = why;
}

void MemberTree::take(std::uint64_t number) {
    const PackedThing& thing = list_.things[number];
    Place place = place_of(thing);
    if (!place.problem.empty()) return fail(number, place.problem);
    if (place.folder == no_member) return;  // "./": the archive itself
    if (thing.is_hard_link) return take_hard_link(number, std::move(place));
    const auto parts = parts_of(thing.path);
    if (thing.type == FileType::folder) {
        const MemberId id = folder_at(joined(*parts));
        members_[id].status = status_of(number);
        return;
    }
    const MemberId id = add(place.folder, std::move(place.name));
    Member& member = members_[id];
    member.status = status_of(number);
    member.number = number;
    member.points_at = thing.points_at;
    member.problem = thing.problem;
    if (thing.type == FileType::file) by_path_[joined(*parts)] = id;
}

/// Another name of a file that comes before. In cpio the last of them carries the bytes (cpio(5), "New ASCII
/// Format").
void MemberTree::take_hard_link(std::uint64_t number, Place place) {
    const PackedThing& thing = list_.things[number];
    const auto other = parts_of(thing.points_at);
    const auto found = other ? by_path_.find(joined(*other)) : by_path_.end();
    if (found == by_path_.end() || members_[found->second].status.type != FileType::file)
        return fail(number, "is another name of a file that is not in the archive before it");
    const MemberId id = add(place.folder, std::move(place.name));
    const Member& first = members_[found->second];
    auto names = names_of_.extract(first.number);
    std::vector<MemberId> all = names ? std::move(names.mapped()) : std::vector<MemberId>{found->second};
    all.push_back(id);
    const bool carries_them = thing.size_bytes > 0 && list_.things[first.number].size_bytes == 0;
    const std::uint64_t holder = carries_them ? number : first.number;
    Status status = first.status;
    if (carries_them) {
        status.id = status_of(number).id;
        status.allocated_bytes = status_of(number).allocated_bytes;
    }
    status.links = static_cast<std::uint32_t>(all.size());
    const std::string problem = first.problem;
    for (const MemberId one : all) {
        members_[one].status = status;
        members_[one].number = holder;
        members_[one].problem = problem;
    }
    names_of_[holder] = std::move(all);
    by_path_[joined(*parts_of(thing.path))] = id;
}

/// number  UINT64_MAX: a folder that nothing stands for
Status MemberTree::status_of(std::uint64_t number) const {
    Status status;
    const PackedThing* thing = number == UINT64_MAX ? nullptr : &list_.things[number];
    status.type = thing != nullptr ? thing->type : FileType::folder;
    status.id.device = archive_.id.device;
    status.id.inode = mark_ | (thing != nullptr ? number : made_up);
    status.id.modified_ns =
        thing != nullptr && thing->is_dated ? thing->modified_ns : archive_.id.modified_ns;
    status.status_changed_ns = archive_.status_changed_ns;
    status.accessed_ns = status.id.modified_ns;
    status.owner = ::geteuid();
    status.group = ::getegid();
    const bool is_folder = status.type == FileType::folder;
    status.mode = is_folder ? usual_folder_mode : usual_file_mode;
    if (thing != nullptr && thing->mode != 0) status.mode = thing->mode & rights;
    if (thing != nullptr && status.type == FileType::file) {
        status.id.size_bytes = thing->size_bytes;
        for (const auto& [begin, end] : thing->stretches) status.allocated_bytes += end - begin;
    }
    return status;
}

}  // namespace tavlo
