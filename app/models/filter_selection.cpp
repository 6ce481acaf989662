// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "models/filter_selection.h"

#include "text.h"

using namespace tavlo;

namespace {

std::optional<std::string> given(const QString& text) {
    return text.trimmed().isEmpty() ? std::nullopt : std::optional(to_bytes(text.trimmed()));
}

void take_changed(const FilterState& filter, CriteriaText& files) {
    switch (filter.changed) {
        case FilterState::Changed::any: return;
        case FilterState::Changed::today: files.changed_after = "this-day"; return;
        case FilterState::Changed::yesterday:
            files.changed_after = "last-day";
            files.changed_before = "this-day";
            return;
        case FilterState::Changed::this_week: files.changed_after = "this-week"; return;
        case FilterState::Changed::last_week:
            files.changed_after = "last-week";
            files.changed_before = "this-week";
            return;
        case FilterState::Changed::this_month: files.changed_after = "this-month"; return;
        case FilterState::Changed::last_month:
            files.changed_after = "last-month";
            files.changed_before = "this-month";
            return;
        case FilterState::Changed::this_year: files.changed_after = "this-year"; return;
        case FilterState::Changed::between: break;
    }
    files.changed_after = given(filter.changed_from);
    files.changed_before = given(filter.changed_until);
    const QDate day = QDate::fromString(filter.changed_until.trimmed(), Qt::ISODate);
    if (day.isValid())
        files.changed_before =
            to_bytes(day.addDays(1).toString(Qt::ISODate));  // "until 2 May" has that day in it
}

}  // namespace

std::optional<Selection> selection_of(const FilterState& filter) {
    if (filter.owner || !filter.mistakes().isEmpty()) return std::nullopt;
    Selection what;
    CriteriaText& files = what.files;
    if (const auto words = given(filter.words)) {
        if (filter.regex)
            files.regex = (filter.match_case ? "" : "(?i)") + *words;
        else if (filter.match_case)
            return std::nullopt;
        else
            files.filter = words;
    }
    for (const QString& kind : filter.kinds) files.kind.push_back(to_bytes(kind));
    files.larger = given(filter.larger);
    files.smaller = filter.only_empty ? std::optional<std::string>("1") : given(filter.smaller);
    take_changed(filter, files);
    const bool has_range = !filter.number_from.isEmpty() || !filter.number_to.isEmpty();
    if (has_range && filter.parity != Parity::any) return std::nullopt;
    if (filter.parity != Parity::any) files.number = filter.parity == Parity::even ? "even" : "odd";
    if (has_range) {
        const std::string from = given(filter.number_from).value_or("0");
        const std::string to = given(filter.number_to).value_or("18446744073709551615");
        files.number = from;
        files.number->append("-").append(to);
    }
    for (const QString& name : filter.not_below.split(QLatin1Char(','), Qt::SkipEmptyParts))
        if (const auto one = given(name)) what.not_below.push_back(*one);
    return what;
}
