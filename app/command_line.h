// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>
#include <vector>

/// What the program was started with.
struct CommandLine {
    bool help = false;
    bool version = false;
    bool service = false;               ///< started by the bus, which then says what is to be opened
    std::vector<std::string> places{};  ///< folders or files, as absolute paths
    std::string wrong{};                ///< why it cannot be followed, in words; empty: it can
};

/// words  behind the program's name: paths, or file:// addresses as desktops hand them over (RFC 8089); "--"
///        ends the options
/// here   the folder that relative paths are read from, absolute
CommandLine read_command_line(const std::vector<std::string>& words, const std::string& here);

/// What --help prints.
std::string usage();
