// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#include "views/collisions/picture_pair.h"

#include <QMouseEvent>
#include <QPainter>
#include <QWheelEvent>
#include <algorithm>

#include "theme/theme.h"

namespace {
constexpr int gap = 16;
constexpr double largest_scale = 16;
}  // namespace

PicturePair::PicturePair(QWidget* parent) : QWidget(parent) {
    setAccessibleName(tr("The two pictures"));
    setToolTip(tr("Wheel: closer; drag: another part; B: each in the other's place"));
}

void PicturePair::setPictures(const QImage& left, const QImage& right) {
    const bool others =
        left.cacheKey() != pictures_[0].cacheKey() || right.cacheKey() != pictures_[1].cacheKey();
    pictures_ = {left, right};
    if (others) {
        scale_ = 1;
        middle_ = {0.5, 0.5};
        swapped_ = false;
    }
    update();
}

void PicturePair::setSwapped(bool swapped) {
    swapped_ = swapped;
    update();
}

void PicturePair::zoom(double factor) {
    scale_ = std::clamp(scale_ * factor, 1.0, largest_scale);
    update();
}

QRect PicturePair::side(int number) const {
    const int wide = (width() - gap) / 2;
    return {number * (wide + gap), 0, wide, height()};
}

void PicturePair::paintEvent(QPaintEvent*) {
    const Theme& theme = Theme::current();
    QPainter painter(this);
    painter.setRenderHint(QPainter::SmoothPixmapTransform);
    for (int number = 0; number < 2; ++number) {
        const QRect place = side(number);
        const QImage& picture = pictures_[static_cast<std::size_t>(swapped_ ? 1 - number : number)];
        painter.setClipRect(place);
        painter.fillRect(place, theme.ground);
        if (picture.isNull()) continue;
        // one scale for both: that of the one that needs the smaller
        double fit = scale_;
        double smallest = 1e9;
        for (const QImage& one : pictures_)
            if (!one.isNull())
                smallest = std::min({smallest, static_cast<double>(place.width()) / one.width(),
                                     static_cast<double>(place.height()) / one.height()});
        fit *= smallest;
        const QSizeF size(picture.width() * fit, picture.height() * fit);
        const QPointF middle = QRectF(place).center();
        painter.drawImage(QRectF(middle.x() - middle_.x() * size.width(),
                                 middle.y() - middle_.y() * size.height(), size.width(), size.height()),
                          picture);
    }
    if (!swapped_) return;
    painter.setClipping(false);
    painter.setPen(QPen(theme.amber_fill, 2));
    painter.setBrush(Qt::NoBrush);
    for (int number = 0; number < 2; ++number) painter.drawRect(side(number).adjusted(1, 1, -1, -1));
}

void PicturePair::wheelEvent(QWheelEvent* event) {
    zoom(event->angleDelta().y() > 0 ? 1.25 : 0.8);
    event->accept();
}

void PicturePair::mousePressEvent(QMouseEvent* event) { dragged_from_ = event->position(); }

void PicturePair::mouseMoveEvent(QMouseEvent* event) {
    const QPointF moved = event->position() - dragged_from_;
    dragged_from_ = event->position();
    const QRect place = side(0);
    middle_ = {std::clamp(middle_.x() - moved.x() / (place.width() * scale_), 0.0, 1.0),
               std::clamp(middle_.y() - moved.y() / (place.height() * scale_), 0.0, 1.0)};
    update();
}
