// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "models/filter_state.h"

#include <QCoreApplication>
#include <QDateTime>
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>
#include <limits>

#include "select/amounts.h"
#include "select/numbers.h"
#include "text.h"

using tavlo::Criteria;
using tavlo::Parity;

namespace {

struct FilterWords {
    Q_DECLARE_TR_FUNCTIONS(FilterState)
};

std::optional<std::uint64_t> size_of(const QString& text) {
    return tavlo::size_from_text(text.toStdString());
}

std::optional<std::uint64_t> number_of(const QString& text) {
    const auto range = tavlo::range_from_text(text.toStdString());
    return range && range->first == range->second ? std::optional(range->first) : std::nullopt;
}

std::optional<std::int64_t> time_of(const QString& text) {
    return tavlo::time_from_text(text.toStdString(), QDateTime::currentMSecsSinceEpoch() * 1'000'000);
}

std::int64_t start_of(const QDate& day) { return day.startOfDay().toMSecsSinceEpoch() * 1'000'000; }

/// The days from the first, in it, to the second, not in it.
std::pair<QDate, QDate> days(FilterState::Changed when, const QDate& today) {
    const QDate monday = today.addDays(1 - today.dayOfWeek());
    const QDate first(today.year(), today.month(), 1);
    switch (when) {
        case FilterState::Changed::today: return {today, today.addDays(1)};
        case FilterState::Changed::yesterday: return {today.addDays(-1), today};
        case FilterState::Changed::this_week: return {monday, monday.addDays(7)};
        case FilterState::Changed::last_week: return {monday.addDays(-7), monday};
        case FilterState::Changed::this_month: return {first, first.addMonths(1)};
        case FilterState::Changed::last_month: return {first.addMonths(-1), first};
        case FilterState::Changed::this_year:
            return {QDate(today.year(), 1, 1), QDate(today.year() + 1, 1, 1)};
        case FilterState::Changed::any:
        case FilterState::Changed::between: break;
    }
    return {};
}

}  // namespace

QString changed_words(FilterState::Changed when) {
    switch (when) {
        case FilterState::Changed::any: return FilterWords::tr("at any time");
        case FilterState::Changed::today: return FilterWords::tr("today");
        case FilterState::Changed::yesterday: return FilterWords::tr("yesterday");
        case FilterState::Changed::this_week: return FilterWords::tr("this week");
        case FilterState::Changed::last_week: return FilterWords::tr("last week");
        case FilterState::Changed::this_month: return FilterWords::tr("this month");
        case FilterState::Changed::last_month: return FilterWords::tr("last month");
        case FilterState::Changed::this_year: return FilterWords::tr("this year");
        case FilterState::Changed::between: return FilterWords::tr("between two dates");
    }
    return {};
}

bool FilterState::isEmpty() const {
    FilterState nothing;
    nothing.regex = regex;  // ways of reading, which ask for nothing by themselves
    nothing.match_case = match_case;
    return *this == nothing;
}

Criteria FilterState::criteria(const QDate& today) const {
    Criteria wanted;
    (regex ? wanted.regex : wanted.words) = to_bytes(words);
    wanted.match_case = match_case;
    for (const QString& kind : kinds) wanted.kinds.push_back(to_bytes(kind));
    if (!larger.isEmpty()) wanted.larger_than = size_of(larger);
    if (!smaller.isEmpty()) wanted.smaller_than = size_of(smaller);
    wanted.only_empty = only_empty;
    if (changed == Changed::between) {
        if (!changed_from.isEmpty()) wanted.changed_from_ns = time_of(changed_from);
        if (!changed_until.isEmpty()) {
            wanted.changed_before_ns = time_of(changed_until);
            const QDate day = QDate::fromString(changed_until.trimmed(), Qt::ISODate);
            if (day.isValid())
                wanted.changed_before_ns = start_of(day.addDays(1));  // "until 2 May" has that day in it
        }
    } else if (changed != Changed::any) {
        const auto [from, before] = days(changed, today);
        wanted.changed_from_ns = start_of(from);
        wanted.changed_before_ns = start_of(before);
    }
    if (!number_from.isEmpty() || !number_to.isEmpty()) {
        const auto from = number_from.isEmpty() ? std::optional<std::uint64_t>(0) : number_of(number_from);
        const auto to = number_to.isEmpty() ? std::optional(std::numeric_limits<std::uint64_t>::max())
                                            : number_of(number_to);
        if (from && to) wanted.number = {*from, *to};
    }
    wanted.parity = parity;
    wanted.owner = owner;
    for (const QString& name : not_below.split(QLatin1Char(','), Qt::SkipEmptyParts))
        if (!name.trimmed().isEmpty()) wanted.not_below.push_back(to_bytes(name.trimmed()));
    return wanted;
}

QStringList FilterState::mistakes() const {
    QStringList wrong;
    const auto check = [&](const char* field, const QString& text, bool good) {
        if (!text.isEmpty() && !good) wrong << QLatin1String(field);
    };
    check("larger", larger, size_of(larger).has_value());
    check("smaller", smaller, size_of(smaller).has_value());
    check("changed_from", changed_from, time_of(changed_from).has_value());
    check("changed_until", changed_until, time_of(changed_until).has_value());
    check("number_from", number_from, number_of(number_from).has_value());
    check("number_to", number_to, number_of(number_to).has_value());
    return wrong;
}

QString FilterState::kindText() const { return kinds.join(QStringLiteral(", ")); }

QString FilterState::sizeText() const {
    if (only_empty) return FilterWords::tr("empty");
    if (!larger.isEmpty() && !smaller.isEmpty()) return FilterWords::tr("%1 to %2").arg(larger, smaller);
    if (!larger.isEmpty()) return FilterWords::tr("over %1").arg(larger);
    if (!smaller.isEmpty()) return FilterWords::tr("under %1").arg(smaller);
    return {};
}

QString FilterState::changedText() const {
    if (changed == Changed::any) return {};
    if (changed != Changed::between) return changed_words(changed);
    if (!changed_from.isEmpty() && !changed_until.isEmpty())
        return FilterWords::tr("%1 to %2").arg(changed_from, changed_until);
    if (!changed_from.isEmpty()) return FilterWords::tr("since %1").arg(changed_from);
    if (!changed_until.isEmpty()) return FilterWords::tr("until %1").arg(changed_until);
    return {};
}

QString FilterState::numberText() const {
    QStringList parts;
    if (!number_from.isEmpty() && !number_to.isEmpty())
        parts << FilterWords::tr("%1 to %2").arg(number_from, number_to);
    else if (!number_from.isEmpty())
        parts << FilterWords::tr("from %1").arg(number_from);
    else if (!number_to.isEmpty())
        parts << FilterWords::tr("up to %1").arg(number_to);
    if (parity == Parity::odd) parts << FilterWords::tr("odd");
    if (parity == Parity::even) parts << FilterWords::tr("even");
    return parts.join(QStringLiteral(", "));
}

QString FilterState::toText() const {
    QJsonObject json{{QStringLiteral("words"), words},
                     {QStringLiteral("regex"), regex},
                     {QStringLiteral("case"), match_case},
                     {QStringLiteral("kinds"), QJsonArray::fromStringList(kinds)},
                     {QStringLiteral("larger"), larger},
                     {QStringLiteral("smaller"), smaller},
                     {QStringLiteral("empty"), only_empty},
                     {QStringLiteral("changed"), static_cast<int>(changed)},
                     {QStringLiteral("from"), changed_from},
                     {QStringLiteral("until"), changed_until},
                     {QStringLiteral("number_from"), number_from},
                     {QStringLiteral("number_to"), number_to},
                     {QStringLiteral("parity"), static_cast<int>(parity)}};
    if (owner) json[QStringLiteral("owner")] = static_cast<qint64>(*owner);
    if (!not_below.isEmpty()) json[QStringLiteral("notBelow")] = not_below;
    return QString::fromUtf8(QJsonDocument(json).toJson(QJsonDocument::Compact));
}

FilterState FilterState::fromText(const QString& text) {
    const QJsonObject json = QJsonDocument::fromJson(text.toUtf8()).object();
    FilterState state;
    state.words = json[QStringLiteral("words")].toString();
    state.regex = json[QStringLiteral("regex")].toBool();
    state.match_case = json[QStringLiteral("case")].toBool();
    for (const auto& kind : json[QStringLiteral("kinds")].toArray()) state.kinds << kind.toString();
    state.larger = json[QStringLiteral("larger")].toString();
    state.smaller = json[QStringLiteral("smaller")].toString();
    state.only_empty = json[QStringLiteral("empty")].toBool();
    const int changed = json[QStringLiteral("changed")].toInt();
    if (changed >= 0 && changed <= static_cast<int>(Changed::between))
        state.changed = static_cast<Changed>(changed);
    state.changed_from = json[QStringLiteral("from")].toString();
    state.changed_until = json[QStringLiteral("until")].toString();
    state.number_from = json[QStringLiteral("number_from")].toString();
    state.number_to = json[QStringLiteral("number_to")].toString();
    const int parity = json[QStringLiteral("parity")].toInt();
    if (parity >= 0 && parity <= static_cast<int>(Parity::even)) state.parity = static_cast<Parity>(parity);
    state.not_below = json[QStringLiteral("notBelow")].toString();
    if (json.contains(QStringLiteral("owner")))
        state.owner = static_cast<std::uint32_t>(json[QStringLiteral("owner")].toInteger());
    return state;
}
