// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "select/name_filter.h"

#include "files/path.h"

namespace tavlo {

namespace {

/// Matches one code point of the name against a set at the start of the pattern.
/// returns  the pattern's bytes that were used, 0 where the '[' is not closed
std::size_t match_set(std::string_view pattern, std::string_view point, bool& matched) {
    std::size_t at = 1;
    const bool inverted = at < pattern.size() && (pattern[at] == '!' || pattern[at] == '^');
    if (inverted) ++at;
    bool found = false;
    for (bool first = true; at < pattern.size() && (first || pattern[at] != ']'); first = false) {
        const auto low = pattern.substr(at, code_point_length(pattern, at));
        at += low.size();
        auto high = low;
        if (at + 1 < pattern.size() && pattern[at] == '-' && pattern[at + 1] != ']') {
            high = pattern.substr(at + 1, code_point_length(pattern, at + 1));
            at += 1 + high.size();
        }
        // UTF-8 sorts by bytes as its code points do, once the lengths agree
        const auto le = [](std::string_view a, std::string_view b) {
            return a.size() != b.size() ? a.size() < b.size() : a <= b;
        };
        found |= le(low, point) && le(point, high);
    }
    if (at >= pattern.size()) return 0;
    matched = found != inverted;
    return at + 1;
}

}  // namespace

bool glob_matches(std::string_view pattern, std::string_view name) {
    std::size_t p = 0;
    std::size_t n = 0;
    std::size_t star = std::string_view::npos;  // where to go on when what follows the last '*' does not fit
    std::size_t star_name = 0;
    while (n < name.size()) {
        const auto length = code_point_length(name, n);
        if (p < pattern.size() && pattern[p] == '*') {
            star = ++p;
            star_name = n;
            continue;
        }
        std::size_t used = 0;
        if (p < pattern.size()) {
            bool matched = false;
            if (pattern[p] == '?') {
                used = 1;
            } else if (const auto set = pattern[p] == '['
                                            ? match_set(pattern.substr(p), name.substr(n, length), matched)
                                            : 0;
                       set > 0) {
                used = matched ? set : 0;
            } else if (pattern.substr(p, length) == name.substr(n, length)) {
                used = length;
            }
        }
        if (used > 0) {
            p += used;
            n += length;
        } else if (star != std::string_view::npos) {
            p = star;
            star_name += code_point_length(name, star_name);
            n = star_name;
        } else {
            return false;
        }
    }
    while (p < pattern.size() && pattern[p] == '*') ++p;
    return p == pattern.size();
}

NameFilter::NameFilter(std::string_view text, bool match_case) : match_case_(match_case) {
    while (!text.empty()) {
        const auto space = text.find(' ');
        auto word = text.substr(0, space);
        text = space == std::string_view::npos ? std::string_view{} : text.substr(space + 1);
        const bool excluded = word.size() > 1 && (word.front() == '-' || word.front() == '!');
        if (excluded) word.remove_prefix(1);
        if (word.empty()) continue;
        words_.push_back({match_case ? std::string(word) : folded(word),
                          word.find_first_of("*?[") != std::string_view::npos, excluded});
    }
}

bool NameFilter::fits(std::string_view name) const {
    if (words_.empty()) return true;
    const std::string key = match_case_ ? std::string(name) : folded(name);
    bool any_pattern = false;
    bool pattern_fits = false;
    for (const Word& word : words_) {
        const bool fits =
            word.pattern ? glob_matches(word.text, key) : key.find(word.text) != std::string::npos;
        if (word.pattern && !word.excluded) {  // "*.pdf *.odt": either
            any_pattern = true;
            pattern_fits = pattern_fits || fits;
        } else if (fits == word.excluded) {
            return false;
        }
    }
    return pattern_fits || !any_pattern;
}

}  // namespace tavlo
