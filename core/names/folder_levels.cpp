// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "names/folder_levels.h"

#include <algorithm>

namespace tavlo {

namespace {

/// "{taken:%Y|town|=undated}" as one field; nullopt: it is more than the parts of a level say.
bool read_field(std::string_view piece, FolderLevel& level) {
    if (piece.size() < 3 || piece.front() != '{' || piece.back() != '}') return false;
    piece = piece.substr(1, piece.size() - 2);
    if (piece.find_first_of("{}") != std::string_view::npos) return false;
    std::vector<std::string_view> choices;
    for (std::size_t from = 0; from <= piece.size();) {
        const auto end = std::min(piece.find('|', from), piece.size());
        choices.push_back(piece.substr(from, end - from));
        from = end + 1;
    }
    if (choices.back().starts_with('=')) {
        level.otherwise = choices.back().substr(1);
        choices.pop_back();
    }
    if (choices.empty() || choices.size() > 2 || choices.front().starts_with('=')) return false;
    const auto colon = std::min(choices[0].find(':'), choices[0].size());
    level.fact = choices[0].substr(0, colon);
    level.format = colon == choices[0].size() ? std::string_view() : choices[0].substr(colon + 1);
    if (choices.size() == 2) level.or_else = choices[1];
    return level.or_else.find_first_of(":=") == std::string::npos;
}

FolderLevel level_of(std::string_view piece) {
    FolderLevel level;
    if (read_field(piece, level)) return level;
    FolderLevel as_it_is;
    as_it_is.text = piece;
    return as_it_is;
}

std::string without(std::string text, std::string_view marks) {
    std::erase_if(text, [&](char c) { return marks.find(c) != std::string_view::npos; });
    return text;
}

}  // namespace

std::vector<FolderLevel> folder_levels(std::string_view pattern) {
    std::vector<FolderLevel> levels;
    std::size_t from = 0;
    int depth = 0;
    for (std::size_t at = 0; at <= pattern.size(); ++at) {
        if (at < pattern.size() && pattern[at] == '{') ++depth;
        if (at < pattern.size() && pattern[at] == '}') --depth;
        if (at < pattern.size() && (pattern[at] != '/' || depth > 0)) continue;
        if (at > from) levels.push_back(level_of(pattern.substr(from, at - from)));
        from = at + 1;
    }
    return levels;
}

std::string pattern_of(const std::vector<FolderLevel>& levels) {
    std::string pattern;
    for (const FolderLevel& level : levels) {
        std::string piece = level.text;
        if (!level.fact.empty()) {
            piece = "{" + level.fact;
            if (const auto format = without(level.format, "{}|"); !format.empty()) piece += ":" + format;
            if (!level.or_else.empty()) piece += "|" + level.or_else;
            if (const auto text = without(level.otherwise, "{}|/"); !text.empty()) piece += "|=" + text;
            piece += "}";
        }
        if (piece.empty()) continue;
        if (!pattern.empty()) pattern += '/';
        pattern += piece;
    }
    return pattern;
}

}  // namespace tavlo
