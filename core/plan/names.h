#pragma once

#include <functional>
#include <string>
#include <string_view>

#include "files/types.h"

namespace tavlo {

/// A new name beside one that is taken: "report.pdf" -> "report-2.pdf", "archive.tar.gz" -> "archive-2.tar.gz",
/// "README" -> "README-2", ".profile" -> ".profile-2", a folder "Permits 2031.old" -> "Permits 2031.old-2".
/// number   from 2
/// most     the longest name in bytes; where needed the stem is cut, never inside a character
std::string numbered_name(std::string_view name, FileType type, unsigned number, std::size_t most = 255);

/// The first numbered name that is not taken.
std::string free_name(std::string_view name, FileType type, const std::function<bool(const std::string&)>& taken, std::size_t most = 255);

/// Why a volume cannot hold this name, in words; empty where it can.
std::string name_problem(std::string_view name, const Volume& volume);

}  // namespace tavlo
