// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>

// What the words of a command line name. All refuse (command_line.h) what names nothing.

/// Absolute. Where ".." comes after a link, what it means is asked of the disk and not guessed from the text.
std::string absolute(const std::string& path);

/// The same; "path/" takes the folder that a link points at, so the '/' at the end is kept for gather().
std::string source_path(const std::string& path);

/// A folder that is there, absolute. `option` is who asks for it.
std::string folder_that_is_there(const std::string& option, const std::string& path);

/// This program, as a file.
std::string program_path();

/// Where the state is kept when nobody says: never below a home that is not there, nor below the root for
/// want of one.
std::string usual_state_folder();
