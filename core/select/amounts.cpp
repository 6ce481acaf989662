// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "select/amounts.h"

#include <charconv>
#include <cmath>
#include <ctime>
#include <string>

#include "files/characters.h"
#include "files/types.h"
#include "select/numbers.h"

namespace tavlo {

namespace {

std::optional<std::uint64_t> number(std::string_view text) {
    std::uint64_t value = 0;
    if (!is_number(text)) return std::nullopt;
    if (std::from_chars(text.data(), text.data() + text.size(), value).ec != std::errc()) return std::nullopt;
    return value;
}

/// Exactly so many digits at the start, which are taken off.
std::optional<int> digits(std::string_view& text, std::size_t count) {
    const auto value = number(text.substr(0, count));
    if (!value || text.size() < count) return std::nullopt;
    text.remove_prefix(count);
    return static_cast<int>(*value);
}

bool taken(std::string_view& text, std::string_view any_of) {
    if (text.empty() || any_of.find(text.front()) == std::string_view::npos) return false;
    text.remove_prefix(1);
    return true;
}

/// When a day, week, month or year began, or the one before; a week begins on Monday, as ISO 8601 has it.
std::optional<std::int64_t> start_from_words(std::string_view text, std::int64_t now_ns) {
    const std::time_t seconds = now_ns / second_ns;
    std::tm time{};
    ::localtime_r(&seconds, &time);
    time.tm_hour = time.tm_min = time.tm_sec = 0;
    time.tm_isdst = -1;
    const int since_monday = (time.tm_wday + 6) % 7;
    if (text == "last-day")
        time.tm_mday -= 1;
    else if (text == "this-week")
        time.tm_mday -= since_monday;
    else if (text == "last-week")
        time.tm_mday -= since_monday + 7;
    else if (text == "this-month")
        time.tm_mday = 1;
    else if (text == "last-month")
        time.tm_mon -= 1, time.tm_mday = 1;
    else if (text == "this-year")
        time.tm_mon = 0, time.tm_mday = 1;
    else if (text != "this-day")
        return std::nullopt;
    return std::int64_t{std::mktime(&time)} * second_ns;
}

}  // namespace

std::optional<std::uint64_t> size_from_text(std::string_view text) {
    text = trimmed(text);
    if (!text.empty() && (text.back() == 'B' || text.back() == 'b')) text.remove_suffix(1);
    std::uint64_t unit = 1;
    static constexpr std::string_view units = "KMGTP";
    if (!text.empty()) {
        const char last = static_cast<char>(text.back() >= 'a' ? text.back() - 'a' + 'A' : text.back());
        if (const auto power = units.find(last); power != std::string_view::npos) {
            unit = std::uint64_t{1} << (10 * (power + 1));
            text.remove_suffix(1);
        }
    }
    text = trimmed(text);
    const auto dot = text.find('.');
    const auto whole = number(text.substr(0, dot));
    if (!whole || *whole > UINT64_MAX / unit) return std::nullopt;
    std::uint64_t bytes = *whole * unit;
    if (dot != std::string_view::npos) {
        const auto rest = text.substr(dot + 1);
        const auto part = number(rest);
        if (!part || unit == 1 || rest.size() > 15) return std::nullopt;
        bytes +=
            static_cast<std::uint64_t>(std::llround(static_cast<double>(unit) * static_cast<double>(*part) /
                                                    std::pow(10.0, static_cast<double>(rest.size()))));
    }
    return bytes;
}

std::optional<std::int64_t> time_from_text(std::string_view text, std::int64_t now_ns) {
    text = trimmed(text);
    if (text.ends_with('d')) {
        const auto days = number(text.substr(0, text.size() - 1));
        if (!days || *days > 100'000) return std::nullopt;
        return now_ns - static_cast<std::int64_t>(*days) * 86'400 * second_ns;
    }
    if (const auto start = start_from_words(text, now_ns)) return start;
    std::tm time{};
    const auto year = digits(text, 4);
    const auto month = year && taken(text, "-") ? digits(text, 2) : std::nullopt;
    const auto day = month && taken(text, "-") ? digits(text, 2) : std::nullopt;
    if (!day) return std::nullopt;
    time.tm_year = *year - 1900;
    time.tm_mon = *month - 1;
    time.tm_mday = *day;
    time.tm_isdst = -1;
    if (!text.empty()) {
        const auto hour = taken(text, "T ") ? digits(text, 2) : std::nullopt;
        const auto minute = hour && taken(text, ":") ? digits(text, 2) : std::nullopt;
        if (!minute || *hour > 23 || *minute > 59) return std::nullopt;
        time.tm_hour = *hour;
        time.tm_min = *minute;
        if (taken(text, ":")) {
            const auto second = digits(text, 2);
            if (!second || *second > 59) return std::nullopt;
            time.tm_sec = *second;
        }
    }
    if (!text.empty()) return std::nullopt;
    const std::time_t seconds = std::mktime(&time);  // moves 31 April on to 1 May, which is then seen
    if (time.tm_mon != *month - 1 || time.tm_mday != *day) return std::nullopt;
    return std::int64_t{seconds} * second_ns;
}

std::optional<std::pair<std::uint64_t, std::uint64_t>> range_from_text(std::string_view text) {
    text = trimmed(text);
    const auto dash = text.find('-');
    const auto from = number(trimmed(text.substr(0, dash)));
    const auto to = dash == std::string_view::npos ? from : number(trimmed(text.substr(dash + 1)));
    if (!from || !to || *from > *to) return std::nullopt;
    return std::pair(*from, *to);
}

}  // namespace tavlo
