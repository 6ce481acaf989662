// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/bench/example_names.h"

#include <QPainter>
#include <algorithm>

#include "theme/fonts.h"
#include "theme/theme.h"
#include "views/parts/mirrored.h"
#include "views/parts/spacing.h"

ExampleNames::ExampleNames(QWidget* parent) : QWidget(parent) {
    setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Preferred);
}

int ExampleNames::rowHeight() const { return fontMetrics().height() + Gap::close; }

QSize ExampleNames::sizeHint() const { return {0, static_cast<int>(examples_.size()) * rowHeight()}; }

void ExampleNames::show_(std::vector<Example> examples) {
    if (examples == examples_) return;
    const bool same_height = examples.size() == examples_.size();
    examples_ = std::move(examples);
    QStringList heard;
    for (const Example& one : examples_)
        heard << (one.kind == Kind::collides ? tr("%1 becomes %2, which is taken") : tr("%1 becomes %2"))
                     .arg(one.was, one.becomes);
    setAccessibleName(heard.join(QLatin1Char('\n')));
    if (!same_height) updateGeometry();
    update();
}

void ExampleNames::paintEvent(QPaintEvent*) {
    const Theme& theme = Theme::current();
    QPainter painter(this);
    const QFont plain = font();
    const QFont strong = strong_font(plain);
    const QString arrow = isRightToLeft() ? QStringLiteral("\u2190") : QStringLiteral("\u2192");
    const QString taken = tr("taken");
    const int arrow_width = fontMetrics().horizontalAdvance(arrow) + 2 * Gap::beside;
    int widest = 0;
    for (const Example& one : examples_) widest = std::max(widest, fontMetrics().horizontalAdvance(one.was));
    const int old_width = std::min(widest, (width() - arrow_width) / 2);
    const auto draw = [&](int left, int top, int room, const QString& text, const QFont& font,
                          const QColor& ink) {
        const QFontMetrics metrics(font);
        const QString fits = metrics.elidedText(text, Qt::ElideMiddle, room);
        painter.setFont(font);
        painter.setPen(ink);
        painter.drawText(mirrored(rect(), QRect(left, top, room, metrics.height())), Qt::AlignLeft, fits);
        return metrics.horizontalAdvance(fits);
    };
    int top = 0;
    for (const Example& one : examples_) {
        draw(0, top, old_width, one.was, plain, theme.muted);
        draw(old_width + Gap::beside, top, arrow_width, arrow, plain, theme.muted);
        const int left = old_width + arrow_width;
        const bool collides = one.kind == Kind::collides;
        const int beside = collides ? fontMetrics().horizontalAdvance(taken) + Gap::beside : 0;
        const bool is_name = collides || one.kind == Kind::changes;
        const int used = draw(left, top, width() - left - beside, one.becomes, is_name ? strong : plain,
                              one.kind == Kind::fails ? theme.amber : theme.ink);
        if (collides) draw(left + used + Gap::beside, top, beside, taken, plain, theme.amber);
        top += rowHeight();
    }
}
