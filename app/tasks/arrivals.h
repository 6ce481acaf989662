// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QString>
#include <cstdint>
#include <string>
#include <unordered_set>

/// What a run brought in, as its receipt says, to be shown where it is.
struct Arrivals {
    QString sentence;    ///< of the run
    std::string folder;  ///< to be opened: the destination, else where the first of them is
    std::unordered_set<std::string> places;  ///< paths of what came in, and of the folders on the way to it
    std::uint64_t count = 0;                 ///< files, links and folders that came in
};
