// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>

/// A place that somebody has named, as it can be looked at.
struct FoundPlace {
    std::string folder;     ///< itself, or the one it lies in, or the nearest above it that is there
    std::string name{};     ///< of the file in it that was named; empty: the folder was
    std::string missing{};  ///< the place, where it is not there
};

/// Looks on the disk, for a thread that may wait.
FoundPlace found_place(const std::string& path);
