// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <tsl/robin_map.h>

#include <cstdint>
#include <functional>
#include <memory_resource>
#include <string_view>

#include "files/folder_tree.h"

namespace tavlo {

/// A name in a folder.
using PlaceId = std::uint32_t;
inline constexpr PlaceId placeless = UINT32_MAX;

/// Numbers names in folders as they come up, from 0, so that each is compared with the others once.
class PlaceTable {
public:
    PlaceTable() = default;
    PlaceTable(const PlaceTable&) = delete;
    PlaceTable& operator=(const PlaceTable&) = delete;

    void reserve(std::size_t count) { numbers_.reserve(count); }
    std::size_t size() const noexcept { return numbers_.size(); }
    /// The same for the same name in the same folder.
    /// name  by its key: folded, where the folder takes names that differ in case alone for one
    PlaceId at(FolderId folder, std::string_view name) {
        const auto found = numbers_.find(Name{folder, name});
        if (found != numbers_.end()) return found->second;
        auto* kept = static_cast<char*>(texts_.allocate(name.size() + 1, 1));
        name.copy(kept, name.size());
        const auto next = static_cast<PlaceId>(numbers_.size());
        numbers_.emplace(Name{folder, {kept, name.size()}}, next);
        return next;
    }

private:
    struct Name {
        FolderId folder;
        std::string_view text;
        bool operator==(const Name&) const = default;
    };
    struct Hash {
        std::size_t operator()(const Name& name) const noexcept {
            return std::hash<std::string_view>{}(name.text) + name.folder * std::size_t{0x9e3779b97f4a7c15};
        }
    };

    std::pmr::monotonic_buffer_resource texts_;
    // with the hashes, so that growing asks for none of them again
    tsl::robin_map<Name, PlaceId, Hash, std::equal_to<>, std::allocator<std::pair<Name, PlaceId>>, true>
        numbers_;
};

}  // namespace tavlo
