// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "files/hash.h"

#include <fmt/format.h>
#define XXH_INLINE_ALL
#include <xxhash.h>

#include <cstring>

namespace tavlo {

struct Hasher::State {
    XXH3_state_t xxh;
};

Hasher::Hasher() : state_(std::make_unique<State>()) { XXH3_128bits_reset(&state_->xxh); }
Hasher::~Hasher() = default;

void Hasher::add(std::span<const std::byte> bytes) {
    XXH3_128bits_update(&state_->xxh, bytes.data(), bytes.size());
}

std::string Hasher::text() const {
    const XXH128_hash_t hash = XXH3_128bits_digest(&state_->xxh);
    return fmt::format("xxh3-128:{:016x}{:016x}", hash.high64, hash.low64);
}

std::array<std::byte, 16> Hasher::digest() const {
    XXH128_canonical_t canonical;
    XXH128_canonicalFromHash(&canonical, XXH3_128bits_digest(&state_->xxh));
    std::array<std::byte, 16> bytes{};
    static_assert(sizeof canonical == sizeof bytes);
    std::memcpy(bytes.data(), &canonical, sizeof bytes);
    return bytes;
}

}  // namespace tavlo
