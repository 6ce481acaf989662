// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <fcntl.h>
#include <unistd.h>

#include <cstdio>

#include "files/handle.h"

/// What a virtual machine's host kept of its processors, all together, in units of 10 ms (proc_stat(5), steal).
class StolenTime {
public:
    StolenTime() : handle_(::open("/proc/stat", O_RDONLY | O_CLOEXEC), "/proc/stat") {}
    double ms() const {
        char text[256] = {};
        if (::pread(handle_.descriptor(), text, sizeof text - 1, 0) <= 0) return 0;
        long stolen = 0;
        return std::sscanf(text, "cpu %*d %*d %*d %*d %*d %*d %*d %ld", &stolen) == 1
                   ? static_cast<double>(stolen) * 1e3 / static_cast<double>(::sysconf(_SC_CLK_TCK))
                   : 0;
    }

private:
    tavlo::Handle handle_;
};
