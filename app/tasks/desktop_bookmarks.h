// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QString>
#include <string>
#include <vector>

#include "files/result.h"

// Places to go to that the desktop's programs share. Every call reads or writes a disk.

struct Bookmark {
    std::string path;
    QString name;  ///< as it was given; empty: the folder's own
    bool operator==(const Bookmark&) const = default;
};

/// The list that GTK programs keep ($XDG_CONFIG_HOME/gtk-3.0/bookmarks: an address and a name a line), then
/// what stands in $XDG_DATA_HOME/user-places.xbel (XBEL 1.0) besides. Addresses on other machines, and what
/// cannot be read, are left out.
std::vector<Bookmark> desktop_bookmarks();

/// Puts a folder at the end of the list that GTK programs keep, or takes it out; the other lines stay as they
/// are. errors  as write_small_file(); refused: it is too large to be a list of bookmarks
tavlo::Result<void> keep_bookmark(const std::string& path, bool kept);
