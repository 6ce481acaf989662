// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>

namespace tavlo {

/// The user's home folder: $HOME, else as getpwuid(3) has it; empty where neither says an absolute path.
std::string home_folder();

/// Where this user's settings are kept: $XDG_CONFIG_HOME, or its default (XDG Base Directory Specification).
std::string config_folder();

}  // namespace tavlo
