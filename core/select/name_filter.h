// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <string>
#include <string_view>
#include <vector>

namespace tavlo {

/// Which names a line of filter text lets through: words and patterns parted by spaces, without regard to
/// case unless asked for. All words must fit, and of several patterns one; what is left out must not. A word
/// with '*', '?' or '[…]' (glob(7)) fits the whole name, any other a part of it; a '-' or '!' before a word
/// lets through what does not fit it. An empty text lets everything through.
class NameFilter {
public:
    NameFilter() = default;
    explicit NameFilter(std::string_view text, bool match_case = false);
    bool fits(std::string_view name) const;
    bool empty() const noexcept { return words_.empty(); }

private:
    struct Word {
        std::string text;  ///< folded, unless case matters
        bool pattern = false;
        bool excluded = false;
    };
    bool match_case_ = false;
    std::vector<Word> words_;
};

/// glob(7) without braces: '*' any bytes, '?' one code point, '[a-z]' and '[!a-z]' one of a set; on the whole
/// name. An unclosed '[' stands for itself.
bool glob_matches(std::string_view pattern, std::string_view name);

}  // namespace tavlo
