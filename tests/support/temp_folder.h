// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <sys/types.h>

#include <string>

/// A folder of its own for one test, gone with everything in it at the end.
class TempFolder {
public:
    /// where    the folder to make it in; by default $TMPDIR or /tmp
    explicit TempFolder(const std::string& where = {});
    ~TempFolder();
    TempFolder(const TempFolder&) = delete;
    TempFolder& operator=(const TempFolder&) = delete;

    std::string path(const std::string& below = {}) const;
    /// Writes a file, making the folders above it; its date is later than that of any written before it.
    /// returns its path
    std::string write(const std::string& below, const std::string& bytes) const;
    std::string folder(const std::string& below) const;
    std::string link(const std::string& below, const std::string& points_at) const;
    std::string read(const std::string& below) const;  ///< "(none)" where there is nothing
    bool has(const std::string& below) const;          ///< links not followed
    /// Dates a file by seconds and nanoseconds since 1970.
    void date(const std::string& below, long seconds, long nanoseconds = 0) const;
    ino_t inode(const std::string& below) const;

private:
    std::string path_;
};
