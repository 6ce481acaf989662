// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "support/mounts.h"

#include <signal.h>
#include <sys/mount.h>
#include <sys/stat.h>
#include <sys/wait.h>
#include <unistd.h>

#include <cerrno>
#include <cstdlib>
#include <cstring>
#include <filesystem>
#include <utility>

namespace {

bool is_mounted(const std::string& at) {
    struct stat inside {};
    struct stat around {};
    return ::stat(at.c_str(), &inside) == 0 && ::stat((at + "/..").c_str(), &around) == 0 &&
           inside.st_dev != around.st_dev;
}

}  // namespace

Mount::Mount(Mount&& other) noexcept
    : mounted(other.mounted),
      why(std::move(other.why)),
      path(std::move(other.path)),
      server_(std::exchange(other.server_, -1)) {
    other.mounted = false;
}

Mount::~Mount() {
    if (mounted && ::umount2(path.c_str(), 0) != 0) ::umount2(path.c_str(), MNT_DETACH);
    if (server_ > 0) ::waitpid(server_, nullptr, 0);
}

Mount Mount::odd(const std::string& backing, const std::string& at,
                 const std::vector<std::string>& oddities) {
    std::filesystem::create_directories(backing);
    std::vector<std::string> command{ODD_DISK, backing, at};
    command.insert(command.end(), oddities.begin(), oddities.end());
    return by(command, at);
}

Mount Mount::by(const std::vector<std::string>& command, const std::string& at) {
    Mount mount{};
    std::filesystem::create_directories(at);
    mount.path = at;
    mount.why = "a file system cannot be mounted through FUSE here: " + command.front();
    const pid_t child = ::fork();
    if (child == 0) {
        if (::freopen("/dev/null", "w", stdout) == nullptr || ::freopen("/dev/null", "w", stderr) == nullptr)
            ::_exit(126);
        std::vector<std::string> words = command;
        std::vector<char*> argv;
        for (auto& word : words) argv.push_back(word.data());
        argv.push_back(nullptr);
        ::execvp(argv[0], argv.data());
        ::_exit(127);
    }
    bool ended = false;
    for (int tries = 0; tries < 2000 && !(mount.mounted = is_mounted(at)); ++tries) {
        int status = 0;
        if (!ended && ::waitpid(child, &status, WNOHANG) == child) {
            ended = true;
            if (!WIFEXITED(status) || WEXITSTATUS(status) != 0) return mount;
        }
        ::usleep(1000);
    }
    if (!ended) mount.server_ = child;
    if (!mount.mounted && !ended) ::kill(child, SIGKILL);
    return mount;
}

Mount Mount::bind(const std::string& folder, const std::string& at) {
    Mount mount{};
    std::filesystem::create_directories(at);
    mount.path = at;
    mount.mounted = ::mount(folder.c_str(), at.c_str(), nullptr, MS_BIND, nullptr) == 0;
    if (!mount.mounted) mount.why = std::string("nothing can be bound here: ") + std::strerror(errno);
    return mount;
}

Mount Mount::overlay(const std::string& lower, const std::string& upper, const std::string& work,
                     const std::string& at) {
    Mount mount{};
    for (const auto& folder : {lower, upper, work, at}) std::filesystem::create_directories(folder);
    mount.path = at;
    const std::string options = "lowerdir=" + lower + ",upperdir=" + upper + ",workdir=" + work;
    mount.mounted = ::mount("overlay", at.c_str(), "overlay", 0, options.c_str()) == 0;
    if (!mount.mounted) mount.why = std::string("no overlay can be mounted here: ") + std::strerror(errno);
    return mount;
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
    mount.mounted =
        std::system(("mount -o loop '" + image_path + "' '" + at + "' >/dev/null 2>&1").c_str()) == 0;
    if (!mount.mounted) mount.why = "an image cannot be mounted here";
    return mount;
}

Mount Mount::image(const std::string& kind, const std::string& image_path, const std::string& at,
                   unsigned megabytes) {
    Mount mount{};
    std::filesystem::create_directories(at);
    mount.path = at;
    const std::string quiet = " >/dev/null 2>&1";
    const std::string make = "truncate -s " + std::to_string(megabytes) + "M '" + image_path + "' && mkfs." +
                             kind + " -q '" + image_path + "'" + quiet;
    if (std::system(make.c_str()) == 0) return again(image_path, at);
    if (!mount.mounted) mount.why = "an image with " + kind + " cannot be made and mounted here";
    return mount;
}
