// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "support/tree.h"

#include <fmt/format.h>
#include <sys/stat.h>
#include <sys/xattr.h>
#include <unistd.h>

#include <filesystem>
#include <fstream>
#include <functional>
#include <iterator>
#include <sstream>

namespace fs = std::filesystem;

namespace {

std::string extended(const std::string& path) {
    std::string names(64 * 1024, '\0');
    const auto length = ::llistxattr(path.c_str(), names.data(), names.size());
    std::string out;
    for (ssize_t at = 0; at < length;) {
        const std::string name = names.c_str() + at;
        at += static_cast<ssize_t>(name.size()) + 1;
        std::string value(64 * 1024, '\0');
        const auto size = ::lgetxattr(path.c_str(), name.c_str(), value.data(), value.size());
        if (size >= 0) value.resize(static_cast<std::size_t>(size));
        out += fmt::format(" {}={:x}", name, std::hash<std::string>{}(value));
    }
    return out;
}

std::string describe(const std::string& path, const std::string& below, const TreeOptions& options,
                     std::map<std::pair<dev_t, ino_t>, std::string>& first) {
    struct stat s {};
    if (::lstat(path.c_str(), &s) != 0) return "(gone)";
    const bool times = options.times && (options.folder_times || !S_ISDIR(s.st_mode));
    std::string out = fmt::format("{:o} {}:{}", s.st_mode, s.st_uid, s.st_gid);
    if (times) out += fmt::format(" {}.{:09}", s.st_mtim.tv_sec, s.st_mtim.tv_nsec);
    if (S_ISLNK(s.st_mode)) out += " -> " + fs::read_symlink(path).string();
    if (S_ISREG(s.st_mode)) {
        std::ifstream in(path, std::ios::binary);
        std::ostringstream bytes;
        bytes << in.rdbuf();
        out += fmt::format(" {} bytes {:x}", s.st_size, std::hash<std::string>{}(bytes.str()));
        const auto [found, fresh] = first.try_emplace({s.st_dev, s.st_ino}, below);
        if (options.hard_links && !fresh) out += " = " + found->second;
    }
    return out + extended(path);
}

}  // namespace

Tree tree_of(const std::string& top, const TreeOptions& options) {
    Tree tree;
    std::map<std::pair<dev_t, ino_t>, std::string> first;
    std::map<std::string, std::string>
        paths;  // in one order, so that "first of its hard links" means the same everywhere
    for (const auto& entry : fs::recursive_directory_iterator(top)) {
        const std::string path = entry.path().string();
        if (path.find("/.tavlo-safe-") == std::string::npos) paths[path.substr(top.size() + 1)] = path;
    }
    for (const auto& [below, path] : paths) tree[below] = describe(path, below, options, first);
    return tree;
}

std::set<std::string> without_safe(const std::string& top) {
    std::set<std::string> lines;
    for (auto at = std::filesystem::recursive_directory_iterator(top);
         at != std::filesystem::recursive_directory_iterator(); ++at) {
        if (at->path().filename().string().starts_with(".tavlo-safe-")) {
            at.disable_recursion_pending();
            continue;
        }
        std::string line = at->path().string().substr(top.size());
        if (at->is_regular_file()) {
            std::ifstream in(at->path(), std::ios::binary);
            line += " " + std::string(std::istreambuf_iterator<char>(in), {});
        }
        lines.insert(line);
    }
    return lines;
}
