// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <sys/resource.h>

#include <csignal>
#include <cstdio>
#include <iostream>
#include <string>

#include "facts/file_facts.h"
#include "telling.h"

// tavlo-facts: reads paths from standard input, each ended by a NUL, and writes for each a line of JSON with
// what the file tells about itself (core/facts/file_facts.h). Bounded in memory by the kernel; whoever asks
// bounds the time, and ends it by closing its input.

namespace {

constexpr rlim_t most_memory = rlim_t{1} << 30;

void limit(__rlimit_resource_t resource, rlim_t most) {
    const rlimit wanted{most, most};
    ::setrlimit(resource, &wanted);
}

}  // namespace

int main() {
#ifndef __SANITIZE_ADDRESS__  // which maps more than there is, and touches little of it
    limit(RLIMIT_AS, most_memory);
#endif
    limit(RLIMIT_CORE, 0);
    limit(RLIMIT_FSIZE, 0);  // no file is ever written
    std::signal(SIGPIPE, SIG_DFL);
    std::ios::sync_with_stdio(false);
    // each answer at once: whoever waits tells by it which file costs too much
    for (std::string path; std::getline(std::cin, path, '\0');)
        std::cout << to_json(tell(path)) << '\n' << std::flush;
    return 0;
}
