#include "support/mounts.h"

#include <sys/mount.h>

#include <cerrno>
#include <cstdlib>
#include <cstring>
#include <filesystem>

Mount::Mount(Mount&& other) noexcept : mounted(other.mounted), why(std::move(other.why)), path(std::move(other.path)) {
    other.mounted = false;
}

Mount::~Mount() {
    if (mounted && ::umount2(path.c_str(), 0) != 0) ::umount2(path.c_str(), MNT_DETACH);
}

Mount Mount::memory(const std::string& at, const std::string& options) {
    Mount mount{};
    std::filesystem::create_directories(at);
    mount.path = at;
    mount.mounted = ::mount("tavlo-test", at.c_str(), "tmpfs", 0, options.c_str()) == 0;
    if (!mount.mounted) mount.why = std::string("a tmpfs cannot be mounted here: ") + std::strerror(errno);
    return mount;
}

Mount Mount::again(const std::string& image_path, const std::string& at) {
    Mount mount{};
    mount.path = at;
    mount.mounted = std::system(("mount -o loop '" + image_path + "' '" + at + "' >/dev/null 2>&1").c_str()) == 0;
    if (!mount.mounted) mount.why = "an image cannot be mounted here";
    return mount;
}

Mount Mount::image(const std::string& kind, const std::string& image_path, const std::string& at, unsigned megabytes) {
    Mount mount{};
    std::filesystem::create_directories(at);
    mount.path = at;
    const std::string quiet = " >/dev/null 2>&1";
    const std::string make =
        "truncate -s " + std::to_string(megabytes) + "M '" + image_path + "' && mkfs." + kind + " -q '" + image_path + "'" + quiet;
    if (std::system(make.c_str()) == 0) return again(image_path, at);
    if (!mount.mounted) mount.why = "an image with " + kind + " cannot be made and mounted here";
    return mount;
}
