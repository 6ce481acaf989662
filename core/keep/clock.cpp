// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "keep/clock.h"

#include <sys/syscall.h>
#include <time.h>
#include <unistd.h>

#include <fstream>

#include "files/types.h"

namespace tavlo {

namespace {

class SystemClock final : public Timekeeper {
public:
    Reading read() const override {
        timespec wall{};
        timespec boot{};
        ::clock_gettime(CLOCK_REALTIME, &wall);
        ::syscall(SYS_clock_gettime, CLOCK_BOOTTIME, &boot);
        std::string id;
        std::getline(std::ifstream("/proc/sys/kernel/random/boot_id"), id);
        return {wall.tv_sec * second_ns + wall.tv_nsec, boot.tv_sec * second_ns + boot.tv_nsec,
                std::move(id)};
    }
};

}  // namespace

const Timekeeper& Timekeeper::system() {
    static const SystemClock clock;
    return clock;
}

}  // namespace tavlo
