// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "text.h"

#include <QCoreApplication>
#include <QDateTime>
#include <QLocale>
#include <QStringList>
#include <QTimeZone>
#include <chrono>
#include <cstdlib>

#include "files/path.h"

namespace {

struct Text {
    Q_DECLARE_TR_FUNCTIONS(Text)
};

/// As clocks here have it. Without a zone of its own each date would look at a file whether people have moved
/// (tzset(3)), on the window's thread; now it is one in so many seconds.
QDateTime local_time(std::int64_t ns) {
    using Clock = std::chrono::steady_clock;
    thread_local QTimeZone zone;
    thread_local Clock::time_point known_at;
    if (const auto now = Clock::now(); !zone.isValid() || now - known_at > std::chrono::seconds(10)) {
        zone = QTimeZone::systemTimeZone();
        known_at = now;
    }
    const qint64 ms = ns / 1'000'000;
    return zone.isValid() ? QDateTime::fromMSecsSinceEpoch(ms, zone) : QDateTime::fromMSecsSinceEpoch(ms);
}

}  // namespace

QString shown(std::string_view bytes) {
    return QString::fromStdString(tavlo::to_utf8(tavlo::printable(bytes)));
}

std::string to_bytes(const QString& text) { return text.toStdString(); }

QString short_path(const std::string& path, int parts) {
    const QStringList all = shown(path).split('/', Qt::SkipEmptyParts);
    if (all.isEmpty()) return QStringLiteral("/");
    return all.mid(std::max(qsizetype{0}, all.size() - parts)).join(QStringLiteral(" / "));
}

QString size_text(std::uint64_t bytes) {
    static constexpr const char* units[] = {QT_TRANSLATE_NOOP("Text", "KB"), QT_TRANSLATE_NOOP("Text", "MB"),
                                            QT_TRANSLATE_NOOP("Text", "GB"), QT_TRANSLATE_NOOP("Text", "TB"),
                                            QT_TRANSLATE_NOOP("Text", "PB")};
    if (bytes < 1024) return Text::tr("%Ln B", nullptr, static_cast<int>(bytes));
    double value = static_cast<double>(bytes);
    int unit = -1;
    while (value >= 1024 && unit < 4) {
        value /= 1024;
        ++unit;
    }
    return QLocale().toString(value, 'f', value < 10 ? 1 : 0) + QChar(0xa0) + Text::tr(units[unit]);
}

QString date_text(std::int64_t ns) {
    const QDateTime date = local_time(ns);
    const bool this_year =
        date.date().year() == local_time(QDateTime::currentMSecsSinceEpoch() * 1'000'000).date().year();
    //: a date in the order of the language, and a clock; see QDateTime::toString()
    return QLocale().toString(date, this_year ? Text::tr("d MMM hh:mm") : Text::tr("d MMM yyyy hh:mm"));
}

QString date_text_full(std::int64_t ns) {
    return QLocale().toString(local_time(ns), Text::tr("d MMMM yyyy, hh:mm:ss"));
}

QString duration_text(std::int64_t ns) {
    const auto seconds = std::abs(ns) / 1'000'000'000;
    if (seconds < 1) return Text::tr("less than a second");
    if (seconds < 90) return Text::tr("%Ln s", nullptr, static_cast<int>(seconds));
    if (seconds < 90 * 60) return Text::tr("%Ln min", nullptr, static_cast<int>(seconds / 60));
    if (seconds < 48 * 3600) return Text::tr("%Ln h", nullptr, static_cast<int>(seconds / 3600));
    return Text::tr("%Ln days", nullptr, static_cast<int>(seconds / 86400));
}

QString difference_text(const tavlo::FileState& incoming, const tavlo::FileState& held) {
    QStringList parts;
    const auto gap = incoming.id.modified_ns - held.id.modified_ns;
    if (gap > 0) parts << Text::tr("%1 newer").arg(duration_text(gap));
    if (gap < 0) parts << Text::tr("%1 older").arg(duration_text(gap));
    if (gap == 0) parts << Text::tr("same date");
    if (incoming.type == tavlo::FileType::file && held.type == tavlo::FileType::file) {
        const auto a = incoming.id.size_bytes;
        const auto b = held.id.size_bytes;
        if (a > b) parts << Text::tr("%1 larger").arg(size_text(a - b));
        if (a < b) parts << Text::tr("%1 smaller").arg(size_text(b - a));
        if (a == b) parts << Text::tr("same size");
    }
    return parts.join(QStringLiteral(", "));
}

QString count_text(std::uint64_t count) { return QLocale().toString(static_cast<qulonglong>(count)); }
