// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "job_words.h"

#include <QCoreApplication>
#include <QLocale>
#include <QRegularExpression>
#include <algorithm>
#include <array>

#include "files/path.h"
#include "sentence.h"
#include "text.h"
#include "wording.h"

using namespace tavlo;

namespace {

struct Words {
    Q_DECLARE_TR_FUNCTIONS(JobWords)
};

struct DatePart {
    QString word;         ///< in braces
    const char* pattern;  ///< strftime(3)
};

/// In the order in which they are offered. The words are typed, so they are translated as one word each.
std::vector<DatePart> date_parts() {
    return {{Words::tr("year"), "%Y"},   {Words::tr("month"), "%m"}, {Words::tr("day"), "%d"},
            {Words::tr("week"), "%V"},   {Words::tr("date"), "%F"},  {Words::tr("hour"), "%H"},
            {Words::tr("minute"), "%M"}, {Words::tr("time"), "%T"}};
}

/// A format as its words; empty where it holds what there is no word for.
QString in_words_of_dates(const QString& format) {
    QString text;
    for (qsizetype at = 0; at < format.size(); ++at) {
        if (format[at] != QLatin1Char('%')) {
            text += format[at];
            continue;
        }
        const auto parts = date_parts();
        const auto part = std::find_if(parts.begin(), parts.end(), [&](const DatePart& one) {
            return QLatin1String(one.pattern) == format.mid(at, 2);
        });
        if (part == parts.end()) return {};
        text += QLatin1Char('{') + part->word + QLatin1Char('}');
        ++at;
    }
    return text;
}

/// "30d" as a number; -1: it is something else
int days_in(const std::string& when) {
    if (!when.ends_with('d')) return -1;
    bool ok = false;
    const int days = QString::fromStdString(when.substr(0, when.size() - 1)).toInt(&ok);
    return ok ? days : -1;
}

QString moment_words(const std::string& when) {
    for (const auto& [word, text] :
         {std::pair("this-day", Words::tr("today")), std::pair("last-day", Words::tr("yesterday")),
          std::pair("this-week", Words::tr("this Monday")),
          std::pair("last-week", Words::tr("Monday last week")),
          std::pair("this-month", Words::tr("the first of this month")),
          std::pair("last-month", Words::tr("the first of last month")),
          std::pair("this-year", Words::tr("the first of this year"))})
        if (when == word) return text;
    return shown(when);
}

QString changed_range(const CriteriaText& files) {
    const std::string after = files.changed_after.value_or("");
    const std::string before = files.changed_before.value_or("");
    if (after == "last-day" && before == "this-day") return Words::tr("changed yesterday");
    if (after == "last-week" && before == "this-week") return Words::tr("changed last week");
    if (after == "last-month" && before == "this-month") return Words::tr("changed last month");
    QStringList parts;
    if (const int days = days_in(after); days >= 0)
        parts << Words::tr("changed in the last %Ln days", nullptr, days);
    else if (after == "this-day")
        parts << Words::tr("changed today");
    else if (!after.empty())
        parts << Words::tr("changed since %1").arg(moment_words(after));
    if (const int days = days_in(before); days >= 0)
        parts << Words::tr("not changed for %Ln days", nullptr, days);
    else if (!before.empty())
        parts << Words::tr("changed before %1").arg(moment_words(before));
    return parts.join(QStringLiteral(", "));
}

QString joined(const std::vector<std::string>& all) {
    QStringList list;
    for (const auto& one : all) list << shown(one);
    return list.join(QStringLiteral(", "));
}

QString place_words(const std::string& pattern, int parts) {
    return short_path(place_as_typed(pattern).toStdString(), parts);
}

/// What is taken, in place of a count: nobody has counted it yet.
QString taken_words(const Job& job) {
    const Selection& what = job.what;
    const auto several = static_cast<int>(what.sources.size());
    const QString place =
        several == 1 ? place_words(what.sources.front(), 2) : Words::tr("%Ln places", nullptr, several);
    const QString which = selection_words(what);
    if (what.folders_larger)
        return Words::tr("folders over %1 in %2").arg(shown(*what.folders_larger), place);
    if (what.empty_folders) return Words::tr("empty folders in %1").arg(place);
    if (what.chooses_files()) return Words::tr("files in %1 (%2)").arg(place, which);
    if (job.structure.contents) return Words::tr("what is in %1").arg(place);
    if (several == 1) return place;
    return Words::tr("%Ln things", nullptr, several);
}

}  // namespace

QString place_as_typed(const std::string& pattern) {
    QString text = shown(pattern);
    static const QRegularExpression moment(QStringLiteral("\\{now:([^{}]*)\\}"));
    // "{now:%Y-%m}" is "{year}-{month}", where there is a word for each part of it
    for (auto found = moment.match(text); found.hasMatch();
         found = moment.match(text, found.capturedStart() + 1)) {
        const QString words = in_words_of_dates(found.captured(1));
        if (!words.isEmpty()) text.replace(found.capturedStart(), found.capturedLength(), words);
    }
    return text.replace(QLatin1String("{now}"), QLatin1Char('{') + Words::tr("date") + QLatin1Char('}'));
}

std::string place_from_typed(const QString& typed) {
    QString text = typed.trimmed();
    for (const auto& [word, part] : date_parts())
        text.replace(QLatin1Char('{') + word + QLatin1Char('}'),
                     QStringLiteral("{now:%1}").arg(QLatin1String(part)));
    return to_bytes(text);
}

QStringList date_words() {
    QStringList words;
    for (const DatePart& part : date_parts()) words << QLatin1Char('{') + part.word + QLatin1Char('}');
    return words;
}

QString selection_words(const Selection& what) {
    const CriteriaText& files = what.files;
    QStringList parts;
    if (!files.name.empty()) parts << joined(files.name);
    if (files.filter) parts << Words::tr("\u201c%1\u201d").arg(shown(*files.filter));
    if (!files.kind.empty()) parts << joined(files.kind);
    if (!files.not_name.empty()) parts << Words::tr("not %1").arg(joined(files.not_name));
    if (files.larger) parts << Words::tr("over %1").arg(shown(*files.larger));
    if (files.smaller)
        parts << (*files.smaller == "1" ? Words::tr("empty")
                                        : Words::tr("under %1").arg(shown(*files.smaller)));
    if (const QString changed = changed_range(files); !changed.isEmpty()) parts << changed;
    if (files.regex) parts << Words::tr("fitting %1").arg(shown(*files.regex));
    if (files.number == "even" || files.number == "odd")
        parts << (*files.number == "even" ? Words::tr("with even numbers") : Words::tr("with odd numbers"));
    else if (files.number)
        parts << Words::tr("with numbers %1").arg(shown(*files.number));
    if (!files.with.empty()) parts << joined(files.with);
    if (!what.not_below.empty()) parts << Words::tr("not in folders %1").arg(joined(what.not_below));
    if (what.list) parts << Words::tr("named in %1").arg(short_path(*what.list, 1));
    return parts.join(QStringLiteral(", "));
}

QString step_sentence(const JobStep& step) {
    if (const auto* note = std::get_if<Note>(&step.what))
        return Words::tr("Write a line into %1: %2")
            .arg(place_words(note->file, 2), place_as_typed(note->line));
    Job said = std::get<Job>(step.what);
    InHand batch;
    batch.whole = taken_words(said);
    said.structure.contents = false;  // that is said by then
    said.into = to_bytes(place_as_typed(said.into));
    return job_sentence(said, batch);
}

QString concern_words(const Concern& concern) {
    const QString step = Words::tr("Step %1").arg(concern.step + 1);
    switch (concern.about) {
        case Concern::About::source_is_missing:
            return Words::tr("%1: %2 is not there just now.").arg(step, shown(concern.path));
        case Concern::About::leaves_undecided: {
            QStringList names;
            for (const Finding finding : concern.findings) names << finding_words(finding);
            return Words::tr("%1: %Ln kinds of collision (%2) will stay as they are until you look.", nullptr,
                             static_cast<int>(concern.findings.size()))
                .arg(step, names.join(QStringLiteral(", ")));
        }
    }
    return {};
}

QString ending_words(Ending ending) {
    switch (ending) {
        case Ending::done: return Words::tr("done");
        case Ending::some_failed: return Words::tr("some failed");
        case Ending::refused: return Words::tr("refused");
        case Ending::some_undecided: return Words::tr("some undecided");
        case Ending::stopped: return Words::tr("stopped");
    }
    return {};
}

QString calendar_words(const std::string& expression) {
    const QString text = QString::fromStdString(expression).simplified();
    static const QRegularExpression parts(QStringLiteral("^(?:(\\S+) )?(\\d{1,2}:\\d{2})(?::00)?$"));
    const auto found = parts.match(text);
    if (!found.hasMatch()) return Words::tr("by the calendar: %1").arg(text);
    const QString days = found.captured(1);
    const QString time = found.captured(2);
    if (days.isEmpty() || days == QLatin1String("*-*-*")) return Words::tr("every day at %1").arg(time);
    if (days == QLatin1String("Mon..Fri")) return Words::tr("every working day at %1").arg(time);
    if (days == QLatin1String("*-*-01")) return Words::tr("the first of each month at %1").arg(time);
    static constexpr std::array weekdays{"Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"};
    for (std::size_t day = 0; day < weekdays.size(); ++day)
        if (days == QLatin1String(weekdays[day]))
            return Words::tr("every %1 at %2")
                .arg(QLocale().dayName(static_cast<int>(day) + 1, QLocale::LongFormat), time);
    return Words::tr("by the calendar: %1").arg(text);
}

QString schedule_words(const Schedule& schedule) {
    return schedule.calendar ? calendar_words(*schedule.calendar)
                             : Words::tr("when something arrives where it takes from");
}
