// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QImage>
#include <QWidget>
#include <array>

/// Two pictures side by side, at one scale and with the same place in view; for a moment each in the place of
/// the other, so that what differs is seen to jump.
class PicturePair final : public QWidget {
    Q_OBJECT

public:
    explicit PicturePair(QWidget* parent = nullptr);
    void setPictures(const QImage& left, const QImage& right);
    void zoom(double factor);
    void setSwapped(bool swapped);
    bool isSwapped() const { return swapped_; }

protected:
    void paintEvent(QPaintEvent* event) override;
    void wheelEvent(QWheelEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;

private:
    QRect side(int number) const;

    std::array<QImage, 2> pictures_;
    double scale_ = 1;          ///< 1: the larger of the two fits
    QPointF middle_{0.5, 0.5};  ///< what is in the middle of both, as a part of the picture
    QPointF dragged_from_;
    bool swapped_ = false;
};
