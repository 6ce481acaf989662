// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/parts/button_row.h"

#include <QFontMetrics>
#include <QPainter>
#include <QPixmapCache>
#include <QStyleOptionViewItem>
#include <cmath>

#include "drawn_text.h"
#include "models/outcome_model.h"
#include "theme/fonts.h"
#include "theme/theme.h"
#include "views/parts/mirrored.h"

namespace {

/// As it is from left to right.
QRect plain_rect(const QRect& cell, const QFont& font, const QStringList& words, int number) {
    const QFont small = small_font(font);
    const int height = QFontMetrics(small).height() + 6;
    int x = cell.left() + before_cell;
    for (int at = 0; at < number; ++at) x += drawn_width(small, words[at]) + 16;
    return {x, cell.center().y() - height / 2, drawn_width(small, words[number]) + 16, height};
}

/// A box with round corners: worked out once, as most rows have one of a few. Where a painter's points are no
/// whole pixels it is drawn as it stands.
/// edge  Qt::NoPen: it has none, and stands inside another
void draw_box(QPainter& painter, const QRect& box, const QPen& edge, const QColor& ground, int radius) {
    const bool has_edge = edge.style() != Qt::NoPen;
    const double inset = has_edge ? 0.5 : 1;
    const auto draw = [&](QPainter& to, const QRectF& rect) {
        to.setRenderHint(QPainter::Antialiasing);
        to.setPen(edge);
        to.setBrush(ground);
        to.drawRoundedRect(rect.adjusted(inset, inset, -inset, -inset), radius, radius);
    };
    const double scale = painter.device()->devicePixelRatio();
    const QPointF moved(painter.deviceTransform().dx(), painter.deviceTransform().dy());
    const bool whole_pixels = painter.transform().type() <= QTransform::TxTranslate &&
                              scale == std::floor(scale) && moved == moved.toPoint();
    if (!whole_pixels) return draw(painter, box);
    const QString key = QStringLiteral("box %1 %2 %3 %4 %5 %6")
                            .arg(box.width())
                            .arg(box.height())
                            .arg(radius)
                            .arg(has_edge ? edge.color().rgba() : 0U)
                            .arg(ground.rgba())
                            .arg(scale);
    QPixmap kept;
    if (!QPixmapCache::find(key, &kept)) {
        kept = QPixmap(box.size() * scale);
        kept.setDevicePixelRatio(scale);
        kept.fill(Qt::transparent);
        QPainter once(&kept);
        draw(once, QRect(QPoint(0, 0), box.size()));
        once.end();
        QPixmapCache::insert(key, kept);
    }
    painter.drawPixmap(box.topLeft(), kept);
}

}  // namespace

QRect button_rect(const Choices& choices, const QFont& font, int number) {
    return mirrored(choices.cell, plain_rect(choices.cell, font, choices.words, number));
}

int buttons_width(const QFont& font, const QStringList& words) {
    return plain_rect({}, font, words, static_cast<int>(words.size()) - 1).right() + 1 + after_cell;
}

int button_at(const Choices& choices, const QFont& font, const QPoint& at) {
    for (int number = 0; number < choices.words.size(); ++number)
        if (button_rect(choices, font, number).contains(at)) return number;
    return -1;
}

void paint_buttons(QPainter& painter, const Choices& choices, int takes_away) {
    const Theme& theme = Theme::current();
    painter.setRenderHint(QPainter::Antialiasing);
    const QFont font = painter.font();
    const QStringList& words = choices.words;
    const QRect whole =
        button_rect(choices, font, 0).united(button_rect(choices, font, static_cast<int>(words.size()) - 1));
    draw_box(painter, whole, theme.edge, theme.field, 5);
    painter.setFont(small_font(font));
    for (int number = 0; number < words.size(); ++number) {
        const QRect rect = button_rect(choices, font, number);
        if (number == choices.chosen) {
            draw_box(painter, rect, Qt::NoPen, number == takes_away ? theme.plum : theme.ink, 4);
        } else if (number != 0) {
            painter.setPen(theme.line);
            const int between = runs_from_right() ? rect.right() : rect.left();
            painter.drawLine(between, rect.top() + 3, between, rect.bottom() - 3);
        }
        painter.setPen(number == choices.chosen ? theme.paper : theme.ink);
        draw_elided(painter, rect, words[number], Qt::ElideRight, Qt::AlignHCenter);
    }
    painter.setFont(font);
}

int paint_tag(QPainter& painter, const QRect& cell, const QString& text, int tone) {
    const Theme& theme = Theme::current();
    const auto [ink, wash] = [&]() -> std::pair<QColor, QColor> {
        switch (static_cast<Tone>(tone)) {
            case Tone::fresh: return {theme.accent, theme.accent_wash};
            case Tone::waiting: return {theme.amber, theme.amber_wash};
            case Tone::takes_away: return {theme.plum, theme.plum_wash};
            case Tone::plain: break;
        }
        return {theme.muted, theme.ground};
    }();
    const QFontMetrics metrics(painter.font());
    const int width = drawn_width(painter.font(), text) + 14;
    const QRect tag = mirrored(
        cell, QRect(cell.left(), cell.center().y() - metrics.height() / 2 - 1, width, metrics.height() + 3));
    draw_box(painter, tag, ink, wash, 4);
    painter.setPen(ink);
    draw_elided(painter, tag, text, Qt::ElideRight, Qt::AlignHCenter);
    return width;
}

void paint_row_ground(QPainter& painter, const QStyleOptionViewItem& option, const QColor& ground) {
    const Theme& theme = Theme::current();
    const bool selected = option.state.testFlag(QStyle::State_Selected);
    if (selected || ground.isValid()) painter.fillRect(option.rect, selected ? theme.selection : ground);
    painter.fillRect(QRect(option.rect.left(), option.rect.bottom(), option.rect.width(), 1), theme.line);
}
