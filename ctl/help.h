// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <array>
#include <span>
#include <string>
#include <string_view>

/// What a command is for, for people.
struct CommandHelp {
    std::string_view name;   ///< "safe empty"
    std::string_view usage;  ///< what is written after "tavloctl"
    std::string_view about;  ///< a sentence or two
    std::array<std::string_view, 3> examples;
};

/// All commands, in the order in which they are listed.
std::span<const CommandHelp> all_commands();
const CommandHelp& help_for(std::string_view command);  ///< of one that is there

/// All commands, a line each.
std::string overview();
