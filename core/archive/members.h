// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <optional>
#include <string>
#include <string_view>
#include <unordered_map>
#include <vector>

#include "archive/reader.h"
#include "files/file_system.h"

namespace tavlo {

using MemberId = std::uint32_t;
inline constexpr MemberId no_member = UINT32_MAX;

/// One thing of an archive at its place.
struct Member {
    /// of a second one of that name in a folder: with a NUL and its number behind (plain_name())
    std::string name;
    MemberId parent = no_member;
    Status status;
    std::uint64_t number = UINT64_MAX;  ///< in the list, of what holds a file's bytes
    std::string points_at{};
    std::string problem{};  ///< why it cannot be taken out; its name may be any then
    std::vector<MemberId> children{};
};

/// What is in an archive as folders and files, by Tavlo's own rules: names lead nowhere but into it. What
/// does not keep to that is a member with a problem, directly in it, by the name it has. Folders that only
/// the names of others tell of are there too.
class MemberTree {
public:
    /// archive  as it was looked at when the list was read: gives the members their identity
    MemberTree(PackedList list, const Status& archive);

    static constexpr MemberId root = 0;
    const Member& member(MemberId id) const { return members_[id]; }
    std::optional<MemberId> find(MemberId folder, const std::string& name) const;
    const PackedThing& thing(const Member& member) const { return list_.things[member.number]; }
    std::int64_t time_step_ns() const { return list_.end.time_step_ns; }
    std::size_t size() const { return members_.size(); }

private:
    struct Place {
        MemberId folder = no_member;
        std::string name{};
        std::string problem{};
    };
    Place place_of(const PackedThing& thing);
    MemberId folder_at(std::string_view path);
    MemberId add(MemberId folder, std::string name);
    void take(std::uint64_t number);
    void take_hard_link(std::uint64_t number, Place place);
    void fail(std::uint64_t number, const std::string& why);
    Status status_of(std::uint64_t number) const;

    PackedList list_;
    const Status archive_;
    std::uint64_t mark_ = 0;  ///< of this state of this archive, in its members' inode numbers
    std::vector<Member> members_;
    std::unordered_map<std::string, MemberId> by_place_;   ///< number of the folder, "/", name
    std::unordered_map<std::string, MemberId> by_path_{};  ///< files, for hard links; folders
    std::unordered_map<std::string, std::uint32_t> not_folders_{};
    /// of a file that has several, by its number
    std::unordered_map<std::uint64_t, std::vector<MemberId>> names_of_{};
};

/// A member's inode number: no disk's has its highest bit.
bool is_packed(const Identity& id);
/// Its place in the archive's order, where it has bytes there.
std::uint64_t place_in_archive(const Identity& id);

/// The name as it is meant to be, without what tells it from another of the same name.
std::string_view plain_name(std::string_view name);

}  // namespace tavlo
