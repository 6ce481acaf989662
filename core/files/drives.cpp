// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/drives.h"

#include <sys/stat.h>
#include <sys/sysmacros.h>

#include <filesystem>
#include <fstream>
#include <sstream>

#include "files/path.h"
#include "files/types.h"

namespace tavlo {

namespace fs = std::filesystem;

namespace {

constexpr int most_layers = 8;  // of volumes upon volumes

std::string numbers_of(std::uint64_t device) {
    return std::to_string(major(device)) + ':' + std::to_string(minor(device));
}

/// The block device that a file system without one of its own was mounted from: btrfs gives each of its
/// volumes a number of its own (proc_pid_mountinfo(5)).
std::uint64_t mounted_from(std::uint64_t device) {
    std::ifstream mounts("/proc/self/mountinfo");
    for (std::string line; std::getline(mounts, line);) {
        std::istringstream words(line);
        std::string id;
        std::string above;
        std::string numbers;
        if (!(words >> id >> above >> numbers) || numbers != numbers_of(device)) continue;
        std::string word;
        while (words >> word && word != "-") continue;
        std::string source;
        struct stat status {};
        if (words >> word >> source && source.starts_with('/') && ::stat(source.c_str(), &status) == 0 &&
            S_ISBLK(status.st_mode))
            return status.st_rdev;
    }
    return device;
}

void collect(const fs::path& block, std::uint64_t device, int layers, std::set<std::uint64_t>& drives) {
    std::error_code error;
    if (fs::exists(block / "partition", error)) return collect(block.parent_path(), device, layers, drives);
    bool rests_on_others = false;
    for (const auto& below : fs::directory_iterator(block / "slaves", error)) {
        const fs::path real = fs::canonical(below.path(), error);
        if (error || layers == 0) continue;
        rests_on_others = true;
        collect(real, device, layers - 1, drives);
    }
    if (rests_on_others) return;
    unsigned first = 0;
    unsigned second = 0;
    char colon = 0;
    std::ifstream numbers(block / "dev");
    drives.insert(numbers >> first >> colon >> second ? makedev(first, second) : device);
}

}  // namespace

std::set<std::uint64_t> drives_of(std::uint64_t marked) {
    const std::uint64_t device = marked & ~Identity::fleeting;
    std::set<std::uint64_t> drives;
    const std::uint64_t block_device = major(device) == 0 ? mounted_from(device) : device;
    std::error_code error;
    const fs::path block = fs::canonical("/sys/dev/block/" + numbers_of(block_device), error);
    if (error) return {device};
    collect(block, block_device, most_layers, drives);
    return drives;
}

std::set<std::uint64_t> drives_below(const std::string& path) {
    for (std::string at = path;; at = std::string(parent_of(at))) {
        struct stat status {};
        if (::stat(at.c_str(), &status) == 0) return drives_of(status.st_dev);
        if (at == "/" || at.empty()) return {};
    }
}

}  // namespace tavlo
