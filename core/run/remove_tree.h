// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <string>

#include "files/file_system.h"

namespace tavlo {

/// Removes a thing and all that is in it for good, but never what is mounted there, or lies on another
/// device, at any depth (promise 13). What cannot go stays, and so do the folders around it. However deep it
/// is, a few handles are open at a time.
/// left   is given what stays, with the reason
void remove_tree(FileSystem& disk, const Handle& folder, const std::string& name,
                 const std::function<void(Error)>& left);

}  // namespace tavlo
