// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "select/criteria_text.h"

#include "files/path.h"
#include "select/amounts.h"

namespace tavlo {

namespace {

constexpr const char* a_size = "a SIZE as 500, 20K, 1.5M";
constexpr const char* a_date = "a date as 2031-05-02 or 2031-05-02T09:00, or 30d, or last-month";
constexpr const char* a_range = "a range as 120-135, or even, or odd";

/// Puts into `out` what a text says, where there is one.
template <class Value, class Parse>
Result<void> read(const char* member, const std::optional<std::string>& text, std::optional<Value>& out,
                  Parse parse, const char* wanted) {
    if (!text) return {};
    out = parse(*text);
    if (out) return {};
    return failure(Fault::refused, std::string("wants ") + wanted + ", not '" + printable(*text) + "'",
                   member);
}

}  // namespace

Result<Criteria> criteria_from(const CriteriaText& text, std::int64_t now_ns) {
    const auto time = [now_ns](const std::string& one) { return time_from_text(one, now_ns); };
    Criteria wanted;
    wanted.names = text.name;
    wanted.not_names = text.not_name;
    wanted.kinds = text.kind;
    wanted.regex = text.regex.value_or("");
    if (text.regex && text.regex->empty()) return failure(Fault::refused, "wants an expression", "regex");
    if (text.filter) {
        wanted.words = *text.filter;
        wanted.match_case = false;
        if (text.regex) wanted.regex = "(?-i)" + *text.regex;  // to which it matters all the same
    }
    if (text.number == "even") wanted.parity = Parity::even;
    if (text.number == "odd") wanted.parity = Parity::odd;
    for (auto read_one : {read("larger", text.larger, wanted.larger_than, size_from_text, a_size),
                          read("smaller", text.smaller, wanted.smaller_than, size_from_text, a_size),
                          read("changed_after", text.changed_after, wanted.changed_from_ns, time, a_date),
                          read("changed_before", text.changed_before, wanted.changed_before_ns, time, a_date),
                          text.number == "even" || text.number == "odd"
                              ? Result<void>{}
                              : read("number", text.number, wanted.number, range_from_text, a_range)})
        if (!read_one) return failure(read_one.error());
    return wanted;
}

}  // namespace tavlo
