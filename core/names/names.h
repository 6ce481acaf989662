// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <functional>
#include <string>
#include <string_view>

#include "files/types.h"
#include "names/new_names.h"

namespace tavlo {

/// Where the extension of a name begins, with its dot; name.size() where it has none, as a folder never has.
std::size_t extension_start(std::string_view name, FileType type);

/// A new name beside one that is taken: "report.pdf" -> "report-2.pdf", "archive.tar.gz" ->
/// "archive-2.tar.gz", "README" -> "README-2", ".profile" -> ".profile-2", a folder "Permits 2031.old" ->
/// "Permits 2031.old-2".
/// number   from 2
/// most     the longest name in bytes; where needed the stem is cut, never inside a character
std::string numbered_name(std::string_view name, FileType type, unsigned number, std::size_t most = 255);

/// What a new name may be made of besides the old one.
struct NameSource {
    std::int64_t modified_ns = 0;
    std::string folder{};  ///< the name of the folder that it comes from
};

/// The first name by a scheme that is not taken. What no pattern can make, as a name with '/' in it, is made
/// by number.
std::string free_name(std::string_view name, FileType type, const NewNames& scheme, const NameSource& source,
                      const std::function<bool(const std::string&)>& taken, std::size_t most = 255);

/// Why a pattern makes no names, in words; empty where it does.
std::string pattern_problem(std::string_view pattern);

/// The name that is counted up from when a planned name is taken at the last instant: the one asked for,
/// where the planned one was counted up from it, else the planned one.
std::string counted_from(const std::string& asked, const std::string& planned, FileType type);

/// Why nothing can have this name anywhere, in words; empty where something can.
std::string impossible_name(std::string_view name);

/// Why a volume cannot hold this name, in words; empty where it can.
std::string name_problem(std::string_view name, const Volume& volume);

/// The nearest name that a volume can hold: '_' for what it cannot, cut where it is too long, its extension
/// kept.
std::string possible_name(std::string_view name, FileType type, const Volume& volume);

}  // namespace tavlo
