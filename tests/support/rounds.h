// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdlib>

/// How often a test that damages things does so: as often as TAVLO_FUZZ says (scripts/torture), else the
/// usual number of times.
inline int rounds(int usual) {
    const char* wanted = std::getenv("TAVLO_FUZZ");
    return wanted != nullptr && std::atoi(wanted) > 0 ? std::atoi(wanted) : usual;
}
