// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/place_strip.h"

#include <QPainter>
#include <QPainterPath>
#include <QVBoxLayout>

#include "text.h"
#include "theme/fonts.h"
#include "theme/lengths.h"
#include "theme/theme.h"
#include "views/parts/mirrored.h"
#include "views/parts/spacing.h"

namespace {

/// One place: a drawing, its word, a number where something waits.
class PlaceButton final : public QAbstractButton {
public:
    PlaceButton(PlaceToBe place, const QString& word) : place_(place) {
        setText(word);
        setAccessibleName(word);
        setCheckable(true);
        setAutoExclusive(true);
        setFocusPolicy(Qt::StrongFocus);
        setFixedSize(digits(10), 34 + lines(1.25));
    }
    void setCount(std::uint64_t count) {
        if (count_ == count) return;
        count_ = count;
        // what is seen beside its word is heard with it
        setAccessibleName(count_ == 0 ? text() : PlaceStrip::tr("%1, %2").arg(text(), count_text(count_)));
        update();
    }

protected:
    void paintEvent(QPaintEvent*) override {
        const Theme& theme = Theme::current();
        QPainter painter(this);
        painter.setRenderHint(QPainter::Antialiasing);
        if (isChecked()) {
            painter.fillRect(rect(), theme.paper);
            painter.fillRect(mirrored(rect(), QRect(0, 0, 3, height())), theme.accent);
        }
        if (hasFocus()) {
            painter.setPen(theme.accent);
            painter.setBrush(Qt::NoBrush);
            painter.drawRect(rect().adjusted(4, 2, -3, -3));
        }
        const QColor ink = isChecked() ? theme.accent : theme.muted;
        painter.setPen(QPen(ink, 1.5, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin));
        painter.setBrush(Qt::NoBrush);
        painter.drawPath(drawing().translated(width() / 2.0, 18));
        const QFont font = strong_font(small_font(this->font()), isChecked());
        painter.setFont(font);
        painter.drawText(QRect(0, 30, width(), height() - 34), Qt::AlignCenter, text());
        if (count_ == 0) return;
        const QString number = count_text(count_);
        const int wide = std::max(17, QFontMetrics(font).horizontalAdvance(number) + 9);
        painter.setPen(Qt::NoPen);
        painter.setBrush(theme.amber);
        const QRect badge = mirrored(rect(), QRect(width() / 2 + 9, 4, wide, std::max(15, lines(0.9))));
        painter.drawRoundedRect(badge, 7, 7);
        painter.setPen(theme.paper);
        painter.drawText(badge, Qt::AlignCenter, number);
    }

private:
    QPainterPath drawing() const {
        QPainterPath path;
        switch (place_) {
            case PlaceToBe::bench:  // a work bench: top, legs, cross-bar
                path.moveTo(-8, -5);
                path.lineTo(8, -5);
                path.moveTo(-5, -5);
                path.lineTo(-6.5, 7);
                path.moveTo(5, -5);
                path.lineTo(6.5, 7);
                path.moveTo(-5.8, 2);
                path.lineTo(5.8, 2);
                break;
            case PlaceToBe::collisions:  // two sheets that want one place
                path.addRect(-7, -7, 9, 10);
                path.addRect(-2, -3, 9, 10);
                break;
            case PlaceToBe::runs:  // lanes of different length, one that arrives
                path.moveTo(-8, -4);
                path.lineTo(7, -4);
                path.moveTo(4, -7);
                path.lineTo(7, -4);
                path.lineTo(4, -1);
                path.moveTo(-8, 1.5);
                path.lineTo(1, 1.5);
                path.moveTo(-8, 6);
                path.lineTo(-3, 6);
                break;
            case PlaceToBe::receipts:  // a slip with a torn lower edge
                path.moveTo(-5, 7);
                path.lineTo(-5, -8);
                path.lineTo(5, -8);
                path.lineTo(5, 7);
                path.lineTo(2.5, 5);
                path.lineTo(0, 7);
                path.lineTo(-2.5, 5);
                path.closeSubpath();
                path.moveTo(-2, -4);
                path.lineTo(2, -4);
                path.moveTo(-2, 0);
                path.lineTo(2, 0);
                break;
            case PlaceToBe::safe:  // a box with a lid that is closed
                path.addRect(-8, -3, 16, 10);
                path.moveTo(-8, -3);
                path.lineTo(-6, -8);
                path.lineTo(6, -8);
                path.lineTo(8, -3);
                path.moveTo(-2, 1);
                path.lineTo(2, 1);
                break;
            case PlaceToBe::jobs:  // a clock
                path.addEllipse(QPointF(0, 0), 8, 8);
                path.moveTo(0, -5);
                path.lineTo(0, 0);
                path.lineTo(3.5, 2.5);
                break;
            case PlaceToBe::sizes:  // bars of unlike length from one edge
                path.moveTo(-8, -8);
                path.lineTo(-8, 8);
                for (const auto& [height, length] : {std::pair{-6, 15}, {-1, 9}, {4, 4}})
                    path.addRect(-8, height, length, 3);
                break;
        }
        return path;
    }

    PlaceToBe place_;
    std::uint64_t count_ = 0;
};

}  // namespace

PlaceStrip::PlaceStrip(QWidget* parent) : QWidget(parent) {
    setObjectName(QStringLiteral("strip"));
    setAttribute(Qt::WA_StyledBackground);
    setFixedWidth(digits(10));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(Inset::strip);
    column->setSpacing(Gap::none);
    for (const auto& [place, word, name] :
         {std::tuple{PlaceToBe::bench, tr("Bench"), "placeBench"},
          std::tuple{PlaceToBe::collisions, tr("Collisions"), "placeCollisions"},
          std::tuple{PlaceToBe::runs, tr("Runs"), "placeRuns"},
          std::tuple{PlaceToBe::receipts, tr("Receipts"), "placeReceipts"},
          std::tuple{PlaceToBe::safe, tr("Safe"), "placeSafe"},
          std::tuple{PlaceToBe::jobs, tr("Saved jobs"), "placeJobs"},
          std::tuple{PlaceToBe::sizes, tr("Sizes"), "placeSizes"}}) {
        auto* button = new PlaceButton(place, word);
        button->setObjectName(QLatin1String(name));
        connect(button, &QAbstractButton::clicked, this, [this, place = place] { emit placeChosen(place); });
        buttons_.push_back(button);
        column->addWidget(button);
    }
    column->addStretch(1);
    setPlace(PlaceToBe::bench);
}

void PlaceStrip::setPlace(PlaceToBe place) { buttons_[static_cast<std::size_t>(place)]->setChecked(true); }

void PlaceStrip::setCount(PlaceToBe place, std::uint64_t count) {
    static_cast<PlaceButton*>(buttons_[static_cast<std::size_t>(place)])->setCount(count);
}
