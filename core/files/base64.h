// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <optional>
#include <string>
#include <string_view>

namespace tavlo {

// RFC 4648, section 4: bytes in documents that hold text only.

std::string to_base64(std::string_view bytes);
/// nullopt: it is none
std::optional<std::string> from_base64(std::string_view text);

}  // namespace tavlo
