// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/base64.h"

#include <cstdint>

namespace tavlo {

namespace {
constexpr std::string_view letters = "ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789+/";
}

std::string to_base64(std::string_view bytes) {
    std::string out;
    for (std::size_t at = 0; at < bytes.size(); at += 3) {
        const auto piece = bytes.substr(at, 3);
        std::uint32_t bits = 0;
        for (std::size_t i = 0; i < 3; ++i)
            bits = bits << 8 | (i < piece.size() ? static_cast<unsigned char>(piece[i]) : 0U);
        for (std::size_t i = 0; i < 4; ++i)
            out += i <= piece.size() ? letters[bits >> (18 - 6 * i) & 63U] : '=';
    }
    return out;
}

std::optional<std::string> from_base64(std::string_view text) {
    if (text.size() % 4 != 0) return std::nullopt;
    std::string out;
    for (std::size_t at = 0; at < text.size(); at += 4) {
        std::uint32_t bits = 0;
        std::size_t padded = 0;
        for (std::size_t i = 0; i < 4; ++i) {
            const auto value = letters.find(text[at + i]);
            const bool pads = text[at + i] == '=' && i >= 2 && at + 4 == text.size();
            if ((value == std::string_view::npos && !pads) || (padded > 0 && !pads)) return std::nullopt;
            padded += pads ? 1 : 0;
            bits = bits << 6 | (pads ? 0U : static_cast<std::uint32_t>(value));
        }
        for (std::size_t i = 0; i + padded < 3; ++i) out += static_cast<char>(bits >> (16 - 8 * i) & 0xffU);
    }
    return out;
}

}  // namespace tavlo
