// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>
#include <vector>

#include "support/temp_folder.h"
#include "support/tree.h"

/// Runs tavloctl with a state folder, and kills it (SIGKILL) after so many microseconds; below 0: never.
/// returns  its status, or -1 where it was killed
int run_tavloctl_for(const std::string& program, const std::string& state,
                     const std::vector<std::string>& words, long microseconds);

/// Folders, collisions to overwrite, to rename, links and hard links: something of everything that takes a
/// name.
/// returns  the number of items that the batch FROM/box has
int make_kill_scene(const TempFolder& temp, const std::string& from, const std::string& to);

/// What differs between two trees, a line each; "" where nothing does.
std::string differences(const Tree& now, const Tree& then);

/// No name of Tavlo's own is left but the Safe.
void check_no_litter(const std::string& folder);
