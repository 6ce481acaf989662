// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>
#include <string_view>
#include <vector>

namespace tavlo {

/// One level of the folders that a pattern makes, as an editor has it.
struct FolderLevel {
    std::string fact{};       ///< empty: `text` stands there
    std::string format{};     ///< empty: the usual one
    std::string or_else{};    ///< a fact that stands in where that one is not known; empty: none
    std::string otherwise{};  ///< the text that stands where nothing is known; empty: "unknown"
    std::string text{};       ///< whatever else a level can be, as the pattern has it
    bool operator==(const FolderLevel&) const = default;
};

/// pattern  that Pattern::parse_folders() takes
std::vector<FolderLevel> folder_levels(std::string_view pattern);
/// A level that says nothing is left out; what no pattern can hold is taken out of texts.
std::string pattern_of(const std::vector<FolderLevel>& levels);

}  // namespace tavlo
