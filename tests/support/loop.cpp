// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "support/loop.h"

#include <fcntl.h>
#include <linux/loop.h>
#include <sys/ioctl.h>
#include <sys/mount.h>
#include <sys/stat.h>
#include <unistd.h>

#include <cstdlib>
#include <filesystem>
#include <utility>

Loop::Loop(const std::string& image) {
    for (int tries = 0; tries < 50 && !attached; ++tries) attach(image);  // another test may be faster
}

Loop::~Loop() {
    const int device = attached ? ::open(name.c_str(), O_RDONLY | O_CLOEXEC) : -1;
    if (device < 0) return;
    ::ioctl(device, LOOP_CLR_FD);
    ::close(device);
}

void Loop::attach(const std::string& image) {
    const int control = ::open("/dev/loop-control", O_RDWR | O_CLOEXEC);
    const int number = control < 0 ? -1 : ::ioctl(control, LOOP_CTL_GET_FREE);
    if (control >= 0) ::close(control);
    if (number < 0) return;
    name = "/dev/loop" + std::to_string(number);
    const int device = ::open(name.c_str(), O_RDWR | O_CLOEXEC);
    const int file = ::open(image.c_str(), O_RDWR | O_CLOEXEC);
    attached = device >= 0 && file >= 0 && ::ioctl(device, LOOP_SET_FD, file) == 0;
    if (device >= 0) ::close(device);
    if (file >= 0) ::close(file);
}

DiskThatComesBack::DiskThatComesBack(const std::string& folder, std::string at)
    : image_(folder + "/disk that comes back"),
      other_image_(folder + "/takes its number"),
      at_(std::move(at)) {
    std::filesystem::create_directories(at_);
    const auto command = "truncate -s 16M '" + image_ + "' && truncate -s 1M '" + other_image_ +
                         "' && mkfs.ext4 -q -m 0 '" + image_ + "' >/dev/null 2>&1";
    if (std::system(command.c_str()) != 0) return;
    loop_ = std::make_unique<Loop>(image_);
    mounted = mount();
    if (mounted) ::rmdir((at_ + "/lost+found").c_str());
}

DiskThatComesBack::~DiskThatComesBack() { go_away(); }

bool DiskThatComesBack::mount() {
    return loop_->attached && ::mount(loop_->name.c_str(), at_.c_str(), "ext4", 0, nullptr) == 0;
}

unsigned long DiskThatComesBack::number() const {
    struct stat status {};
    return ::stat(at_.c_str(), &status) == 0 ? status.st_dev : 0;
}

void DiskThatComesBack::go_away() {
    if (!std::exchange(mounted, false)) return;
    number_before_ = number();
    ::umount2(at_.c_str(), MNT_DETACH);
    loop_.reset();
}

bool DiskThatComesBack::come_back() {
    constexpr int most_tries = 8;  // other tests take numbers, and give them back, meanwhile
    go_away();
    for (int tries = 0; tries < most_tries; ++tries) {
        take_its_number_.push_back(std::make_unique<Loop>(other_image_));
        loop_ = std::make_unique<Loop>(image_);
        mounted = mount();
        if (mounted && number() != number_before_) return true;
        if (std::exchange(mounted, false)) ::umount2(at_.c_str(), MNT_DETACH);
        loop_.reset();
    }
    return false;
}
