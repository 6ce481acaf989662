// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/runs/rate_plot.h"

#include <QPainter>
#include <QPainterPath>
#include <algorithm>

#include "drawn_text.h"
#include "text.h"
#include "theme/theme.h"
#include "views/runs/lane_words.h"

namespace {

constexpr double across = 120;  // samples of half a second: a minute

QString pause_words(RateSample::Kept by) {
    switch (by) {
        case RateSample::Kept::nothing: return {};
        case RateSample::Kept::limit: return RatePlot::tr("limited");
        case RateSample::Kept::pause: return RatePlot::tr("paused");
        case RateSample::Kept::other_run: return RatePlot::tr("waits for the drive");
    }
    return {};
}

/// A round figure at or above the highest rate, so that the scale does not change with every sample.
double top_of(const std::vector<RateSample>& rates) {
    double most = 1024 * 1024;
    for (const RateSample& one : rates) most = std::max(most, one.bytes_per_second);
    double top = 1024 * 1024;
    while (top < most) top *= 2;
    return top;
}

}  // namespace

void paint_rates(QPainter& painter, const QRect& at, const std::vector<RateSample>& rates, Scale scale) {
    const Theme& theme = Theme::current();
    const double top = top_of(rates);
    const QRectF area = QRectF(at).adjusted(0, 1, 0, 0);
    const auto x_of = [&](std::size_t number) {
        return area.right() -
               (static_cast<double>(rates.size()) - 1 - static_cast<double>(number)) / across * area.width();
    };
    const auto y_of = [&](double rate) { return area.bottom() - rate / top * area.height(); };
    painter.setPen(QPen(theme.line, 1));
    painter.drawLine(area.bottomLeft(), area.bottomRight());
    if (scale == Scale::in_figures)
        for (const double part : {0.5, 1.0})
            painter.drawLine(QPointF(area.left(), y_of(top * part)), QPointF(area.right(), y_of(top * part)));
    // stretches of one kind
    for (std::size_t begin = 0; begin < rates.size();) {
        std::size_t end = begin + 1;
        while (end < rates.size() && rates[end].kept == rates[begin].kept) ++end;
        const double left = x_of(begin == 0 ? 0 : begin - 1);
        const double right = x_of(end - 1);
        const auto kept = rates[begin].kept;
        if (kept == RateSample::Kept::pause || kept == RateSample::Kept::other_run) {
            painter.fillRect(QRectF(left, area.top(), right - left, area.height()), theme.amber_wash);
        } else {
            QPainterPath line(QPointF(left, y_of(rates[begin == 0 ? 0 : begin - 1].bytes_per_second)));
            for (std::size_t number = begin; number < end; ++number)
                line.lineTo(x_of(number), y_of(rates[number].bytes_per_second));
            QPainterPath below = line;
            below.lineTo(right, area.bottom());
            below.lineTo(left, area.bottom());
            painter.fillPath(below, theme.accent_wash);
            painter.setBrush(Qt::NoBrush);
            painter.setPen(QPen(theme.accent, 1.6));
            painter.drawPath(line);
        }
        const QString words = scale == Scale::in_figures ? pause_words(kept) : QString();
        if (!words.isEmpty() && painter.fontMetrics().horizontalAdvance(words) + 8 < right - left) {
            painter.setPen(theme.muted);
            painter.drawText(
                QRectF(left + 4, area.top() + 2, right - left - 8, painter.fontMetrics().height()),
                Qt::AlignLeft, words);
        }
        begin = end;
    }
}

RatePlot::RatePlot(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("ratePlot"));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
}

QSize RatePlot::sizeHint() const { return {400, 11 * fontMetrics().height() / 2}; }

void RatePlot::setLane(const RunLane* lane) {
    rates_ = lane != nullptr ? lane->status().rates : std::vector<RateSample>();
    setVisible(rates_.size() > 1);
    setAccessibleName(
        rates_.empty()
            ? QString()
            : tr("Rate over the last minute: %1 now").arg(rate_words(rates_.back().bytes_per_second)));
    update();
}

void RatePlot::paintEvent(QPaintEvent*) {
    const Theme& theme = Theme::current();
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const double top = top_of(rates_);
    const int line = fontMetrics().height();
    const int figures = fontMetrics().horizontalAdvance(rate_words(top)) + 12;
    const QRect plot = rect().adjusted(14 + figures, line, -16, -line - 6);
    painter.setPen(theme.muted);
    for (const double part : {0.0, 0.5, 1.0}) {
        const int y = plot.bottom() - static_cast<int>(part * plot.height());
        draw_tabular(painter, QRect(14, y - line / 2, figures - 8, line), Qt::AlignRight,
                     part == 0 ? QStringLiteral("0") : rate_words(top * part));
    }
    painter.drawText(QRect(plot.left(), plot.bottom() + 4, plot.width(), line),
                     Qt::AlignLeft | Qt::AlignAbsolute, tr("a minute ago"));
    painter.drawText(QRect(plot.left(), plot.bottom() + 4, plot.width(), line),
                     Qt::AlignRight | Qt::AlignAbsolute, tr("now"));
    paint_rates(painter, plot, rates_, Scale::in_figures);
}
