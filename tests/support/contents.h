// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <set>
#include <string>

/// All contents of files anywhere below a folder, the Safe included; half a content is none of those that
/// were there.
std::set<std::string> contents_of(const std::string& top);
