// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "select/pick_index.h"

#include <algorithm>
#include <numeric>

#include "files/characters.h"
#include "files/path.h"
#include "select/numbers.h"

namespace tavlo {

namespace {

struct Word {
    std::string text;
    std::string plain;           ///< without leading zeros
    bool has_digits = false;     ///< else it stands in a name whether zeros do or not
    bool begins_number = false;  ///< leading zeros were typed at its start
};

std::vector<Word> words_of(std::string_view typed) {
    const std::string key = folded(typed);
    std::vector<Word> words;
    for (std::size_t at = 0; at < key.size();) {
        const auto end = std::min(key.find(' ', at), key.size());
        if (end > at) {
            Word word;
            word.text = key.substr(at, end - at);
            word.plain = without_leading_zeros(word.text);
            word.has_digits = std::any_of(word.text.begin(), word.text.end(), is_digit);
            word.begins_number = word.text.front() == '0' && word.plain.size() < word.text.size();
            words.push_back(std::move(word));
        }
        at = end + 1;
    }
    return words;
}

bool found_plain(std::string_view name, const Word& word) {
    if (!word.begins_number) return name.find(word.plain) != std::string_view::npos;
    for (auto at = name.find(word.plain); at != std::string_view::npos; at = name.find(word.plain, at + 1))
        if (at == 0 || !is_digit(name[at - 1])) return true;
    return false;
}

}  // namespace

void PickIndex::Texts::add(std::string_view text) {
    all_.append(text);
    ends_.push_back(all_.size());
}

std::string_view PickIndex::Texts::at(std::uint32_t id) const {
    const std::size_t begin = id == 0 ? 0 : ends_[id - 1];
    return std::string_view(all_).substr(begin, ends_[id] - begin);
}

PickIndex::PickIndex(const std::vector<std::string>& names) {
    for (const auto& name : names) {
        const std::string key = folded(name);
        folded_.add(key);
        plain_.add(without_leading_zeros(key));
    }
}

std::vector<std::uint32_t> PickIndex::fitting(std::string_view typed) const {
    std::vector<std::uint32_t> all(folded_.size());
    std::iota(all.begin(), all.end(), 0U);
    return fitting(typed, all);
}

std::vector<std::uint32_t> PickIndex::fitting(std::string_view typed,
                                              const std::vector<std::uint32_t>& among) const {
    const auto words = words_of(typed);
    if (words.empty()) return among;
    std::vector<std::uint32_t> found;
    for (const auto id : among) {
        const auto holds = [name = folded_.at(id), plain = plain_.at(id)](const Word& word) {
            return name.find(word.text) != std::string_view::npos ||
                   (word.has_digits && found_plain(plain, word));
        };
        if (std::all_of(words.begin(), words.end(), holds)) found.push_back(id);
    }
    return found;
}

}  // namespace tavlo
