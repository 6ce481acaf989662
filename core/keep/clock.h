// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdint>
#include <string>

namespace tavlo {

/// What time it is, by the two clocks that there are: the one on the wall, which people and servers set, and
/// the one that counts since the machine was started, which nobody does.
class Timekeeper {
public:
    struct Reading {
        std::int64_t wall_ns = 0;        ///< since 1970-01-01 UTC
        std::int64_t since_boot_ns = 0;  ///< CLOCK_BOOTTIME: sleep counts too (clock_gettime(2))
        std::string boot{};              ///< which start of the machine (random(4), boot_id)
    };
    virtual ~Timekeeper() = default;
    virtual Reading read() const = 0;
    static const Timekeeper& system();
};

}  // namespace tavlo
