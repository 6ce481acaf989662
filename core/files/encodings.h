// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>
#include <string_view>

namespace tavlo {

/// A text as bytes of UTF-8, where it is UTF-16 of either order: by its byte order mark (The Unicode
/// Standard, 23.8), or, without one, as half of its bytes are NUL, which no list of names in another encoding
/// has. Else as it is, without the mark of UTF-8.
std::string without_utf16(std::string_view text);

/// What is no valid UTF-8, read as Latin-1, as Windows has it (code page 1252).
std::string from_latin1(std::string_view text);

}  // namespace tavlo
