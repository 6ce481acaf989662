// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "select/pick_index.h"

#include <numeric>

#include "files/path.h"
#include "select/numbers.h"

namespace tavlo {

namespace {

bool is_digit(char c) { return c >= '0' && c <= '9'; }

struct Word {
    std::string text;
    std::string plain;           ///< without leading zeros
    bool begins_number = false;  ///< leading zeros were typed at its start
};

std::vector<Word> words_of(std::string_view typed) {
    const std::string key = folded(typed);
    std::vector<Word> words;
    for (std::size_t at = 0; at < key.size();) {
        const auto end = std::min(key.find(' ', at), key.size());
        if (end > at) {
            Word word{key.substr(at, end - at), {}, false};
            word.plain = without_leading_zeros(word.text);
            word.begins_number = word.text.front() == '0' && word.plain.size() < word.text.size();
            words.push_back(std::move(word));
        }
        at = end + 1;
    }
    return words;
}

bool found_plain(const std::string& name, const Word& word) {
    if (!word.begins_number) return name.find(word.plain) != std::string::npos;
    for (auto at = name.find(word.plain); at != std::string::npos; at = name.find(word.plain, at + 1))
        if (at == 0 || !is_digit(name[at - 1])) return true;
    return false;
}

}  // namespace

PickIndex::PickIndex(const std::vector<std::string>& names) {
    keys_.reserve(names.size());
    for (const auto& name : names) {
        Key key{folded(name), {}};
        std::string plain = without_leading_zeros(key.folded);
        if (plain != key.folded) key.plain = std::move(plain);
        keys_.push_back(std::move(key));
    }
}

std::vector<std::uint32_t> PickIndex::fitting(std::string_view typed) const {
    std::vector<std::uint32_t> all(keys_.size());
    std::iota(all.begin(), all.end(), 0U);
    return fitting(typed, all);
}

std::vector<std::uint32_t> PickIndex::fitting(std::string_view typed,
                                              const std::vector<std::uint32_t>& among) const {
    const auto words = words_of(typed);
    if (words.empty()) return among;
    std::vector<std::uint32_t> found;
    for (const auto id : among) {
        const Key& key = keys_[id];
        const std::string& plain = key.plain.empty() ? key.folded : key.plain;
        bool fits = true;
        for (const Word& word : words)
            fits = fits && (key.folded.find(word.text) != std::string::npos || found_plain(plain, word));
        if (fits) found.push_back(id);
    }
    return found;
}

}  // namespace tavlo
