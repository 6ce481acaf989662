// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

// Inside the core only: this header shows nlohmann, which no public one does.

#include <nlohmann/json.hpp>
#include <string>

namespace tavlo {

using Json = nlohmann::ordered_json;

/// Bytes as text, with U+FFFD for each bad byte; where there are any, the exact bytes base64-coded in
/// "MEMBER_bytes" beside it.
void put_bytes(Json& json, const std::string& member, const std::string& bytes);

}  // namespace tavlo
