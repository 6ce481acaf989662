// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <memory>
#include <string>
#include <vector>

/// A loop device with this image, and what it is called.
class Loop {
public:
    explicit Loop(const std::string& image);
    ~Loop();
    Loop(const Loop&) = delete;
    Loop& operator=(const Loop&) = delete;
    std::string name;
    bool attached = false;

private:
    void attach(const std::string& image);
};

/// An ext4 of a few megabytes that goes and comes back under another device number, as a disk does that is
/// plugged in again.
class DiskThatComesBack {
public:
    /// folder  where the images may lie
    /// at      where it is mounted
    DiskThatComesBack(const std::string& folder, std::string at);
    ~DiskThatComesBack();
    DiskThatComesBack(const DiskThatComesBack&) = delete;
    DiskThatComesBack& operator=(const DiskThatComesBack&) = delete;
    void go_away();
    /// returns  whether it is mounted again, and its number is another one
    bool come_back();
    bool mounted = false;

private:
    bool mount();
    unsigned long number() const;
    std::string image_;
    std::string other_image_;
    std::string at_;
    unsigned long number_before_ = 0;
    std::unique_ptr<Loop> loop_;
    std::vector<std::unique_ptr<Loop>> take_its_number_;
};
