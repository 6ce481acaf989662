// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <map>
#include <set>
#include <string>

/// What a tree looked like: each thing's path below the top, with its type, mode, size, time of change in ns,
/// link text, extended attributes, a sum of its bytes, and the first of its hard links within the tree.
using Tree = std::map<std::string, std::string>;

struct TreeOptions {
    bool folder_times = true;
    bool hard_links = true;
    bool times = true;
};
Tree tree_of(const std::string& top, const TreeOptions& options = {});

/// The same by names and bytes alone, without what lies in a Safe: for file systems that keep little else.
std::set<std::string> without_safe(const std::string& top);
