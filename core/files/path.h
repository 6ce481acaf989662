// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>
#include <string_view>

namespace tavlo {

// Paths are bytes: '/' parts them, NUL ends them, nothing else is special and nothing need be UTF-8.

/// "folder" + "name" with one '/' between; an empty folder gives the name alone.
std::string join(std::string_view folder, std::string_view name);

/// What is before the last component: "/a/b" -> "/a", "/a" -> "/".
std::string_view parent_of(std::string_view path);

/// The last component: "/a/b" -> "b", "/" -> "".
std::string_view name_of(std::string_view path);

/// Absolute and without ".", "..", empty parts or a trailing '/'. Text alone: links are not resolved.
/// base     an absolute path that a relative one starts from
std::string normalised(std::string_view path, std::string_view base);

/// Whether path is folder itself or lies below it, by text alone.
bool is_within(std::string_view path, std::string_view folder);

/// Bytes for an error line: control characters as \n, \t, \xHH; everything else as it is.
std::string printable(std::string_view bytes);

/// Valid UTF-8, with U+FFFD in place of each bad byte.
std::string to_utf8(std::string_view bytes);

bool is_utf8(std::string_view bytes);

/// The bytes of the first code point at `at` (1 to 4); 1 where the bytes are no valid UTF-8.
std::size_t code_point_length(std::string_view bytes, std::size_t at);

/// Two names that a case-folding folder holds for one have the same key (Unicode NFD with case folding, as
/// ext4's casefold does; see Documentation/admin-guide/ext4.rst). Invalid UTF-8 stands for itself.
std::string folded(std::string_view name);

}  // namespace tavlo
