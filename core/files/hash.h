// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <array>
#include <cstddef>
#include <memory>
#include <span>
#include <string>

namespace tavlo {

/// XXH3 with 128 bits over a file's bytes, as "xxh3-128:" and 32 hexadecimal digits (canonical order).
class Hasher {
public:
    Hasher();
    ~Hasher();
    void add(std::span<const std::byte> bytes);
    std::string text() const;
    std::array<std::byte, 16> digest() const;  ///< the same, bare

private:
    struct State;
    std::unique_ptr<State> state_;
};

}  // namespace tavlo
