// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <optional>
#include <string>
#include <string_view>

// What shells offer while a line for tavloctl is typed, from the commands and options that it has.

enum class Shell { bash, zsh, fish };
std::optional<Shell> shell_from_text(std::string_view text);

/// The file that the shell reads: for bash a file of bash-completion, for zsh a function of compsys
/// (zshcompsys(1)), for fish a file of complete commands.
std::string completion_for(Shell shell);
