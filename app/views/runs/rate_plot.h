// SPDX-FileCopyrightText: Tavlo contributors
// SPDX-License-Identifier: GPL-3.0-or-later

#pragma once

#include <QWidget>
#include <vector>

#include "tasks/run_lane.h"

class QPainter;

/// Whether a plot says in figures what its height means.
enum class Scale { none, in_figures };

/// The rate of a run over the last minute, now at the right: a filled line while it goes; where it stood
/// still, what kept it.
void paint_rates(QPainter& painter, const QRect& at, const std::vector<RateSample>& rates, Scale scale);

/// The same as a widget, with its scale, for the lane that is looked at.
class RatePlot final : public QWidget {
    Q_OBJECT

public:
    explicit RatePlot(QWidget* parent = nullptr);
    void setLane(const RunLane* lane);
    QSize sizeHint() const override;

protected:
    void paintEvent(QPaintEvent* event) override;

private:
    std::vector<RateSample> rates_;
};
