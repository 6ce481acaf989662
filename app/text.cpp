// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "text.h"

#include <QCoreApplication>
#include <QDateTime>
#include <QFontMetrics>
#include <QLocale>
#include <QPainter>
#include <QStringList>
#include <cstdlib>

#include "files/path.h"

namespace {

struct Text {
    Q_DECLARE_TR_FUNCTIONS(Text)
};

}  // namespace

QString shown(std::string_view bytes) { return QString::fromStdString(tavlo::to_utf8(tavlo::printable(bytes))); }

std::string to_bytes(const QString& text) { return text.toStdString(); }

QString short_path(const std::string& path, int parts) {
    const QStringList all = shown(path).split('/', Qt::SkipEmptyParts);
    if (all.isEmpty()) return QStringLiteral("/");
    return all.mid(std::max(qsizetype{0}, all.size() - parts)).join(QStringLiteral(" / "));
}

QString size_text(std::uint64_t bytes) {
    static constexpr const char* units[] = {"KB", "MB", "GB", "TB", "PB"};
    if (bytes < 1024) return Text::tr("%Ln B", nullptr, static_cast<int>(bytes));
    double value = static_cast<double>(bytes);
    int unit = -1;
    while (value >= 1024 && unit < 4) {
        value /= 1024;
        ++unit;
    }
    return QLocale().toString(value, 'f', value < 10 ? 1 : 0) + QChar(0xa0) + QLatin1String(units[unit]);
}

QString date_text(std::int64_t ns) {
    const QDateTime date = QDateTime::fromMSecsSinceEpoch(ns / 1'000'000);
    const bool this_year = date.date().year() == QDate::currentDate().year();
    return QLocale().toString(date, this_year ? QStringLiteral("d MMM hh:mm") : QStringLiteral("d MMM yyyy hh:mm"));
}

QString date_text_full(std::int64_t ns) {
    return QLocale().toString(QDateTime::fromMSecsSinceEpoch(ns / 1'000'000), QStringLiteral("d MMMM yyyy, hh:mm:ss"));
}

QString duration_text(std::int64_t ns) {
    const auto seconds = std::abs(ns) / 1'000'000'000;
    if (seconds < 1) return Text::tr("less than a second");
    if (seconds < 90) return Text::tr("%Ln s", nullptr, static_cast<int>(seconds));
    if (seconds < 90 * 60) return Text::tr("%Ln min", nullptr, static_cast<int>(seconds / 60));
    if (seconds < 48 * 3600) return Text::tr("%Ln h", nullptr, static_cast<int>(seconds / 3600));
    return Text::tr("%Ln days", nullptr, static_cast<int>(seconds / 86400));
}

QString difference_text(const tavlo::Status& incoming, const tavlo::Status& held) {
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

void draw_tabular(QPainter& painter, const QRect& rect, Qt::Alignment alignment, const QString& text) {
    const QFontMetrics metrics = painter.fontMetrics();
    int digit = 0;
    for (char c = '0'; c <= '9'; ++c) digit = std::max(digit, metrics.horizontalAdvance(QLatin1Char(c)));
    const auto advance = [&](QChar c) { return c.isDigit() ? digit : metrics.horizontalAdvance(c); };
    int width = 0;
    for (const QChar c : text) width += advance(c);
    int x = alignment & Qt::AlignRight ? rect.right() + 1 - width : rect.left();
    const int baseline = rect.top() + (rect.height() + metrics.ascent() - metrics.descent()) / 2;
    for (const QChar c : text) {
        painter.drawText(x + (advance(c) - metrics.horizontalAdvance(c)) / 2, baseline, QString(c));
        x += advance(c);
    }
}
