// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "select/name_list.h"

#include <algorithm>
#include <unordered_map>

#include "files/characters.h"
#include "files/encodings.h"
#include "files/path.h"
#include "select/amounts.h"
#include "select/numbers.h"

namespace tavlo {

namespace {

constexpr std::uint64_t longest_range = 10'000;

std::string_view stem_of(std::string_view name) {
    const auto dot = name.rfind('.');
    return dot == std::string_view::npos || dot == 0 ? name : name.substr(0, dot);
}

/// Without the quotes around it: "…", '…', and those of a text program.
std::string_view unquoted(std::string_view text) {
    static constexpr std::pair<std::string_view, std::string_view> quotes[] = {
        {"\"", "\""},         {"'", "'"}, {"\u201c", "\u201d"}, {"\u201e", "\u201c"}, {"\u00ab", "\u00bb"},
        {"\u2018", "\u2019"}, {"<", ">"}};
    text = trimmed(text);
    for (const auto& [open, close] : quotes)
        if (text.size() > open.size() + close.size() && text.starts_with(open) && text.ends_with(close))
            return trimmed(text.substr(open.size(), text.size() - open.size() - close.size()));
    return text;
}

/// Without the sign that a mail puts before each line of a list.
std::string_view without_bullet(std::string_view text) {
    for (const std::string_view bullet : {"- ", "* ", "+ ", "> ", "\u2022 ", "\u2013 ", "\u00b7 "})
        if (text.starts_with(bullet)) return trimmed(text.substr(bullet.size()));
    return text;
}

/// Parts a line where none of its quotes is open.
std::vector<std::string_view> parts_of(std::string_view line, char by) {
    std::vector<std::string_view> parts;
    bool quoted = false;
    std::size_t from = 0;
    for (std::size_t at = 0; at <= line.size(); ++at) {
        if (at < line.size() && line[at] == '"') quoted = !quoted;
        if (at < line.size() && (line[at] != by || quoted)) continue;
        if (const auto part = unquoted(line.substr(from, at - from)); !part.empty()) parts.push_back(part);
        from = at + 1;
    }
    return parts;
}

class Matcher {
public:
    explicit Matcher(const std::vector<std::string>& names) {
        for (std::size_t i = 0; i < names.size(); ++i) {
            const std::string key = folded(names[i]);
            exact_[names[i]].push_back(i);
            any_case_[key].push_back(i);
            stem_[std::string(stem_of(key))].push_back(i);
            std::vector<std::uint64_t> seen;
            for (const NumberInName& number : numbers_in(stem_of(names[i]))) {
                if (std::find(seen.begin(), seen.end(), number.value) != seen.end()) continue;
                seen.push_back(number.value);
                number_[number.value].push_back(i);
            }
            plain_.push_back(without_leading_zeros(key));
        }
    }

    std::vector<std::size_t> by_name(std::string_view text) const {
        const std::string key = folded(text);
        for (const auto* index : {&exact_, &any_case_, &stem_})
            if (const auto found = index->find(index == &exact_ ? std::string(text) : key);
                found != index->end())
                return found->second;
        if (const auto slash = text.find_last_of("/\\");
            slash != std::string_view::npos && slash + 1 < text.size())
            return by_name(text.substr(slash + 1));
        return {};
    }

    std::vector<std::size_t> by_number(std::uint64_t value) const {
        const auto found = number_.find(value);
        return found == number_.end() ? std::vector<std::size_t>{} : found->second;
    }

    /// Everything that may fit, the nearest first.
    std::vector<std::size_t> find(std::string_view text) const {
        auto found = by_name(text);
        if (!found.empty()) return found;
        if (is_number(text)) return by_number(numbers_in(text).front().value);
        const std::string part = without_leading_zeros(folded(text));
        for (std::size_t i = 0; i < plain_.size(); ++i) {
            const std::string& name = plain_[i];
            for (auto at = name.find(part); at != std::string::npos; at = name.find(part, at + 1)) {
                const auto end = at + part.size();
                const bool cuts_number = (at > 0 && is_digit(name[at - 1]) && is_digit(part.front())) ||
                                         (end < name.size() && is_digit(name[end]) && is_digit(part.back()));
                if (cuts_number) continue;  // "permit-41" is not in "permit-412"
                found.push_back(i);
                break;
            }
        }
        return found;
    }

private:
    using Index = std::unordered_map<std::string, std::vector<std::size_t>>;
    Index exact_;
    Index any_case_;
    Index stem_;
    std::unordered_map<std::uint64_t, std::vector<std::size_t>> number_;
    std::vector<std::string> plain_;
};

class Reader {
public:
    explicit Reader(const std::vector<std::string>& names) : matcher_(names) {}

    void line(std::string_view line, std::size_t number) {
        const std::string_view whole = unquoted(without_bullet(trimmed(line)));
        if (whole.empty()) return;
        if (auto fits = matcher_.by_name(whole); !fits.empty()) return add(whole, number, std::move(fits));
        if (!is_utf8(line)) return this->line(from_latin1(line), number);
        if (line.find('\t') != std::string_view::npos) return row(parts_of(line, '\t'), number);
        for (const char by : {';', ','})
            if (whole.find(by) != std::string_view::npos) {
                for (const auto part : parts_of(whole, by)) one(part, number);
                return;
            }
        one(whole, number);
    }

    std::vector<ListedName> found;

private:
    /// Of a sheet's row: the cells that are names; else the first that fits in any way; else the first.
    void row(const std::vector<std::string_view>& cells, std::size_t number) {
        const auto before = found.size();
        for (const auto cell : cells)
            if (auto fits = matcher_.by_name(cell); !fits.empty()) add(cell, number, std::move(fits));
        if (found.size() > before || cells.empty()) return;
        for (const auto cell : cells)
            if (!matcher_.find(cell).empty() || range_of(cell)) return one(cell, number);
        one(cells.front(), number);
    }

    static std::optional<std::pair<std::uint64_t, std::uint64_t>> range_of(std::string_view text) {
        std::string dashes(text);
        for (const std::string_view dash : {"\u2013", "\u2014"})
            if (const auto at = dashes.find(dash); at != std::string::npos)
                dashes.replace(at, dash.size(), "-");
        const auto range = range_from_text(dashes);
        const bool is_range =
            range && dashes.find('-') != std::string::npos && range->second - range->first < longest_range;
        return is_range ? range : std::nullopt;
    }

    void one(std::string_view text, std::size_t number) {
        auto fits = matcher_.find(text);
        if (fits.empty())
            if (const auto range = range_of(text)) {
                for (auto value = range->first; value <= range->second; ++value)
                    add(std::to_string(value), number, matcher_.by_number(value));
                return;
            }
        add(text, number, std::move(fits));
    }

    void add(std::string_view text, std::size_t number, std::vector<std::size_t> fits) {
        found.push_back({std::string(text), number, std::move(fits)});
    }

    Matcher matcher_;
};

}  // namespace

std::vector<ListedName> match_list(std::string_view text, const std::vector<std::string>& names) {
    const std::string read = without_utf16(text);
    text = read;
    Reader reader(names);
    for (std::size_t number = 1; !text.empty(); ++number) {
        const auto end = text.find('\n');
        reader.line(text.substr(0, end), number);
        text = end == std::string_view::npos ? std::string_view{} : text.substr(end + 1);
    }
    return std::move(reader.found);
}

}  // namespace tavlo
