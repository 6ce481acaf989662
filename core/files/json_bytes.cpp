// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/json_bytes.h"

#include "files/base64.h"
#include "files/path.h"

namespace tavlo {

void put_bytes(Json& json, const std::string& member, const std::string& bytes) {
    const bool is_text = is_utf8(bytes);
    json[member] = is_text ? bytes : to_utf8(bytes);
    if (!is_text) json[member + "_bytes"] = to_base64(bytes);
}

}  // namespace tavlo
