#pragma once

#include <string>
#include <string_view>
#include <vector>

namespace tavlo {

/// Which names a line of filter text lets through: words and patterns parted by spaces, all of which must fit, without
/// regard to case. A word with '*', '?' or '[…]' (glob(7)) fits the whole name, any other a part of it; a '-' or '!' before
/// a word lets through what does not fit it. An empty text lets everything through.
class NameFilter {
public:
    NameFilter() = default;
    explicit NameFilter(std::string_view text);
    bool fits(std::string_view name) const;
    bool empty() const noexcept { return words_.empty(); }

private:
    struct Word {
        std::string text;  ///< folded
        bool pattern = false;
        bool excluded = false;
    };
    std::vector<Word> words_;
};

/// glob(7) without braces: '*' any bytes, '?' one code point, '[a-z]' and '[!a-z]' one of a set; on the whole name.
/// An unclosed '[' stands for itself.
bool glob_matches(std::string_view pattern, std::string_view name);

}  // namespace tavlo
