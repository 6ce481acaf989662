// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include <cstdio>
#include <cstdlib>
#include <exception>

#include "makers.h"

/// tavlo-demo-data FOLDER [SEED]: makes the sample office in a folder that does not exist yet.
int main(int count, char** words) {
    if (count < 2 || count > 3) {
        std::fprintf(stderr, "usage: tavlo-demo-data FOLDER [SEED]\n");
        return 2;
    }
    try {
        demo::make_office(words[1], count == 3 ? std::strtoull(words[2], nullptr, 10) : 2031);
    } catch (const std::exception& problem) {
        std::fprintf(stderr, "tavlo-demo-data: %s\n", problem.what());
        return 1;
    }
}
