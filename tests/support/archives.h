// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>
#include <string_view>
#include <utility>
#include <vector>

// Archives by other libraries than those that Tavlo reads them with: Python's zipfile and tarfile; and by
// libarchive's writers, for formats that Python has none for.

/// Lets Python work in a folder; the modules that archives take are there. What it prints is returned; a
/// fault of it fails the test.
std::string by_python(const std::string& folder, std::string_view script);

/// format  of archive_write_set_format_by_name(3): "7zip", "cpio", "iso9660", …
void write_archive(const std::string& path, const char* format,
                   const std::vector<std::pair<std::string, std::string>>& files);
