// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "fact_words.h"

#include <QCoreApplication>
#include <QStringList>
#include <algorithm>
#include <iterator>

#include "text.h"

using namespace tavlo;

namespace {

struct Facts {
    Q_DECLARE_TR_FUNCTIONS(Facts)
};

/// "%1 taken", for a part of a date.
QString of_date(std::string_view fact, const QString& part) {
    if (fact == "taken") return Facts::tr("%1 taken").arg(part);
    if (fact == "created") return Facts::tr("%1 begun").arg(part);
    return Facts::tr("%1 of change").arg(part);
}

}  // namespace

QString fact_words(std::string_view fact) {
    const std::pair<const char*, QString> all[] = {
        {"name", Facts::tr("name")},
        {"ext", Facts::tr("extension")},
        {"initial", Facts::tr("first letter")},
        {"kind", Facts::tr("kind")},
        {"folder", Facts::tr("folder it lies in")},
        {"folders", Facts::tr("its own folders")},
        {"changed", Facts::tr("date of change")},
        {"date", Facts::tr("day of change")},
        {"time", Facts::tr("time of change")},
        {"owner", Facts::tr("owner")},
        {"size", Facts::tr("size in bytes")},
        {"number", Facts::tr("last number in the name")},
        {"n", Facts::tr("counter")},
        {"now", Facts::tr("date of the run")},
        {"taken", Facts::tr("date taken")},
        {"camera", Facts::tr("camera")},
        {"country", Facts::tr("country")},
        {"town", Facts::tr("town")},
        {"width", Facts::tr("width in pixels")},
        {"height", Facts::tr("height in pixels")},
        {"artist", Facts::tr("artist")},
        {"album", Facts::tr("album")},
        {"title", Facts::tr("title")},
        {"genre", Facts::tr("genre")},
        {"year", Facts::tr("year of the recording")},
        {"track", Facts::tr("track")},
        {"author", Facts::tr("author")},
        {"company", Facts::tr("company")},
        {"subject", Facts::tr("subject")},
        {"created", Facts::tr("date begun")},
    };
    const auto* found =
        std::find_if(std::begin(all), std::end(all), [&](const auto& one) { return one.first == fact; });
    return found == std::end(all) ? shown(std::string(fact)) : found->second;
}

QString fact_group_words(KnownFact::Of of) {
    switch (of) {
        case KnownFact::Of::all: return Facts::tr("Of any file");
        case KnownFact::Of::pictures: return Facts::tr("Of pictures");
        case KnownFact::Of::sound: return Facts::tr("Of sound");
        case KnownFact::Of::documents: return Facts::tr("Of documents");
    }
    return {};
}

std::vector<DateFormat> date_formats() {
    return {{"%Y", Facts::tr("year")},      {"%Y-%m", Facts::tr("year and month")},
            {"%Y-%m-%d", Facts::tr("day")}, {"%Y-Q%q", Facts::tr("quarter")},
            {"%G-W%V", Facts::tr("week")},  {"%m", Facts::tr("month alone")}};
}

QString level_words(const FolderLevel& level) {
    if (level.fact.empty()) return QStringLiteral("“%1”").arg(shown(level.text));
    const KnownFact* known = known_fact(level.fact);
    QString words = fact_words(level.fact);
    if (known != nullptr && known->kind == KnownFact::Kind::moment && level.fact != "time") {
        const std::string format = level.format.empty() ? std::string(known->usual_format) : level.format;
        const auto formats = date_formats();
        const auto found = std::find_if(formats.begin(), formats.end(),
                                        [&](const DateFormat& one) { return format == one.format; });
        if (found != formats.end() && level.fact != "now") words = of_date(level.fact, found->words);
    }
    return level.or_else.empty() ? words : Facts::tr("%1, or else %2").arg(words, fact_words(level.or_else));
}

QString levels_words(std::string_view pattern) {
    QStringList words;
    for (const FolderLevel& level : folder_levels(pattern)) words << level_words(level);
    return words.join(Facts::tr(", then "));
}
