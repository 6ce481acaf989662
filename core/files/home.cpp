// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/home.h"

#include <pwd.h>
#include <unistd.h>

#include <cstdlib>

namespace tavlo {

std::string home_folder() {
    if (const char* given = std::getenv("HOME"); given != nullptr && given[0] == '/') return given;
    const passwd* user = ::getpwuid(::geteuid());
    return user != nullptr && user->pw_dir != nullptr && user->pw_dir[0] == '/' ? user->pw_dir : "";
}

std::string config_folder() {
    if (const char* given = std::getenv("XDG_CONFIG_HOME"); given != nullptr && given[0] == '/') return given;
    const std::string home = home_folder();
    return (home.empty() ? std::string("/") : home + "/") + ".config";
}

}  // namespace tavlo
