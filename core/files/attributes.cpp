// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/attributes.h"

#include <sys/stat.h>
#include <sys/xattr.h>
#include <unistd.h>

#include <algorithm>
#include <cerrno>
#include <cstdlib>
#include <fstream>

#include "files/types.h"

namespace tavlo {

timespec to_timespec(std::int64_t ns) {
    auto seconds = ns / second_ns;
    auto rest = ns % second_ns;
    if (rest < 0) {
        --seconds;
        rest += second_ns;
    }
    return {seconds, rest};
}

namespace {

constexpr const char* access_acl = "system.posix_acl_access";
constexpr const char* default_acl = "system.posix_acl_default";

/// The names of the extended attributes. false: they are there, or may be, and cannot be listed
bool list_names(int open, std::vector<std::string>& names) {
    for (int attempt = 0; attempt < 3; ++attempt) {  // somebody may add one between the two calls
        const ssize_t needed = ::flistxattr(open, nullptr, 0);
        if (needed < 0) return errno == EOPNOTSUPP || errno == ENOSYS;
        if (needed == 0) return true;
        std::string list(static_cast<std::size_t>(needed), '\0');
        const ssize_t got = ::flistxattr(open, list.data(), list.size());
        if (got < 0 && errno == ERANGE) continue;
        if (got < 0) return false;
        for (std::size_t at = 0; at < static_cast<std::size_t>(got);) {
            names.emplace_back(list.c_str() + at);
            at += names.back().size() + 1;
        }
        return true;
    }
    return false;
}

/// Looking is cheap, where removing what is not there is a change to some file systems all the same.
bool may_have(int open, const char* attribute) {
    return ::fgetxattr(open, attribute, nullptr, 0) >= 0 || (errno != ENODATA && errno != EOPNOTSUPP);
}

bool has(const Attributes& attributes, std::string_view name) {
    return std::any_of(attributes.extended.begin(), attributes.extended.end(),
                       [&](const auto& one) { return one.first == name; });
}

}  // namespace

bool is_irreplaceable(std::string_view attribute) {
    return attribute.starts_with("user.") || attribute == access_acl || attribute == default_acl ||
           attribute == "extended attributes";
}

Attributes read_attributes(int open, const Status& seen) {
    Attributes attributes{seen.mode, seen.owner, seen.group, seen.accessed_ns, seen.id.modified_ns, {}};
    std::vector<std::string> names;
    if (!list_names(open, names)) attributes.unread.emplace_back("extended attributes");
    for (auto& name : names) {
        bool read = false;
        for (int attempt = 0; attempt < 3 && !read; ++attempt) {
            const ssize_t size = ::fgetxattr(open, name.c_str(), nullptr, 0);
            if (size < 0) {
                read = errno == ENODATA;  // it went since it was listed
                break;
            }
            std::string value(static_cast<std::size_t>(size), '\0');
            const ssize_t got = ::fgetxattr(open, name.c_str(), value.data(), value.size());
            if (got < 0) continue;
            value.resize(static_cast<std::size_t>(got));
            attributes.extended.emplace_back(name, std::move(value));
            read = true;
        }
        if (!read) attributes.unread.push_back(name);
    }
    return attributes;
}

std::vector<std::string> give_attributes(int open, const Status& now, const Attributes& wanted) {
    std::vector<std::string> lost = wanted.unread;
    // the owner first: chown(2) clears setuid and security.capability, which come after it
    bool owner_lost = false;
    const bool is_of_another = now.owner != wanted.owner || now.group != wanted.group;
    if (is_of_another && ::fchown(open, wanted.owner, wanted.group) != 0)
        owner_lost = ::fchown(open, static_cast<uid_t>(-1), wanted.group) != 0 || now.owner != wanted.owner;
    if (owner_lost) lost.emplace_back("owner");
    // an access control list that the folder's default gave, and the source never had
    bool had_list = false;
    for (const char* acl : {access_acl, default_acl}) {
        if (acl == default_acl && now.type != FileType::folder) continue;
        if (has(wanted, acl) || !may_have(open, acl)) continue;
        had_list = true;
        ::fremovexattr(open, acl);
    }
    for (const auto& [name, value] : wanted.extended)
        if (::fsetxattr(open, name.c_str(), value.data(), value.size(), 0) != 0) lost.push_back(name);
    // setuid and setgid for somebody else's account would hand out that account's rights
    const std::uint32_t mode =
        owner_lost && (wanted.mode & 06000U) != 0 ? wanted.mode & ~06000U : wanted.mode;
    // each of the calls before may have changed it too
    const bool is_so = now.mode == mode && !is_of_another && !had_list && wanted.extended.empty();
    if (!is_so && ::fchmod(open, mode) != 0) lost.emplace_back("mode");
    const timespec times[2] = {to_timespec(wanted.accessed_ns), to_timespec(wanted.modified_ns)};
    if (::futimens(open, times) != 0) lost.emplace_back("times");
    return lost;
}

std::vector<std::string> cannot_hold(int open, const Attributes& wanted) {
    std::vector<std::string> lost;
    struct stat before {};
    const bool looked = ::fstat(open, &before) == 0;
    bool set_any = false;
    for (const auto& [name, value] : wanted.extended) {
        if (!is_irreplaceable(name)) continue;
        if (::fsetxattr(open, name.c_str(), value.data(), value.size(), 0) != 0) {
            lost.push_back(name);
            continue;
        }
        set_any = true;
        ::fremovexattr(open, name.c_str());
    }
    for (const auto& name : wanted.unread)
        if (is_irreplaceable(name)) lost.push_back(name);
    if (set_any && looked)
        ::fchmod(open, before.st_mode & 07777U);  // an access control list changes the mode too
    return lost;
}

std::uint32_t mode_of_new_file() {
    constexpr std::uint32_t all = 0666;
    constexpr std::uint32_t usual_mask = 022;
    std::ifstream status("/proc/self/status");
    for (std::string line; std::getline(status, line);)
        if (line.starts_with("Umask:"))
            return all & ~static_cast<std::uint32_t>(std::strtoul(line.c_str() + 6, nullptr, 8));
    return all & ~usual_mask;
}

}  // namespace tavlo
