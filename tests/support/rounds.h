// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <cstdlib>

/// How often a test repeats what it does: as often as the variable says (scripts/torture sets it), else the usual
/// number of times.
inline int rounds(const char* variable, int usual) {
    const char* wanted = std::getenv(variable);
    return wanted != nullptr && std::atoi(wanted) > 0 ? std::atoi(wanted) : usual;
}
